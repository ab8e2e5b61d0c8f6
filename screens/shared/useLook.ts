import { useMemo } from 'react';
import { type Look, lookIn, placeOf, sunDay, sunDegAt, type Viewing } from '@/core/sight';
import { useRecord, useSession } from '@/store/hooks';
import { dayOf, startOfDay } from './time';
import { useNow } from './useNow';
import { useToday } from './useRunDay';
import { HOUR_MS, MINUTE_MS } from '@/core/units';

/** Flies are looked at this deep, m: where they mostly ride. */
const LOOKED_AT_M = 0.5;
/** The end of civil twilight. */
const CIVIL_DEG = -6;

export interface Looking {
  readonly look: Look;
  readonly viewing: Viewing;
  readonly where: string;
  /** Read today. */
  readonly read: boolean;
  /** It is dark: looked at by the light of the day's noon. */
  readonly dark: boolean;
}

/** The water and light of the run in hand, as a fish looks through it; null where no run is chosen. */
export function useLook(): Looking | null {
  const [session] = useSession();
  const run = useRecord('run', session?.runId);
  const water = useRecord('water', run?.waterId);
  const today = useToday(run, water);
  const hour = Math.floor(useNow(5 * MINUTE_MS) / HOUR_MS) * HOUR_MS;
  return useMemo(() => {
    if (!run || !today) return null;
    const place = placeOf(water);
    const { colour, visibilityM, sky } = today.reading;
    const altitudeDeg = sunDegAt(place, hour);
    const dark = altitudeDeg < CIVIL_DEG;
    const sunDeg = place && dark ? sunDay(startOfDay(dayOf(hour)), place.latDeg, place.lonDeg).highestDeg : altitudeDeg;
    const viewing: Viewing = { colour, visibilityM, sky, depthM: LOOKED_AT_M, sunDeg };
    return { look: lookIn(viewing), viewing, where: run.name, read: today.fresh, dark };
  }, [run, water, today, hour]);
}
