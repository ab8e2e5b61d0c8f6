import { type CastPlan, farSide } from '../cast';
import type { FishLie } from '../lies';
import type { Rig } from '../tackle';

/** Swinging works from the head down: begin where the first cast of full length reaches the uppermost lie.
 * @returns the plan moved up (never down) the run, not above its head */
export function fromHead(plan: CastPlan, lies: readonly FishLie[], rig: Rig): CastPlan {
  const top = Math.min(plan.xM, ...lies.map((l) => l.xM - l.lengthM / 2));
  return { ...plan, xM: Math.max(0, Math.round(top - farSide(lies, plan, rig) - rig.rod.lengthM)) };
}

/** The lie nearest to the described bank: it is fished before one steps in. */
export const nearestToBank = (lies: readonly FishLie[]): FishLie | null =>
  lies.reduce<FishLie | null>((best, l) => (best && best.yM <= l.yM ? best : l), null);
