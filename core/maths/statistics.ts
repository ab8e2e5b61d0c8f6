import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { quantile as quantileOf } from 'd3-array';
import { sampleCorrelation } from 'simple-statistics';

/**
 * Quantile, straight between order statistics (type 7 of Hyndman & Fan 1996).
 *
 * @param p share below it, 0 to 1
 * @throws RangeError without values
 * @example quantile([4, 1, 3, 2], 0.5) // 2.5
 */
export function quantile(values: readonly number[], p: number): number {
  const q = quantileOf(values, p);
  if (q === undefined) throw new RangeError('values: needs at least one');
  return q;
}

/** Pearson's correlation; 0 where one of the two does not vary. @example correlation([1, 2, 3], [2, 4, 6]) // 1 */
export const correlation = (a: readonly number[], b: readonly number[]): number =>
  sampleCorrelation([...a], [...b]) || 0;

/** The standard normal deviate that a share lies below. @param share of 0 or 1 counts as the nearest that has one */
export const deviate = (share: number): number => normalQuantile(Math.min(1 - 1e-9, Math.max(1e-9, share)), 0, 1);
