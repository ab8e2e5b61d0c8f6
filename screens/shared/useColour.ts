import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { isRead } from '@/core/water/reading';
import type { ColourReading, HydroPoint, River } from '@/core/colour';
import type { GaugePoint } from '@/core/gauge';
import { withoutStuck } from '@/core/gauge/feed';
import { useWeather } from '@/store/weather';
import { useRecords } from '@/store/hooks';
import type { Water } from '@/store/records';
import { clearingOf, colourAt, type ColourRequest, colourRecordOf, levelAt, levelRecordOf } from '@/workers/river';
import { dayOf, startOfDay } from './time';
import { useGauge, useGaugeYear } from './useGauge';
import { HOUR_MS, MINUTE_MS } from '@/core/units';

/** The past that is drawn, and what is asked ahead, h; every so many. */
const [PAST_H, AHEAD_H, STEP_H] = [72, 48, 4];
/** Where nobody said it: the commonest, and its prior is wide. */
const USUAL_RIVER: River = { kind: 'spate', peaty: false };

/** A forecast is of use for as long as one goes to and fro between screens. */
const KEPT_MS = 10 * MINUTE_MS;

const hydro = ({ at, stageM, flowM3s, rainMm }: GaugePoint): HydroPoint => ({
  at,
  stageM: Number.isFinite(stageM) ? stageM : null,
  flowM3s: Number.isFinite(flowM3s) ? flowM3s : null,
  ...(rainMm === undefined || rainMm === null ? null : { rainMm }),
});
const told = ({ stageM, flowM3s }: HydroPoint): boolean => stageM !== null || flowM3s !== null;

/** Readings of any run of a water, as they bear on its colour. */
function useColourReadings(waterId: string | null): readonly ColourReading[] | undefined {
  const { data: readings } = useRecords('reading');
  const { data: runs } = useRecords('run');
  return useMemo(() => {
    if (!readings || !runs) return undefined;
    const own = new Set(runs.filter((r) => r.waterId === waterId).map((r) => r.id));
    return readings
      .filter((r) => own.has(r.runId) && isRead(r, 'visibility'))
      .map(({ at, visibilityM, atLeast }) => ({ at, visibilityM, atLeast }))
      .sort((a, b) => a.at - b.at);
  }, [readings, runs, waterId]);
}

const NO_POINTS: readonly GaugePoint[] = [];
const NO_READINGS: readonly ColourReading[] = [];

/** A water's colour, past and two days ahead, from its gauge and one's own readings, and the level that its gauge will tell; of no water
 * nothing is asked. */
export function useColour(water: Water | null, until: number) {
  const stationId = water?.stationId ?? null;
  const river = water?.river ?? USUAL_RIVER;
  const weather = useWeather(water, until);
  const lately = useGauge(stationId, until);
  const year = useGaugeYear(stationId, until);
  const readings = useColourReadings(water?.id ?? null);
  const ask = useMemo<ColourRequest | null>(() => {
    const fine = lately.data?.points;
    if (!fine || fine.length === 0 || !readings) return null;
    const begin = fine[0]!.at;
    const series = [...(year.data?.points ?? []).filter((p) => p.at < begin), ...withoutStuck(fine)]
      .map(hydro)
      .filter(told);
    if (series.length === 0) return null;
    const last = series.at(-1)!.at;
    const moments: number[] = [];
    for (let h = -PAST_H; h <= AHEAD_H; h += STEP_H) moments.push(last + h * HOUR_MS);
    // Older than the gauge's last word a forecast tells of nothing that is to come.
    const rainAhead = (weather.data?.hours ?? []).filter((h) => h.at > last);
    return {
      rainAhead,
      ...{ river, series, ask: moments.filter((at) => at >= series[0]!.at) },
      readings: readings.filter((r) => r.at >= series[0]!.at && r.at <= last),
    };
  }, [lately.data, year.data, weather.data, readings, river]);
  const settled = ask !== null && !year.isPending && !weather.isPending;
  const key = ['colour', water?.id, river, ask?.series.at(-1)?.at, ask?.series.length, ask?.readings, ask?.rainAhead];
  const forecast = useQuery({
    queryKey: key,
    enabled: settled,
    retry: false,
    gcTime: KEPT_MS,
    queryFn: () => colourAt(ask!),
  });
  const level = useQuery({
    queryKey: ['level', ...key.slice(1, 5), ask?.rainAhead],
    enabled: settled,
    retry: false,
    gcTime: KEPT_MS,
    queryFn: () => levelAt(ask!),
  });
  return {
    forecast,
    /** From the gauge's last value on; null: not known. */
    level: level.data ?? null,
    /** Something that was asked has not been answered yet. */
    pending:
      stationId !== null &&
      (lately.isPending ||
        year.isPending ||
        weather.isPending ||
        (ask !== null && !(forecast.isFetched && level.isFetched))),
    /** What was asked and under which key, for what is asked beside it. */
    asked: forecast.isSuccess ? { ask: ask!, key } : null,
    last: ask?.series.at(-1)?.at ?? null,
    readings: ask?.readings ?? NO_READINGS,
    /** The gauge's last days. */
    lately: lately.data?.points ?? NO_POINTS,
    /** Rain is in it; else why not. */
    rain: weather.data ? null : (weather.error?.message ?? null),
  };
}

/** How such forecasts did before, and how the river is believed to clear: seconds of work, for the page that shows them. */
export function useColourPast(asked: ReturnType<typeof useColour>['asked']) {
  const key = asked?.key ?? [];
  const clears = useQuery({
    queryKey: ['clears', ...key.slice(1, 6)],
    enabled: asked !== null,
    retry: false,
    gcTime: 60_000,
    queryFn: () => clearingOf(asked!.ask),
  });
  const record = useQuery({
    queryKey: [...key, 'record'],
    enabled: asked !== null && asked.ask.readings.length > 0,
    retry: false,
    gcTime: 60_000,
    queryFn: ({ signal }) => colourRecordOf(asked!.ask, { signal }),
  });
  const today = dayOf(asked?.ask.series.at(-1)?.at ?? 0);
  const levels = useQuery({
    queryKey: ['level record', ...key.slice(1, 5), today],
    enabled: asked !== null,
    retry: false,
    gcTime: 60_000,
    queryFn: ({ signal }) => levelRecordOf(asked!.ask, startOfDay(today), { signal }),
  });
  return { record: record.data ?? null, levels: levels.data ?? null, clears: clears.data ?? null };
}
