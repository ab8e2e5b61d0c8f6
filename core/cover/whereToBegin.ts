import { type CastPlan, farSide } from '../cast';
import type { FishLie } from '../lies';
import type { Rig } from '../tackle';

/** Swinging works from the head down: begin where the first cast of full length reaches the uppermost lie.
 * @returns the plan moved up (never down) the run, not above its head */
export function fromHead(plan: CastPlan, lies: readonly FishLie[], rig: Rig): CastPlan {
  const top = Math.min(plan.xM, ...lies.map((l) => l.xM - l.lengthM / 2));
  return { ...plan, xM: Math.max(0, Math.round(top - farSide(lies, plan, rig) - rig.rod.lengthM)) };
}

/** So near to where one steps in a lie is at one’s feet, m (assumed: a rod and a leader). */
const AT_FEET_M = 6;

/** The lie at the feet of who casts from a position: it is fished before one steps in. Null where the nearest lies further off.
 * @returns with how far it is to its edge, m */
export function atYourFeet(
  lies: readonly FishLie[],
  { xM, yM }: Pick<CastPlan, 'xM' | 'yM'>,
): { readonly lie: FishLie; readonly awayM: number } | null {
  const past = (d: number, half: number) => Math.max(0, Math.abs(d) - half);
  const near = lies
    .map((lie) => ({
      lie,
      awayM: Math.hypot(past(lie.xM - xM, lie.lengthM / 2), past(lie.yM - yM, lie.widthM / 2)),
    }))
    .sort((a, b) => a.awayM - b.awayM)[0];
  return near && near.awayM <= AT_FEET_M ? near : null;
}
