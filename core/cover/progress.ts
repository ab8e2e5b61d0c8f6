import type { CastPlan } from '../cast';
import type { EventOf } from '../logbook';
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

/** Seconds a cast takes, until this visit has shown its own pace; nobody casts and swings faster than the least. */
const PACE_S = 45;
const LEAST_PACE_S = 20;

/** Seconds a cast has taken on this visit, once there are more than five. */
export function paceS(casts: readonly EventOf<'cast'>[]): number {
  const last = casts.length - 1;
  return last < 5 ? PACE_S : Math.max(LEAST_PACE_S, (casts[last]!.at - casts[0]!.at) / 1000 / last);
}
