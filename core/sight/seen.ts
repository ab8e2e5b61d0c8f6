import { radians } from '../maths';
import type { FlyItem } from '../tackle';
import { type Sky, type WaterColour } from '../water';
import { EYE, type Spectrum } from './bands';
import { hexOf, reflectanceOf } from './colours';
import { type Optics, opticsOf } from './optics';

/** The water and light in which something is looked at. */
export interface Viewing {
  readonly colour: WaterColour;
  /** As read, m. */
  readonly visibilityM: number;
  /** Depth of the fly, m. */
  readonly depthM: number;
  /** Altitude of the sun, degrees. */
  readonly sunDeg: number;
  readonly sky: Sky;
  /** Under trees or a bank. */
  readonly shaded?: boolean;
}

export const FROM = ['beside', 'below', 'above'] as const;
/** Where the fish is, seen from the fly. */
export type From = (typeof FROM)[number];

/** How far away something is seen, m. */
export interface Range {
  readonly likelyM: number;
  /** What the eye’s threshold and the water’s optics leave open. */
  readonly lowM: number;
  readonly highM: number;
}

export interface Seen {
  readonly outline: Range;
  /** Its colour, apart from being darker or paler; 0 where it has none. */
  readonly colour: Range;
}

/** Least contrast that is seen: likely, and the ends of what is quoted for eyes in the water (0.02 to 0.07; science of the
 * black disc, Davies-Colley 1988; Zaneveld & Pegau 2003). */
const THRESHOLD = { likely: 0.05, low: 0.07, high: 0.02 } as const;
/** The optics are known to so much. */
const OPTICS = { low: 1.2, high: 0.8 } as const;
/** A colour is told once it differs from grey by so many thresholds (assumed). */
const COLOUR_TIMES = 2;
/** Below this share of a high sun’s light the threshold grows with the root of what is missing (de Vries–Rose; the share, some
 * 100 lux, from memory). */
const DIM = 1e-3;

/** Light on the water as a share of a high sun’s in a clear sky; twilight from 400 lux at sunset to 3.4 at its civil end (from
 * memory). */
export function daylight({ sunDeg, sky, shaded }: Pick<Viewing, 'sunDeg' | 'sky' | 'shaded'>): number {
  const clear =
    sunDeg > 0 ? Math.max(AT_SUNSET, Math.sin(radians(sunDeg))) : AT_SUNSET * 10 ** (Math.max(-18, sunDeg) / 2.9);
  return clear * SKY_LIGHT[sky] * (shaded ? SHADE : 1);
}
const AT_SUNSET = 0.004;
const SKY_LIGHT: Record<Sky, number> = { bright: 1, broken: 0.6, overcast: 0.25, yellow: 0.5, dusk: 0.1 };
const SHADE = 0.15;

/** Radiance grows by n² as light comes into water (radiance invariance). */
const N2 = 1.333 ** 2;
/** Light on an upright face, as a share of what comes down; a horizontal view is brighter than one down by so much (both from
 * memory of measured light fields). */
const ON_SIDE = 0.35;
const LEVEL_VIEW = 2.5;
/** What the bed throws back, by band: brownish stones (assumed). */
const bed = (i: number): number => 0.06 + 0.002 * i;

/** Contrast of a thing against what is behind it, at no distance, by band; and what its loss with distance is, 1/m. */
function contrast(r: Spectrum, o: Optics, from: From): { readonly c0: Spectrum; readonly loss: Spectrum } {
  switch (from) {
    case 'beside':
      // Lit from the side, before the water’s own brightness: c = beam (Duntley 1963).
      return { c0: r.map((v, i) => (v * ON_SIDE) / (LEVEL_VIEW * o.back[i]!) - 1), loss: o.beam };
    case 'below':
      // Its underside, lit from below, before the sky: any opaque fly is dark.
      return {
        c0: r.map((v, i) => (v * o.back[i]!) / N2 - 1),
        loss: o.beam.map((c, i) => Math.max(0.2 * c, c - o.down[i]!)),
      };
    case 'above':
      return { c0: r.map((v, i) => v / bed(i) - 1), loss: o.beam.map((c, i) => c + o.down[i]!) };
  }
}

/** Distance at which a contrast falls to the threshold, m: ln(C0/CT)/c, and never below 0. @example rangeOf(1, 0.02, 3.912) // 1 */
export const rangeOf = (c0: number, threshold: number, lossPerM: number): number =>
  Math.max(0, Math.log(Math.abs(c0) / threshold) / lossPerM);

/** A fish sees a thing of a size no further than this, m: 12·PL·(1 − e^(−0.2·FL)) with PL in mm, FL in cm (Hughes & Dill 1990;
 * from memory). @example sizeLimitM(0.005, 0.3) // 0.5985 */
export const sizeLimitM = (lengthM: number, fishM: number): number =>
  0.01 * 12 * (1000 * lengthM) * (1 - Math.exp(-0.2 * 100 * fishM));

/** The fish that looks: a good trout. */
const FISH_M = 0.4;

function ranged(c0: Spectrum, loss: Spectrum, times: number, dim: Spectrum, limitM: number): Range {
  const best = (threshold: number, optics: number) =>
    Math.min(limitM, Math.max(...c0.map((c, i) => rangeOf(c, times * threshold * dim[i]!, optics * loss[i]!))));
  return {
    likelyM: best(THRESHOLD.likely, 1),
    lowM: best(THRESHOLD.low, OPTICS.low),
    highM: best(THRESHOLD.high, OPTICS.high),
  };
}

const mean = (s: Spectrum): number => s.reduce((sum, v, i) => sum + v * EYE[i]!, 0) / EYE.reduce((sum, v) => sum + v);

/** What is worked out once for all flies that are looked at in the same water and light. */
export interface Look {
  readonly optics: Optics;
  /** The light at the fly, by band, the best band being 1. */
  readonly lit: Spectrum;
  /** By how much more contrast the eye needs in each band, for want of light. */
  readonly dim: Spectrum;
}

/** Throws RangeError when the visibility is not above 0. */
export function lookIn(v: Viewing): Look {
  const optics = opticsOf(v.colour, v.visibilityM);
  const surface = daylight(v);
  const left = optics.down.map((k) => Math.exp(-k * Math.max(0, v.depthM)));
  const most = Math.max(...left);
  return {
    optics,
    lit: left.map((l) => l / most),
    dim: left.map((l, i) => Math.sqrt(Math.max(1, DIM / Math.max(1e-12, surface * l * EYE[i]!)))),
  };
}

/**
 * From how far a fish makes out a fly’s outline, and its colour: in each band the distance at which its contrast with what is
 * behind it falls to the threshold of the cones, dimmer light needing more contrast; the best band counts.
 *
 * Rough: contrasts and light field are those of the kind of water, not of this one; the interval holds the threshold and the
 * optics (±20 %). Not reckoned with: ultraviolet, motion, the fish’s attention.
 */
export function seenFrom(
  { optics, dim }: Look,
  fly: Pick<FlyItem, 'colour' | 'also' | 'flash' | 'lengthM'>,
  from: From,
): Seen {
  const own = reflectanceOf(fly);
  const { c0, loss } = contrast(own, optics, from);
  // Its colour is what it has beyond a grey of the same paleness.
  const grey = contrast(
    own.map(() => mean(own)),
    optics,
    from,
  ).c0;
  const limit = sizeLimitM(fly.lengthM, FISH_M);
  return {
    outline: ranged(c0, loss, 1, dim, limit),
    colour: ranged(
      c0.map((c, i) => c - grey[i]!),
      loss,
      COLOUR_TIMES,
      dim,
      limit,
    ),
  };
}

const AS_BRIGHT = 0.7;
/** The colour of a fly as it comes to an eye at a distance beside it, `#rrggbb`: lit at its depth, dimmed and veiled on the way;
 * a white card at no distance would be nearly as bright as the page. */
export function arrivesAs(
  { optics: o, lit }: Look,
  fly: Pick<FlyItem, 'colour' | 'also' | 'flash'>,
  distanceM: number,
): string {
  return hexOf(
    reflectanceOf(fly).map((r, i) => {
      const through = Math.exp(-o.beam[i]! * distanceM);
      const veil = (LEVEL_VIEW * o.back[i]!) / ON_SIDE;
      return AS_BRIGHT * lit[i]! * (r * through + Math.min(1, veil) * (1 - through));
    }),
  );
}
