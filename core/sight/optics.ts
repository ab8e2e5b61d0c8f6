import type { WaterColour } from '../water';
import { BANDS_NM, EYE, PURE_WATER, type Spectrum, spectrum } from './bands';

/** How water treats light, by band, 1/m. */
export interface Optics {
  /** Beam attenuation: what is lost from a straight ray. */
  readonly beam: Spectrum;
  /** Attenuation of the light that comes down. */
  readonly down: Spectrum;
  /** Light that comes back up, as a share of what goes down: the water’s own brightness. */
  readonly back: Spectrum;
}

/** What makes a water’s colour, in shares of one unit: peat stain as its absorption at 440 nm, silt and algae as their scattering,
 * 1/m (assumed; tea is nearly all stain, soup nearly all silt). */
const MIXES: Record<WaterColour, { readonly stain: number; readonly silt: number; readonly algae: number }> = {
  clear: { stain: 0.4, silt: 1, algae: 0 },
  'blue-green': { stain: 0.08, silt: 1, algae: 0.1 },
  green: { stain: 0.3, silt: 1, algae: 0.8 },
  tea: { stain: 1.5, silt: 0.5, algae: 0 },
  'grey-brown': { stain: 0.15, silt: 2, algae: 0 },
  'brown soup': { stain: 0.3, silt: 3, algae: 0 },
};
/** Slopes of absorption with wavelength, 1/nm: fresh peat stain (0.016 to 0.019; from memory), silt (Babin and others 2003). */
const STAIN_SLOPE = 0.017;
const SILT_SLOPE = 0.0123;
/** Absorption at 440 nm for scattering of 1/m: silt (Babin and others 2003: about 0.04 m²/g over 0.6 m²/g at sea; more from the land, so
 * that light dims as it does in lakes of its kind: Koenings & Edmundson 1991; from memory), algae (assumed). */
const SILT_ABSORBS = 0.12;
const ALGAE_ABSORB = 0.12;
/** Of scattered light so much goes backwards (river silt; from memory). */
const BACKWARDS = 0.018;
/** Irradiance reflectance 0.33·bb/(a + bb) (Morel & Prieur 1977; from memory). */
const REFLECTS = 0.33;
/** Kd = √(a² + 0.256·a·b) under a high sun (Kirk 1984; from memory). */
const KIRK = 0.256;

const kirk = (a: number, b: number): number => Math.sqrt(a * a + KIRK * a * b);

/** Absorption and scattering of a colour’s mix at a strength, without the water itself. */
function mixed(colour: WaterColour, strength: number): { a: Spectrum; b: Spectrum } {
  const { stain, silt, algae } = MIXES[colour];
  const a = spectrum((nm) => {
    const green = Math.exp(-(((nm - 440) / 30) ** 2)) + 0.5 * Math.exp(-(((nm - 675) / 15) ** 2));
    return (
      strength *
      (stain * Math.exp(-STAIN_SLOPE * (nm - 440)) +
        silt * SILT_ABSORBS * Math.exp(-SILT_SLOPE * (nm - 440)) +
        algae * ALGAE_ABSORB * green)
    );
  });
  const b = spectrum((nm) => strength * (silt + algae) * (nm / 550) ** -0.3);
  return { a, b };
}

/** A pale thing lowered from above vanishes where c + Kd = 8.7 over its depth (Tyler 1968; Preisendorfer 1986), in the band that
 * comes through best to an eye. */
export const TYLER = 8.7;

const sums = (colour: WaterColour, strength: number) => {
  const { a, b } = mixed(colour, strength);
  const all = a.map((v, i) => v + PURE_WATER[i]!);
  return { beam: all.map((v, i) => v + b[i]!), down: all.map((v, i) => kirk(v, b[i]!)) };
};

const SEEN_BY_EYE = EYE.map((s, i) => (s > 0.5 && BANDS_NM[i]! >= 480 ? i : -1)).filter((i) => i >= 0);

/**
 * The optics of a water of a colour in which a pale thing, lowered from above, goes at a depth. Tea and silt of equal
 * visibility differ: tea swallows blue and leaves red, silt veils them all alike.
 *
 * @param visibilityM as read, m (> 0); ±20 % (docs: black disc and pale disc differ by that much between waters)
 * @throws RangeError when the visibility is not above 0
 */
export function opticsOf(colour: WaterColour, visibilityM: number): Optics {
  const { beam, down } = sums(colour, strengthFor(colour, visibilityM));
  return { beam, down, back: brightnessOf(colour) };
}

/** How much of a colour's mix is in water of a visibility. */
function strengthFor(colour: WaterColour, visibilityM: number): number {
  if (!(visibilityM > 0)) throw new RangeError('visibilityM: must be above 0');
  const least = (strength: number) => {
    const { beam, down } = sums(colour, strength);
    return Math.min(...SEEN_BY_EYE.map((i) => beam[i]! + down[i]!));
  };
  const wanted = TYLER / visibilityM;
  let [low, high] = [0, 1];
  while (least(high) < wanted) high *= 2;
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (least(mid) < wanted) low = mid;
    else high = mid;
  }
  return high;
}

/** How bright the water itself is: that of its kind at a metre of visibility, so that a contrast does not depend on how clear the
 * water is. */
function brightnessOf(colour: WaterColour): Spectrum {
  const { a, b } = mixed(colour, strengthFor(colour, 1));
  return a.map((v, i) => {
    const back = BACKWARDS * b[i]!;
    return (REFLECTS * back) / (v + PURE_WATER[i]! + back);
  });
}
