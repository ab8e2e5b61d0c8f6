import { useMemo } from 'react';
import { DAY_LENGTHS } from '@/core/plan/dayLength';
import { dayHours, type FishingWindow, hoursFor, temperatureCourse } from '@/core/plan/hours';
import type { ColourAt } from '@/core/colour/verdict';
import type { WeatherHour } from '@/core/gauge/weather';
import { outOfWater } from '@/core/plan/dam';
import { type DayAsk, type RunToFish } from '@/core/plan/day';
import { runMinutes } from '@/core/plan/minutes';
import { windOnRun, type WindOnRun } from '@/core/plan/wind';
import { checkRun, checkSeason } from '@/core/rules';
import { placeOf } from '@/core/sight/place';
import { sunDay } from '@/core/sight/sun';
import { type Lying, type RunLight, runLight } from '@/core/sight/runLight';
import { meanOf } from '@/core/maths';
import { type Run, TYPICAL_DAY } from '@/core/water';
import { useWeather } from '@/store/weather';
import { useRecords, useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { addDays, startOfDay } from '../shared/time';
import { useGauge } from '../shared/useGauge';
import { useNow } from '../shared/useNow';
import { useColour } from '../shared/useColour';
import { DAY_MS, HOUR_MS } from '@/core/units';

/** Where nobody set them, minutes: the walk; the road. */
export const USUAL_WALK_MIN = 10;
const USUAL_DRIVE_MIN = 30;

/** A sky is called cloudy from so much cloud on, bright up to so much (assumed). */
const [CLOUDY, BRIGHT] = [0.7, 0.35];
export function skyOf(hours: readonly WeatherHour[]): 'bright' | 'cloud' | null {
  if (hours.length === 0) return null;
  const cloud = hours.reduce((sum, h) => sum + h.cloud, 0) / hours.length;
  return cloud >= CLOUDY ? 'cloud' : cloud <= BRIGHT ? 'bright' : null;
}

/** How a run lies to sun and wind. */
export const lyingOf = (run: Run): Lying => ({
  bearingDeg: run.bearingDeg,
  bank: run.bank,
  ...(run.trees ? { trees: run.trees } : null),
  widthM: run.sections.reduce((sum, s) => sum + s.points.at(-1)!.yM - s.points[0]!.yM, 0) / run.sections.length,
});

/** Light and wind on a run through some hours. */
interface RunDay {
  readonly run: Run;
  readonly light: readonly RunLight[];
  readonly winds: readonly WindOnRun[];
}

/** What speaks for a run that day, more for the better: shade under a high sun, no wind, no glare (weights assumed). */
function worthOf(day: RunDay, high: readonly boolean[]): number {
  const shade = meanOf(
    day.light.map((l, i) => (high[i] ? l.shade : 0)),
    (v) => v,
  );
  const glare = meanOf(day.light, (l) => (l.glare ? 1 : 0));
  const wind = meanOf(day.winds, (w) => ({ light: 0, fresh: 0.5, strong: 1.5 })[w.wind.force]);
  return shade - 0.3 * glare - wind;
}

/** A day on a water as it is expected: hours, weather, colour, its runs. */
export function useDayAhead(water: Water, day: string) {
  const now = useNow();
  const [{ units, schools, walkMin = USUAL_WALK_MIN, dayLength = DAY_LENGTHS[0] }] = useSettings();
  const { data: allRuns } = useRecords('run');
  const dayStart = startOfDay(day);
  const until = Math.floor(Math.min(now, startOfDay(addDays(day, 1))) / HOUR_MS) * HOUR_MS;
  const gauge = useGauge(water.stationId, until);
  const weather = useWeather(water, until);
  const colours = useColour(water, until);
  const points = gauge.data?.points;
  const hourly = weather.data?.hours;

  const light = useMemo(() => {
    const place = placeOf(water);
    const sun = place && sunDay(dayStart, place.latDeg, place.lonDeg);
    const ofDay = (hourly ?? []).filter((h) => h.at >= dayStart && h.at < dayStart + DAY_MS);
    const byDay = ofDay.filter((h) => h.at >= (sun?.sunrise ?? dayStart) && h.at <= (sun?.sunset ?? dayStart + DAY_MS));
    const chosen = schools?.hours;
    const hours = dayHours({
      at: place && sun && { ...place, sun },
      ...{ dayStart, rules: water.rules, units, sky: skyOf(byDay) },
      outOfWater: outOfWater(dayStart, water.releases),
      tempAt: temperatureCourse(points ?? [], hourly),
      ...(chosen ? { chosen } : null),
    });
    return { sun, hours, ofDay };
  }, [water, dayStart, points, hourly, schools?.hours, units]);

  const windows = useMemo((): readonly FishingWindow[] => hoursFor(light.hours, dayLength), [light, dayLength]);
  const fished = useMemo(
    () => light.hours.hours.filter((h) => windows.some((w) => h.at >= w.fromAt && h.at <= w.toAt)),
    [light, windows],
  );
  const weatherFished = useMemo(
    () => light.ofDay.filter((w) => fished.some((h) => Math.abs(h.at - w.at) <= HOUR_MS / 2)),
    [light, fished],
  );
  const runs = useMemo(
    () =>
      (allRuns ?? [])
        .filter((r) => r.waterId === water.id)
        .map((run): RunDay => {
          const lying = lyingOf(run);
          const winds = weatherFished.map((w) => windOnRun(lying, w));
          const sunny = fished.map((h) => runLight(lying, { altitudeDeg: h.sunDeg, azimuthDeg: h.azimuthDeg }));
          return { run, light: sunny, winds };
        }),
    [allRuns, water.id, weatherFished, fished],
  );

  // The colour of the middle of the hours to fish; a day that is too far off has none.
  const middle = fished[Math.floor(fished.length / 2)]?.at ?? dayStart + 12 * HOUR_MS;
  const colour = useMemo((): ColourAt | null => {
    const all = colours.forecast.data;
    const at = Math.max(middle, until);
    if (!all || at > all.at(-1)!.at + 2 * HOUR_MS) return null;
    return all.reduce((a, b) => (Math.abs(b.at - at) < Math.abs(a.at - at) ? b : a));
  }, [colours.forecast.data, middle, until]);
  const waterC = useMemo(() => {
    const temps = fished.flatMap((h) => (h.tempC === null ? [] : [h.tempC]));
    return temps.length > 0 ? ([Math.min(...temps), Math.max(...temps)] as const) : null;
  }, [fished]);

  const ask = useMemo((): DayAsk => {
    const conditions = {
      visibilityM: colour?.medianM ?? TYPICAL_DAY.visibilityM,
      waterTempC: waterC?.[1] ?? TYPICAL_DAY.waterTempC,
    };
    const high = fished.map((h) => h.light === 'high sun' || h.light === 'sun');
    const last = hourly?.at(-1)?.at ?? 0;
    return {
      dayStart,
      notBefore: now,
      windows,
      driveMin: water.driveMin ?? USUAL_DRIVE_MIN,
      walkMin,
      runs: runs.map((d): RunToFish => ({
        ...{
          runId: d.run.id,
          name: d.run.name,
          minutes: runMinutes(d.run.lengthM, conditions),
          worth: worthOf(d, high),
        },
        barred: checkRun(water.rules, d.run.id)[0] ?? null,
      })),
      releases: water.releases ?? [],
      lastLightAt: light.sun?.lastLight ?? null,
      sunsetAt: light.sun?.sunset ?? null,
      rainMm:
        hourly && dayStart < last
          ? (from, to) => hourly.reduce((sum, h) => sum + (h.at > from && h.at <= to ? h.rainMm : 0), 0)
          : null,
    };
  }, [dayStart, now, light, windows, water, walkMin, runs, colour, waterC, fished, hourly]);

  return {
    ...{ now, dayStart, gauge, weather, colours, colour, waterC, runs, fished, ask },
    ...{ sun: light.sun, hours: light.hours, weatherFished },
    closed: checkSeason(water.rules, day.slice(5))[0] ?? null,
    /** Everything that is asked has been answered, or has failed. */
    settled: !weather.isPending && !colours.pending,
  };
}
export type DayAhead = ReturnType<typeof useDayAhead>;
