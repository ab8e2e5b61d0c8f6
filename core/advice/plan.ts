import type { FishLie } from '../lies';
import type { Rig } from '../tackle';
import type { Channel } from '../water';

/** Share of the rod's length that reaches out from the angler. */
export const REACH = 0.8;

export const ROD_WAYS = ['still', 'follow', 'lead'] as const;
/** Still: the rod holds its place. Follow: it points down the line. Lead: it stays ahead of the fly. */
export type RodWay = (typeof ROD_WAYS)[number];

/** Where one stands and what one does with a cast. Angles from straight downstream. */
export interface CastPlan {
  readonly xM: number;
  readonly yM: number;
  readonly outM: number;
  readonly angleDeg: number;
  /** Slack laid in by an upstream mend at landing, m. */
  readonly mendM: number;
  readonly rod: RodWay;
}

export interface CastRequest {
  readonly channel: Channel;
  readonly rig: Rig;
  readonly plan: CastPlan;
  readonly lies: readonly FishLie[];
}
