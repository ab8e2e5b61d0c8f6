import type { Channel } from './channel';

export const HAZARDS = ['low', 'moderate', 'significant', 'extreme'] as const;
export type Hazard = (typeof HAZARDS)[number];

/**
 * Hazard of wading for fit adults by depth × speed: low below 0.6 m²/s (and under 1.2 m and 3 m/s), moderate to 0.8,
 * significant to 1.2, extreme above (Cox, Shand & Blacka 2010, Australian Rainfall & Runoff Project 10; from memory).
 * The hydrographers' rule of ten, 0.929 m²/s, is already significant.
 *
 * @example wadingHazard(0.8, 0.7) // 'low'
 */
export function wadingHazard(depthM: number, speedMps: number): Hazard {
  const product = depthM * speedMps;
  if (product >= 1.2) return 'extreme';
  if (product >= 0.8 || speedMps >= 3) return 'significant';
  if (product >= 0.6 || depthM >= 1.2) return 'moderate';
  return 'low';
}

export const worse = (a: Hazard, b: Hazard): Hazard => (HAZARDS.indexOf(a) >= HAZARDS.indexOf(b) ? a : b);

/** Depth and mean speed of the grid's nearest cell. */
export function waterAt(c: Channel, xM: number, yM: number): { depthM: number; speedMps: number } {
  const i = rowAt(c, xM);
  const j = Math.min(c.ny - 1, Math.max(0, Math.round((yM - c.y0) / c.dy)));
  return { depthM: c.h[i * c.ny + j]!, speedMps: c.u[i * c.ny + j]! };
}

/** The grid's row nearest to x. */
export const rowAt = (c: Channel, xM: number): number =>
  Math.min(c.nx - 1, Math.max(0, Math.round((xM - c.x0) / c.dx)));
