import type { CastPlan, Means } from '../cast';
import type { FishLie } from '../lies';
import type { Rig } from '../tackle';
import type { Verdict } from './verdict';

/** What is wanted of the fly at a lie. */
export interface Wanted {
  readonly lie: FishLie;
  /** The fly should pass broadside. */
  readonly sideOn: boolean;
}

/** A rig and a cast to try. */
export interface Trial {
  readonly rig: Rig;
  readonly plan: CastPlan;
  /** Other rods that stand ready: to take one up costs seconds. */
  readonly rigged?: readonly Rig[];
  /** What the angler can do; not said: everything. */
  readonly means?: Means;
}

export interface Tried extends Trial {
  readonly verdict: Verdict;
  /** How far it is from what is wanted; 0 is right. */
  readonly miss: number;
  /** In how many of ten swings within the doubt of the readings it is right; not said: not worked out. */
  readonly chance?: number;
}

/** The water is faster (slower) or deeper (thinner) than read, or the line is not as clean (or dirty) as said. */
export type Risk = 'faster' | 'slower' | 'deeper' | 'thinner' | 'line';

/** Trials by how wrong they are, the better first; equals keep their order. */
export const byMiss = (a: Tried, b: Tried): number => a.miss - b.miss;
