import { degrees, radians } from '../maths';

/** Refractive index of fresh water. */
export const WATER_INDEX = 1.333;

/**
 * Share of unpolarised light that a still surface throws back (Fresnel).
 *
 * @param altitudeDeg of the sun, or how steeply one looks down, degrees above the surface, 0 to 90
 * @example reflectance(90) // 0.0204
 */
export function reflectance(altitudeDeg: number): number {
  if (!(altitudeDeg >= 0 && altitudeDeg <= 90)) throw new RangeError('altitudeDeg: must be between 0 and 90');
  const above = radians(90 - altitudeDeg);
  const below = refracted(above);
  if (above < 1e-9) return ((WATER_INDEX - 1) / (WATER_INDEX + 1)) ** 2;
  const [across, along] = [
    Math.sin(above - below) / Math.sin(above + below),
    Math.tan(above - below) / Math.tan(above + below),
  ];
  return (across ** 2 + along ** 2) / 2;
}

/** From the vertical below the surface, of a ray so far from it above; radians (Snell). */
const refracted = (above: number): number => Math.asin(Math.sin(above) / WATER_INDEX);

/** How far from the vertical the sun's light goes down in the water, degrees. @example underwaterZenithDeg(45) // 32.04 */
export const underwaterZenithDeg = (altitudeDeg: number): number => degrees(refracted(radians(90 - altitudeDeg)));

/** Half the angle of the window through which a fish sees all above the water, degrees. */
export const WINDOW_HALF_DEG = degrees(Math.asin(1 / WATER_INDEX));
/** Radius of that window for a fish so deep, m. @example windowRadiusM(1) // 1.1345 */
export const windowRadiusM = (depthM: number): number => depthM * Math.tan(radians(WINDOW_HALF_DEG));
