import type { CastPlan } from '../cast';
import type { EventOf } from '../logbook';
import type { SwingResult } from '../swing';
import { castsLeft, type Cover, type Move, nextMove } from './next';

/** Where the angler is in the cover and what comes next. */
export interface Progress {
  readonly move: Move;
  /** The cast about to be made; the last one again when the run is done. */
  readonly plan: CastPlan;
  readonly left: number;
}

/**
 * @param start the plan of the first cast
 * @param wadeM how far out one may stand at x; the angler never goes further
 */
export function progress(
  cover: Cover,
  start: CastPlan,
  casts: readonly EventOf<'cast'>[],
  wadeM: (xM: number) => number,
): Progress {
  const safe = (p: CastPlan): CastPlan => ({ ...p, yM: Math.min(start.yM, Math.round(10 * wadeM(p.xM)) / 10) });
  const last = casts[casts.length - 1];
  if (!last) {
    const plan = safe({ ...start, outM: cover.startM });
    return { move: { kind: 'lengthen', byM: 0, plan }, plan, left: castsLeft(cover, plan) };
  }
  const { xM, yM, outM } = last.plan;
  const before: CastPlan = { ...start, xM, yM, outM };
  const move = nextMove(cover, before);
  const plan = move.kind === 'done' ? before : safe(move.plan);
  return { move, plan, left: move.kind === 'done' ? 0 : castsLeft(cover, plan) };
}

/** Between the end of one swing's fishing and the next landing, s: a pause on the hang, the lift and the cast; and how fast
 * line is stripped in (common practice, no source). */
const HANG_S = 4;
const CAST_S = 6;
const STRIP_IN_MPS = 1;
/** What is stripped in before the next cast, as a share of the line out. */
const STRIPPED = 0.5;
/** Where no swing has been simulated, s. */
const PACE_S = 45;
const LEAST_PACE_S = 20;

/** Seconds from one landing to the next: what the swing fishes, the hang, stripping in, the cast.
 * @example castSeconds({ fishing: { toS: 30 } }, 12) // 46 */
export const castSeconds = (swing: Pick<SwingResult, 'fishing'> | null, outM: number): number =>
  swing?.fishing ? swing.fishing.toS + HANG_S + (STRIPPED * outM) / STRIP_IN_MPS + CAST_S : PACE_S;

/** Seconds a cast takes on this visit: its own pace once there are more than five; until then what the swing says. */
export function paceS(
  casts: readonly EventOf<'cast'>[],
  swing: Pick<SwingResult, 'fishing'> | null | undefined = null,
): number {
  const last = casts.length - 1;
  if (last < 5) return castSeconds(swing, casts[last]?.plan.outM ?? 0);
  return Math.max(LEAST_PACE_S, (casts[last]!.at - casts[0]!.at) / 1000 / last);
}
