export const HAZARDS = ['low', 'moderate', 'significant', 'extreme'] as const;
type Hazard = (typeof HAZARDS)[number];

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
