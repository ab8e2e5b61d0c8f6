import fc from 'fast-check';
import { byGain, type Choice, countShown, shareShown, sharesOf, showing } from './gain';

const choice = (seconds: number, ...cells: number[]): Choice => ({ cells, seconds });

/** What a list finds: each cell (1 − (1 − p)^k) of its weight. */
function found(choices: readonly Choice[], picked: readonly number[], weights: readonly number[], p: number): number {
  const shown = countShown(
    picked.map((i) => choices[i]!),
    weights.length,
  );
  return weights.reduce((sum, w, i) => sum + w * (1 - (1 - p) ** shown[i]!), 0);
}

/** The most that can be found in a time, by trying every list with repeats. */
function most(choices: readonly Choice[], weights: readonly number[], p: number, seconds: number): number {
  const from = (picked: readonly number[], first: number, left: number): number =>
    choices.reduce(
      (best, c, i) =>
        i < first || c.seconds > left ? best : Math.max(best, from([...picked, i], i, left - c.seconds)),
      found(choices, picked, weights, p),
    );
  return from([], 0, seconds);
}

const small = fc.record({
  weights: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 5, maxLength: 5 }),
  choices: fc.array(
    fc.record({ seconds: fc.integer({ min: 1, max: 3 }), cells: fc.uniqueArray(fc.nat(4), { minLength: 1 }) }),
    { minLength: 2, maxLength: 4 },
  ),
  p: fc.constantFrom(showing(1), showing(2), showing(4), 1),
});

describe('the order by gain', () => {
  it('takes what brings most a second first, then what is left of the others', () => {
    // By hand, p = 1: b brings 6 in 2 s, a 5 in 1 s, c 5 in 1 s of which a has shown all but 1.
    const choices = [choice(1, 0, 1), choice(2, 2), choice(1, 0, 3)];
    const weights = [4, 1, 6, 1];
    expect(byGain(choices, { weights, p: 1 }, 100)).toEqual([0, 1, 2]);
    expect(byGain(choices, { weights, p: 1 }, 3)).toEqual([0, 1]);
    expect(byGain(choices, { weights, p: 1 }, 2)).toEqual([0]);
    // Nothing is done for what brings too little: c’s one of twelve a second.
    expect(byGain(choices, { weights, p: 1, least: 0.1 }, 100)).toEqual([0, 1]);
  });

  it('comes again to what was shown once, as long as that is worth it', () => {
    const choices = [choice(1, 0), choice(1, 1)];
    // p = 0.8: 10, then 2 of it left against 5; 2·0.8 against 1·0.8 …
    expect(byGain(choices, { weights: [10, 5], p: showing(1) }, 4)).toEqual([0, 1, 0, 1]);
    // Two in a row at one tap leave (1 − p)² of it.
    expect(byGain([{ ...choice(2, 0), times: 2 }, choice(1, 1)], { weights: [10, 5], p: 0.5 }, 4)).toEqual([0, 1, 1]);
  });

  it('counts the detour: what is a little better but far off waits', () => {
    const choices = [choice(1, 0), choice(1, 1), choice(1, 2)];
    const wanting = { weights: [5, 6, 4], p: 1 };
    const far = (i: number, taken: readonly number[]) => (i === 1 && !taken.includes(2) ? 2 : 0);
    expect(byGain(choices, wanting, 3)).toEqual([1, 0, 2]);
    expect(byGain(choices, { ...wanting, detourS: far }, 3)).toEqual([0, 2, 1]);
  });

  it('finds at least 63 % of the most that could be found, with the one that comes next (brute force, small cases)', () => {
    fc.assert(
      fc.property(small, fc.integer({ min: 1, max: 6 }), ({ weights, choices, p }, seconds) => {
        const order = byGain(choices, { weights, p }, 30);
        let time = 0;
        const fits = order.filter((i) => (time += choices[i]!.seconds) <= seconds).length;
        const best = most(choices, weights, p, seconds);
        expect(found(choices, order.slice(0, fits + 1), weights, p)).toBeGreaterThanOrEqual((1 - 1 / Math.E) * best);
      }),
      { seed: 3, numRuns: 150 },
    );
  });

  it('takes what is best by then, each time (property)', () => {
    fc.assert(
      fc.property(small, ({ weights, choices, p }) => {
        const left = [...weights];
        const worth = ({ cells, seconds }: Choice) =>
          Array.from(cells).reduce((sum, i) => sum + left[i]! * p, 0) / seconds;
        for (const picked of byGain(choices, { weights, p }, 10)) {
          const best = Math.max(...choices.map(worth));
          expect(worth(choices[picked]!)).toBeCloseTo(best, 9);
          for (const i of Array.from(choices[picked]!.cells)) left[i]! *= 1 - p;
        }
      }),
      { seed: 4 },
    );
  });

  it('is made no more often than it is let, though more would bring more', () => {
    const all = [choice(1, 0, 1), choice(1, 2)];
    const often = (times?: number) =>
      byGain(all, { weights: [9, 9, 1], p: 0.3, times }, 20).filter((i) => i === 0).length;
    expect([often(1), often(2)]).toEqual([1, 2]);
    expect(often()).toBeGreaterThan(4);
  });

  it('a patience of so many showings has found four fifths by then', () => {
    for (const n of [1, 2, 4]) expect(1 - (1 - showing(n)) ** n).toBeCloseTo(0.8, 12);
  });
});

describe('what is shown', () => {
  it('once and twice, the better water weighing more', () => {
    const shown = countShown([choice(1, 0, 1), { ...choice(1, 1), times: 2 }], 3);
    expect([...shown]).toEqual([1, 3, 0]);
    expect(sharesOf(shown, [2, 1, 1])).toEqual({ once: 0.75, twice: 0.25 });
    expect(sharesOf([], [])).toEqual({ once: 0, twice: 0 });
    expect(shareShown({ cells: [0, 2], by: [0.5, 1] }, [2, 1, 1])).toBe(0.5);
    expect(shareShown({ cells: [1] }, [2, 1, 1])).toBe(0.25);
    expect([shareShown({ cells: [] }, [2]), shareShown({ cells: [] }, [])]).toEqual([0, 0]);
  });
});
