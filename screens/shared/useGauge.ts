import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { riverThen, type RiverThen } from '@/core/gauge/then'; // not the barrel: this weighs on the first look
import { HOUR_MS, MINUTE_MS } from '@/core/units';
import { gaugeLately, gaugeYear } from '@/store/gauge';
import { readGauge } from '@/workers/gauge';
import { useNow } from './useNow';

/** The last seven days of a station up to a whole hour, ms UTC. */
export const useGauge = (stationId: string | null, to: number) => useQuery(gaugeLately(stationId, to, readGauge));

/** The same up to now: at the turn of an hour as it was heard before, until the next is. */
export const useGaugeNow = (stationId: string | null, to: number) =>
  useQuery({
    ...gaugeLately(stationId, to, readGauge),
    placeholderData: (last, before) => (before?.queryKey[2] === stationId ? last : undefined),
  });

/** How the river of a station goes just now; null while that is not known. */
export function useRiverThen(stationId: string | null): RiverThen | null {
  const now = useNow(5 * MINUTE_MS);
  const { data } = useGaugeNow(stationId, Math.floor(now / HOUR_MS) * HOUR_MS);
  return useMemo(() => (data ? riverThen(data.points, now) : null), [data, now]);
}

/** Its last year, every six hours. */
export const useGaugeYear = (stationId: string | null, to: number) => useQuery(gaugeYear(stationId, to, readGauge));
