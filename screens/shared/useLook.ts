import { useMemo } from 'react';
import { type Look, lookIn, sunAt, type Viewing } from '@/core/sight';
import { useRecord, useSession } from '@/store/hooks';
import { useNow } from './useNow';
import { useToday } from './useRunDay';

/** Flies are looked at this deep, m: where they mostly ride. */
const LOOKED_AT_M = 0.5;
const HOUR = 3_600_000;

/** The water and light of the run in hand, as a fish looks through it; null where no run is chosen. */
export function useLook(): { look: Look; viewing: Viewing; where: string; read: boolean } | null {
  const [session] = useSession();
  const run = useRecord('run', session?.runId);
  const water = useRecord('water', run?.waterId);
  const today = useToday(run, water);
  const hour = Math.floor(useNow(5 * 60_000) / HOUR) * HOUR;
  return useMemo(() => {
    if (!run || !water || !today) return null;
    const { colour, visibilityM, sky } = today.reading;
    const { altitudeDeg } = sunAt(hour, water.latDeg, water.lonDeg);
    const viewing: Viewing = { colour, visibilityM, sky, depthM: LOOKED_AT_M, sunDeg: altitudeDeg };
    return { look: lookIn(viewing), viewing, where: run.name, read: today.fresh };
  }, [run, water, today, hour]);
}
