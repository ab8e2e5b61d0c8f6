import type { PlacedExposure } from './evidence';
import { ask, castsToTell, type Question } from './question';
import { seeded } from '../maths';
import { NULL_KINDS, seasonOf } from '../testing/seasons';

const cell = (colour: string, casts: number, takes: number, rest: Record<string, string> = {}): PlacedExposure => ({
  ...{ shown: { colour, water: 'green', season: 'Jun–Aug', ...rest }, casts, takes },
});
const q: Question = { by: 'colour', a: 'white', b: 'black', where: {} };
const days = (n: number, of: (i: number) => PlacedExposure[]) => Array.from({ length: n }, (_, i) => of(i));

describe('one against another', () => {
  it('counts both, and says which is ahead and how sure that is', () => {
    const told = ask(
      days(40, (i) => [cell('white', 40, i % 2), cell('black', 40, i % 8 ? 0 : 1)]),
      q,
    );
    expect(told).toMatchObject({ a: { casts: 1600, takes: 20 }, b: { casts: 1600, takes: 5 }, together: 40 });
    expect(told).toMatchObject({ raw: 4, ahead: 'a', finding: 'better', toTell: null });
    expect(told.ratio.middle).toBeGreaterThan(2);
    expect(told.ratio.middle).toBeLessThan(4); // drawn a little towards one
  });

  it('asked the other way round it is the same', () => {
    const some = seasonOf(seeded(5), { ...NULL_KINDS.bunched, white: 3, outings: 60 });
    const [one, other] = [ask(some, q), ask(some, { ...q, a: 'black', b: 'white' })];
    expect(other.ratio.middle).toBeCloseTo(1 / one.ratio.middle, 6);
    expect(other.ratio.low).toBeCloseTo(1 / one.ratio.high, 6);
    expect(other.ratio.chance).toBeCloseTo(1 - one.ratio.chance, 9);
    expect(other.a).toEqual(one.b);
    expect(other.toTell?.casts).toBeCloseTo(one.toTell!.casts, 6);
  });

  it('two that are alike are ahead of each other by nothing, with a chance of even', () => {
    const told = ask(
      days(30, (i) => [cell('white', 40, i % 3 ? 0 : 1), cell('black', 40, i % 3 ? 0 : 1)]),
      q,
    );
    expect(told).toMatchObject({ finding: 'no difference seen', ahead: null });
    expect(told.ratio.middle).toBeCloseTo(1, 6);
    expect(told.ratio.chance).toBeCloseTo(0.5, 6);
  });

  it('takes that bunch prove less, and want more casts', () => {
    // The same sums: a take here and there, or four at once on the one or the other; a third fly shows how they bunch.
    const even = days(48, (i) => [
      cell('white', 30, i % 2),
      cell('black', 30, i % 4 ? 0 : 1),
      cell('tan', 30, i % 3 ? 0 : 1),
    ]);
    const bunched = days(48, (i) => [
      cell('white', 30, i % 8 === 1 ? 4 : 0),
      cell('black', 30, i % 16 === 2 ? 4 : 0),
      cell('tan', 30, i % 12 === 3 ? 4 : 0),
    ]);
    const [one, other] = [ask(even, q), ask(bunched, q)];
    expect([one.a.takes, one.b.takes]).toEqual([24, 12]);
    expect([other.a.takes, other.b.takes]).toEqual([24, 12]);
    const width = ({ ratio }: typeof one) => Math.log(ratio.high / ratio.low);
    expect(width(other)).toBeGreaterThan(1.2 * width(one));
    expect(other.toTell!.casts).toBeGreaterThan(1.5 * one.toTell!.casts);
    // About what the formula has for the ratio, the rate of the lesser and what is known by now.
    const { times, casts } = one.toTell!;
    const low = one.b.rate.middle;
    const known = width(one) / (2 * 1.645);
    const plain = castsToTell({ a: times * low, b: low, known, spread: 1 });
    expect(casts / plain).toBeGreaterThan(0.8);
    expect(casts / plain).toBeLessThan(1.4);
  });

  it('asked in one water, only that counts', () => {
    const some = days(30, (i) => [
      cell('white', 40, i % 3 ? 0 : 1, { water: i % 2 ? 'clear' : 'dirty' }),
      cell('black', 30, 0, { water: i % 2 ? 'clear' : 'dirty' }),
    ]);
    expect(ask(some, { ...q, where: { water: 'clear' } })).toMatchObject({ a: { casts: 600 }, together: 15 });
    expect(ask(some, { ...q, where: { water: 'mud' } })).toMatchObject({ finding: 'too few to say', raw: null });
  });

  it('raw and like for like part where the day decides: white came out on good days', () => {
    const told = ask(
      days(40, (i) => (i % 2 ? [cell('black', 50, 0)] : [cell('black', 25, 2), cell('white', 25, 2)])),
      q,
    );
    expect(told.raw).toBeCloseTo(3, 6);
    expect(told.ratio.middle).toBeCloseTo(1, 1);
    expect(told.finding).toBe('no difference seen');
  });

  it('what else differed is told, the most first; never together and in other water, the two cannot be separated', () => {
    const some = days(40, (i) =>
      i % 2 ? [cell('white', 50, 2, { water: 'clear', sky: i % 3 ? 'bright' : 'overcast' })] : [cell('black', 50, 0)],
    );
    const told = ask(some, q);
    expect(told.finding).toBe('cannot be separated');
    expect(told.alongWith[0]).toEqual({ of: 'water', value: 'clear', a: 1, b: 0 });
  });

  it('casts that tell 2 from 1 in a hundred: 6,266, by the variance 1/63 + 1/31 of the logarithm', () => {
    const casts = castsToTell({ a: 0.02, b: 0.01, known: Infinity, spread: 1 });
    expect(casts).toBeCloseTo(6266.3, 0);
    // (ln 2 / (2.326 + 0.842))² is the variance that is wanted.
    expect(1 / (0.01 * casts) + 1 / (0.005 * casts)).toBeCloseTo((Math.log(2) / 3.168) ** 2, 4);
    const o = { a: 0.02, b: 0.01, known: Infinity, spread: 1 };
    expect(castsToTell({ ...o, a: 0.04 })).toBeLessThan(casts / 2);
    expect(castsToTell({ ...o, spread: 2 })).toBeCloseTo(2 * casts, 6);
    expect(castsToTell({ ...o, known: 0.4 })).toBeLessThan(casts);
    expect(castsToTell({ ...o, known: 0.01 })).toBe(0);
  });

  it('calls one of two that are alike in a few of a hundred seasons, one three times as good in most of 120 outings', () => {
    const rand = seeded(8);
    const called = (white: number, n: number) =>
      Array.from({ length: n }, () => ask(seasonOf(rand, { ...NULL_KINDS.bunched, white, outings: 120 }), q)).filter(
        (t) => t.finding === 'better',
      ).length / n;
    expect(called(1, 60)).toBeLessThanOrEqual(0.05);
    expect(called(3, 20)).toBeGreaterThan(0.6);
  });
});
