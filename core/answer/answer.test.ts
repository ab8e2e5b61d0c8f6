import { judgeOf } from '../advice/trial';
import { ANY_MEANS, beyondMeans, doubtOf, lineKindsOf, longestCast, mayStand, shortestCast } from '../cast';
import { caseOnRun } from '../cast/case';
import { whyNotCast } from '../cast/castable';
import { seeded } from '../maths';
import { finished } from '../maths/work';
import { checkRig } from '../rules';
import { runSwing, swingBand } from '../swing';
import { fliesOf, itemOf } from '../tackle';
import { answerFor, firstAnswer } from './answer';
import { across, answered, type Asked, BAG, even, feature, OPEN, request, river, tied } from './waters.testing';

/** Questions drawn at random: water, bag, rules, angler. */
function drawn(seed: number) {
  const rand = seeded(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(rand() * list.length)]!;
  const depth = 0.4 + 1.4 * rand();
  const run = river(
    [0, 20, 40].map((x) =>
      across(x, 8 + 20 * rand(), 0, 0.4 * depth, depth * (0.8 + 0.4 * rand()), 0.9 * depth, 0.5 * depth, 0),
    ),
    0.3 + 0.9 * rand(),
    rand() < 0.4 ? { features: [feature('log', 26, 6, 4, 1), feature('boulder', 20, 5, 1.5, 1.5)] } : {},
  );
  const kit = BAG.filter((k) => (k.type !== 'fly' && k.type !== 'tip') || rand() < 0.5);
  const o: Asked = {
    kit,
    means: {
      ...ANY_MEANS,
      longestM: 9 + 13 * rand(),
      wadeM: 0.3 + 0.5 * rand(),
      lines: pick([ANY_MEANS.lines, ['floating line']]),
    },
    reading: { visibilityM: pick([0.3, 0.9, 2.5]), waterTempC: pick([5, 11, 15]), sky: pick(['bright', 'overcast']) },
    water: {
      quarry: pick(['brown trout', 'steelhead']),
      rules: { ...OPEN, maxFlies: pick([1, 2] as const), noAddedWeight: rand() < 0.5 },
    },
    tiedOn: tied('single 6', 'floating 6', '', '9 ft to 3X', kit.find((k) => k.type === 'fly')?.id ?? ''),
  };
  return { run, o };
}

const SEEDS = [1, 2, 3, 4, 5];

describe('whatever is asked', () => {
  it('says of a cast what is said of it once it is set, with the band of its swing', () => {
    let stands = 0;
    for (const { run, o } of SEEDS.slice(0, 3).map(drawn)) {
      const a = answered(run, o);
      const { channel, lies } = request(o, run);
      for (const { lie, plan, rig, chance } of a.served!.stands) {
        const swing = caseOnRun(channel, rig, plan, lies);
        const band = finished(
          swingBand(swing, runSwing(swing), doubtOf(channel), judgeOf({ channel, lies, rig, plan })),
        );
        expect(10 * band.lies[lies.findIndex((l) => l.rank === lie.rank)]!.chance!).toBeCloseTo(chance!, 9);
        stands++;
      }
    }
    expect(stands).toBeGreaterThan(3);
  });

  it('is legal, of the bag, within the angler’s means, castable, and stood where one may wade', () => {
    let stands = 0;
    for (const { run, o } of SEEDS.map(drawn)) {
      const a = answered(run, o);
      const { rules } = o.water as { rules: typeof OPEN };
      for (const rig of [a.served, a.second?.fished, ...a.changes.map((c) => c.to)].flatMap(
        (x) => x?.setup.rig ?? [],
      )) {
        expect(checkRig(rules, rig)).toEqual([]);
        for (const item of [rig.rod, rig.head, rig.leader, ...fliesOf(rig), ...(rig.tip ? [rig.tip] : [])])
          expect(itemOf(o.kit!, item.type, item.id)).toEqual(item);
        expect(
          lineKindsOf(rig)
            .filter((kind) => kind !== 'float')
            .every((kind) => o.means!.lines.includes(kind)),
        ).toBe(true);
      }
      if (!a.served) continue;
      const { channel, lies } = request(o, run);
      const { rig } = a.served.setup;
      for (const { plan, chance } of a.served.stands) {
        stands++;
        expect(whyNotCast(channel, rig, plan)).toBeNull();
        expect(plan.outM).toBeLessThanOrEqual(Math.max(longestCast(o.means!, rig), shortestCast(rig)) + 0.5);
        expect(mayStand(channel, lies, plan.xM, plan.yM, o.means)).toBe(true);
        expect(chance).toBeGreaterThanOrEqual(0);
        // Nothing is swung dead square or nearly straight down (common practice, no source).
        if (!plan.hands || plan.hands.way === 'swing') expect(Math.abs(plan.angleDeg - 62.5)).toBeLessThanOrEqual(32.5);
        expect(
          beyondMeans(o.means!, rig, { ...plan, outM: Math.min(plan.outM, o.means!.longestM) }, channel).every(
            (x) => x.code === 'fine knots' || x.code === 'longer than',
          ),
        ).toBe(true);
      }
    }
    expect(stands).toBeGreaterThan(6);
  });

  it('the smallest change never costs more than the way to the best of the bag; what is on is not changed where it does it', () => {
    for (const { run, o } of SEEDS.slice(0, 2).map(drawn)) {
      const least = answered(run, { ...o, ask: 'change' });
      const best = answered(run, o);
      const cost = (a: typeof best) => a.changes[0]?.costS ?? 0;
      expect(cost(least)).toBeLessThanOrEqual(cost(best));
      if (least.changes.length > 0) expect(least.changes[0]!.does).toBe(true);
      for (const c of least.changes) expect(c.levers.length).toBeGreaterThan(0);
    }
  });

  it('only what is on keeps what is on', () => {
    const { run, o } = drawn(2);
    const only = answered(run, { ...o, ask: 'only this' });
    if (only.served) expect(only.served.setup.rig.fly.id).toBe(o.tiedOn!.flyId);
    expect([only.changes, only.rotation]).toEqual([[], []]);
  });
});

describe('the work', () => {
  const plain = request();

  it('done again comes to the same answer, and tells a share that grows from nothing to all', () => {
    const { run, o } = drawn(2);
    const shares: number[] = [];
    const work = answerFor(request(o, run));
    let step = work.next();
    for (; !step.done; step = work.next()) shares.push(step.value);
    expect(JSON.stringify(step.value)).toBe(JSON.stringify(answered(run, o)));
    expect(shares.length).toBeGreaterThan(200);
    expect(shares.every((v, i) => v >= 0 && v <= 1 && v >= (shares[i - 1] ?? 0) - 1e-9)).toBe(true);
    expect(shares[0]).toBeLessThan(0.1);
    expect(shares.at(-1)).toBeGreaterThan(0.9);
  });

  it('has a first thought at once: a rig of the bag and plain casts, their chances not told', () => {
    const first = firstAnswer(plain)!;
    expect(first.stands.length).toBeGreaterThan(0);
    expect(first.stands.every((t) => t.chance === undefined)).toBe(true);
    expect(checkRig(OPEN, first.setup.rig)).toEqual([]);
    expect(firstAnswer({ ...plain, kit: [] })).toBeNull();
    expect(firstAnswer({ ...plain, lies: [] })).toBeNull();
  });

  it('stands are in the order of the work: head down when it swings, tail up when it goes upstream', () => {
    const swung = SEEDS.map(drawn)
      .map(({ run, o }) => answered(run, o))
      .filter((a) => a.method?.endsWith('on the swing'))
      .map((a) => a.served!.stands.map((t) => t.plan.xM));
    expect(Math.max(...swung.map((xs) => xs.length))).toBeGreaterThan(2);
    for (const xs of swung) expect(xs.every((x, i) => i === 0 || x >= xs[i - 1]! - 3)).toBe(true);
    const skinny = river(even(18, 0, 0.3, 0.4, 0.45, 0.35, 0), 0.9, {
      bed: 'boulders',
      features: [12, 22, 32].map((x, i) => feature('boulder', x, 6 + 2 * i, 1.5, 1.5)),
    });
    const up = answered(skinny, { kit: BAG.filter((k) => k.type !== 'fly' || !/soft|wet/.test(k.id)) });
    expect(up.method).toBe('upstream');
    const xs = up.served!.stands.map((t) => t.plan.xM);
    expect(xs.every((x, i) => i === 0 || x <= xs[i - 1]! + 3)).toBe(true);
  });
});
