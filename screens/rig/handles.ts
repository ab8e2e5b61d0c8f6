import { clamp, degrees } from '@/core/maths';
import { CAST_ANGLE_DEG, type CastPlan, LONGEST_CAST_M, MOST_MEND_M, REACH, shortestCast } from '@/core/cast';
import type { FishLie } from '@/core/lies';
import type { SwingResult } from '@/core/swing';
import { leaderLengthM, type Rig } from '@/core/tackle';
import type { PlanPoint } from '@/core/water';

import type { Handle } from '@/ui/charts/RunSheet';

/** What of a swing can be dragged on the sheet: oneself, the lie, the mend. Anywhere else is the landing. */
export function handlesOf(plan: CastPlan, rig: Rig, lie: FishLie | null, result: SwingResult): Handle[] {
  const bow = alongLine(result, floatingM(plan, rig) / 2);
  return [
    { id: 'you', xM: plan.xM, yM: plan.yM },
    ...(lie ? [{ id: 'lie', xM: lie.xM, yM: lie.yM }] : []),
    ...(bow ? [{ id: 'mend', ...bow, grip: true }] : []),
  ];
}

/** Line from the rod to where tip or leader begins, m: the part that can be mended. */
const floatingM = (plan: CastPlan, rig: Rig) => plan.outM - leaderLengthM(rig.leader) - (rig.tip?.lengthM ?? 0);

/** A place on the line as it lies at landing, m of line from the rod. */
function alongLine({ lines }: SwingResult, lengthM: number): PlanPoint | null {
  const xyz = lines[0]?.xyz;
  if (!xyz) return null;
  let left = lengthM;
  for (let k = 0; k + 5 < xyz.length; k += 3) {
    const [dx, dy, dz] = [0, 1, 2].map((d) => xyz[k + 3 + d]! - xyz[k + d]!) as [number, number, number];
    const link = Math.hypot(dx, dy, dz);
    if (link >= left) return { xM: xyz[k]! + (dx * left) / link, yM: xyz[k + 1]! + (dy * left) / link };
    left -= link;
  }
  return null;
}

/** The cast that lands at a place. */
export function castTo(plan: CastPlan, rig: Rig, p: PlanPoint): Partial<CastPlan> {
  const dx = p.xM - plan.xM;
  const dy = Math.abs(p.yM - plan.yM);
  const angle = degrees(Math.atan2(dy, dx));
  const outM = Math.round(2 * (Math.hypot(dx, dy) - REACH * rig.rod.lengthM)) / 2;
  return {
    angleDeg: clamp(Math.round(angle), CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most),
    outM: clamp(outM, shortestCast(rig), LONGEST_CAST_M),
  };
}

/**
 * The mend whose bow passes through a place: slack of a flat half sine of height A over a chord c is π²A²/4c.
 *
 * @returns slack, m, upstream positive, in quarters
 */
export function mendThrough(plan: CastPlan, rig: Rig, landing: PlanPoint, p: PlanPoint): number {
  const cx = landing.xM - plan.xM;
  const cy = landing.yM - plan.yM;
  const chord = Math.hypot(cx, cy);
  if (chord < 1) return 0;
  // Distance from the chord; upstream of it is positive on either side of the river.
  const off = ((p.yM - plan.yM) * cx - (p.xM - plan.xM) * cy) / chord;
  const up = off * Math.sign(cy || 1);
  const bowed = (chord * floatingM(plan, rig)) / plan.outM;
  const slack = (Math.PI ** 2 * up ** 2) / (4 * bowed);
  return clamp(Math.sign(up) * Math.round(4 * slack) * 0.25, -MOST_MEND_M, MOST_MEND_M);
}

/** Where one stands after being dragged there, inside the run. */
export const standAt = (p: PlanPoint, lengthM: number): Partial<CastPlan> => ({
  xM: clamp(Math.round(2 * p.xM) / 2, 0, lengthM),
  yM: Math.round(10 * p.yM) / 10,
});
