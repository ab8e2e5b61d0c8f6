import type { ColourAt } from '../colour/verdict';
import { weatherAt, type WeatherHour } from '../gauge/weather';
import type { Schools } from '../answer/schools';
import { interpolate } from '../maths/interpolate';
import { HOUR_MS } from '../units';
import { COLD_C, MILD_C } from '../water/warmth';
import type { HourOfDay, Light } from './hours';
import { OVERCAST } from './suits';
import { comesIn } from './tides';
import { forceOf } from './wind';

/** How good an hour is beside the best of its season, and what takes most away from it. */
export interface Goodness {
  /** 0: nobody fishes then, to 1. */
  readonly share: number;
  /** Null: nothing takes a tenth. */
  readonly less:
    | 'bright'
    | 'dim'
    | 'cold'
    | 'warm'
    | 'cooling'
    | 'warming'
    | 'wind'
    | 'dirty'
    | 'high'
    | 'low'
    | 'rising'
    | 'tide'
    | null;
}

/** What a light is worth to each school of hours (directions of the trade; common practice, numbers assumed). */
const LIGHT: Readonly<Record<Schools['hours'], Readonly<Record<Light, number>>>> = {
  'ends of the day': { dark: 0, twilight: 0.9, 'low sun': 1, sun: 0.5, 'high sun': 0.25 },
  'all day under cloud': { dark: 0, twilight: 0.8, 'low sun': 1, sun: 1, 'high sun': 1 },
  'warmest hours': { dark: 0, twilight: 0.6, 'low sun': 0.85, sun: 1, 'high sun': 0.9 },
};
/** Under a closed sky the sun is soft at any height. */
const SOFT = 0.9;

/** Appetite by the water’s temperature, °C: trout feed from 4 to 19 °C, most from about 11 to 15 (after Elliott 1976, from memory; the
 * shares between assumed). */
const [WARMTH_C, APPETITE] = [
  [2, 5, 8, 11, 15, 18, 20],
  [0.3, 0.5, 0.75, 1, 1, 0.6, 0.2],
] as const;
/** In cold water an hour that warms is better, in warm one that cools: by so much at half a degree an hour (assumed). */
const [TREND, AT_C_H] = [0.15, 0.5];
const WIND = { light: 1, fresh: 0.85, strong: 0.6 } as const;
/** How much of a fly's worth is left by how far one sees down, m: from three feet on all of it, under a hand and a half little (steps of the
 * bank: common practice, shares assumed). */
const [SEEN_M, FOUND] = [
  [0.15, 0.3, 0.6, 0.9],
  [0.1, 0.4, 0.8, 1],
] as const;
/** A forecast of the colour holds for so long to either side of its moment. */
const COLOUR_MS = 2 * HOUR_MS;
/** How much of a day is left at a level against normal, m: flood spreads fish and fly, bare stones make both shy (directions common
 * practice, shares assumed). */
const [LEVEL_M, FISHED] = [
  [-0.4, -0.15, 0, 0.2, 0.4, 0.8],
  [0.7, 0.9, 1, 1, 0.8, 0.4],
] as const;
/** Water that comes up by so much in an hour, m, unsettles fish, and takes so much (common practice, figures assumed). */
const [COMES_UP_M_H, RISING] = [0.03, 0.7];
/** Where fish come in from the sea, hours away from high water are worth so much less (assumed). */
const NO_TIDE = 0.85;
/** What takes less than this is not told. */
const TOLD = 0.9;

/**
 * How good each half hour of a day is: light by the school at work, warmth and whether it rises or falls, wind, colour; nothing where it
 * is barred; the level, and whether it comes up.
 *
 * @param hours every half hour, in order; @param weather of the day; none: not known
 * @param colours as forecast; none: not known; @param levelAt against normal, m; null: not known
 * @param tides high waters, ms UTC, where fish come in from the sea; none: none do, or not known
 */
export function goodnessOf(
  hours: readonly HourOfDay[],
  school: Schools['hours'],
  weather: readonly Pick<WeatherHour, 'at' | 'cloud' | 'windMps'>[],
  colours: readonly Pick<ColourAt, 'at' | 'medianM'>[] = [],
  levelAt: (at: number) => number | null = () => null,
  tides: readonly number[] = [],
): Goodness[] {
  return hours.map((h, i): Goodness => {
    if (h.barred) return { share: 0, less: null };
    const w = weatherAt(weather, h.at);
    const soft = (w?.cloud ?? 0) >= OVERCAST && (h.light === 'sun' || h.light === 'high sun');
    const light = Math.max(LIGHT[school][h.light], soft ? SOFT : 0);
    const warmth = h.tempC === null ? 1 : interpolate(WARMTH_C, APPETITE, h.tempC);
    const [before, after] = [hours[Math.max(0, i - 2)]!, hours[Math.min(hours.length - 1, i + 2)]!];
    const rate =
      before.tempC === null || after.tempC === null || after.at === before.at
        ? 0
        : ((after.tempC - before.tempC) * HOUR_MS) / (after.at - before.at);
    const tempC = h.tempC ?? MILD_C;
    const wants = tempC < COLD_C ? 1 : tempC >= MILD_C ? -1 : 0;
    const trend = 1 + TREND * Math.max(-1, Math.min(0, (wants * rate) / AT_C_H));
    const wind = w ? WIND[forceOf(w.windMps)] : 1;
    const colour = colours.find((c) => Math.abs(c.at - h.at) <= COLOUR_MS);
    const [levelM, anHourAgoM] = [levelAt(h.at), levelAt(h.at - HOUR_MS)];
    const comesUp = levelM !== null && anHourAgoM !== null && levelM - anHourAgoM >= COMES_UP_M_H;
    const factors = [
      [light, h.light === 'sun' || h.light === 'high sun' ? 'bright' : 'dim'],
      [warmth, tempC < MILD_C ? 'cold' : 'warm'],
      [trend, wants > 0 ? 'cooling' : 'warming'],
      [wind, 'wind'],
      [colour ? interpolate(SEEN_M, FOUND, colour.medianM) : 1, 'dirty'],
      [levelM === null ? 1 : interpolate(LEVEL_M, FISHED, levelM), levelM !== null && levelM > 0 ? 'high' : 'low'],
      [comesUp ? RISING : 1, 'rising'],
      [comesIn(tides, h.at) === false ? NO_TIDE : 1, 'tide'],
    ] as const;
    const [least, less] = factors.reduce((a, b) => (b[0] < a[0] ? b : a));
    return { share: factors.reduce((product, [by]) => product * by, 1), less: least < TOLD ? less : null };
  });
}
