import { isWithin, radians } from '../maths';
import { type PlanPoint } from '../water';
import { fishingPart, lineDragsS, longestHeldS } from './fishing';
import { DRY_M, firstHeld, LINE_M, ON_BED_M, type Recorder } from './recorder';
import { COL, DANGLE_TOLD_S, HZ, WIDTH } from './series';
import type { BodyTrack, FishingPart, LiePass, SwingCase, SwingResult } from './types';

const TIGHT_N = 0.03;
/** The fly counts as on the bed within this, m. */
const TOUCH_M = 0.002;

/** Reads the events of a swing off its series. */
export function summarise(
  c: SwingCase,
  rec: Recorder,
  work: Pick<SwingResult, 'maxStrain' | 'steps' | 'newtons' | 'hangWorkS'>,
  handsDone: number,
): SwingResult {
  const { series, rows } = rec.data;
  const at = (i: number, col: number) => series[WIDTH * i + col]!;
  const tightAtRodS = firstHeld(rows, (i) => at(i, COL.tension) >= TIGHT_N);
  const tightAtFlyS = rec.tightS();
  const dangleS = rec.dangleS();
  const dangleRow = dangleS === null ? rows - 1 : Math.round(dangleS * HZ);

  let deepest = 0;
  for (let i = 1; i < rows; i++) if (at(i, COL.depth) > at(deepest, COL.depth)) deepest = i;
  const from = Math.round((tightAtRodS ?? 0) * HZ);
  let maxCross = 0;
  for (let i = from; i <= dangleRow; i++) maxCross = Math.max(maxCross, Math.abs(at(i, COL.vy)));
  const span = (dangleRow - from) / HZ;
  const meanCross = span > 0 ? Math.abs(at(dangleRow, COL.y) - at(from, COL.y)) / span : 0;

  let touching = 0;
  let firstTouchS: number | null = null;
  let lastTouchS: number | null = null;
  for (let i = 1; i < rows && c.water.bottom; i++) {
    const bedM = rec.data.bed[i]!;
    if (bedM < DRY_M || at(i, COL.depth) < bedM - TOUCH_M) continue;
    touching++;
    firstTouchS ??= at(i, COL.t);
    lastTouchS = at(i, COL.t);
  }

  const pass = (i: number): LiePass => ({
    t: at(i, COL.t),
    depthM: at(i, COL.depth),
    crossSpeedMps: Math.abs(at(i, COL.vy)),
    riseMps: -at(i, COL.vz),
    axisDeg: at(i, COL.axis),
    ...{ missM: 0, alongM: 0, acrossM: 0 },
  });
  const fishing = fishingPart(c, rec, handsDone);
  const bearings = [45, 30, 20, 10] as const;
  const bearingRows = bearingCrossings(rec, bearings);
  return {
    landing: { xM: at(0, COL.x), yM: at(0, COL.y) },
    tightAtRodS,
    tightAtFlyS,
    maxDepthM: at(deepest, COL.depth),
    maxDepthS: at(deepest, COL.t),
    dangleS,
    dangleDepthM: at(Math.min(rows - 1, dangleRow + (dangleS === null ? 0 : DANGLE_TOLD_S * HZ)), COL.depth),
    meanCrossSpeedMps: meanCross,
    maxCrossSpeedMps: maxCross,
    flyOnBedS: touching / HZ,
    anyOnBedS: rec.data.anyOnBedS,
    firstTouchS,
    lastTouchS,
    groundedS: rec.groundedS(),
    dragsS: rec.dragsS(),
    lineDragsS: fishing && lineDragsS(rec, fishing),
    flyDownS: longestHeldS(
      rows,
      (i) => c.water.bottom && i <= dangleRow && at(i, COL.depth) > rec.data.bed[i]! - ON_BED_M,
    ),
    lineDownS: longestHeldS(
      rows,
      (i) => fishing !== null && i >= fishing.fromS * HZ && rec.data.lineOnBed[i]! >= LINE_M,
    ),
    atBearing: Object.fromEntries(
      bearings.map((b, k) => [String(b), bearingRows[k] === null ? null : pass(bearingRows[k]!)]),
    ) as SwingResult['atBearing'],
    fishing,
    ...passesOf(c, series, rows, fishing),
    series: series.slice(0, WIDTH * rows),
    rows,
    others: c.bodies
      .slice(1)
      .map((b, j) => trackOf(c, rec.others[j]!.slice(0, WIDTH * rows), rows, !!b.isFly, fishing)),
    lines: rec.lines,
    ...work,
  };
}

/** How a body passes the lies. */
const passesOf = (c: SwingCase, series: Float64Array, rows: number, fishing: FishingPart | null) => ({
  lies: c.lies.map((lie) => nearestPass(series, 0, rows - 1, lie)),
  fished: c.lies.map((lie) =>
    fishing ? nearestPass(series, Math.round(fishing.fromS * HZ), Math.round(fishing.toS * HZ), lie) : null,
  ),
});

const trackOf = (
  c: SwingCase,
  series: Float64Array,
  rows: number,
  isFly: boolean,
  fishing: FishingPart | null,
): BodyTrack => ({
  isFly,
  series,
  rows,
  ...(isFly ? passesOf(c, series, rows, fishing) : { lies: [], fished: [] }),
});

/** First row at which the fly's bearing from the rod tip has fallen to each angle, the largest angle first. */
function bearingCrossings(rec: Recorder, angles: readonly number[]): (number | null)[] {
  const { series, tip, rows } = rec.data;
  const out: (number | null)[] = angles.map(() => null);
  const slopes = angles.map((a) => Math.tan(radians(a)));
  let next = 0;
  for (let i = 1; i < rows && next < angles.length; i++) {
    const dx = series[WIDTH * i + COL.x]! - tip[2 * i]!;
    const dy = series[WIDTH * i + COL.y]! - tip[2 * i + 1]!;
    while (next < angles.length && isWithin(slopes[next]!, dx, dy)) out[next++] = i;
  }
  return out;
}

/** The nearest approach in plan from one row to another, between rows too. */
function nearestPass(series: Float64Array, from: number, to: number, lie: PlanPoint): LiePass {
  let nearest = Infinity;
  let row = from;
  let on = 0;
  for (let i = from; i < to; i++) {
    const here = WIDTH * i;
    const ex = lie.xM - series[here + COL.x]!;
    const ey = lie.yM - series[here + COL.y]!;
    const dx = series[here + WIDTH + COL.x]! - series[here + COL.x]!;
    const dy = series[here + WIDTH + COL.y]! - series[here + COL.y]!;
    const len2 = dx * dx + dy * dy;
    const f = len2 > 0 ? Math.max(0, Math.min(1, (ex * dx + ey * dy) / len2)) : 0;
    const d = Math.sqrt((ex - f * dx) ** 2 + (ey - f * dy) ** 2);
    if (d < nearest - 1e-9) {
      nearest = d;
      row = i;
      on = f;
    }
  }
  const mix = (col: number) => {
    const a = series[WIDTH * row + col]!;
    const b = series[WIDTH * Math.min(to, row + 1) + col]!;
    return a + on * (b - a);
  };
  const alongM = mix(COL.x) - lie.xM;
  const acrossM = mix(COL.y) - lie.yM;
  return {
    t: mix(COL.t),
    depthM: mix(COL.depth),
    crossSpeedMps: Math.abs(mix(COL.vy)),
    riseMps: -mix(COL.vz),
    axisDeg: mix(COL.axis),
    missM: Math.hypot(alongM, acrossM),
    alongM,
    acrossM,
  };
}
