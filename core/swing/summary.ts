import { sample, sampleWater } from './field';
import type { Recorder } from './recorder';
import type { LiePass, SwingCase, SwingResult } from './types';

const HZ = 10;
const TIGHT_N = 0.03;
const HOLD_ROWS = 5; // half a second
const DANGLE_ROWS = 200; // twenty seconds
/** The fly counts as on the bed within this, m. */
const TOUCH_M = 0.002;

/** Reads the events of a swing off its series. */
export function summarise(
  c: SwingCase,
  rec: Recorder,
  work: { maxStrain: number; steps: number; newtons: number },
): SwingResult {
  const { series, slip, rows } = rec.data;
  const at = (i: number, col: number) => series[9 * i + col]!;
  const tightAtRodS = firstHeld(rows, (i) => at(i, 8) >= TIGHT_N);
  const tightAtFlyS = firstHeld(rows, (i) => slip[2 * i]! >= 0.25 * slip[2 * i + 1]!);
  const dangleS = rec.dangleS();
  const dangleRow = dangleS === null ? rows - 1 : Math.round(dangleS * HZ);

  let deepest = 0;
  for (let i = 1; i < rows; i++) if (at(i, 3) > at(deepest, 3)) deepest = i;
  const from = Math.round((tightAtRodS ?? 0) * HZ);
  let maxCross = 0;
  for (let i = from; i <= dangleRow; i++) maxCross = Math.max(maxCross, Math.abs(at(i, 5)));
  const span = (dangleRow - from) / HZ;
  const meanCross = span > 0 ? Math.abs(at(dangleRow, 2) - at(from, 2)) / span : 0;

  let touching = 0;
  let firstTouchS: number | null = null;
  let lastTouchS: number | null = null;
  for (let i = 1; i < rows && c.water.bottom; i++) {
    sampleWater(c.water.grid, at(i, 1), at(i, 2));
    if (sample.h < 0.05 || at(i, 3) < sample.h - TOUCH_M) continue;
    touching++;
    firstTouchS ??= at(i, 0);
    lastTouchS = at(i, 0);
  }

  const pass = (i: number, missM: number): LiePass => ({
    t: at(i, 0),
    depthM: at(i, 3),
    crossSpeedMps: Math.abs(at(i, 5)),
    axisDeg: at(i, 7),
    missM,
  });
  const bearings = [45, 30, 20, 10] as const;
  const bearingRows = bearingCrossings(rec, bearings);
  return {
    landing: { x: at(0, 1), y: at(0, 2) },
    tightAtRodS,
    tightAtFlyS,
    maxDepthM: at(deepest, 3),
    maxDepthS: at(deepest, 0),
    dangleS,
    dangleDepthM: at(Math.min(rows - 1, dangleRow + (dangleS === null ? 0 : DANGLE_ROWS)), 3),
    meanCrossSpeedMps: meanCross,
    maxCrossSpeedMps: maxCross,
    flyOnBedS: touching / HZ,
    anyOnBedS: rec.data.anyOnBedS,
    firstTouchS,
    lastTouchS,
    groundedS: rec.groundedS(),
    atBearing: Object.fromEntries(
      bearings.map((b, k) => [String(b), bearingRows[k] === null ? null : pass(bearingRows[k]!, 0)]),
    ) as SwingResult['atBearing'],
    lies: c.lies.map((lie) => nearestPass(series, rows, lie)),
    series: series.slice(0, 9 * rows),
    rows,
    bodyDepths: rec.bodyDepths.map((d) => d.slice(0, rows)),
    lines: rec.lines,
    ...work,
  };
}

function firstHeld(rows: number, holds: (i: number) => boolean): number | null {
  let run = 0;
  for (let i = 0; i < rows; i++) {
    run = holds(i) ? run + 1 : 0;
    if (run > HOLD_ROWS) return (i - HOLD_ROWS) / HZ;
  }
  return null;
}

/** First row at which the fly's bearing from the rod tip has fallen to each angle. */
function bearingCrossings(rec: Recorder, angles: readonly number[]): (number | null)[] {
  const { series, tip, rows } = rec.data;
  const out: (number | null)[] = angles.map(() => null);
  for (let i = 1; i < rows; i++) {
    const dy = Math.abs(series[9 * i + 2]! - tip[2 * i + 1]!);
    const b = (Math.atan2(dy, series[9 * i + 1]! - tip[2 * i]!) * 180) / Math.PI;
    angles.forEach((a, k) => {
      if (out[k] === null && b <= a) out[k] = i;
    });
  }
  return out;
}

/** The nearest approach in plan, between rows too. */
function nearestPass(series: Float64Array, rows: number, lie: { x: number; y: number }): LiePass {
  let best = { d: Infinity, i: 0, f: 0 };
  for (let i = 0; i + 1 < rows; i++) {
    const x = series[9 * i + 1]!;
    const y = series[9 * i + 2]!;
    const dx = series[9 * i + 10]! - x;
    const dy = series[9 * i + 11]! - y;
    const len2 = dx * dx + dy * dy;
    const f = len2 > 0 ? Math.max(0, Math.min(1, ((lie.x - x) * dx + (lie.y - y) * dy) / len2)) : 0;
    const d = Math.hypot(lie.x - x - f * dx, lie.y - y - f * dy);
    if (d < best.d - 1e-9) best = { d, i, f };
  }
  const mix = (col: number) => {
    const a = series[9 * best.i + col]!;
    const b = series[9 * Math.min(rows - 1, best.i + 1) + col]!;
    return a + best.f * (b - a);
  };
  return { t: mix(0), depthM: mix(3), crossSpeedMps: Math.abs(mix(5)), axisDeg: mix(7), missM: best.d };
}
