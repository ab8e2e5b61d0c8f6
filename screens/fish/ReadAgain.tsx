import { useState } from 'react';
import { type Reading, SKIES } from '@/core/water';
import { toShown, unitOf } from '@/core/units';
import { useSettings } from '@/store/hooks';
import { Button, Choice, plainOptions, Sheet, Stepper } from '@/ui';

interface Props {
  today: Reading;
  onClose: () => void;
  /** The reading with what has changed. */
  onRead: (reading: Reading) => void;
}

const SIGHT = { 'much dirtier': 0.4, dirtier: 0.7, clearer: 1.4, 'much clearer': 2 } as const;
type Sight = keyof typeof SIGHT;
const LEVEL = { 'fallen 10 cm': -0.1, 'risen 10 cm': 0.1, 'risen 25 cm': 0.25 } as const;
type Level = keyof typeof LEVEL;
const MOST_SEEN_M = 10;
const LEAST_SEEN_M = 0.05;

/** What has changed since the last reading: sight and level with one tap more, the rest as it is set. */
export function ReadAgain({ today, onClose, onRead }: Props) {
  const [{ units }] = useSettings();
  const [sky, setSky] = useState(today.sky);
  const [tempC, setTemp] = useState(today.waterTempC);
  const read = (sight: Sight | null, level: Level | null) =>
    onRead({
      ...today,
      visibilityM: Math.min(MOST_SEEN_M, Math.max(LEAST_SEEN_M, today.visibilityM * (sight ? SIGHT[sight] : 1))),
      levelM: today.levelM + (level ? LEVEL[level] : 0),
      sky,
      waterTempC: tempC,
      // A stick that was timed at another level says nothing of this one.
      speed: level ? null : today.speed,
    });
  return (
    <Sheet title="The water now" open onClose={onClose}>
      <Choice
        label="Sight"
        options={plainOptions(Object.keys(SIGHT) as Sight[])}
        value={null}
        onChange={(sight) => read(sight, null)}
      />
      <Choice
        label="Level"
        options={plainOptions(Object.keys(LEVEL) as Level[])}
        value={null}
        onChange={(level) => read(null, level)}
      />
      <Choice label="Sky" options={plainOptions(SKIES)} value={sky} onChange={setSky} />
      <Stepper
        label="Water temperature"
        text={
          tempC === null
            ? 'not measured'
            : `${toShown('temperature', tempC, units).toFixed(0)} ${unitOf('temperature', units)}`
        }
        lessLabel="Colder"
        moreLabel="Warmer"
        onLess={() => setTemp((t) => Math.max(0, (t ?? 10) - 1))}
        onMore={() => setTemp((t) => Math.min(30, (t ?? 10) + 1))}
      />
      <Button label="It is so now" kind="primary" big onPress={() => read(null, null)} />
    </Sheet>
  );
}
