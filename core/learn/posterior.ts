import { sumOf } from '../maths';

/** What is believed of a positive number: the middle of it, and the ends of its 90 % interval. */
export interface Believed {
  readonly middle: number;
  readonly low: number;
  readonly high: number;
}

/** Steps of a grid on which a density is held, even in the logarithm. */
const STEPS = 121;

/** Even steps of the logarithm between two positive numbers. */
export const logGrid = (from: number, to: number, steps = STEPS): number[] =>
  Array.from({ length: steps }, (_, i) => Math.exp(Math.log(from) + (i / (steps - 1)) * Math.log(to / from)));

/** Weights that add up to one, of log-densities. */
export function weightsOf(logs: readonly number[]): number[] {
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
  const raw = logs.map((l) => Math.exp(l - most));
  const sum = sumOf(raw, (w) => w);
  return raw.map((w) => w / sum);
}

/** Where a share of the weights lies below, straight in the logarithm between the steps. @param values ascending */
export function quantileOn(values: readonly number[], weights: readonly number[], share: number): number {
  let below = 0;
  for (const [i, w] of weights.entries()) {
    if (below + w >= share) {
      // Half of a step's weight lies on either side of it.
      const within = w > 0 ? (share - below) / w - 0.5 : 0;
      const step = Math.log(values[1]! / values[0]!);
      return values[i]! * Math.exp(within * step);
    }
    below += w;
  }
  return values.at(-1)!;
}

/** Middle and 90 % interval of weights on a grid. */
export const believedOf = (values: readonly number[], weights: readonly number[]): Believed => ({
  middle: quantileOn(values, weights, 0.5),
  low: quantileOn(values, weights, 0.05),
  high: quantileOn(values, weights, 0.95),
});
