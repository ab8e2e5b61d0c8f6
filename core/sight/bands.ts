import { interpolate } from '../maths';

/** Wavelengths that are reckoned with, nm: every ten from 400 to 700. */
export const BANDS_NM: readonly number[] = Array.from({ length: 31 }, (_, i) => 400 + 10 * i);
/** One value for each band. */
export type Spectrum = readonly number[];

export const spectrum = (of: (nm: number) => number): Spectrum => BANDS_NM.map(of);

/** Absorption of pure water, 1/m (Pope & Fry 1997; from memory, with 400 and 520 nm between its neighbours): it rises steeply between 580
 * and 600 nm. */
const PURE_NM = [400, 440, 490, 520, 550, 560, 570, 580, 590, 600, 650, 700];
const PURE = [0.0066, 0.0064, 0.015, 0.041, 0.0565, 0.0619, 0.0695, 0.0896, 0.135, 0.222, 0.34, 0.624];
export const PURE_WATER: Spectrum = spectrum((nm) => interpolate(PURE_NM, PURE, nm));

/** Largest sensitivities of a salmonid’s cones, nm (Hawryshyn & Hárosi 1994; from memory). */
export const CONES_NM = [434, 531, 576] as const;

/** Sensitivity of a visual pigment of vitamin A1 at a wavelength, its largest being 1: the α band of Govardovskii and others
 * 2000 (from memory). @example pigment(531, 531) // 1 */
export function pigment(peakNm: number, nm: number): number {
  const x = peakNm / nm;
  const a = 0.8795 + 0.0459 * Math.exp(-((peakNm - 300) ** 2) / 11940);
  return 1 / (Math.exp(69.7 * (a - x)) + Math.exp(28 * (0.922 - x)) + Math.exp(-14.9 * (1.104 - x)) + 0.674);
}

/** Sensitivity of the best of the cones in each band. */
export const EYE: Spectrum = spectrum((nm) => Math.max(...CONES_NM.map((peak) => pigment(peak, nm))));
