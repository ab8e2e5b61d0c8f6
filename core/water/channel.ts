import { FOUR_IN_FIVE } from '../maths';
import { bendFactor, outsideIsFar } from './bend';
import { type Feature, featureFactor } from './features';
import { froude } from './froude';
import { flowSources } from './flow';
import { meanDepth, placeOfShare, type WaterGrid } from './grid';
import { profileOf } from './profile';
import type { Reading } from './reading';
import type { Room, Run } from './run';
import { between, cursor, depthAt, edgesBetween, endsAt, withBanks } from './sections';
import {
  combine,
  type Contradiction,
  contradictions,
  flowEstimates,
  flowPrior,
  levelEstimates,
  QUICK_SD,
  type QuickReading,
  type ReadingEffect,
  weigh,
} from './weigh';

/** Depth and current everywhere in a run on one day. Extends the swing's grid. */
export interface Channel extends WaterGrid {
  /** What stands in it, and what hinders a back cast. */
  readonly features: readonly Feature[];
  readonly room: Room;
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
  readonly readingEffects: readonly ReadingEffect[];
  readonly contradictions: readonly Contradiction[];
  /** No wader’s run has such water: the sections and the speed cannot both be right. */
  readonly impossible: boolean;
}

/** How fine the grid is, m along and across. */
export interface Cut {
  readonly dx: number;
  readonly dy: number;
}

/** A grid of some 8,000 cells at the most, never finer than 0.5 m along and 0.15 m across. */
function cutFor(run: Run): Cut {
  const width = Math.max(...run.sections.map((s) => s.points[s.points.length - 1]!.yM - s.points[0]!.yM));
  return { dx: Math.max(0.5, run.lengthM / 80), dy: Math.max(0.15, width / 90) };
}

/** Faster than this over more than a film of water, or over a Froude number of 1 in more than a tenth of what is knee deep, no run is
 * waded, m/s. */
const FASTEST_MPS = 3;
const FILM_M = 0.1;
const KNEE_M = 0.4;

function isImpossible(g: WaterGrid): boolean {
  let deep = 0;
  let shooting = 0;
  for (let k = 0; k < g.h.length; k++) {
    if (g.h[k]! > FILM_M && g.u[k]! > FASTEST_MPS) return true;
    if (g.h[k]! < KNEE_M) continue;
    deep++;
    if (froude(g.u[k]!, g.h[k]!) > 1) shooting++;
  }
  return shooting > 0.1 * deep;
}

/** Half as fine each way: while a level is being dragged. */
export function coarseCut(run: Run): Cut {
  const { dx, dy } = cutFor(run);
  return { dx: 2 * dx, dy: 2 * dy };
}

/**
 * Rebuilds depth and current everywhere in a run from its sections, today's level and whatever was read.
 *
 * Sections are raised or lowered to today's level and blended along the run at equal parts of the width. In each row
 * speed follows Manning across (U ∝ h^(2/3), shared n), slowed behind what stands in the water and thrown outward by a
 * bend, and is scaled so that the same flow passes every row. Level and flow are what the readings say together, each
 * weighed by its doubt (weigh.ts). Without a reading of the flow: the run's own float carried to today's level by
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
  const impossible = isImpossible(g);
  return {
    ...g,
    features: run.features,
    room: run.room ?? 'open',
    edgeNear,
    edgeFar,
    share,
    flowM3s: flow.value,
    profile: profileOf(mean),
    levelM: level.value,
    speedFrom: today.length > 0 ? 'today' : sources.read ? 'read with the run' : 'typical',
    speedSpread: FOUR_IN_FIVE * flow.sd,
    depthSpread: Math.hypot(
      run.glance ? GLANCE_SPREAD : reading ? SECTION_SPREAD : OLD_SECTION_SPREAD,
      (FOUR_IN_FIVE * level.sd) / mean,
    ),
    impossible,
    readingEffects: [...level.told, ...flow.told],
    contradictions: [...contradictions('level', levels), ...contradictions('flow', [...today, prior])],
  };
}

/** How far depths may be off for the sections alone, with a reading of today and without one (common practice). */
const SECTION_SPREAD = 0.13;
const OLD_SECTION_SPREAD = 0.2;
/** Depths judged by the body from the bank, and a bed that looks as usual for its kind (assumed). */
const GLANCE_SPREAD = 0.35;

/** How far the truth may lie from a channel of today once more had been read in it: as `weigh` joins them. */
export function spreadsWith(c: Channel, read: readonly QuickReading[]): Pick<Channel, 'speedSpread' | 'depthSpread'> {
  const meanM = meanDepth(c);
  const levelSpread = Math.sqrt(Math.max(0, c.depthSpread ** 2 - SECTION_SPREAD ** 2)) * meanM;
  const joined = (spread: number, by: QuickReading) =>
    combine([spread, FOUR_IN_FIVE * QUICK_SD[by]].map((sd) => ({ value: 0, sd }))).sd;
  return {
    speedSpread: !read.includes('float')
      ? c.speedSpread
      : c.speedFrom === 'today'
        ? joined(c.speedSpread, 'float')
        : FOUR_IN_FIVE * QUICK_SD.float,
    depthSpread: Math.hypot(
      SECTION_SPREAD,
      (read.includes('staff') ? joined(levelSpread, 'staff') : levelSpread) / meanM,
    ),
  };
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
