import { judge } from '../advice/verdict';
import { findLies } from '../lies';
import { day, RIG, RUN, some } from '../testing/fixtures';
import { buildChannel } from '../water';
import { swingOnRun } from './case';
import { whyNotCast } from './castable';
import { openingOf } from './opening';
import { type Way, WAYS } from './plan';
import { handsOf } from './presentation';
import { standFor, wadeTo } from './stand';

const channel = buildChannel(RUN, null);
const lies = findLies(RUN, channel, null, { quarry: 'sea trout', school: 'near the bed', most: 5 });
const rule = openingOf(null, RIG, 'near the bed');

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
    expect(openingOf(day({ visibilityM: 0.4 }), RIG, 'near the bed').says).toContain('Two feet');
  });
});

describe('a stand for each way', () => {
  // Some ways only reach what lies below one.
  const reaches = (way: Way) => (way === 'dip and draw' || way === 'sweep the hang' ? 2 : 4);

  it.each(WAYS)('%s: stands where it is safe, casts into water, and reaches lies', (way) => {
    let reached = 0;
    for (const lie of some(lies)) {
      const { plan, outOfReach } = standFor(lie, channel, RIG, lies, rule, way);
      expect(handsOf(plan).way).toBe(way);
      expect(plan.yM).toBeLessThanOrEqual(wadeTo(channel, lies, plan.xM) + 1.1);
      expect(plan.xM).toBeGreaterThanOrEqual(0);
      if (outOfReach || whyNotCast(channel, RIG, plan)) continue;
      const [v] = judge(swingOnRun({ channel, rig: RIG, plan, lies: [lie] }), [lie]);
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

  it('in a narrow river a wide opening is cast shorter, or turned down, and still lands in the water', () => {
    const wide = { ...rule, angleDeg: 95, mendM: 0 };
    for (const lie of some(lies)) {
      const { plan, outOfReach } = standFor(lie, channel, RIG, lies, wide);
      if (outOfReach) continue;
      expect(whyNotCast(channel, RIG, plan)).toBeNull();
      const [v] = judge(swingOnRun({ channel, rig: RIG, plan, lies: [lie] }), [lie]);
      expect(v!.pass.missM).toBeLessThan(lie.lengthM / 2 + 3);
    }
  });

  it('says so when a lie cannot be reached from this bank', () => {
    const far = { ...lies[0]!, yM: 60 };
    expect(standFor(far, channel, RIG, lies, rule).outOfReach).toContain('cannot be reached from here');
    expect(standFor(lies[0]!, channel, RIG, lies, rule).outOfReach).toBeNull();
    expect(standFor({ ...lies[0]!, xM: 0 }, channel, RIG, lies, rule).outOfReach).toContain('too near the head');
  });
});

describe('what cannot be cast', () => {
  const plan = { xM: 10, yM: 2, outM: 12, angleDeg: 75, mendM: 0, rod: 'follow' } as const;
  const log = { id: 'l', kind: 'brush', xM: 10.5, yM: 4, lengthM: 4, widthM: 2 } as const;
  it('is refused with the reason: past the far bank, from dry land, wood in front, trees behind', () => {
    expect(whyNotCast(channel, RIG, plan)).toBeNull();
    expect(whyNotCast(channel, RIG, { ...plan, outM: 24, angleDeg: 90 })).toMatch(/land \d+\.\d m up the far bank/);
    expect(whyNotCast(channel, RIG, { ...plan, yM: 40 })).toContain('dry land');
    expect(whyNotCast(channel, RIG, { ...plan, yM: -5 })).toContain('dry land');
    expect(whyNotCast({ ...channel, features: [log] }, RIG, plan)).toContain('brush in front of you');
    expect(whyNotCast({ ...channel, features: [{ ...log, xM: 30 }] }, RIG, plan)).toBeNull();
    expect(whyNotCast({ ...channel, room: 'trees behind' }, RIG, { ...plan, outM: 21, angleDeg: 40 })).toContain(
      'Trees behind',
    );
    expect(whyNotCast({ ...channel, room: 'trees behind' }, RIG, plan)).toBeNull();
    expect(() => swingOnRun({ channel, rig: RIG, plan: { ...plan, yM: 40 }, lies: [] })).toThrow('dry land');
  });
});
