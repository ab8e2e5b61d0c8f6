import { waterCautions } from '@/core/rules';
import type { Water } from '@/store/records';
import { Caution } from '@/ui';
import { useClosed } from './useClosed';
import type { Today } from './useRunDay';

interface Props {
  water: Water | null;
  today: Today;
  runId: string;
}

/** What stops one now, wherever it is decided to fish: season, hours, a closed reach, and water too warm by what was measured. */
export function DayCautions({ water, today, runId }: Props) {
  const closed = useClosed(water, runId);
  const stop = waterCautions(today.reading.waterTempC, 'steady', water?.rules.closesAtC ?? null).filter(
    (c) => c.level === 'stop',
  );
  return [...closed.map((b) => b.says), ...stop.map((c) => c.says)].map((says) => (
    <Caution key={says} strong>
      {says}
    </Caution>
  ));
}
