import {
  accept,
  bedDepth,
  bodyDrag,
  bodyMass,
  bodyWeightAir,
  bodyWeightWater,
  copyHistory,
  freeze,
  insertNode,
  lastNode,
  linkDiameter,
  linkHold,
  linkMass,
  linkStrain,
  linkWeightAir,
  linkWeightWater,
  lump,
  MAX_NODES,
  predict,
  r,
  r1,
  removeNode,
  resetChain,
  restLength,
  solve,
  tension,
  v,
  v1,
  waterU,
  waterV,
} from './chain';
import { cutLine, NUMERICS } from './cut';
import { profileFactor, sample, sampleWater } from './field';
import { bowAmplitude, landedLine } from './landing';
import { summarise } from './summary';
import type { LineShape, Numerics, Rod, SwingCase, SwingResult, SwingWater } from './types';

const G = 9.80665;
const radians = (deg: number) => (deg * Math.PI) / 180;
/** Pull of the surface on a clean floating line, N/m (up to 2γ = 0.14; Keller 1998; Vella, Lee & Kim 2006). */
const CLEAN_HOLD_N_M = 0.1;
const SERIES_S = 0.1;
const DANGLE_DEG = 5;
/** A fly slower than this on the bed for so many rows has come to rest. */
const REST_MPS = 0.05;
const REST_ROWS = 30;
const FIRST_STEP_S = 0.005;
const MIN_STEP_S = 1e-4;

/**
 * Simulates one swing, from landing to the end.
 *
 * @param c the case, SI (see types); lengths > 0, depths ≥ 0
 * @param num how fine the chain is cut (NUMERICS.full: about 2 %)
 * @returns events and the fly's series at 10 Hz
 * @throws RangeError naming the field, when the case is not one that can be cast
 * @example runSwing(case).maxDepthM // 0.69 for 7 ips, 10 ft, 75°, 0.9 m/s and a bulky unweighted fly
 */
export function runSwing(c: SwingCase, num: Numerics = NUMERICS.full): SwingResult {
  checkCase(c);
  let bearing = c.cast.side * radians(c.cast.angleDeg - ('follow' in c.rod ? c.rod.follow.leadDeg : 0));
  const tip = Float64Array.from(rodTipAt(c.rod, 0, bearing));
  layOut(c, num, tip);
  const rec = recorder(c);
  let t = 0;
  let h = FIRST_STEP_S;
  let hPrev = h;
  let fresh = 2; // backward Euler for the first steps
  let newtons = 0;
  let steps = 0;
  let maxStrain = 0;
  let mend = 0;
  const corners = cornerTimes(c);
  const nominalLink = restLength[1]!;
  let end = c.tEndS;

  while (t < end - 1e-9) {
    const step = Math.min(h, num.maxStepS, nextCorner(corners, t) - t, end - t);
    bearing = moveTip(c.rod, t + step, step, bearing, tip);
    const lineChange = lineOutAt(c.lineOut, t + step) - lineOutAt(c.lineOut, t);
    const rest = restLength[1]!;
    restLength[1] = Math.max(0.02, rest + lineChange);
    if (lineChange !== 0) lump();
    predict(step, hPrev, fresh <= 0);
    r[0] = tip[0]!;
    r[1] = tip[1]!;
    r[2] = tip[2]!;
    readWater(c.water);
    freeze();
    const its = solve();
    if (its === 0) {
      restLength[1] = rest;
      h = 0.35 * step;
      fresh = Math.max(fresh, 1);
      if (h < MIN_STEP_S) throw new RangeError(`swing: did not converge at ${t.toFixed(2)} s`);
      continue;
    }
    newtons += its;
    steps++;
    rec.step(t, step);
    accept();
    t += step;
    hPrev = step;
    fresh--;
    for (let i = 1; i <= lastNode(); i++) maxStrain = Math.max(maxStrain, linkStrain(i));
    if (its <= 3) h = Math.max(h, 1.5 * step);
    else if (its >= 5) h = 0.8 * step;
    else h = step;
    if (lineChange !== 0) keepRodLink(nominalLink);
    const due = c.mends?.[mend];
    if (due && t >= due.t - 1e-9) {
      layMend(c, due.slackM, due.direction);
      mend++;
      h = FIRST_STEP_S;
      hPrev = h;
      fresh = 2;
    }
    const done = rec.dangleS() ?? rec.groundedS();
    if (c.afterDangleS !== undefined && done !== null) end = Math.min(end, done + c.afterDangleS);
  }
  return summarise(c, rec, { maxStrain, steps, newtons });
}

function checkCase(c: SwingCase): void {
  const need = (ok: boolean, field: string, what: string) => {
    if (!ok) throw new RangeError(`${field}: ${what}`);
  };
  need(c.line.length > 0, 'line', 'needs at least one section');
  c.line.forEach((l, i) => {
    need(l.lengthM > 0 && l.lengthM <= 100, `line[${i}].length_m`, 'must be above 0 and at most 100 m');
    need(l.diameterM > 5e-5 && l.diameterM < 0.01, `line[${i}].d_mm`, 'must be between 0.05 and 10 mm');
    need(Math.abs(l.weightNpm) < 2, `line[${i}]`, 'weighs more than 2 N a metre in water');
  });
  const total = c.line.reduce((s, l) => s + l.lengthM, 0);
  need(total >= 1, 'line', 'needs at least one metre');
  need(c.bodies.length > 0, 'fly', 'is missing');
  c.bodies.forEach((b, i) => {
    need(b.fromEndM >= 0 && b.fromEndM < total, `bodies[${i}].fromEndM`, 'must lie on the line');
    need(b.massKg >= 0 && b.massKg < 0.1, `bodies[${i}].massKg`, 'must be between 0 and 100 g');
    need(b.massInWaterKg > -0.01 && b.massInWaterKg <= b.massKg + 1e-9, `bodies[${i}].massInWaterKg`, 'is too large');
    need(b.dragAreaM2 > 0 && b.dragAreaM2 < 0.01, `bodies[${i}].dragAreaM2`, 'must be between 0 and 100 cm²');
  });
  need(Number.isFinite(c.cast.angleDeg) && Math.abs(c.cast.angleDeg) <= 180, 'cast.angle_deg', 'must be 0 to 180');
  need(c.cast.slackM >= 0 && c.cast.slackM < 0.6 * total, 'cast.slack_m', 'must be less than 0.6 of the line');
  need(c.tEndS > 0 && c.tEndS <= 600, 'num.t_end', 'must be above 0 and at most 600 s');
  need(c.water.rho > 900 && c.water.rho < 1100, 'water.rho', 'must be between 900 and 1100 kg/m³');
  need(c.water.grid.u.every(Number.isFinite) && c.water.grid.h.every(Number.isFinite), 'water', 'has gaps');
  need(c.drag.cn > 0 && c.drag.cn < 5 && c.drag.cf >= 0 && c.drag.cf < 0.5, 'drag', 'is out of range');
}

/** Cuts the line, fills the chain and lays it on the water. */
function layOut(c: SwingCase, num: Numerics, tip: Float64Array): void {
  const links = cutLine(c.line, num);
  const nodes = links.length + 1;
  if (nodes + 40 > MAX_NODES) throw new RangeError('line: too long for these numerics');
  resetChain({
    nodes,
    cn: c.drag.cn,
    cf: c.drag.cf,
    reDependent: c.drag.reDependent,
    held: c.floatRule === 'held',
    rho: c.water.rho,
    bottom: c.water.bottom,
    bedFriction: c.water.bedFriction,
  });
  const at = new Float64Array(nodes);
  links.forEach((link, k) => {
    const i = k + 1;
    const s = c.line[link.section]!;
    const area = (Math.PI / 4) * s.diameterM ** 2;
    restLength[i] = link.lengthM;
    linkDiameter[i] = s.diameterM;
    linkWeightWater[i] = s.weightNpm;
    linkWeightAir[i] = s.weightNpm + c.water.rho * area * G;
    linkMass[i] = Math.max(0, linkWeightAir[i]! / G) + c.water.rho * area; // with the water it carries along
    linkHold[i] = s.kind !== 'float' ? 0 : c.floatRule === 'held' ? 1 : c.floatRule === 'clean' ? CLEAN_HOLD_N_M : 0;
    at[i] = at[i - 1]! + link.lengthM;
  });
  const total = at[nodes - 1]!;
  for (const b of c.bodies) {
    const i = nearestNode(at, total - b.fromEndM);
    bodyMass[i] = bodyMass[i]! + b.massKg + (b.massKg - b.massInWaterKg);
    bodyWeightWater[i] = bodyWeightWater[i]! + b.massInWaterKg * G;
    bodyWeightAir[i] = bodyWeightAir[i]! + b.massKg * G;
    bodyDrag[i] = bodyDrag[i]! + 0.5 * c.water.rho * b.dragAreaM2;
  }
  const a = radians(c.cast.angleDeg);
  const dir: [number, number] = [Math.cos(a), c.cast.side * Math.sin(a)];
  r.set(landedLine(at, c.line, [tip[0]!, tip[1]!, tip[2]!], dir, c.cast.slackM));
  copyHistory();
  lump();
}

function nearestNode(at: Float64Array, s: number): number {
  let best = 1;
  for (let i = 1; i < at.length; i++) if (Math.abs(at[i]! - s) < Math.abs(at[best]! - s)) best = i;
  return best;
}

/** Water speed and bed at every node's predicted place. */
function readWater(w: SwingWater): void {
  const n = lastNode();
  for (let i = 1; i <= n; i++) {
    const k = 3 * i;
    sampleWater(w.grid, r[k]!, r[k + 1]!);
    const f = profileFactor(w.profile, r[k + 2]!, sample.h);
    waterU[i] = sample.u * f;
    waterV[i] = sample.v * f;
    bedDepth[i] = sample.h;
  }
}

/** A mend: the floating line is picked up and laid in a bow; the length it uses comes off the reel through the guides. */
function layMend(c: SwingCase, slackM: number, direction: -1 | 1): void {
  const n = lastNode();
  let last = 0;
  for (let i = 1; i <= n; i++) if (linkHold[i]! > 0 || c.floatRule === 'free') if (r[3 * i + 2]! < 0.05) last = i;
  if (c.line[0]!.kind !== 'float') last = 0;
  let floats = 0;
  for (let i = 1; i <= last; i++) floats += restLength[i]!;
  if (last < 2 || slackM <= 0) return;
  const ex = r[3 * last]! - r[0]!;
  const ey = r[3 * last + 1]! - r[1]!;
  const chord = Math.hypot(ex, ey);
  if (chord < 0.5) return;
  const a = bowAmplitude(chord, chord + slackM);
  // Across the chord, upstream or downstream; straight below the rod to the side away from the bank fished.
  let px = -ey / chord;
  let py = ex / chord;
  if (Math.sign(px) !== direction && Math.abs(px) > 1e-6) {
    px = -px;
    py = -py;
  }
  const grow = 1 + slackM / floats;
  let s = 0;
  for (let i = 1; i <= last; i++) {
    s += restLength[i]!;
    const bow = a * Math.sin((Math.PI * s) / floats);
    r[3 * i] = r[3 * i]! + px * bow;
    r[3 * i + 1] = r[3 * i + 1]! + py * bow;
    if (i < last) r[3 * i + 2] = Math.min(r[3 * i + 2]!, 0);
    restLength[i] = restLength[i]! * grow;
  }
  v.fill(0, 0, 3 * last);
  lump();
  copyHistory();
}

/** Keeps the first link near its nominal length while line is taken in or fed. */
function keepRodLink(nominal: number): void {
  while (restLength[1]! < 0.4 * nominal && lastNode() > 3) removeNode(1);
  while (restLength[1]! > 1.7 * nominal) insertNode(1, 1 - nominal / restLength[1]!);
}

function cornerTimes(c: SwingCase): number[] {
  const all = [
    ...('path' in c.rod ? c.rod.path.map((p) => p[0]) : []),
    ...(c.lineOut ?? []).map((p) => p[0]),
    ...(c.mends ?? []).map((m) => m.t),
  ];
  return [...new Set(all.filter((t) => t > 0))].sort((a, b) => a - b);
}

function nextCorner(corners: readonly number[], t: number): number {
  for (const c of corners) if (c > t + 1e-6) return c;
  return Infinity;
}

function lineOutAt(schedule: SwingCase['lineOut'], t: number): number {
  if (!schedule || schedule.length === 0) return 0;
  let prev = schedule[0]!;
  if (t <= prev[0]) return prev[1];
  for (const p of schedule) {
    if (t <= p[0]) return p[0] > prev[0] ? prev[1] + ((p[1] - prev[1]) * (t - prev[0])) / (p[0] - prev[0]) : p[1];
    prev = p;
  }
  return prev[1];
}

type Point = readonly [number, number, number];

function rodTipAt(rod: Rod, t: number, bearing: number): Point {
  if ('follow' in rod) {
    const f = rod.follow;
    return [f.x0 + f.r * Math.cos(bearing), f.y0 + f.r * Math.sin(bearing), f.z];
  }
  let prev = rod.path[0];
  if (!prev) throw new RangeError('rod.path: needs at least one point');
  for (const p of rod.path) {
    if (p[0] >= t) {
      const f = p[0] > prev[0] ? (t - prev[0]) / (p[0] - prev[0]) : 1;
      return [prev[1] + f * (p[1] - prev[1]), prev[2] + f * (p[2] - prev[2]), prev[3] + f * (p[3] - prev[3])];
    }
    prev = p;
  }
  return [prev[1], prev[2], prev[3]];
}

/** Moves `tip` to where it is at time t; a following rod turns towards the fly's bearing at its rate. */
function moveTip(rod: Rod, t: number, step: number, bearing: number, tip: Float64Array): number {
  let b = bearing;
  if ('follow' in rod) {
    const f = rod.follow;
    const k = 3 * lastNode();
    const side = Math.sign(r1[k + 1]! - f.y0) || 1;
    const want = Math.atan2(r1[k + 1]! - f.y0, r1[k]! - f.x0) - side * radians(f.leadDeg);
    const most = radians(f.rateDegS) * step;
    b += Math.max(-most, Math.min(most, want - b));
  }
  tip.set(rodTipAt(rod, t, b));
  return b;
}

export interface Recorder {
  step(t: number, h: number): void;
  dangleS(): number | null;
  groundedS(): number | null;
  /** `slip`: the fly's slip through the water and the water's speed; `tip`: x and y of the rod tip; both at 10 Hz. */
  readonly data: { rows: number; series: Float64Array; slip: Float64Array; tip: Float64Array; anyOnBedS: number };
  readonly bodyDepths: Float64Array[];
  readonly lines: LineShape[];
}

/** Writes the fly's series at 10 Hz from the steps by cubic interpolation, and the line's shapes. */
function recorder(c: SwingCase): Recorder {
  const cap = Math.ceil(c.tEndS / SERIES_S) + 2;
  const series = new Float64Array(cap * 9);
  const slip = new Float64Array(2 * cap);
  const others = c.bodies.filter((b) => b.fromEndM > 0);
  const bodyDepths = others.map(() => new Float64Array(cap));
  const lines: LineShape[] = [];
  const tipAt = new Float64Array(2 * cap);
  const data = { rows: 0, series, slip, tip: tipAt, anyOnBedS: 0 };
  const keep = c.keepLineS ?? 0;
  let nextLine = 0;
  let dangle: number | null = null;
  let grounded: number | null = null;
  let restRows = 0;
  let pull = 0;

  const fly = new Float64Array(6);
  const hermite = (k: number, h: number, f: number) => {
    // Node coordinate k within the step of length h: present in r1/v1, next in r (its velocity not yet stored).
    const a = r1[k]!;
    const b = r[k]!;
    const va = v1[k]! * h;
    const vb = 2 * (b - a) - va; // velocity at the end that a quadratic through both ends would have
    const p = a + f * (va + f * (b - a - va));
    fly[5] = (va + f * (vb - va)) / h;
    return p;
  };
  const row = (t: number, h: number, f: number) => {
    const n = lastNode();
    const k = 3 * n;
    const i = data.rows++;
    const o = 9 * i;
    series[o] = t;
    for (let d = 0; d < 3; d++) {
      series[o + 1 + d] = hermite(k + d, h, f);
      series[o + 4 + d] = h > 0 ? fly[5]! : 0;
    }
    const mix = (j: number) => r1[j]! + f * (r[j]! - r1[j]!);
    const ax = mix(k - 3) - mix(k);
    const ay = mix(k - 2) - mix(k + 1);
    sampleWater(c.water.grid, series[o + 1]!, series[o + 2]!);
    // Between the ends of a long step the curve may bulge below a bed that neither end is under.
    series[o + 3] = Math.min(series[o + 3]!, Math.max(sample.h, r1[k + 2]!, r[k + 2]!));
    const pf = profileFactor(c.water.profile, series[o + 3]!, sample.h);
    const cu = sample.u * pf;
    const cv = sample.v * pf;
    // Angle between the fly's axis (towards the leader) and straight into the current.
    const dot = -(ax * cu + ay * cv) / (Math.hypot(ax, ay) * Math.hypot(cu, cv) + 1e-12);
    series[o + 7] = (Math.acos(Math.max(-1, Math.min(1, dot))) * 180) / Math.PI;
    const now = tension(1);
    series[o + 8] = pull + f * (now - pull);
    slip[2 * i] = Math.hypot(series[o + 4]! - cu, series[o + 5]! - cv);
    slip[2 * i + 1] = Math.hypot(cu, cv);
    others.forEach((b, j) => {
      bodyDepths[j]![i] = mix(3 * nodeAtFromEnd(b.fromEndM) + 2);
    });
    tipAt[2 * i] = mix(0);
    tipAt[2 * i + 1] = mix(1);
    const dx = series[o + 1]! - tipAt[2 * i]!;
    const dy = series[o + 2]! - tipAt[2 * i + 1]!;
    const onBed = c.water.bottom && series[o + 3]! > sample.h - 0.01;
    restRows = onBed && Math.hypot(series[o + 4]!, series[o + 5]!) < REST_MPS ? restRows + 1 : 0;
    if (restRows > REST_ROWS && dangle === null) grounded ??= t - REST_ROWS * SERIES_S;
    if (dangle === null && t > 0 && dx > 0 && Math.abs(dy) <= Math.tan(radians(DANGLE_DEG)) * dx) dangle = t;
  };
  const shape = (t: number, f: number) => {
    const end = 3 * (lastNode() + 1);
    const xyz = new Float32Array(end);
    for (let k = 0; k < end; k++) xyz[k] = r1[k]! + f * (r[k]! - r1[k]!);
    lines.push({ t, xyz });
  };
  return {
    data,
    bodyDepths,
    lines,
    dangleS: () => dangle,
    groundedS: () => grounded,
    step(t, h) {
      while (data.rows * SERIES_S <= t + h + 1e-9) {
        const at = data.rows * SERIES_S;
        row(at, h, Math.max(0, Math.min(1, (at - t) / h)));
      }
      while (keep > 0 && nextLine <= t + h + 1e-9) {
        shape(nextLine, Math.max(0, Math.min(1, (nextLine - t) / h)));
        nextLine += keep;
      }
      pull = tension(1);
      for (let i = 1; i <= lastNode(); i++) {
        if (r[3 * i + 2]! > bedDepth[i]! - 0.002 && bedDepth[i]! > 0.05 && c.water.bottom) {
          data.anyOnBedS += h;
          break;
        }
      }
    },
  };
}

function nodeAtFromEnd(fromEnd: number): number {
  let s = 0;
  for (let i = lastNode(); i > 1; i--) {
    const next = s + restLength[i]!;
    if (Math.abs(next - fromEnd) >= Math.abs(s - fromEnd)) return i;
    s = next;
  }
  return 1;
}
