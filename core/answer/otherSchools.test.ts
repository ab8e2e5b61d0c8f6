import { ANY_CAST } from '../cast';
import { itemsOf, type LeaderItem, tippetDiameterM } from '../tackle';
import { legalOn, otherSchools } from './otherSchools';
import { refitted, setupOf } from './rigs';
import type { Served } from './stands';
import { type Asked, BAG, fly, LIGHT, OPEN, situation, tied } from './waters.testing';
import { benchOf } from './setupWorth';

const BARBED = fly('rabbit strip', 'pink', { barbless: false });
const KIT = [...BAG, BARBED];
const TWO = tied('single 4', 'floating 4', '', '6 ft to 4X', 'brown soft-hackle spider', {
  droppers: [{ flyId: 'orange large soft hackle', way: 'ring', aboveM: 0.6, armM: 0.15 }],
});

describe('what is tied on, as far as it is allowed', () => {
  const legal = (rules: Partial<typeof OPEN>, tiedOn = LIGHT, shot = false) => {
    const s = situation({ kit: KIT, tiedOn, water: { rules: { ...OPEN, ...rules } } });
    const on = { ...s.tiedOn!, ...(shot ? { shot: { massKg: 4e-4, aboveFlyM: 0.15 } } : null) };
    return { on, legal: legalOn(s, on) };
  };

  it('is itself where no rule speaks against it', () => {
    const { on, legal: same } = legal({ barbless: true, maxFlies: 1 });
    expect(same).toBe(on);
    const s = { ...situation({ tiedOn: LIGHT }), rules: null };
    expect(legalOn(s, { ...s.tiedOn!, fly: BARBED })).toEqual({ ...s.tiedOn!, fly: BARBED });
  });

  it('is without what can be taken off: the second fly, the shot', () => {
    const two = legal({ maxFlies: 1 }, TWO);
    expect([two.on.droppers.length, two.legal!.droppers, two.legal!.fly]).toEqual([1, [], two.on.fly]);
    const shot = legal({ noAddedWeight: true }, LIGHT, true);
    expect([shot.on.shot === undefined, shot.legal!.shot, shot.legal!.fly]).toEqual([false, undefined, shot.on.fly]);
  });

  it('is nothing where the fly itself is forbidden: another one is another rig', () => {
    expect(legal({ barbless: true }, { ...LIGHT, flyId: BARBED.id }).legal).toBeNull();
    expect(legal({ noAddedWeight: true }, { ...LIGHT, flyId: 'olive woolly bugger' }).legal).toBeNull();
  });
});

describe('what other schools would do', () => {
  const casts = [6, 9, 14].map((outM) => ({ plan: { ...ANY_CAST, outM } }));
  /** By school, of what is tied on, fished on the swing from casts of 6 to 14 m, the first one the shortest. */
  const others = (o: Asked, tiedOn = LIGHT, shot = false) => {
    const s = situation({ ...o, tiedOn });
    const rig = { ...s.tiedOn!, ...(shot ? { shot: { massKg: 4e-4, aboveFlyM: 0.15 } } : null) };
    const soft = rig.fly.family === 'soft-hackle spider';
    const setup = setupOf(s, soft ? 'soft hackles on the swing' : 'streamer on the swing', rig, 1);
    return Object.fromEntries(
      otherSchools(benchOf(s), { setup, covering: { casts }, begin: casts[0] } as unknown as Served).map((x) => [
        x.school,
        x,
      ]),
    );
  };
  const DIRTY = { reading: { visibilityM: 0.4, colour: 'grey-brown' } } as const;

  it('leaves out the one that is used', () => {
    for (const { used, others: rest } of Object.values(others({})))
      expect([rest.length > 0, rest.map((x) => x.name).includes(used)]).toEqual([true, false]);
  });

  it('is told where it bears on the answer only: murk, shot, two flies', () => {
    const told = (o: Asked, tiedOn = LIGHT, shot = false) => {
      const all = others(o, tiedOn, shot);
      return ['murkSize', 'murkPlace', 'shot', 'twoFlies', 'mends'].filter((x) => x in all);
    };
    expect(told({})).toEqual(['mends']);
    expect(told(DIRTY)).toEqual(['murkSize', 'murkPlace', 'mends']);
    expect(told({ reading: { levelM: 0.31 } })).toEqual(['murkPlace', 'mends']);
    expect(told({ reading: { levelM: 0.29 } })).toEqual(['mends']);
    expect(told({}, LIGHT, true)).toEqual(['shot', 'mends']);
    expect(told({}, TWO)).toEqual(['twoFlies', 'mends']);
  });

  it('tells what the other would do with line and water: mends, times, length, a denser tip', () => {
    const would = (school: string, o: Asked = {}) =>
      Object.fromEntries(others(o)[school]!.others.map((x) => [x.name, x.would]));
    expect(would('search')).toEqual({ 'stay and vary': { times: 4 } });
    expect(would('search', { settings: { schools: { search: 'stay and vary' } } })).toEqual({ search: { times: 2 } });
    expect(would('distance')).toEqual({ far: { lineM: 0.75 * 14 } });
    // Begun with as much already, they do the same.
    expect(would('distance', { settings: { schools: { distance: 'far' } } })).toEqual({ 'short and sure': null });
    expect(would('mends')).toMatchObject({ 'keep it straight': { mendM: 0 }, 'one and a step': null });
    const { tip: densest } = others({}).tip!.others[0]!.would as { tip: string };
    const s = situation({ tiedOn: LIGHT });
    const on = setupOf(s, 'streamer on the swing', s.tiedOn!, 1);
    const castable = itemsOf(BAG, 'tip').filter((tip) => refitted(s, on, { tip }));
    const rate = (name: string) => castable.find((tip) => tip.name === name)!.sinkRateMps;
    expect(rate(densest)).toBe(Math.max(...castable.map((tip) => tip.sinkRateMps)));
    expect(would('tip', { settings: { schools: { tip: 'one dense line kept moving' } } })).toEqual({
      'lighten for the soft edge': null,
    });
    for (const hands of ['motion', 'hang', 'lineHand', 'bow'])
      expect(Object.values(would(hands)).every((x) => x === null)).toBe(true);
  });

  it('says nothing of the hours: they are the day’s, not the run’s', () => {
    expect(others({}).hours).toBeUndefined();
  });

  it('names the leader that it would tie to, where the bag has one', () => {
    const stout = BAG.find((k) => k.type === 'leader' && k.id === '9 ft to 3X') as LeaderItem;
    const [butt, tippet] = stout.pieces;
    const fine = {
      ...stout,
      id: 'fine',
      name: '9 ft to 4X',
      pieces: [butt!, { ...tippet!, diameterM: tippetDiameterM(4) }],
    };
    const finer = (kit: Asked['kit']) =>
      others({ kit, settings: { schools: { tippet: 'strong' } } }).tippet!.others.map((x) => x.would);
    expect(finer([...BAG, fine])).toEqual([{ leader: '9 ft to 4X' }]);
    expect(finer(BAG)).toEqual([null]);
  });

  it('names the fly of the bag that it would tie on, where that is what they differ in', () => {
    const pink = fly('rabbit strip', 'pink');
    const naturals = (flyId: string) => {
      const o = { kit: [...BAG, pink], settings: { schools: { colour: 'contrast' } } } as const;
      return others(o, { ...LIGHT, flyId }).colour!.others.find((x) => x.name === 'naturals')!.would;
    };
    const natural = expect.stringMatching(/^(black|olive|white|brown|tan)$/);
    expect(naturals(pink.id)).toMatchObject({ fly: { colour: natural } });
    // Another kind of fly may be better; whoever keeps to naturals has nothing against this one.
    expect(naturals('olive rabbit strip')).toBeNull();
  });
});
