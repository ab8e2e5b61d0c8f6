import type { Feature } from './features';
import type { Section } from './sections';

/** What the bed is made of, and how well it shelters a fish by itself, 0 to 1: soft water between stones (common
 * practice, no source). */
export const BEDS = {
  silt: { shelter: 0 },
  gravel: { shelter: 0 },
  cobble: { shelter: 0.1 },
  boulders: { shelter: 0.3 },
  bedrock: { shelter: 0 },
} as const;
export type Bed = keyof typeof BEDS;

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
  /** How far down the river its head lies, m, from wherever the water’s runs are measured; not said: not known. */
  readonly downM?: number;
  /** The true bank (facing downstream) that y is counted from; the angler's side as a rule. */
  readonly bank: 'left' | 'right';
  /** Where the run flows to, degrees from north. */
  readonly bearingDeg: number;
  readonly bed: Bed;
  /** Level against normal when the sections were read, m. */
  readonly levelM: number;
  readonly sections: readonly Section[];
  /** Its shape is its kind's and its depths are by eye: nobody has measured a section; not said: somebody has. */
  readonly glance?: boolean;
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
