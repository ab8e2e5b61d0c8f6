import { CAST_ANGLE_DEG, type CastPlan, farSide, footing, type Means, openingCast, REACH, shortestCast } from '../cast';
import type { FishLie, LieOptions } from '../lies';
import { clamp, radians, roundTo } from '../maths';
import type { Rig } from '../tackle';
import { type Channel, type Reading, rowAt, type Run, seenDownM, TYPICAL_DAY } from '../water';
import type { Stood } from './pace';
import { beginsAt, beginsFar, coverFor, ruleCasts, stepOf } from './rule';
import { fromHead } from './whereToBegin';
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
  /** How the run is fished from end to end: every cast of it but for where one stands and how long it is; null: the plain one. */
  readonly way: CastPlan | null;
  /** Casts of their own, for lies that want something else. */
  readonly special: readonly CastPlan[];
  /** Cast as far as is comfortable from the first: nothing short. */
  readonly far?: boolean;
}

/** A cast and in which pass it is made: 0 from the bank, before anyone steps in; 1 waded. */
export interface Passed extends Stood {
  readonly plan: CastPlan;
}

/** Lengths nearer together than this show the same water, m. */
const LENGTHS_APART_M = 1;
/** Who stands at the bank stands so far out, m; who wades no further than so much more stands as on the bank. */
const BANK_M = 1;
const WADED_M = 2;
/** One wades as far as it takes to fish the far side of what holds with so much line, m (common practice, no source). */
const COMFORT_M = 15;
/** Water so far down the run is fished from a stand, m. */
const AHEAD_M = 20;
/** Lies of so much of the best are waded for. */
const WORTH_WADING = 0.5;

/** The way that is set, or the plain one. */
const wayOf = ({ way, lies, run, channel, rig, means }: CoverRequest): CastPlan =>
  way ?? openingCast(lies[0], run, channel, rig, lies, undefined, means);

/** How the way that is set is worked along the run. */
export const workFor = (q: CoverRequest): Work => workOf(wayOf(q));

const dayOf = (reading: Reading) => ({
  visibilityM: seenDownM(reading),
  waterTempC: reading.waterTempC ?? TYPICAL_DAY.waterTempC,
});

const edgeAt = ({ channel }: CoverRequest, xM: number): number => channel.edgeNear[rowAt(channel, xM)]!;

/** How far out one who fishes from the bank stands at x. */
const bankAt = (q: CoverRequest, xM: number): number => footing(q.channel, q.lies, xM, edgeAt(q, xM) + BANK_M, q.means);

/** How far out one wades at x: as far as the far side of the lies ahead asks for, and as one may. */
function wadedAt(q: CoverRequest, xM: number, { angleDeg }: CastPlan): number {
  const { channel, lies, rig, means } = q;
  const best = Math.max(0, ...lies.map((l) => l.score));
  const ahead = lies.filter((l) => l.score >= WORTH_WADING * best && Math.abs(l.xM - xM) <= l.lengthM / 2 + AHEAD_M);
  const farM = Math.max(0, ...ahead.map((l) => l.yM + l.widthM / 2));
  const line = Math.min(COMFORT_M, means.longestM) + REACH * rig.rod.lengthM;
  const across = Math.sin(radians(clamp(angleDeg, 45, 135)));
  return footing(channel, lies, xM, Math.max(edgeAt(q, xM) + BANK_M, farM - line * across), means);
}

/** How the rule of thumb would go: from the head down, or from the tail up. */
export function ruleFor(q: CoverRequest): Passed[] {
  const { run, channel, lies, reading, rig, means } = q;
  const way = wayOf(q);
  const upstream = workFor(q).direction === 'up';
  const first = { ...way, yM: wadedAt(q, way.xM, way) };
  const cover = coverFor({
    shortestM: shortestCast(rig),
    farM: Math.max(shortestCast(rig), farSide(lies, first, rig, means)),
    endXM: upstream ? 0 : run.lengthM,
    ...dayOf(reading),
    upstream,
  });
  const start = upstream ? { ...first, xM: run.lengthM } : fromHead({ ...first, xM: run.lengthM }, lies, rig);
  return ruleCasts(cover, start, (xM) => footing(channel, lies, xM, wadedAt(q, xM, way), means)).map((plan) => ({
    plan,
    pass: Number(plan.yM > edgeAt(q, plan.xM) + BANK_M + WADED_M),
  }));
}

/** A row of casts from stand to stand along the run: the same line, angle and pass. */
export interface Row {
  readonly pass: number;
  /** Of the lengths that are cast from a stand, 0 the shortest, 1 the longest. */
  readonly length: number;
  readonly turnDeg: number;
}

/** The casts of a way from one stand: from the bank, and waded where that is further out; each length and angle of its work. */
export function castsFrom(q: CoverRequest, xM: number): (Passed & Row)[] {
  const way = wayOf(q);
  const work = workFor(q);
  const bankM = bankAt(q, xM);
  const waded = wadedAt(q, xM, way);
  const wades = waded > bankM + WADED_M;
  const dry = { yM: wades ? bankM : Math.max(waded, bankM), pass: 0, turns: wades ? [0] : work.turnsDeg };
  return (wades ? [dry, { yM: waded, pass: 1, turns: work.turnsDeg }] : [dry]).flatMap(({ yM, pass, turns }) => {
    const from = { ...way, xM, yM };
    const farM = farSide(q.lies, from, q.rig, q.means);
    const nearM = (q.far ? beginsFar : beginsAt)(shortestCast(q.rig), farM);
    const lengths = Math.max(1, Math.min(work.lengths, 1 + Math.floor((farM - nearM) / LENGTHS_APART_M)));
    return Array.from({ length: lengths }, (_, l) => (lengths === 1 ? 1 : l / (lengths - 1))).flatMap((length) =>
      turns.map((turnDeg) => ({
        ...{ pass, length, turnDeg },
        plan: {
          ...from,
          outM: roundTo(10, nearM + (farM - nearM) * length),
          angleDeg: clamp(way.angleDeg + turnDeg, CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most),
        },
      })),
    );
  });
}

/** Where one stands, from step to step along the run. */
export function standsAlong(q: CoverRequest): number[] {
  const stepM = stepOf(dayOf(q.reading)) * workFor(q).steps;
  return Array.from({ length: 1 + Math.floor(q.run.lengthM / stepM) }, (_, i) => roundTo(100, i * stepM));
}
