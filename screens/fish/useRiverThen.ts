import { useMemo } from 'react';
import { riverThen, type RiverThen } from '@/core/gauge/then'; // not the barrel: this weighs on the first look
import { HOUR_MS, MINUTE_MS } from '@/core/units';
import { useGaugeNow } from '../shared/useGauge';
import { useNow } from '../shared/useNow';

/** How the river of a station goes just now; null while that is not known. */
export function useRiverThen(stationId: string | null): RiverThen | null {
  const now = useNow(5 * MINUTE_MS);
  const { data } = useGaugeNow(stationId, Math.floor(now / HOUR_MS) * HOUR_MS);
  return useMemo(() => (data ? riverThen(data.points, now) : null), [data, now]);
}
