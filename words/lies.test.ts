import { findLies, type FishLie, type Shift } from '@/core/lies';
import { RUN, some } from '@/core/testing/fixtures';
import { buildChannel } from '@/core/water';
import { placeWords, lieReasonWords, shiftNames, shiftWords, sureWords } from './lies';

const [found] = some(
  findLies(RUN, buildChannel(RUN, null), null, { quarry: 'sea trout', school: 'near the bed', most: 1 }),
);
const lie = (rank: number, o: Partial<FishLie> = {}): FishLie => ({
  ...found!,
  ...{ rank, xM: 20, yM: 6, depthM: 1, speedMps: 0.5, reasons: ['seam'] as const },
  ...o,
});

it('a lie is so far out, or behind where the bank is when the river is not over it', () => {
  expect(placeWords({ xM: 40.2, yM: 6 }, 'metric')).toBe('40 m down, 6 m out');
  expect(placeWords({ xM: 40.2, yM: -1.3 }, 'metric')).toBe('40 m down, 1 m in over the flooded bank');
});

it('lies keep the number of the first day; new ones go by letters, in their order', () => {
  const shift = (before: FishLie | null) => ({ before, after: lie(9) }) as Shift;
  expect(shiftNames([shift(lie(3)), shift(null), shift(lie(1)), shift(null)])).toEqual(['3', 'A', '1', 'B']);
});

describe('why fish lie there', () => {
  it('is said once; of another like it what differs, the first two of it', () => {
    const first = lie(1);
    const like = (o: Partial<FishLie>) => lieReasonWords(lie(2, o), [first]);
    expect(lieReasonWords(first, [first, lie(2)])).toBe('slow water beside fast');
    expect(like({ reasons: ['deep from the sun'] })).toBe('deep, out of the high sun');
    expect(like({})).toBe('like 1, close by');
    expect(like({ depthM: 1.15 + 1e-9 })).toBe('like 1, but deeper');
    expect(like({ depthM: 1.14 })).toBe('like 1, close by');
    expect(like({ depthM: 0.8, speedMps: 0.3 })).toBe('like 1, but thinner and slower');
    expect(like({ speedMps: 0.7, yM: 9.5, xM: 40 })).toBe('like 1, but faster and further out');
    expect(like({ yM: 2, xM: 5 })).toBe('like 1, but nearer your bank and further up');
    expect(like({ xM: 27 })).toBe('like 1, but further down');
  });

  it('a guess is said to be one; else how sure it is by how often it is found again', () => {
    expect(sureWords(lie(1, { guess: 'alike', foundAgain: { times: 8, of: 8 } }))).toMatch(/^a guess/);
    expect(sureWords(lie(1, { guess: null, foundAgain: { times: 5, of: 8 } }))).toBe('likely');
    expect(sureWords(lie(1, { guess: 'glance' }))).toBe('a guess: measure a depth there');
    expect(sureWords(lie(1, { guess: null, foundAgain: undefined }))).toBeNull();
  });
});

describe('what became of a lie', () => {
  const shift = (o: Partial<Shift>): Shift => ({
    ...{ before: lie(2), after: lie(2), part: 'depth', byPart: 0.2, held: false },
    ...{ depthM: [0.6, 1.2], speedMps: [0.5, 0.7] },
    ...o,
  });
  const said = (o: Partial<Shift>) => {
    const s = shift(o);
    return shiftWords(s, shiftNames([s])[0]!, 'metric');
  };
  const why = 'the depth suits better (0.60 m to 1.20 m, 0.50 m/s to 0.70 m/s)';

  it('stays, or moves so far up or down, in or out, with what changed most at the place', () => {
    expect(said({})).toBe(`2 stays: ${why}.`);
    expect(said({ after: lie(2, { xM: 24, yM: 4 }) })).toBe(`2 moves 4 m down, 2 m in: ${why}.`);
    expect(said({ after: lie(1, { xM: 15 }) })).toBe(`2 moves 5 m up, now ranked 1: ${why}.`);
    expect(said({ after: lie(2, { yM: 7 }) })).toBe(`2 moves 1 m out: ${why}.`);
    expect(said({ after: lie(2, { yM: 6.9, xM: 20.9 }) })).toBe(`2 stays: ${why}.`);
    // The water there is as it was: the day is another.
    const same = { depthM: [0.6, 0.6], speedMps: [0.5, 0.51] } as const;
    expect(said(same)).toBe('2 stays: the same depth hides them better (0.60 m, 0.50 m/s).');
    expect(said({ ...same, part: 'speed', byPart: -0.2 })).toMatch(/^2 stays: the same current suits less \(/);
    expect(said({ ...same, part: 'seam' })).toMatch(/there is more fast water next door/);
    // Ranked against what changed there: the others did.
    const told = `2 stays, now ranked 1: ${why.replace('better', 'less').replace(' (', ', and others lose more (')}.`;
    expect(said({ after: lie(1), byPart: -0.3 })).toBe(told);
    expect(said({ after: lie(4) })).toMatch(/, now ranked 4: the depth suits better, and others gain more \(/);
    expect(said({ after: lie(4), byPart: 0 })).toMatch(/it hardly changes where it was, and others gain more \(/);
    expect(said({ after: lie(4), byPart: -0.3 })).toMatch(/, now ranked 4: the depth suits less \(/);
    expect(said({ part: 'speed', byPart: -0.1 })).toMatch(/the current suits less/);
    for (const byPart of [0, 0.029, -0.029])
      expect(said({ byPart })).toMatch(/^2 stays: it hardly changes where it was \(/);
  });

  it('is new, gone for a reason, or passed by others', () => {
    expect(said({ before: null })).toBe(`A is new, 20 m down: ${why}.`);
    expect(said({ held: true, after: null })).toBe('2 is as good as it was; others are better.');
    expect(said({ after: null, byPart: -0.3 })).toBe(`2 is gone: ${why.replace('better', 'less')}.`);
    // A bank that was dry, or is, explains itself, whatever else changed.
    expect(said({ before: null, depthM: [0, 0.4], part: 'light' })).toMatch(/^A is new, 20 m down: it was dry \(0/);
    expect(said({ after: null, byPart: -0.3, depthM: [0.2, 0.04] })).toMatch(/^2 is gone: it is dry \(/);
    // Nothing there explains it: neither is gone where all grew better, nor is one new where all grew worse.
    for (const byPart of [0.01, -0.2])
      expect(said({ before: null, byPart })).toMatch(/^A is new, 20 m down: others are no better any more \(/);
    expect(said({ after: null, byPart: -0.01 })).toMatch(/^2 is gone: fish are better off elsewhere/);
    expect(said({ after: null })).toMatch(/^2 is gone: fish are better off elsewhere \(0\.60 m to 1\.20 m/);
    expect(shiftWords(shift({ before: null }), 'A', 'imperial')).toMatch(/^A is new, 66 ft down: .*2\.0 ft to 3\.9 ft/);
  });
});
