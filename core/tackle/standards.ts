import { G, GRAIN_KG, INCH_M } from '../units';

/** Mass of the first 30 ft of a single-hand line, grains (tackle trade's line standard; from memory). */
export const LINE_GRAINS: Readonly<Record<number, number>> = {
  1: 60,
  2: 80,
  3: 100,
  4: 120,
  5: 140,
  6: 160,
  7: 185,
  8: 210,
  9: 240,
  10: 280,
  11: 330,
  12: 380,
};

/** Mass of the first 30 ft of a line, kg. Throws RangeError outside 1 to 12. @example lineMassKg(6) // 0.010368 */
export function lineMassKg(lineNumber: number): number {
  const grains = LINE_GRAINS[lineNumber];
  if (grains === undefined) throw new RangeError('lineNumber: must be a whole number from 1 to 12');
  return grains * GRAIN_KG;
}

/** Diameter of tippet in X sizes: 0.011 in − 0.001 in a size, 0X to 8X (trade rule; from memory).
 * Throws RangeError outside 0 to 8. @example tippetDiameterM(4) // 0.0001778 */
export function tippetDiameterM(x: number): number {
  if (!(x >= 0 && x <= 8)) throw new RangeError('x: X sizes run from 0 to 8');
  return (0.011 - 0.001 * x) * INCH_M;
}

/** Mean diameters of the head of a floating line by number, m, at density 0.88 (from memory). */
const FLOATER_DIAMETER_MM: readonly (readonly [number, number])[] = [
  [5, 1.2],
  [6, 1.28],
  [8, 1.47],
  [10, 1.69],
];
/** Diameter of sinking line by catalogue sink rate in inches a second, m (from memory). */
const SINKER_DIAMETER_MM: readonly (readonly [number, number])[] = [
  [1.5, 1.3],
  [3, 1.15],
  [5, 1.05],
  [7, 1.0],
];

function lookUp(table: readonly (readonly [number, number])[], x: number): number {
  const first = table[0]!;
  const last = table[table.length - 1]!;
  if (x <= first[0]) return first[1];
  for (let i = 1; i < table.length; i++) {
    const [xa, ya] = table[i - 1]!;
    const [xb, yb] = table[i]!;
    if (x <= xb) return ya + ((yb - ya) * (x - xa)) / (xb - xa);
  }
  return last[1];
}

/** @example floaterDiameterM(6) // 0.00128 */
export const floaterDiameterM = (lineNumber: number): number => lookUp(FLOATER_DIAMETER_MM, lineNumber) / 1000;
/** @example sinkerDiameterM(7) // 0.001 */
export const sinkerDiameterM = (ips: number): number => lookUp(SINKER_DIAMETER_MM, ips) / 1000;
/** Drag of a sphere (Hoerner 1965; from memory). */
export const SPHERE_CD = 0.45;
/** Density of floating line over water (from memory). */
export const FLOATER_DENSITY = 0.88;
/** Densities of leader materials over water: nylon 1.14, fluorocarbon 1.78 (from memory). */
export const LEADER_DENSITY = { nylon: 1.14, fluorocarbon: 1.78 } as const;

/** Submerged weight a metre at a relative density; negative floats, N/m. */
export const buoyantWeight = (density: number, diameterM: number, rho = 1000): number =>
  (density - 1) * rho * (Math.PI / 4) * diameterM ** 2 * G;
