import type { Tried, Verdict } from '../advice';
import { oddsOf, tryOut } from '../advice/trial';
import { type CastPlan, doubtOf, footing, handsOf, longestCast, MOST_MEND_M, shortestCast } from '../cast';
import type { FishLie } from '../lies';
import { clamp, roundTo } from '../maths';
import { draws, NUMERICS } from '../swing';
import type { Setup } from './rigs';
import type { Bench } from './setupWorth';
import type { Situation } from './situation';
import { widestAngles } from './ways';

/** Rounds in which a cast of its own is looked for. */
const ROUNDS = 4;

/** What is shown so little as read is not tried over the doubt of the readings. */
export const HOPELESS = 0.15;

/** Casts one thing away from another: from further up or down, longer or shorter, squarer or steeper, a mend more or less. */
function near(s: Situation, { rig }: Pick<Setup, 'rig'>, plan: CastPlan): CastPlan[] {
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

/** A cast of its own for a lie: from the best there is, one thing at a time, as long as it gains. */
export function* ownCast(
  b: Bench,
  setup: Setup,
  lie: FishLie,
  from: readonly CastPlan[],
): Generator<void, CastPlan | null, undefined> {
  const { s } = b;
  const look = (plan: CastPlan) => tryOut(s.channel, lie, { rig: setup.rig, plan, means: s.means }, NUMERICS.coarse);
  let best: Tried | null = null;
  const known = new Set<string>();
  const begin = from.flatMap((plan) => look(plan) ?? []);
  for (const tried of begin) if (!best || promise(tried.verdict) > promise(best.verdict)) best = tried;
  for (let round = 0; round < ROUNDS; round++) {
    const before: Tried | null = best;
    for (const plan of near(s, setup, before?.plan ?? from.at(-1)!)) {
      const key = JSON.stringify(plan);
      if (known.has(key)) continue;
      known.add(key);
      const tried = look(plan);
      yield;
      if (tried && (!best || promise(tried.verdict) > promise(best.verdict) + 1e-3)) best = tried;
    }
    if (best === before) break;
  }
  return best && (promise(best.verdict) > HOPELESS ? yield* steadied(b, setup, lie, best.plan) : best.plan);
}

/** The same cast, one thing at a time, as long as it shows the fly better in the mean of a few waters that the readings leave open: what
 * is best as read may be best on an edge. */
function* steadied({ s }: Bench, { rig }: Setup, lie: FishLie, from: CastPlan): Generator<void, CastPlan, undefined> {
  const few = draws(doubtOf(s.channel, FEW));
  const mean = (plan: CastPlan) =>
    oddsOf(s.channel, lie, { rig, plan, means: s.means }, few, NUMERICS.coarse)?.showing ?? 0;
  let best = { plan: from, by: mean(from) };
  for (let round = 0; round < STEADIED; round++) {
    const before = best;
    for (const plan of near(s, { rig }, before.plan)) {
      const by = mean(plan);
      yield;
      if (by > best.by + 0.01) best = { plan, by };
    }
    if (best === before) break;
  }
  return best.plan;
}
const FEW = 4;
const STEADIED = 2;
