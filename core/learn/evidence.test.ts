import { seeded } from '../maths';
import { byWater, type PlacedExposure } from './evidence';
import { ask } from './question';

const of = (casts: number, takes: number, water?: [casts: number, shown: number], o: object = {}): PlacedExposure => ({
  ...{ shown: { colour: 'black' }, casts, takes, ...o },
  ...(water ? { water: { casts: water[0], shown: water[1] } } : null),
});

describe('casts weighed by the water they showed', () => {
  it('against the usual cast, by hand: 30 over empty water count for nothing, 10 over much of it for more', () => {
    // 40 casts showed 4000: a usual one 100.
    const weighed = byWater([[of(30, 0, [30, 0])], [of(10, 2, [10, 4000])]])!;
    expect(weighed.flat().map((e) => e.casts)).toEqual([0, 40]);
    expect(weighed.flat().map((e) => e.takes)).toEqual([0, 2]);
  });

  it('casts of which it is not known count as they are; a take is never without its cast', () => {
    const weighed = byWater([[of(20, 0, [20, 2000]), of(12, 1), of(8, 1, [2, 600]), of(5, 3, [5, 0])]])!;
    // 27 casts showed 2600: the usual one 96.3.
    expect(weighed[0]!.map((e) => e.casts)).toEqual([21, 12, 12, 3]);
  });

  it('a second fly on the same casts says nothing of the usual one; without any water there is nothing to weigh', () => {
    const weighed = byWater([[of(10, 0, [10, 1000]), of(10, 0, [10, 9000], { again: true })]])!;
    expect(weighed[0]!.map((e) => e.casts)).toEqual([10, 90]);
    expect(byWater([[of(10, 1)], []])).toBeNull();
    expect(byWater([[of(10, 1, [10, 0])]])).toBeNull();
  });
});

describe('a fly that is fished over empty water', () => {
  /** Fish take by the water they are shown and nothing else; white is fished where there is a quarter as much of it. */
  const season = (seed: number) => {
    const rand = seeded(seed);
    const took = (mean: number) => {
      let n = 0;
      for (let left = Math.exp(-mean), p = rand(); p > left; p *= rand()) n++;
      return n;
    };
    return Array.from({ length: 60 }, () =>
      (['black', 'white'] as const).map((colour): PlacedExposure => {
        const shown = 20 * (colour === 'black' ? 200 : 50);
        return { shown: { colour }, casts: 20, takes: took(shown / 4000), water: { casts: 20, shown } };
      }),
    );
  };
  const question = { by: 'colour', a: 'black', b: 'white', where: {} } as const;

  it('is no worse once casts are weighed; by casts alone it is called so', () => {
    const seasons = [1, 2, 3, 4, 5, 6, 7, 8].map(season);
    const byCasts = seasons.map((s) => ask(s, question));
    const weighed = seasons.map((s) => ask(byWater(s)!, question));
    expect(byCasts.filter((t) => t.finding === 'better').length).toBeGreaterThanOrEqual(7);
    expect(weighed.filter((t) => t.finding === 'better').length).toBeLessThanOrEqual(1);
    const ratios = weighed.map((t) => t.ratio.middle).sort((a, b) => a - b);
    expect(ratios[4]!).toBeGreaterThan(0.7);
    expect(ratios[4]!).toBeLessThan(1.4);
  });
});
