import { ANY_CAST } from '../cast';
import { countShown, foundBy, showing } from '../cover/gain';
import { meanOf } from '../maths';
import { finished } from '../maths/work';
import { waterAt } from '../water';
import { afterCast, BEGUN, HOUR_S, hourEnd, type Hour, type HourSoFar } from './hour';
import { fishIn, hourOf, throwIn } from './hourWater';

const hour = finished(hourOf({ seed: 5, grade: 'plain' }));
const guide = hourEnd(hour, BEGUN).beat;
/** The guide’s hour over other fish. */
const fishedBy = (of: Pick<Hour, 'seed' | 'fish'>): HourSoFar =>
  guide.casts.reduce((so, cast) => afterCast(of, so, cast), BEGUN);

describe('the fish of an hour', () => {
  it('hold where the water draws them, each in a place of its own', () => {
    const weights = [0, 1, 3, 0, 6];
    const count = [0, 0, 0, 0, 0];
    for (let seed = 1; seed <= 2000; seed++) {
      const [first] = fishIn(weights, seed, 1);
      count[first!]!++;
    }
    expect(count[0]! + count[3]!).toBe(0);
    [1, 3, 6].forEach((w, i) => expect(count[[1, 2, 4][i]!]! / 2000).toBeCloseTo(w / 10, 1));
    expect([...fishIn(weights, 8, 5)].sort()).toEqual([1, 2, 4]); // no more than there are places
    expect(new Set(hour.fish).size).toBe(hour.fish.length);
    expect(fishIn(hour.covering.weights, 5)).toEqual(fishIn(hour.covering.weights, 5));
  });
});

describe('the casting hour', () => {
  it('is the same for the same seed, and worth fishing', () => {
    expect(JSON.stringify(finished(hourOf({ seed: 5, grade: 'plain' })).fish)).toBe(JSON.stringify(hour.fish));
    expect(hourEnd(hour, BEGUN)).toMatchObject({ found: 0, took: 0, marks: 0, of: 8 });
    expect(hourEnd(hour, BEGUN).guide).toBeGreaterThan(0.25);
    expect(guide.minutes).toBeLessThanOrEqual(HOUR_S / 60);
  });

  it('finds over 500 hours what the measure foretells, within a tenth', () => {
    const all = Array.from({ length: 500 }, (_, i) => {
      const seed = 1000 + i;
      return fishedBy({ seed, fish: fishIn(hour.covering.weights, seed) }).took.length / 8;
    });
    const told = foundBy(countShown(guide.casts, hour.covering.weights.length), hour.covering.weights, showing(2));
    const found = meanOf(all, (f) => f);
    expect(found / told).toBeGreaterThan(0.9);
    expect(found / told).toBeLessThan(1.1);
  });

  it('the guide’s own hour is full marks, half of it is fewer, and a fish takes once', () => {
    const so = fishedBy(hour);
    const whole = hourEnd(hour, so);
    expect(whole.marks).toBeCloseTo(100, 3);
    const half = { ...so, casts: so.casts.slice(0, so.casts.length / 2) };
    expect(hourEnd(hour, half).marks).toBeLessThan(whole.marks);
    expect(hourEnd(hour, half).marks).toBeGreaterThan(20);
    expect(new Set(so.took).size).toBe(so.took.length);
    expect(so.seconds).toBeLessThanOrEqual(HOUR_S + 1);
  });

  it('a cast of one’s own is swum over the same water; what cannot be made is named', () => {
    const plan = { ...guide.casts[0]!.plan };
    const thrown = throwIn(hour.request, plan);
    if (!('choice' in thrown)) throw new Error(thrown.not);
    const planned = hour.covering.casts.find((c) => c.plan.xM === plan.xM && c.plan.outM === plan.outM)!;
    expect([...thrown.choice.cells].length).toBeGreaterThan(0);
    const shown = (by: ArrayLike<number>) => Array.from(by).reduce((a, b) => a + b, 0);
    expect(shown(thrown.choice.by) / shown(planned.by)).toBeGreaterThan(0.6);
    expect(throwIn(hour.request, { ...plan, outM: 2 })).toEqual({ not: 'line' });
    const { channel } = hour.request;
    const deep = Array.from({ length: channel.ny }, (_, j) => channel.y0 + j * channel.dy).reduce((a, b) =>
      waterAt(channel, plan.xM, b).depthM > waterAt(channel, plan.xM, a).depthM ? b : a,
    );
    expect(throwIn(hour.request, { ...plan, yM: deep })).toEqual({ not: 'stand' });
  });

  it('begins at the head by the bank, with a cast that can be made', () => {
    expect(hour.first).toMatchObject({ xM: 2, angleDeg: expect.any(Number), mendM: 0, rod: ANY_CAST.rod });
    expect('choice' in throwIn(hour.request, hour.first)).toBe(true);
  });
});
