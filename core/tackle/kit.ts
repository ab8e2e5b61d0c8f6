/** What an angler owns. Lengths in m, masses in kg; names are the owner's. */
interface Owned {
  readonly id: string;
  readonly name: string;
}

export interface RodItem extends Owned {
  readonly type: 'rod';
  readonly lengthM: number;
  readonly hands: 1 | 2;
  readonly lineNumber: number;
}

export interface HeadItem extends Owned {
  readonly type: 'head';
  /** `taper`: a whole floating line. `short`: a short head for sustained-anchor casts. `sinking`: the head itself sinks. */
  readonly shape: 'taper' | 'short' | 'sinking';
  readonly lengthM: number;
  readonly massKg: number;
  /** Catalogue sink rate of a sinking head, m/s; 0 floats. */
  readonly sinkRateMps: number;
  /** A head of two densities: rate of its front half, m/s. Not said: as the rest. */
  readonly frontSinkRateMps?: number;
}

export interface TipItem extends Owned {
  readonly type: 'tip';
  readonly lengthM: number;
  /** Catalogue sink rate, m/s; 0 is a floating tip. */
  readonly sinkRateMps: number;
}

export interface LeaderItem extends Owned {
  readonly type: 'leader';
  readonly lengthM: number;
  readonly diameterM: number;
  readonly material: 'nylon' | 'fluorocarbon';
}

export const FLY_FAMILIES = [
  'woolly bugger',
  'rabbit strip',
  'sculpin',
  'slim baitfish',
  'lead-eye baitfish',
  'articulated streamer',
  'muddler',
  'crayfish',
  'egg-sucking leech',
  'micro streamer',
  'shank fly',
  'tube fly',
  'winged wet',
  'soft-hackle spider',
  'large soft hackle',
  'hair-wing wet',
  'waking fly',
] as const;
export type FlyFamily = (typeof FLY_FAMILIES)[number];

export const FLY_COLOURS = [
  'black',
  'black and blue',
  'olive',
  'brown',
  'tan',
  'white',
  'yellow',
  'red',
  'orange',
  'pink',
  'purple',
] as const;
export type FlyColour = (typeof FLY_COLOURS)[number];

export const FLY_WEIGHTS = ['none', 'bead', 'cone', 'lead eyes', 'buoyant'] as const;
export type FlyWeight = (typeof FLY_WEIGHTS)[number];

export interface FlyItem extends Owned {
  readonly type: 'fly';
  readonly family: FlyFamily;
  readonly colour: FlyColour;
  readonly lengthM: number;
  readonly hook: string;
  readonly weight: FlyWeight;
  readonly barbless: boolean;
}

export type KitItem = RodItem | HeadItem | TipItem | LeaderItem | FlyItem;

/** Two schools place it: at the fly's head (0), or 6 to 8 in above it. */
export interface Shot {
  readonly massKg: number;
  readonly aboveFlyM: number;
}

/** What is tied on. Whole items, not references: the log must not change when the kit does. */
export interface Rig {
  readonly rod: RodItem;
  readonly head: HeadItem;
  readonly tip: TipItem | null;
  readonly leader: LeaderItem;
  readonly fly: FlyItem;
  /** Second fly on the leader, a metre and so above the point. */
  readonly dropper: FlyItem | null;
  /** Split shot on the leader. */
  readonly shot?: Shot;
  /** Clean floats by surface tension, dirty does not (see docs/swing.md). */
  readonly lineClean: boolean;
}

/** A rig in one line. @example describeRig(rig) // 'black rabbit strip, 6 cm' … the screen adds the tip in its units */
export const describeFly = (fly: FlyItem): string => `${fly.colour} ${fly.family}`;
