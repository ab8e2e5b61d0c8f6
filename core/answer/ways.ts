import {
  ANY_CAST,
  CAST_ANGLE_DEG,
  type CastPlan,
  dipOf,
  DIPS_M,
  handsOf,
  openingOf,
  presented,
  type Way,
} from '../cast';
import { clamp, degrees } from '../maths';
import { bandOf } from '../lies';
import { rideOf } from '../showing';
import { flyBody, flySinkRate, isMonoRig, type Rig } from '../tackle';
import { meanWidthM } from '../water';
import { METHODS } from './methods';
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
/** A way is altered by so many degrees at a time. */
const TURN_DEG = 15;
/** Between which angles a cast of its own is made, degrees: nothing is swung more square, or more downstream. */
export const widestAngles = (way: Way): readonly [number, number] =>
  way === 'swing' ? [30, 95] : [CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most];
/** Angles between which a way is altered: soft hackles are not swung square, nor is anything where fish must be given time to find it. */
const ANGLES = { swing: [35, 95], murk: [35, 80], soft: [30, 50], other: [10, 165] } as const;

/** The mend that a school begins with: the rule's, or the nearest of its own. */
const nearest = (all: readonly number[], to: number): number =>
  all.reduce((best, m) => (Math.abs(m - to) < Math.abs(best - to) ? m : best));

/** Ways to show the fly: the method's own, and those of the school in use. */
function waysOf(s: Situation, { method, rig }: Setup): readonly Way[] {
  // A mono rig is led; what a float or a line carries drifts on slack.
  if (method === 'drift or float') return [isMonoRig(rig) && !rig.float ? 'tight drift' : 'dead drift'];
  if (method !== 'streamer on the swing') return METHODS[method].ways;
  return [
    ...METHODS[method].ways,
    ...(s.school.mends === 'one and a step' ? (['timed rise'] as const) : []),
    ...(s.school.bow === 'use it' ? (['towed by the bow'] as const) : []),
  ];
}

/** So far off the trade's angle a swing counts for three fifths, degrees (assumed). */
const OFF_RULE_DEG = 30;
/** What a swing keeps that is cast otherwise than the trade begins with: what it knows beyond the model speaks for its rule, so another
 * angle must pay. */
export const asRuled = (s: Situation, setup: Setup, plan: CastPlan): number =>
  handsOf(plan).way === 'swing' ? Math.exp(-0.5 * ((plan.angleDeg - ruledDeg(s, setup)) / OFF_RULE_DEG) ** 2) : 1;

const anglesOf = (s: Situation, { method }: Setup, way: Way): readonly [number, number] =>
  ANGLES[way !== 'swing' ? 'other' : method === 'soft hackles on the swing' ? 'soft' : s.dirty ? 'murk' : 'swing'];

/** The angle at which the trade begins to swing. */
const ruledDeg = (s: Situation, setup: Setup): number =>
  setup.method === 'wake fly'
    ? WAKE_DEG
    : clamp(openingOf(s.reading, setup.rig, s.school.depth).angleDeg, ...anglesOf(s, setup, 'swing'));

/**
 * How one begins to fish a run with a set-up, from end to end, by the rule of the trade: every way of its method, each as a cast but for
 * where one stands and how long it is.
 */
export function plainWays(s: Situation, setup: Setup): CastPlan[] {
  const { method, rig } = setup;
  const rule = openingOf(s.reading, rig, s.school.depth);
  const step = s.school.mends === 'one and a step' && method !== 'soft hackles on the swing';
  return waysOf(s, setup).map((way): CastPlan => {
    const cast = presented(ANY_CAST, way);
    if (way !== 'swing') {
      const hands = handsOf(cast);
      const countS = hands.pullM > 0 ? clamp(Math.round(sinksS(s, rig)), hands.countS, LONGEST_COUNT_S) : hands.countS;
      const angleDeg = way === 'upstream strip' ? Math.max(cast.angleDeg, upDeg(s)) : cast.angleDeg;
      const rhythm = way === 'strip' && s.school.motion === 'keep it animated' ? { rhythm: 'varied' as const } : null;
      return { ...cast, angleDeg, hands: { ...hands, countS, ...rhythm } };
    }
    const angleDeg = ruledDeg(s, setup);
    const mendM = method === 'wake fly' ? 0 : nearest(MENDS[s.school.mends], rule.mendM);
    const plain = { ...cast, angleDeg, mendM };
    return step ? { ...plain, hands: { ...handsOf(plain), walkM: STEP_M } } : plain;
  });
}

/** A cast of so much line up a stream lands well this side of the far bank, m and a share of the width. */
const UP_CAST = { lineM: 8, ofWidth: 0.6 } as const;
/** How far upstream one casts so that the fly comes down on the water, degrees: in a narrow brook nearly straight up. */
const upDeg = ({ channel }: Situation): number =>
  Math.round(180 - degrees(Math.asin(Math.min(1, (UP_CAST.ofWidth * meanWidthM(channel)) / UP_CAST.lineM))));

/** Count until a fly is down in the middle of the band, by the rates at which line, tip and fly sink: with none, as a fly does, s. */
function sinksS(s: Situation, rig: Rig): number {
  const [lie] = s.lies;
  if (!lie) return 0;
  const band = bandOf(lie.willing, s.depthM, rideOf(rig.fly));
  const line = Math.max(rig.tip?.sinkRateMps ?? 0, rig.head.sinkRatesMps.at(-1)!);
  const fly = flySinkRate(flyBody(rig.fly));
  if (line <= 0 && fly <= 0) return 0; // it floats: there is nothing to wait for
  const rate = Math.max(LEAST_SINK_MPS, line, fly);
  return (band.topM + band.bottomM) / 2 / rate;
}
const LEAST_SINK_MPS = 0.05;
const LONGEST_COUNT_S = 40;

/** A way altered one step further in one direction; null where that leads no further. */
type Further = (way: CastPlan) => CastPlan | null;

/** What a guide would alter of a way, one thing after the other, each both ways: squarer or steeper, a mend more or less, a longer or a
 * shorter count, the rod's tip deeper. */
export function alterations(s: Situation, setup: Setup): Further[][] {
  const turn =
    (byDeg: number): Further =>
    (way) => {
      const [least, most] = anglesOf(s, setup, handsOf(way).way);
      const angleDeg = clamp(way.angleDeg + byDeg, least, most);
      return angleDeg === way.angleDeg ? null : { ...way, angleDeg };
    };
  const mend =
    (by: 1 | -1): Further =>
    (way) => {
      const mendM = way.mendM + by;
      const swings = handsOf(way).way === 'swing' && setup.method !== 'wake fly';
      return swings && MENDS[s.school.mends].includes(mendM) ? { ...way, mendM } : null;
    };
  const count =
    (times: number): Further =>
    (way) => {
      const hands = handsOf(way);
      const countS = Math.round(times * hands.countS);
      const counts = hands.way !== 'swing' && countS !== hands.countS && countS <= LONGEST_COUNT_S;
      return counts ? { ...way, hands: { ...hands, countS } } : null;
    };
  const dip: Further = (way) => {
    // Where there is the water for it: the rod's tip sets how deep it is drawn.
    const deeper = DIPS_M.find((m) => m > dipOf(way) && m < s.depthM / 2);
    return deeper && handsOf(way).way === 'dip and draw' ? { ...way, tipUnderM: deeper } : null;
  };
  return [[turn(TURN_DEG), turn(-TURN_DEG)], [mend(1), mend(-1)], [count(1.6), count(0.6)], [dip]];
}
