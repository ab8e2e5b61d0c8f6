import type { FlyColour, FlyFamily, FlyWeight } from './families';

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
