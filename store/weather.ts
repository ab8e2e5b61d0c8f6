import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { placeOf } from '@/core/sight/place';
import { weatherAt, type WeatherReport } from './gauge';
import { useRecords, useSettings } from './hooks';
import type { OwnWeather, Water } from './records';

type Asked = Pick<Water, 'id' | 'latDeg' | 'lonDeg' | 'simulated'> | null | undefined;

/** Whether simulated stations and weather are offered to a water: to the demo’s, and where one practises with them. */
export function useSimulated(water: Pick<Water, 'simulated'> | null | undefined): boolean {
  const [{ simulated }] = useSettings();
  return water?.simulated === true || simulated === true;
}

/** What was entered or imported for a water: a day entered by hand goes before a file’s. */
function own(list: readonly OwnWeather[], waterId: string): WeatherReport | null {
  const of = list
    .filter((w) => w.waterId === waterId)
    .sort((a, b) => Number(a.file === null) - Number(b.file === null));
  const newest = of.reduce<OwnWeather | null>((a, b) => (a && a.at > b.at ? a : b), null);
  if (!newest) return null;
  const hours = new Map(of.flatMap((w) => w.hours.map((h) => [h.at, h] as const)));
  return {
    ...{ issuedAt: newest.at, stale: null, from: newest.file ?? 'entered by you' },
    hours: [...hours.values()].sort((a, b) => a.at - b.at),
  };
}

/** The weather of a water: what was entered or imported for it; for the demo’s, and to practise, the simulated service’s. None is
 * invented for one’s own. */
export function useWeather(water: Asked, now: number) {
  const { data: entered } = useRecords('weather');
  const simulated = useSimulated(water);
  const place = placeOf(water);
  const service = useQuery(weatherAt(simulated ? place : null, now));
  const mine = useMemo(() => (water && entered ? own(entered, water.id) : null), [entered, water]);
  const asks = simulated && place !== null;
  return {
    data: mine ?? (asks ? service.data : undefined),
    error: mine || !asks ? null : service.error,
    isPending: entered === undefined || (asks && !mine && service.isPending),
  };
}
