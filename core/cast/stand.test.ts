import { judge } from '../advice/verdict';
import { findLies } from '../lies';
import { day, RIG as TWO_HANDED, RUN, some } from '../testing/fixtures';
import type { Rig } from '../tackle';
import { buildChannel, leftAlone, waterAt } from '../water';
import { across, river } from '../water/runs.testing';
import { swingOnRun } from './case';
import { whyNotCast } from './castable';
import { openingOf } from './opening';
import { type Way, WAYS } from './plan';
import { handsOf } from './presentation';
import { sideOf } from './side';
import { mayStand, wadeTo } from './footing';
import { standFor } from './stand';

/** With one hand a short line can be cast, too. */
const RIG: Rig = { ...TWO_HANDED, rod: { ...TWO_HANDED.rod, hands: 1 } };
const channel = buildChannel(RUN, null);
const lies = findLies(RUN, channel, null, { quarry: 'sea trout', school: 'near the bed', most: 5 });
const rule = openingOf(null, RIG, 'near the bed');

describe('by a redd', () => {
  const by = (yM: number) =>
    buildChannel({ ...RUN, features: [{ id: 'r', kind: 'redd', xM: 20, yM, lengthM: 2, widthM: 2 }] }, null);
  it('nobody wades on to it, nor just below it; from the bank where it lies by the bank', () => {
    const free = wadeTo(channel, [], 20);
    expect(free).toBeGreaterThan(4);
    for (const xM of [20, 25]) expect(wadeTo(by(5), [], xM)).toBeLessThanOrEqual(2);
    expect(wadeTo(by(5), [], 10)).toBeCloseTo(wadeTo(channel, [], 10), 1);
    const bank = by(1);
    expect(wadeTo(bank, [], 20)).toBe(bank.edgeNear[Math.round((20 - bank.x0) / bank.dx)]);
  });

  it('nobody is stood on one either, wherever it lies and however the fly is shown', () => {
    let moved = 0;
    for (const yM of [1, 2, 4])
      for (const lie of some(lies))
        for (const way of WAYS) {
          const free = standFor(lie, channel, RIG, lies, rule, way).plan;
          const c = buildChannel(
            { ...RUN, features: [{ id: 'r', kind: 'redd', xM: free.xM, yM, lengthM: 2, widthM: 2 }] },
            null,
          );
          const { plan } = standFor(lie, c, RIG, lies, rule, way);
          if (leftAlone(c.features, plan.xM, plan.yM)) expect(waterAt(c, plan.xM, plan.yM).depthM).toBeLessThan(0.05);
          if (plan.yM !== free.yM) moved++;
        }
    expect(moved).toBeGreaterThan(10);
  });
});

describe('the opening cast (common practice, no source)', () => {
  const angle = (o: Parameters<typeof day>[0], rig = RIG) => openingOf(day(o), rig, 'upper to middle').angleDeg;
  it('is wide in clear low water, 60 to 70° in dirty, 30 to 45° with soft hackles, steeper in the cold', () => {
    expect(angle({ visibilityM: 2.5, levelM: -0.1 })).toBeGreaterThanOrEqual(90);
    for (const visibilityM of [0.2, 0.6]) expect([60, 65, 70]).toContain(angle({ visibilityM }));
    const spider = { ...RIG, fly: { ...RIG.fly, family: 'soft-hackle spider' as const } };
    expect(angle({ visibilityM: 2.5 }, spider)).toBeGreaterThanOrEqual(30);
    expect(angle({ visibilityM: 2.5 }, spider)).toBeLessThanOrEqual(45);
    expect(angle({ waterTempC: 4 })).toBeLessThan(angle({ waterTempC: 11 }));
    expect(angle({ visibilityM: 2.5, levelM: 0.3 })).toBeLessThan(90);
  });

  it('mends to get down for the school of the bed, and says which rule it used', () => {
    expect(openingOf(null, RIG, 'near the bed').mendM).toBeGreaterThan(0);
    expect(openingOf(null, RIG, 'upper to middle').mendM).toBe(0);
    expect(openingOf(day({ visibilityM: 0.4 }), RIG, 'near the bed').by).toBe('dirty');
  });
});

describe('a stand for each way', () => {
  // Some ways only reach what lies below one.
  const reaches = (way: Way) => (way === 'dip and draw' || way === 'sweep the hang' ? 2 : 3);

  it.each(WAYS)('%s: stands where it is safe, casts into water, and reaches lies', (way) => {
    let reached = 0;
    for (const lie of some(lies)) {
      const { plan, outOfReach } = standFor(lie, channel, RIG, lies, rule, way);
      expect(handsOf(plan).way).toBe(way);
      expect(mayStand(channel, lies, plan.xM, plan.yM)).toBe(true);
      expect(plan.xM).toBeGreaterThanOrEqual(0);
      if (outOfReach || whyNotCast(channel, RIG, plan)) continue;
      const [v] = judge(swingOnRun({ channel, rig: RIG, plan, lies: [lie] }), { channel, rig: RIG, plan, lies: [lie] });
      if (v!.fit !== 'not reached') reached++;
    }
    expect(reached).toBeGreaterThanOrEqual(reaches(way));
  });

  it('stands below the lie for casts upstream and above it for all that swings or hangs', () => {
    const of = (way: (typeof WAYS)[number]) => standFor(lies[0]!, channel, RIG, lies, rule, way).plan.xM - lies[0]!.xM;
    for (const way of ['upstream strip', 'towed by the bow'] as const) expect(of(way)).toBeGreaterThan(2);
    for (const way of ['swing', 'timed rise', 'dip and draw', 'sweep the hang', 'lift at the end'] as const)
      expect(of(way)).toBeLessThan(-5);
    expect(standFor(lies[0]!, channel, RIG, lies, rule, 'towed by the bow').plan.angleDeg).toBe(135);
  });

  // By hand: triangles between stand, fly and lie; 1 m from the bank at most where the lie is near enough.
  // Plans come in half metres.
  const near = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThan(0.4);
  const reach = 0.8 * RIG.rod.lengthM;
  const longest = 20 + reach; // what a seven carries with one hand
  const at = (xM: number, yM: number) => ({ ...lies[0]!, xM, yM, lengthM: 3, widthM: 2, speedMps: 0.8 });
  const placed = (way: Way, lie: ReturnType<typeof at>) => {
    const { plan, outOfReach } = standFor(lie, channel, RIG, [], { ...rule, angleDeg: 65, mendM: 0 }, way);
    return { ...plan, outOfReach, line: plan.outM + reach, across: lie.yM - plan.yM, down: lie.xM - plan.xM };
  };

  it.each([
    ['swing', 40],
    ['timed rise', 55],
    ['lift at the end', 25],
  ] as const)('%s: the arc of the fly goes through the lie, %i° from where it hangs', (way, deg) => {
    const p = placed(way, at(40, 9));
    near(Math.hypot(p.across, p.down), p.line);
    expect((Math.asin(p.across / p.line) * 180) / Math.PI).toBeGreaterThan(deg - 2.5);
    expect((Math.asin(p.across / p.line) * 180) / Math.PI).toBeLessThan(deg + 2.5);
    expect(p.yM).toBe(1);
  });

  it('dip and draw: hangs at the lie on a cast that goes a metre and a half past it', () => {
    const p = placed('dip and draw', at(40, 6));
    near(Math.hypot(p.across, p.down + 1.5), p.line);
    expect(placed('dip and draw', at(40, 24)).yM).toBeGreaterThan(1); // waded out for it
    expect(placed('dip and draw', at(40, 60)).outOfReach!.why).toBe('too far');
  });

  it('sweep the hang: straight above the lie, as far out as it, with three fifths of the longest line', () => {
    const p = placed('sweep the hang', at(40, 4));
    expect(p.yM).toBe(4);
    near(p.line, 0.6 * longest);
    near(p.down, 0.6 * longest);
    // The rod reaches so far to either side, and no further.
    expect(placed('sweep the hang', at(40, wadeTo(channel, [], 25) + 2 * reach + 1)).outOfReach).toBeNull();
    expect(placed('sweep the hang', at(40, wadeTo(channel, [], 25) + 2 * reach + 3)).outOfReach).not.toBeNull();
  });

  it.each([
    ['strip', 0, 4],
    ['towed by the bow', 2, 5],
    ['upstream strip', 3, 2],
    ['dead drift', 0, 6],
  ] as const)('%s: lands %i m and %i s of sinking upstream of the lie, in its lane', (way, aboveM, sinkS) => {
    const p = placed(way, at(40, 12));
    const flies = p.line - Math.abs(p.mendM);
    const a = (p.angleDeg * Math.PI) / 180;
    near(p.across, flies * Math.sin(a));
    near(p.down, aboveM + sinkS * 0.8 + flies * Math.cos(a));
  });

  it('in a brook an upstream cast goes up the brook, in the lane of the lie, and lands in the water', () => {
    const brook = buildChannel(
      river(
        [across(0, 6, 0, 0.4, 0.5, 0.4, 0), across(15, 6, 0, 0.5, 0.6, 0.4, 0), across(30, 6, 0, 0.4, 0.5, 0.3, 0)],
        0.6,
        {
          lengthM: 30,
        },
      ),
      null,
    );
    const short = { ...RIG, tip: null, rod: { ...RIG.rod, lengthM: 2.5, hands: 1 as const } };
    for (const yM of [2.5, 3, 4]) {
      const { plan, outOfReach } = standFor({ ...lies[0]!, xM: 18, yM }, brook, short, [], rule, 'upstream strip');
      expect(outOfReach).toBeNull();
      expect(plan.angleDeg).toBeGreaterThanOrEqual(120);
      expect(plan.xM).toBeGreaterThan(18);
      expect(whyNotCast(brook, short, plan)).toBeNull();
      const landsY = plan.yM + (0.8 * 2.5 + plan.outM) * Math.sin((plan.angleDeg * Math.PI) / 180);
      expect(Math.abs(landsY - yM)).toBeLessThan(0.6);
    }
  });

  it('where the river narrows upstream an upstream cast is turned further up it, shorter if need be, and stands so much lower', () => {
    const depths = [0, 0.4, 0.5, 0.3, 0];
    const narrows = buildChannel(
      river(
        [across(0, 3, ...depths), across(12, 3, ...depths), across(18, 9, ...depths), across(30, 9, ...depths)],
        0.6,
        {
          lengthM: 30,
        },
      ),
      null,
    );
    const short = { ...RIG, tip: null, rod: { ...RIG.rod, lengthM: 2.5, hands: 1 as const } };
    const at = (xM: number) => {
      const lie = { ...lies[0]!, xM, yM: 7, lengthM: 3, widthM: 1 };
      const { plan, outOfReach } = standFor(lie, narrows, short, [], rule, 'upstream strip');
      expect([outOfReach, whyNotCast(narrows, short, plan)]).toEqual([null, null]);
      return { ...plan, below: plan.xM - xM };
    };
    const [wide, narrowing, narrow] = [at(22), at(18), at(14)];
    expect([wide.angleDeg, narrowing.angleDeg, narrow.angleDeg]).toEqual([145, 155, 170]);
    expect(narrowing.below).toBeGreaterThan(wide.below);
    expect(narrowing.outM).toBe(wide.outM);
    expect(narrow.outM).toBeLessThan(wide.outM);
    expect(narrow.outM).toBeGreaterThanOrEqual(6);
  });

  it('in a narrow river a wide opening is cast shorter, or turned down, and still lands in the water', () => {
    const wide = { ...rule, angleDeg: 95, mendM: 0 };
    for (const lie of some(lies)) {
      const { plan, outOfReach } = standFor(lie, channel, RIG, lies, wide);
      if (outOfReach) continue;
      expect(whyNotCast(channel, RIG, plan)).toBeNull();
      const [v] = judge(swingOnRun({ channel, rig: RIG, plan, lies: [lie] }), { channel, rig: RIG, plan, lies: [lie] });
      expect(v!.pass.missM).toBeLessThan(lie.lengthM / 2 + 3);
    }
  });

  it('says so when a lie cannot be reached from this bank', () => {
    const far = { ...lies[0]!, yM: 60 };
    expect(standFor(far, channel, RIG, lies, rule).outOfReach!.why).toBe('too far');
    expect(standFor(lies[0]!, channel, RIG, lies, rule).outOfReach).toBeNull();
    expect(standFor({ ...lies[0]!, xM: 0 }, channel, RIG, lies, rule).outOfReach!.why).toBe('too near the head');
  });
});

describe('to which side', () => {
  it('away from the nearer bank, unless it is said to go inwards', () => {
    const plan = { xM: 30, yM: 3, outM: 12, angleDeg: 75, mendM: 0, rod: 'follow' } as const;
    expect(sideOf(channel, plan)).toBe(1);
    expect(sideOf(channel, { ...plan, inwards: true })).toBe(-1);
    expect(sideOf(channel, { ...plan, yM: 13 })).toBe(-1); // beyond the middle of 25 m
    expect(sideOf(channel, { ...plan, yM: 12 })).toBe(1);
  });
});

describe('what cannot be cast', () => {
  const plan = { xM: 10, yM: 2, outM: 12, angleDeg: 75, mendM: 0, rod: 'follow' } as const;
  const log = { id: 'l', kind: 'brush', xM: 10.5, yM: 4, lengthM: 4, widthM: 2 } as const;
  it('is refused with the reason: past the far bank, from dry land, wood in front, trees behind', () => {
    expect(whyNotCast(channel, TWO_HANDED, plan)).toBeNull();
    expect(whyNotCast(channel, TWO_HANDED, { ...plan, outM: 24, angleDeg: 90 })).toEqual({
      ...{ code: 'on the bank', bank: 'far', byM: expect.any(Number) },
    });
    expect(whyNotCast(channel, TWO_HANDED, { ...plan, yM: 40 })).toEqual({ code: 'dry land' });
    expect(whyNotCast(channel, TWO_HANDED, { ...plan, yM: -5 })).toEqual({ code: 'dry land' });
    expect(whyNotCast({ ...channel, features: [log] }, TWO_HANDED, plan)).toEqual({ code: 'blocked', by: 'brush' });
    expect(whyNotCast({ ...channel, features: [{ ...log, xM: 30 }] }, TWO_HANDED, plan)).toBeNull();
    expect(
      whyNotCast({ ...channel, room: 'trees behind' }, TWO_HANDED, { ...plan, outM: 21, angleDeg: 40 }),
    ).toMatchObject({ code: 'trees behind' });
    expect(whyNotCast({ ...channel, room: 'trees behind' }, TWO_HANDED, plan)).toBeNull();
    // Waded out there is room behind; a single-handed rod rolls less far; exactly as far as it carries is allowed.
    const wooded = { ...channel, room: 'trees behind' as const };
    const single = { ...TWO_HANDED, rod: { ...TWO_HANDED.rod, hands: 1 as const } };
    const low = { ...plan, angleDeg: 40 };
    expect(whyNotCast(wooded, TWO_HANDED, { ...low, outM: 21, yM: 3.1 })).toBeNull();
    expect(whyNotCast(wooded, TWO_HANDED, { ...low, outM: 21, yM: 2.9 })).toMatchObject({ code: 'trees behind' });
    expect(whyNotCast(wooded, TWO_HANDED, { ...low, outM: 20 })).toBeNull();
    expect(whyNotCast(wooded, single, { ...low, outM: 14.5 })).toEqual({ code: 'trees behind', mostM: 14 });
    expect(whyNotCast({ ...channel, room: 'low bushes' }, TWO_HANDED, { ...low, outM: 21 })).toBeNull();
    expect(() => swingOnRun({ channel, rig: TWO_HANDED, plan: { ...plan, yM: 40 }, lies: [] })).toThrow('dry land');
  });
});
