import type { WaterGrid } from '../swing';
import { interpolate } from '../swing/field';
import { waterAt } from './cells';
import {
  contradictions,
  flowEstimates,
  flowPrior,
  levelEstimates,
  weigh,
  type Contradiction,
  type FlowSources,
  type Told,
} from './readings';
import type { Bend, Feature, Reading, Run, Section } from './run';

const G = 9.80665;
/** Vertical profile: power law, m from 1/6 in thin rough water to 1/7 in deep water (Rantz and others 1982; Chow 1959).
 * @param depthM mean depth of the run */
export function profileOf(depthM: number): { readonly type: 'power'; readonly m: number } {
  return { type: 'power', m: interpolate([1, 3], [1 / 6, 1 / 7], depthM) };
}
/** Depth-mean over surface speed of one vertical, 1/(1+m): 0.857 in thin water, 0.875 in deep; Rantz 1982 gives 0.84 to
 * 0.90. @example floatCoefficient(0.8) // 0.857 */
export const floatCoefficient = (depthM: number): number => 1 / (1 + profileOf(depthM).m);
/** Banks are carried on above the water at the slope of their last metre, within these limits (rise over run). */
const BANK_SLOPE = { least: 0.15, most: 3 };
/** At a station speed grows with mean depth to this power (Leopold & Maddock 1953: v ∝ Q^0.34, depth ∝ Q^0.40). */
const AT_A_STATION = 0.85;

/** Depth and current everywhere in a run on one day. Extends the swing's grid. */
export interface Channel extends WaterGrid {
  /** Water's edges at each row x, m. */
  readonly edgeNear: Float32Array;
  readonly edgeFar: Float32Array;
  /** Share of the flow between the near edge and each cell, 0 to 1: its contours are streamlines. */
  readonly share: Float32Array;
  /** Flow, m³/s. */
  readonly flowM3s: number;
  readonly profile: { readonly type: 'power'; readonly m: number };
  /** Level above normal that the readings together say, m. */
  readonly levelM: number;
  /** Where the speed came from, and how far the truth may lie from it (±, relative; four in five lie within). */
  readonly speedFrom: 'today' | 'read with the run' | 'typical';
  readonly speedSpread: number;
  readonly depthSpread: number;
  /** What each reading changed, in the order they were weighed. */
  readonly told: readonly Told[];
  readonly contradictions: readonly Contradiction[];
}

interface Bank {
  readonly y: number[];
  /** Depth at the level it was read; negative above the water. */
  readonly d: number[];
}

/** The section as a line of bed depths with both banks carried on above the water. */
function withBanks(s: Section): Bank {
  const p = s.points;
  const a = p[0]!;
  const z = p[p.length - 1]!;
  const slope = (from: typeof a, to: typeof a) =>
    Math.min(BANK_SLOPE.most, Math.max(BANK_SLOPE.least, Math.abs((to.depthM - from.depthM) / (to.yM - from.yM))));
  const rise = 3;
  return {
    y: [
      a.yM - (rise + a.depthM) / slope(a, p[1]!),
      ...p.map((q) => q.yM),
      z.yM + (rise + z.depthM) / slope(z, p[p.length - 2]!),
    ],
    d: [-rise, ...p.map((q) => q.depthM), -rise],
  };
}

function depthOn(b: Bank, y: number): number {
  let i = 1;
  while (i < b.y.length - 1 && b.y[i]! < y) i++;
  const ya = b.y[i - 1]!;
  const f = (y - ya) / (b.y[i]! - ya);
  return b.d[i - 1]! + Math.min(1, Math.max(0, f)) * (b.d[i]! - b.d[i - 1]!);
}

/** First and last place under water when the level has changed by `rise`, or null when the section is dry. */
function edges(b: Bank, rise: number): readonly [number, number] | null {
  const crossing = (i: number) => {
    const da = b.d[i - 1]! + rise;
    const db = b.d[i]! + rise;
    return b.y[i - 1]! + ((b.y[i]! - b.y[i - 1]!) * -da) / (db - da);
  };
  let near: number | null = null;
  let far: number | null = null;
  for (let i = 1; i < b.y.length; i++) {
    const a = b.d[i - 1]! + rise > 0;
    const z = b.d[i]! + rise > 0;
    if (!a && z) near ??= crossing(i);
    if (a && !z) far = crossing(i);
  }
  return near === null || far === null ? null : [near, far];
}

/** Width, area and mean depth of a section when the level has changed by `rise`.
 * @example sectionAt({ xM: 0, points: [{yM:0,depthM:0},{yM:10,depthM:1},{yM:20,depthM:0}] }, 0).areaM2 // 10 */
export function sectionAt(s: Section, rise: number): { widthM: number; areaM2: number; meanDepthM: number } {
  const b = withBanks(s);
  const e = edges(b, rise);
  if (!e) return { widthM: 0, areaM2: 0, meanDepthM: 0 };
  const ys = [e[0], ...b.y.filter((y) => y > e[0] && y < e[1]), e[1]];
  let area = 0;
  for (let i = 1; i < ys.length; i++) {
    const da = Math.max(0, depthOn(b, ys[i - 1]!) + rise);
    const db = Math.max(0, depthOn(b, ys[i]!) + rise);
    area += ((da + db) / 2) * (ys[i]! - ys[i - 1]!);
  }
  return { widthM: e[1] - e[0], areaM2: area, meanDepthM: area / (e[1] - e[0]) };
}

/** Slower water behind things, faster beside: multiplies the speed at (x, y). */
function featureFactor(features: readonly Feature[], x: number, y: number): number {
  let f = 1;
  for (const q of features) {
    const across = (y - q.yM) / Math.max(0.3, q.widthM / 2);
    const along = x - q.xM;
    if (q.kind === 'boulder' || q.kind === 'log') {
      // A wake of about six widths, half as wide again; a little faster past the sides.
      const size = Math.max(q.widthM, 0.4);
      if (along > -size && along < 6 * size) {
        const fade = along < 0 ? 1 + along / size : 1 - along / (6 * size);
        f *=
          1 -
          0.75 * fade * Math.exp(-(across ** 2) / 1.2) +
          0.15 * fade * Math.exp(-((Math.abs(across) - 2) ** 2) / 0.5);
      }
    } else if (q.kind === 'drop-off' && Math.abs(across) < 1 && along > 0 && along < 6) {
      // Soft water under the lip, gone after six metres.
      f *= 1 - 0.25 * (1 - along / 6);
    } else if (q.kind === 'plunge' && along > 0 && along < 8) {
      // A jet down the middle and slow water beside it, gone after eight metres.
      const fade = 1 - along / 8;
      f *= 1 + fade * (0.5 * Math.exp(-3 * across ** 2) - 0.5 * Math.exp(-((Math.abs(across) - 1.2) ** 2) / 0.4));
    } else if (q.kind === 'eddy' || q.kind === 'weed' || q.kind === 'bar') {
      const e = (2 * along) / Math.max(0.5, q.lengthM);
      f *= 1 - (q.kind === 'eddy' ? 0.85 : 0.5) * Math.exp(-(e * e + across * across));
    }
  }
  return Math.max(0.02, f);
}

/** Bends throw the fast water outward: speed goes with the radius (a forced vortex), within limits.
 * @param out metres from the middle line towards the outside of the bend */
const bendFactor = (bend: Bend, out: number): number =>
  Math.min(1.5, Math.max(0.5, (bend.radiusM + out) / bend.radiusM));

/** Whether the outside of the bend is the far side, seen from the described bank. */
const outsideIsFar = (run: Run): boolean => run.bend!.turns === run.bank;

/** How fine the grid is, m along and across. */
export interface Cut {
  readonly dx: number;
  readonly dy: number;
}

/** A grid of some 8,000 cells at the most, never finer than 0.5 m along and 0.15 m across. */
export function cutFor(run: Run): Cut {
  const width = Math.max(...run.sections.map((s) => s.points[s.points.length - 1]!.yM - s.points[0]!.yM));
  return { dx: Math.max(0.5, run.lengthM / 80), dy: Math.max(0.15, width / 90) };
}

/** Half as fine each way: while a level is being dragged. */
export function coarseCut(run: Run): Cut {
  const { dx, dy } = cutFor(run);
  return { dx: 2 * dx, dy: 2 * dy };
}

/** Four in five lie within so many standard deviations. */
const FOUR_IN_FIVE = 1.28;

/**
 * Rebuilds depth and current everywhere in a run from its sections, today's level and whatever was read.
 *
 * Sections are raised or lowered to today's level and blended along the run at equal parts of the width. In each row
 * speed follows Manning across (U ∝ h^(2/3), shared n), slowed behind what stands in the water and thrown outward by a
 * bend, and is scaled so that the same flow passes every row. Level and flow are what the readings say together, each
 * weighed by its doubt (readings.ts). Without a reading of the flow: the run's own float carried to today's level by
 * U ∝ h^0.85 (Leopold & Maddock 1953), else a typical run, Froude 0.25 (Jowett 1993).
 *
 * @param reading today's reading; null takes the day the run was read
 * @throws RangeError when there are fewer than two sections, or when the run would be dry
 */
export function buildChannel(run: Run, reading: Reading | null, cut: Cut = cutFor(run)): Channel {
  if (run.sections.length < 2) throw new RangeError('sections: at least two are needed');
  const sections = [...run.sections].sort((a, b) => a.xM - b.xM);
  const banks = sections.map(withBanks);
  const told = (reading?.levelM ?? run.levelM) - run.levelM;
  const levels = levelEstimates(run, reading, (x, y) => depthAt(sections, banks, told, x, y));
  const level = weigh('level', levels[0]!, levels.slice(1));
  const rise = level.value - run.levelM;
  const ends = endsAt(banks, rise);
  const nx = Math.max(2, Math.round(run.lengthM / cut.dx) + 1);
  const dx = run.lengthM / (nx - 1);
  const y0 = Math.floor(Math.min(...ends.map((e) => e[0])) - 1);
  const ny = Math.ceil((Math.max(...ends.map((e) => e[1])) + 1 - y0) / cut.dy) + 1;
  const cells = nx * ny;
  const h = new Float32Array(cells);
  const u = new Float32Array(cells);
  const v = new Float32Array(cells);
  const share = new Float32Array(cells);
  const edgeNear = new Float32Array(nx);
  const edgeFar = new Float32Array(nx);
  const outward = run.bend ? (outsideIsFar(run) ? 1 : -1) : 0;

  for (let i = 0; i < nx; i++) {
    const at = between(sections, i * dx);
    const { near, far } = edgesBetween(ends, at);
    edgeNear[i] = near;
    edgeFar[i] = far;
    const a = cursor(banks[at.a]!, ends[at.a]!, rise);
    const b = cursor(banks[at.b]!, ends[at.b]!, rise);
    let through = 0;
    for (let j = 0; j < ny; j++) {
      const y = y0 + j * cut.dy;
      const k = i * ny + j;
      if (y > near && y < far) {
        const part = (y - near) / (far - near);
        h[k] = (1 - at.f) * a(part) + at.f * b(part);
        u[k] = Math.cbrt(h[k]! ** 2) * featureFactor(run.features, i * dx, y);
        if (run.bend) u[k] = u[k]! * bendFactor(run.bend, outward * (y - (near + far) / 2));
      }
      through += u[k]! * h[k]! * cut.dy;
      share[k] = through;
    }
    // For now each row carries one cubic metre a second.
    for (let j = 0; j < ny; j++) {
      u[i * ny + j] = u[i * ny + j]! / through;
      share[i * ny + j] = share[i * ny + j]! / through;
    }
  }
  const g: WaterGrid = { x0: 0, dx, nx, y0, dy: cut.dy, ny, u, v, h };
  const sources = flowSources(run, sections, rise, g);
  const prior = flowPrior(sources);
  const today = flowEstimates(run, reading, sources);
  const flow = weigh('flow', prior, today);
  for (let k = 0; k < cells; k++) u[k] = u[k]! * flow.value;
  fillCross(g, share);
  const mean = meanDepth(g);
  return {
    ...g,
    edgeNear,
    edgeFar,
    share,
    flowM3s: flow.value,
    profile: profileOf(mean),
    levelM: level.value,
    speedFrom: today.length > 0 ? 'today' : sources.read ? 'read with the run' : 'typical',
    speedSpread: FOUR_IN_FIVE * flow.sd,
    depthSpread: Math.hypot(reading ? SECTION_SPREAD : OLD_SECTION_SPREAD, (FOUR_IN_FIVE * level.sd) / mean),
    told: [...level.told, ...flow.told],
    contradictions: [...contradictions('level', levels), ...contradictions('flow', [...today, prior])],
  };
}

/** How far depths may be off for the sections alone, with a reading of today and without one (common practice). */
const SECTION_SPREAD = 0.13;
const OLD_SECTION_SPREAD = 0.2;

function meanDepth(g: WaterGrid): number {
  let sum = 0;
  let wet = 0;
  for (const h of g.h) {
    sum += h;
    if (h > 0) wet++;
  }
  return sum / Math.max(1, wet);
}

type Ends = readonly (readonly [number, number])[];

/** Water's edges of every section when the level has changed by `rise`. */
function endsAt(banks: readonly Bank[], rise: number): Ends {
  return banks.map((b) => {
    const e = edges(b, rise);
    if (!e) throw new RangeError('levelM: at this level the run would be dry');
    return e;
  });
}

type Between = ReturnType<typeof between>;

const edgesBetween = (ends: Ends, { a, b, f }: Between) => ({
  near: ends[a]![0] + f * (ends[b]![0] - ends[a]![0]),
  far: ends[a]![1] + f * (ends[b]![1] - ends[a]![1]),
});

/** Depths of a section at growing parts of its width, walked along without searching. */
function cursor(b: Bank, [near, far]: readonly [number, number], rise: number): (part: number) => number {
  let i = 1;
  return (part) => {
    const y = near + part * (far - near);
    while (i < b.y.length - 1 && b.y[i]! < y) i++;
    const ya = b.y[i - 1]!;
    const f = Math.min(1, Math.max(0, (y - ya) / (b.y[i]! - ya)));
    return Math.max(0, b.d[i - 1]! + f * (b.d[i]! - b.d[i - 1]!) + rise);
  };
}

/** Depth at one place, as the grid has it. */
function depthAt(sections: readonly Section[], banks: readonly Bank[], rise: number, x: number, y: number): number {
  const ends = endsAt(banks, rise);
  const at = between(sections, x);
  const { near, far } = edgesBetween(ends, at);
  const part = (y - near) / (far - near);
  if (part <= 0 || part >= 1) return 0;
  return (
    (1 - at.f) * cursor(banks[at.a]!, ends[at.a]!, rise)(part) + at.f * cursor(banks[at.b]!, ends[at.b]!, rise)(part)
  );
}

/** Sections on either side of x and how far x lies between them. */
function between(sections: readonly Section[], x: number): { a: number; b: number; f: number } {
  let b = sections.findIndex((s) => s.xM >= x);
  if (b < 0) b = sections.length - 1;
  const a = Math.max(0, b - 1);
  const span = sections[b]!.xM - sections[a]!.xM;
  const f = b === 0 ? 0 : span > 0 ? Math.min(1, (x - sections[a]!.xM) / span) : 1;
  return b === 0 ? { a: 0, b: 0, f: 0 } : { a, b, f };
}

/** What each kind of reading would mean as flow. `unit` is the field that carries 1 m³/s. */
function flowSources(run: Run, sections: readonly Section[], rise: number, unit: WaterGrid): FlowSources {
  const middle = sections.map((s) => sectionAt(s, rise));
  const typical = middle.map((s) => 0.25 * Math.sqrt(G * s.meanDepthM) * s.areaM2).sort((a, b) => a - b);
  const at = run.speed;
  let read: FlowSources['read'] = null;
  if (at) {
    // Carry the measured flow to today's level at the section nearest to the float.
    const n = sections.reduce((m, s, i) => (Math.abs(s.xM - at.xM) < Math.abs(sections[m]!.xM - at.xM) ? i : m), 0);
    const then = sectionAt(sections[n]!, 0);
    const now = middle[n]!;
    const depthThen = Math.max(0.05, depthOn(withBanks(sections[n]!), at.yM));
    const flowThen =
      (at.surfaceMps * floatCoefficient(depthThen) * meanOfPower(sections[n]!, 0)) / Math.pow(depthThen, 2 / 3);
    const grown = Math.pow(now.meanDepthM / then.meanDepthM, AT_A_STATION) * (now.areaM2 / then.areaM2);
    read = { then: flowThen, now: flowThen * grown };
  }
  const coefficient = floatCoefficient(meanDepth(unit));
  return {
    flowOfFloat: (surfaceMps, x, y) => {
      const one = waterAt(unit, x, y).speedMps;
      return one > 0 ? (surfaceMps * coefficient) / one : null;
    },
    flowOfPace: (surfaceMps) => (surfaceMps * coefficient) / fastest(unit, Math.round((unit.nx - 1) / 2)),
    read,
    typical: typical[Math.floor(typical.length / 2)]!,
    riseM: rise,
  };
}

/** Speed of the main current in a row. */
const fastest = (g: WaterGrid, i: number): number => Math.max(...g.u.subarray(i * g.ny, (i + 1) * g.ny));

/** ∫ h^(2/3)·h dy over a section, m^(8/3): flow over K when U = K·h^(2/3). */
function meanOfPower(s: Section, rise: number): number {
  const b = withBanks(s);
  const e = edges(b, rise);
  if (!e) return 0;
  const parts = 200;
  const dy = (e[1] - e[0]) / parts;
  let sum = 0;
  for (let i = 0; i < parts; i++) sum += Math.pow(Math.max(0, depthOn(b, e[0] + (i + 0.5) * dy) + rise), 5 / 3) * dy;
  return sum;
}

/** Cross-current speed: streamlines keep their share of the flow, so v = u·dy/dx along a share. */
function fillCross(g: WaterGrid, share: Float32Array): void {
  for (let i = 0; i < g.nx; i++) {
    const a = Math.max(0, i - 1);
    const b = Math.min(g.nx - 1, i + 1);
    for (let j = 0; j < g.ny; j++) {
      const k = i * g.ny + j;
      if (g.h[k]! <= 0.02) continue;
      const s = share[k]!;
      g.v[k] = (g.u[k]! * (placeOfShare(g, share, b, s) - placeOfShare(g, share, a, s))) / ((b - a) * g.dx);
    }
  }
}

/** y at which row i has let the given share of the flow pass. */
export function placeOfShare(g: WaterGrid, share: Float32Array, i: number, s: number): number {
  const o = i * g.ny;
  let lo = 0;
  let hi = g.ny - 1;
  while (hi - lo > 1) {
    const mid = (lo + hi) >> 1;
    if (share[o + mid]! < s) lo = mid;
    else hi = mid;
  }
  const a = share[o + lo]!;
  const b = share[o + hi]!;
  return g.y0 + g.dy * (lo + (b > a ? Math.min(1, Math.max(0, (s - a) / (b - a))) : 0));
}

/** A streamline as [x, y] at every row: where the given share (0 to 1) of the flow passes on the near side. */
export const streamline = (c: Channel, s: number): [number, number][] =>
  Array.from({ length: c.nx }, (_, i) => [c.x0 + i * c.dx, placeOfShare(c, c.share, i, s)]);

/** Froude number, U/√(g·h). @example froude(1, 1) // 0.319 */
export const froude = (speedMps: number, depthM: number): number => (depthM > 0 ? speedMps / Math.sqrt(G * depthM) : 0);

/** Pool below 0.18, run to 0.41, riffle above (Jowett 1993, from memory). */
export function froudeClass(f: number): 'pool' | 'run' | 'riffle' {
  return f < 0.18 ? 'pool' : f < 0.41 ? 'run' : 'riffle';
}
