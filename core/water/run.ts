import type { Pace } from './readings';

/** Bed roughness in words with Manning's n of natural streams (Chow 1959, from memory). */
export const BEDS = {
  silt: 0.03,
  gravel: 0.035,
  cobble: 0.04,
  boulders: 0.05,
  bedrock: 0.035,
} as const;
export type Bed = keyof typeof BEDS;

export const FEATURE_KINDS = [
  'riffle',
  'drop-off',
  'plunge',
  'boulder',
  'log',
  'brush',
  'cut bank',
  'eddy',
  'foam line',
  'level step',
  'bar',
  'weed',
  'redd',
  'spring',
] as const;
export type FeatureKind = (typeof FEATURE_KINDS)[number];

/** Something to be seen in the run, placed by its middle. */
export interface Feature {
  readonly id: string;
  readonly kind: FeatureKind;
  readonly xM: number;
  readonly yM: number;
  /** Extent along and across the river, m. */
  readonly lengthM: number;
  readonly widthM: number;
}

/** A cross-section: points from the described bank outwards; the first and last are the water's edges. */
export interface Section {
  readonly xM: number;
  readonly points: readonly { readonly yM: number; readonly depthM: number }[];
}

export interface SpeedAt {
  /** Speed of a float on the surface, m/s. */
  readonly surfaceMps: number;
  readonly xM: number;
  readonly yM: number;
}

export interface Run {
  readonly id: string;
  readonly waterId: string;
  readonly name: string;
  readonly lengthM: number;
  /** The true bank (facing downstream) that y is counted from; the angler's side as a rule. */
  readonly bank: 'left' | 'right';
  /** Where the run flows to, degrees from north. */
  readonly bearingDeg: number;
  readonly bed: Bed;
  /** Level against normal when the sections were read, m. */
  readonly levelM: number;
  readonly sections: readonly Section[];
  readonly features: readonly Feature[];
  /** A speed measured when the sections were read, if any. */
  readonly speed: SpeedAt | null;
  /** What the water's gauge said of the flow on that day, m³/s. */
  readonly flowM3s?: number;
  /** How the river turns here; not said: straight. */
  readonly bend?: Bend;
  /** Room behind the angler on the described bank; not said: open. */
  readonly room?: Room;
  /** Height of the trees on the described bank and on the other, m; not said: none. */
  readonly trees?: { readonly nearM: number; readonly farM: number };
  /** Where the described bank meets the head of the run, for maps. */
  readonly origin?: { readonly latDeg: number; readonly lonDeg: number };
  readonly notes: string;
}

export interface Bend {
  /** Seen looking downstream. */
  readonly turns: 'left' | 'right';
  /** Radius of its middle line, m. */
  readonly radiusM: number;
}

export const ROOMS = ['open', 'low bushes', 'trees behind'] as const;
export type Room = (typeof ROOMS)[number];

export const COLOURS = ['clear', 'blue-green', 'green', 'tea', 'grey-brown', 'brown soup'] as const;
export type WaterColour = (typeof COLOURS)[number];
export const SKIES = ['bright', 'broken', 'overcast', 'yellow', 'dusk'] as const;
export type Sky = (typeof SKIES)[number];

/** What was seen and measured at the bank. */
export interface Reading {
  readonly id: string;
  readonly runId: string;
  /** Milliseconds since 1970 UTC. */
  readonly at: number;
  readonly levelM: number;
  /** How far down one can see, m; `atLeast` when the toes were still seen. */
  readonly visibilityM: number;
  readonly atLeast: boolean;
  readonly colour: WaterColour;
  readonly speed: SpeedAt | null;
  /** The main current's pace by eye, where no float was timed. */
  readonly pace?: Pace;
  /** The gauge's flow, m³/s. */
  readonly flowM3s?: number;
  /** Where the level comes from; not said: by eye. */
  readonly levelFrom?: 'gauge' | 'eye';
  readonly depths?: readonly DepthAt[];
  readonly waterTempC: number | null;
  readonly sky: Sky;
  readonly wind?: Wind;
}

/** A depth measured at a place. */
export interface DepthAt {
  readonly xM: number;
  readonly yM: number;
  readonly depthM: number;
  readonly how: 'leg' | 'staff' | 'sink count';
}

export const WIND_FORCES = ['light', 'fresh', 'strong'] as const;
export interface Wind {
  /** Where it blows from, seen from the described bank looking across. */
  readonly from: (typeof WIND_FROM)[number];
  readonly force: (typeof WIND_FORCES)[number];
}
export const WIND_FROM = ['upstream', 'downstream', 'behind', 'across'] as const;

/** The water's state by visibility: two feet or less is dirty, a hand mud, more than three feet fair
 * (common practice, no source). @example clarity(0.5) // 'dirty' */
export function clarity(visibilityM: number): 'mud' | 'dirty' | 'coloured' | 'fair' | 'clear' {
  if (visibilityM <= 0.1) return 'mud';
  if (visibilityM <= 0.61) return 'dirty';
  if (visibilityM <= 0.91) return 'coloured';
  return visibilityM <= 1.8 ? 'fair' : 'clear';
}

/** Where the toes vanish, as a share of body height: ankle 0.05 … hip 0.53 (segment heights after Drillis and Contini
 * 1966: ankle 0.039 H, knee 0.285 H, hip 0.530 H, from memory; the others between them). */
export const LEG_MARKS = [
  ['ankle', 0.04],
  ['mid-calf', 0.16],
  ['knee', 0.285],
  ['mid-thigh', 0.4],
  ['hip', 0.53],
] as const;
export type LegMark = (typeof LEG_MARKS)[number][0];

/** Depth of water at a mark on the leg of somebody of that height, m. Throws RangeError for heights outside 1 to 2.3 m.
 * @example legDepthM('knee', 1.8) // 0.513 */
export function legDepthM(mark: LegMark, heightM: number): number {
  if (!(heightM >= 1 && heightM <= 2.3)) throw new RangeError('heightM: must be between 1 and 2.3 m');
  const found = LEG_MARKS.find(([m]) => m === mark);
  if (!found) throw new RangeError('mark: not a mark on the leg');
  return found[1] * heightM;
}
