import { KIT } from '@/demo/kit';
import { castAt, shortestCast, wadeTo } from '../cast';
import { findLies } from '../lies';
import { NUMERICS, type Numerics } from '../swing';
import { rankCorrelation } from '../maths/statistics';
import { checkRig } from '../rules';
import type { Rig } from '../tackle';
import { RIG, RUN, STRICT, whole } from '../testing/fixtures';
import { buildChannel } from '../water';
import { type Changes, changesFor, SURE_OF_TEN } from './changes';
import { type ChangesRequest, costBetween, possibleSettings, patched } from './levers';
import { combinations, rank, type RankRequest } from './rank';
import { chanceOf, tryAll, tryOut } from './trial';
import { byMiss, type Tried } from './types';
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
    const tips = KIT.filter((k) => k.type === 'tip').length;
    expect(trials).toHaveLength((tips + 1) * 4 * 2 * 2);
    expect(best).toHaveLength(5);
    expect(best[0]!.miss).toBeLessThanOrEqual(all[0]!.miss + 0.05);
    expect(best.every((b, i) => i === 0 || b.miss >= best[i - 1]!.miss)).toBe(true);
    expect(shares).toHaveLength(trials.length + 15);
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

  it.each([
    [60, 1], // one thing alone
    [66, 3], // no one thing alone
  ])('from %d° gives the cheap ones first, and each does it when swum again', (angleDeg, least) => {
    const { value, shares } = whole(changesFor(asked({ plan: { ...plan, angleDeg } })));
    expect(value.now!.verdict.fit).toBe('too shallow');
    const doing = value.changes.filter((c) => c.does);
    expect(doing.length).toBeGreaterThanOrEqual(least);
    doing.forEach((c, i) => i > 0 && expect(c.costS).toBeGreaterThanOrEqual(doing[i - 1]!.costS));
    for (const c of doing) {
      expect(tryOut(channel, wanted, c, NUMERICS.full)!.miss).toBe(0);
      expect(chanceOf(channel, wanted, c)).toBeGreaterThanOrEqual(SURE_OF_TEN);
    }
    expect(Math.max(...shares)).toBeLessThanOrEqual(1);
  });

  it('gives of a lever the smallest setting that does it: no smaller one does it as surely', () => {
    const from = asked({ plan: { ...plan, angleDeg: 60 } });
    const [alone] = whole(changesFor(from)).value.changes.filter((c) => c.does && c.levers.length === 1);
    for (const patch of possibleSettings(alone!.levers[0]!, from)) {
      const t = patched(from, patch);
      if (costBetween(from, t) >= alone!.costS) continue;
      const tried = tryOut(channel, wanted, t, NUMERICS.full);
      expect(tried?.miss === 0 && chanceOf(channel, wanted, t)! >= SURE_OF_TEN).toBe(false);
    }
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
    const q = asked({ plan: { ...plan, angleDeg: 45 }, rig: { ...RIG, tip: null } });
    const { value } = whole(changesFor({ ...q, rules: STRICT }));
    expect(value.changes.length).toBeGreaterThan(0);
    for (const c of value.changes) {
      expect(c.rig.shot).toBeUndefined();
      expect(['none', 'buoyant']).toContain(c.rig.fly.weight);
      expect(c.rig.fly.barbless).toBe(true);
    }
    expect(levers(whole(changesFor(q)).value)).toContain('shot+fly');
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

  it('costs by the amount: five degrees are free, fifty are another cast and another place to stand', () => {
    const cost = (o: Partial<typeof plan>) => costBetween({ rig: RIG, plan }, { rig: RIG, plan: { ...plan, ...o } });
    expect(cost({ angleDeg: plan.angleDeg + 5 })).toBe(0);
    expect(cost({ angleDeg: plan.angleDeg - 50 })).toBeGreaterThan(20);
    expect(cost({ outM: plan.outM + 4 })).toBeGreaterThan(cost({ outM: plan.outM + 1 }));
    expect(cost({ xM: plan.xM - 6 })).toBeGreaterThan(cost({ xM: plan.xM - 1 }));
  });

  it('finds the shorter cast where it is too long', () => {
    const long = { ...plan, outM: plan.outM + 6 };
    const { value } = whole(changesFor(asked({ plan: long })));
    expect(value.now!.miss).toBeGreaterThan(0);
    const shorter = value.changes.find((c) => c.levers.join() === 'length');
    expect(shorter!.plan.outM).toBeLessThan(long.outM - 1);
    expect(shorter!.miss).toBeLessThan(0.5 * value.now!.miss);
  });

  it('mends what the rules forbid before all, and never proposes what keeps a breach', () => {
    const rules = STRICT;
    const bad = {
      ...RIG,
      fly: { ...RIG.fly, id: 'barbed', barbless: false },
      shot: { massKg: 4e-4, aboveFlyM: 0 },
      droppers: [{ fly: RIG.fly, way: 'ring' as const, aboveM: 0.5, armM: 0.18 }],
    };
    const { value } = whole(changesFor(asked({ rig: bad, rules })));
    expect(value.changes.length).toBeGreaterThan(0);
    for (const c of value.changes) {
      expect(checkRig(rules, c.rig)).toEqual([]);
      expect(c.levers).toEqual(expect.arrayContaining(['shot', 'dropper', 'fly']));
    }
    const none = whole(changesFor(asked({ rig: bad, rules, kit: KIT.filter((k) => k.type !== 'fly') }))).value;
    expect(none).toMatchObject({ changes: [], nothingLegal: true });
  });
});

describe('what is ranked', () => {
  const tried = (o: { chance?: number; tip?: Rig['tip']; mendM?: number; depthM?: number; missM?: number }): Tried => {
    const base = tryOut(channel, wanted, { rig: RIG, plan }, NUMERICS.coarse)!;
    const pass = { ...base.verdict.pass, depthM: o.depthM ?? base.verdict.pass.depthM, missM: o.missM ?? 0 };
    return {
      rig: o.tip === undefined ? RIG : { ...RIG, tip: o.tip },
      plan: { ...plan, mendM: o.mendM ?? plan.mendM },
      verdict: { ...base.verdict, pass },
      miss: 0,
      chance: o.chance ?? 8,
    };
  };
  const ranked = async (list: Tried[]) => {
    const vary = { tips: [null, RIG.tip], flies: [RIG.fly], angles: [plan.angleDeg], mends: [plan.mendM] };
    return rank({ channel, base: { rig: RIG, plan }, ...wanted, vary }, 5, {
      coarse: async (which) => which.map(() => 0),
      full: async () => list,
    });
  };
  const middle = (lie.band.topM + lie.band.bottomM) / 2;

  it('the surer first, then what changes least, never the tip that stands first in the list', async () => {
    const [sure, unsure] = [tried({ chance: 9 }), tried({ chance: 7 })];
    expect(await ranked([unsure, sure])).toEqual([sure, unsure]);
    const [same, none] = [tried({}), tried({ tip: null })];
    expect(await ranked([none, same])).toEqual([same, none]);
    const [mid, edge] = [tried({ depthM: middle }), tried({ depthM: lie.band.topM })];
    expect(await ranked([edge, mid])).toEqual([mid, edge]);
  });
});
