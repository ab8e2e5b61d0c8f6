import type { FishLie } from '../lies';
import type { Rig } from '../tackle';
import type { Channel } from '../water';
import { REACH, type CastPlan } from './plan';

/** The fly should cross the lie about this far from the dangle, degrees. */
const CROSS_DEG = 40;
const CAST_DEG = 65;
/** Longest cast that is offered unasked, m. */
const COMFORT_M = 22;

/** Shortest cast with this rig, m: leader, tip and a rod's length of head. */
export const shortestCast = (rig: Rig): number =>
  Math.ceil(2 * Math.max(6, rig.leader.lengthM + (rig.tip?.lengthM ?? 0) + 1)) / 2;

/**
 * Where to stand and how to cast so that the fly swings across a lie: a metre in from the described bank, upstream of
 * the lie, the cast long enough to cross it about 40° from the dangle.
 */
export function castAt(lie: FishLie, c: Channel, rig: Rig): CastPlan {
  const i = Math.min(c.nx - 1, Math.max(0, Math.round((lie.x - c.x0) / c.dx)));
  const yM = Math.round(10 * (c.edgeNear[i]! + 1)) / 10;
  const across = Math.max(2, lie.y - yM);
  const reach = REACH * rig.rod.lengthM;
  const radius = across / Math.sin((CROSS_DEG * Math.PI) / 180);
  const outM = Math.min(COMFORT_M, Math.max(shortestCast(rig), radius - reach));
  const swung = outM + reach;
  const down = Math.sqrt(Math.max(1, swung ** 2 - Math.min(across, 0.95 * swung) ** 2));
  const xM = Math.max(0, Math.round(2 * (lie.x - down)) / 2);
  return { xM, yM, outM: Math.round(2 * outM) / 2, angleDeg: CAST_DEG, mendM: 0, rod: 'follow' };
}

/** A cast to begin with where no lie was found: a third down the run, a metre in. */
export const plainCast = (run: { readonly lengthM: number }, c: Channel): CastPlan => ({
  xM: Math.round(run.lengthM / 3),
  yM: Math.round(10 * (c.edgeNear[0]! + 1)) / 10,
  outM: 12,
  angleDeg: CAST_DEG,
  mendM: 0,
  rod: 'follow',
});

/** Line out that reaches the far side of what holds, from where one stands, m. */
export function farSide(lies: readonly FishLie[], plan: CastPlan, rig: Rig): number {
  const across = Math.max(2, ...lies.map((l) => Math.abs(l.y - plan.yM) + l.widthM / 2));
  const line = across / Math.sin((plan.angleDeg * Math.PI) / 180) - REACH * rig.rod.lengthM;
  return Math.min(COMFORT_M, Math.max(shortestCast(rig), Math.round(2 * line) / 2));
}
