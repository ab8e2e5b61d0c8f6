import { radians } from '../maths';
import type { FishLie } from '../lies';
import type { Rig } from '../tackle';
import { type Channel, rowAt } from '../water';
import { type CastPlan, REACH } from './plan';

/** The fly should cross the lie about this far from the dangle, degrees. */
const CROSS_DEG = 40;
const CAST_DEG = 65;
/** Longest cast that is offered unasked, m. */
const COMFORT_M = 22;

/** Shortest cast with this rig, m: leader, tip and a rod's length of head. */
export const shortestCast = (rig: Rig): number =>
  Math.ceil(2 * Math.max(6, rig.leader.lengthM + (rig.tip?.lengthM ?? 0) + 1)) / 2;

/** Nobody is sent deeper than this, m, nor where depth × speed passes half of what is low hazard for fit adults
 * (0.6 m²/s; Cox, Shand & Blacka 2010, from memory). */
const WADE = { depthM: 0.8, hazard: 0.3 };

/** How far out one may stand at x: from the described bank to where it gets deep or fast, or a lie begins, m. */
export function wadeTo(c: Channel, lies: readonly FishLie[], xM: number): number {
  const i = rowAt(c, xM);
  const near = c.edgeNear[i]!;
  let y = near;
  for (let j = 0; j < c.ny; j++) {
    const at = c.y0 + j * c.dy;
    if (at <= near) continue;
    const h = c.h[i * c.ny + j]!;
    if (at >= c.edgeFar[i]! || h > WADE.depthM || h * c.u[i * c.ny + j]! > WADE.hazard) break;
    if (lies.some((l) => Math.abs(l.xM - xM) < l.lengthM / 2 + 2 && at > l.yM - l.widthM / 2 - 2)) break;
    y = at;
  }
  return Math.max(near + 0.5, y - 0.5);
}

/**
 * Where to stand and how to cast so that the fly swings across a lie: upstream of it, the cast long enough to cross it
 * about 40° from the dangle; a metre in from the described bank, or waded further out when the lie is too far for that.
 */
export function castAt(lie: FishLie, c: Channel, rig: Rig, lies: readonly FishLie[] = []): CastPlan {
  const reach = REACH * rig.rod.lengthM;
  const i = rowAt(c, lie.xM);
  const bank = c.edgeNear[i]! + 1;
  const steep = Math.sin(radians(CROSS_DEG));
  const longest = COMFORT_M + reach;
  // From the bank if it can be, else from as far out as it takes and is safe.
  const needed = lie.yM - longest * steep;
  const yM = Math.min(Math.max(bank, needed), Math.max(bank, wadeTo(c, lies, lie.xM - 0.75 * longest)));
  const across = Math.max(2, lie.yM - yM);
  const outM = Math.min(COMFORT_M, Math.max(shortestCast(rig), across / steep - reach));
  const swung = outM + reach;
  const down = Math.sqrt(Math.max(1, swung ** 2 - Math.min(across, 0.95 * swung) ** 2));
  const xM = Math.max(0, Math.round(2 * (lie.xM - down)) / 2);
  return {
    xM,
    yM: Math.round(10 * yM) / 10,
    outM: Math.round(2 * outM) / 2,
    angleDeg: CAST_DEG,
    mendM: 0,
    rod: 'follow',
  };
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

/** The cast to begin with: for a lie, or a plain one where there is none. */
export const openingCast = (
  lie: FishLie | null | undefined,
  run: { readonly lengthM: number },
  c: Channel,
  rig: Rig,
  lies: readonly FishLie[],
): CastPlan => (lie ? castAt(lie, c, rig, lies) : plainCast(run, c));

/** Line out that reaches the far side of what holds, from where one stands, m. */
export function farSide(lies: readonly FishLie[], plan: CastPlan, rig: Rig): number {
  const across = Math.max(2, ...lies.map((l) => Math.abs(l.yM - plan.yM) + l.widthM / 2));
  const line = across / Math.sin(radians(plan.angleDeg)) - REACH * rig.rod.lengthM;
  return Math.min(COMFORT_M, Math.max(shortestCast(rig), Math.round(2 * line) / 2));
}
