import type { WeatherHour } from '../gauge/weather';
import { radians } from '../maths';
import { acrossDeg, type Lying } from '../sight/runLight';
import type { Wind } from '../water/reading';

/** The wind on a run. */
export interface WindOnRun {
  readonly wind: Wind;
  /** A wood on the bank that it comes over takes the strength out of it. */
  readonly sheltered: boolean;
  readonly mps: number;
}

/** From moderate (4 Beaufort) and from strong (6 Beaufort) on, m/s. */
const [FRESH_MPS, STRONG_MPS] = [5.5, 10.8];
/** Trees so high shelter so many times their height behind them, and halve the wind (common practice for shelter belts, no source). */
const [LEAST_TREES_M, REACH, LEAVES] = [3, 10, 0.5];

export const forceOf = (mps: number): Wind['force'] =>
  mps >= STRONG_MPS ? 'strong' : mps >= FRESH_MPS ? 'fresh' : 'light';
const apart = (a: number, b: number): number => Math.abs(((((a - b) % 360) + 540) % 360) - 180);

/** The wind of an hour as it comes on a run: along it or across, and what its trees leave of it. */
export function windOnRun(run: Lying, hour: Pick<WeatherHour, 'windMps' | 'windFromDeg'>): WindOnRun {
  const across = acrossDeg(run);
  // Where each way of blowing comes from, as an azimuth.
  const ways = [
    ['upstream', run.bearingDeg + 180],
    ['downstream', run.bearingDeg],
    ['across', across],
    ['behind', across + 180],
  ] as const;
  const [from] = ways.reduce((a, b) => (apart(hour.windFromDeg, b[1]) < apart(hour.windFromDeg, a[1]) ? b : a));
  const trees = (from === 'behind' ? run.trees?.nearM : from === 'across' ? run.trees?.farM : 0) ?? 0;
  const sheltered = trees >= LEAST_TREES_M && run.widthM <= REACH * trees;
  const mps = hour.windMps * (sheltered ? LEAVES : 1);
  return { wind: { from, force: forceOf(mps) }, sheltered, mps };
}

/** The middling wind of some hours: directions as arrows, so that north is not the middle of east and west. */
export function middlingWind(hours: readonly Pick<WeatherHour, 'windMps' | 'windFromDeg'>[]): {
  readonly windMps: number;
  readonly windFromDeg: number;
} | null {
  if (hours.length === 0) return null;
  const sum = (of: (deg: number) => number) =>
    hours.reduce((total, h) => total + h.windMps * of(radians(h.windFromDeg)), 0);
  const deg = (Math.atan2(sum(Math.sin), sum(Math.cos)) * 180) / Math.PI;
  return {
    windMps: hours.reduce((total, h) => total + h.windMps, 0) / hours.length,
    windFromDeg: (deg + 360) % 360,
  };
}
