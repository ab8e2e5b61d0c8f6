import type { FishLie } from '../lies';
import type { Rig } from '../tackle';
import type { Channel } from '../water';
import type { MendBy } from './mend';

/** Share of the rod's length that reaches out from the angler. */
export const REACH = 0.8;

/** Longest cast that can be set, m, and how far round, degrees. */
export const LONGEST_CAST_M = 28;
/** Most slack a mend lays in, either way, m. */
export const MOST_MEND_M = 4;
export const CAST_ANGLE_DEG = { least: 10, most: 170 } as const;

export const ROD_WAYS = ['still', 'follow', 'lead'] as const;
/** Still: the rod holds its place. Follow: it points down the line. Lead: it stays ahead of the fly. */
type RodWay = (typeof ROD_WAYS)[number];

/** High: less line on the water and a sag that cushions. Lowered: raised at first, then lowered into the swing to hold the line back. */
export const TIP_WAYS = ['high', 'lowered'] as const;

export const WAYS = [
  'swing',
  'swing and strip',
  'timed rise',
  'strip',
  'towed by the bow',
  'upstream strip',
  'dead drift',
  'tight drift',
  'dip and draw',
  'sweep the hang',
  'lift at the end',
] as const;
/** What is done with the fly once it has landed; presentation.ts says how. */
export type Way = (typeof WAYS)[number];

/** Even: each pull as long as the last, with the same rest. Varied: a long one, two short ones, a pause. Given back: what is pulled
 * is given back at once, a pulse or a twitch. */
export const RHYTHMS = ['even', 'varied', 'given back'] as const;
export type Rhythm = (typeof RHYTHMS)[number];

/** What hands and feet do after the cast. */
export interface Hands {
  readonly way: Way;
  /** Count after landing before the hands begin, s. */
  readonly countS: number;
  /** One pull of the line hand, m (0: none), how fast, m/s, and the rest after it, s. */
  readonly pullM: number;
  readonly pullMps: number;
  readonly restS: number;
  /** Not said: even. */
  readonly rhythm?: Rhythm;
  /** Line paid into the drift, m. */
  readonly feedM: number;
  /** Steps downstream, m: the first while it sinks, the rest one by one through the swing. */
  readonly walkM: number;
}

/** Where one stands and what one does with a cast. Angles from straight downstream. */
export interface CastPlan {
  readonly xM: number;
  readonly yM: number;
  readonly outM: number;
  readonly angleDeg: number;
  /** Slack laid in by a mend, m; negative: a downstream mend. */
  readonly mendM: number;
  /** When the rod begins it, s after landing (0, or not said: it is laid in the air, as the line lands). */
  readonly mendAtS?: number;
  /** How the rod makes a late one; not said: by a soft lift. */
  readonly mendBy?: MendBy;
  readonly rod: RodWay;
  /** Rod tip held under the surface. */
  readonly tipUnder?: boolean;
  /** So deep, m; not said: 0.3. */
  readonly tipUnderM?: number;
  /** Held high all the way, or raised and lowered into the swing; not said: low. */
  readonly tip?: (typeof TIP_WAYS)[number];
  /** Cast towards the bank one stands nearer to, not away from it. */
  readonly inwards?: boolean;
  /** Not said: a plain swing. */
  readonly hands?: Hands;
}

/** Any cast: only how it is made, or the rig, is what matters. */
export const ANY_CAST: CastPlan = { xM: 0, yM: 0, outM: 12, angleDeg: 65, mendM: 0, rod: 'follow' };

export interface CastRequest {
  readonly channel: Channel;
  readonly rig: Rig;
  readonly plan: CastPlan;
  readonly lies: readonly FishLie[];
}
