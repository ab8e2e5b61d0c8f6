import { CAST_ANGLE_DEG, type CastPlan, farSide, footing, type Means, openingCast, shortestCast } from '../cast';
import type { FishLie, LieOptions } from '../lies';
import { clamp, interpolate, roundTo } from '../maths';
import type { Rig } from '../tackle';
import { type Channel, type Reading, rowAt, type Run, seenDownM, TYPICAL_DAY } from '../water';
import { fromHead } from './whereToBegin';
import type { Stood } from './pace';
import { beginsAt, coverFor, ruleCasts, stepOf } from './rule';
import { type Work, workOf } from './work';

/** All that the cover of a run follows from. */
export interface CoverRequest {
  readonly run: Run;
  readonly channel: Channel;
  readonly lies: readonly FishLie[];
  readonly reading: Reading;
  readonly options: LieOptions;
  readonly rig: Rig;
  readonly means: Means;
  /** Altitude of the sun, degrees. */
  readonly sunDeg: number;
  /** How it is cast: at the stands of the answer, or one cast for all; none: the plain one. */
  readonly stands: readonly CastPlan[];
}

/** A cast and in which pass it is made: 0 from the bank, before anyone steps in; 1 waded. */
export interface Passed extends Stood {
  readonly plan: CastPlan;
}

/** More swings than this are not simulated: stands are taken further apart. */
const MOST_SWINGS = 500;
/** Lengths nearer together than this show the same water, m. */
const LENGTHS_APART_M = 1;
/** Who stands at the bank stands so far out, m; who wades no further than so much more stands as on the bank. */
const BANK_M = 1;
const WADED_M = 2;

/** The cast that is set for a place on the run: that of the stand nearest to it. */
const setFor = (stands: readonly CastPlan[], xM: number): CastPlan =>
  stands.reduce((a, b) => (Math.abs(b.xM - xM) < Math.abs(a.xM - xM) ? b : a));

/** How far out one stands at x: between the stands that are set, no further than one may wade. */
function standsOut({ channel, lies, means }: CoverRequest, stands: readonly CastPlan[], xM: number): number {
  const along = [...new Map([...stands].sort((a, b) => a.xM - b.xM).map((s) => [s.xM, s])).values()];
  const wanted = interpolate(
    along.map((s) => s.xM),
    along.map((s) => s.yM),
    xM,
  );
  return footing(channel, lies, xM, wanted, means);
}

/** The casts that are set, or the plain one. */
const standsOf = ({ stands, lies, run, channel, rig, means }: CoverRequest): readonly CastPlan[] =>
  stands.length > 0 ? stands : [openingCast(lies[0], run, channel, rig, lies, undefined, means)];

/** How the way that is set is worked along the run. */
export const workFor = (q: CoverRequest): Work => workOf(standsOf(q)[0]!);

const dayOf = (reading: Reading) => ({
  visibilityM: seenDownM(reading),
  waterTempC: reading.waterTempC ?? TYPICAL_DAY.waterTempC,
});

/** How the rule of thumb would go: from the head down, or from the tail up. */
export function ruleFor(q: CoverRequest): Passed[] {
  const { run, channel, lies, reading, rig, means } = q;
  const stands = standsOf(q);
  const upstream = workFor(q).direction === 'up';
  const first = setFor(stands, upstream ? run.lengthM : 0);
  const cover = coverFor({
    shortestM: shortestCast(rig),
    farM: Math.max(first.outM, farSide(lies, first, rig, means)),
    endXM: upstream ? 0 : run.lengthM,
    ...dayOf(reading),
    upstream,
  });
  const start = upstream ? { ...first, xM: run.lengthM } : fromHead(first, lies, rig);
  return ruleCasts(cover, start, (xM, yM) => footing(channel, lies, xM, yM, means)).map((plan) => ({
    plan,
    pass: Number(plan.yM > channel.edgeNear[rowAt(channel, plan.xM)]! + BANK_M + WADED_M),
  }));
}

/** The casts worth looking at: from every stand the lengths and angles of the way that is fished, and from the bank before it is
 * waded. */
export function castsToTry(q: CoverRequest): Passed[] {
  const { run, channel, lies, reading, rig, means } = q;
  const stands = standsOf(q);
  const work = workFor(q);
  const each = work.lengths * (work.turnsDeg.length + 1);
  // On the grid of the rule’s own stands, so that what is planned of both is no shuffle of half paces.
  const paceM = stepOf(dayOf(reading));
  const stepM = paceM * Math.ceil(Math.max(work.steps, (run.lengthM * each) / MOST_SWINGS / paceM));
  const out: Passed[] = [];
  for (let xM = ruleFor(q)[0]!.plan.xM % paceM; xM <= run.lengthM; xM = roundTo(100, xM + stepM)) {
    const set = setFor(stands, xM);
    const outM = standsOut(q, stands, xM);
    const bankM = footing(channel, lies, xM, channel.edgeNear[rowAt(channel, xM)]! + BANK_M, means);
    const wades = outM > bankM + WADED_M;
    const dry = { yM: Math.min(outM, bankM), pass: 0, turns: wades ? [0] : work.turnsDeg };
    for (const { yM, pass, turns } of wades ? [dry, { yM: outM, pass: 1, turns: work.turnsDeg }] : [dry]) {
      const from = { ...set, xM, yM };
      const farM = Math.max(set.outM, farSide(lies, from, rig, means));
      const nearM = beginsAt(shortestCast(rig), farM);
      const lengths = Math.min(work.lengths, 1 + Math.floor((farM - nearM) / LENGTHS_APART_M));
      for (let l = 0; l < lengths; l++)
        for (const turn of turns) {
          const length = lengths === 1 ? farM : nearM + ((farM - nearM) * l) / (lengths - 1);
          const angleDeg = clamp(set.angleDeg + turn, CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most);
          out.push({ plan: { ...from, outM: roundTo(10, length), angleDeg }, pass });
        }
    }
  }
  return out;
}
