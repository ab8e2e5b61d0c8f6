import type { FlyColour, FlyFamily, FlyProfile, FlyWeight } from './families';

/** What an angler owns. Lengths in m, masses in kg; names are the owner's. */
interface Owned {
  readonly id: string;
  readonly name: string;
  /** Kept, but not offered: left at home, worn out. */
  readonly aside?: boolean;
  /** Running low: to be bought or tied. */
  readonly low?: boolean;
}

export interface RodItem extends Owned {
  readonly type: 'rod';
  readonly lengthM: number;
  readonly hands: 1 | 2;
  /** A rod for two hands that is short enough for one. */
  readonly switch?: boolean;
  readonly lineNumber: number;
  /** Least and most mass of head that its maker gives it, kg. Not said: by its number. */
  readonly windowKg?: readonly [number, number];
}

export const HEAD_SHAPES = ['taper', 'short', 'long'] as const;
/** `taper`: a whole line. `short`: a short head for sustained-anchor casts. `long`: a long one that lays flies down softly. */
type HeadShape = (typeof HEAD_SHAPES)[number];

export interface HeadItem extends Owned {
  readonly type: 'head';
  readonly shape: HeadShape;
  readonly lengthM: number;
  readonly massKg: number;
  /** Catalogue sink rates of its equal parts from the rod outwards, m/s: one, two or three; 0 floats. */
  readonly sinkRatesMps: readonly number[];
  /** So much was cut off its front, m. */
  readonly cutBackM?: number;
}

export const RUNNING_KINDS = ['floating', 'intermediate', 'mono'] as const;
export interface RunningItem extends Owned {
  readonly type: 'running';
  readonly kind: (typeof RUNNING_KINDS)[number];
  readonly diameterM: number;
}

export interface TipItem extends Owned {
  readonly type: 'tip';
  readonly lengthM: number;
  /** Catalogue sink rate, m/s; 0 is a floating tip. */
  readonly sinkRateMps: number;
  /** A tapered sinking leader, lighter than a tip cut from line. */
  readonly tapered?: boolean;
  /** As printed on it, kg. Not said: by its sink rate and diameter. */
  readonly massKg?: number;
}

export const MATERIALS = ['nylon', 'fluorocarbon'] as const;
export type Material = (typeof MATERIALS)[number];

export const PIECE_PARTS = ['butt', 'taper', 'sighter', 'tippet'] as const;
/** One piece of a leader. */
export interface LeaderPiece {
  readonly part: (typeof PIECE_PARTS)[number];
  readonly lengthM: number;
  readonly diameterM: number;
  /** At its thin end, where it tapers. */
  readonly toDiameterM?: number;
  readonly material: Material;
  /** As printed on its spool, N. Not said: by its diameter. */
  readonly strengthN?: number;
}

export interface LeaderItem extends Owned {
  readonly type: 'leader';
  /** From the line outwards. */
  readonly pieces: readonly LeaderPiece[];
  /** Felt and found nicked: it parts on the next fish. */
  readonly nicked?: boolean;
}

export interface SpoolItem extends Owned {
  readonly type: 'spool';
  readonly diameterM: number;
  readonly material: Material;
  readonly strengthN?: number;
}

export interface RingItem extends Owned {
  readonly type: 'ring';
  readonly diameterM: number;
}

export interface ShotItem extends Owned {
  readonly type: 'shot';
  /** Of one. */
  readonly massKg: number;
}

/** A ball that floats: what holds a fly at a depth and shows the take. */
export interface FloatItem extends Owned {
  readonly type: 'float';
  readonly diameterM: number;
  readonly massKg: number;
}

export const MOTIONS = ['waves', 'pulses', 'jigs', 'darts', 'pushes water', 'drifts', 'skates'] as const;
export type Motion = (typeof MOTIONS)[number];

export interface FlyItem extends Owned {
  readonly type: 'fly';
  readonly family: FlyFamily;
  /** The owner's own family, where it is none of ours; `family` is then the likest. */
  readonly called?: string;
  /** The main colour. */
  readonly colour: FlyColour;
  /** Others and their shares of it; what is left is the main colour's. */
  readonly also?: readonly { readonly colour: FlyColour; readonly share: number }[];
  readonly flash?: boolean;
  readonly lengthM: number;
  /** Not said: as its family. */
  readonly profile?: FlyProfile;
  /** Not said: as its family. */
  readonly motion?: Motion;
  readonly hook: string;
  /** Rides point up: snags less. */
  readonly hookUp?: boolean;
  readonly weight: FlyWeight;
  /** Diameter of its bead, m. Not said: 3.3 mm. */
  readonly beadM?: number;
  readonly barbless: boolean;
  readonly scented?: boolean;
  /** How many of it. */
  readonly count?: number;
}

export const OTHER_FLIES = ['dry', 'nymph', 'egg', 'other'] as const;
/** A fly that is not fished sunk on the swing: for the log only, no rig is made up with it. */
export interface OtherFlyItem extends Owned {
  readonly type: 'other fly';
  readonly kind: (typeof OTHER_FLIES)[number];
  readonly hook: string;
}

export type KitItem =
  | RodItem
  | HeadItem
  | RunningItem
  | TipItem
  | LeaderItem
  | SpoolItem
  | RingItem
  | ShotItem
  | FloatItem
  | FlyItem
  | OtherFlyItem;
export type KitType = KitItem['type'];
export type KitOf<T extends KitType> = Extract<KitItem, { type: T }>;

/** Types in the order of the work, and how one speaks of them. The compiler finds one that is missing. */
export const KIT_TYPES = {
  fly: { one: 'fly', many: 'Flies' },
  rod: { one: 'rod', many: 'Rods' },
  head: { one: 'line', many: 'Lines and heads' },
  running: { one: 'running line', many: 'Running lines' },
  tip: { one: 'tip', many: 'Tips and sinking leaders' },
  leader: { one: 'leader', many: 'Leaders' },
  spool: { one: 'spool', many: 'Tippet spools' },
  ring: { one: 'ring', many: 'Tippet rings' },
  shot: { one: 'shot', many: 'Shot' },
  float: { one: 'float', many: 'Floats' },
  'other fly': { one: 'fly for the log', many: 'Dries, nymphs and eggs, for the log' },
} as const satisfies Record<KitType, { readonly one: string; readonly many: string }>;
export const KIT_TYPE_NAMES = Object.keys(KIT_TYPES) as KitType[];

/** Items of one type that are not set aside, in the order of their names. */
export const itemsOf = <T extends KitType>(kit: readonly KitItem[], type: T): KitOf<T>[] =>
  kit.filter((k): k is KitOf<T> => k.type === type && !k.aside).sort((a, b) => a.name.localeCompare(b.name));

/** Flies that can be tied on: not set aside, nor used up. */
export const fliesLeft = (kit: readonly KitItem[]): FlyItem[] => itemsOf(kit, 'fly').filter((f) => f.count !== 0);

/** One item by type and id, set aside or not; null where the kit has none. */
export const itemOf = <T extends KitType>(kit: readonly KitItem[], type: T, id: string): KitOf<T> | null =>
  kit.find((k): k is KitOf<T> => k.type === type && k.id === id) ?? null;
