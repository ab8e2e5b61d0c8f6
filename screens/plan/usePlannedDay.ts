import { useMemo } from 'react';
import { planDay } from '@/core/plan/day';
import { proposeStops } from '@/core/plan/propose';
import { useRecords } from '@/store/hooks';
import type { Water } from '@/store/records';
import type { DayAhead } from './useDayAhead';
import { useTrip } from './useTrip';

/** The day on a water by the clock: as one ordered it oneself, or as it is proposed; null until it can be laid out. */
export function usePlannedDay(water: Water, day: string, ahead: DayAhead) {
  const [trip, setTrip] = useTrip(water.id, day);
  const { data: runs } = useRecords('run');
  const { ask, closed, settled } = ahead;
  const laid = useMemo(() => {
    if (!trip || !runs || !settled) return null;
    const own = runs.filter((r) => r.waterId === water.id);
    // What one ordered oneself stands; runs that are gone leave it.
    const stops = (trip.stops ?? (closed ? [] : proposeStops(ask))).filter(
      (s) => s.kind === 'break' || own.some((r) => r.id === s.runId),
    );
    return { own, stops, plan: planDay(ask, stops, trip.leaveMin) };
  }, [trip, runs, settled, water.id, ask, closed]);
  if (!trip || !laid) return null;
  const none = closed ? 'Closed' : ask.windows.length === 0 ? 'No hours to fish' : 'Too late to fish';
  return { trip, setTrip, ...laid, none };
}
