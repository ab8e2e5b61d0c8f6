import { useQuery } from '@tanstack/react-query';
import { gaugeLately, gaugeYear } from '@/store/gauge';
import { readGauge } from '@/workers/gauge';

/** The last seven days of a station up to a whole hour, ms UTC. */
export const useGauge = (stationId: string | null, to: number) => useQuery(gaugeLately(stationId, to, readGauge));

/** The same up to now: at the turn of an hour as it was heard before, until the next is. */
export const useGaugeNow = (stationId: string | null, to: number) =>
  useQuery({
    ...gaugeLately(stationId, to, readGauge),
    placeholderData: (last, before) => (before?.queryKey[2] === stationId ? last : undefined),
  });

/** Its last year, every six hours. */
export const useGaugeYear = (stationId: string | null, to: number) => useQuery(gaugeYear(stationId, to, readGauge));
