import { degrees, isWithin, radians } from '../maths';
import { sample, sampleWater } from '../water/grid';
import type { WaterGrid } from '../water';
import { fastProfile } from '../water/profile';
import * as chain from './chain';
import { COL, HZ, WIDTH } from './series';
import type { LineShape, SwingCase } from './types';

// Bound once, as in swing.ts.
const { bedDepth, lastNode, pull, r, r1, restLength, v1 } = chain;
const water = sample;
const readWater = sampleWater;
const nearDownstream = isWithin;
const { x: X, y: Y, depth: DEPTH, vx: VX, vy: VY, axis: AXIS, tension: TENSION } = COL;
const COLUMNS = WIDTH;

const { sqrt, abs, acos, max, min, tan } = Math;
const hypot = (a: number, b: number) => sqrt(a * a + b * b);

const SERIES_S = 1 / HZ;
const TAN_DANGLE = tan(radians(5));
/** A fly slower than this on the bed for so many rows has come to rest. */
const REST_MPS = 0.05;
const REST_ROWS = 30;
/** A fly on the bed for so many rows without a break drags: a brush of a second does not count. */
export const DRAG_ROWS = 2 * HZ;
/** So much line on the bed, m, for so many rows without a break drags, though the fly floats above it: it slides over gravel for a
 * while, and jams between stones (assumed; that line on the bed spoils a swing is common practice, no source). */
export const LINE_M = 1;
export const LINE_ROWS = 8 * HZ;
/** So much longer a swing is followed, until it is known whether the line drags: it counts from when the rod feels it, a little later. */
const TOLD_ROWS = LINE_ROWS + 2 * HZ;
/** On the bed within this, m. */
export const ON_BED_M = 0.01;
const TOUCH_M = 0.002;
/** Where the water is no deeper than this there is none to lie in, m. */
export const DRY_M = 0.05;

/** A fly that slips through the water at this share of its speed for half a second is held against it. */
const HELD = 0.25;
const HELD_ROWS = 5;

/** A fly this much further from a lie than it was has gone by; not judged while it still sinks. */
const PAST_M = 2;
const PAST_S = 3;
/** … nor while it may still come tight. */
const PAST_ADRIFT_S = 20;

/** Longest swing that can be recorded, s. */
export const LONGEST_S = 600;
// One swing is recorded at a time, as one chain is alive at a time; results are copies.
const MAX_ROWS = LONGEST_S / SERIES_S + 2;
const series = new Float64Array(COLUMNS * MAX_ROWS);
const slip = new Float64Array(2 * MAX_ROWS);
const tipAt = new Float64Array(2 * MAX_ROWS);
const bedAt = new Float64Array(MAX_ROWS);
const lineOnBed = new Float64Array(MAX_ROWS);

export interface Recorder {
  step(t: number, h: number): void;
  dangleS(): number | null;
  groundedS(): number | null;
  /** Since when it has been on the bed without a break. */
  dragsS(): number | null;
  /** Whether the fly has touched the bed once it was held against the current. */
  touched(): boolean;
  /** Since when the fly has been held against the current; null before. */
  tightS(): number | null;
  /** Whether the fly has come near every lie and gone on. */
  pastLies(): boolean;
  /** At 10 Hz beside the series: `slip`, the fly's slip through the water and the water's speed; `tip`, x and y of the
   * rod tip; `bed`, depth of the water at the fly; `lineOnBed`, how much of the line lies on the bed, m. */
  readonly data: {
    rows: number;
    series: Float64Array;
    slip: Float64Array;
    tip: Float64Array;
    bed: Float64Array;
    lineOnBed: Float64Array;
    anyOnBedS: number;
  };
  /** Series of the bodies other than the point fly, columns as its own. */
  readonly others: readonly Float64Array[];
  readonly lines: LineShape[];
}

/** The current at the place that was written last, m/s. */
const current = new Float64Array(2);

/** Writes one row of a series: what is at node k/3, a share f of the step h on. */
function writeRow(
  into: Float64Array,
  o: number,
  k: number,
  grid: WaterGrid,
  profile: (zM: number, hM: number) => number,
  t: number,
  h: number,
  f: number,
): void {
  const from = r1;
  const to = r;
  const speed = v1;
  const perStep = h > 0 ? 1 / h : 0;
  into[o] = t;
  for (let d = 0; d < 3; d++) {
    // A quadratic through both ends of the step with the speed of its start.
    const a = from[k + d]!;
    const going = speed[k + d]! * h;
    const bend = to[k + d]! - a - going;
    into[o + X + d] = a + f * (going + f * bend);
    into[o + VX + d] = (going + 2 * f * bend) * perStep;
  }
  const ax = between(k - 3, f) - between(k, f);
  const ay = between(k - 2, f) - between(k + 1, f);
  const az = between(k - 1, f) - between(k + 2, f);
  readWater(grid, into[o + X]!, into[o + Y]!);
  // Between the ends of a long step the curve may bulge below a bed that neither end is under.
  const most = max(water.h, from[k + 2]!, to[k + 2]!);
  if (into[o + DEPTH]! > most) into[o + DEPTH] = most;
  const pf = profile(into[o + DEPTH]!, water.h);
  const cx = water.u * pf;
  const cy = water.v * pf;
  current[0] = cx;
  current[1] = cy;
  // Angle between the body's axis (towards the leader) and straight into the current.
  const dot = -(ax * cx + ay * cy) / (sqrt((ax * ax + ay * ay + az * az) * (cx * cx + cy * cy)) + 1e-12);
  into[o + AXIS] = degrees(acos(max(-1, min(1, dot))));
}

/** A coordinate of a node, a share f of the step on. */
const between = (j: number, f: number): number => r1[j]! + f * (r[j]! - r1[j]!);

/** Writes the fly's series at 10 Hz from the steps by quadratics, and the line's shapes. */
export function recorder(c: SwingCase): Recorder {
  const bodies = c.bodies.slice(1);
  const others = bodies.map(() => new Float64Array(COLUMNS * (Math.ceil(c.tEndS / SERIES_S) + 2)));
  const lines: LineShape[] = [];
  const data = { rows: 0, series, slip, tip: tipAt, bed: bedAt, lineOnBed, anyOnBedS: 0 };
  const profile = fastProfile(c.water.profile);
  const keep = c.keepLineS ?? 0;
  let nextLine = 0;
  let dangle: number | null = null;
  let grounded: number | null = null;
  let drags: number | null = null;
  let restRows = 0;
  let bedRows = 0;
  let tight: number | null = null;
  let heldRows = 0;
  let touched = false;
  let lyingRows = 0;
  const nearest = c.lies.map(() => Infinity);
  let past = false;
  let pulled = 0;
  let lyingM = 0;

  const row = (t: number, h: number, f: number) => {
    const i = data.rows++;
    const o = COLUMNS * i;
    bodies.forEach((b, j) => writeRow(others[j]!, o, 3 * nodeAtFromEnd(b.fromEndM), c.water.grid, profile, t, h, f));
    // The point fly last: what is left of the water's reading is then its own.
    writeRow(series, o, 3 * lastNode(), c.water.grid, profile, t, h, f);
    bedAt[i] = water.h;
    lineOnBed[i] = lyingM;
    lyingRows = tight !== null && lineOnBed[i]! >= LINE_M ? lyingRows + 1 : 0;
    const now = pull[1]!;
    series[o + TENSION] = pulled + f * (now - pulled);
    slip[2 * i] = hypot(series[o + VX]! - current[0]!, series[o + VY]! - current[1]!);
    slip[2 * i + 1] = hypot(current[0]!, current[1]!);
    if (c.stopPastLies && t > (tight === null ? PAST_ADRIFT_S : PAST_S)) {
      past = c.lies.length > 0 && (lyingRows === 0 || lyingRows > TOLD_ROWS);
      c.lies.forEach((lie, j) => {
        const d = hypot(series[o + X]! - lie.xM, series[o + Y]! - lie.yM);
        if (d < nearest[j]!) nearest[j] = d;
        if (d < nearest[j]! + PAST_M) past = false;
      });
    }
    tipAt[2 * i] = between(0, f);
    tipAt[2 * i + 1] = between(1, f);
    const dx = series[o + X]! - tipAt[2 * i]!;
    const dy = series[o + Y]! - tipAt[2 * i + 1]!;
    const onBed = c.water.bottom && series[o + DEPTH]! > water.h - ON_BED_M;
    restRows = onBed && hypot(series[o + VX]!, series[o + VY]!) < REST_MPS ? restRows + 1 : 0;
    bedRows = onBed ? bedRows + 1 : 0;
    heldRows = slip[2 * i]! >= HELD * slip[2 * i + 1]! ? heldRows + 1 : 0;
    if (heldRows > HELD_ROWS) tight ??= t - HELD_ROWS * SERIES_S;
    if (onBed && tight !== null) touched = true;
    if (bedRows > DRAG_ROWS && dangle === null) drags ??= t - DRAG_ROWS * SERIES_S;
    if (restRows > REST_ROWS && dangle === null) grounded ??= t - REST_ROWS * SERIES_S;
    if (dangle === null && t > 0 && nearDownstream(TAN_DANGLE, dx, dy)) dangle = t;
  };
  const shape = (t: number, f: number) => {
    const end = 3 * (lastNode() + 1);
    const xyz = new Float32Array(end);
    for (let k = 0; k < end; k++) xyz[k] = between(k, f);
    lines.push({ t, xyz });
  };
  return {
    data,
    others,
    lines,
    dangleS: () => dangle,
    groundedS: () => grounded,
    dragsS: () => drags,
    touched: () => touched,
    tightS: () => tight,
    pastLies: () => past,
    step(t, h) {
      lyingM = c.water.bottom ? lineOnBedM() : 0;
      while (data.rows * SERIES_S <= t + h + 1e-9) {
        const at = data.rows * SERIES_S;
        row(at, h, max(0, min(1, (at - t) / h)));
      }
      while (keep > 0 && nextLine <= t + h + 1e-9) {
        shape(nextLine, max(0, min(1, (nextLine - t) / h)));
        nextLine += keep;
      }
      pulled = pull[1]!;
      if (c.water.bottom && anyOnBed()) data.anyOnBedS += h;
    },
  };
}

/** How much of the line lies on the bed as the step ends, m: at each node half of what is to both sides of it. */
function lineOnBedM(): number {
  const place = r;
  const bed = bedDepth;
  let m = 0;
  const last = lastNode();
  for (let i = 1; i < last; i++)
    if (place[3 * i + 2]! > bed[i]! - ON_BED_M && bed[i]! > DRY_M) m += (restLength[i]! + restLength[i + 1]!) / 2;
  return m;
}

/** Whether any of line and fly touches the bed as the step ends. */
function anyOnBed(): boolean {
  const place = r;
  const bed = bedDepth;
  const last = lastNode();
  for (let i = 1; i <= last; i++) if (place[3 * i + 2]! > bed[i]! - TOUCH_M && bed[i]! > DRY_M) return true;
  return false;
}

function nodeAtFromEnd(fromEnd: number): number {
  let s = 0;
  for (let i = lastNode(); i > 1; i--) {
    const next = s + restLength[i]!;
    if (abs(next - fromEnd) >= abs(s - fromEnd)) return i;
    s = next;
  }
  return 1;
}

/** When something held without a break first, s: for more than half a second where no other number of rows is asked for; null when it
 * never does. */
export function firstHeld(rows: number, holds: (i: number) => boolean, least = HELD_ROWS, from = 0): number | null {
  let run = 0;
  for (let i = from; i < rows; i++) {
    run = holds(i) ? run + 1 : 0;
    if (run > least) return (i - least) / HZ;
  }
  return null;
}
