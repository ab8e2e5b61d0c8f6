import { useMemo } from 'react';
import { packFor } from '@/core/plan/packing';
import type { Water } from '@/store/records';
import { useKit } from '../shared/useKit';
import { useMeans } from '../shared/useMeans';
import type { DayAhead } from './useDayAhead';

/** What of the day bears on what is packed. */
type OfDay = Pick<DayAhead, 'colour' | 'waterC' | 'fished' | 'weatherFished'>;

function facts(ahead: OfDay, water: Water) {
  const out = ahead.weatherFished;
  const has = out.length > 0;
  const light = ahead.fished.map((h) => h.light);
  return {
    colour: ahead.colour,
    waterC: ahead.waterC,
    airC: has ? Math.min(...out.map((h) => h.airTempC)) : null,
    rainMm: has ? out.reduce((sum, h) => sum + h.rainMm, 0) : null,
    sun: light.some((l) => l === 'sun' || l === 'high sun' || l === 'low sun'),
    dark: light.some((l) => l === 'dark' || l === 'twilight'),
    dam: (water.releases ?? []).length > 0 || water.river?.kind === 'below a dam',
  };
}

/** What to pack for a day on a water; null until all is known. */
export function usePacking(water: Water, { settled, colour, waterC, fished, weatherFished }: DayAhead) {
  const { means } = useMeans();
  const { data: kit } = useKit();
  return useMemo(
    () =>
      kit && settled
        ? packFor({
            ...{ kit, means, rules: water.rules, quarry: water.quarry },
            ...facts({ colour, waterC, fished, weatherFished }, water),
          })
        : null,
    [kit, means, water, settled, colour, waterC, fished, weatherFished],
  );
}
