import type { CastPlan } from '../cast';
import { FOOT_M } from '../units';
import { COLD_C, DIRTY_M } from '../water';

/** The plain rule by which a run is covered from the bank: start short, lengthen to the far side of the holding water, then keep
 * the length and step on after each cast (common practice, no source). */
export interface Cover {
  readonly startM: number;
  readonly lengthenM: number;
  readonly farM: number;
  /** From stand to stand, m; negative up the run. */
  readonly stepM: number;
  /** Nobody steps beyond: an end of the run, m. */
  readonly endXM: number;
}

/** Two feet a cast. */
const LENGTHEN_M = 2 * FOOT_M;
export const PACE_M = 0.75;
/** Nobody begins shorter, m (assumed). */
const SHORT_M = 6;

/** Steps after a cast: one pace where fish see or move little, two otherwise (common practice, no source), m. */
export const stepOf = (o: { readonly visibilityM: number; readonly waterTempC: number }): number =>
  (o.visibilityM <= DIRTY_M || o.waterTempC < COLD_C ? 1 : 2) * PACE_M;

/** The shortest cast that a rig allows and that is begun with, m. */
export const beginsAt = (shortestM: number, farM: number): number => Math.min(farM, Math.max(shortestM, SHORT_M));

/** Who casts as far as is comfortable begins with so much of the longest (assumed). */
const FAR_SHARE = 0.75;
/** The shortest cast of those who cast as far as is comfortable from the first, m. */
export const beginsFar = (shortestM: number, farM: number): number =>
  Math.max(beginsAt(shortestM, farM), FAR_SHARE * farM);

/**
 * The cover for a run and the conditions: one pace a step in murk or cold, two otherwise.
 *
 * @param shortestM the shortest cast the rig allows, m; @param farM line out that reaches the far side of what holds
 * @param upstream casts go upstream: one works up to `endXM`
 */
export function coverFor(o: {
  readonly shortestM: number;
  readonly farM: number;
  readonly endXM: number;
  readonly visibilityM: number;
  readonly waterTempC: number;
  readonly upstream?: boolean;
}): Cover {
  return {
    startM: beginsAt(o.shortestM, o.farM),
    lengthenM: LENGTHEN_M,
    farM: o.farM,
    stepM: (o.upstream ? -1 : 1) * stepOf(o),
    endXM: o.endXM,
  };
}

/** A cast is as long as the last if it differs by less, m. */
const AS_LONG_M = 0.15;

/** What the rule does after a cast: lengthen, or step on; null at the end of the run. */
export function nextByRule(cover: Cover, plan: CastPlan): CastPlan | null {
  const left = cover.farM - plan.outM;
  if (left > AS_LONG_M) return { ...plan, outM: plan.outM + Math.min(cover.lengthenM, left) };
  const xM = plan.xM + cover.stepM;
  return Math.sign(cover.stepM) * (xM - cover.endXM) > 0 ? null : { ...plan, xM };
}

/** A run by the rule of thumb, cast by cast. @param feetAt where one may stand at x, who would stand so far out */
export function ruleCasts(cover: Cover, start: CastPlan, feetAt: (xM: number, yM: number) => number): CastPlan[] {
  const out: CastPlan[] = [];
  const safe = (p: CastPlan): CastPlan => ({ ...p, yM: feetAt(p.xM, start.yM) });
  for (let p: CastPlan | null = { ...start, outM: cover.startM }; p; p = nextByRule(cover, p)) out.push(safe(p));
  return out;
}
