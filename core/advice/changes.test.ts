import { KIT } from '@/demo/kit';
import { castAt, shortestCast, wadeTo } from '../cast';
import { findLies } from '../lies';
import { NUMERICS, type Numerics } from '../swing';
import { rankCorrelation } from '../maths/statistics';
import { RIG, RUN, whole } from '../testing/fixtures';
import { buildChannel } from '../water';
import { type Changes, changesFor } from './changes';
import { type ChangesRequest, costBetween } from './levers';
import { combinations, rank, type RankRequest } from './rank';
import { tryAll, tryOut } from './trial';
import { byMiss } from './types';
import { missOf } from './verdict';
import { changeWords } from './words';

const channel = buildChannel(RUN, null);
const lies = findLies(RUN, channel, null, { quarry: 'sea trout', school: 'near the bed', most: 5 });
const lie = lies[0]!;
const wanted = { lie, sideOn: false };
const plan = castAt(lie, channel, RIG, lies);
const asked = (o: Partial<ChangesRequest> = {}): ChangesRequest => ({
  ...{ channel, lengthM: RUN.lengthM, lies, rig: RIG, plan, kit: KIT, rules: null },
  ...wanted,
  ...o,
});
const levers = (c: Changes) => c.changes.filter((x) => x.does).map((x) => x.levers.join('+'));

describe('what is wrong with a pass', () => {
  it('is nothing when the fly is in the band and slow, and more the further off', () => {
    const t = tryOut(channel, wanted, { rig: RIG, plan }, NUMERICS.full)!;
    const at = (depthM: number, crossSpeedMps = 0.1, axisDeg = 90) => {
      const pass = { ...t.verdict.pass, depthM, crossSpeedMps, axisDeg };
      const byM = Math.max(0, lie.band.topM - depthM);
      return { ...t.verdict, pass, byM, fit: byM > 0 ? ('too shallow' as const) : ('right' as const) };
    };
    expect(missOf(at(lie.band.topM), false)).toBe(0);
    expect(missOf(at(lie.band.topM - 0.2), false)).toBeCloseTo(2, 6);
    expect(missOf(at(lie.band.topM, lie.crossSpeedMps + 0.1), false)).toBeCloseTo(1, 6);
    expect(missOf(at(lie.band.topM, 0.1, 30), true)).toBeCloseTo(1, 6);
    expect(missOf({ ...t.verdict, fit: 'not reached' }, false)).toBeGreaterThanOrEqual(20);
  });

  it('gives null, not an error, for what cannot be cast', () => {
    expect(tryOut(channel, wanted, { rig: RIG, plan: { ...plan, outM: 1 } }, NUMERICS.coarse)).toBeNull();
  });
});

describe('ranking', () => {
  const q: RankRequest = {
    ...{ channel, base: { rig: RIG, plan } },
    ...wanted,
    vary: {
      tips: [null, ...KIT.filter((k) => k.type === 'tip')],
      flies: KIT.filter((k) => k.type === 'fly').slice(0, 4),
      angles: [55, 75],
      mends: [0, 1.5],
    },
  };
  const trials = combinations(q.base, q.vary);

  it('finds, coarse first, what a full search finds, and says how far it is', async () => {
    const shares: number[] = [];
    const run = (which: readonly number[], num: Numerics) => {
      const { value, shares: s } = whole(tryAll(q, which, num));
      shares.push(...s);
      return value;
    };
    const best = await rank(q, 5, {
      coarse: async (which) => run(which, NUMERICS.coarse).map((t) => t && t.miss),
      full: async (which) => run(which, NUMERICS.full),
    });
    const all = trials.flatMap((t) => tryOut(channel, wanted, t, NUMERICS.full) ?? []).sort(byMiss);
    expect(trials).toHaveLength(96);
    expect(best).toHaveLength(5);
    expect(best[0]!.miss).toBeLessThanOrEqual(all[0]!.miss + 0.05);
    expect(best.every((b, i) => i === 0 || b.miss >= best[i - 1]!.miss)).toBe(true);
    expect(shares).toHaveLength(96 + 15);
  });

  it('orders depth at the lie as the full model does, to a correlation of ranks of 0.98 and better', () => {
    const depths = (num: Numerics) => trials.map((t) => tryOut(channel, wanted, t, num)!.verdict.pass.depthM);
    expect(rankCorrelation(depths(NUMERICS.coarse), depths(NUMERICS.full))).toBeGreaterThan(0.98);
  });
});

describe('the smallest changes', () => {
  it('asks for none when the fly passes as wanted', () => {
    const right = {
      ...asked(),
      lie: { ...lie, band: { ...lie.band, topM: 0.05, bottomM: lie.depthM - 0.05 }, crossSpeedMps: 2 },
    };
    const { value } = whole(changesFor(right));
    expect(value).toMatchObject({ now: { miss: 0 }, changes: [] });
  });

  it('gives the cheap ones first, each the smallest of its lever that does it, and each does it when swum again', () => {
    const flat = { ...plan, angleDeg: 50 };
    const { value, shares } = whole(changesFor(asked({ plan: flat })));
    expect(value.now!.verdict.fit).toBe('too shallow');
    const doing = value.changes.filter((c) => c.does);
    expect(doing.length).toBeGreaterThanOrEqual(2);
    doing.forEach((c, i) => i > 0 && expect(c.costS).toBeGreaterThanOrEqual(doing[i - 1]!.costS));
    for (const c of doing) expect(tryOut(channel, wanted, c, NUMERICS.full)!.miss).toBe(0);
    const mend = doing.find((c) => c.levers[0] === 'mend')!;
    const less = { rig: RIG, plan: { ...flat, mendM: mend.plan.mendM - 0.5 } };
    expect(tryOut(channel, wanted, less, NUMERICS.full)!.miss).toBeGreaterThan(0);
    expect(Math.max(...shares)).toBeLessThanOrEqual(1);
  });

  it('joins two where none alone does it, and shows what each alone achieves', () => {
    const q = asked({ plan: { ...plan, angleDeg: 45 }, rig: { ...RIG, tip: null } });
    const { value } = whole(changesFor(q));
    const doing = value.changes.filter((c) => c.does);
    expect(doing.length).toBeGreaterThan(0);
    expect(doing.every((c) => c.levers.length === 2)).toBe(true);
    const alone = value.changes.filter((c) => !c.does);
    expect(alone.map((c) => c.levers[0])).toContain('tip');
    expect(alone.every((c) => c.miss > 0 && c.miss < value.now!.miss)).toBe(true);
    expect(doing[0]!.costS).toBe(costBetween(q, doing[0]!));
  });

  it('leaves out what the rules of the water forbid', () => {
    const rules: ChangesRequest['rules'] = {
      maxFlies: 1,
      barbless: true,
      noAddedWeight: true,
      season: null,
      closesAtC: null,
      text: '',
      source: '',
    };
    const q = asked({ plan: { ...plan, angleDeg: 45 }, rig: { ...RIG, tip: null } });
    const { value } = whole(changesFor({ ...q, rules }));
    expect(value.changes.length).toBeGreaterThan(0);
    for (const c of value.changes) {
      expect(c.rig.shot).toBeUndefined();
      expect(['none', 'buoyant']).toContain(c.rig.fly.weight);
      expect(c.rig.fly.barbless).toBe(true);
    }
    expect(levers(whole(changesFor(q)).value)).toContain('mend+shot');
  });

  it('sends nobody where it is too deep to wade or shorter than the rig can be cast', () => {
    const { value } = whole(changesFor(asked({ plan: { ...plan, angleDeg: 40 } })));
    for (const c of value.changes) {
      if (c.levers.includes('stand')) expect(c.plan.yM).toBeLessThanOrEqual(wadeTo(channel, lies, c.plan.xM) + 1e-6);
      if (c.levers.includes('length')) expect(c.plan.outM).toBeGreaterThanOrEqual(shortestCast(RIG));
    }
  });

  it('says each in an angler’s words', () => {
    const from = { rig: RIG, plan };
    const change = (levers: Changes['changes'][0]['levers'], o: object, r: object = {}) =>
      changeWords(
        { levers, plan: { ...plan, ...o }, rig: { ...RIG, ...r } } as unknown as Changes['changes'][0],
        from,
        'metric',
      );
    expect(change(['angle'], { angleDeg: plan.angleDeg + 10 })).toBe('Cast 10° further upstream');
    expect(change(['mend', 'length'], { mendM: 1, outM: plan.outM - 2 })).toBe(
      'Mend 1.0 m upstream, cast 2.0 m shorter',
    );
    expect(change(['mend'], { mendM: -1 })).toBe('Mend 1.0 m downstream');
    expect(change(['rod'], { tipUnder: true })).toBe('Hold the rod tip under water');
    expect(change(['stand'], { xM: plan.xM - 2 })).toBe('Stand 2.0 m further up');
    expect(change(['tip'], {}, { tip: null })).toBe('Take the tip off');
    expect(change(['shot'], {}, { shot: { massKg: 4e-4, aboveFlyM: 0 } })).toBe('Pinch on 0.4 g of shot');
  });
});
