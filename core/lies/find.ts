import { cellAt, type Channel, FEATURES, nearTo, type Reading, type Run, waterAt } from '../water';
import { asksOf } from './band';
import { goodRegions, type Region } from './regions';
import { brokenAt, dayEffects, type DayEffects, HEAD_TO, partsAt, softInside, totalOf } from './score';
import type { FishLie, Guess, LieKind, LieOptions, LieReason } from './types';

/** Space that fish keep, m along and across: stations a little, travellers and large fish more. */
const APART = { station: { alongM: 2.5, acrossM: 1.75 }, rest: { alongM: 4, acrossM: 2 } } as const;
/** Less than this, or than so much of the best of the run, is no lie. Where nothing comes up to it the best of poor water is one, down
 * to what holds no fish. */
const LEAST_SCORE = 0.16;
const LEAST_SHARE = 0.3;
/** A lie of its own is at least so good beside the best: of what is poorer a guide says nothing. */
const WORTH_NAMING = 0.43;
const POOR_SHARE = 0.8;
const POOREST_SCORE = 0.08;
/** What stands no further off to the side than this is a reason, m. */
const BESIDE_M = 1.5;
const SLACK_MPS = 0.18;
const SLACK_DEPTH_M = 1;
/** Where so much of the water is nearly as good as the best, it is alike. */
const ALIKE_SHARE = 0.3;
const WET_M = 0.1;
/** What is deep in a run, of what one twentieth of it passes. */
const DEEP_SHARE = 0.7;

/** Of a run that was read in a glance so many lies are named. */
const GLANCE_LIES = 5;
/** A depth measured no further off than this bears a lie, m; on wide water than such a share of its width (assumed). */
const BEARS = { leastM: 3, share: 1 / 6 } as const;

/** Whether a lie rests on a shape that nobody measured. */
function unmeasured(run: Run, c: Channel, reading: Reading | null, { xM, yM }: FishLie): boolean {
  const nearM = Math.max(BEARS.leastM, BEARS.share * c.ny * c.dy);
  return !!run.glance && !reading?.depths?.some((d) => Math.hypot(d.xM - xM, d.yM - yM) <= nearM);
}

/** The score of every cell. */
export function scoresOf(run: Run, c: Channel, s: DayEffects): Float32Array {
  const score = new Float32Array(c.nx * c.ny);
  for (let i = 0; i < c.nx; i++)
    for (let j = 0; j < c.ny; j++) score[i * c.ny + j] = totalOf(partsAt(run, c, s, i, j), s);
  return score;
}

/** Water that scores less holds nothing. */
export function leastOf(score: Float32Array): number {
  const best = score.reduce((a, b) => Math.max(a, b), 0);
  return best < LEAST_SCORE ? Math.max(POOREST_SCORE, POOR_SHARE * best) : Math.max(LEAST_SCORE, LEAST_SHARE * best);
}

/**
 * Finds lies from depth, speed and shear.
 *
 * Each cell is scored by its parts (score.ts); a lie is the middle of a connected good area (regions.ts), which keep the
 * space that fish keep. Redds and the water just below and around them are left out.
 *
 * @returns at most `most` lies, best first; of two as good the one nearer to the described bank
 */
export function findLies(run: Run, c: Channel, reading: Reading | null, o: LieOptions): FishLie[] {
  const s = dayEffects(run, c, reading, o);
  const score = scoresOf(run, c, s);
  const best = score.reduce((a, b) => Math.max(a, b), 0);
  const large = s.migrant || o.size === 'large';
  const most = run.glance ? Math.min(GLANCE_LIES, o.most) : o.most;
  const regions = goodRegions(c, score, large ? APART.rest : APART.station, leastOf(score), most).filter(
    (r) => best < LEAST_SCORE || r.score >= WORTH_NAMING * best,
  );
  const wet = c.h.filter((h) => h > WET_M).length;
  const alike = score.filter((v) => v >= 0.8 * best).length > ALIKE_SHARE * wet;
  return regions
    .map((r) => describe(run, c, s, r, alike ? 'alike' : null))
    .map((l) => (unmeasured(run, c, reading, l) ? { ...l, guess: 'glance' as const } : l))
    .sort((a, b) => b.score - a.score || a.yM - b.yM)
    .map((l, n) => ({ ...l, rank: n + 1 }));
}

/** Score, parts and water at one place. */
export function scoreAt(run: Run, c: Channel, reading: Reading | null, o: LieOptions, x: number, y: number) {
  const s = dayEffects(run, c, reading, o);
  const k = cellAt(c, x, y);
  const parts = partsAt(run, c, s, Math.floor(k / c.ny), k % c.ny);
  return { score: totalOf(parts, s), parts, ...waterAt(c, x, y) };
}

function describe(run: Run, c: Channel, s: DayEffects, r: Region, guess: Guess | null): FishLie {
  const { i, j } = r;
  const parts = partsAt(run, c, s, i, j);
  const k = i * c.ny + j;
  const depthM = c.h[k]!;
  const speedMps = c.u[k]!;
  const x = c.x0 + i * c.dx;
  const y = c.y0 + j * c.dy;
  const reasons: LieReason[] = [];
  for (const f of run.features) {
    const near = nearTo(f, x, y);
    const { reason } = FEATURES[f.kind];
    if (near.dy < BESIDE_M && reason?.at(near, s)) reasons.push(f.kind);
  }
  const slack = speedMps < SLACK_MPS && depthM >= SLACK_DEPTH_M;
  const kind: LieKind = s.migrant ? 'rest' : slack ? 'beat' : 'station';
  if (kind === 'beat') reasons.push('patrolled slack');
  if (s.dusk && s.tail[i]) reasons.push('tailout at dusk');
  if (s.warm && x < HEAD_TO * run.lengthM)
    reasons.push(brokenAt(speedMps, depthM) > 0 ? 'air at the head' : 'head in the warm');
  if (parts.light > 0.9 && s.bright && s.shadedAt(c, i, y)) reasons.push('shade');
  if (s.migrant && softInside(run, c, i, y)) reasons.push('inside of the bend');
  if (parts.seam > 0.4) reasons.push('seam');
  if (parts.edge > 0.2)
    reasons.push(s.dirty ? 'edge in dirty water' : s.dusk ? 'edge in low light' : 'edge in high water');
  if (s.bright && depthM > 1.2) reasons.push('deep from the sun');
  if (s.cold && speedMps < 0.4)
    reasons.push(depthM >= DEEP_SHARE * s.deepM ? 'slow and deep in the cold' : 'slow in the cold');
  if (r.score < LEAST_SCORE) reasons.push('best of poor water');
  if (reasons.length === 0) reasons.push(depthM > 1 ? 'good depth' : 'comfortable');
  return {
    rank: 0,
    kind,
    xM: x,
    yM: y,
    lengthM: r.lengthM,
    widthM: r.widthM,
    ...asksOf(s.willing, depthM),
    speedMps,
    score: r.score,
    parts,
    guess,
    from: fastSide(c, i, j),
    staged:
      (s.spawning && isReddWater(depthM, speedMps)) ||
      run.features.some((f) => Math.hypot(f.xM - x, f.yM - y) < (FEATURES[f.kind].guard?.stagedM ?? 0)),
    reasons: [...new Set(reasons)].slice(0, 3),
  };
}

/** A foot or two of even current: where fish were seen to spawn one takes such water for a redd's (common practice, no source). */
const REDD_M = [0.15, 0.7] as const;
const REDD_MPS = [0.2, 0.9] as const;
const isReddWater = (depthM: number, speedMps: number): boolean =>
  depthM >= REDD_M[0] && depthM <= REDD_M[1] && speedMps >= REDD_MPS[0] && speedMps <= REDD_MPS[1];

/** Where the faster water lies within a few steps across. */
function fastSide(c: Channel, i: number, j: number): FishLie['from'] {
  const reach = Math.max(1, Math.round(2 / c.dy));
  const at = (n: number) => c.u[i * c.ny + Math.min(c.ny - 1, Math.max(0, n))]!;
  return at(j + reach) >= at(j - reach) ? 'far side' : 'near side';
}
