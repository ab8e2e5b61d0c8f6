import { useMemo } from 'react';
import type { GaugePoint, WeatherHour } from '@/core/gauge';
import type { ColourAt } from '@/core/colour/verdict';
import { dayAhead, USUAL_WALK_MIN } from '@/core/plan/ahead';
import { levelsOf } from '@/core/plan/levels';
import { DAY_LENGTHS } from '@/core/plan/dayLength';
import type { DayAsk } from '@/core/plan/dayAsk';
import { checkSeason } from '@/core/rules';
import { placeOf } from '@/core/sight/place';
import { useWeather } from '@/store/weather';
import { useRecords, useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { addDays, startOfDay } from '../shared/time';
import { useGauge } from '../shared/useGauge';
import { useNow } from '../shared/useNow';
import { useColour } from '../shared/useColour';
import { useTrip } from './useTrip';
import { HOUR_MS } from '@/core/units';

/** The same lists each time, so that nothing is worked out anew. */
const NO_POINTS: readonly GaugePoint[] = [];
const NO_WEATHER: readonly WeatherHour[] = [];
const NO_COLOURS: readonly ColourAt[] = [];

/** A day on a water as it is expected: hours, weather, colour, its runs. */
export function useDayAhead(water: Water, day: string) {
  const now = useNow();
  const [{ schools, walkMin = USUAL_WALK_MIN, dayLength = DAY_LENGTHS[0] }] = useSettings();
  const [trip] = useTrip(water.id, day);
  const { data: allRuns } = useRecords('run');
  const dayStart = startOfDay(day);
  const until = Math.floor(Math.min(now, startOfDay(addDays(day, 1))) / HOUR_MS) * HOUR_MS;
  const gauge = useGauge(water.stationId, until);
  const weather = useWeather(water, until);
  const colours = useColour(water, until);
  const points = gauge.data?.points ?? NO_POINTS;
  const hourly = weather.data?.hours ?? NO_WEATHER;
  const forecast = colours.forecast.data ?? NO_COLOURS;
  const normalM = water.normalStageM;
  const levels = useMemo(() => levelsOf(points, colours.level, normalM), [points, colours.level, normalM]);
  const sky = trip?.sky ?? null;
  const backMin = trip?.backMin ?? null;
  const chosen = schools?.hours ?? null;

  const runs = useMemo(() => (allRuns ?? []).filter((r) => r.waterId === water.id), [allRuns, water.id]);
  const ahead = useMemo(
    () =>
      dayAhead({
        ...{ place: placeOf(water), dayStart, water, runs, points, sky, chosen, walkMin, backMin },
        ...{ weather: hourly, colours: forecast, levels, heardAt: until, length: dayLength },
      }),
    [water, dayStart, runs, points, sky, chosen, walkMin, backMin, hourly, forecast, levels, until, dayLength],
  );
  const ask = useMemo((): DayAsk => ({ ...ahead.ask, notBefore: now }), [ahead, now]);
  return {
    ...ahead,
    ...{ ask, now, dayStart, gauge, weather, colours, runs, points },
    closed: checkSeason(water.rules, day.slice(5))[0] ?? null,
    /** Everything that is asked has been answered, or has failed. */
    settled: !weather.isPending && !colours.pending,
  };
}
export type DayAhead = ReturnType<typeof useDayAhead>;
