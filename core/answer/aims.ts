import { rideOf, type Tried } from '../advice';
import {
  CAST_ANGLE_DEG,
  type CastPlan,
  footing,
  handsOf,
  longestCast,
  openingOf,
  shortestCast,
  standFor,
  type Way,
} from '../cast';
import { type FishLie, riding } from '../lies';
import { clamp, roundTo } from '../maths';
import { flyBody, flySinkRate, type Rig } from '../tackle';
import { type Method, METHODS } from './methods';
import type { Setup } from './rigs';
import type { Schools } from './schools';
import type { Situation } from './situation';

/** Upstream mends that each school would lay in, m, the first first. */
const MENDS: Record<Schools['mends'], readonly number[]> = {
  'mend for depth': [0, 1, 2, 3],
  'one and a step': [1],
  'keep it straight': [0],
  'set once': [0, 1],
};
const WAKE_DEG = 60;
/** One mend and a step: so far down while it sinks, m. */
const STEP_M = 1.5;
/** Short and sure: no longer than this where it will do, m. */
const SHORT_M = 15;

/** The mend that a school begins with: the rule's, or the nearest of its own. */
const nearest = (all: readonly number[], to: number): number =>
  all.reduce((best, m) => (Math.abs(m - to) < Math.abs(best - to) ? m : best));

/** How a cast at a lie departs from the plain one: what is moved to put the fly before it. */
export interface Aim {
  /** Which of the method's ways. */
  readonly way: Way;
  readonly angleDeg: number;
  readonly mendM: number;
  readonly walkM: number;
  /** Stand so far further down, m; cast so much longer, m. */
  readonly downM: number;
  readonly longerM: number;
  /** Counts are so many times as long. */
  readonly count: number;
  /** How many moves from the plain one. */
  readonly moves: number;
}

/** Ways to show the fly: the method's own, and those of the school in use. */
function waysOf(s: Situation, method: Method): readonly Way[] {
  if (method !== 'streamer on the swing') return METHODS[method].ways;
  return [
    ...METHODS[method].ways,
    ...(s.school.mends === 'one and a step' ? (['timed rise'] as const) : []),
    ...(s.school.bow === 'use it' ? (['towed by the bow'] as const) : []),
  ];
}

/** The cast one begins with at a lie, by the rule of the trade: of every way of the method. */
export function plainAims(s: Situation, { method, rig }: Setup): Aim[] {
  const soft = method === 'soft hackles on the swing';
  const rule = openingOf(s.reading, rig, s.school.depth);
  const step = s.school.mends === 'one and a step' && !soft;
  return waysOf(s, method).map((way): Aim => {
    const still = { way, walkM: step ? STEP_M : 0, downM: 0, longerM: 0, count: 1, moves: 0 };
    if (method === 'wake fly') return { ...still, angleDeg: WAKE_DEG, mendM: 0, walkM: 0 };
    if (way !== 'swing') return { ...still, angleDeg: 0, mendM: 0, walkM: 0 };
    return { ...still, angleDeg: rule.angleDeg, mendM: nearest(MENDS[s.school.mends], rule.mendM) };
  });
}

/** Angles of a swing, degrees: soft hackles are not swung square, nor is anything where fish must be given time to find it. */
const ANGLES = { swing: [35, 125], murk: [35, 80], soft: [30, 60], other: [-30, 30] } as const;

/** Moved along the run one stands no further in than so much less: else it is another cast, m. */
const MOST_IN_M = 1;

/** The plan behind an aim; null where the lie cannot be reached so. */
export function planOf(s: Situation, { rig, method }: Setup, lie: FishLie, aim: Aim): CastPlan | null {
  const swings = aim.way === 'swing';
  const [least, most] =
    ANGLES[!swings ? 'other' : method === 'soft hackles on the swing' ? 'soft' : s.dirty ? 'murk' : 'swing'];
  if (aim.angleDeg < least || aim.angleDeg > most) return null;
  const opening = swings ? { angleDeg: aim.angleDeg, mendM: aim.mendM, says: '' } : undefined;
  const short = { ...s.means, longestM: Math.min(SHORT_M, s.means.longestM) };
  for (const means of s.school.distance === 'short and sure' ? [short, s.means] : [s.means]) {
    const { plan, outOfReach } = standFor(lie, s.channel, rig, s.lies, opening, aim.way, means);
    if (outOfReach !== null) continue;
    const xM = roundTo(2, clamp(plan.xM + aim.downM, 0, s.run.lengthM));
    const outM = roundTo(
      2,
      clamp(
        plan.outM + aim.longerM,
        shortestCast(rig),
        Math.max(longestCast(aim.longerM > 0 ? s.means : means, rig.rod), shortestCast(rig)),
      ),
    );
    const feetAt = (at: number) => footing(s.channel, s.lies, at, plan.yM, s.means);
    const yM = feetAt(xM);
    if (yM < plan.yM - MOST_IN_M || (aim.walkM > 0 && feetAt(xM + aim.walkM) < yM - 0.5)) return null;
    const moved = { ...plan, xM, yM, outM };
    if (swings) return aim.walkM > 0 ? { ...moved, hands: { ...handsOf(plan), walkM: aim.walkM } } : moved;
    const hands = handsOf(plan);
    const countS = hands.pullM > 0 ? Math.max(hands.countS, sinksS(rig, lie)) : hands.countS;
    return {
      ...moved,
      angleDeg: clamp(plan.angleDeg + aim.angleDeg, CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most),
      hands: { ...hands, countS: clamp(Math.round(aim.count * countS), 0, LONGEST_COUNT_S) },
    };
  }
  return null;
}

/** Count until a fly is down in the middle of the band, by the rates at which line, tip and fly sink: with none, as a fly does, s. */
function sinksS(rig: Rig, lie: FishLie): number {
  const { band } = riding(lie, rideOf(rig.fly));
  const line = Math.max(rig.tip?.sinkRateMps ?? 0, rig.head.sinkRatesMps.at(-1)!);
  const rate = Math.max(LEAST_SINK_MPS, line, flySinkRate(flyBody(rig.fly)));
  return (band.topM + band.bottomM) / 2 / rate;
}
const LEAST_SINK_MPS = 0.05;
const LONGEST_COUNT_S = 40;

/** What a guide would alter, by how the fly passed: one thing at a time. */
export function movesFrom(s: Situation, aim: Aim, { verdict: v }: Tried): Aim[] {
  const mends = MENDS[s.school.mends];
  const by = (part: Partial<Aim>): Aim => ({ ...aim, ...part, moves: aim.moves + 1 });
  const mend = (m: number) => (mends.includes(aim.mendM + m) ? [by({ mendM: aim.mendM + m })] : []);
  const turn = (deg: number) => by({ angleDeg: aim.angleDeg + deg });
  const walk = aim.walkM < MOST_WALK_M ? [by({ walkM: aim.walkM + STEP_M })] : [];
  const swings = aim.way === 'swing';
  const deeper = swings ? [...mend(1), turn(10), ...walk] : [by({ count: 1.5 * aim.count }), turn(10)];
  const higher = swings ? [...mend(-1), turn(-10)] : [by({ count: 0.6 * aim.count }), turn(-10)];
  const slower = swings ? [turn(-10), ...walk] : [];
  if (v.wood || v.redd) return [by({ longerM: aim.longerM - 2 }), turn(-10), by({ downM: aim.downM + 3 })];
  switch (v.fit) {
    case 'not reached':
      return [
        by({ downM: aim.downM - v.pass.alongM }),
        by({ longerM: aim.longerM - Math.sign(v.pass.acrossM) * Math.min(4, Math.abs(v.pass.acrossM)) }),
        turn(v.pass.acrossM < 0 ? 10 : -10),
      ];
    case 'not fishing':
      if (v.idle === 'bed' || v.idle === 'line') return higher;
      return v.idle === 'landing'
        ? [by({ longerM: aim.longerM + 2 }), by({ downM: aim.downM - 3 }), turn(10)]
        : [by({ downM: aim.downM + 3 }), by({ longerM: aim.longerM - 2 }), ...walk];
    case 'on the bed':
    case 'too deep':
      return v.tooFast ? [...slower, ...higher] : higher;
    case 'too shallow':
      return v.tooFast ? [...walk, ...mend(1), turn(-10)] : deeper;
    case 'right':
      if (v.tooFast) return slower;
      return v.pass.depthM < (v.lie.band.topM + v.lie.band.bottomM) / 2 ? deeper : higher;
  }
}
const MOST_WALK_M = 3;
