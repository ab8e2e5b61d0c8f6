import { type CastPlan, handsOf, mayStand, presented, type Way, wadeTo } from '../cast';
import { findLies } from '../lies';
import type { FlyItem, KitItem, Rig } from '../tackle';
import { day, PLAN, RIG, RUN, some, STRICT } from '../testing/fixtures';
import { buildChannel } from '../water';
import {
  type ChangesRequest,
  costBetween,
  type Lever,
  LEVERS,
  legalRig,
  possibleSettings,
  leversBetween,
  patched,
} from './levers';

const channel = buildChannel(RUN, null);
const lies = findLies(RUN, channel, day(), { quarry: 'sea trout', school: 'near the bed', most: 3 });
const tip = (id: string, sinkRateMps: number): KitItem => ({ type: 'tip', id, name: id, lengthM: 3.048, sinkRateMps });
const heavy: FlyItem = { ...RIG.fly, id: 'heavy', name: 'heavy strip', weight: 'lead eyes' };
const TWO: Rig = { ...RIG, droppers: [{ fly: RIG.fly, way: 'ring', aboveM: 0.5, armM: 0.18 }] };
const barbed: FlyItem = { ...RIG.fly, id: 'barbed', name: 'barbed strip', barbless: false };
const kit: KitItem[] = [
  RIG.rod,
  RIG.head,
  RIG.tip!,
  RIG.leader,
  RIG.fly,
  heavy,
  barbed,
  tip('slow', 0.05),
  tip('next', 0.11),
];
const ask = (o: Partial<ChangesRequest> = {}): ChangesRequest => ({
  ...{ channel, lengthM: RUN.lengthM, lies, kit, rules: null, rig: RIG, plan: PLAN, lie: lies[0]!, sideOn: false },
  ...o,
});
const from: { rig: Rig; plan: CastPlan } = { rig: RIG, plan: PLAN };
const plan = (o: Partial<CastPlan>): { rig: Rig; plan: CastPlan } => ({ rig: RIG, plan: { ...PLAN, ...o } });
const way = (w: Way) => presented(PLAN, w);
const settings = (lever: Lever, o: Partial<ChangesRequest> = {}) => LEVERS[lever].settings(ask(o)) as readonly object[];
const plans = (lever: 'angle' | 'mend' | 'length', key: keyof CastPlan, o: Partial<ChangesRequest> = {}) =>
  settings(lever, o).map((p) => (p as { plan: CastPlan }).plan[key] as number);

describe('what a lever can be set to', () => {
  it('comes nearest first, up and down, within what can be cast', () => {
    expect(plans('angle', 'angleDeg')).toEqual([65, 55, 70, 50, 75, 45, 80, 40, 85, 35, 90, 30, 100, 20, 110, 10]);
    expect(plans('angle', 'angleDeg', { plan: { ...PLAN, angleDeg: 12 } })).toEqual([17, 22, 27, 32, 37, 42, 52, 62]);
    expect(plans('mend', 'mendM', { plan: { ...PLAN, mendM: 3.5 } })).toEqual([4, 3, 2.5, 2, 1.5, 0.5, -0.5]);
    const one = { ...RIG, rod: { ...RIG.rod, hands: 1 as const } };
    const lengths = plans('length', 'outM', { rig: one, plan: { ...PLAN, outM: 7 } });
    expect(lengths.slice(0, 4)).toEqual([7.5, 6.5, 8, 6]);
    expect(Math.min(...lengths)).toBeGreaterThanOrEqual(6);
    expect(Math.max(...plans('length', 'outM', { plan: { ...PLAN, outM: 25 } }))).toBeLessThanOrEqual(28);
  });

  it('is asked of hands and feet only where the way of showing the fly has them', () => {
    expect(settings('count')).toEqual([]);
    expect(settings('count', { plan: way('timed rise') }).length).toBeGreaterThan(3);
    expect(settings('feed', { plan: way('strip') })).toEqual([]);
    const fed = settings('feed', { plan: way('swing') }).map((p) => (p as { hands: { feedM: number } }).hands.feedM);
    expect(fed).toEqual([0.5, 1, 2, 3, 4]);
  });

  it('walks only where the next step can be stood on', () => {
    expect(settings('walk').length).toBeGreaterThan(0);
    const deep = wadeTo(channel, lies, PLAN.xM + 1.5) + 0.6;
    expect(settings('walk', { plan: { ...PLAN, yM: deep } })).toEqual([]);
  });

  it('sends nobody to stand where it is too deep, on dry land, or off the run', () => {
    for (const p of some(settings('stand') as { plan: Partial<CastPlan> }[])) {
      const { xM, yM } = { ...PLAN, ...p.plan };
      expect(xM).toBeGreaterThanOrEqual(0);
      expect(xM).toBeLessThanOrEqual(RUN.lengthM);
      expect(mayStand(channel, lies, xM, yM)).toBe(true);
    }
    expect(settings('stand').some((p) => 'xM' in (p as { plan: object }).plan)).toBe(true);
    expect(settings('stand').some((p) => 'yM' in (p as { plan: object }).plan)).toBe(true);
  });

  it('gives the rod what it does not do yet, and nothing of the rod to ways that own it', () => {
    const rods = (p: CastPlan) => (settings('rod', { plan: p }) as { plan: Partial<CastPlan> }[]).map((s) => s.plan);
    expect(rods(PLAN)).toEqual([
      { rod: 'still' },
      { rod: 'lead' },
      { tipUnder: true, tip: undefined },
      { tip: 'high', tipUnder: false },
      { tip: 'lowered', tipUnder: false },
    ]);
    expect(rods({ ...PLAN, tipUnder: true })[2]).toEqual({ tipUnder: false, tip: undefined });
    expect(rods({ ...PLAN, tipUnder: true }).filter((r) => r.tipUnderM)).toEqual([
      { tipUnderM: 0.8 },
      { tipUnderM: 1.5 },
    ]);
    expect(rods(way('sweep the hang')).some((s) => 'rod' in s)).toBe(false);
  });

  it('ties on what is likest first, and not what is on', () => {
    const tips = (settings('tip') as { rig: { tip: { id: string } | null } }[]).map((s) => s.rig.tip?.id ?? 'none');
    expect(tips).toEqual(['next', 'slow', 'none']);
    const flies = (settings('fly') as { rig: { fly: { id: string } } }[]).map((s) => s.rig.fly.id);
    expect(flies).toEqual(['barbed', 'heavy']);
    expect(settings('head')).toEqual([]);
    expect(settings('dropper')).toEqual([]);
    expect(settings('dropper', { rig: TWO })).toEqual([{ rig: { droppers: [] } }]);
    const kit = [2e-4, 4e-4, 8e-4].map((massKg) => ({ type: 'shot' as const, id: `${massKg}`, name: '', massKg }));
    const shots = (rig: Rig) =>
      (settings('shot', { rig, kit }) as { rig: { shot?: { massKg: number; aboveFlyM: number } } }[]).map(
        (s) => s.rig.shot,
      );
    expect(shots(RIG).map((s) => s?.massKg)).toEqual([2e-4, 4e-4, 8e-4]);
    expect(shots({ ...RIG, shot: { massKg: 4e-4, aboveFlyM: 0.3 } })).toEqual([
      undefined,
      { massKg: 2e-4, aboveFlyM: 0.3 },
      { massKg: 8e-4, aboveFlyM: 0.3 },
    ]);
    // A bag without shot has none to pinch on.
    expect(settings('shot')).toEqual([]);
  });
});

describe('what a change costs (seconds with cold hands; common practice, no source)', () => {
  it.each<[string, ReturnType<typeof plan>, number]>([
    ['nothing', from, 0],
    ['five degrees are free', plan({ angleDeg: 65 }), 0],
    ['ten cost a second', plan({ angleDeg: 50 }), 1],
    ['fifty cost twenty-five: another cast', plan({ angleDeg: 110 }), 25],
    ['the rod is free', plan({ rod: 'still', tip: 'high' }), 0],
    ['a mend, by its size', plan({ mendM: -2 }), 3],
    ['line, two a metre', plan({ outM: 15 }), 6],
    ['a stand, by the way to it', plan({ xM: 4, yM: 6 }), 20],
    ['a tip', { rig: { ...RIG, tip: null }, plan: PLAN }, 90],
    ['a fly, and an angle', { rig: { ...RIG, fly: heavy }, plan: { ...PLAN, angleDeg: 50 } }, 121],
    ['shot', { rig: { ...RIG, shot: { massKg: 2e-4, aboveFlyM: 0 } }, plan: PLAN }, 60],
    ['the second fly off', { rig: TWO, plan: PLAN }, 30],
  ])('%s', (_, to, seconds) => {
    expect(costBetween(from, to)).toBeCloseTo(seconds, 9);
  });

  it('counts hands and feet by the lever', () => {
    const swing = { rig: RIG, plan: way('swing') };
    const moved = patched(swing, { hands: { feedM: 2 } }, { hands: { walkM: 1.5 } });
    expect(handsOf(moved.plan)).toMatchObject({ feedM: 2, walkM: 1.5 });
    expect(leversBetween(swing, moved)).toEqual(['feed', 'walk']);
    expect(costBetween(swing, moved)).toBe(5);
    expect(leversBetween(swing, patched(swing, { rig: { fly: heavy } }))).toEqual(['fly']);
    expect(leversBetween(swing, swing)).toEqual([]);
  });
});

describe('what the rules of the water allow', () => {
  const rules = STRICT;
  it('is all that is offered', () => {
    const flies = possibleSettings('fly', ask({ rules })).map((p) => p.rig!.fly!.id);
    expect(flies).not.toContain('barbed');
    expect(possibleSettings('fly', ask())).toHaveLength(2);
    expect(possibleSettings('shot', ask({ rules }))).toEqual([]);
  });

  it('a rig that breaks them is put right at the least cost, one that keeps them stays, and where nothing helps nothing is', () => {
    expect(legalRig(ask({ rules }))).toEqual({ ...RIG, droppers: [], shot: undefined });
    expect(legalRig(ask({ rules, rig: TWO }))!.droppers).toEqual([]);
    expect(legalRig(ask({ rules, rig: TWO }))!.fly.id).toBe('f'); // the second fly comes off, the first stays
    expect(legalRig(ask({ rules, rig: { ...RIG, fly: barbed } }))!.fly.id).toBe('f');
    expect(legalRig(ask({ rules, rig: { ...RIG, shot: { massKg: 4e-4, aboveFlyM: 0 } } }))!.shot).toBeUndefined();
    expect(legalRig(ask({ rules, kit: [], rig: { ...RIG, fly: barbed } }))).toBeNull();
  });
});
