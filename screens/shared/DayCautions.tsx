import { highWater, waterCautions } from '@/core/rules';
import { useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Caution } from '@/ui';
import { waterCaution } from '@/words/cautions';
import { breachWords } from '@/words/rules';
import { useClosed } from './useClosed';
import { useRelease } from './useRelease';
import type { Today } from './useRunDay';

interface Props {
  water: Water | null;
  today: Today;
  runId: string;
}

/** The dam releases of the day, while none is on or begins within the hour. */
export function LaterRelease({ water }: Pick<Props, 'water'>) {
  const release = useRelease(water);
  return release && !release.urgent ? <Caution strong>{release.says}</Caution> : null;
}

/** What high water asks; under Rig it stands among what the answer says. */
export function HighWater({ today }: Pick<Props, 'today'>) {
  const [{ units }] = useSettings();
  const high = highWater(today.reading.levelM);
  return high ? <Caution>{waterCaution(high, units)}</Caution> : null;
}

/** What stops one now, told before anything else wherever it is decided to fish: a dam release that is on or begins within the hour,
 * season, hours, a closed reach, and water too warm by what was measured. */
export function DayCautions({ water, today, runId }: Props) {
  const [{ units }] = useSettings();
  const closed = useClosed(water, runId);
  const release = useRelease(water);
  const stop = waterCautions(today.reading.waterTempC, 'steady', water?.rules?.closesAtC ?? null).filter(
    (c) => c.level === 'stop',
  );
  const all = [
    ...(release?.urgent ? [release.says] : []),
    ...closed.map(breachWords),
    ...stop.map((c) => waterCaution(c, units)),
  ];
  return all.map((says) => (
    <Caution key={says} strong>
      {says}
    </Caution>
  ));
}
