import { radians } from '../maths';
import { reflectance, underwaterZenithDeg } from './surface';

/** Where a run lies to the sun: its bearing, the bank it is described from and fished from, and the trees on its banks. */
export interface Lying {
  readonly bearingDeg: number;
  readonly bank: 'left' | 'right';
  readonly trees?: { readonly nearM: number; readonly farM: number };
  readonly widthM: number;
}

export interface RunLight {
  /** Share of its width that lies in the shade of trees, 0 to 1. */
  readonly shade: number;
  /** From which side it lies in it. */
  readonly shadeFrom: 'near' | 'far' | null;
  /** The sun throws its light off the surface at one who looks across. */
  readonly glare: boolean;
}

/** Azimuth in which one looks straight across, degrees from north. */
export const acrossDeg = ({ bearingDeg, bank }: Pick<Lying, 'bearingDeg' | 'bank'>): number =>
  (((bearingDeg + (bank === 'left' ? 90 : -90)) % 360) + 360) % 360;

/** One looks at the water within so much of straight across, and so steeply down at the most (assumed), degrees. */
const [LOOKS_DEG, STEEPEST_DEG] = [50, 50];

const apart = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);

/**
 * Shade of the trees on both banks and glare, at one moment. Trees stand at the water's edge, the whole run along (assumed); those
 * of the far bank that hide the sun take its glare away too.
 */
export function runLight(run: Lying, sun: { altitudeDeg: number; azimuthDeg: number }): RunLight {
  if (sun.altitudeDeg <= 0) return { shade: 0, shadeFrom: null, glare: false };
  const across = acrossDeg(run);
  const toFar = Math.cos(radians(sun.azimuthDeg - across));
  const from = toFar > 0 ? 'far' : 'near';
  const height = (from === 'far' ? run.trees?.farM : run.trees?.nearM) ?? 0;
  const reach = (height / Math.tan(radians(sun.altitudeDeg))) * Math.abs(toFar);
  const shade = Math.min(1, reach / run.widthM);
  const glare =
    apart(sun.azimuthDeg, across) < LOOKS_DEG && sun.altitudeDeg < STEEPEST_DEG && !(from === 'far' && shade > 0.7);
  return { shade, shadeFrom: shade > 0.05 ? from : null, glare };
}

/** What dims light on its way down: Kd = 1.7 over the depth to which a pale thing is seen (Poole & Atkins 1929). */
const POOLE_ATKINS = 1.7;

/**
 * Share of the sun's light on the water that is left at a depth: less what the surface throws back, dimmed along its slanting way.
 *
 * @param visibilityM as read, m (> 0)
 */
export function lightAtBed(altitudeDeg: number, depthM: number, visibilityM: number): number {
  if (!(visibilityM > 0)) throw new RangeError('visibilityM: must be above 0');
  if (altitudeDeg <= 0) return 0;
  const way = depthM / Math.cos(radians(underwaterZenithDeg(altitudeDeg)));
  return (1 - reflectance(altitudeDeg)) * Math.exp((-POOLE_ATKINS / visibilityM) * way);
}
