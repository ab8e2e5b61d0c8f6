import type { CastPlan } from '../cast';
import { FOOT_M } from '../units';
import { DIRTY_M } from '../water';

/** How a run is covered from the bank: start short, lengthen to the far side of the holding water, then keep the
 * length and step down after each swing (common practice, no source). */
export interface Cover {
  readonly startM: number;
  readonly lengthenM: number;
  readonly farM: number;
  readonly stepM: number;
  /** Stop here: the end of the run, m. */
  readonly endXM: number;
}

/** Two feet a cast. */
const LENGTHEN_M = 2 * FOOT_M;
export const PACE_M = 0.75;

/**
 * The cover for a run and the conditions: one pace a step in murk or cold, two otherwise; narrower when fish see less.
 *
 * @param shortestM the shortest cast the rig allows, m; @param farM line out that reaches the far side of what holds
 */
export function coverFor(o: {
  readonly shortestM: number;
  readonly farM: number;
  readonly endXM: number;
  readonly visibilityM: number;
  readonly waterTempC: number;
}): Cover {
  const narrow = o.visibilityM <= DIRTY_M || o.waterTempC < 7;
  const startM = Math.min(o.farM, Math.max(o.shortestM, 6));
  return { startM, lengthenM: LENGTHEN_M, farM: o.farM, stepM: (narrow ? 1 : 2) * PACE_M, endXM: o.endXM };
}

export type Move =
  | { readonly kind: 'lengthen'; readonly byM: number; readonly plan: CastPlan }
  | { readonly kind: 'step'; readonly paces: number; readonly plan: CastPlan }
  | { readonly kind: 'done' };

/** What to do after a cast with this plan. @example nextMove(cover, plan).kind // 'lengthen' while short */
export function nextMove(cover: Cover, plan: CastPlan): Move {
  const left = cover.farM - plan.outM;
  if (left > 0.15) {
    const byM = Math.min(cover.lengthenM, left);
    return { kind: 'lengthen', byM, plan: { ...plan, outM: plan.outM + byM } };
  }
  if (plan.xM + cover.stepM > cover.endXM) return { kind: 'done' };
  const paces = Math.round(cover.stepM / PACE_M);
  return { kind: 'step', paces, plan: { ...plan, xM: plan.xM + cover.stepM } };
}

/** Casts that remain, counting the one about to be made. */
export function castsLeft(cover: Cover, plan: CastPlan): number {
  const lengthenings = Math.max(0, Math.ceil((cover.farM - plan.outM - 0.15) / cover.lengthenM));
  return 1 + lengthenings + Math.max(0, Math.floor((cover.endXM - plan.xM) / cover.stepM));
}
