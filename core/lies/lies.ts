import { interpolate, sample, sampleWater } from '../swing/field';
import { froude, type Channel, type Reading, type Run } from '../water';
import { CURVES, suitability, type Quarry } from './curves';

/** Where fish are thought to hold, best first. */
export interface FishLie {
  /** 1 is the best. */
  readonly rank: number;
  readonly x: number;
  readonly y: number;
  /** Extent along and across the river, m. */
  readonly lengthM: number;
  readonly widthM: number;
  readonly depthM: number;
  readonly speedMps: number;
  /** 0 to 1, and the parts it was made of. */
  readonly score: number;
  readonly parts: Readonly<Record<LiePart, number>>;
  /** Where the fly should pass, m below the surface, and how fast across at the most, m/s. */
  readonly band: { readonly topM: number; readonly bottomM: number };
  readonly crossSpeedMps: number;
  readonly reasons: readonly string[];
}

export type LiePart = 'depth' | 'speed' | 'seam' | 'cover' | 'edge';

/** How deep to show the fly: near the bed, or in the upper to lower-middle water (two schools). */
export type DepthSchool = 'near the bed' | 'upper to middle';

export interface LieOptions {
  readonly quarry: Quarry;
  readonly school: DepthSchool;
  /** At the most this many. */
  readonly most: number;
}

/** Fish are not told apart from stones closer than this, m along and across. */
const APART = { x: 7, y: 3 };
const LEAST_SCORE = 0.2;
/** Water within this distance downstream of a redd is left alone, m. */
const REDD_BUFFER_M = 5;

/** What today's water and light do to where fish lie (directions of the trade: common practice, no source). */
function shifts(reading: Reading | null) {
  const vis = reading?.visibilityM ?? 1.2;
  const temp = reading?.waterTempC ?? 10;
  const bright = reading?.sky === 'bright';
  return {
    dirty: vis <= 0.61,
    clearLow: vis > 1.8 && (reading?.levelM ?? 0) <= 0,
    /** Cold fish want slower water, warm ones faster: the speed axis is stretched. */
    pace: interpolate([3, 10, 14, 18], [0.55, 1, 1, 1.3], temp),
    bright,
    vis,
    temp,
  };
}

/**
 * Finds lies from depth, speed and shear.
 *
 * Each cell is scored by depth and speed suitability (see curves), the seam (fast water next door, slow at the lie:
 * Fausch 1984; Hughes & Dill 1990), cover and broken water, and closeness to the bank in dirty water; peaks that lie
 * apart are kept. Redds and the water just below them are left out.
 *
 * @returns at most `most` lies, best first
 */
export function findLies(run: Run, c: Channel, reading: Reading | null, o: LieOptions): FishLie[] {
  const s = shifts(reading);
  const score = new Float32Array(c.nx * c.ny);
  for (let i = 0; i < c.nx; i++)
    for (let j = 0; j < c.ny; j++) score[i * c.ny + j] = totalOf(partsAt(run, c, s, o.quarry, i, j));
  const taken = new Uint8Array(score.length);
  const out: FishLie[] = [];
  while (out.length < o.most) {
    let best = -1;
    for (let k = 0; k < score.length; k++)
      if (!taken[k] && score[k]! >= LEAST_SCORE && (best < 0 || score[k]! > score[best]!)) best = k;
    if (best < 0) break;
    const i = Math.floor(best / c.ny);
    const j = best % c.ny;
    const lengthM = extent(score, best, c.ny, i, c.nx) * c.dx;
    const widthM = extent(score, best, 1, j, c.ny) * c.dy;
    const spanX = Math.min(25, Math.max(APART.x, lengthM));
    const spanY = Math.min(8, Math.max(APART.y, widthM));
    for (let a = 0; a < c.nx; a++)
      for (let b = 0; b < c.ny; b++)
        if (Math.abs(a - i) * c.dx < spanX && Math.abs(b - j) * c.dy < spanY) taken[a * c.ny + b] = 1;
    const parts = partsAt(run, c, s, o.quarry, i, j);
    out.push(describe(run, c, s, o, out.length + 1, i, j, parts, score[best]!, lengthM, widthM));
  }
  return out;
}

type Shifts = ReturnType<typeof shifts>;

/** How far the score stays within four fifths of its peak along one axis, in cells. */
function extent(score: Float32Array, at: number, stride: number, index: number, count: number): number {
  const least = 0.8 * score[at]!;
  let a = 0;
  let b = 0;
  while (index - a - 1 >= 0 && score[at - (a + 1) * stride]! >= least) a++;
  while (index + b + 1 < count && score[at + (b + 1) * stride]! >= least) b++;
  return Math.max(1, a + b);
}

function partsAt(run: Run, c: Channel, s: Shifts, quarry: Quarry, i: number, j: number): Record<LiePart, number> {
  const k = i * c.ny + j;
  const h = c.h[k]!;
  const u = c.u[k]!;
  const none = { depth: 0, speed: 0, seam: 0, cover: 0, edge: 0 };
  if (h < 0.15 || nearRedd(run, c.x0 + i * c.dx, c.y0 + j * c.dy)) return none;
  const { depth, speed } = CURVES[quarry];
  // In bright or low clear water the same comfort is found deeper; dirty water hides fish where it is thin.
  const shown = h * (s.dirty ? 1.4 : s.bright || s.clearLow ? 0.75 : 1);
  const reach = Math.max(1, Math.round(1.5 / c.dy));
  let fast = u;
  for (let n = -reach; n <= reach; n++) {
    const q = j + n;
    if (q >= 0 && q < c.ny) fast = Math.max(fast, c.u[i * c.ny + q]!);
  }
  const y = c.y0 + j * c.dy;
  const bank = Math.min(y - c.edgeNear[i]!, c.edgeFar[i]! - y);
  return {
    depth: suitability(depth, shown),
    speed: suitability(speed, u / s.pace),
    seam: Math.min(1, Math.max(0, (fast - u) / 0.35)),
    cover: coverAt(run, c, s, i, j, h, u),
    edge: s.dirty ? Math.exp(-Math.max(0, bank - 0.5) / 2) : 0,
  };
}

/** 0 to 1 from what shelters a fish: stones, wood, an undercut, a ledge upstream, depth, a broken surface. */
function coverAt(run: Run, c: Channel, s: Shifts, i: number, j: number, h: number, u: number): number {
  const x = c.x0 + i * c.dx;
  const y = c.y0 + j * c.dy;
  let cover = Math.min(0.5, Math.max(0, (h - 0.8) / 2));
  for (const f of run.features) {
    const dx = x - f.xM;
    const dy = Math.abs(y - f.yM) - f.widthM / 2;
    const inside = Math.abs(dx) < f.lengthM / 2 + 1;
    if ((f.kind === 'boulder' || f.kind === 'log') && dx > 0 && dx < 5 * Math.max(0.5, f.widthM) && dy < 0.8)
      cover = Math.max(cover, 0.8);
    if ((f.kind === 'cut bank' || f.kind === 'brush') && inside && dy < 1.5) cover = Math.max(cover, 0.9);
    if (f.kind === 'drop-off' && dx > 0 && dx < 6 && dy < 1) cover = Math.max(cover, 1 - dx / 12);
    if (f.kind === 'level step' && inside && dy < 1) cover = Math.max(cover, 0.7);
    if (f.kind === 'foam line' && inside && dy < 1) cover = Math.max(cover, 0.5);
  }
  const broken = Math.min(1, Math.max(0, (froude(u, h) - 0.2) / 0.2));
  return Math.min(1, cover + (s.clearLow || s.bright ? 0.4 : 0.15) * broken);
}

function nearRedd(run: Run, x: number, y: number): boolean {
  return run.features.some(
    (f) =>
      f.kind === 'redd' &&
      x > f.xM - f.lengthM / 2 - 1 &&
      x < f.xM + f.lengthM / 2 + REDD_BUFFER_M &&
      Math.abs(y - f.yM) < f.widthM / 2 + 1,
  );
}

function totalOf(p: Record<LiePart, number>): number {
  const comfort = p.depth * p.speed;
  return comfort * (0.35 + 0.3 * p.seam + 0.25 * p.cover) + 0.25 * p.edge * Math.min(p.depth, p.speed);
}

function describe(
  run: Run,
  c: Channel,
  s: Shifts,
  o: LieOptions,
  rank: number,
  i: number,
  j: number,
  parts: Record<LiePart, number>,
  score: number,
  lengthM: number,
  widthM: number,
): FishLie {
  const k = i * c.ny + j;
  const depthM = c.h[k]!;
  const speedMps = c.u[k]!;
  const x = c.x0 + i * c.dx;
  const y = c.y0 + j * c.dy;
  const reasons: string[] = [];
  for (const f of run.features) {
    const dx = x - f.xM;
    const beside = Math.abs(y - f.yM) < f.widthM / 2 + 1.5;
    if (!beside) continue;
    if (f.kind === 'drop-off' && dx >= 0 && dx < 8) reasons.push('just over the drop-off');
    if (f.kind === 'boulder' && dx > 0 && dx < 6) reasons.push('soft water behind a boulder');
    if (f.kind === 'cut bank' && Math.abs(dx) < f.lengthM / 2 + 1) reasons.push('the trough under the cut bank');
    if (f.kind === 'log' && dx > -1 && dx < 5) reasons.push('beside sunken wood');
    if (f.kind === 'level step' && Math.abs(dx) < f.lengthM / 2 + 1) reasons.push('a level step in the fast water');
  }
  if (parts.seam > 0.5) reasons.push('slow water beside fast');
  if (parts.edge > 0.3) reasons.push('dirty water moves them to the soft edge');
  if (s.bright && depthM > 1.2) reasons.push('deep, out of the high sun');
  if (s.temp < 6 && speedMps < 0.4) reasons.push('slow and deep in the cold');
  if (reasons.length === 0)
    reasons.push(depthM > 1 ? 'even holding water of good depth' : 'comfortable depth and speed');
  return {
    rank,
    x,
    y,
    lengthM: Math.min(20, Math.max(2, lengthM)),
    widthM: Math.min(6, Math.max(1, widthM)),
    depthM,
    speedMps,
    score,
    parts,
    band: wantedBand(depthM, s.temp, s.vis, o.school),
    crossSpeedMps: s.dirty || s.temp < 6 ? 0.35 : s.vis > 1.8 ? 0.7 : 0.5,
    reasons: [...new Set(reasons)].slice(0, 3),
  };
}

/**
 * The band in which to show the fly, m below the surface. The warmer and clearer the water, the higher it may ride;
 * one school fishes near the bed, the other the upper to lower-middle water, never dragging (common practice, no source).
 *
 * @example wantedBand(1.5, 6, 0.6, 'near the bed') // { topM: 0.9, bottomM: 1.35 }
 */
export function wantedBand(depthM: number, tempC: number, visM: number, school: DepthSchool) {
  const warm = Math.min(1, Math.max(0, (tempC - 6) / 10));
  const seen = Math.min(1, Math.max(0, (visM - 0.6) / 1.8));
  const lift = (0.35 * (warm + seen)) / 2;
  const top = school === 'near the bed' ? 0.6 - lift : 0.3 - 0.6 * lift;
  const bottom = school === 'near the bed' ? 0.9 : 0.65;
  return { topM: top * depthM, bottomM: bottom * depthM };
}

/** The same lie looked for somewhere else: the water there, the band as high in it as before. */
export function movedLie(lie: FishLie, c: Channel, x: number, y: number): FishLie {
  sampleWater(c, x, y);
  const depthM = sample.h;
  const part = depthM / lie.depthM;
  const band = { topM: lie.band.topM * part, bottomM: lie.band.bottomM * part };
  return { ...lie, x, y, depthM, speedMps: sample.u, band };
}
