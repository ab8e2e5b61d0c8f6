import { isWithin, radians } from '../maths';
import { firstHeld, LINE_M, LINE_ROWS, type Recorder } from './recorder';
import { COL, FELT_N, HZ, WIDTH } from './series';
import type { FishingEnd, FishingPart, SwingCase } from './types';

/** A line within this of straight downstream nearly hangs; a fly that then goes slower is done (common practice, no source). */
const NEAR_HANGING = Math.tan(radians(20));
const CRAWL_MPS = 0.1;
/** One that has gone no further than this in so long stands still: where the current runs askew it hangs elsewhere than straight
 * downstream. */
const STILL_M = 0.1;
const STILL_S = 5;
/** Speeds are taken over a second. */
const SMOOTH_ROWS = HZ / 2;
/** The fly is down on the bed within this, and off it again beyond twice as much, m. */
const DOWN_M = 0.01;

/** When hands and rod have done what they do: before that a fly that hangs still fishes. */
export const handsDoneS = (c: SwingCase): number =>
  Math.max(
    0,
    ...(c.lineOut ?? []).map(([t]) => t),
    ...('path' in c.rod && c.rod.path.length > 1 ? c.rod.path.map(([t]) => t) : []),
  );

/** From when on line drags on the bed while a swing fishes, s: before, while one waits for it to sink, it may lie there. */
export const lineDragsS = ({ data: { lineOnBed } }: Recorder, { fromS, toS }: FishingPart): number | null =>
  firstHeld(Math.round(toS * HZ) + 1, (i) => lineOnBed[i]! >= LINE_M, LINE_ROWS, Math.round(fromS * HZ));

/** For how long something has held without a break, at the longest by each of so many rows, s. */
export function longestHeldS(rows: number, holds: (i: number) => boolean): Float32Array {
  const out = new Float32Array(rows);
  for (let i = 0, run = 0; i < rows; i++) {
    run = holds(i) ? run + 1 : 0;
    out[i] = Math.max(i > 0 ? out[i - 1]! : 0, run / HZ);
  }
  return out;
}

/**
 * The part of a swing that fishes.
 *
 * It begins when the rod feels the line and the fly is held against the current; it ends with the first of: steady
 * contact with the bed (two seconds; a brush does not count), less than 0.1 m/s over the ground on a line that nearly
 * hangs, a fly that stands still, or the dangle; the last three once the hands have done what they do. A drift fishes from
 * when its case says so. Mostly 15 to 40 s (general knowledge of the trade, no source).
 *
 * @param handsDone when hands and rod have done what they do, s
 * @returns null when the fly drags before it is under control, or never is
 */
export function fishingPart(c: SwingCase, rec: Recorder, handsDone: number): FishingPart | null {
  const { series, tip, bed, rows } = rec.data;
  const at = (i: number, col: number) => series[WIDTH * i + col]!;
  const tightAtFlyS = rec.tightS();
  const feltS = firstHeld(rows, (i) => at(i, COL.tension) >= FELT_N);
  const fromS = c.fishesFromS ?? (feltS === null || tightAtFlyS === null ? null : Math.max(feltS, tightAtFlyS));
  if (fromS === null || fromS * HZ >= rows - 1) return null;
  const from = Math.round(fromS * HZ);
  const drags = rec.dragsS();
  const dangle = rec.dangleS();
  const hangs = dangle === null ? Infinity : dangle * HZ;
  const down = drags === null ? Infinity : Math.round(drags * HZ);
  const done = handsDone * HZ;
  if (down <= from) return null;
  const goesLess = (a: number, b: number, m: number) =>
    (at(b, COL.x) - at(a, COL.x)) ** 2 + (at(b, COL.y) - at(a, COL.y)) ** 2 < m ** 2;
  const crawls = (i: number) => {
    const a = Math.max(0, i - SMOOTH_ROWS);
    const b = Math.min(rows - 1, i + SMOOTH_ROWS);
    const dx = at(i, COL.x) - tip[2 * i]!;
    return isWithin(NEAR_HANGING, dx, at(i, COL.y) - tip[2 * i + 1]!) && goesLess(a, b, (CRAWL_MPS * (b - a)) / HZ);
  };
  const still = STILL_S * HZ;
  let to = from;
  let ends: FishingEnd = 'end';
  for (; to < rows - 1; to++) {
    if (to >= down) ends = 'bed';
    else if (to >= hangs && to >= done) ends = 'hang';
    else if (to > from + HZ && to >= done && crawls(to)) ends = 'slow';
    else if (to > from + still && to >= done + still && goesLess(to - still, to, STILL_M)) ends = 'slow';
    else continue;
    break;
  }
  let deepest = from;
  let maxCross = 0;
  let touches = 0;
  let isDown = false;
  for (let i = from; i <= to; i++) {
    if (at(i, COL.depth) > at(deepest, COL.depth)) deepest = i;
    maxCross = Math.max(maxCross, Math.abs(at(i, COL.vy)));
    const over = c.water.bottom ? bed[i]! - at(i, COL.depth) : Infinity;
    if (!isDown && over < DOWN_M) touches++;
    isDown = over < (isDown ? 2 * DOWN_M : DOWN_M);
  }
  const span = (to - from) / HZ;
  return {
    fromS: from / HZ,
    toS: to / HZ,
    ends,
    maxDepthM: at(deepest, COL.depth),
    maxDepthS: at(deepest, COL.t),
    meanCrossSpeedMps: span > 0 ? Math.abs(at(to, COL.y) - at(from, COL.y)) / span : 0,
    maxCrossSpeedMps: maxCross,
    touches,
  };
}
