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
const says = (o: Partial<Situation> = {}, on: Parameters<typeof cautionsOf>[1] = null) =>
  cautionsOf({ ...s, ...o }, on).map((c) => `${c.level}: ${c.says}`);
const lies = (...staged: boolean[]) => staged.map((is, i) => ({ ...s.lies[0]!, rank: i + 1, staged: is }));
const bare = { ...rig, fly: { ...rig.fly, weight: 'none' as const } };

describe('what to mind (handbook of the trade: the usual cautions)', () => {
  it('is nothing where there is nothing', () => {
    expect(says()).toEqual([]);
    expect(says({}, bare)).toEqual([]);
  });

  it('closed water comes first, and stops; so does water that is too warm, by its own limit', () => {
    expect(says({ closed: ['Closed.'], seen: ['rises'] })[0]).toBe('stop: Closed.');
    const warm = { reading: { ...s.reading, waterTempC: 19 } };
    expect(says(warm).some((x) => x.startsWith('stop'))).toBe(false);
    const rules = { ...s.rules!, closesAtC: 18 };
    expect(says({ ...warm, rules }).some((x) => x.startsWith('stop'))).toBe(true);
  });

  it.each<[string, Partial<Situation>, RegExp]>([
    ['young fish', { seen: ['juveniles'] }, /^care: Young fish swarm here/],
    ['spawning fish', { seen: ['spawning fish'] }, /^care: Fish are spawning here: leave them alone/],
    ['rising fish', { seen: ['rises'] }, /^care: For a steady riser change to a dry fly/],
    ['a redd', { run: { ...RUN, features: [feature('redd', 30, 5, 2, 2)] } }, /^care: There is a redd in this run/],
    ['a lie by a redd', { lies: lies(false, true, false, true) }, /^care: Fish at 2, 4 may be waiting to spawn/],
    ['all lies by a redd', { lies: lies(true, true) }, /^care: At every lie of this run fish may be waiting to spawn/],
  ])('%s', (_, o, words) => {
    const told = says(o);
    expect(told).toHaveLength(1);
    expect(told[0]).toMatch(words);
  });

  it('a weighted fly, on the point or above, or shot: glasses; two flies: the free hook', () => {
    const beaded = { ...rig.fly, weight: 'bead' as const };
    const dropper = (fly: typeof rig.fly) => ({ ...bare, droppers: [{ fly } as never] });
    expect(says({}, { ...rig, fly: beaded })).toEqual(['care: A weighted fly: glasses and a brimmed hat.']);
    expect(says({}, { ...bare, shot: { massKg: 0.0005 } as never })).toHaveLength(1);
    expect(says({}, dropper(bare.fly))).toEqual([expect.stringMatching(/^care: Two flies: mind the free hook/)]);
    expect(says({}, dropper(beaded))).toHaveLength(2);
  });
});

describe('mistakes in what is on', () => {
  it('that it would be shown over a redd', () => {
    const told = (...features: Run['features']) => {
      const of = benchOf(situation({ tiedOn: LIGHT }, { ...RUN, features }));
      return mistakesIn(of, setupsOf(of, of.s.tiedOn!)[0]!).join(' ');
    };
    expect(told(feature('redd', 26, 5, 20, 6))).toMatch(
      /cast as one would begin, is shown over the redd at \d of \d lies/,
    );
    expect(told()).not.toMatch(/redd/);
  });

  it('are ways that the water speaks strongly against: a waking fly in cold water', () => {
    const told = (flyId: string, o: Asked) => {
      const tiedOn = { ...LIGHT, flyId };
      const b = benchOf(situation({ tiedOn, ...o }));
      const [on] = setupsOf(b, b.s.tiedOn!);
      return mistakesIn(b, on!).filter((m) => m.startsWith('Against'));
    };
    const cold = { reading: { waterTempC: 5, sky: 'bright' } } as const;
    expect(told('black waking fly', cold)).toEqual([
      'Against what is on (wake fly) speaks: cold water (5.0 °C): fish move little and slowly; not the hour for a waking fly.',
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
    expect(of(deep, { tiedOn: LIGHT, water: { quarry: 'steelhead' } })).toContainEqual(
      expect.stringMatching(/begin, rides too high at (\d of \d lies \([\d, ]+\)|the lie)\.$/),
    );
    expect(of(deep, { tiedOn: LIGHT, water: { quarry: 'steelhead' } }).join()).not.toMatch(/too heavy/);
    const thin = of(skinny, { tiedOn: heavy });
    expect(thin).toContainEqual(
      expect.stringMatching(/begin, is too heavy for (\d of \d lies \([\d, ]+\)|the lie): it drags/),
    );
    expect(thin.join()).not.toMatch(/too high/);
    // Where no less is to be tied on instead, it is the cast that is at fault.
    const at = situation({ tiedOn: heavy }, skinny);
    const [same, lighter] = [at.tiedOn!, situation({ tiedOn: LIGHT }, skinny).tiedOn!].map((advised) =>
      mistakesIn(benchOf(at), setupOf(at, 'streamer on the swing', at.tiedOn!, 1), advised).join(),
    );
    expect(same).toMatch(/drags or lies on the bed at (\d of \d lies \([\d, ]+\)|the lie): cast shorter/);
    expect(same).not.toMatch(/too heavy/);
    expect(lighter).toMatch(/is too heavy for/);
    // What nothing can be taken off is not too heavy: the water is too thin for it.
    const light = of(skinny, { tiedOn: LIGHT });
    expect(light).toContainEqual(
      expect.stringMatching(/begin, drags or lies on the bed at (\d of \d lies \([\d, ]+\)|the lie): too thin or slow/),
    );
    expect(light.join()).not.toMatch(/too heavy/);
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
        const [says] = mistakesIn(benchOf(at), of).filter((m) => /rides too high/.test(m));
        if (high > 0 && high >= casts.length / 2) many++;
        else few++;
        const told =
          casts.length === 1
            ? 'the lie'
            : `${high} of ${casts.length} lies (${ranks.sort((a, b) => a - b).join(', ')})`;
        expect(says).toBe(
          high > 0 && high >= casts.length / 2
            ? `What is on, cast as one would begin, rides too high at ${told}.`
            : undefined,
        );
      }
    expect(Math.min(few, many)).toBeGreaterThan(1);
  });

  it('only a floating line, where that is what is missing; a streamer among rises', () => {
    const floating = BAG.filter((k) => k.type !== 'tip');
    expect(of(deep, { tiedOn: LIGHT, kit: floating, water: { quarry: 'steelhead' } })).toContain(
      'Only a floating line in the bag.',
    );
    expect(of(deep, { tiedOn: LIGHT, water: { quarry: 'steelhead' } })).not.toContain(
      'Only a floating line in the bag.',
    );
    // In thin water nothing is missing.
    expect(of(skinny, { tiedOn: LIGHT, kit: floating }).join()).not.toMatch(/too high|Only a floating/);
    const rises = (flyId: string) => of(deep, { tiedOn: { ...LIGHT, flyId }, seen: ['rises'] });
    expect(rises(LIGHT.flyId)).toContain('Fish are rising, and a streamer is on.');
    expect(rises('brown soft-hackle spider')).not.toContain('Fish are rising, and a streamer is on.');
    const above = { flyId: 'brown soft-hackle spider', way: 'ring', aboveM: 0.6, armM: 0.15 } as const;
    const both = of(deep, { tiedOn: { ...LIGHT, droppers: [above] }, seen: ['rises'] });
    expect(both).not.toContain('Fish are rising, and a streamer is on.');
  });
});
