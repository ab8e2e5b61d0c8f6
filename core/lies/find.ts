import { cellAt, type Channel, FEATURES, nearTo, type Reading, type Run, waterAt } from '../water';
import { wantedBand } from './band';
import { dayEffects, type DayEffects, HEAD_TO, partsAt, softInside, TAIL_FROM, totalOf } from './score';
import type { FishLie, LieKind, LieOptions, LiePart } from './types';

/** Fish are not told apart from stones closer than this, m along and across. */
export const APART = { x: 7, y: 3 };
const LEAST_SCORE = 0.18;
/** What stands no further off to the side than this is a reason, m. */
const BESIDE_M = 1.5;
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
  const s = dayEffects(run, c, reading, o);
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
  const s = dayEffects(run, c, reading, o);
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
  s: DayEffects,
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
    const near = nearTo(f, x, y);
    const { reason } = FEATURES[f.kind];
    if (near.dy < BESIDE_M && reason?.at(near, s)) reasons.push(reason.says);
  }
  const slack = speedMps < SLACK_MPS && depthM >= SLACK_DEPTH_M;
  const kind: LieKind = s.migrant ? 'rest' : slack ? 'beat' : 'station';
  if (kind === 'beat') reasons.push('large trout patrol this slack: one lane again and again, and wait');
  if (s.dusk && x > TAIL_FROM * run.lengthM) reasons.push('the tailout fills in low light');
  if (s.warm && x < HEAD_TO * run.lengthM) reasons.push('air in the water of the head');
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
  if (s.cold && speedMps < 0.4) reasons.push('slow and deep in the cold');
  if (reasons.length === 0)
    reasons.push(depthM > 1 ? 'even holding water of good depth' : 'comfortable depth and speed');
  return {
    rank,
    kind,
    xM: x,
    yM: y,
    lengthM: Math.min(20, Math.max(2, lengthM)),
    widthM: Math.min(6, Math.max(1, widthM)),
    depthM,
    speedMps,
    score,
    parts,
    band: wantedBand(depthM, s.temp, s.vis, o.school),
    from: fastSide(c, i, j),
    staged: run.features.some((f) => Math.hypot(f.xM - x, f.yM - y) < (FEATURES[f.kind].guard?.stagedM ?? 0)),
    crossSpeedMps: s.dirty || s.cold ? 0.35 : s.vis > 1.8 ? 0.7 : 0.5,
    reasons: [...new Set(reasons)].slice(0, 3),
  };
}

/** Where the faster water lies within a few steps across. */
function fastSide(c: Channel, i: number, j: number): FishLie['from'] {
  const reach = Math.max(1, Math.round(2 / c.dy));
  const at = (n: number) => c.u[i * c.ny + Math.min(c.ny - 1, Math.max(0, n))]!;
  return at(j + reach) >= at(j - reach) ? 'far side' : 'near side';
}
