import { clamp, radians } from '../maths';
import type { FishLie } from '../lies';
import type { Rig } from '../tackle';
import type { NotCast } from '../refusal';
import { type Channel, FEATURES, rowAt, within } from '../water';
import type { Means } from './means';
import { type CastPlan, REACH } from './plan';
import { sideOf } from './side';
import { footing } from './footing';
import { shortestCast } from './stand';

/** A fly may land so far up the bank and be eased off it, m. */
const EASED_OFF_M = 0.5;
/** Nobody stands further back from the water than this, nor beyond the other bank, m. */
const BACK_M = 3;
/** Wood so near in front leaves no room for the line, m. */
const WOOD_M = 4;
/** With trees behind there is no back cast: rolls and sustained anchors carry so far, m (common practice, no source). */
const ROLLED_M = { 1: 14, 2: 20 } as const;

/** Why a cast cannot be made there; null when it can. */
export function whyNotCast(c: Channel, rig: Rig, p: CastPlan): NotCast | null {
  const i = rowAt(c, p.xM);
  if (p.yM < c.edgeNear[i]! - BACK_M || p.yM > c.edgeFar[i]! + BACK_M) return { code: 'dry land' };
  const side = sideOf(c, p);
  const a = radians(p.angleDeg);
  const [ax, ay] = [Math.cos(a), side * Math.sin(a)];
  const farM = REACH * rig.rod.lengthM + p.outM - Math.abs(p.mendAtS ? 0 : p.mendM);
  const [xM, yM] = [p.xM + farM * ax, p.yM + farM * ay];
  const j = rowAt(c, xM);
  const past = Math.max(yM - c.edgeFar[j]!, c.edgeNear[j]! - yM);
  if (past > EASED_OFF_M) return { code: 'on the bank', bank: yM > c.edgeFar[j]! ? 'far' : 'near', byM: past };
  const blocked = c.features.find(
    (f) =>
      FEATURES[f.kind].hinders &&
      [0.25, 0.5, 0.75, 1].some((s) => within(f, p.xM + s * WOOD_M * ax, p.yM + s * WOOD_M * ay)),
  );
  if (blocked) return { code: 'blocked', by: blocked.kind };
  const rolled = ROLLED_M[rig.rod.hands];
  if (c.room === 'trees behind' && p.yM - c.edgeNear[i]! < BACK_M && p.outM > rolled)
    return { code: 'trees behind', mostM: rolled };
  return null;
}

/** A step of shortening, m. */
const SHORTER_M = 0.5;

/** A cast shortened until it can be made from where it is made; as it is where no shorter one can. */
export function shortened(c: Channel, rig: Rig, p: CastPlan): CastPlan {
  for (let outM = p.outM; outM >= shortestCast(rig); outM -= SHORTER_M)
    if (whyNotCast(c, rig, { ...p, outM }) === null) return { ...p, outM };
  return p;
}

/** The cast of one who has moved along the run as it can be made there: on the run, no further out than one may stand, shortened. */
export function moved(c: Channel, rig: Rig, lies: readonly FishLie[], means: Means, p: CastPlan): CastPlan {
  const xM = clamp(p.xM, c.x0, c.x0 + (c.nx - 1) * c.dx);
  const across = p.yM >= c.edgeFar[rowAt(c, xM)]!; // who has crossed goes on from the other bank
  return shortened(c, rig, { ...p, xM, yM: across ? p.yM : footing(c, lies, xM, p.yM, means) });
}
