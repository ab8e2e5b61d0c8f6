import { type Situation } from './situation';
import type { Run } from '../water';
import { cautionsOf, mistakesIn } from './cautions';
import { setupOf } from './rigs';
import { firstCasts } from './stands';
import { setupsOf } from './looks';
import { plainWays } from './ways';
import { type Asked, BAG, even, feature, LIGHT, river, RUN, situation, tied } from './waters.testing';
import { benchOf } from './setupWorth';

const rig = situation({ tiedOn: LIGHT }).tiedOn!;
const s = situation({ reading: { waterTempC: 16 } }); // neither cold nor warm
const told = (o: Partial<Situation> = {}, on: Parameters<typeof cautionsOf>[1] = null) =>
  cautionsOf({ ...s, ...o }, on);
const codes = (...of: Parameters<typeof told>) => told(...of).map((c) => `${c.level}: ${c.code}`);
const lies = (...staged: boolean[]) => staged.map((is, i) => ({ ...s.lies[0]!, rank: i + 1, staged: is }));
const bare = { ...rig, fly: { ...rig.fly, weight: 'none' as const } };

describe('what to mind (handbook of the trade: the usual cautions)', () => {
  it('is nothing where there is nothing', () => {
    expect(codes()).toEqual([]);
    expect(codes({}, bare)).toEqual([]);
  });

  it('closed water comes first, and stops; so does water that is too warm, by its own limit', () => {
    const breach = { rule: 'closedRuns' } as const;
    expect(told({ closed: [breach], seen: ['rises'] })[0]).toEqual({ level: 'stop', code: 'closed', breach });
    const warm = { reading: { ...s.reading, waterTempC: 19 } };
    expect(codes(warm).some((x) => x.startsWith('stop'))).toBe(false);
    const rules = { ...s.rules!, closesAtC: 18 };
    expect(codes({ ...warm, rules }).some((x) => x.startsWith('stop'))).toBe(true);
  });

  it.each<[string, Partial<Situation>, object]>([
    ['young fish', { seen: ['juveniles'] }, { code: 'juveniles' }],
    ['spawning fish', { seen: ['spawning fish'] }, { code: 'spawning fish' }],
    ['rising fish', { seen: ['rises'] }, { code: 'rises' }],
    ['a redd', { run: { ...RUN, features: [feature('redd', 30, 5, 2, 2)] } }, { code: 'redd' }],
    ['a lie by a redd', { lies: lies(false, true, false, true) }, { code: 'staged', lies: [2, 4] }],
    ['all lies by a redd', { lies: lies(true, true) }, { code: 'staged', lies: 'all' }],
  ])('%s', (_, o, caution) => {
    expect(told(o)).toEqual([{ level: 'care', ...caution }]);
  });

  it('a weighted fly, on the point or above, or shot: glasses; two flies: the free hook', () => {
    const beaded = { ...rig.fly, weight: 'bead' as const };
    const dropper = (fly: typeof rig.fly) => ({ ...bare, droppers: [{ fly } as never] });
    expect(codes({}, { ...rig, fly: beaded })).toEqual(['care: weighted fly']);
    expect(codes({}, { ...bare, shot: { massKg: 0.0005 } as never })).toEqual(['care: weighted fly']);
    expect(codes({}, dropper(bare.fly))).toEqual(['care: two flies']);
    expect(codes({}, dropper(beaded))).toEqual(['care: weighted fly', 'care: two flies']);
  });
});

describe('mistakes in what is on', () => {
  it('that it would be shown over a redd', () => {
    const told = (...features: Run['features']) => {
      const of = benchOf(situation({ tiedOn: LIGHT }, { ...RUN, features }));
      return mistakesIn(of, setupsOf(of, of.s.tiedOn!)[0]!).map((m) => m.code);
    };
    expect(told(feature('redd', 26, 5, 20, 6))).toContain('over the redd');
    expect(told()).not.toContain('over the redd');
  });

  it('are ways that the water speaks strongly against: a waking fly in cold water', () => {
    const told = (flyId: string, o: Asked) => {
      const tiedOn = { ...LIGHT, flyId };
      const b = benchOf(situation({ tiedOn, ...o }));
      const [on] = setupsOf(b, b.s.tiedOn!);
      return mistakesIn(b, on!).filter((m) => m.code === 'signs against');
    };
    const cold = { reading: { waterTempC: 5, sky: 'bright' } } as const;
    expect(told('black waking fly', cold)).toMatchObject([
      { method: 'wake fly', signs: [{ sign: 'cold', tempC: 5 }, { sign: 'not for waking' }] },
    ]);
    const dusk = { reading: { waterTempC: 14, visibilityM: 2, colour: 'clear', sky: 'dusk' } } as const;
    expect(told('black waking fly', dusk)).toEqual([]);
    expect(told('black woolly bugger', cold)).toEqual([]);
  });

  const deep = river(even(24, 0, 1.7, 2, 2, 1.9, 0), 0.7);
  const skinny = river(even(16, 0, 0.3, 0.4, 0.4, 0.3, 0), 0.4);
  const of = (run: Run, o: Asked) => {
    const at = situation(o, run);
    return mistakesIn(benchOf(at), setupOf(at, 'streamer on the swing', at.tiedOn!, 1));
  };
  const heavy = tied('two-hander 7', 'short head', '10 ft heavy', '4 ft of 12 lb', 'olive woolly bugger');

  it('too light for deep fast water, too heavy for a thin slow one; neither where it is right', () => {
    const codesOf = (all: ReturnType<typeof of>) => all.map((m) => m.code);
    const light = codesOf(of(deep, { tiedOn: LIGHT, water: { quarry: 'steelhead' } }));
    expect(light).toContain('too high');
    expect(light).not.toContain('too heavy');
    const thin = codesOf(of(skinny, { tiedOn: heavy }));
    expect(thin).toContain('too heavy');
    expect(thin).not.toContain('too high');
    // Where no less is to be tied on instead, it is the cast that is at fault.
    const at = situation({ tiedOn: heavy }, skinny);
    const [same, lighter] = [at.tiedOn!, situation({ tiedOn: LIGHT }, skinny).tiedOn!].map((advised) =>
      codesOf(mistakesIn(benchOf(at), setupOf(at, 'streamer on the swing', at.tiedOn!, 1), advised)),
    );
    expect(same).toContain('cast shorter');
    expect(same).not.toContain('too heavy');
    expect(lighter).toContain('too heavy');
    // What nothing can be taken off is not too heavy: the water is too thin for it.
    const floats = codesOf(of(skinny, { tiedOn: LIGHT }));
    expect(floats).toContain('too thin');
    expect(floats).not.toContain('too heavy');
  });

  it('are told from half of the lies on, and never of none', () => {
    let [few, many] = [0, 0];
    for (const meanMps of [0.3, 0.5, 0.7, 0.9, 1.1])
      for (const on of [LIGHT, heavy]) {
        const at = situation(
          { tiedOn: on, water: { quarry: 'steelhead' } },
          river(even(24, 0, 0.8, 1.6, 2, 1.7, 0), meanMps),
        );
        const of = setupOf(at, 'streamer on the swing', at.tiedOn!, 1);
        const casts = firstCasts(benchOf(at), of, plainWays(at, of)[0]!);
        const ranks = casts.filter((t) => t.verdict.fit === 'too shallow').map((t) => t.verdict.lie.rank);
        const high = ranks.length;
        const [told] = mistakesIn(benchOf(at), of).filter((m) => m.code === 'too high');
        if (high > 0 && high >= casts.length / 2) many++;
        else few++;
        const isTold = high > 0 && high >= casts.length / 2;
        expect(told).toEqual(isTold ? { code: 'too high', lies: ranks, of: casts.length } : undefined);
      }
    expect(Math.min(few, many)).toBeGreaterThan(1);
  });

  it('only a floating line, where that is what is missing; a streamer among rises', () => {
    const codes = (run: Run, o: Asked) => of(run, o).map((m) => m.code);
    const floating = BAG.filter((k) => k.type !== 'tip');
    const steelhead = { tiedOn: LIGHT, water: { quarry: 'steelhead' } } as const;
    expect(codes(deep, { ...steelhead, kit: floating })).toContain('only a floating line');
    expect(codes(deep, steelhead)).not.toContain('only a floating line');
    // In thin water nothing is missing.
    const thin = codes(skinny, { tiedOn: LIGHT, kit: floating });
    expect(thin).not.toContain('too high');
    expect(thin).not.toContain('only a floating line');
    const rises = (flyId: string) => codes(deep, { tiedOn: { ...LIGHT, flyId }, seen: ['rises'] });
    expect(rises(LIGHT.flyId)).toContain('rises and a streamer');
    expect(rises('brown soft-hackle spider')).not.toContain('rises and a streamer');
    const above = { flyId: 'brown soft-hackle spider', way: 'ring', aboveM: 0.6, armM: 0.15 } as const;
    const both = codes(deep, { tiedOn: { ...LIGHT, droppers: [above] }, seen: ['rises'] });
    expect(both).not.toContain('rises and a streamer');
  });
});
