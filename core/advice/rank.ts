import type { Rig } from '../tackle';
import type { Channel } from '../water';
import { costBetween } from './levers';
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

/** Equals: the surer first, then what changes least, then the line sooner tight, then the fly nearer the middle of the band. */
const better =
  (base: Trial) =>
  (a: Tried, b: Tried): number =>
    byMiss(a, b) ||
    (b.chance ?? 0) - (a.chance ?? 0) ||
    costBetween(base, a) - costBetween(base, b) ||
    a.plan.mendM - b.plan.mendM ||
    offMiddle(a) - offMiddle(b);

const offMiddle = ({ verdict: { lie, pass } }: Tried): number =>
  Math.abs(pass.depthM - (lie.band.topM + lie.band.bottomM) / 2);

/** So many times as many as are wanted go into the final. */
const FINALISTS = 3;

/**
 * Ranks all combinations of a request: all with a coarse chain, the best again in full and over the doubts.
 *
 * The coarse order of depths agrees with the full one to 0.99 (docs/swing.md), so three times as many as are wanted
 * go into the final; of equals, what changes least.
 *
 * @returns the `want` best, in full, the better first; none that does not reach the lie
 */
export async function rank({ base, vary }: RankRequest, want: number, runner: TrialRunner): Promise<Tried[]> {
  const trials = combinations(base, vary);
  const ranked = (await runner.coarse(trials.map((_, i) => i))).flatMap((miss, i) =>
    miss === null ? [] : [{ i, miss, cost: costBetween(base, trials[i]!) }],
  );
  ranked.sort((a, b) => a.miss - b.miss || a.cost - b.cost);
  const full = await runner.full(ranked.slice(0, FINALISTS * want).map(({ i }) => i));
  return full
    .filter((t) => t !== null)
    .filter(({ verdict }) => verdict.fit !== 'not reached')
    .sort(better(base))
    .slice(0, want);
}
