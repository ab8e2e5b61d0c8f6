import { COLOURS, type WaterColour } from '../water/reading';
import { BANDS_NM, type Spectrum, spectrum } from './bands';
import { opticsOf, TYLER } from './optics';
import { reflectance, WATER_INDEX } from './surface';

/** A picture: red, green, blue and opacity, 0 to 255 each, row by row. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}
/** A place in it, as shares of its width and height. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

export type PhotoColour =
  | {
      readonly works: true;
      /** How deep a pale thing is seen, m, and four times in five between. */
      readonly visibilityM: number;
      readonly low80M: number;
      readonly high80M: number;
      /** Light lost between the surface and the thing and back, 1/m: red, green, blue. */
      readonly lossPerM: readonly [number, number, number];
      readonly colour: WaterColour;
      /** Another kind of water that would look nearly the same; null where none does. */
      readonly orElse: WaterColour | null;
    }
  | {
      readonly works: false;
      readonly why: PhotoFault;
      /** What it says all the same: at least, or at most so far, m. */
      readonly atLeastM?: number;
      readonly atMostM?: number;
    };

/** Why a picture tells no colour. */
export type PhotoFault =
  | 'depth not said'
  | 'blown in air'
  | 'blown under water'
  | 'dark in air'
  | 'not white'
  | 'glare'
  | 'not seen'
  | 'hardly dimmed';

/** Light of a pixel's value, 0 to 1 (sRGB: IEC 61966-2-1). */
const linear = (value: number): number => {
  const v = value / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
};

/** What a camera's channels see of each band (assumed: hills about 600, 540 and 460 nm). */
const CAMERA: readonly Spectrum[] = [
  [600, 35],
  [540, 40],
  [460, 30],
].map(([peak, width]) => spectrum((nm) => Math.exp(-(((nm - peak!) / width!) ** 2))));

/** A thing under water looks darker from above, hardly dimmed yet: what leaves the water spreads into a wider cone, by n², and the
 * surface takes its share twice (radiance over n² is kept: Gershun 1939; Preisendorfer 1976, from memory). */
const FLAT = reflectance(90);
const IMMERSED = (1 - FLAT) ** 2 / WATER_INDEX ** 2;
/** That factor (a thing near the surface is lit from below by it again) and the light are known to so much; logarithms. */
const IMMERSED_DOUBT = 0.12;
/** How far Tyler's sum holds from water to water (science of the trade: ±20 %). */
const WATER_DOUBT = 0.2;
const FOUR_IN_FIVE = 1.2816;

/** Size of a patch, as a share of the smaller side; water is looked for so many patches around the thing. */
const PATCH = 0.012;
const RINGS = [3, 4.5, 6.5, 9, 12] as const;
/** Values at the top of the scale are blown out; a patch with more than this share of them is. */
const [BLOWN, BLOWN_SHARE] = [250, 0.02];
/** A pale thing is as bright as this at the least, and as grey as this: its channels differ by no more than a factor. */
const [PALE, GREY] = [0.12, 1.7];
/** Hardly dimmed in its best channel, the picture tells a lower bound only. */
const HARDLY = 0.9;

interface Patch {
  readonly mean: readonly number[];
  /** Of the mean. */
  readonly error: readonly number[];
  readonly blown: boolean;
}

function patchOf(values: readonly (readonly number[])[]): Patch {
  const n = Math.max(1, values.length);
  const mean = [0, 1, 2].map((c) => values.reduce((sum, v) => sum + linear(v[c]!), 0) / n);
  const error = [0, 1, 2].map((c) => {
    const variance = values.reduce((sum, v) => sum + (linear(v[c]!) - mean[c]!) ** 2, 0) / n;
    // Neighbouring pixels are not strangers: a quarter of them counts. And no step is finer than the scale's.
    return Math.sqrt(variance / Math.max(1, n / 4)) + 1 / 255 / 12.92;
  });
  const blown = values.filter((v) => Math.max(...v) >= BLOWN).length > BLOWN_SHARE * n;
  return { mean, error, blown };
}

function pixelsAbout(p: Picture, spot: Spot, from: number, to: number): number[][] {
  const [cx, cy] = [spot.x * p.width, spot.y * p.height];
  const out: number[][] = [];
  for (let y = Math.max(0, Math.floor(cy - to)); y <= Math.min(p.height - 1, Math.ceil(cy + to)); y++)
    for (let x = Math.max(0, Math.floor(cx - to)); x <= Math.min(p.width - 1, Math.ceil(cx + to)); x++) {
      const d = Math.hypot(x + 0.5 - cx, y + 0.5 - cy);
      if (d < from || d > to) continue;
      const i = 4 * (y * p.width + x);
      out.push([p.data[i]!, p.data[i + 1]!, p.data[i + 2]!]);
    }
  return out;
}

const brightness = ({ mean }: Patch): number => 0.2126 * mean[0]! + 0.7152 * mean[1]! + 0.0722 * mean[2]!;

/** The water beside the thing: of the rings around it the darkest, so that none still lies on it. */
function waterAround(p: Picture, spot: Spot, r: number): Patch {
  const rings = RINGS.map((k) => patchOf(pixelsAbout(p, spot, k * r, (k + 1) * r)));
  return rings.reduce((a, b) => (brightness(b) < brightness(a) ? b : a));
}

/** Loss of each channel over a depth in water of a colour and a visibility, 1/m. */
function lossIn(colour: WaterColour, visibilityM: number, depthM: number): number[] {
  const { beam, down } = opticsOf(colour, visibilityM);
  return CAMERA.map((seen) => {
    const [left, all] = BANDS_NM.reduce(
      ([l, a], _, i) => [l! + seen[i]! * Math.exp(-(beam[i]! + down[i]!) * depthM), a! + seen[i]!],
      [0, 0],
    );
    return -Math.log(left! / all!) / depthM;
  });
}

/** The visibility at which water of a colour dims as was seen, and how far its channels are from that (logarithms). */
function fit(colour: WaterColour, loss: readonly number[], sure: readonly number[], depthM: number) {
  const miss = (visibilityM: number) => lossIn(colour, visibilityM, depthM).map((l, c) => Math.log(l / loss[c]!));
  const total = sure.reduce((a, b) => a + b, 0);
  const middle = (m: readonly number[]) => m.reduce((sum, v, c) => sum + v * sure[c]!, 0) / total;
  let [low, high] = [Math.log(0.03), Math.log(12)];
  for (let i = 0; i < 14; i++) {
    const mid = (low + high) / 2;
    if (middle(miss(Math.exp(mid))) > 0) low = mid;
    else high = mid;
  }
  const at = miss(Math.exp(low));
  const off = middle(at);
  const spread = Math.sqrt(at.reduce((sum, v, c) => sum + sure[c]! * (v - off) ** 2, 0) / total);
  return { colour, visibilityM: Math.exp(low), spread };
}

const fail = (why: PhotoFault, more: { atLeastM?: number; atMostM?: number } = {}): PhotoColour => ({
  works: false,
  why,
  ...more,
});

/**
 * The colour of the water out of a photo of a pale thing, once in the air and once at a known depth: each channel's contrast with the
 * water around it falls as exp(−(c + K)·z) (Duntley 1963), and where a pale thing goes c + K is 8.7 over the depth (Tyler 1968).
 *
 * @param air,under where the thing is in the air and under water; @param depthM how deep it is, 0.05 to 5
 */
export function colourFromPhoto(p: Picture, air: Spot, under: Spot, depthM: number): PhotoColour {
  if (!(depthM >= 0.05 && depthM <= 5)) return fail('depth not said');
  const r = Math.max(2, PATCH * Math.min(p.width, p.height));
  const white = patchOf(pixelsAbout(p, air, 0, r));
  const seen = patchOf(pixelsAbout(p, under, 0, r));
  const water = waterAround(p, under, r);
  if (white.blown) return fail('blown in air');
  if (seen.blown) return fail('blown under water');
  const most = Math.max(...white.mean);
  if (most < PALE) return fail('dark in air');
  if (most / Math.max(1e-4, Math.min(...white.mean)) > GREY) return fail('not white');
  const left = white.mean.map((w, c) => (seen.mean[c]! - water.mean[c]!) / (IMMERSED * w - water.mean[c]!));
  const error = white.mean.map(
    (w, c) => Math.hypot(seen.error[c]!, water.error[c]!) / Math.max(1e-4, IMMERSED * w - water.mean[c]!),
  );
  if (white.mean.some((w, c) => IMMERSED * w - water.mean[c]! < 0.15 * IMMERSED * w)) return fail('glare');
  // A channel in which nothing of the thing is left tells only that it is lost.
  const told = left.map((l, c) => l > 3 * error[c]! && l > 0.004);
  const best = Math.max(...left);
  if (!told.some(Boolean)) {
    // So much would still have been told from the water in this picture: darker and noisier ones show less.
    const least = Math.max(0.004, 3 * Math.min(...error));
    const atMostM = (TYLER * depthM) / -Math.log(Math.min(0.5, least));
    return fail('not seen', {
      atMostM,
    });
  }
  if (best > HARDLY) return fail('hardly dimmed', { atLeastM: 4 * depthM });
  const clipped = left.map((l, c) => (told[c] ? Math.min(HARDLY, l) : Math.max(0.004, Math.min(3 * error[c]!, l))));
  const loss = clipped.map((l) => -Math.log(l) / depthM) as [number, number, number];
  const sigma = loss.map((k, c) => Math.hypot(error[c]! / clipped[c]!, IMMERSED_DOUBT) / (k * depthM));
  const sure = sigma.map((s, c) => (told[c] ? 1 / s ** 2 : 0.02));
  const fits = COLOURS.map((colour) => fit(colour, loss, sure, depthM)).sort((a, b) => a.spread - b.spread);
  const [first, second] = [fits[0]!, fits[1]!];
  const noise = 1 / Math.sqrt(sure.reduce((a, b) => a + b, 0));
  const doubt = FOUR_IN_FIVE * Math.hypot(noise, WATER_DOUBT, first.spread / 2);
  return {
    works: true,
    visibilityM: first.visibilityM,
    low80M: first.visibilityM * Math.exp(-doubt),
    high80M: first.visibilityM * Math.exp(doubt),
    lossPerM: loss,
    colour: first.colour,
    orElse: second.spread - first.spread < 0.06 ? second.colour : null,
  };
}
