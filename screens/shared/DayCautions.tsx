import { checkSeason, waterCautions } from '@/core/rules';
import type { Water } from '@/store/records';
import { Caution } from '@/ui';
import { dayOf } from './time';
import { useNow } from './useNow';
import type { Today } from './useRunDay';

/** What stops one today, wherever it is decided to fish: a closed season, and water too warm by what was measured here. */
export function DayCautions({ water, today }: { water: Water | null; today: Today }) {
  const now = useNow(60_000);
  const closed = water ? checkSeason(water.rules, dayOf(now).slice(5)) : [];
  const stop = waterCautions(today.reading.waterTempC, 'steady', water?.rules.closesAtC ?? null).filter(
    (c) => c.level === 'stop',
  );
  return [...closed.map((b) => b.says), ...stop.map((c) => c.says)].map((says) => (
    <Caution key={says} strong>
      {says}
    </Caution>
  ));
}
