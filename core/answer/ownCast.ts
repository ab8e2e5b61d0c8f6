import type { Verdict } from '../advice';
import { oddsOf, tryOut } from '../advice/trial';
import { type CastPlan, doubtOf, footing, handsOf, longestCast, MOST_MEND_M, shortestCast } from '../cast';
import type { FishLie } from '../lies';
import { clamp, roundTo } from '../maths';
import { draws, NUMERICS } from '../swing';
import type { Rig } from '../tackle';
import type { Setup } from './rigs';
import type { Bench } from './setupWorth';
import type { Situation } from './situation';
import { widestAngles } from './ways';

/** Rounds in which a cast of its own is looked for. */
const ROUNDS = 4;

/** What is shown so little as read is not tried over the doubt of the readings. */
export const HOPELESS = 0.15;

/** Casts one thing away from another: from further up or down, longer or shorter, squarer or steeper, a mend more or less. */
function near(s: Situation, rig: Rig, plan: CastPlan): CastPlan[] {
  const longest = Math.max(longestCast(s.means, rig), shortestCast(rig));
  const at = (part: Partial<CastPlan>): CastPlan => {
    const p = { ...plan, ...part };
    const xM = clamp(p.xM, 0, s.run.lengthM);
    return {
      ...p,
      xM,
      yM: footing(s.channel, s.lies, xM, p.yM, s.means),
      outM: clamp(roundTo(2, p.outM), shortestCast(rig), longest),
      angleDeg: clamp(p.angleDeg, ...widestAngles(handsOf(p).way)),
    };
  };
  return [
    ...[-3, 3].map((by) => at({ xM: roundTo(2, plan.xM + by) })),
    ...[-2, 2].map((by) => at({ outM: plan.outM + by })),
    ...[-12, 12].map((by) => at({ angleDeg: plan.angleDeg + by })),
    ...(handsOf(plan).way === 'swing'
      ? [-1, 1].map((by) => at({ mendM: clamp(plan.mendM + by, 0, MOST_MEND_M) }))
      : []),
  ];
}

/** How promising a cast is at its lie: how well it is shown; where it is not at all, how far it is from that, below 0. */
function promise({ showing, pass, lie, idle }: Verdict): number {
  if (showing > 0) return showing;
  const beyondM = Math.max(0, Math.abs(pass.alongM) - lie.lengthM / 2, Math.abs(pass.acrossM) - lie.widthM / 2);
  const offM = Math.max(0, lie.band.topM - pass.depthM, pass.depthM - lie.band.bottomM);
  const fast = Math.max(0, pass.crossSpeedMps - lie.crossSpeedMps);
  return -(beyondM + A_HAND * offM + A_HAND * fast + (idle ? IDLE_M : 0));
}
/** A hand too high counts as half a metre beside, so does a tenth of a metre a second too fast; a fly that does not fish as metres. */
const A_HAND = 5;
const IDLE_M = 3;

/** A cast, and how good it is. */
interface Valued {
  readonly plan: CastPlan;
  readonly by: number;
}

/** A cast altered one thing at a time, for so many rounds and as long as it gains so much. */
function* climbed(
  s: Situation,
  rig: Rig,
  from: Valued,
  { value, rounds, gain }: { value: (plan: CastPlan) => number; rounds: number; gain: number },
): Generator<void, Valued, undefined> {
  let best = from;
  const known = new Set<string>();
  for (let round = 0; round < rounds; round++) {
    const before = best;
    for (const plan of near(s, rig, before.plan)) {
      const key = JSON.stringify(plan);
      if (known.has(key)) continue;
      known.add(key);
      const by = value(plan);
      yield;
      if (by > best.by + gain) best = { plan, by };
    }
    if (best === before) break;
  }
  return best;
}

/**
 * A cast of its own for a lie, from the best there is: as the water was read, and then in the mean of a few waters that the readings leave
 * open, since what is best as read may be best on an edge. Null where none can be made.
 *
 * @param from one at least
 */
export function* ownCast(
  { s }: Bench,
  { rig }: Setup,
  lie: FishLie,
  from: readonly CastPlan[],
): Generator<void, CastPlan | null, undefined> {
  const trial = (plan: CastPlan) => ({ rig, plan, means: s.means });
  const asRead = (plan: CastPlan) => {
    const tried = tryOut(s.channel, lie, trial(plan), NUMERICS.coarse);
    return tried ? promise(tried.verdict) : -Infinity;
  };
  const few = draws(doubtOf(s.channel, FEW));
  const inDoubt = (plan: CastPlan) =>
    oddsOf(s.channel, lie, trial(plan), { all: few, by: NUMERICS.coarse })?.showing ?? 0;
  // Where none of them can be made it goes on from the last.
  const begin = from
    .map((plan): Valued => ({ plan, by: asRead(plan) }))
    .reduce((a, c) => (c.by > a.by || a.by === -Infinity ? c : a));
  const best = yield* climbed(s, rig, begin, { value: asRead, rounds: ROUNDS, gain: 1e-3 });
  if (best.by <= HOPELESS) return best.by === -Infinity ? null : best.plan;
  const steady = { plan: best.plan, by: inDoubt(best.plan) };
  return (yield* climbed(s, rig, steady, { value: inDoubt, rounds: STEADIED, gain: 0.01 })).plan;
}
const FEW = 4;
const STEADIED = 2;
