import { stopsAtC, type WaterRules } from '../rules';
import { type Place, sunAt, type SunDay } from '../sight';
import { groupBy } from '../maths/groups';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../units';
// not the barrel: this weighs on the first screen
import { COLD_C, MILD_C } from '../water/warmth';
import type { Schools } from '../answer/schools';
import type { DayLength } from './dayLength';

/** Where the sun is: the light that fish and angler have. */
export const LIGHTS = ['dark', 'twilight', 'low sun', 'sun', 'high sun'] as const;
export type Light = (typeof LIGHTS)[number];
/** Lowest altitude of each, degrees: civil twilight; a sun low enough for soft light; one under which fish lie deep or under cover
 * (common practice, no source). */
const FROM_DEG: readonly (readonly [number, Light])[] = [
  [35, 'high sun'],
  [12, 'sun'],
  [-0.833, 'low sun'],
  [-6, 'twilight'],
];
export const lightAt = (sunDeg: number): Light => FROM_DEG.find(([deg]) => sunDeg >= deg)?.[1] ?? 'dark';

export interface HourOfDay {
  /** ms UTC */
  readonly at: number;
  readonly sunDeg: number;
  readonly azimuthDeg: number;
  readonly light: Light;
  /** As the gauge's last days suggest; null: not known. */
  readonly tempC: number | null;
  /** Why not then, or null. */
  readonly barred: Barred | null;
}

/** Why nobody fishes at an hour. */
export type Barred =
  | { readonly code: 'dam release' }
  | { readonly code: 'closed'; readonly hours: NonNullable<WaterRules['hours']> }
  | { readonly code: 'too warm'; readonly tempC: number };

/** Why a school of hours is at work. */
export type HoursBecause =
  | { readonly code: 'chosen' | 'under cloud' | 'low sun all day' | 'bright sky' | 'sky not said' | 'no place' }
  | { readonly code: 'cold water'; readonly warmestC: number }
  | { readonly code: 'cooling'; readonly fromC: number; readonly toC: number };
export interface FishingWindow {
  readonly fromAt: number;
  readonly toAt: number;
}
interface DayHours {
  readonly school: Schools['hours'];
  /** Why that one is at work. */
  readonly because: HoursBecause;
  /** The best hours by it; none where rules and water leave none. */
  readonly windows: readonly FishingWindow[];
  /** All hours worth being on the water, the best among them. */
  readonly long: readonly FishingWindow[];
  /** Every half hour from the first moment of the day. */
  readonly hours: readonly HourOfDay[];
}

export interface HoursAsk {
  /** First moment of the local day, ms UTC. */
  readonly dayStart: number;
  /** Where, with the day’s sun there; null: not known, then no hours can be told. */
  readonly at: (Place & { readonly sun: SunDay }) | null;
  readonly tempAt: ((at: number) => number) | null;
  /** What the sky is expected to be; null: not said. */
  readonly sky: 'bright' | 'cloud' | null;
  readonly rules: Pick<WaterRules, 'hours' | 'closesAtC'> | null;
  /** When nobody is in the water: dam releases and the hour after; not said: none. */
  readonly outOfWater?: readonly FishingWindow[];
  /** What the angler chose; not said: what is usual. */
  readonly chosen?: Schools['hours'];
}

/** Each end of the day after sunrise and before sunset, h; the warmest hours, h (handbook of the trade: a few good ones). */
const [END_H, WARMEST_H] = [2.5, 4];
/** Who is out for a whole day fishes on so long after sunrise, and from so long before sunset (assumed). */
const LONG_END_H = 4.5;
/** The middle of the warmest hours is so long after noon by the sun, h: the afternoon, when the sun has worked (common practice). */
const [SOONEST_PEAK_H, LATEST_PEAK_H] = [1, 3];
/** Unless the morning is warmer by more than this, °C: of less no fish takes notice, and the forecast knows it no better (assumed). */
const COOLS_C = 0.5;
/** Around the warmest hours one is on the water so much earlier, h, and until sunset (assumed). */
const BEFORE_WARMEST_H = 2;
/** Who is not out for the dusk stops so long before dark, h. */
const BEFORE_DARK_H = 0.5;
const STEP = HOUR_MS / 2;

/** A sun that never stands higher than this is a low one (common practice, no source). */
export const LOW_ALL_DAY_DEG = 25;

function schoolOf(
  { sky, chosen }: HoursAsk,
  sun: SunDay,
  warmestC: number | null,
): Pick<DayHours, 'school' | 'because'> {
  if (chosen) return { school: chosen, because: { code: 'chosen' } };
  if (warmestC !== null && warmestC < COLD_C)
    return { school: 'warmest hours', because: { code: 'cold water', warmestC } };
  if (sky === 'cloud') return { school: 'all day under cloud', because: { code: 'under cloud' } };
  // Nothing drives fish down or under cover then: neither a high sun nor warm water.
  if (sun.highestDeg < LOW_ALL_DAY_DEG && (warmestC ?? 0) < MILD_C)
    return { school: 'all day under cloud', because: { code: 'low sun all day' } };
  return { school: 'ends of the day', because: { code: sky === 'bright' ? 'bright sky' : 'sky not said' } };
}

/** The stretches of hours that are not barred, within those that the school names. */
function open(hours: readonly HourOfDay[], spans: readonly FishingWindow[]): FishingWindow[] {
  const out: FishingWindow[] = [];
  for (const { fromAt, toAt } of spans) {
    let from: number | null = null;
    for (const h of [...hours, null]) {
      const inside = h !== null && h.at + STEP > fromAt && h.at < toAt && h.barred === null;
      if (inside) from ??= Math.max(fromAt, h.at);
      else if (from !== null) {
        out.push({ fromAt: from, toAt: Math.min(toAt, h?.at ?? toAt) });
        from = null;
      }
    }
  }
  return out.filter((w) => w.toAt - w.fromAt >= STEP);
}

const warmestOf = (hours: readonly HourOfDay[]): HourOfDay | null =>
  hours.reduce<HourOfDay | null>((a, b) => (a && a.tempC! >= b.tempC! ? a : b), null);

/** An hour at either end of the best ones that is worth less than this of the best hour of the day is none of them (assumed); so much is
 * left of each stretch, however poor. */
const [WORTH_IT, LEAST_STRETCH_MS] = [0.5, HOUR_MS];
/**
 * The best hours by how good each is: those that a school names, less what is poor at their ends.
 *
 * @param good how good each half hour is, 0 to 1
 */
export function bestOf(
  windows: readonly FishingWindow[],
  good: readonly { readonly at: number; readonly share: number }[],
): FishingWindow[] {
  const inside = (w: FishingWindow) => good.filter((g) => g.at + STEP > w.fromAt && g.at < w.toAt);
  const enough = WORTH_IT * Math.max(0, ...windows.flatMap(inside).map((g) => g.share));
  return windows.map((w) => {
    const worth = inside(w).filter((g) => g.share >= enough);
    const [first, last] = [worth[0], worth.at(-1)];
    if (!first || !last) return w;
    const [fromAt, toAt] = [Math.max(w.fromAt, first.at), Math.min(w.toAt, last.at + STEP)];
    return toAt - fromAt >= Math.min(LEAST_STRETCH_MS, w.toAt - w.fromAt) ? { fromAt, toAt } : w;
  });
}

/** What of a school's hours is none of the best, and what takes most of it; null: nothing takes a tenth. */
export interface LeftOut<Less> extends FishingWindow {
  readonly less: Less;
}

/**
 * What was cut off a school's hours, with what most of its half hours lack.
 *
 * @param best of the windows, as bestOf cuts them
 */
export function leftOut<Less>(
  windows: readonly FishingWindow[],
  best: readonly FishingWindow[],
  good: readonly { readonly at: number; readonly less: Less }[],
): LeftOut<Less>[] {
  return windows.flatMap((w, i) => {
    const kept = best[i] ?? w;
    const ends = [
      { fromAt: w.fromAt, toAt: kept.fromAt },
      { fromAt: kept.toAt, toAt: w.toAt },
    ];
    return ends.flatMap((end) => {
      const [first] = [
        ...groupBy(
          good.filter((g) => g.at + STEP > end.fromAt && g.at < end.toAt),
          (g) => g.less,
        ),
      ].sort(([, a], [, b]) => b.length - a.length);
      return end.toAt > end.fromAt && first ? [{ ...end, less: first[0] }] : [];
    });
  });
}

/** Half a day, and an evening, h. */
const [HALF_DAY_H, EVENING_H] = [5, 4];
/** Less than a fifth of an hour’s worth decides nothing. */
const LEAST_SHARES = 5;
const overlapMs = (w: FishingWindow, spans: readonly FishingWindow[]): number =>
  spans.reduce((sum, s) => sum + Math.max(0, Math.min(w.toAt, s.toAt) - Math.max(w.fromAt, s.fromAt)), 0);

/**
 * The hours on the water for as long as one wants to fish: half a day holds as much of the best as it can, rather later.
 *
 * @param good how good each half hour is, 0 to 1; not said: those of the windows twice as good as the others
 */
export function hoursFor(
  { windows, long }: Pick<DayHours, 'windows' | 'long'>,
  length: DayLength,
  good?: readonly { readonly at: number; readonly share: number }[],
): FishingWindow[] {
  if (length === 'best hours') return [...windows];
  const [from, to] = [long[0]?.fromAt ?? 0, long.at(-1)?.toAt ?? 0];
  const half = HALF_DAY_H * HOUR_MS;
  const within = (fromAt: number, toAt: number) =>
    long
      .map((w) => ({ fromAt: Math.max(w.fromAt, fromAt), toAt: Math.min(w.toAt, toAt) }))
      .filter((w) => w.toAt - w.fromAt >= STEP);
  if (length === 'evening') return within(to - EVENING_H * HOUR_MS, to);
  if (length === 'whole day' || to - from <= half) return [...long];
  const worth = (fromAt: number) => {
    const w = { fromAt, toAt: fromAt + half };
    if (good) {
      const inside = good.filter(
        (g) => g.at >= fromAt && g.at < w.toAt && long.some((l) => g.at >= l.fromAt && g.at < l.toAt),
      );
      return Math.round(LEAST_SHARES * inside.reduce((sum, g) => sum + g.share, 0));
    }
    return Math.round((2 * overlapMs(w, windows) + overlapMs(w, long)) / STEP); // minutes decide nothing
  };
  const begins = [
    ...Array.from({ length: Math.ceil((to - half - from) / STEP) }, (_, i) => from + i * STEP),
    to - half,
  ];
  const best = begins.reduce((a, b) => (worth(b) >= worth(a) ? b : a));
  return within(best, best + half);
}

/** Light, temperature, rules and the school of hours through one day: when to fish, and why. */
export function dayHours(ask: HoursAsk): DayHours {
  const { dayStart, tempAt, rules } = ask;
  if (!ask.at) {
    const school = ask.chosen ?? 'ends of the day';
    return { school, because: { code: 'no place' }, windows: [], long: [], hours: [] };
  }
  const { sun, latDeg, lonDeg } = ask.at;
  const limit = stopsAtC(rules?.closesAtC ?? null);
  const hours = Array.from({ length: 48 }, (_, i): HourOfDay => {
    const at = dayStart + i * STEP;
    const { altitudeDeg, azimuthDeg } = sunAt(at, latDeg, lonDeg);
    const tempC = tempAt?.(at) ?? null;
    const allowed = rules?.hours;
    const outside =
      allowed &&
      sun.sunrise !== null &&
      sun.sunset !== null &&
      (at < sun.sunrise - allowed.beforeSunriseMin * MINUTE_MS || at > sun.sunset + allowed.afterSunsetMin * MINUTE_MS);
    return {
      ...{ at, sunDeg: altitudeDeg, azimuthDeg, light: lightAt(altitudeDeg), tempC },
      barred: ask.outOfWater?.some((w) => at + STEP > w.fromAt && at < w.toAt)
        ? { code: 'dam release' }
        : outside
          ? { code: 'closed', hours: allowed }
          : tempC !== null && tempC >= limit
            ? { code: 'too warm', tempC }
            : null,
    };
  });
  const rise = sun.sunrise ?? sun.firstLight ?? dayStart;
  const set = sun.sunset ?? sun.lastLight ?? dayStart + DAY_MS;
  const [first, last] = [sun.firstLight ?? rise, sun.lastLight ?? set];
  // A river that cools is warmest in the night before: by day it is that one fishes.
  const byDay = hours.filter((h) => h.at >= first && h.at <= last && h.tempC !== null);
  const warmest = warmestOf(byDay);
  const afternoon = warmestOf(
    byDay.filter((h) => h.at >= sun.noon + SOONEST_PEAK_H * HOUR_MS && h.at <= sun.noon + LATEST_PEAK_H * HOUR_MS),
  );
  const cools = warmest && afternoon && warmest.at < afternoon.at && warmest.tempC! - afternoon.tempC! > COOLS_C;
  const told = schoolOf(ask, sun, warmest?.tempC ?? null);
  const { school } = told;
  const because: HoursBecause =
    cools && told.because.code === 'cold water'
      ? { code: 'cooling', fromC: warmest.tempC!, toC: afternoon.tempC! }
      : told.because;
  const peak = (cools ? warmest : afternoon)?.at ?? sun.noon + 2 * HOUR_MS;
  const home = last - BEFORE_DARK_H * HOUR_MS;
  const warmFrom = Math.max(first, Math.min(peak - (WARMEST_H * HOUR_MS) / 2, home - WARMEST_H * HOUR_MS));
  const ends = (hours: number): FishingWindow[] =>
    set - rise > 2 * hours * HOUR_MS
      ? [
          { fromAt: first, toAt: rise + hours * HOUR_MS },
          { fromAt: set - hours * HOUR_MS, toAt: last },
        ]
      : [{ fromAt: first, toAt: last }];
  const spans: Readonly<Record<Schools['hours'], readonly FishingWindow[]>> = {
    'ends of the day': ends(END_H),
    'warmest hours': [{ fromAt: warmFrom, toAt: Math.min(home, warmFrom + WARMEST_H * HOUR_MS) }],
    'all day under cloud': [{ fromAt: rise, toAt: set }],
  };
  const long: typeof spans = {
    'ends of the day': ends(LONG_END_H),
    'warmest hours': [
      { fromAt: Math.max(first, warmFrom - BEFORE_WARMEST_H * HOUR_MS), toAt: Math.max(set, warmFrom) },
    ],
    'all day under cloud': [{ fromAt: rise, toAt: last }],
  };
  return { school, because, windows: open(hours, spans[school]), long: open(hours, long[school]), hours };
}
