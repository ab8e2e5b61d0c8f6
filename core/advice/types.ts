import type { CastPlan, Means } from '../cast';
import type { Rig } from '../tackle';
import type { Verdict } from './verdict';

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
}

/** The water is faster (slower) or deeper (thinner) than read, or the line is not as clean (or dirty) as said. */
export type Risk = 'faster' | 'slower' | 'deeper' | 'thinner' | 'line';
