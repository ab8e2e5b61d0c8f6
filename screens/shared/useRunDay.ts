import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import type { LieOptions, SizeClass, Survey } from '@/core/lies';
import { lieOptionsOf } from '@/core/lies/options'; // not the barrel: this weighs on the first look
import { lastReading, type Reading, readingInForce, type ReadingInForce, type Run } from '@/core/water';
import type { Water } from '@/store/records';

import { useRecord, useRecords, useSession, useSettings } from '@/store/hooks';

import { useWeather } from '@/store/weather';
import { surveyRun, wakeRiver } from '@/workers/river';
import { dayOf } from './time';
import { useColour } from './useColour';
import { useGaugeNow } from './useGauge';
import { useNow } from './useNow';
import { useWater } from './useWater';
import { HOUR_MS, MINUTE_MS } from '@/core/units';

export type Today = ReadingInForce;

/** What a gauge says is waited for so long, and what is forecast from it, ms: a run would be rebuilt twice. */
const GAUGE_MS = 800;
const FORECAST_MS = 1500;

/** Something was once waited for so long. */
function useOverdue(waiting: boolean, ms: number): boolean {
  const [overdue, setOverdue] = useState(false);
  useEffect(() => {
    if (!waiting) return;
    const timer = setTimeout(() => setOverdue(true), ms);
    return () => clearTimeout(timer);
  }, [waiting, ms]);
  return overdue;
}

/** Of what is told hour by hour what is nearest to a moment; null where that is hours away. */
function nearestTo<T extends { readonly at: number }>(list: readonly T[] | undefined, now: number): T | null {
  const near = (list ?? []).reduce<T | null>(
    (a, b) => (a && Math.abs(a.at - now) <= Math.abs(b.at - now) ? a : b),
    null,
  );
  return near && Math.abs(near.at - now) <= NEAR_H * HOUR_MS ? near : null;
}
const NEAR_H = 3;

/** The reading in force for a run: today's, or the last one with the gauge's level of now, or what is typical. Null while that is
 * not known. */
export function useToday(run: Run | null | undefined, water: Water | null | undefined): Today | null {
  const { data: readings } = useRecords('reading');
  const now = useNow(5 * MINUTE_MS);
  const hour = Math.floor(now / HOUR_MS) * HOUR_MS;
  const gauge = useGaugeNow(water?.stationId ?? null, hour);
  const last = run && readings ? lastReading(run.id, readings) : undefined;
  const unread = last !== undefined && !(last && dayOf(last.at) === dayOf(now));
  // What was read today goes by no forecast.
  const colour = useColour(unread ? (water ?? null) : null, hour);
  const weather = useWeather(unread ? water : null, hour);
  const asking = !!water?.stationId && gauge.isPending;
  const overdue = useOverdue(asking, GAUGE_MS);
  // Without its gauge there is no forecast to wait for.
  const late = useOverdue(unread && colour.pending, FORECAST_MS) || overdue;
  const waiting = water === undefined || (asking && !overdue) || (unread && colour.pending && !late);
  const at = nearestTo(colour.forecast.data, now);
  const cloud = nearestTo(weather.data?.hours, now)?.cloud ?? null;
  const visibilityM = at && Math.round(100 * at.medianM) / 100;
  return useMemo(() => {
    if (!run || !readings) return null;
    const today = readingInForce(run, readings, {
      ...{ now, visibilityM, cloud, peaty: water?.river?.peaty ?? false },
      sameDay: (a, b) => dayOf(a) === dayOf(b),
      gauge: gauge.data?.points.at(-1) ?? null,
      normalStageM: water?.normalStageM ?? null,
    });
    return waiting && !today.fresh ? null : today; // one that was read today does not go by the gauge
  }, [run, readings, gauge.data, water, now, waiting, visibilityM, cloud]);
}

/** What one looks for and when. */
export interface LieQuery {
  readonly size?: SizeClass;
  /** Moment whose sun counts, ms UTC. */
  readonly sunAt?: number;
}

/** This hour's sun and the size that was last chosen. */
export function useUsualQuery(): LieQuery {
  const [session] = useSession();
  const now = useNow(5 * MINUTE_MS);
  const hour = Math.floor(now / HOUR_MS) * HOUR_MS;
  const size = session?.size;
  return useMemo(() => ({ sunAt: hour, ...(size ? { size } : null) }), [hour, size]);
}

export function useLieOptions(water: Water | null | undefined, { size, sunAt: at }: LieQuery): LieOptions {
  const [{ school, flood, ownFish }] = useSettings();
  return useMemo(
    () => lieOptionsOf({ water, settings: { school, ...(flood && { flood }), ...(ownFish && { ownFish }) }, at, size }),
    [school, flood, ownFish, size, at, water],
  );
}

/** A run that was rebuilt, and what for: while the next one is on its way the last stays in sight. */
export interface Surveyed extends Survey {
  readonly of: string;
}

/** A run rebuilt for today: field, lies and what draws them, off the main thread. */
export function useSurvey(
  run: Run | null | undefined,
  reading: Reading | null | undefined,
  water: Water | null | undefined,
  wish: LieQuery = {},
) {
  const options = useLieOptions(water, wish);
  useEffect(wakeRiver, []);
  // The time of a reading does not change the field.
  const key = reading ? { ...reading, at: 0, id: '' } : null;
  return useQuery({
    queryKey: ['survey', run, key, options],
    enabled: !!run && reading !== undefined,
    placeholderData: keepPreviousData,
    gcTime: 60_000,
    retry: false,
    queryFn: async (): Promise<Surveyed> => ({
      ...(await surveyRun(run!, reading ?? null, options)),
      of: JSON.stringify([key, options]),
    }),
  });
}

/** Without a wish: the sun of this hour, and the size of fish that was last chosen. */
export function useRunDay(runId: string | null | undefined, wish?: LieQuery) {
  const usual = useUsualQuery();
  const run = useRecord('run', runId);
  const water = useWater(run?.waterId);
  const today = useToday(run, water);
  const survey = useSurvey(run, today?.reading ?? undefined, water, wish ?? usual);
  return { run, water, today, survey };
}
