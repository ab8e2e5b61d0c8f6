import { type Channel, sample, sampleWater } from '../water';
import type { DepthSchool, FishLie } from './types';

/**
 * The band in which to show the fly, m below the surface. The warmer and clearer the water, the higher it may ride;
 * one school fishes near the bed, the other the upper to lower-middle water, never dragging (common practice, no source).
 *
 * @example wantedBand(1.5, 6, 0.6, 'near the bed') // { topM: 0.9, bottomM: 1.35 }
 */
export function wantedBand(depthM: number, tempC: number, visM: number, school: DepthSchool) {
  const warm = Math.min(1, Math.max(0, (tempC - 6) / 10));
  const seen = Math.min(1, Math.max(0, (visM - 0.6) / 1.8));
  const lift = (0.35 * (warm + seen)) / 2;
  const top = school === 'near the bed' ? 0.6 - lift : 0.3 - 0.6 * lift;
  const bottom = school === 'near the bed' ? 0.9 : 0.65;
  return { topM: top * depthM, bottomM: bottom * depthM };
}

/** The same lie looked for somewhere else: the water there, the band as high in it as before. */
export function movedLie(lie: FishLie, c: Channel, x: number, y: number): FishLie {
  sampleWater(c, x, y);
  const depthM = sample.h;
  const part = depthM / lie.depthM;
  const band = { topM: lie.band.topM * part, bottomM: lie.band.bottomM * part };
  return { ...lie, xM: x, yM: y, depthM, speedMps: sample.u, band };
}
