import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { LieOptions, SizeClass } from '@/core/lies';
import { sunAt } from '@/core/sight';
import type { Reading, Run } from '@/core/water';
import { useGauge } from '@/store/gauge';
import { useRecord, useRecords, useSession, useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { surveyRun } from '@/workers/river';
import { dayOf } from './time';
import { useNow } from './useNow';

const HOUR = 3_600_000;
/** What is taken where nothing was read: typical water, said to be so on the screen. */
const TYPICAL = { visibilityM: 1.2, atLeast: false, colour: 'green', sky: 'broken' } as const;
const LIES = 5;

export interface Today {
  readonly reading: Reading;
  /** Where it comes from, in words. */
  readonly source: string;
  readonly fresh: boolean;
}

/** The reading in force for a run: today's, or the last one with the gauge's level of now, or what is typical. */
function useToday(run: Run | null | undefined, water: Water | null | undefined): Today | null {
  const { data: readings } = useRecords('reading');
  const now = useNow(5 * 60_000);
  const gauge = useGauge(water?.stationId ?? null, Math.floor(now / HOUR) * HOUR);
  return useMemo(() => {
    if (!run || !readings) return null;
    const last = readings
      .filter((r) => r.runId === run.id)
      .reduce<Reading | null>((b, r) => (b && b.at > r.at ? b : r), null);
    if (last && dayOf(last.at) === dayOf(now)) return { reading: last, source: 'read today', fresh: true };
    const point = gauge.data?.points[gauge.data.points.length - 1];
    const reading: Reading = {
      id: 'typical',
      runId: run.id,
      at: now,
      levelM:
        point && water?.normalStageM !== null
          ? Math.round((point.stageM - (water?.normalStageM ?? 0)) * 100) / 100
          : (last?.levelM ?? run.levelM),
      ...TYPICAL,
      speed: null,
      ...(point && water?.normalStageM !== null ? { levelFrom: 'gauge' as const } : null),
      ...(point && Number.isFinite(point.flowM3s) ? { flowM3s: point.flowM3s } : null),
      waterTempC: point && Number.isFinite(point.tempC) ? Math.round(point.tempC * 10) / 10 : null,
    };
    return {
      reading,
      source: point ? 'not read today; level from the gauge' : 'not read today; taken as typical',
      fresh: false,
    };
  }, [run, readings, gauge.data, water, now]);
}

/** What one looks for and when. */
export interface Wish {
  readonly size?: SizeClass;
  /** Moment whose sun counts, ms UTC. */
  readonly sunAt?: number;
}

/** This hour's sun and the size that was last chosen. */
export function useUsualWish(): Wish {
  const [session] = useSession();
  const now = useNow(5 * 60_000);
  const hour = Math.floor(now / HOUR) * HOUR;
  const size = session?.size;
  return useMemo(() => ({ sunAt: hour, ...(size ? { size } : null) }), [hour, size]);
}

export function useLieOptions(water: Water | null | undefined, { size, sunAt: at }: Wish): LieOptions {
  const [{ school, flood }] = useSettings();
  const quarry = water?.quarry ?? 'brown trout';
  return useMemo(() => {
    const sun = water && at !== undefined ? sunAt(at, water.latDeg, water.lonDeg) : undefined;
    return {
      quarry,
      school,
      most: LIES,
      ...(flood ? { flood } : null),
      ...(size ? { size } : null),
      ...(sun ? { sun } : null),
    };
  }, [quarry, school, flood, size, at, water]);
}

/** A run rebuilt for today: field, lies and what draws them, off the main thread. */
export function useSurvey(
  run: Run | null | undefined,
  reading: Reading | null | undefined,
  water: Water | null | undefined,
  wish: Wish = {},
) {
  const options = useLieOptions(water, wish);
  // The time of a reading does not change the field.
  const key = reading ? { ...reading, at: 0, id: '' } : null;
  return useQuery({
    queryKey: ['survey', run, key, options],
    enabled: !!run && reading !== undefined,
    placeholderData: keepPreviousData,
    gcTime: 60_000,
    retry: false,
    queryFn: () => surveyRun(run!, reading ?? null, options),
  });
}

/** Without a wish: the sun of this hour, and the size of fish that was last chosen. */
export function useRunDay(runId: string | null | undefined, wish?: Wish) {
  const usual = useUsualWish();
  const run = useRecord('run', runId);
  const water = useRecord('water', run?.waterId);
  const today = useToday(run, water);
  const survey = useSurvey(run, today?.reading ?? undefined, water, wish ?? usual);
  return { run, water, today, survey };
}
