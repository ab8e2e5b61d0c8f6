import { type LeaderItem, tippetDiameterM } from '../tackle';
import { legalOn, otherSchools } from './otherSchools';
import { setupOf } from './rigs';
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
  /** By school, of what is tied on, fished on the swing. */
  const others = (o: Asked, tiedOn = LIGHT, shot = false) => {
    const s = situation({ ...o, tiedOn });
    const rig = { ...s.tiedOn!, ...(shot ? { shot: { massKg: 4e-4, aboveFlyM: 0.15 } } : null) };
    const soft = rig.fly.family === 'soft-hackle spider';
    const setup = setupOf(s, soft ? 'soft hackles on the swing' : 'streamer on the swing', rig, 1);
    return Object.fromEntries(otherSchools(benchOf(s), { setup } as Served).map((x) => [x.school, x]));
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
      others({ kit, settings: { schools: { tippet: 'strong' } } }).tippet!.others.map((x) => x.ties);
    expect(finer([...BAG, fine])).toEqual([{ leader: '9 ft to 4X' }]);
    expect(finer(BAG)).toEqual([null]);
  });

  it('names the fly of the bag that it would tie on, where that is what they differ in', () => {
    const pink = fly('rabbit strip', 'pink');
    const naturals = (flyId: string) => {
      const o = { kit: [...BAG, pink], settings: { schools: { colour: 'contrast' } } } as const;
      return others(o, { ...LIGHT, flyId }).colour!.others.find((x) => x.name === 'naturals')!.ties;
    };
    const natural = expect.stringMatching(/^(black|olive|white|brown|tan)$/);
    expect(naturals(pink.id)).toMatchObject({ fly: { colour: natural } });
    // Another kind of fly may be better; whoever keeps to naturals has nothing against this one.
    expect(naturals('olive rabbit strip')).toBeNull();
  });
});
