import { normal, seeded } from '../gauge';
import { sample, sampleWater } from '../swing/field';
import { cellAt, waterAt, type Channel, type Reading, type Run } from '../water';
import type { Quarry, SizeClass } from './curves';
import type { Sun } from './light';
import { HEAD_TO, partsAt, shiftsOf, softInside, TAIL_FROM, totalOf, WARM_C, type LiePart, type Shifts } from './score';

/** A station: a fish that feeds there. A rest: one that travels. A beat: one that cruises. */
export type LieKind = 'station' | 'rest' | 'beat';

/** Where fish are thought to hold, best first. */
export interface FishLie {
  /** 1 is the best. */
  readonly rank: number;
  readonly kind: LieKind;
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
  /** In how many of ten readings as rough as today's it would be found again, 0 to 1; not said: not worked out. */
  readonly sure?: number;
  /** Where the fly should pass, m below the surface, and how fast across at the most, m/s. */
  readonly band: { readonly topM: number; readonly bottomM: number };
  readonly crossSpeedMps: number;
  /** The side the fly should come from: out of the fast water into the soft. */
  readonly from: 'far side' | 'near side';
  /** A redd is near: fish here may be waiting to spawn or resting from it. */
  readonly staged: boolean;
  readonly reasons: readonly string[];
}

/** How deep to show the fly: near the bed, or in the upper to lower-middle water (two schools). */
export type DepthSchool = 'near the bed' | 'upper to middle';

/** Where fish go in high or dirty water (two schools). */
export type FloodSchool = 'to the margins' | 'out and feeding';

export interface LieOptions {
  readonly quarry: Quarry;
  readonly school: DepthSchool;
  /** Not said: to the margins. */
  readonly flood?: FloodSchool;
  /** Not said: any. */
  readonly size?: SizeClass;
  /** Not said: only the sky counts. */
  readonly sun?: Sun;
  /** At the most this many. */
  readonly most: number;
}

/** Fish are not told apart from stones closer than this, m along and across. */
const APART = { x: 7, y: 3 };
const LEAST_SCORE = 0.18;
/** Fish that wait by a redd lie up to so far from it, m. */
const STAGED_M = 20;
const SLACK_MPS = 0.18;
const SLACK_DEPTH_M = 1;

/**
 * Finds lies from depth, speed and shear.
 *
 * Each cell is scored by its parts (score.ts); peaks that lie apart are kept. Redds and the water just below and around
 * them are left out.
 *
 * @returns at most `most` lies, best first
 */
export function findLies(run: Run, c: Channel, reading: Reading | null, o: LieOptions): FishLie[] {
  const s = shiftsOf(run, c, reading, o);
  const score = new Float32Array(c.nx * c.ny);
  for (let i = 0; i < c.nx; i++)
    for (let j = 0; j < c.ny; j++) score[i * c.ny + j] = totalOf(partsAt(run, c, s, i, j), s);
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
    const parts = partsAt(run, c, s, i, j);
    out.push(describe(run, c, s, o, out.length + 1, i, j, parts, score[best]!, lengthM, widthM));
  }
  return out;
}

/** Score, parts and water at one place. */
export function scoreAt(run: Run, c: Channel, reading: Reading | null, o: LieOptions, x: number, y: number) {
  const s = shiftsOf(run, c, reading, o);
  const k = cellAt(c, x, y);
  const parts = partsAt(run, c, s, Math.floor(k / c.ny), k % c.ny);
  return { score: totalOf(parts, s), parts, ...waterAt(c, x, y) };
}

/** How far the score stays within four fifths of its peak along one axis, in cells. */
function extent(score: Float32Array, at: number, stride: number, index: number, count: number): number {
  const least = 0.8 * score[at]!;
  let a = 0;
  let b = 0;
  while (index - a - 1 >= 0 && score[at - (a + 1) * stride]! >= least) a++;
  while (index + b + 1 < count && score[at + (b + 1) * stride]! >= least) b++;
  return Math.max(1, a + b);
}

function describe(
  run: Run,
  c: Channel,
  s: Shifts,
  o: LieOptions,
  rank: number,
  i: number,
  j: number,
  parts: Readonly<Record<LiePart, number>>,
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
    if (f.kind === 'plunge' && dx > 0 && dx < 8) reasons.push('beside the plunge');
    if (f.kind === 'cut bank' && Math.abs(dx) < f.lengthM / 2 + 1) reasons.push('the trough under the cut bank');
    if (f.kind === 'log' && dx > -1 && dx < 5) reasons.push('beside sunken wood');
    if (f.kind === 'level step' && Math.abs(dx) < f.lengthM / 2 + 1) reasons.push('a level step in the fast water');
    if (f.kind === 'foam line' && Math.abs(dx) < f.lengthM / 2) reasons.push('under the foam line');
  }
  const slack = speedMps < SLACK_MPS && depthM >= SLACK_DEPTH_M;
  const kind: LieKind = s.migrant ? 'rest' : slack ? 'beat' : 'station';
  if (kind === 'beat') reasons.push('large trout patrol this slack: one lane again and again, and wait');
  if (s.dusk && x > TAIL_FROM * run.lengthM) reasons.push('the tailout fills in low light');
  if (s.temp >= WARM_C && x < HEAD_TO * run.lengthM) reasons.push('air in the water of the head');
  if (parts.light > 0.9 && s.bright && s.shadedAt(c, i, y)) reasons.push('in the shade of the bank');
  if (s.migrant && softInside(run, c, i, y)) reasons.push('the soft inside of the bend');
  if (parts.seam > 0.5) reasons.push('slow water beside fast');
  if (parts.edge > 0.3)
    reasons.push(
      s.dirty
        ? 'dirty water moves them to the soft edge'
        : s.dusk
          ? 'the edge in low light'
          : 'high water moves them to the soft edge',
    );
  if (s.bright && depthM > 1.2) reasons.push('deep, out of the high sun');
  if (s.temp < 6 && speedMps < 0.4) reasons.push('slow and deep in the cold');
  if (reasons.length === 0)
    reasons.push(depthM > 1 ? 'even holding water of good depth' : 'comfortable depth and speed');
  return {
    rank,
    kind,
    x,
    y,
    lengthM: Math.min(20, Math.max(2, lengthM)),
    widthM: Math.min(6, Math.max(1, widthM)),
    depthM,
    speedMps,
    score,
    parts,
    band: wantedBand(depthM, s.temp, s.vis, o.school),
    from: fastSide(c, i, j),
    staged: run.features.some((f) => f.kind === 'redd' && Math.hypot(f.xM - x, f.yM - y) < STAGED_M),
    crossSpeedMps: s.dirty || s.temp < 6 ? 0.35 : s.vis > 1.8 ? 0.7 : 0.5,
    reasons: [...new Set(reasons)].slice(0, 3),
  };
}

/** Where the faster water lies within a few steps across. */
function fastSide(c: Channel, i: number, j: number): FishLie['from'] {
  const reach = Math.max(1, Math.round(2 / c.dy));
  const at = (n: number) => c.u[i * c.ny + Math.min(c.ny - 1, Math.max(0, n))]!;
  return at(j + reach) >= at(j - reach) ? 'far side' : 'near side';
}

const MEMBERS = 8;

/**
 * How sure each lie is: the share of readings as rough as today's, drawn anew, in which a lie is found at that place.
 *
 * @param seed makes it repeatable
 */
export function sureOf(
  run: Run,
  c: Channel,
  reading: Reading | null,
  o: LieOptions,
  lies: readonly FishLie[],
  seed = 1,
): FishLie[] {
  const rand = seeded(seed);
  const found = lies.map(() => 0);
  for (let m = 0; m < MEMBERS; m++) {
    const speed = Math.exp((c.speedSpread / 1.28) * normal(rand));
    const depth = Math.exp((c.depthSpread / 1.28) * normal(rand));
    const other = { ...c, u: c.u.map((u) => u * speed), h: c.h.map((h) => h * depth) };
    const there = findLies(run, other, reading, o);
    lies.forEach((l, k) => {
      const near = (q: FishLie) =>
        Math.abs(q.x - l.x) <= Math.max(APART.x, l.lengthM / 2) &&
        Math.abs(q.y - l.y) <= Math.max(APART.y, l.widthM / 2);
      if (there.some(near)) found[k] = found[k]! + 1;
    });
  }
  return lies.map((l, k) => ({ ...l, sure: found[k]! / MEMBERS }));
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
