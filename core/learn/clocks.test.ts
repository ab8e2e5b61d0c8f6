import fc from 'fast-check';
import { seeded } from '../maths';
import { bestRate, changeClock, leaveClock, NEXT_RIGHT, SET_UP } from './clocks';
import { priorOf } from './prior';

const PRIOR = { takes: 1, casts: 60 };

describe('when to change', () => {
  it('Bayes by hand: 60 empty casts with the prior of one take in sixty', () => {
    // None if right (60/120)^1 = 0.5, if wrong 60/75 = 0.8: 0.6·0.5 / (0.6·0.5 + 0.4·0.8) = 0.484.
    const c = changeClock(PRIOR, { takes: 0, n: 60, left: 100, cost: 2 });
    expect(c.right).toBeCloseTo(0.3 / 0.62, 9);
    // Stays: 0.484/120 + 0.516·0.25/75; changed: (0.484/120 + 0.516/75)·0.625.
    expect(c.stays).toBeCloseTo(c.right / 120 + ((1 - c.right) * 0.25) / 75, 12);
    expect(c.changed).toBeCloseTo((c.right / 120 + (1 - c.right) / 75) * 0.625, 12);
    expect(c.changeAfter).toBe(0);
  });

  it('is as sure as before it was fished, and believes less with every empty cast (property)', () => {
    expect(changeClock(PRIOR, { takes: 0, n: 0, left: 60, cost: 2 }).right).toBeCloseTo(SET_UP.right, 12);
    fc.assert(
      fc.property(fc.nat(300), fc.integer({ min: 1, max: 50 }), (n, more) => {
        const at = (k: number) => changeClock(PRIOR, { takes: 0, n: k, left: 80, cost: 2 }).right;
        expect(at(n + more)).toBeLessThan(at(n));
      }),
      { seed: 6 },
    );
  });

  it('says after how many casts it pays: not at once, sooner where takes are common, later where changing is dear', () => {
    const after = (takes: number, casts: number, cost = 2) =>
      changeClock({ takes, casts }, { takes: 0, n: 0, left: 160, cost }).changeAfter;
    const streamer = after(1, 60)!;
    expect(streamer).toBeGreaterThan(5);
    expect(streamer).toBeLessThan(90);
    expect(after(1, 12)!).toBeLessThan(streamer);
    expect(after(1, 60, 4)!).toBeGreaterThan(streamer);
    expect(after(1, 60, 80)).toBeNull();
  });

  it('told the casts, comes out at that number', () => {
    const { changeAfter } = changeClock(PRIOR, { takes: 0, n: 0, left: 100, cost: 2 });
    expect(changeClock(PRIOR, { takes: 0, n: changeAfter!, left: 100 - changeAfter!, cost: 2 }).changeAfter).toBe(0);
    expect(changeClock(PRIOR, { takes: 0, n: changeAfter! - 1, left: 101 - changeAfter!, cost: 2 }).changeAfter).toBe(
      1,
    );
  });

  it('does not pay for the last few casts', () => {
    expect(changeClock(PRIOR, { takes: 0, n: 60, left: 2, cost: 3 }).changeAfter).toBeNull();
  });

  it('soft hackles are changed sooner than streamers: grabs are common there (common practice, no source)', () => {
    const after = (wet: boolean) => changeClock(priorOf(wet), { takes: 0, n: 0, left: 100, cost: 2 }).changeAfter!;
    expect(after(true)).toBeLessThan(after(false));
  });
});

describe('a change that is told to pay, by simulation', () => {
  /** A gamma of shape 1: the rates that the prior believes in. */
  const rateOf = (rand: () => number, casts: number) => -Math.log(1 - rand()) / casts;

  /** Takes of an angler who changes when he is told to, and of one who never does, over some hours like the prior says or not. */
  function takesOf(
    world: { casts: number; wrong: number; next: number },
    prior: typeof PRIOR,
    changes: boolean,
  ): number {
    const [HOURS, CASTS, COST, LEAST] = [2000, 180, 3, 15];
    const rand = seeded(34);
    let takes = 0;
    for (let hour = 0; hour < HOURS; hour++) {
      const rate = rateOf(rand, world.casts);
      let brings = rand() < SET_UP.right ? 1 : world.wrong;
      let [n, k, before] = [0, 0, SET_UP.right as number];
      for (let left = CASTS; left > 0; left--) {
        n++;
        if (rand() < rate * brings) {
          takes++;
          k++;
        }
        if (!changes || n < LEAST || n % 5 > 0 || left <= COST) continue;
        if (changeClock(prior, { n, takes: k, left, cost: COST, before }).changeAfter !== 0) continue;
        left -= COST;
        [n, k, before] = [0, 0, NEXT_RIGHT];
        brings = rand() < world.next ? 1 : world.wrong;
      }
    }
    return takes / HOURS;
  }

  it.each([
    ['as it is believed', {}, 1.02],
    ['with half of the takes that are expected', { rate: 2 }, 1],
    ['with twice as many', { rate: 0.5 }, 1.02],
    ['where what one changes to is right less often', { next: 0.4 }, 1],
    ['where flies do not matter at all it costs next to nothing', { wrong: 1 }, 0.97],
  ])('%s', (_, o: { rate?: number; next?: number; wrong?: number }, least) => {
    for (const prior of [priorOf(false), priorOf(true)]) {
      const { rate = 1, next = NEXT_RIGHT, wrong = SET_UP.wrongBrings } = o;
      const world = { casts: rate * prior.casts, next, wrong };
      expect(takesOf(world, prior, true) / takesOf(world, prior, false)).toBeGreaterThan(least);
    }
  });

  it('takes count for what is on: with two of them in sixty casts it is kept where it would be changed', () => {
    const at = (takes: number) => changeClock(PRIOR, { n: 60, takes, left: 100, cost: 2 });
    expect(at(2).right).toBeGreaterThan(at(0).right);
    expect(at(0).changeAfter).toBe(0);
    expect(at(2).changeAfter).not.toBe(0);
  });

  it('what was changed to is right as likely as not: it is changed again sooner', () => {
    const after = (before: number) => changeClock(PRIOR, { n: 0, takes: 0, left: 100, cost: 2, before }).changeAfter!;
    expect(after(NEXT_RIGHT)).toBeLessThan(after(SET_UP.right));
  });
});

describe('when to leave', () => {
  it('as published: k 0.05 a minute, ten minutes away, after 17.15 minutes (Charnov 1976): the gain at the margin is the best rate', () => {
    const gains = Array.from({ length: 20_000 }, (_, i) => ({ minutes: i / 50, found: 1 - Math.exp(-0.001 * i) }));
    expect(bestRate(gains, 10)).toBeCloseTo(0.05 * Math.exp(-0.05 * 17.15), 5);
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
