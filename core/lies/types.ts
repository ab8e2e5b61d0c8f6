import type { Sun } from './light';
import type { Quarry, SizeClass } from './suitability';
import { FEATURE_KINDS } from '../water/features'; // not the barrel: this weighs on the first look
import type { OwnLeeway } from './leeway';
import type { Willing, WillingMove } from './willing';

/**
 * What a lie's score is made of, each 0 to 1. Depth and speed: comfort. Seam: fast water next door. Cover: stones, wood,
 * undercuts, ledges, depth, a broken surface. Edge: the bank, in dirty water. Light: how well it is hidden from the sun.
 * Place: heads when warm, tailouts at dusk, where travellers rest. Temperature: how willing they are; the same everywhere.
 */
export type LiePart = 'depth' | 'speed' | 'seam' | 'cover' | 'edge' | 'light' | 'place' | 'temperature';

/** By which school a fly is shown how deep, and what of the day moves it up or down; wets and wakes: where fish come up to it. */
export type BandBy = { readonly school: DepthSchool | 'comes up'; readonly moved: readonly WillingMove[] };

/** Where the fly should pass, m below the surface, and what moved it there. */
export interface ShownBand {
  readonly topM: number;
  readonly bottomM: number;
  readonly by: BandBy;
}

/** Why fish hold at a place: what stands there, or what of the water and the day draws them. */
export const LIE_REASONS = [
  ...FEATURE_KINDS,
  'patrolled slack',
  'tailout at dusk',
  'air at the head',
  'head in the warm',
  'shade',
  'inside of the bend',
  'seam',
  'edge in dirty water',
  'edge in low light',
  'edge in high water',
  'deep from the sun',
  'slow and deep in the cold',
  'slow in the cold',
  'best of poor water',
  'good depth',
  'comfortable',
] as const satisfies readonly string[];
export type LieReason = (typeof LIE_REASONS)[number];

/** A station: a fish that feeds there. A rest: one that travels. A beat: one that cruises. */
export type LieKind = 'station' | 'rest' | 'beat';

/** The water is much alike everywhere; or the run's shape is its kind's, and nobody measured a depth near by. */
export type Guess = 'alike' | 'glance';

/** Where fish are thought to hold, best first. */
export interface FishLie {
  /** 1 is the best. */
  readonly rank: number;
  readonly kind: LieKind;
  readonly xM: number;
  readonly yM: number;
  /** Extent along and across the river, m. */
  readonly lengthM: number;
  readonly widthM: number;
  readonly depthM: number;
  readonly speedMps: number;
  /** 0 to 1, and the parts it was made of. */
  readonly score: number;
  readonly parts: Readonly<Record<LiePart, number>>;
  /** In how many of so many runs and readings as rough as today's it is found again; not said: not worked out. */
  readonly foundAgain?: { readonly times: number; readonly of: number };
  /** Why it is a guess that fish lie just there; null: the readings bear it. */
  readonly guess: Guess | null;
  /** How the fish that hold here come to a fly. */
  readonly willing: Willing;
  /** What follows of it for a fly over it: where it should pass, m below the surface, and how fast across at the most, m/s. */
  readonly band: ShownBand;
  /** The same for wet flies that come up to fish: upper to lower middle, whatever the school. */
  readonly wetBand: ShownBand;
  readonly crossSpeedMps: number;
  /** The side the fly should come from: out of the fast water into the soft. */
  readonly from: 'far side' | 'near side';
  /** A redd is near, or may be: fish here may be waiting to spawn or resting from it. */
  readonly staged: boolean;
  readonly reasons: readonly LieReason[];
}

/** How deep to show the fly: near the bed, or in the upper to lower-middle water (two schools). */
export type DepthSchool = 'near the bed' | 'upper to middle';

/** Where fish go in high or dirty water (two schools). */
export type FloodSchool = 'to the margins' | 'out and feeding';

export interface LieOptions {
  readonly quarry: Quarry;
  readonly school: DepthSchool;
  /** Not said: to the margins. */
  readonly flood?: FloodSchool;
  /** Not said: any. */
  readonly size?: SizeClass;
  /** Not said: only the sky counts. */
  readonly sun?: Sun;
  readonly own?: OwnLeeway;
  /** At the most this many. */
  readonly most: number;
}
