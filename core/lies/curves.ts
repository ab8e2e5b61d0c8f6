import { interpolate } from '../swing/field';

export const QUARRIES = ['rainbow trout', 'brown trout', 'steelhead', 'sea trout'] as const;
export type Quarry = (typeof QUARRIES)[number];

type Curve = { readonly at: readonly number[]; readonly suits: readonly number[] };

/**
 * Suitability 0 to 1 of depth (m) and mean speed (m/s) for fish that hold.
 *
 * Resident trout: in the manner of the US Fish and Wildlife Service's habitat suitability models (rainbow: Raleigh and
 * others 1984; brown: Raleigh, Zuckerman & Nelson 1986), points from memory and to be taken as ±0.15. Steelhead and sea
 * trout at rest: "even, walking-pace, waist-ish water" (common practice, no source).
 */
export const CURVES: Record<Quarry, { readonly depth: Curve; readonly speed: Curve }> = {
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

/** @example suitability(CURVES['brown trout'].depth, 0.7) // 1 */
export const suitability = (c: Curve, x: number): number => interpolate(c.at, c.suits, x);
