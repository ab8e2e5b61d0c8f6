import { waterCautions } from '@/core/rules';
import type { Water } from '@/store/records';
import { Caution } from '@/ui';
import { useClosed } from './useClosed';
import { useRelease } from './useRelease';
import type { Today } from './useRunDay';

interface Props {
  water: Water | null;
  today: Today;
  runId: string;
  /** The dam release is told elsewhere on the screen. */
  besides?: boolean;
}

/** What stops one now, wherever it is decided to fish: a dam release, season, hours, a closed reach, and water too warm by what was
 * measured. */
export function DayCautions({ water, today, runId, besides = false }: Props) {
  const closed = useClosed(water, runId);
  const release = useRelease(water);
  const stop = waterCautions(today.reading.waterTempC, 'steady', water?.rules?.closesAtC ?? null).filter(
    (c) => c.level === 'stop',
  );
  const all = [
    ...(release && !besides ? [release.says] : []),
    ...closed.map((b) => b.says),
    ...stop.map((c) => c.says),
  ];
  return all.map((says) => (
    <Caution key={says} strong>
      {says}
    </Caution>
  ));
}
