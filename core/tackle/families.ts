import type { Motion } from './kit';

export const FLY_PROFILES = ['bulky', 'slim', 'sparse'] as const;
/** How much water a fly takes with it. */
export type FlyProfile = (typeof FLY_PROFILES)[number];

/** What weights a fly: kg added in water by a tungsten bead of 3.3 mm, a cone, a pair of lead eyes, turns of lead wire;
 * deer hair and foam buoy up (common practice, no source). */
export const FLY_WEIGHTS = {
  none: { addedKg: 0, added: false },
  bead: { addedKg: 0.2e-3, added: true },
  wire: { addedKg: 0.3e-3, added: true },
  cone: { addedKg: 0.4e-3, added: true },
  'lead eyes': { addedKg: 1.0e-3, added: true },
  buoyant: { addedKg: -0.25e-3, added: false },
} as const satisfies Record<string, { readonly addedKg: number; readonly added: boolean }>;
export type FlyWeight = keyof typeof FLY_WEIGHTS;
export const FLY_WEIGHT_NAMES = Object.keys(FLY_WEIGHTS) as FlyWeight[];

interface Family {
  readonly profile: FlyProfile;
  readonly motion: Motion;
  /** What one of them usually is (handbook of the trade: buggers 8 to 12, shank flies 6 cm, soft hackles 10 to 16, micro
   * streamers with 3.5 mm beads; common practice, no source). */
  readonly usual: { readonly lengthM: number; readonly hook: string; readonly weight: FlyWeight; readonly up?: true };
}

/** Families of sunk flies. */
export const FLY_FAMILIES = {
  'woolly bugger': { profile: 'bulky', motion: 'pulses', usual: { lengthM: 0.05, hook: '8', weight: 'none' } },
  'rabbit strip': { profile: 'bulky', motion: 'waves', usual: { lengthM: 0.06, hook: '6', weight: 'none' } },
  sculpin: { profile: 'bulky', motion: 'pushes water', usual: { lengthM: 0.06, hook: '4', weight: 'cone', up: true } },
  'slim baitfish': { profile: 'slim', motion: 'darts', usual: { lengthM: 0.06, hook: '6', weight: 'none' } },
  'lead-eye baitfish': {
    profile: 'bulky',
    motion: 'jigs',
    usual: { lengthM: 0.06, hook: '6', weight: 'lead eyes', up: true },
  },
  'articulated streamer': { profile: 'bulky', motion: 'waves', usual: { lengthM: 0.1, hook: '4', weight: 'none' } },
  muddler: { profile: 'bulky', motion: 'pushes water', usual: { lengthM: 0.05, hook: '8', weight: 'buoyant' } },
  crayfish: { profile: 'bulky', motion: 'jigs', usual: { lengthM: 0.05, hook: '6', weight: 'lead eyes', up: true } },
  'egg-sucking leech': { profile: 'bulky', motion: 'waves', usual: { lengthM: 0.06, hook: '6', weight: 'none' } },
  'micro streamer': { profile: 'slim', motion: 'jigs', usual: { lengthM: 0.03, hook: '12', weight: 'bead', up: true } },
  'shank fly': { profile: 'bulky', motion: 'waves', usual: { lengthM: 0.06, hook: '4', weight: 'none' } },
  'tube fly': { profile: 'slim', motion: 'darts', usual: { lengthM: 0.05, hook: '6', weight: 'none' } },
  'winged wet': { profile: 'slim', motion: 'drifts', usual: { lengthM: 0.025, hook: '8', weight: 'none' } },
  'soft-hackle spider': { profile: 'sparse', motion: 'pulses', usual: { lengthM: 0.014, hook: '14', weight: 'none' } },
  'large soft hackle': { profile: 'sparse', motion: 'pulses', usual: { lengthM: 0.025, hook: '8', weight: 'none' } },
  'hair-wing wet': { profile: 'slim', motion: 'darts', usual: { lengthM: 0.035, hook: '6', weight: 'none' } },
  'waking fly': { profile: 'bulky', motion: 'skates', usual: { lengthM: 0.04, hook: '6', weight: 'buoyant' } },
} as const satisfies Record<string, Family>;
export type FlyFamily = keyof typeof FLY_FAMILIES;
export const FLY_FAMILY_NAMES = Object.keys(FLY_FAMILIES) as FlyFamily[];

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

const WETS: ReadonlySet<FlyFamily> = new Set<FlyFamily>([
  'winged wet',
  'soft-hackle spider',
  'large soft hackle',
  'hair-wing wet',
]);
/** Wets and soft hackles, as against streamers and what wakes. */
export const isWetFly = ({ family }: { readonly family: FlyFamily }): boolean => WETS.has(family);

/** Weighted as the rules of a water mean it. */
export const isWeighted = ({ weight }: { readonly weight: FlyWeight }): boolean => FLY_WEIGHTS[weight].added;
