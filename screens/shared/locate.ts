import { fromLatLon, type LatLon } from '@/formats/geo';
import { placeOf } from '@/core/sight/place';
import type { Run } from '@/core/water';
import type { Water } from '@/store/records';
import { format, type UnitSystem } from '@/words/units';

/** Where one is on the run, and how good that is. */
export interface Place {
  readonly xM: number;
  readonly yM: number;
  readonly accuracyM: number;
}

const WAIT_MS = 10_000;
/** So far beyond the run one is not on it, m. */
const BEYOND_M = 80;
/** From here on nobody cares how far, m. */
const FAR_M = 2000;

/** The device’s own fix. Rejects in words. @param otherwise what to do where there is none; @param oldestMs how old it may be */
export const deviceFix = (
  otherwise = 'tap the picture',
  oldestMs = 5000,
): Promise<LatLon & { readonly accuracyM: number }> =>
  new Promise((resolve, reject) => {
    if (!('geolocation' in navigator)) return reject(new Error('This device can’t tell its position.'));
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => resolve({ latDeg: coords.latitude, lonDeg: coords.longitude, accuracyM: coords.accuracy }),
      (e) =>
        reject(
          new Error(
            e.code === e.PERMISSION_DENIED
              ? `The browser may not tell where you are: allow it, or ${otherwise}.`
              : `No position was to be had here: ${otherwise}.`,
          ),
        ),
      { enableHighAccuracy: true, timeout: WAIT_MS, maximumAge: oldestMs },
    );
  });

/**
 * Where the device is on a run; on the demo’s rivers a simulated walker near where one is meant to stand.
 *
 * @param units in which its words tell how far off one is
 * @throws Error in words where it cannot be told, or is not on the run
 */
export async function locate(
  run: Run,
  water: Water | null,
  meant: { xM: number; yM: number },
  units: UnitSystem,
): Promise<Place> {
  const origin = run.origin ?? placeOf(water);
  if (!origin) throw new Error('The run has no place on the map: enter one under Edit the run.');
  const { isDemoWater, walkerAt } = await import('@/demo/load');
  const demo = isDemoWater(run.waterId);
  const fix = demo ? walkerAt(run, origin, meant, Date.now()) : await deviceFix();
  if (!demo && !run.origin)
    throw new Error('The run has no place of its own on the map: enter one under Edit the run, or tap the picture.');
  const { xM, yM } = fromLatLon(run, origin, fix);
  const beyond = Math.max(-xM, xM - run.lengthM, -yM, 0);
  if (beyond > BEYOND_M)
    throw new Error(
      `The device is ${beyond < FAR_M ? `${format('length', beyond, units)} off` : 'far from'} this run: tap the picture.`,
    );
  return {
    xM: Math.min(run.lengthM, Math.max(0, Math.round(2 * xM) / 2)),
    yM: Math.round(2 * yM) / 2,
    accuracyM: fix.accuracyM,
  };
}
