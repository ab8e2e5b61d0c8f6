import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { type Belief, learn, type Observed, type Prior, type Scales } from './believe';
import { futures, type Rains, rainsOf, recessionOf } from './futures';
import { continued, featuresAt, flowAt, type Hydrograph, type HydroPoint, readHydrograph } from './hydrograph';
import { BELIEFS, FEATURES, MIDDLE_SPREAD, PEAT, type River } from './kinds';
import type { Rain } from './rain';
import { DAY_MS, HOUR_MS } from '../units';

/** What was seen at the bank. */
export interface ColourReading {
  /** ms UTC */
  readonly at: number;
  readonly visibilityM: number;
  /** The toes were still seen: it was at least so much. */
  readonly atLeast: boolean;
}

export interface ColourForecast {
  readonly at: number;
  readonly medianM: number;
  /** Eight times in ten it lies between these. */
  readonly low80M: number;
  readonly high80M: number;
  readonly chanceAtLeast: (visibilityM: number) => number;
  readonly because: ColourBecause;
}

/** What decides a forecast. */
export interface ColourBecause {
  readonly river:
    | { readonly code: 'rising'; readonly moreShare: number }
    | { readonly code: 'clearing'; readonly falling: boolean }
    | { readonly code: 'clearing slowly' | 'high' | 'raised' | 'low' | 'middling' };
  readonly readings: number;
  /** How old the latest reading is then, h; null: there is none before it. */
  readonly latestH: number | null;
  /** So far past the gauge’s last value, h; 0: not. */
  readonly pastH: number;
  /** Rain in the forecast until then, mm; null: none is known. */
  readonly rainMm: number | null;
}

/** Nobody asks further on than this past the last value, h. */
export const LONGEST_H = 48;
/** The latest readings that are learned from: older ones say little more. */
const MOST_READINGS = 200;

/** What is not known of a river beforehand; each is tried and weighed by how well it fits what was read. */
const SCALES: readonly Scales[] = [0.7, 1.3].flatMap((weights) =>
  [0.12, 0.25, 0.45].flatMap((days) =>
    [0.12, 0.3].flatMap((weeks) => [0.1, 0.2].map((noise) => ({ weights, days, weeks, noise }))),
  ),
);
/** What stays open of a place in the river and a moment, whatever is known (logarithm). */
const ALWAYS = 0.08;

function priorOf(river: River): Prior {
  const { visibilityM, of } = BELIEFS[river.kind];
  return {
    mean: [Math.log(visibilityM) + (river.peaty ? PEAT : 0), ...FEATURES.map((f) => of[f][0])],
    spread: [MIDDLE_SPREAD, ...FEATURES.map((f) => of[f][1])],
  };
}

const xAt = (g: Hydrograph, at: number): number[] => [1, ...featuresAt(g, at)];

/**
 * The visibility of a river at moments up to two days past its gauge's last value, from the hydrograph and from readings of it.
 *
 * A line in the logarithm of the visibility (flow, rises of hours, a day and days, rinsing, season) with a prior by kind of river,
 * and what is left over lasting days and weeks; "at least" readings are taken as such. Past the last value the flow goes on as
 * it did from moments like this one; where rain is foretold, also of its rain.
 *
 * @param ask ms UTC. Throws RangeError for moments more than 48 h past the last value, or where the series holds nothing
 */
export function forecastColour(
  river: River,
  series: readonly HydroPoint[],
  readings: readonly ColourReading[],
  ask: readonly number[],
  rainAhead: readonly Rain[] = [],
): ColourForecast[] {
  const sorted = [...series].sort((a, b) => a.at - b.at);
  const gauge = readHydrograph(sorted);
  const last = gauge.points.at(-1)!.at;
  const late = ask.findIndex((at) => at > last + LONGEST_H * HOUR_MS);
  if (late >= 0) throw new RangeError(`ask[${late}]: more than ${LONGEST_H} h past the last value`);
  const used = [...readings].sort((a, b) => a.at - b.at).slice(-MOST_READINGS);
  const likely = learned(river, gauge, used);
  const rains = rainsOf(sorted, rainAhead);
  const ways = futures(gauge, river, Math.max(last, ...ask), rains);
  return ask.map((at) => {
    const paths = at <= last ? [gauge] : ways;
    const parts = paths.flatMap((g) => mixture(likely, xAt(g, at), at / DAY_MS, 1 / paths.length));
    return { at, ...summary(parts), because: because(gauge, used, at, last, rains) };
  });
}

interface Likely {
  readonly belief: Belief;
  readonly weight: number;
}

/** What is believed of a river after its readings, each way of it weighed by how well it fits. */
function learned(river: River, gauge: Hydrograph, readings: readonly ColourReading[]): Likely[] {
  const prior = priorOf(river);
  const seen = readings.map((r): Observed => ({
    x: xAt(gauge, r.at),
    day: r.at / DAY_MS,
    y: Math.log(r.visibilityM),
    atLeast: r.atLeast,
  }));
  const beliefs = SCALES.map((s) => learn(prior, s, seen));
  const best = Math.max(...beliefs.map((b) => b.evidence));
  const weights = beliefs.map((b) => Math.exp(b.evidence - best));
  const total = weights.reduce((sum, w) => sum + w, 0);
  return beliefs.map((belief, i) => ({ belief, weight: weights[i]! / total })).filter((b) => b.weight > 0.003);
}

/** How a river is believed to clear: so many hours after the top of a rise. */
export interface ClearingStep extends Pick<ColourForecast, 'medianM' | 'low80M' | 'high80M'> {
  readonly afterH: number;
}
/** The rise that is spoken of doubles the flow within so many hours; how long its clearing is followed. */
const [DOUBLED, RISES_H, FOLLOWED_H, EVERY_H] = [Math.LN2, 8, 120, 4];
/** So far off that no reading of these days bears on it, days. */
const SOME_DAY = 2000;

/**
 * What is believed of a river, as a curve: its visibility at the top of a rise that doubles its middling flow, and as it clears.
 * Readings bend it; with none it is what is usual for its kind.
 */
export function clearing(
  river: River,
  series: readonly HydroPoint[],
  readings: readonly ColourReading[],
): ClearingStep[] {
  const gauge = readHydrograph([...series].sort((a, b) => a.at - b.at));
  const likely = learned(river, gauge, [...readings].sort((a, b) => a.at - b.at).slice(-MOST_READINGS));
  const { at: last } = gauge.points.at(-1)!;
  const top = last + 30 * DAY_MS;
  const flow = (h: number) =>
    gauge.middle + DOUBLED * (h < -RISES_H ? 0 : h < 0 ? 1 + h / RISES_H : Math.exp(-h / recessionOf(river)));
  const hours = Array.from({ length: 24 * 12 + FOLLOWED_H }, (_, i) => i - 24 * 12);
  const rise = continued(
    {
      ...gauge,
      points: [{ ...gauge.points.at(-1)!, at: top - 13 * DAY_MS, q: gauge.middle, hours: 0, day: 0, days: 0 }],
    },
    hours.map((h) => ({ at: top + h * HOUR_MS, q: flow(h) })),
  );
  return Array.from({ length: FOLLOWED_H / EVERY_H }, (_, i) => {
    const afterH = i * EVERY_H;
    const { medianM, low80M, high80M } = summary(
      mixture(likely, xAt(rise, top + afterH * HOUR_MS), last / DAY_MS + SOME_DAY, 1),
    );
    return { afterH, medianM, low80M, high80M };
  });
}

interface Part {
  readonly mean: number;
  readonly spread: number;
  readonly weight: number;
}

const mixture = (
  likely: readonly { readonly belief: Belief; readonly weight: number }[],
  x: readonly number[],
  day: number,
  share: number,
): Part[] =>
  likely.map(({ belief, weight }) => {
    const { mean, variance } = belief.at(x, day);
    return { mean, spread: Math.sqrt(variance + ALWAYS ** 2), weight: weight * share };
  });

/** A quantile is found to a millionth of itself. */
const HALVINGS = 23;

function summary(parts: readonly Part[]): Pick<ColourForecast, 'medianM' | 'low80M' | 'high80M' | 'chanceAtLeast'> {
  const total = parts.reduce((sum, p) => sum + p.weight, 0);
  const below = (y: number) => parts.reduce((sum, p) => sum + p.weight * normalCdf(y, p.mean, p.spread), 0) / total;
  const quantile = (share: number) => {
    let [low, high] = [Math.log(0.005), Math.log(30)];
    for (let i = 0; i < HALVINGS; i++) {
      const mid = (low + high) / 2;
      if (below(mid) < share) low = mid;
      else high = mid;
    }
    return Math.exp((low + high) / 2);
  };
  return {
    medianM: quantile(0.5),
    low80M: quantile(0.1),
    high80M: quantile(0.9),
    chanceAtLeast: (m) => 1 - below(Math.log(m)),
  };
}

function because(
  g: Hydrograph,
  readings: readonly ColourReading[],
  at: number,
  last: number,
  rains: Rains | null,
): ColourBecause {
  const from = Math.min(at, last);
  const [, flow, hours, day, days] = xAt(g, from) as [number, number, number, number, number];
  const change = flowAt(g, from) - flowAt(g, from - 12 * HOUR_MS);
  const latest = [...readings].reverse().find((r) => r.at <= at);
  return {
    river:
      hours > 0.4 && change > 0.1
        ? { code: 'rising', moreShare: Math.exp(change) - 1 }
        : day > 0.8
          ? { code: 'clearing', falling: change < -0.02 }
          : days > 0.9
            ? { code: 'clearing slowly' }
            : { code: flow > 0.4 ? 'high' : flow > 0.12 ? 'raised' : flow < -0.25 ? 'low' : 'middling' },
    readings: readings.length,
    latestH: latest ? (at - latest.at) / HOUR_MS : null,
    pastH: Math.max(0, (at - last) / HOUR_MS),
    rainMm: rains && at > last ? rains.ahead(last, at) : null,
  };
}
