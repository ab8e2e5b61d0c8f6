import { DAY_MS, HOUR_MS } from '../units';

/** Fish come in with the tide: the lower river fishes from so long before high water until so long after it, h (common practice, no
 * source, figures assumed). */
const [BEFORE_H, AFTER_H] = [1, 4];

/** So many high waters are kept of a water: two years of two a day. */
export const MOST_TIDES = 1500;

/** High waters of a day. @param tides ms UTC, the first first; @param dayStart first moment of the local day, ms UTC */
export const highWatersOn = (tides: readonly number[], dayStart: number): number[] =>
  tides.filter((at) => at >= dayStart && at < dayStart + DAY_MS);

/** Whether fish may be coming in at a moment; null: no tide is known of that day. @param tides ms UTC, the first first */
export function comesIn(tides: readonly number[], at: number): boolean | null {
  if (!tides.some((t) => Math.abs(t - at) <= DAY_MS / 2)) return null;
  return tides.some((t) => at >= t - BEFORE_H * HOUR_MS && at <= t + AFTER_H * HOUR_MS);
}
