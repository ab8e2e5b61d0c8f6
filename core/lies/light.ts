import { radians } from '../maths';
import type { Run } from '../water';

/** Where the sun stands: degrees over the horizon and from north. */
export interface Sun {
  readonly altitudeDeg: number;
  readonly azimuthDeg: number;
}

/**
 * How far the shade of the trees on either bank reaches over the water, m from the water's edge.
 *
 * A tree of height H casts its shadow H/tan(altitude) away from the sun; what counts is the part of it across the
 * river. With the sun down all is shade.
 *
 * @returns metres from the described bank and from the other
 * @example shadeOf({ trees: { nearM: 10, farM: 0 }, bank: 'left', bearingDeg: 180, … }, { altitudeDeg: 45, azimuthDeg: 90 }) // { nearM: 10, farM: 0 }
 */
export function shadeOf(run: Pick<Run, 'trees' | 'bank' | 'bearingDeg'>, sun: Sun): { nearM: number; farM: number } {
  if (sun.altitudeDeg <= 0) return { nearM: Infinity, farM: Infinity };
  const trees = run.trees ?? { nearM: 0, farM: 0 };
  // Looking from the described bank across the river: right of the flow from the left bank, left of it from the right.
  const acrossDeg = run.bearingDeg + (run.bank === 'left' ? 90 : -90);
  const away = -Math.cos(radians(sun.azimuthDeg - acrossDeg)) / Math.tan(radians(sun.altitudeDeg));
  return { nearM: Math.max(0, trees.nearM * away), farM: Math.max(0, -trees.farM * away) };
}

/** Whether a place lies in that shade. `out` and `in` are its distances from the described bank and from the other. */
export const shaded = (shade: { nearM: number; farM: number }, outM: number, inM: number): boolean =>
  outM < shade.nearM || inM < shade.farM;
