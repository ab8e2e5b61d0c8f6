import fc from 'fast-check';
import { ANY_MEANS, castAt } from '../cast';
import { swingOnRun } from '../cast/case';
import { findLies } from '../lies';
import { flyAt } from '../swing/series';
import { type Dropper, type FlyItem, type KitItem, level, type Rig, usualFly } from '../tackle';
import { day, PLAN, RIG, RUN, some, STRICT, whole } from '../testing/fixtures';
import { buildChannel } from '../water';
import { changesFor } from './changes';
import { type ChangesRequest, costBetween, LEVERS, legalRig, leversBetween, patched, possibleSettings } from './levers';
import { judge, judgeFlies } from './verdict';
import { verdictSentence } from '@/words/advice';

const channel = buildChannel(RUN, null);
const lies = findLies(RUN, channel, day(), { quarry: 'sea trout', school: 'near the bed', most: 5 });
const lie = lies[0]!;
const heavy: FlyItem = { ...RIG.fly, id: 'heavy', name: 'heavy strip', weight: 'lead eyes' };
const wet = { ...usualFly('large soft hackle', 'orange'), id: 'wet' } as FlyItem;
const leader = { ...RIG.leader, id: 'long', name: 'long', pieces: level(2.1, 0.25e-3, 'nylon') };
const above = (fly: FlyItem, aboveM: number, way: Dropper['way'] = 'ring'): Dropper => ({
  fly,
  way,
  aboveM,
  armM: 0.18,
});
const plan = castAt(lie, channel, RIG, lies);
const asked = (rig: Rig, all = lies, cast = plan) => ({ channel, rig, plan: cast, lies: all });
const swing = (rig: Rig) => swingOnRun(asked(rig));

describe('two flies, each judged for itself', () => {
  const two = { ...RIG, leader, fly: heavy, droppers: [above(wet, 1)] };
  const result = swing(two);

  it('ride at different depths: what hangs above rides higher on a tight line', () => {
    const [second] = result.others;
    const t = Math.round(10 * (result.fishing!.fromS + 8));
    expect(flyAt(second!, t).depthM).toBeLessThan(flyAt(result, t).depthM - 0.02);
  });

  it('get verdicts of their own, from where each of them is', () => {
    const flies = judgeFlies(result, asked(two));
    expect(flies).toHaveLength(2);
    expect(flies.map((of) => of.map((v) => v.place))).toEqual([lies.map(() => 0), lies.map(() => 1)]);
    for (const v of flies[1]!.filter((of) => of.showing > 0)) {
      const { xM, yM, depthM } = flyAt(result.others[0]!, Math.round(10 * v.pass.t));
      expect([v.pass.depthM, v.pass.alongM, v.pass.acrossM]).toEqual([depthM, xM - v.lie.xM, yM - v.lie.yM]);
    }
    expect(flies[0]!.some((v, i) => v.pass.depthM !== flies[1]![i]!.pass.depthM)).toBe(true);
  });

  it('a lie is told by the fly that is shown better there, the point fly where they do alike', () => {
    const [point, second] = judgeFlies(result, asked(two)) as [ReturnType<typeof judge>, ReturnType<typeof judge>];
    judge(result, asked(two)).forEach((best, i) => {
      expect(best.place).toBe(second[i]!.showing > point[i]!.showing ? 1 : 0);
      expect(best.showing).toBe(Math.max(point[i]!.showing, second[i]!.showing));
    });
    // Where only the dropper is shown the lie is shown.
    const made = {
      ...result,
      series: result.others[0]!.series.map(() => 0),
      others: [{ ...result.others[0]!, series: result.series }],
    };
    const [v] = judge(made, asked(two));
    expect([v!.place, v!.showing > 0]).toEqual([1, true]);
  });

  it('shot and a float are no flies', () => {
    const rig = { ...RIG, shot: { massKg: 4e-4, aboveFlyM: 0.3 } };
    const shot = swing(rig);
    expect(shot.others).toHaveLength(1);
    expect(judgeFlies(shot, asked(rig))).toHaveLength(1);
  });

  it.each(['tag', 'ring', 'bend', 'loop'] as const)('hung on a %s it swims where it was hung', (way) => {
    const r = swing({ ...RIG, leader, droppers: [above(wet, 0.9, way)] });
    const row = Math.round(10 * r.fishing!.fromS) + 40;
    const [a, b] = [flyAt(r, row), flyAt(r.others[0]!, row)];
    expect(Math.hypot(a.xM - b.xM, a.yM - b.yM, a.depthM - b.depthM)).toBeLessThan(0.91);
    expect(Math.hypot(a.xM - b.xM, a.yM - b.yM, a.depthM - b.depthM)).toBeGreaterThan(0.7);
  });

  it('are named by their place, and one alone is not', () => {
    const rig = { droppers: [above(wet, 1)] };
    const [[point], [second]] = judgeFlies(result, asked(two)) as [ReturnType<typeof judge>, ReturnType<typeof judge>];
    expect(verdictSentence(point!, 'metric', rig)).toMatch(/^The point fly (passes|does not|hangs)/);
    expect(verdictSentence(second!, 'metric', rig)).toMatch(/^The dropper (passes|does not|hangs)/);
    expect(verdictSentence(point!, 'metric', RIG)).toMatch(/^(Passes|Does not|Hangs)/);
  });
});

describe('weight', () => {
  it('never lets a fly ride higher, on any rig and cast', () => {
    const beads = [undefined, 0.0025, 0.0035, 0.0046];
    fc.assert(
      fc.property(
        fc.constantFrom('micro streamer', 'woolly bugger', 'large soft hackle') as fc.Arbitrary<FlyItem['family']>,
        fc.constantFrom(null, RIG.tip),
        fc.double({ min: 45, max: 90, noNaN: true }),
        (family, tip, angleDeg) => {
          const depths = beads.map((beadM) => {
            const own = { ...usualFly(family), id: 'x', weight: beadM ? ('bead' as const) : ('none' as const) };
            const fly = beadM ? { ...own, beadM } : own;
            const { fishing } = swingOnRun({ channel, rig: { ...RIG, tip, fly }, plan: { ...plan, angleDeg }, lies });
            return fishing?.maxDepthM ?? Infinity; // so heavy that it lies on the bed from the start
          });
          for (let i = 1; i < depths.length; i++) expect(depths[i]!).toBeGreaterThan(depths[i - 1]! - 0.03);
        },
      ),
      { numRuns: 12, seed: 11 },
    );
  });
});

describe('a rod that stands ready', () => {
  const ready: Rig = {
    ...RIG,
    rod: { ...RIG.rod, id: 'r2', name: 'light rod' },
    tip: null,
    fly: wet,
    leader,
    shot: undefined,
  };
  const kit: KitItem[] = [RIG.rod, RIG.head, RIG.tip!, RIG.leader, RIG.fly, heavy, wet, leader];
  const ask = (o: Partial<ChangesRequest> = {}): ChangesRequest => ({
    ...{
      channel,
      lengthM: RUN.lengthM,
      lies,
      kit,
      rules: null,
      rig: RIG,
      plan: PLAN,
      lie,
      rigged: [ready],
    },
    ...o,
  });

  it('is the cheapest change of what is tied on: seconds, whatever else differs on it', () => {
    const from = ask();
    const [taken] = possibleSettings('other rod', from);
    const to = patched(from, taken!);
    expect(to.rig).toMatchObject({ rod: { id: 'r2' }, fly: { id: 'wet' }, tip: null });
    expect(leversBetween(from, to)).toEqual(['other rod']);
    expect(costBetween(from, to)).toBe(20);
    expect(costBetween(from, patched(from, { rig: { fly: wet } }))).toBe(120);
    // What is changed on it counts as if it had been in hand.
    expect(leversBetween(from, patched(to, { rig: { fly: heavy } }))).toEqual(['other rod', 'fly']);
  });

  it('leaves nothing of the other rig on it: no shot, no float', () => {
    const from = ask({ rig: { ...RIG, shot: { massKg: 4e-4, aboveFlyM: 0 } } });
    const to = patched(from, possibleSettings('other rod', from)[0]!);
    expect(to.rig.shot).toBeUndefined();
  });

  it('is taken up where what is in hand is not allowed, and never when itself is not', () => {
    const rules = STRICT;
    const barbed = { ...RIG, fly: { ...RIG.fly, barbless: false } };
    expect(legalRig(ask({ rig: barbed, rules, kit: [] }))!.rod.id).toBe('r2');
    const bad = { ...ready, fly: { ...wet, barbless: false } };
    expect(possibleSettings('other rod', ask({ rules, rigged: [bad] }))).toEqual([]);
  });

  it('is among the changes that the search offers, where what is on it brings the fly to the lie', () => {
    // Too light for the bed from here; the other rod carries a heavier tip.
    const light = { ...RIG, tip: null };
    const dense = { ...RIG, rod: ready.rod, tip: { ...RIG.tip!, id: 'dense', sinkRateMps: 0.15 } };
    const { value } = whole(changesFor(ask({ plan, rig: light, rigged: [dense], kit: [] })));
    const taken = some(value.changes).find((c) => c.levers.join() === 'other rod');
    expect(taken!.chance).toBeGreaterThan(value.now!.chance);
    expect(taken!.costS).toBe(20);
  });
});

describe('changes keep to what the angler can do', () => {
  const sinker: KitItem = { ...RIG.head, id: 'sinker', name: 'sinker', shape: 'long', sinkRatesMps: [0.1] };
  const kit: KitItem[] = [RIG.head, sinker, RIG.leader, leader, RIG.fly, { ...leader, id: 'nicked', nicked: true }];
  const ask = (o: Partial<ChangesRequest> = {}): ChangesRequest => ({
    ...{ channel, lengthM: RUN.lengthM, lies, kit, rules: null, rig: RIG, plan: PLAN, lie },
    ...o,
  });
  const ids = (lever: 'head' | 'leader', o: Partial<ChangesRequest> = {}) =>
    possibleSettings(lever, ask(o)).map(
      (p) => (p.rig as { head?: { id: string }; leader?: { id: string } })[lever]!.id,
    );

  it('no line that was never handled; no cast beyond what is comfortable; no water deeper than is waded', () => {
    expect(ids('head')).toEqual(['sinker']);
    expect(ids('head', { means: { ...ANY_MEANS, lines: ['short head'] } })).toEqual([]);
    const lengths = LEVERS.length.settings(ask({ means: { ...ANY_MEANS, longestM: 13 } })).map((p) => p.plan!.outM!);
    expect(Math.max(...lengths)).toBeLessThanOrEqual(13);
    const outs = (wadeM: number) =>
      LEVERS.stand
        .settings(ask({ plan: { ...PLAN, yM: 1 }, means: { ...ANY_MEANS, wadeM } }))
        .flatMap((p) => ('yM' in p.plan ? p.plan.yM : []));
    expect(Math.max(0, ...outs(0.1))).toBeLessThan(Math.max(...outs(0.8)));
  });

  it('a leader instead, whole ones only, long enough for what hangs on it', () => {
    expect(ids('leader')).toEqual(['long']);
    expect(ids('leader', { rig: { ...RIG, leader, droppers: [above(wet, 1.5)] } })).toEqual([]);
    const to = patched(ask(), { rig: { leader } });
    expect(leversBetween(ask(), to)).toEqual(['leader']);
  });

  it('knots take twice as long without the eyes for them, a tip does not', () => {
    const blind = ask({ means: { ...ANY_MEANS, fineKnots: false } });
    expect(costBetween(blind, patched(blind, { rig: { fly: heavy } }))).toBe(240);
    expect(costBetween(blind, patched(blind, { rig: { tip: null } }))).toBe(90);
  });
});
