import { BECAUSE, OPEN } from '../testing/fixtures';
import { KIT } from '@/demo/kit';
import { ANY_MEANS } from '../cast/means';
import type { ColourAt } from '../colour/verdict';
import type { WaterRules } from '../rules';
import { balanceOf, isMonoRig, isWetFly, type KitItem } from '../tackle';
import { INCH_M } from '../units';
import { packFor, type PackAsk } from './packing';
import { DARK, sinkOf } from './rodsAhead';
import { fly } from '../answer/waters.testing';
import { hookSpan } from '@/words/packing';

const colour = (...chances: number[]): ColourAt => ({
  ...{ at: 0, medianM: 1, low80M: 0.5, high80M: 2, because: BECAUSE, chances },
});
const RULES: WaterRules = { ...OPEN, maxFlies: 2, source: 'a board' };
const ask: PackAsk = {
  ...{
    kit: KIT,
    quarry: 'brown trout',
    rules: RULES,
    means: ANY_MEANS,
    colour: colour(1, 0.9, 0.8, 0.3),
    waterC: [8, 11],
    airC: 9,
    rainMm: 0,
  },
  ...{ sun: true, dark: false, dam: false },
};
const pack = (change: Partial<PackAsk> = {}) => packFor({ ...ask, ...change });
const ids = (p: ReturnType<typeof packFor>) => p.groups.flatMap((g) => g.items.map((i) => i.id));
const item = (p: ReturnType<typeof packFor>, id: string) => p.groups.flatMap((g) => g.items).find((i) => i.id === id);
const without = (gone: (k: KitItem) => boolean) => KIT.filter((k) => !gone(k));

describe('rods that are rigged ahead', () => {
  it('serve the waters that are likely, the likeliest in hand, each on a rod of its own', () => {
    const { rods } = pack();
    expect(rods.map((r) => r.purpose)).toEqual(['fair', 'clear']);
    expect(rods[0]!.chance).toBeCloseTo(0.6, 9);
    expect(new Set(rods.map((r) => r.rig.rod.id)).size).toBe(rods.length);
    const all = pack({ colour: colour(0.9, 0.7, 0.6, 0.3) }).rods;
    expect(all.map((r) => r.purpose)).toEqual(['fair', 'dirty', 'clear']);
    expect(pack({ colour: null }).rods).toHaveLength(3);
  });

  it('are what the purpose asks for: dense, short and dark; floating, fine and soft', () => {
    const [dirty, fair] = pack({ colour: colour(0.7, 0.2, 0.1, 0) }).rods;
    expect(dirty!.purpose).toBe('dirty');
    expect(sinkOf(dirty!.rig.head, dirty!.rig.tip)).toBeGreaterThanOrEqual(5 * INCH_M);
    expect(['black', 'black and blue', 'purple']).toContain(dirty!.rig.fly.colour);
    expect(fair!.purpose).toBe('fair');
    const clear = pack({ colour: colour(1, 1, 1, 0.9) }).rods[0]!;
    expect(clear.purpose).toBe('clear');
    expect(sinkOf(clear.rig.head, clear.rig.tip)).toBe(0);
    expect(isWetFly(clear.rig.fly)).toBe(true);
  });

  it('hang on leaders that are whole, and of a fly line', () => {
    const leaders = KIT.filter((k) => k.type === 'leader');
    const usual = pack().rods.map(({ rig }) => rig.leader.id);
    const nicked = KIT.map((k) => (k.type === 'leader' && usual.includes(k.id) ? { ...k, nicked: true } : k));
    const mono = leaders.find((leader) => isMonoRig({ leader }))!;
    expect(mono).toBeDefined();
    const others = pack({ kit: nicked }).rods.map(({ rig }) => rig.leader.id);
    expect(others.length).toBeGreaterThan(0);
    for (const id of others) expect([...usual, mono.id]).not.toContain(id);
    const only = KIT.filter((k) => k.type !== 'leader' || k === mono);
    expect(pack({ kit: only }).rods).toEqual([]);
  });

  it('throw large dark flies with the stronger rod, soft hackles with the lighter', () => {
    const rods = pack({ colour: colour(0.7, 0.5, 0.4, 0.25) }).rods;
    const line = (purpose: string) => rods.find((r) => r.purpose === purpose)!.rig.rod.lineNumber;
    expect(line('dirty')).toBeGreaterThan(line('clear'));
  });

  it('are stronger, with larger flies, for fish that run', () => {
    const clear = (quarry: PackAsk['quarry']) => pack({ quarry, colour: colour(1, 1, 1, 0.9) }).rods[0]!.rig;
    const [trout, steelhead] = [clear('brown trout'), clear('steelhead')];
    expect(steelhead.rod.lineNumber).toBeGreaterThan(trout.rod.lineNumber);
    expect(steelhead.fly.lengthM).toBeGreaterThan(trout.fly.lengthM);
    expect(steelhead.fly.lengthM).toBeGreaterThan(0.02);
  });

  it.each([
    ['one that may not be weighted or barbed', { rules: { ...RULES, barbless: true, noAddedWeight: true } }],
    ['the lines that were ever handled', { means: { ...ANY_MEANS, lines: ['floating line'] as const } }],
    ['what is known of nothing', { colour: null }],
  ])('balance, and keep to rules and means: %s', (_name, change) => {
    const { rods } = pack(change as Partial<PackAsk>);
    expect(rods.length).toBeGreaterThan(0);
    for (const { rig } of rods) {
      expect(balanceOf(rig)).toMatchObject({ fits: 'right', tipTooHeavy: false, flyTooHeavy: false });
      if ('rules' in change)
        expect([rig.fly.barbless, rig.fly.weight === 'none' || rig.fly.weight === 'buoyant']).toEqual([true, true]);
      if ('means' in change) expect([rig.head.shape, rig.head.sinkRatesMps]).toEqual(['taper', [0]]);
    }
  });
});

describe('what is missing is said before the drive', () => {
  const floating = without((k) => k.type === 'tip' || (k.type === 'head' && k.sinkRatesMps.some((r) => r > 0)));

  it('only a floating line and a chance of two feet or less', () => {
    const murky = colour(0.8, 0.4, 0.2, 0);
    const codes = (of: ReturnType<typeof packFor>) => of.missing.map((m) => m.code);
    expect(pack({ kit: floating, colour: murky }).missing[0]).toEqual({
      ...{ code: 'only floating', owns: false, chance: expect.closeTo(0.6, 9) },
    });
    expect(codes(pack({ kit: floating, colour: colour(1, 0.95, 0.9, 0.4) }))).not.toContain('only floating');
    // One rod of several that sinks is enough.
    const three = pack({ colour: colour(0.7, 0.5, 0.4, 0.25) });
    expect(three.rods.map((r) => sinkOf(r.rig.head, r.rig.tip) > 0)).toContain(false);
    expect(codes(three)).not.toContain('only floating');
    const never = { ...ANY_MEANS, lines: [] };
    expect(pack({ colour: murky, means: never }).missing[0]).toEqual({ code: 'no whole rig' });
  });

  it('no fly that is allowed; barbed ones to be left; what runs low', () => {
    const barbed = KIT.map((k) => (k.type === 'fly' ? { ...k, barbless: false } : k));
    const rules = { ...RULES, barbless: true };
    expect(pack({ kit: barbed, rules }).missing[0]).toEqual({ code: 'no legal fly' });
    expect(
      pack({
        rules,
        kit: [...KIT, { ...(KIT.find((k) => k.type === 'fly') as KitItem), id: 'b', barbless: false } as KitItem],
      }).missing,
    ).toContainEqual({ code: 'barbed flies' });
    expect(pack().missing.map((m) => m.code)).toContain('running low');
    expect(pack({ kit: without((k) => k.type === 'spool') }).missing).toContainEqual({ code: 'no tippet' });
    expect(pack({ kit: [] }).missing[0]!.code).toMatch(/^no /);
  });
});

describe('the list follows from the day', () => {
  it('cold, rain, dark, a dam and warm water each bring their thing and their reason', () => {
    expect(ids(pack())).toEqual(
      expect.arrayContaining(['hat', 'vest', 'staff', 'net', 'thermometer', 'forceps', 'dry layer', 'permit']),
    );
    for (const id of ['gloves', 'rain jacket', 'lamp']) expect(ids(pack())).not.toContain(id);
    expect(item(pack({ airC: 2 }), 'gloves')).toMatchObject({ airC: 2 });
    expect(item(pack({ rainMm: 6 }), 'rain jacket')).toMatchObject({ mm: 6 });
    expect(ids(pack({ dark: true }))).toContain('lamp');
    expect(item(pack({ dam: true }), 'staff')).toMatchObject({ dam: true });
    expect(item(pack({ waterC: [16, 19] }), 'thermometer')).toMatchObject({ warm: true });
    const layer = (waterC: PackAsk['waterC'], airC: number | null = 20) => {
      const found = item(pack({ waterC, airC }), 'dry layer');
      return found?.code === 'dry layer' ? found.coldC : undefined;
    };
    expect([layer([8, 11]), layer([14.9, 19]), layer([15, 19])]).toEqual([8, 14.9, undefined]);
    // What is not known counts as cold; and cold air is enough.
    expect([layer(null), layer([16, 19], null), layer([16, 19], 13)]).toEqual([null, null, null]);
    expect(item(pack({ means: { ...ANY_MEANS, children: true } }), 'vest')).toMatchObject({ children: true });
  });

  it('holds no shot and no weighted fly where no weight may be added, and no ring where one fly is the rule', () => {
    const strict = pack({ rules: { ...RULES, noAddedWeight: true, maxFlies: 1 } });
    expect(ids(strict)).not.toContain('shot');
    expect(ids(strict)).not.toContain('rings');
    const count = (p: ReturnType<typeof packFor>) => {
      const found = item(p, 'flies-light');
      return found?.code === 'flies' ? found.flies.length : 0;
    };
    expect(count(strict)).toBeLessThan(count(pack()));
    expect(ids(pack())).toEqual(expect.arrayContaining(['shot', 'rings']));
  });

  it('names what is in the bag as its owner does, each with its reason', () => {
    const what = (id: string) => item(pack({ colour: colour(0.8, 0.5, 0.4, 0.1) }), id);
    expect(what('spools')).toEqual({
      ...{ id: 'spools', code: 'spools', names: ['2X nylon', '4X nylon', '5X nylon'] },
    });
    expect(what('shot')).toMatchObject({ names: ['Shot BB, 0.4 g', 'Shot no. 4, 0.2 g'] });
    expect(what('rings')).toMatchObject({ names: ['Rings for steelhead, 3 mm', 'Rings for trout, 2 mm'] });
    expect(what('floats')).toBeDefined();
    expect(ids(pack({ means: { ...ANY_MEANS, lines: ['floating line'] } }))).not.toContain('floats');
    expect(what('flies-dark')).toMatchObject({ code: 'flies', of: 'dark' });
    expect(what('thermometer')).toMatchObject({ warm: false });
    expect(what('permit')).toMatchObject({ source: 'a board' });
    expect(item(pack({ rules: { ...RULES, source: '' } }), 'permit')).toMatchObject({ source: '' });
    // Of the tips those that are on a rod already are no spares.
    const p = pack({ colour: colour(0.3, 0.1, 0, 0) });
    const rigged = p.rods.flatMap((r) => (r.rig.tip ? [r.rig.tip.name] : []));
    expect(rigged.length).toBeGreaterThan(0);
    for (const name of rigged) expect(item(p, 'tips')).not.toMatchObject({ names: expect.arrayContaining([name]) });
  });

  it('leaves dark flies at home where the water will be clear, and takes two answers all the same', () => {
    const clear = pack({ colour: colour(1, 1, 1, 0.95) });
    expect(ids(clear)).not.toContain('flies-dark');
    expect(clear.rods.map((r) => r.purpose)).toEqual(['clear', 'fair']);
    // A third rod from 15 in a hundred on.
    expect(pack({ colour: colour(0.9, 0.85, 0.6, 0.4) }).rods).toHaveLength(3);
    expect(pack({ colour: colour(0.9, 0.86, 0.6, 0.4) }).rods).toHaveLength(2);
    const rod = (i: number) => item(clear, `rod-${clear.rods[i]!.rig.rod.id}`);
    expect(rod(0)).toMatchObject({ inHand: true, rod: { purpose: 'clear', chance: 0.95 } });
    expect(rod(1)).toMatchObject({ inHand: false, rod: { purpose: 'fair', chance: expect.closeTo(0.05, 9) } });
  });

  it('takes what wakes for warm clear water alone, never as a dark streamer; what is used up stays at home', () => {
    const kit = [...without((k) => k.type === 'fly' && DARK.has(k.colour)), fly('waking fly', 'black')];
    const warm = { kit, colour: colour(1, 1, 1, 0.9), waterC: [13, 15] } as const;
    expect(item(pack(warm), 'flies-wake')).toMatchObject({ of: 'wake', flies: [{ hook: '6' }] });
    expect(ids(pack({ ...warm, waterC: [8, 11] }))).not.toContain('flies-wake');
    const dirty = pack({ kit, colour: colour(0.7, 0.2, 0.1, 0), waterC: [13, 15] });
    expect(ids(dirty)).not.toContain('flies-wake');
    expect(ids(dirty)).not.toContain('flies-dark');
    expect(dirty.rods.map((r) => r.rig.fly.family)).not.toContain('waking fly');
    const first = dirty.rods[0]!.rig.fly;
    const usedUp = pack({
      kit: kit.map((k) => (k === first ? { ...k, count: 0 } : k)) as KitItem[],
      colour: colour(0.7, 0.2, 0.1, 0),
    });
    expect(usedUp.rods.map((r) => r.rig.fly.id)).not.toContain(first.id);
  });

  it('says for which water there is no rod of its own, and counts what runs low', () => {
    const one = without((k) => k.type === 'rod' && k.id !== 'rod-6');
    expect(pack({ kit: one, colour: colour(0.9, 0.6, 0.5, 0.1) }).missing).toContainEqual({
      ...{ code: 'no rod for', purpose: 'dirty', chance: expect.closeTo(0.4, 9) },
    });
    const low = KIT.filter((k) => k.type !== 'leader').map((k, i) => ({ ...k, low: i < 6 }));
    expect(
      pack({ kit: [...low, ...KIT.filter((k) => k.type === 'leader' && !k.nicked)] }).missing.at(-1),
    ).toMatchObject({
      ...{ code: 'running low', names: expect.objectContaining({ length: 6 }) },
    });
    const aside = KIT.map((k) => (k.low || (k.type === 'leader' && k.nicked) ? { ...k, aside: true } : k));
    expect(pack({ kit: aside }).missing.map((m) => m.code)).not.toContain('running low');
  });

  it('tells sizes of hooks from the largest number up, one as one', () => {
    const flies = KIT.filter((k) => k.type === 'fly');
    const of = (...hooks: string[]) => hookSpan(hooks.map((hook) => ({ ...flies[0]!, hook })));
    expect([of('12', '4', '8'), of('10', '10'), of()]).toEqual(['sizes 4 to 12', 'size 10', '']);
  });

  it('ticks by names that stay: none stands twice', () => {
    for (const p of [pack(), pack({ colour: null }), pack({ airC: 0, rainMm: 9, dark: true })])
      expect(new Set(ids(p)).size).toBe(ids(p).length);
  });
});
