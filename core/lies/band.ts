import { type Channel, sample, sampleWater } from '../water';
import type { FishLie, ShownBand } from './types';
import { noseDepthM, type Willing } from './willing';

/** How the fly that is looked for at a lie is meant to pass: sunk, as a wet fly that fish come up to, or waking in the film. */
export type Ride = 'sunk' | 'wet' | 'wakes';

/** A fly this near to the bed hangs up, and one this near to the surface is not sunk, m. */
const OFF_BED_M = 0.05;
const SUNK_M = 0.05;

/** How far up fish come to a fly that rides so, m. */
export const upTo = (w: Willing, ride: Ride): number => (ride === 'sunk' ? w.upM : w.highUpM);

/**
 * Between which depths a fly is shown half as well as at a fish's nose, or better, m below the surface: what is told of a lie is
 * where the measure of a showing (core/showing) is over half its best.
 *
 * @example bandOf(willing, 1.5, 'sunk') // 0.6 to 1.45 m for steelhead at 10 °C, near the bed
 */
export function bandOf(w: Willing, depthM: number, ride: Ride): ShownBand {
  const noseM = noseDepthM(w, depthM);
  const bottomM = Math.min(noseM + w.downM, Math.max(depthM - OFF_BED_M, 0.85 * depthM));
  return {
    topM: Math.min(Math.max(ride === 'wakes' ? 0 : SUNK_M, noseM - upTo(w, ride)), bottomM),
    bottomM,
    by: ride === 'sunk' ? w.by : { school: 'comes up', moved: [] },
  };
}

/** Water with what is wanted of a fly in it. */
export type Asks = Pick<FishLie, 'depthM' | 'band' | 'wetBand' | 'crossSpeedMps' | 'willing'>;

/** What is wanted of a fly in water of some depth. */
export const asksOf = (willing: Willing, depthM: number): Asks => ({
  depthM,
  willing,
  band: bandOf(willing, depthM, 'sunk'),
  wetBand: bandOf(willing, depthM, 'wet'),
  crossSpeedMps: willing.crossMps,
});

/** A lie in water so many times as deep. */
export const inWater = (lie: FishLie, times: number): FishLie => ({
  ...lie,
  ...asksOf(lie.willing, times * lie.depthM),
});

/** A waking fly is meant to run across, m/s (assumed: a brisk walk). */
export const WAKES_MPS = 1;

/** A lie, or other holding water, as a fly that rides so should pass it. */
export function riding<T extends Asks>(lie: T, ride: Ride): T {
  if (ride === 'sunk') return lie;
  const band = bandOf(lie.willing, lie.depthM, ride);
  return { ...lie, band, ...(ride === 'wakes' ? { crossSpeedMps: WAKES_MPS } : null) };
}

/** The same lie looked for somewhere else: the water there. */
export function movedLie(lie: FishLie, c: Channel, x: number, y: number): FishLie {
  sampleWater(c, x, y);
  return { ...lie, ...asksOf(lie.willing, sample.h), xM: x, yM: y, speedMps: sample.u };
}
