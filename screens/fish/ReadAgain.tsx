import { useState } from 'react';
import { isRead, type Reading, SKIES } from '@/core/water';
import { useSettings } from '@/store/hooks';
import { Button, Choice, plainOptions, Sheet, Stepper } from '@/ui';
import { format, toShown, unitOf } from '@/words/units';

interface Props {
  today: Reading;
  onClose: () => void;
  /** The reading with what has changed. */
  onRead: (reading: Reading) => void;
}

const SIGHT = { 'much dirtier': 0.4, dirtier: 0.7, clearer: 1.4, 'much clearer': 2 } as const;
type Sight = keyof typeof SIGHT;
const LEVELS = ['-0.1', '0.1', '0.25'] as const;
type Level = (typeof LEVELS)[number];
const MOST_SEEN_M = 10;
const LEAST_SEEN_M = 0.05;

/** What has changed since the last reading: sight and level with one tap more, the rest as it is set. */
export function ReadAgain({ today, onClose, onRead }: Props) {
  const [{ units }] = useSettings();
  const [sky, setSky] = useState(isRead(today, 'sky') ? today.sky : null);
  const [tempC, setTemp] = useState(today.waterTempC);
  const read = (sight: Sight | null, level: Level | null) =>
    onRead({
      ...today,
      visibilityM: Math.min(MOST_SEEN_M, Math.max(LEAST_SEEN_M, today.visibilityM * (sight ? SIGHT[sight] : 1))),
      levelM: today.levelM + Number(level ?? 0),
      sky: sky ?? today.sky,
      ...(sky ? { guessed: today.guessed?.filter((g) => g !== 'sky') } : null),
      waterTempC: tempC,
      // A stick that was timed at another level says nothing of this one.
      speed: level ? null : today.speed,
    });
  return (
    <Sheet title="New reading" open onClose={onClose}>
      <Choice
        label="Visibility"
        options={plainOptions(Object.keys(SIGHT) as Sight[])}
        value={null}
        onChange={(sight) => read(sight, null)}
      />
      <Choice
        label="Level"
        options={LEVELS.map((value) => ({
          value,
          label: `${Number(value) < 0 ? 'fallen' : 'risen'} ${format('level', Math.abs(Number(value)), units)}`,
        }))}
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
      <Button label="Save reading" kind="primary" big onPress={() => read(null, null)} />
    </Sheet>
  );
}
