import { type ColourReading, forecastColour, LONGEST_H } from './forecast';
import type { HydroPoint } from './hydrograph';
import type { River } from './kinds';

const HOUR = 3_600_000;
/** Asked the evening before, h. */
const AHEAD_H = 12;
/** The latest so many readings are looked back at. */
const MOST = 16;
/** What a model needs of a past before it is asked, days. */
const LEAST_DAYS = 10;

/** How often what was read was inside what would have been said the evening before. */
export interface ColourRecord {
  readonly inside: number;
  readonly of: number;
}

/** A forecast as it was made at the time, and what it was for, ms UTC. */
export interface Said {
  readonly madeAt: number;
  readonly forAt: number;
  readonly low80M: number;
  readonly high80M: number;
}

const held = (r: ColourReading, f: Pick<Said, 'low80M' | 'high80M'>): boolean =>
  r.atLeast ? f.high80M >= r.visibilityM : f.low80M <= r.visibilityM && r.visibilityM <= f.high80M;

/** A reading so near to the moment that was spoken of is held against what was said, h. */
const NEAR_H = 5;

/** How often what was said, and kept as it was said, held: each with the reading nearest to its moment, made after it. */
export function saidRecord(said: readonly Said[], readings: readonly ColourReading[]): ColourRecord {
  const met = said.flatMap((f) => {
    const near = readings.filter((r) => Math.abs(r.at - f.forAt) <= NEAR_H * HOUR && r.at > f.madeAt);
    if (near.length === 0) return [];
    return [
      held(
        near.reduce((a, b) => (Math.abs(b.at - f.forAt) < Math.abs(a.at - f.forAt) ? b : a)),
        f,
      ),
    ];
  });
  return { inside: met.filter(Boolean).length, of: met.length };
}

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
  const begin = (sorted[0]?.at ?? Infinity) + LEAST_DAYS * 24 * HOUR;
  const asked = [...readings]
    .sort((a, b) => a.at - b.at)
    .filter((r) => r.at >= begin)
    .slice(-MOST);
  let [inside, of] = [0, 0];
  for (const [i, r] of asked.entries()) {
    yield i / asked.length;
    const until = r.at - AHEAD_H * HOUR;
    const known = sorted.filter((p) => p.at <= until);
    const last = known.at(-1);
    if (!last || r.at > last.at + LONGEST_H * HOUR) continue;
    const before = readings.filter((b) => b.at <= until);
    const [f] = forecastColour(river, known, before, [r.at]);
    of++;
    if (held(r, f!)) inside++;
  }
  return { inside, of };
}
