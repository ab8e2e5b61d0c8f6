import type { FishLie } from '../lies';
import { roundTo } from '../maths';
import { type Channel, leftAlone, rowAt, sample, sampleWater, waterAt, within } from '../water';
import { ANY_MEANS, type Means, wadingLimit } from './means';

/** Nobody wades nearer to a lie than this, m. */
const OFF_LIE_M = 2;
/** So far short of where it gets too deep one stops, m. */
const SPARE_M = 0.5;
/** Shallower than this is a wet bank, m. */
const DRY_M = 0.02;
/** Feet are moved by so much to where they may be, m. */
const SHUFFLE_M = 0.1;

/**
 * Depth and depth × speed under the feet at a place: the worse of the water between the cells and of the nearest cell, so that a
 * steep bank is not smoothed away.
 */
function underFoot(c: Channel, xM: number, yM: number): { depthM: number; hazard: number } {
  const { depthM, speedMps } = waterAt(c, xM, yM);
  sampleWater(c, xM, yM);
  return { depthM: Math.max(depthM, sample.h), hazard: Math.max(depthM * speedMps, sample.h * sample.u) };
}

/** Whether a place lies within or just beside a lie that feet would scare. */
const byLie = (lies: readonly FishLie[], xM: number, yM: number): boolean =>
  lies.some((l) => Math.abs(l.xM - xM) < l.lengthM / 2 + OFF_LIE_M && Math.abs(yM - l.yM) < l.widthM / 2 + OFF_LIE_M);

/**
 * Whether one may stand at a place: on dry ground off the lies; else where it is neither deeper nor faster than the angler's
 * means and half of what is low hazard allow (means.ts), off every lie and redd.
 */
export function mayStand(
  c: Channel,
  lies: readonly FishLie[],
  xM: number,
  yM: number,
  means: Means = ANY_MEANS,
): boolean {
  const limit = wadingLimit(means);
  const { depthM, hazard } = underFoot(c, xM, yM);
  if (depthM <= DRY_M) return !lies.some((l) => within(l, xM, yM));
  return depthM <= limit.depthM && hazard <= limit.hazard && !byLie(lies, xM, yM) && !leftAlone(c.features, xM, yM);
}

/** How far out one may wade at x without a step that is too deep or too fast, or next to a lie or a redd, m; where the first step
 * is one, the bank's edge. */
export function wadeTo(c: Channel, lies: readonly FishLie[], xM: number, means: Means = ANY_MEANS): number {
  const near = c.edgeNear[rowAt(c, xM)]!;
  const far = c.edgeFar[rowAt(c, xM)]!;
  let y = near;
  for (let j = Math.max(0, Math.ceil((near - c.y0) / c.dy)); j < c.ny; j++) {
    const at = c.y0 + j * c.dy;
    if (at >= far || !mayStand(c, lies, xM, at, means)) break;
    y = at;
  }
  return Math.max(near, y - SPARE_M);
}

/**
 * Where the feet are of one who would stand so far out at x: there, if the way out from the bank allows it; else as far out as it
 * does; else on dry ground. Every position that is named anywhere is one of these. To a tenth of a metre.
 *
 * @example footing(canal, lies, 20, canal.edgeNear[0] + 1) // on the bank: the first step is too deep
 */
export function footing(
  c: Channel,
  lies: readonly FishLie[],
  xM: number,
  wantedYM: number,
  means: Means = ANY_MEANS,
): number {
  let yM = roundTo(10, Math.min(wantedYM, wadeTo(c, lies, xM, means)));
  while (yM > c.y0 - 1 && !mayStand(c, lies, xM, yM, means)) yM = roundTo(10, yM - SHUFFLE_M);
  return yM;
}
