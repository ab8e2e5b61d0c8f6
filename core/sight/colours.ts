import type { FlyColour, FlyItem } from '../tackle';
import { BANDS_NM, type Spectrum, spectrum } from './bands';

const step =
  (at: number, low: number, high: number, width = 15) =>
  (nm: number) =>
    low + (high - low) / (1 + Math.exp(-(nm - at) / width));
const hill = (at: number, height: number, width: number) => (nm: number) =>
  height * Math.exp(-(((nm - at) / width) ** 2));
const blue = (nm: number) => 0.05 + hill(460, 0.25, 45)(nm);

/** Share of the light that wet dressing of each colour throws back (constructed: steps and hills of ordinary dyes). */
const REFLECTS: Record<FlyColour, (nm: number) => number> = {
  black: () => 0.03,
  'black and blue': (nm) => 0.6 * 0.03 + 0.4 * blue(nm),
  olive: (nm) => 0.06 + hill(565, 0.12, 55)(nm),
  brown: step(580, 0.04, 0.18, 35),
  tan: step(530, 0.2, 0.48, 45),
  white: () => 0.8,
  yellow: step(505, 0.06, 0.72),
  red: step(605, 0.04, 0.6),
  orange: step(570, 0.05, 0.68),
  pink: (nm) => 0.35 + step(590, 0, 0.35)(nm) - hill(530, 0.12, 35)(nm),
  purple: (nm) => 0.05 + hill(430, 0.2, 40)(nm) + step(640, 0, 0.22)(nm),
};
/** Flash adds glints of whatever light there is, as so much paleness on the whole (assumed). */
const FLASH = 0.1;

/** Reflectance of a fly by band: its colours by their shares, and its flash. */
export function reflectanceOf(fly: Pick<FlyItem, 'colour' | 'also' | 'flash'>): Spectrum {
  const also = fly.also ?? [];
  const main = Math.max(0, 1 - also.reduce((sum, c) => sum + c.share, 0));
  const flash = fly.flash ? FLASH : 0;
  return spectrum((nm) =>
    Math.min(
      1,
      flash + main * REFLECTS[fly.colour](nm) + also.reduce((sum, c) => sum + c.share * REFLECTS[c.colour](nm), 0),
    ),
  );
}

const lobe = (nm: number, at: number, below: number, above: number) =>
  Math.exp(-0.5 * ((nm - at) / (nm < at ? below : above)) ** 2);
/** Colour-matching functions of the eye of a person (Wyman, Sloan & Shirley 2013; from memory). */
const MATCH = {
  x: (nm: number) =>
    1.056 * lobe(nm, 599.8, 37.9, 31) + 0.362 * lobe(nm, 442, 16, 26.7) - 0.065 * lobe(nm, 501.1, 20.4, 26.2),
  y: (nm: number) => 0.821 * lobe(nm, 568.8, 46.9, 40.5) + 0.286 * lobe(nm, 530.9, 16.3, 31.1),
  z: (nm: number) => 1.217 * lobe(nm, 437, 11.8, 36) + 0.681 * lobe(nm, 459, 26, 13.8),
};

const WHITE_XYZ = (['x', 'y', 'z'] as const).map((k) => BANDS_NM.reduce((sum, nm) => sum + MATCH[k](nm), 0));

/** What a person would see of light by band, as `#rrggbb`; 1 in every band is white (IEC 61966-2-1, D65 as equal energy).
 * @example hexOf(BANDS_NM.map(() => 1)) // '#ffffff' */
export function hexOf(light: Spectrum): string {
  const [x, y, z] = (['x', 'y', 'z'] as const).map(
    (k, j) => light.reduce((sum, v, i) => sum + v * MATCH[k](BANDS_NM[i]!), 0) / WHITE_XYZ[j]!,
  ) as [number, number, number];
  const [xd, yd, zd] = [0.9505 * x, y, 1.089 * z];
  const rgb = [
    3.2406 * xd - 1.5372 * yd - 0.4986 * zd,
    -0.9689 * xd + 1.8758 * yd + 0.0415 * zd,
    0.0557 * xd - 0.204 * yd + 1.057 * zd,
  ];
  const byte = (v: number) => {
    const c = Math.min(1, Math.max(0, v));
    const s = c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055;
    return Math.round(255 * s)
      .toString(16)
      .padStart(2, '0');
  };
  return `#${rgb.map(byte).join('')}`;
}
