import type { Bend, Run } from './run';

/** Bends throw the fast water outward: speed goes with the radius (a forced vortex), within limits.
 * @param out metres from the middle line towards the outside of the bend */
export const bendFactor = (bend: Bend, out: number): number =>
  Math.min(1.5, Math.max(0.5, (bend.radiusM + out) / bend.radiusM));

/** Whether the outside of the bend is the far side, seen from the described bank. */
export const outsideIsFar = (run: Run): boolean => run.bend!.turns === run.bank;
