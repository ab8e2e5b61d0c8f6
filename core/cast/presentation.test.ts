import { quantile } from '../maths/statistics';
import { runSwing, type SwingResult } from '../swing';
import { RIG, RUN } from '../testing/fixtures';
import { STARTS } from '../tackle/starts';
import { buildChannel, sample, sampleWater } from '../water';
import { caseOnRun } from './case';
import { type CastPlan, type Way, WAYS } from './plan';
import { handsOf, presented } from './presentation';

const channel = buildChannel(RUN, null);
/** The same grid with even water. */
const even = (u: number) => ({
  ...channel,
  u: channel.u.map(() => u),
  v: channel.v.map(() => 0),
  h: channel.h.map(() => 2),
});
/** A tongue that carries the line's weight, and a slack pool. */
const tongue = even(0.8);
const pool = even(0.25);
const stand: CastPlan = { xM: 12, yM: 2, outM: 14, angleDeg: 65, mendM: 0, rod: 'follow' };
const simulate = (plan: CastPlan) => runSwing(caseOnRun(channel, RIG, plan, []));
const shown = (way: Way, change: Partial<CastPlan> = {}) => simulate({ ...presented(stand, way), ...change });
const col = (r: SwingResult, t: number, c: number) => r.series[9 * Math.min(r.rows - 1, Math.round(10 * t)) + c]!;
const DEPTH = 3;
const without = (way: Way, part: object) => {
  const plan = presented(stand, way);
  return simulate({ ...plan, hands: { ...handsOf(plan), ...part } });
};
/** Slip of the fly through the water at t, over the water's speed. */
const slip = (r: SwingResult, t: number) => {
  sampleWater(channel, col(r, t, 1), col(r, t, 2));
  return Math.hypot(col(r, t, 4) - sample.u, col(r, t, 5) - sample.v) / sample.u;
};

describe('presentations (facts of the trade: common practice, no source)', () => {
  it.each(WAYS)('%s can be cast as it is offered, and ends', (way) => {
    const r = shown(way);
    expect(r.series.every(Number.isFinite)).toBe(true);
    expect(r.maxDepthM).toBeGreaterThan(0.05);
    expect(r.rows).toBeLessThan(1802);
  });

  it('timed rise: mend, step and slack sink it deeper than the bare cast, and it rises once it is tight', () => {
    const r = shown('timed rise');
    const bare = simulate({ ...stand, angleDeg: 75, rod: 'still' });
    expect(r.maxDepthM).toBeGreaterThan(1.1 * bare.maxDepthM);
    expect(r.maxDepthS).toBeGreaterThan(3);
    expect(col(r, r.maxDepthS + 5, DEPTH)).toBeLessThan(r.maxDepthM - 0.1);
  });

  it('strip: each pull speeds the fly up and the rest lets it down; the line ends short', () => {
    const r = shown('strip');
    const still = without('strip', { pullM: 0 });
    const speeds = (s: SwingResult) =>
      Array.from({ length: 60 }, (_, i) => Math.hypot(...[4, 5, 6].map((c) => col(s, 6 + i / 10, c))));
    const spread = (v: number[]) => Math.max(...v) - Math.min(...v);
    expect(spread(speeds(r))).toBeGreaterThan(spread(speeds(still)) + 0.2);
    const end = r.series.slice(9 * (r.rows - 1));
    expect(Math.hypot(end[1]! - stand.xM, end[2]! - stand.yM)).toBeLessThan(4 + 0.8 * RIG.rod.lengthM + 0.2);
  });

  it('strip: walking down with it takes tension out', () => {
    const pull = (walkM: number) => {
      const r = without('strip', { walkM, pullM: 0 });
      // The line jerks as it comes tight: what the hand feels is the middle of it.
      return quantile(
        Array.from({ length: 60 }, (_, i) => col(r, 2 + i / 10, 8)),
        0.5,
      );
    };
    expect(pull(3)).toBeLessThan(0.8 * pull(0));
  });

  it('towed by the bow: a bow downstream moves the fly sooner than one upstream', () => {
    const towed = shown('towed by the bow');
    expect(towed.tightAtFlyS!).toBeLessThan(shown('towed by the bow', { mendM: 1.5 }).tightAtFlyS!);
  });

  it('upstream strip: the fly comes down the river faster than the current', () => {
    const r = shown('upstream strip');
    const down = (col(r, 8, 1) - col(r, 4, 1)) / 4;
    sampleWater(channel, col(r, 6, 1), col(r, 6, 2));
    expect(down).toBeGreaterThan(sample.u);
  });

  it('dead drift: with slack fed the fly goes with the water longer', () => {
    const r = shown('dead drift');
    const tight = simulate({ ...stand, angleDeg: 105 });
    expect(r.tightAtFlyS!).toBeGreaterThan(tight.tightAtFlyS! + 2);
    expect(slip(r, 4)).toBeLessThan(0.35);
  });

  it('dip and draw: the rod tip under water takes the fly of a sinking line deeper', () => {
    const rig = { ...RIG, head: { ...RIG.head, sinkRatesMps: [0.05] } };
    const deep = (tipUnder: boolean) => {
      const plan = { ...presented(stand, 'dip and draw'), tipUnder, outM: 10 };
      return col(runSwing(caseOnRun(pool, rig, plan, [])), 20, DEPTH);
    };
    expect(deep(true)).toBeGreaterThan(deep(false) + 0.05);
  });

  it('dip and draw: the deeper the rod’s tip, the deeper it is drawn', () => {
    const drawn = (tipUnderM: number) => {
      const plan = { ...presented(stand, 'dip and draw'), tipUnderM, outM: 10 };
      return runSwing(caseOnRun(pool, RIG, plan, [])).fishing!.maxDepthM;
    };
    expect(drawn(0.8)).toBeGreaterThan(drawn(0.3));
    expect(drawn(1.4)).toBeGreaterThan(drawn(0.8) + 0.05);
  });

  it('tight drift: a mono rig goes down at the pace of the current, and off the bed for longer than on slack', () => {
    const mono = { ...RIG, tip: null, leader: { ...STARTS.leader.find((l) => l.name.startsWith('Mono'))!, id: 'm' } };
    const drift = (way: Way) => {
      const plan = { ...presented(stand, way), outM: 7 };
      const r = runSwing(caseOnRun(channel, mono, plan, []));
      return { r, lasts: r.fishing!.toS - r.fishing!.fromS };
    };
    const tight = drift('tight drift');
    expect(tight.lasts).toBeGreaterThan(1.3 * drift('dead drift').lasts);
    const { fromS } = tight.r.fishing!;
    for (const t of [fromS + 1, fromS + 2, fromS + 3]) expect(slip(tight.r, t)).toBeLessThan(0.35);
  });

  it('swing and strip: pulses move the fly up the current and let it fall back, round to the hang', () => {
    const swung = shown('swing');
    const worked = shown('swing and strip', { angleDeg: 65 });
    const jerk = (r: SwingResult) => {
      const xs = Array.from({ length: 100 }, (_, i) => col(r, 7 + i / 10, 4));
      return quantile(xs, 0.95) - quantile(xs, 0.05);
    };
    expect(jerk(worked)).toBeGreaterThan(jerk(swung) + 0.1);
    expect(worked.fishing!.toS).toBeGreaterThan(0.8 * swung.fishing!.toS);
  });

  it('sweep the hang: the fly goes across and back after it has come to hang', () => {
    const r = runSwing(caseOnRun(tongue, RIG, presented(stand, 'sweep the hang'), []));
    const from = r.dangleS!;
    const ys = Array.from({ length: 300 }, (_, i) => col(r, from + i / 10, 2));
    const turns = ys.filter((y, i) => i > 5 && i < 295 && (y - ys[i - 5]!) * (ys[i + 5]! - y) < 0).length;
    expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThan(1);
    expect(turns).toBeGreaterThan(0);
  });

  it('lift at the end: begins when the fly comes round, and raises it faster than it would rise without', () => {
    const r = shown('lift at the end');
    const c = caseOnRun(tongue, RIG, presented(stand, 'lift at the end'), []);
    const lifted = runSwing(c);
    const left = runSwing({ ...c, hangWork: undefined });
    const from = lifted.hangWorkS!;
    const bearing = (at: SwingResult, t: number) => {
      const rodX = c.rod as { path: readonly (readonly number[])[] };
      return (
        Math.abs(Math.atan2(col(at, t, 2) - rodX.path[0]![2]!, col(at, t, 1) - rodX.path[0]![1]!)) * (180 / Math.PI)
      );
    };
    expect(bearing(lifted, from)).toBeLessThan(17);
    expect(bearing(lifted, from - 2)).toBeGreaterThan(15);
    const rise = (of: SwingResult) => col(of, from, DEPTH) - col(of, from + 6, DEPTH);
    expect(rise(lifted)).toBeGreaterThan(rise(left) + 0.05);
    expect(r.hangWorkS).not.toBeNull();
    // A longer cast comes round later, and so does the lift.
    expect(
      runSwing(caseOnRun(tongue, RIG, presented({ ...stand, outM: 18 }, 'lift at the end'), [])).hangWorkS!,
    ).toBeGreaterThan(from + 2);
  });

  it('walking on through the swing takes tension out: the fly goes across slower', () => {
    const way = (walkM: number) =>
      runSwing(caseOnRun(tongue, RIG, { ...stand, hands: { ...handsOf(stand), walkM } }, [])).fishing!;
    expect(way(6).meanCrossSpeedMps).toBeLessThan(0.9 * way(0).meanCrossSpeedMps);
    expect(way(6).toS).toBeGreaterThan(way(0).toS);
  });

  it('a rod held high, or raised and lowered into the swing, holds the line back: the fly goes across slower', () => {
    const tip = (t?: 'high' | 'lowered') =>
      runSwing(caseOnRun(tongue, RIG, { ...stand, ...(t && { tip: t }) }, [])).fishing!;
    for (const way of ['high', 'lowered'] as const)
      expect(tip(way).meanCrossSpeedMps).toBeLessThan(0.99 * tip().meanCrossSpeedMps);
  });
});

describe('where one stands, and to which side', () => {
  it('casts from mid-channel to either side, up to 150°, as the mirror image of each other in even water', () => {
    const y = (channel.edgeNear[0]! + channel.edgeFar[0]!) / 2;
    for (const angleDeg of [20, 90, 150, 170]) {
      const plan = { ...stand, yM: y, angleDeg, outM: 9 };
      const [out, inwards] = [plan, { ...plan, inwards: true }].map((p) => runSwing(caseOnRun(tongue, RIG, p, [])));
      expect(out!.landing.yM - y).toBeCloseTo(y - inwards!.landing.yM, 6);
      expect(out!.maxDepthM).toBeCloseTo(inwards!.maxDepthM, 2);
      expect(Math.sign(out!.landing.yM - y)).toBe(1);
    }
  });
});

describe('the estimate of the time to the dangle', () => {
  it.each([60, 75, 90])(
    'is within a fifth for a cast of %s° and a rod that is held still (a rule of the study)',
    (angle) => {
      const plan = { ...stand, angleDeg: angle, rod: 'still' as const, yM: 3 };
      const c = caseOnRun(tongue, RIG, plan, []);
      const t = (1.6 * plan.outM) / (0.8 * (7 / 6));
      expect(Math.abs(runSwing(c).dangleS! / t - 1)).toBeLessThan(0.2);
    },
  );
});
