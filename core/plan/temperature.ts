import type { GaugePoint, WeatherHour } from '../gauge';
import { groupBy, interpolate, meanOf } from '../maths';
import { DAY_MS, HOUR_MS } from '../units';

/** So many past days tell how a water warms and cools. */
const PAST_DAYS = 3;
/** Over a longer gap between two values nothing is said of how fast it warmed, h. */
const LONGEST_GAP_H = 3;

/** Of a change of the air from day to day a river follows so much by the next (Mohseni & Stefan 1999 find slopes about 0.9 for weeks;
 * for days less: assumed). */
const FOLLOWS = 0.5;

/** How much warmer the water is by the air: its mean over a day against that of the first day told. */
function warmsBy(air: readonly Pick<WeatherHour, 'at' | 'airTempC'>[]): (at: number) => number {
  const meanTo = (to: number) => {
    const day = air.filter((h) => h.at > to - DAY_MS && h.at <= to);
    return day.length > 0 ? day.reduce((sum, h) => sum + h.airTempC, 0) / day.length : null;
  };
  const from = air[0]?.at ?? 0;
  const base = meanTo(from + DAY_MS);
  return (at) => {
    // Before a whole day of it has passed the forecast is its own measure.
    const now = at <= from + DAY_MS ? base : meanTo(Math.min(at, air.at(-1)?.at ?? at));
    return base === null || now === null ? 0 : FOLLOWS * (now - base);
  };
}

/** The water's course through a day: how much warmer it is at an hour of the day than at midnight, °C, by how fast it warmed at each hour
 * of the last days. What it warmed from day to day is left out, and from any hour to the next there is no step. */
function dailyCourse(known: readonly GaugePoint[]): (at: number) => number {
  const since = known.at(-1)!.at - PAST_DAYS * DAY_MS;
  const ofDay = (at: number) => (((at % DAY_MS) + DAY_MS) % DAY_MS) / HOUR_MS;
  const pairs = known.slice(1).map((p, i) => [known[i]!, p] as const);
  const near = pairs.filter(([a, b]) => a.at >= since && b.at > a.at && b.at - a.at <= LONGEST_GAP_H * HOUR_MS);
  type Pair = (typeof near)[number];
  const hourOf = ([a, b]: Pair) => Math.floor(ofDay((a.at + b.at) / 2));
  const ofHour = ([a, b]: Pair) => ((b.tempC - a.tempC) * HOUR_MS) / (b.at - a.at);
  const byHour = new Map([...groupBy(near, hourOf)].map(([h, of]) => [h, meanOf(of, ofHour)]));
  const drift = meanOf([...byHour.values()], (v) => v);
  const warmer = [0];
  for (let h = 0; h < 24; h++) warmer.push(warmer.at(-1)! + (byHour.get(h) ?? drift) - drift);
  const hours = warmer.map((_, h) => h);
  return (at) => interpolate(hours, warmer, ofDay(at));
}

/**
 * Water temperature: as the gauge told it, then on from its last value by the course of the last days, bent by the air that is foretold.
 *
 * @returns null where the gauge tells no temperature
 */
export function temperatureCourse(
  points: readonly GaugePoint[],
  air: readonly Pick<WeatherHour, 'at' | 'airTempC'>[] = [],
): ((at: number) => number) | null {
  const known = points.filter((p) => Number.isFinite(p.tempC));
  const last = known.at(-1);
  if (!last) return null;
  const [ats, temps] = [known.map((p) => p.at), known.map((p) => p.tempC)];
  const usual = dailyCourse(known);
  const warms = warmsBy(air);
  const ahead = (at: number) => usual(at) + warms(at);
  return (at) => (at <= last.at ? interpolate(ats, temps, at) : Math.max(0, last.tempC + ahead(at) - ahead(last.at)));
}

/** How near the forecast of the evening before came to a water's afternoons lately. */
export interface TemperatureRecord {
  /** Days that could be held against it. */
  readonly days: number;
  /** Of them, on how many within a degree. */
  readonly within: number;
  /** Four times in five it was out by no more, °C; null: told of more days only. */
  readonly likelyC: number | null;
}

/** What four of five are no larger than: the quantile of maths/statistics, whose library would weigh on the first screen. */
function fourInFive(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return interpolate(
    sorted.map((_, i) => i / (sorted.length - 1)),
    sorted,
    0.8,
  );
}

/** So many days back; forecast at so many hours of the day for so many hours later: an evening for the next afternoon. */
const RECORD = { days: 30, leastDays: 4, spreadDays: 10, madeH: 20, aheadH: 18, withinC: 1 } as const;

/**
 * What temperatureCourse would have told each evening for the next afternoon, held against what the gauge then told. The air is left
 * out: what was foretold of it then is not kept.
 *
 * @param dayStart first moment of a local day: days are counted back from it, ms UTC
 * @returns null where the gauge tells too few days
 */
export function temperatureRecord(points: readonly GaugePoint[], dayStart: number): TemperatureRecord | null {
  const known = points.filter((p) => Number.isFinite(p.tempC));
  const missed = Array.from({ length: RECORD.days }, (_, i) => {
    const madeAt = dayStart - (i + 1) * DAY_MS - (24 - RECORD.madeH) * HOUR_MS;
    const at = madeAt + RECORD.aheadH * HOUR_MS;
    const then = known.filter((p) => p.at > madeAt - (PAST_DAYS + 1) * DAY_MS && p.at <= madeAt);
    const near = known.filter((p) => Math.abs(p.at - at) <= HOUR_MS / 2);
    const last = then.at(-1);
    if (!last || madeAt - last.at > LONGEST_GAP_H * HOUR_MS || near.length === 0) return null;
    return Math.abs(temperatureCourse(then)!(at) - meanOf(near, (p) => p.tempC));
  }).filter((c): c is number => c !== null);
  if (missed.length < RECORD.leastDays) return null;
  const within = missed.filter((c) => c <= RECORD.withinC).length;
  return { days: missed.length, within, likelyC: missed.length < RECORD.spreadDays ? null : fourInFive(missed) };
}
