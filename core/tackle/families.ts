type Bulk = 'bulky' | 'slim' | 'sparse';

/** Families of sunk flies, and how much water each takes with it. */
export const FLY_FAMILIES = {
  'woolly bugger': { bulk: 'bulky' },
  'rabbit strip': { bulk: 'bulky' },
  sculpin: { bulk: 'bulky' },
  'slim baitfish': { bulk: 'slim' },
  'lead-eye baitfish': { bulk: 'bulky' },
  'articulated streamer': { bulk: 'bulky' },
  muddler: { bulk: 'bulky' },
  crayfish: { bulk: 'bulky' },
  'egg-sucking leech': { bulk: 'bulky' },
  'micro streamer': { bulk: 'slim' },
  'shank fly': { bulk: 'bulky' },
  'tube fly': { bulk: 'slim' },
  'winged wet': { bulk: 'slim' },
  'soft-hackle spider': { bulk: 'sparse' },
  'large soft hackle': { bulk: 'sparse' },
  'hair-wing wet': { bulk: 'slim' },
  'waking fly': { bulk: 'bulky' },
} as const satisfies Record<string, { readonly bulk: Bulk }>;
export type FlyFamily = keyof typeof FLY_FAMILIES;
export const FLY_FAMILY_NAMES = Object.keys(FLY_FAMILIES) as FlyFamily[];

/** What weights a fly: kg added in water by a 3.5 mm tungsten bead, a cone, a pair of lead eyes; deer hair and foam
 * buoy up (common practice, no source). */
export const FLY_WEIGHTS = {
  none: { addedKg: 0 },
  bead: { addedKg: 0.2e-3 },
  cone: { addedKg: 0.4e-3 },
  'lead eyes': { addedKg: 1.0e-3 },
  buoyant: { addedKg: -0.25e-3 },
} as const satisfies Record<string, { readonly addedKg: number }>;
export type FlyWeight = keyof typeof FLY_WEIGHTS;
export const FLY_WEIGHT_NAMES = Object.keys(FLY_WEIGHTS) as FlyWeight[];

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
