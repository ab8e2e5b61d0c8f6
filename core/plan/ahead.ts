import type { ColourAt } from '../colour/verdict';
import type { GaugePoint, WeatherHour } from '../gauge';
import { weatherAt } from '../gauge/weather';
import type { Schools } from '../answer/schools';
import { MIGRANTS, type Quarry } from '../lies/suitability';
import { clamp, meanOf, nearestTo } from '../maths';
import { checkRun, type WaterRules } from '../rules';
import type { Place } from '../sight/place';
import { sunDay } from '../sight/sun';
import { DAY_MS, HOUR_MS } from '../units';
import { type Run, TYPICAL_DAY } from '../water';
import { outOfWater } from './dam';
import type { DayAsk, RunToFish } from './dayAsk';
import type { DayLength, SkySaid } from './dayLength';
import { goodnessOf } from './goodness';
import { bestOf, dayHours, hoursFor, type HoursAsk, leftOut } from './hours';
import { type LevelAt, levelCourse } from './levels';
import { runMinutes } from './minutes';
import { type Span, spanOn } from './spans';
import { suitsAt } from './suits';
import { highWatersOn } from './tides';
import { temperatureCourse } from './temperature';

/** Where nobody set them, minutes: the walk; the road. */
export const USUAL_WALK_MIN = 10;
const USUAL_DRIVE_MIN = 30;

/** A sky is called cloudy from so much cloud on, bright up to so much (assumed). */
const [CLOUDY, BRIGHT] = [0.7, 0.35];
export function skyOf(hours: readonly Pick<WeatherHour, 'cloud'>[]): HoursAsk['sky'] {
  if (hours.length === 0) return null;
  const cloud = meanOf(hours, (h) => h.cloud);
  return cloud >= CLOUDY ? 'cloud' : cloud <= BRIGHT ? 'bright' : null;
}

/** All that a day on a water is expected from. */
export interface AheadAsk {
  readonly place: Place | null;
  /** First moment of the local day, ms UTC. */
  readonly dayStart: number;
  readonly water: {
    readonly rules: WaterRules | null;
    readonly quarry: Quarry;
    readonly releases?: readonly Span[];
    /** High waters below it, ms UTC. */
    readonly tides?: readonly number[];
    readonly driveMin?: number | null;
  };
  /** Its runs. */
  readonly runs: readonly Run[];
  /** Of the gauge, oldest first; none: not known. */
  readonly points: readonly GaugePoint[];
  /** As foretold; none: not known. */
  readonly weather: readonly WeatherHour[];
  /** As foretold; none: not known. */
  readonly colours: readonly ColourAt[];
  /** As the gauge told them and as forecast; none: not known. */
  readonly levels: readonly LevelAt[];
  /** Until when the gauge was heard, ms UTC. */
  readonly heardAt: number;
  /** What one says of the sky counts before what is foretold; null: nothing was said. */
  readonly sky: SkySaid | null;
  /** What the angler chose; null: as is usual. */
  readonly chosen: Schools['hours'] | null;
  readonly length: DayLength;
  readonly walkMin: number;
  /** When one wants to be home again, minutes since midnight; null: when it is dark. */
  readonly backMin: number | null;
}

/** A day on a water as it is expected: sun and hours, weather, colour and temperature while one fishes, and what the day is laid out by. */
export function dayAhead(a: AheadAsk) {
  const { place, dayStart, water } = a;
  const sun = place && sunDay(dayStart, place.latDeg, place.lonDeg);
  const ofDay = a.weather.filter((h) => h.at >= dayStart && h.at < dayStart + DAY_MS);
  const byDay = ofDay.filter((h) => h.at >= (sun?.sunrise ?? dayStart) && h.at <= (sun?.sunset ?? dayStart + DAY_MS));
  const foretold = skyOf(byDay);
  const sky = a.sky ?? foretold ?? 'not said';
  const tempAt = temperatureCourse(a.points, a.weather);
  const bySchool = dayHours({
    at: place && sun && { ...place, sun },
    ...{ dayStart, tempAt, rules: water.rules, outOfWater: outOfWater(dayStart, water.releases) },
    sky: sky === 'not said' ? null : sky,
    ...(a.chosen ? { chosen: a.chosen } : null),
  });
  const levelAt = levelCourse(a.levels);
  const tides = MIGRANTS.has(water.quarry) ? (water.tides ?? []) : [];
  const good = goodnessOf(bySchool.hours, bySchool.school, ofDay, a.colours, levelAt, tides).map((g, i) => ({
    at: bySchool.hours[i]!.at,
    ...g,
  }));
  const best = bestOf(bySchool.windows, good);
  const hours = { ...bySchool, windows: best, leftOut: leftOut(bySchool.windows, best, good) };
  const windows = hoursFor(hours, a.length, good);
  const fished = hours.hours.filter((h) => windows.some((w) => h.at >= w.fromAt && h.at <= w.toAt));
  const weatherFished = ofDay.filter((w) => fished.some((h) => Math.abs(h.at - w.at) <= HOUR_MS / 2));
  const temps = fished.flatMap((h) => (h.tempC === null ? [] : [h.tempC]));
  const waterC = temps.length > 0 ? ([Math.min(...temps), Math.max(...temps)] as const) : null;
  // The colour of the middle of the hours to fish; a day that is too far off has none.
  const middle = Math.max(fished[Math.floor(fished.length / 2)]?.at ?? dayStart + 12 * HOUR_MS, a.heardAt);
  const reaches = a.colours.length > 0 && middle <= a.colours.at(-1)!.at + 2 * HOUR_MS;
  const colour = reaches ? nearestTo(a.colours, middle) : null;
  const conditions = {
    visibilityM: colour?.medianM ?? TYPICAL_DAY.visibilityM,
    waterTempC: waterC?.[1] ?? TYPICAL_DAY.waterTempC,
  };
  /** How a run suits each half hour, worked out once; a moment between two is of the earlier where it is as near. */
  const suits = (run: Run): RunToFish['suits'] => {
    const byHalf = hours.hours.map((hour) =>
      suitsAt(run, hour, weatherAt(ofDay, hour.at), sun!.noon, levelAt(hour.at)),
    );
    return (at) => byHalf[clamp(Math.ceil((2 * (at - dayStart)) / HOUR_MS - 0.5), 0, byHalf.length - 1)]!;
  };
  const ask: Omit<DayAsk, 'notBefore'> = {
    ...{ dayStart, windows, walkMin: a.walkMin },
    driveMin: water.driveMin ?? USUAL_DRIVE_MIN,
    runs: a.runs.map((run): RunToFish => ({
      ...{ runId: run.id, name: run.name, minutes: runMinutes(run.lengthM, conditions), suits: suits(run) },
      downM: run.downM ?? null,
      barred: checkRun(water.rules, run.id)[0] ?? null,
    })),
    releases: water.releases ?? [],
    backBy: a.backMin === null ? null : spanOn(dayStart, { fromMin: a.backMin, toMin: 1440 }).fromAt,
    ...{ lastLightAt: sun?.lastLight ?? null, sunsetAt: sun?.sunset ?? null, dusk: hours.school === 'ends of the day' },
    rainMm:
      dayStart < (a.weather.at(-1)?.at ?? 0)
        ? (from, to) => a.weather.reduce((sum, h) => sum + (h.at > from && h.at <= to ? h.rainMm : 0), 0)
        : null,
  };
  return {
    sun,
    hours,
    good,
    highWaters: highWatersOn(tides, dayStart),
    sky,
    foretold,
    ofDay,
    fished,
    weatherFished,
    waterC,
    colour,
    ask,
  };
}
