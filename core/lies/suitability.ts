import { interpolate } from '../maths';

/** Fish whose water is told of, each by its own row in the tables. */
export const STUDIED = ['rainbow trout', 'brown trout', 'steelhead', 'sea trout'] as const;
export type Studied = (typeof STUDIED)[number];
/** Others go by the likest of them (assumed): by how fast and how deep the water is that they keep to. */
const LIKE = {
  'cutthroat trout': 'rainbow trout',
  'brook trout': 'brown trout',
  char: 'brown trout',
  grayling: 'rainbow trout',
} as const satisfies Record<string, Studied>;

export type Quarry = Studied | keyof typeof LIKE;
export const QUARRIES: readonly Quarry[] = [...STUDIED, ...(Object.keys(LIKE) as (keyof typeof LIKE)[])];

/** The fish by whose row a fish goes: itself, or the likest. @example likestOf('grayling') // 'rainbow trout' */
export const likestOf = (quarry: Quarry): Studied =>
  quarry in LIKE ? LIKE[quarry as keyof typeof LIKE] : (quarry as Studied);

type Curve = { readonly at: readonly number[]; readonly suits: readonly number[] };

/**
 * Suitability 0 to 1 of depth (m) and mean speed (m/s) for fish that hold.
 *
 * Resident trout: in the manner of the US Fish and Wildlife Service's habitat suitability models (rainbow: Raleigh and
 * others 1984; brown: Raleigh, Zuckerman & Nelson 1986), points from memory and to be taken as ±0.15. Steelhead and sea
 * trout at rest: "even, walking-pace, waist-ish water" (common practice, no source).
 */
const CURVES: Record<Studied, { readonly depth: Curve; readonly speed: Curve }> = {
  'rainbow trout': {
    depth: { at: [0.1, 0.3, 0.6, 1.5, 3], suits: [0, 0.4, 1, 1, 0.7] },
    speed: { at: [0, 0.15, 0.3, 0.5, 0.9, 1.3], suits: [0.4, 0.9, 1, 0.9, 0.3, 0] },
  },
  'brown trout': {
    depth: { at: [0.1, 0.3, 0.7, 2, 3.5], suits: [0, 0.3, 1, 1, 0.8] },
    speed: { at: [0, 0.1, 0.25, 0.4, 0.7, 1.1], suits: [0.5, 1, 1, 0.8, 0.3, 0] },
  },
  steelhead: {
    depth: { at: [0.3, 0.6, 0.9, 2, 4], suits: [0, 0.5, 1, 1, 0.4] },
    speed: { at: [0, 0.3, 0.5, 0.9, 1.2, 1.6], suits: [0.1, 0.7, 1, 1, 0.5, 0] },
  },
  'sea trout': {
    depth: { at: [0.3, 0.6, 0.9, 2.5, 4], suits: [0, 0.5, 1, 1, 0.6] },
    speed: { at: [0, 0.15, 0.3, 0.7, 1, 1.4], suits: [0.3, 0.8, 1, 0.9, 0.4, 0] },
  },
};

/** How depth and speed suit a fish. */
export const curvesOf = (quarry: Quarry): { readonly depth: Curve; readonly speed: Curve } => CURVES[likestOf(quarry)];

/** @example suitability(curvesOf('brown trout').depth, 0.7) // 1 */
export const suitability = (c: Curve, x: number): number => interpolate(c.at, c.suits, x);

/** Fish that come up from the sea or a lake to spawn, and rest on the way. */
export const MIGRANTS: ReadonlySet<Quarry> = new Set<Quarry>(['steelhead', 'sea trout']);

/**
 * Suitability of the water's temperature, °C, for fish that feed (rainbow: Raleigh and others 1984; brown: Raleigh,
 * Zuckerman & Nelson 1986; active feeding about 7 to 17 °C; from memory, ±0.15). Migrants bite in colder water
 * (common practice, no source).
 */
const TEMPERATURE: Record<Studied, Curve> = {
  'rainbow trout': { at: [0, 4, 7, 12, 17, 20, 24], suits: [0.05, 0.3, 0.7, 1, 1, 0.5, 0] },
  'brown trout': { at: [0, 4, 7, 12, 17, 20, 24], suits: [0.05, 0.3, 0.75, 1, 1, 0.45, 0] },
  steelhead: { at: [0, 3, 6, 10, 14, 18, 22], suits: [0.1, 0.4, 0.8, 1, 1, 0.5, 0] },
  'sea trout': { at: [0, 3, 6, 10, 15, 18, 22], suits: [0.1, 0.4, 0.8, 1, 1, 0.5, 0] },
};
export const temperatureSuits = (quarry: Quarry, tempC: number): number =>
  suitability(TEMPERATURE[likestOf(quarry)], tempC);

export const SIZE_CLASSES = ['any', 'small', 'good', 'large'] as const;
export type SizeClass = (typeof SIZE_CLASSES)[number];

/** What a size class wants: typical length, m; depth over that of the curves; weight of cover (common practice, no source). */
export const SIZES: Record<
  SizeClass,
  {
    readonly lengthM: { readonly resident: number; readonly migrant: number };
    readonly depthTimes: number;
    readonly cover: number;
  }
> = {
  any: { lengthM: { resident: 0.35, migrant: 0.65 }, depthTimes: 1, cover: 0.25 },
  small: { lengthM: { resident: 0.22, migrant: 0.45 }, depthTimes: 0.75, cover: 0.15 },
  good: { lengthM: { resident: 0.38, migrant: 0.65 }, depthTimes: 1, cover: 0.25 },
  large: { lengthM: { resident: 0.55, migrant: 0.85 }, depthTimes: 1.35, cover: 0.4 },
};

/** Longest sustained speed of a salmonid of length FL, m/s: 36.2·FL^0.19 cm/s with FL in cm (from memory).
 * @example sustainedMps(0.3) // 0.691 */
export const sustainedMps = (lengthM: number): number => 0.362 * Math.pow(100 * lengthM, 0.19);
