import { type ColourReading, forecastColour, LONGEST_H } from './forecast';
import type { HydroPoint } from './hydrograph';
import type { River } from './kinds';
import { type ColourRecord, held } from './forecastRecord';
import { DAY_MS, HOUR_MS } from '../units';

/** Asked the evening before, h. */
const AHEAD_H = 12;
/** The latest so many readings are looked back at. */
const MOST = 16;
/** What a model needs of a past before it is asked, days. */
const LEAST_DAYS = 10;

/**
 * Looks back: what would have been said the evening before each of the latest readings, from what was known then, held against
 * what was read. A bound ("toes still seen") is inside where the upper end is no lower than it.
 *
 * @returns shares of the work on the way, the record at the end
 */
export function* colourRecord(
  river: River,
  series: readonly HydroPoint[],
  readings: readonly ColourReading[],
): Generator<number, ColourRecord, undefined> {
  const sorted = [...series].sort((a, b) => a.at - b.at);
  const begin = (sorted[0]?.at ?? Infinity) + LEAST_DAYS * DAY_MS;
  const asked = [...readings]
    .sort((a, b) => a.at - b.at)
    .filter((r) => r.at >= begin)
    .slice(-MOST);
  let [inside, of] = [0, 0];
  for (const [i, r] of asked.entries()) {
    yield i / asked.length;
    const until = r.at - AHEAD_H * HOUR_MS;
    const known = sorted.filter((p) => p.at <= until);
    const last = known.at(-1);
    if (!last || r.at > last.at + LONGEST_H * HOUR_MS) continue;
    const before = readings.filter((b) => b.at <= until);
    const [f] = forecastColour(river, known, before, [r.at]);
    of++;
    if (held(r, f!)) inside++;
  }
  return { inside, of };
}
