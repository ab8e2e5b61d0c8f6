import { clamp, roundTo } from '../maths/bounds';
import { type GuidedPlace, guidedSections } from './guided';
import { legDepthM, needHeight } from './leg';
import type { Feature } from './features';
import type { FeatureKind } from './featureTable';
import type { Pace } from './reading';
import type { Bed, Run } from './run';

/** A feature by its place and size, as shares of the run's length and width. */
type Placed = readonly [
  kind: FeatureKind,
  along: number,
  across: number,
  size?: readonly [along: number, across: number],
];

interface Shape {
  /** Length in widths. */
  readonly long: number;
  /** Depth at head, middle and tail, as shares of the deepest. */
  readonly deep: readonly [number, number, number];
  /** Where it is deepest, as a share of the width from one's own bank. */
  readonly deepest: number;
  readonly pace: Pace;
  readonly bed: Bed;
  readonly stands: readonly Placed[];
  /** Radius of its bend in widths, round one's own bank. */
  readonly bend?: number;
}

/** What a stretch of each kind usually looks like (common practice, no source; the shares are assumed). */
const SHAPES = {
  riffle: {
    ...{ long: 3, deep: [0.4, 0.6, 1], deepest: 0.55, pace: 'brisk', bed: 'cobble' },
    stands: [
      ['riffle', 0.3, 0.5, [0.5, 0.8]],
      ['drop-off', 0.68, 0.5, [0.05, 0.7]],
    ],
  },
  seam: {
    ...{ long: 3, deep: [0.8, 1, 0.9], deepest: 0.6, pace: 'walk', bed: 'gravel' },
    stands: [['foam line', 0.5, 0.42, [0.6, 0.04]]],
  },
  bend: { long: 4, deep: [0.7, 1, 0.7], deepest: 0.75, pace: 'walk', bed: 'gravel', stands: [], bend: 2.5 },
  pool: {
    ...{ long: 4, deep: [0.45, 1, 0.5], deepest: 0.5, pace: 'stroll', bed: 'gravel' },
    stands: [['drop-off', 0.2, 0.5, [0.03, 0.6]]],
  },
  tailout: { long: 3, deep: [1, 0.7, 0.4], deepest: 0.5, pace: 'walk', bed: 'gravel', stands: [] },
  'pocket water': {
    ...{ long: 3, deep: [0.9, 1, 0.9], deepest: 0.5, pace: 'brisk', bed: 'boulders' },
    stands: [
      ['boulder', 0.25, 0.35],
      ['boulder', 0.45, 0.65],
      ['boulder', 0.7, 0.4],
    ],
  },
  'cut bank': {
    ...{ long: 4, deep: [0.8, 1, 0.8], deepest: 0.85, pace: 'walk', bed: 'gravel' },
    stands: [['cut bank', 0.5, 0.97, [0.5, 0.06]]],
  },
  glide: { long: 5, deep: [0.9, 1, 0.85], deepest: 0.5, pace: 'stroll', bed: 'gravel', stands: [] },
  'slack pool': {
    ...{ long: 3, deep: [0.5, 1, 0.7], deepest: 0.5, pace: 'slack', bed: 'silt' },
    stands: [['log', 0.6, 0.15]],
  },
  'level step': {
    ...{ long: 4, deep: [0.7, 0.8, 1], deepest: 0.5, pace: 'brisk', bed: 'cobble' },
    stands: [
      ['level step', 0.45, 0.5, [0.25, 0.4]],
      ['drop-off', 0.62, 0.5, [0.04, 0.5]],
    ],
  },
  tongues: {
    ...{ long: 4, deep: [0.8, 1, 0.9], deepest: 0.6, pace: 'walk', bed: 'gravel' },
    stands: [['bar', 0.3, 0.45, [0.25, 0.15]]],
  },
} as const satisfies Readonly<Record<string, Shape>>;

export type KindOfWater = keyof typeof SHAPES;
export const KINDS_OF_WATER = Object.keys(SHAPES) as KindOfWater[];
/** Those that one tells apart in a glance. */
export const KINDS_AT_A_GLANCE = KINDS_OF_WATER.slice(0, KINDS_OF_WATER.indexOf('glide'));

/** How deep it is where it is deepest, by one's own body. */
export const BODY_MARKS = ['knee', 'waist', 'chest', 'over the head'] as const;
export type BodyMark = (typeof BODY_MARKS)[number];
/** Heights of marks above the hip as shares of the body's (waist and chest between hip 0.530 and shoulder 0.818 after Drillis and
 * Contini 1966, from memory); over the head by a hand (assumed). */
const HIGHER = { waist: 0.6, chest: 0.72, 'over the head': 1.1 } as const;

/** Depth of water at a mark of the body, m. Throws RangeError for heights outside 1 to 2.3 m. @example bodyDepthM('chest', 1.8) // 1.30 */
export function bodyDepthM(mark: BodyMark, heightM: number): number {
  if (mark === 'knee') return legDepthM(mark, heightM);
  needHeight(heightM);
  return HIGHER[mark] * heightM;
}

/** What one sees of a stretch in a glance. */
export interface Glance {
  readonly kind: KindOfWater;
  readonly widthM: number;
  readonly deepestM: number;
  /** Where it is deepest, as a share of the width from one's own bank; not said: as is usual for its kind. */
  readonly deepestAt?: number;
  /** Where the water goes, facing it. */
  readonly flows: 'to the left' | 'to the right';
  /** Where it flows to, degrees from north; not said: south. */
  readonly bearingDeg?: number;
  /** What stands in it besides what its kind brings, placed in the run. */
  readonly stands?: readonly Feature[];
}

/** Runs are neither shorter nor longer than this, m. */
const [SHORTEST_M, LONGEST_M] = [12, 120];
/** No bend is tighter, m. */
const TIGHTEST_M = 8;

/** Pace that such water usually has. */
export const usualPace = (kind: KindOfWater): Pace => SHAPES[kind].pace;
export const usualDeepest = (kind: KindOfWater): number => SHAPES[kind].deepest;

/**
 * A run that looks like the water in front of one: its kind brings the shape, one's answers the size. All of it is a guess until it is
 * measured, and is told as one by the doubt of what is read by eye.
 *
 * @param newId gives each feature its name
 * @throws RangeError for widths or depths that are not above 0
 */
export function runAtAGlance(
  g: Glance,
  newId: () => string,
): Pick<Run, 'lengthM' | 'bank' | 'bearingDeg' | 'bed' | 'sections' | 'features' | 'bend'> {
  const shape: Shape = SHAPES[g.kind];
  const lengthM = Math.round(clamp(shape.long * g.widthM, SHORTEST_M, LONGEST_M));
  const deepest = g.deepestAt ?? shape.deepest;
  // Standing on the true right bank and facing the water, it goes to the right.
  const bank = g.flows === 'to the right' ? 'right' : 'left';
  const [head, middle, tail] = shape.deep.map((share) => ({
    ...{ widthM: g.widthM, deepestM: share * g.deepestM, deepest },
  })) as [GuidedPlace, GuidedPlace, GuidedPlace];
  return {
    ...{ lengthM, bank, bearingDeg: g.bearingDeg ?? 180, bed: shape.bed },
    sections: guidedSections(lengthM, [head, middle, tail]),
    features: [
      ...shape.stands.map(([kind, along, across, size]): Feature => {
        const big = clamp(g.widthM / 12, 0.6, 1.5);
        return {
          ...{ id: newId(), kind, xM: roundTo(10, along * lengthM), yM: roundTo(10, across * g.widthM) },
          lengthM: roundTo(10, size ? size[0] * lengthM : big),
          widthM: roundTo(10, size ? Math.max(0.3, size[1] * g.widthM) : big),
        };
      }),
      ...(g.stands ?? []),
    ],
    ...(shape.bend && {
      bend: { turns: bank, radiusM: roundTo(10, Math.max(TIGHTEST_M, shape.bend * g.widthM)) } as const,
    }),
  };
}
