import { interpolate } from '../maths';
import { DAY_MS, HOUR_MS } from '../units';
import { futures, type Rains, rainsOf } from './futures';
import { flowAt, type Hydrograph, type HydroPoint, readHydrograph } from './hydrograph';
import type { River } from './kinds';
import { LONGEST_H } from './forecast';
import type { Rain } from './rain';

/** What a gauge is to tell at a moment: its level, m; where it tells none its flow, m³/s. */
export interface LevelStep {
  /** ms UTC */
  readonly at: number;
  readonly median: number;
  /** Eight times in ten it lies between these. */
  readonly low80: number;
  readonly high80: number;
}

export interface LevelAhead {
  readonly of: 'level' | 'flow';
  /** After the gauge's last value, in their order. */
  readonly steps: readonly LevelStep[];
}

/** How such forecasts did lately: made of an evening for the next afternoon. */
export interface LevelRecord {
  /** Days that could be held against it. */
  readonly days: number;
  /** Of them, on how many what came was within what was said to be likely. */
  readonly inside: number;
  /** Four times in five it was out by no more, in the unit of what is told; null: told of more days only. */
  readonly likely: number | null;
}

/** A release comes within the hour: nothing of the gauge is smoothed away. */
const SMOOTH_H = 0.2;
/** A level is told by so many values about its flow: their middle, steps of the rating. */
const RATING_STEPS = 24;

/** The gauge's level, or flow, by the logarithm of its flow: what went with it in the past, more or less flow beyond it as the outermost
 * steps go. */
function ratingOf(g: Hydrograph, series: readonly HydroPoint[]): { of: LevelAhead['of']; at: (q: number) => number } {
  const staged = series.filter((p) => p.stageM !== null);
  if (staged.length < series.length / 2) return { of: 'flow', at: Math.exp };
  const pairs = staged.map((p) => [flowAt(g, p.at), p.stageM!] as const).sort((a, b) => a[0] - b[0]);
  const size = Math.max(1, Math.ceil(pairs.length / RATING_STEPS));
  const [qs, levels]: [number[], number[]] = [[], []];
  for (let i = 0; i < pairs.length; i += size) {
    const own = pairs.slice(i, i + size);
    qs.push(own.reduce((sum, [q]) => sum + q, 0) / own.length);
    // More flow is never a lower level.
    levels.push(Math.max(levels.at(-1) ?? -Infinity, own.reduce((sum, [, level]) => sum + level, 0) / own.length));
  }
  const [first, last] = [qs[0]!, qs.at(-1)!];
  const slope = (i: number, k: number) => (qs[k]! > qs[i]! ? (levels[k]! - levels[i]!) / (qs[k]! - qs[i]!) : 0);
  const top = slope(Math.max(0, qs.length - 3), qs.length - 1);
  return {
    of: 'level',
    at: (q) => interpolate(qs, levels, Math.min(Math.max(q, first), last)) + Math.max(0, q - last) * top,
  };
}

/** What of the values a share lies below. */
const shareOf = (sorted: readonly number[], share: number): number =>
  interpolate(
    sorted.map((_, i) => (i + 0.5) / sorted.length),
    sorted,
    share,
  );

/** A gauge's own noise and what no past tells: so much to either side of every forecast, m, and as a share of a flow (assumed). */
const [ALWAYS_M, ALWAYS_SHARE] = [0.01, 0.03];
/** Few ways to go on do not tell the ends of what may come: those of one way are this much wider, of n an n-th of it (assumed). */
const FEW = 1.5;

function stepsFrom(
  g: Hydrograph,
  river: River,
  rating: ReturnType<typeof ratingOf>,
  now: number,
  ask: readonly number[],
  rains: Rains | null,
): LevelStep[] {
  if (ask.length === 0) return [];
  const ways = futures(g, river, ask.at(-1)!, rains);
  const last = g.points.at(-1)!;
  // The level goes on from what the gauge says, not from what usually went with its flow.
  const off = rating.of === 'level' ? now - rating.at(last.q) : 0;
  const scale = rating.of === 'flow' ? now / rating.at(last.q) : 1;
  return ask.map((at) => {
    const values = ways.map((w) => scale * (rating.at(flowAt(w, at)) + off)).sort((a, b) => a - b);
    const [low, median, high] = [0.1, 0.5, 0.9].map((share) => shareOf(values, share)) as [number, number, number];
    const more = rating.of === 'level' ? ALWAYS_M : ALWAYS_SHARE * median;
    const wider = 1 + FEW / ways.length;
    return {
      at,
      median,
      low80: median - wider * (median - low) - more,
      high80: median + wider * (high - median) + more,
    };
  });
}

const valueOf = (p: HydroPoint, of: LevelAhead['of']): number | null => (of === 'level' ? p.stageM : p.flowM3s);

/**
 * How a river goes on after its gauge's last value: as it went on from moments like this one, with the rain that is foretold where it is
 * known, else as its kind does (futures.ts).
 *
 * @param ask ms UTC; those not after the last value are left out
 * @throws RangeError for moments more than 48 h past the last value, or where the series holds nothing
 */
export function forecastLevel(
  river: River,
  series: readonly HydroPoint[],
  ask: readonly number[],
  rainAhead: readonly Rain[] = [],
): LevelAhead {
  const sorted = [...series].sort((a, b) => a.at - b.at);
  const g = readHydrograph(sorted, SMOOTH_H);
  const last = g.points.at(-1)!.at;
  const ahead = ask.filter((at) => at > last).sort((a, b) => a - b);
  if (ahead.some((at) => at > last + LONGEST_H * HOUR_MS))
    throw new RangeError(`ask: more than ${LONGEST_H} h past the last value`);
  const rating = ratingOf(g, sorted);
  const now = sorted.findLast((p) => valueOf(p, rating.of) !== null)!;
  const rains = rainsOf(sorted, rainAhead);
  return { of: rating.of, steps: stepsFrom(g, river, rating, valueOf(now, rating.of)!, ahead, rains) };
}

/** So many days back; made at so many hours of the day for so many hours later: an evening for the next afternoon. */
const RECORD = { days: 30, leastDays: 4, spreadDays: 10, madeH: 20, aheadH: 18, pastDays: 10 } as const;
/** A value so near to a moment is its own: a past is kept every six hours. */
const NEAR_MS = 3 * HOUR_MS;

/**
 * What forecastLevel would have told each evening for the next afternoon, held against what the gauge then told. Rain that was foretold
 * then is not kept: it is left out.
 *
 * @param dayStart first moment of a local day: days are counted back from it, ms UTC
 * @returns shares of the work on the way; at the end the record, null where the gauge tells too few days
 */
export function* levelRecord(
  river: River,
  series: readonly HydroPoint[],
  dayStart: number,
): Generator<number, LevelRecord | null, undefined> {
  const sorted = [...series].sort((a, b) => a.at - b.at);
  const g = readHydrograph(sorted, SMOOTH_H);
  const rating = ratingOf(g, sorted);
  const known = sorted.filter((p) => valueOf(p, rating.of) !== null);
  const nearest = (at: number) =>
    known.reduce<HydroPoint | null>((a, p) => (a && Math.abs(a.at - at) <= Math.abs(p.at - at) ? a : p), null);
  const out: { inside: boolean; by: number }[] = [];
  for (let i = 0; i < RECORD.days; i++) {
    yield i / RECORD.days;
    const madeAt = dayStart - (i + 1) * DAY_MS - (24 - RECORD.madeH) * HOUR_MS;
    const at = madeAt + RECORD.aheadH * HOUR_MS;
    const came = nearest(at);
    const from = known.findLast((p) => p.at <= madeAt);
    if (!came || Math.abs(came.at - at) > NEAR_MS || !from || madeAt - from.at > 2 * NEAR_MS) continue;
    if (madeAt - g.points[0]!.at < RECORD.pastDays * DAY_MS) break;
    const then: Hydrograph = { ...g, points: g.points.filter((p) => p.at <= from.at) };
    const [step] = stepsFrom(then, river, rating, valueOf(from, rating.of)!, [came.at], null);
    const value = valueOf(came, rating.of)!;
    out.push({ inside: value >= step!.low80 && value <= step!.high80, by: Math.abs(value - step!.median) });
  }
  if (out.length < RECORD.leastDays) return null;
  const sortedBy = out.map((o) => o.by).sort((a, b) => a - b);
  return {
    days: out.length,
    inside: out.filter((o) => o.inside).length,
    likely: out.length < RECORD.spreadDays ? null : shareOf(sortedBy, 0.8),
  };
}
