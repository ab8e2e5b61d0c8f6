import type { Body } from '../swing';
import { WATER_DENSITY } from '../units';
import type { FloatItem } from './kit';
import { SPHERE_CD } from './standards';

/** Share of a ball's volume that is under water at a draught, as a share of its diameter: s²·(3 − 2s), the spherical cap.
 * @example immersed(0.5) // 0.5 */
export const immersed = (s: number): number => (s <= 0 ? 0 : s >= 1 ? 1 : s * s * (3 - 2 * s));

const volumeM3 = (f: FloatItem): number => (Math.PI / 6) * f.diameterM ** 3;

/** What a float still carries when it is quite under water, kg; negative where it sinks of itself. */
export const floatCarriesKg = (f: FloatItem): number => volumeM3(f) * WATER_DENSITY - f.massKg;

/**
 * How deep a float lies in still water with a load hung under it, m from its lowest point up to the surface: it displaces its
 * own mass and the load's weight in water (Archimedes).
 *
 * @param loadKg weight in water of what hangs under it, kg
 * @returns its whole diameter where the load drags it under
 * @example draughtM({ diameterM: 0.016, massKg: 0.0005, … }, 0.0004) // 0.0069
 */
export function draughtM(f: FloatItem, loadKg: number): number {
  const share = (f.massKg + loadKg) / (volumeM3(f) * WATER_DENSITY);
  if (share >= 1) return f.diameterM;
  let [low, high] = [0, 1];
  for (let i = 0; i < 50; i++) {
    const mid = (low + high) / 2;
    if (immersed(mid) < share) low = mid;
    else high = mid;
  }
  return f.diameterM * low;
}

/** A float as a body on the line: buoyant, wetted over its own height, its drag that of the part under water. */
export const floatBody = (f: FloatItem, fromEndM: number, loadKg: number): Body => ({
  fromEndM,
  massKg: f.massKg,
  massInWaterKg: -floatCarriesKg(f),
  dragAreaM2: SPHERE_CD * (Math.PI / 4) * f.diameterM ** 2 * Math.max(0.1, immersed(draughtM(f, loadKg) / f.diameterM)),
  heightM: f.diameterM,
});
