import type { Rig } from '../tackle';
import type { Channel } from '../water';
import { byMiss, type Trial, type Tried, type Wanted } from './types';

/** A trial and all its variants to rank for a lie. */
export interface RankRequest extends Wanted {
  readonly channel: Channel;
  readonly base: Trial;
  readonly vary: Variants;
}

export interface Variants {
  readonly tips: readonly Rig['tip'][];
  readonly flies: readonly Rig['fly'][];
  readonly angles: readonly number[];
  readonly mends: readonly number[];
}

/** All combinations of tips, flies, angles and mends with the rest of a trial kept, in a stable order. */
export const combinations = (base: Trial, v: Variants): Trial[] =>
  v.tips.flatMap((tip) =>
    v.flies.flatMap((fly) =>
      v.angles.flatMap((angleDeg) =>
        v.mends.map((mendM) => ({
          rig: { ...base.rig, tip, fly },
          plan: { ...base.plan, angleDeg, mendM },
        })),
      ),
    ),
  );

/** Number of combinations. */
export const howMany = (v: Variants): number => v.tips.length * v.flies.length * v.angles.length * v.mends.length;

/** Who does the trials: this thread, or workers side by side. */
export interface TrialRunner {
  /** Misses of these with a coarse chain; null where it cannot be cast. */
  readonly coarse: (which: readonly number[]) => Promise<readonly (number | null)[]>;
  readonly full: (which: readonly number[]) => Promise<readonly (Tried | null)[]>;
}

/** So many times as many as are wanted go into the final. */
const FINALISTS = 3;

/**
 * Ranks `count` combinations: all with a coarse chain, the best again in full.
 *
 * The coarse order of depths agrees with the full one to 0.99 (docs/swing.md), so three times as many as are wanted
 * go into the final.
 *
 * @returns the `want` best, in full, the better first
 */
export async function rank(count: number, want: number, runner: TrialRunner): Promise<Tried[]> {
  const all = Array.from({ length: count }, (_, i) => i);
  const ranked = (await runner.coarse(all)).flatMap((miss, i) => (miss === null ? [] : [{ i, miss }]));
  ranked.sort((a, b) => a.miss - b.miss);
  const full = await runner.full(ranked.slice(0, FINALISTS * want).map(({ i }) => i));
  return full
    .filter((t) => t !== null)
    .sort(byMiss)
    .slice(0, want);
}
