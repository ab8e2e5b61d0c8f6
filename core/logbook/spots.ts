import type { CastPlan } from '../cast';
import type { EventOf, TakePlace } from './events';
import { wayOfFly, type WayOfFly } from './ways';

/** Where and when a run’s fish took, with what is needed to place it on the run’s picture (placed.ts). */
export interface Spot {
  readonly runId: string;
  /** ms UTC */
  readonly at: number;
  /** m against normal; null: not read. */
  readonly levelM: number | null;
  readonly landed: boolean;
  /** Where on the swing; null: not said. */
  readonly where: TakePlace | null;
  /** Of the fly that was taken, as the engine said of the cast; null: it said nothing. */
  readonly way: WayOfFly | null;
  readonly cast: Pick<CastPlan, 'xM' | 'yM' | 'outM' | 'angleDeg' | 'inwards'>;
}

/** @param cast the one that it was on; @param levelM against normal; null: not read */
export function spotOf(take: EventOf<'take'>, cast: EventOf<'cast'>, levelM: number | null): Spot | null {
  if (!take.runId) return null;
  const { xM, yM, outM, angleDeg, inwards } = cast.plan;
  return {
    ...{ runId: take.runId, at: take.at, levelM, landed: take.what === 'landed', where: take.where },
    way: wayOfFly(cast.did, take.place ?? 0),
    cast: { xM, yM, outM, angleDeg, ...(inwards && { inwards }) },
  };
}

/** A level is the same within this, m: what one sees no difference in from the bank (assumed). */
const LIKE_M = 0.15;
/** The takes that came at about a level; those of a level that was not read are none of them. */
export const aboutLevel = (spots: readonly Spot[], levelM: number): Spot[] =>
  spots.filter((s) => s.levelM !== null && Math.abs(s.levelM - levelM) <= LIKE_M);
