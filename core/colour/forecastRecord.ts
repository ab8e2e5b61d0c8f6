import type { ColourReading } from './forecast';
import { HOUR_MS } from '../units';

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

/** Whether what was read lies inside what was said; a bound ("toes still seen") where the upper end is no lower than it. */
export const held = (r: ColourReading, f: Pick<Said, 'low80M' | 'high80M'>): boolean =>
  r.atLeast ? f.high80M >= r.visibilityM : f.low80M <= r.visibilityM && r.visibilityM <= f.high80M;

/** A reading so near to the moment that was spoken of is held against what was said, h. */
const NEAR_H = 5;

/** How often what was said, and kept as it was said, held: each with the reading nearest to its moment, made after it. */
export function saidRecord(said: readonly Said[], readings: readonly ColourReading[]): ColourRecord {
  const met = said.flatMap((f) => {
    const near = readings.filter((r) => Math.abs(r.at - f.forAt) <= NEAR_H * HOUR_MS && r.at > f.madeAt);
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
