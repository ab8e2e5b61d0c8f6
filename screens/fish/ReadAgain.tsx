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

const SIGHT = { 'much dirtier': 0.4, dirtier: 0.7, 'as it was': 1, clearer: 1.4, 'much clearer': 2 } as const;
const LEVEL = { 'fallen 10 cm': -0.1, 'as it was': 0, 'risen 10 cm': 0.1, 'risen 25 cm': 0.25 } as const;
const MOST_SEEN_M = 10;
const LEAST_SEEN_M = 0.05;

/** What has changed since the last reading: three taps. */
export function ReadAgain({ today, onClose, onRead }: Props) {
  const [{ units }] = useSettings();
  const [sight, setSight] = useState<keyof typeof SIGHT>('as it was');
  const [level, setLevel] = useState<keyof typeof LEVEL>('as it was');
  const [sky, setSky] = useState(today.sky);
  const [tempC, setTemp] = useState(today.waterTempC);
  const read = () =>
    onRead({
      ...today,
      visibilityM: Math.min(MOST_SEEN_M, Math.max(LEAST_SEEN_M, today.visibilityM * SIGHT[sight])),
      levelM: today.levelM + LEVEL[level],
      sky,
      waterTempC: tempC,
      // A stick that was timed at another level says nothing of this one.
      speed: LEVEL[level] === 0 ? today.speed : null,
    });
  return (
    <Sheet title="The water now" open onClose={onClose}>
      <Choice
        label="Sight"
        options={plainOptions(Object.keys(SIGHT) as (keyof typeof SIGHT)[])}
        value={sight}
        onChange={setSight}
      />
      <Choice
        label="Level"
        options={plainOptions(Object.keys(LEVEL) as (keyof typeof LEVEL)[])}
        value={level}
        onChange={setLevel}
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
      <Button label="It is so now" kind="primary" big onPress={read} />
    </Sheet>
  );
}
