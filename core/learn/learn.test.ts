import fc from 'fast-check';
import { RIG } from '../testing/fixtures';
import { type Counted, hintFor } from './hint';
import { chanceOfNone } from './prior';
import { chanceBetter, rate } from './rate';

describe('rates', () => {
  it('compares 4 in 300 with 1 in 250 as published: P = 0.8640 with the prior (1, 200)', () => {
    expect(chanceBetter({ takes: 4, casts: 300 }, { takes: 1, casts: 250 })).toBeCloseTo(0.864, 4);
  });

  it('finds equal data equal, and is complementary (property)', () => {
    const counts = fc.record({ takes: fc.nat(50), casts: fc.nat(5000) });
    fc.assert(
      fc.property(counts, counts, (a, b) => {
        expect(chanceBetter(a, a)).toBeCloseTo(0.5, 6);
        expect(chanceBetter(a, b) + chanceBetter(b, a)).toBeCloseTo(1, 6);
      }),
      { seed: 2 },
    );
  });

  it('has an interval that holds 90 % and narrows with casts', () => {
    const few = rate(2, 100);
    const many = rate(20, 1000);
    expect(few.low).toBeLessThan(few.mean);
    expect(few.high).toBeGreaterThan(few.mean);
    expect(many.high - many.low).toBeLessThan(few.high - few.low);
    // Gamma(1, b) is exponential: its quantiles are −ln(1−p)/b.
    expect(rate(0, 100).low).toBeCloseTo(-Math.log(0.95) / 300, 9);
    expect(rate(0, 100).high).toBeCloseTo(-Math.log(0.05) / 300, 9);
  });

  it('weighs the prior of one take in two hundred casts, or another that is given', () => {
    expect(rate(4, 300).mean).toBeCloseTo(5 / 500, 12);
    expect(rate(0, 0).mean).toBeCloseTo(1 / 200, 12);
    expect(rate(4, 300, { takes: 2, casts: 20 }).mean).toBeCloseTo(6 / 320, 12);
    expect(chanceBetter({ takes: 3, casts: 10 }, { takes: 0, casts: 10 }, { takes: 1, casts: 10 })).toBeGreaterThan(
      0.9,
    );
  });

  it('refuses what is no count, by name', () => {
    expect(() => rate(1, -1)).toThrow('casts: must be a count');
    expect(() => rate(NaN, 1)).toThrow('takes: must be a count');
    expect(() => chanceBetter({ takes: 1, casts: 1 }, { takes: Infinity, casts: 1 })).toThrow('takes');
    expect(() => chanceBetter({ takes: 1, casts: -1 }, { takes: 1, casts: 1 })).toThrow('casts');
    expect(() => chanceOfNone(-1, 0, 1)).toThrow('takes');
    expect(rate(0, 0)).toMatchObject({ casts: 0, takes: 0 });
  });

  it('gives the chance of an empty spell', () => {
    expect(chanceOfNone(0, 0, 200)).toBeCloseTo(0.5, 9);
    expect(() => rate(-1, 10)).toThrow('takes');
  });
});

describe('the hint', () => {
  const counted: Counted = {
    ...{ castsSinceTake: 0, castsSinceChange: 0, lately: { casts: 0, touches: 0 }, hung: 0, fresh: true },
    ...{ rig: RIG, own: { casts: 0, takes: 0 } },
  };
  const says = (o: Partial<Counted>) => hintFor({ ...counted, ...o });
  const WETS = { ...RIG, fly: { ...RIG.fly, family: 'soft-hackle spider' as const } };

  it('says lighten for a bed touched cast after cast, and praises a touch now and then', () => {
    expect(says({ lately: { casts: 8, touches: 4 } }).code).toBe('bed');
    expect(says({ lately: { casts: 10, touches: 4 } }).code).toBe('bed');
    expect(says({ lately: { casts: 10, touches: 3 } }).code).toBe('touches well');
    expect(says({ lately: { casts: 8, touches: 1 } }).code).toBe('touches well');
    expect(says({ lately: { casts: 3, touches: 2 } }).code).toBe('watch');
    expect(says({ lately: { casts: 8, touches: 0 } }).code).toBe('watch');
  });

  it('says lighten where flies hang up or are lost again and again, with the numbers', () => {
    expect(says({ hung: 2, castsSinceChange: 20 })).toEqual({ code: 'hung', times: 2, casts: 20, first: 'tip' });
    const none = { ...RIG, tip: null };
    const sinking = { ...none, head: { ...RIG.head, sinkRatesMps: [0.1] } };
    const float = { item: { type: 'float', id: 'o', name: 'o', diameterM: 0.016, massKg: 6e-4 }, aboveM: 1 } as const;
    for (const [rig, first] of [
      [none, 'fly'],
      [sinking, 'line'],
      [{ ...RIG, shot: { massKg: 2e-4, aboveFlyM: 0.3 } }, 'shot'],
      [{ ...none, float }, 'float'],
    ] as const)
      expect(says({ rig, lately: { casts: 8, touches: 4 } })).toEqual({ code: 'bed', casts: 8, touches: 4, first });
    expect(says({ rig: { ...none, float } })).toEqual({ code: 'watch', what: 'float' });
    expect(says({ hung: 1, castsSinceChange: 3 }).code).toBe('watch');
    expect(says({ hung: 2, castsSinceChange: 40 }).code).toBe('watch');
  });

  it('asks for a change after sixty casts with none, and for a reading where there is none', () => {
    expect(says({ castsSinceChange: 60 })).toEqual({ code: 'unchanged', casts: 60 });
    expect(says({ fresh: false })).toEqual({ code: 'not read' });
    expect(says({})).toEqual({ code: 'watch', what: 'line' });
  });

  it('holds an empty spell against one’s own log, and against the method where there is none', () => {
    const spell = (o: Partial<Counted>) => {
      const hint = says({ castsSinceTake: 50, ...o });
      return hint.code === 'no take' ? hint : { none: NaN, by: null };
    };
    const empty = (o: Partial<Counted>) => spell(o).none;
    // One take in a hundred casts of one's own: fifty empty ones are ordinary.
    expect(empty({ own: { casts: 4000, takes: 40 } })).toBeGreaterThan(0.5);
    expect(empty({ own: { casts: 4000, takes: 200 } })).toBeLessThan(empty({ own: { casts: 4000, takes: 40 } }));
    expect(empty({ rig: WETS })).toBeLessThan(empty({ rig: RIG }));
    // Whose rate it is: one's own from as many casts on as what is expected weighs.
    const whose = (casts: number, rig = RIG) => spell({ rig, own: { casts, takes: 1 } }).by;
    expect([whose(59), whose(60), whose(11, WETS), whose(12, WETS)]).toEqual([
      ...['streamers', 'own log', 'wets', 'own log'],
    ]);
    expect(empty({ castsSinceTake: 400, own: { casts: 4000, takes: 40 } })).toBeLessThan(0.1);
  });

  it('says when a change pays, how many casts more would tell, and when to go', () => {
    const clock = { right: 0.41, stays: 0.01, changed: 0.02, changeAfter: 0, casts: 38, takes: 0 };
    const here = { leave: false, ratio: 1.4, walkMin: 10 };
    const change = { code: 'change', casts: 38, takes: 0, after: 0, right: 0.41 };
    expect(says({ change: clock, leave: here })).toEqual(change);
    expect(says({ change: { ...clock, changeAfter: 10 }, leave: here })).toEqual({ ...change, after: 10 });
    for (const changeAfter of [11, null])
      expect(says({ change: { ...clock, changeAfter }, leave: here }).code).toBe('watch');
    const left = (ratio: number) => says({ change: clock, leave: { leave: true, ratio, walkMin: 10 } });
    expect(left(0.84)).toEqual({ code: 'leave', ratio: 0.84, walkMin: 10 });
    expect(left(0.85).code).toBe('change'); // a little less is no reason to go
    // A few casts say nothing yet; a bed that is touched comes first.
    const early = { change: { ...clock, casts: 14 }, leave: { leave: true, ratio: 0.5, walkMin: 10 } };
    expect(says(early).code).toBe('watch');
    expect(says({ change: clock, lately: { casts: 8, touches: 4 } }).code).toBe('bed');
  });
});
