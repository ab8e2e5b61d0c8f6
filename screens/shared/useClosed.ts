import { useMemo } from 'react';
import { type Breach, closedNow } from '@/core/rules';
import { placeOf, sunDay } from '@/core/sight';
import type { Water } from '@/store/records';
import { dayOf, startOfDay } from './time';
import { useNow } from './useNow';

/** What closes a water, or a run of it, now: season, hours, reach. */
export function useClosed(water: Water | null | undefined, runId: string | null): Breach[] {
  const now = useNow(60_000);
  return useMemo(() => {
    if (!water) return [];
    const day = dayOf(now);
    const place = placeOf(water);
    const sun = place && sunDay(startOfDay(day), place.latDeg, place.lonDeg);
    return closedNow(water.rules, { at: now, monthDay: day.slice(5), sun, runId });
  }, [water, runId, now]);
}
