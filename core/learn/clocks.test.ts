import fc from 'fast-check';
import { bestRate, bestStay, changeClock, leaveClock, SET_UP } from './clocks';
import { priorOf } from './prior';

const PRIOR = { takes: 1, casts: 60 };

describe('when to change', () => {
  it('Bayes by hand: 60 empty casts with the prior of one take in sixty', () => {
    // None if right (60/120)^1 = 0.5, if wrong 60/75 = 0.8: 0.6·0.5 / (0.6·0.5 + 0.4·0.8) = 0.484.
    const c = changeClock(PRIOR, { n: 60, left: 60, cost: 2 });
    expect(c.right).toBeCloseTo(0.3 / 0.62, 9);
    // Stays: 0.484/120 + 0.516·0.25/75; changed: (0.484/120 + 0.516/75)·0.625.
    expect(c.stays).toBeCloseTo(c.right / 120 + ((1 - c.right) * 0.25) / 75, 12);
    expect(c.changed).toBeCloseTo((c.right / 120 + (1 - c.right) / 75) * 0.625, 12);
    expect(c.changeAfter).toBe(0);
  });

  it('is as sure as before it was fished, and believes less with every empty cast (property)', () => {
    expect(changeClock(PRIOR, { n: 0, left: 60, cost: 2 }).right).toBeCloseTo(SET_UP.right, 12);
    fc.assert(
      fc.property(fc.nat(300), fc.integer({ min: 1, max: 50 }), (n, more) => {
        const at = (k: number) => changeClock(PRIOR, { n: k, left: 80, cost: 2 }).right;
        expect(at(n + more)).toBeLessThan(at(n));
      }),
      { seed: 6 },
    );
  });

  it('says after how many casts it pays: not at once, sooner where takes are common, later where changing is dear', () => {
    const after = (takes: number, casts: number, cost = 2) =>
      changeClock({ takes, casts }, { n: 0, left: 100, cost }).changeAfter;
    const streamer = after(1, 60)!;
    expect(streamer).toBeGreaterThan(5);
    expect(streamer).toBeLessThan(60);
    expect(after(1, 12)!).toBeLessThan(streamer);
    expect(after(1, 60, 4)!).toBeGreaterThan(streamer);
    expect(after(1, 60, 40)).toBeNull();
  });

  it('told the casts, comes out at that number', () => {
    const { changeAfter } = changeClock(PRIOR, { n: 0, left: 100, cost: 2 });
    expect(changeClock(PRIOR, { n: changeAfter!, left: 100 - changeAfter!, cost: 2 }).changeAfter).toBe(0);
    expect(changeClock(PRIOR, { n: changeAfter! - 1, left: 101 - changeAfter!, cost: 2 }).changeAfter).toBe(1);
  });

  it('does not pay for the last few casts', () => {
    expect(changeClock(PRIOR, { n: 60, left: 2, cost: 3 }).changeAfter).toBeNull();
  });

  it('soft hackles are changed sooner than streamers: grabs are common there (common practice, no source)', () => {
    const after = (wet: boolean) => changeClock(priorOf(wet), { n: 0, left: 100, cost: 2 }).changeAfter!;
    expect(after(true)).toBeLessThan(after(false));
  });
});

describe('when to leave', () => {
  it('as published: k 0.05 a minute, ten minutes away, after 17.15 minutes (Charnov 1976)', () => {
    expect(bestStay(0.05, 10)).toBeCloseTo(17.15, 2);
    const x = 0.05 * bestStay(0.05, 10);
    expect(Math.exp(x)).toBeCloseTo(1 + x + 0.5, 9);
  });

  it('is the moment at which the gain at the margin falls to the best mean rate (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.3, noNaN: true }), fc.integer({ min: 2, max: 40 }), (k, travel) => {
        const gains = Array.from({ length: 20_000 }, (_, i) => ({
          minutes: i / 50,
          found: 1 - Math.exp((-k * i) / 50),
        }));
        const t = bestStay(k, travel);
        expect(k * Math.exp(-k * t)).toBeCloseTo(bestRate(gains, travel), 4);
      }),
      { seed: 9, numRuns: 30 },
    );
    expect(bestRate([], 10)).toBe(0);
  });

  it('goes when the next casts bring less than the next run would; takes keep one here, empty casts send one on', () => {
    const at = (ahead: number, takes: number, casts: number) =>
      leaveClock({ ahead, elsewhere: 0.02, here: { takes, casts }, prior: PRIOR });
    expect(at(0.021, 0, 0)).toMatchObject({ leave: false });
    expect(at(0.019, 0, 0)).toMatchObject({ leave: true });
    // By hand: one take in no more casts doubles what is expected here.
    expect(at(0.011, 1, 0).ratio).toBeCloseTo(1.1, 9);
    expect(at(0.021, 0, 60)).toMatchObject({ leave: true });
    expect(leaveClock({ ahead: 0, elsewhere: 0, here: { takes: 0, casts: 0 }, prior: PRIOR }).leave).toBe(false);
  });
});
