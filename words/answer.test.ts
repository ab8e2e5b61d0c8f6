import { PLAN, RIG } from '@/core/testing/fixtures';
import type { FishLie } from '@/core/lies';
import { handsOf, presented } from '@/core/cast';
import type { Because, GivenUp, Stand } from '@/core/answer';
import {
  answerTitle,
  castWords,
  coversWords,
  leftWords,
  oddsWords,
  ranksOf,
  sectionWords,
  standWords,
  sureOfStand,
} from './answer';
import { throwWords } from './cast';

const stand = (rank: number, chance: number, score = 1) => ({ lie: { rank, score } as FishLie, chance }) as Stand;
const left = (because: Because, ...ranks: number[]): GivenUp[] =>
  ranks.map((rank) => ({ lie: { rank, xM: 20 } as FishLie, because, tip: null }));

const odds = (stands: Stand[], givesUp: GivenUp[] = []) => oddsWords({ stands, givesUp });

describe('an answer in words', () => {
  it('names method, fly and tip', () => {
    expect(answerTitle('streamer on the swing', RIG)).toBe('Streamer on the swing: black rabbit strip on 10 ft fast');
  });

  it('tells the odds of the lies that are fished, each within what is told: no lie has two chances', () => {
    expect(odds([stand(2, 9), stand(1, 5)])).toBe('Lies 1, 2 are well shown in 5 to 9 of 10 swings.');
    expect(odds([stand(2, 8), stand(1, 8)], left('seldom', 4, 6))).toBe('Lies 1, 2 are well shown in 8 of 10 swings.');
    expect(odds([stand(3, 10), stand(1, 5), stand(2, 7)])).toBe(
      'Lies 1 to 3 are well shown in 5 to more than 9 of 10 swings.',
    );
    expect(odds([stand(1, 6)])).toBe('Lie 1 is well shown in 6 of 10 swings.');
  });

  it('tells lies by their numbers, those in a row as one', () => {
    const told = (...ranks: number[]) => ranksOf(ranks.map((rank) => ({ rank })));
    expect([told(4), told(2, 1), told(3, 1, 2), told(9, 1, 7, 8, 4, 5)]).toEqual([
      '4',
      '1, 2',
      '1 to 3',
      '1, 4, 5, 7 to 9',
    ]);
  });

  it('is plain where nothing is served', () => {
    expect(odds([stand(1, 3)], left('wood', 1, 2))).toBe('The best lie is well shown in 3 of 10 swings only.');
    expect(odds([], left('wood', 1))).toBe('No lie is well shown.');
  });

  it('tells what an hour covers, beside what one fishes now; poor odds first', () => {
    expect(coversWords({ found: 0.46 }, 0.28)).toBe(
      'Covers 46 % of the willing fish in an hour, against 28 % as you fish now.',
    );
    expect(coversWords({ found: 0.46 }, 0.46)).toBe('Covers 46 % of the willing fish in an hour.');
    expect(coversWords({ found: 0.06 }, null)).toBe(
      'Hard water for what’s in your bag. Covers 6 % of the willing fish in an hour.',
    );
  });

  it('tells what is left, why, and what would serve it; at the very head, to stand further up', () => {
    const left = (because: Because, lie: Partial<FishLie>, tip: string | null = null) => ({
      ...{ lie: { rank: 4, xM: 20, yM: 28, depthM: 1.2, ...lie } as FishLie, because, tip },
    });
    const of = (because: Because, lie: Partial<FishLie> = {}, tip: string | null = null, angleDeg = 60) =>
      leftWords([left(because, lie, tip)], { angleDeg }, 'metric')[0];
    expect(of('out of reach')).toBe(
      'Skips lie 4 (28 m out): out of reach. Fish from the other bank, or wade further out at a lower level.',
    );
    expect(of('too shallow', { yM: 12 })).toMatch(
      /rides too high\. No tip of yours takes it down there: bring a longer/,
    );
    expect(of('too shallow', {}, '10 ft heavy')).toMatch(/rides too high\. Loop on 10 ft heavy there\.$/);
    expect(of('too shallow', { yM: 20 })).toMatch(/no time to sink so far out: fish from the other bank/);
    expect(of('too shallow', { yM: 3, depthM: 0.5 })).toMatch(/Land it further above/);
    expect(of('wakes')).toBe(
      'Skips lie 4 (28 m out): fish there want a sunk fly. Go through once more with a streamer or a wet fly.',
    );
    expect(of('short of it', { yM: 5 })).toMatch(/stops short\. Fish it first, on a short line\.$/);
    expect(of('short of it', { xM: 4.9 })).toMatch(/^Skips lie 4, at the very head .* stand further up\./);
    expect(of('short of it', { xM: 4.9 }, null, 145)).toMatch(/28 m out/); // cast to from below
    expect(of('wood', { xM: 1 })).toMatch(/wood in the way/);
    // Those alike are told together.
    const far = [
      left('out of reach', { rank: 7, yM: 42 }),
      left('wood', {}),
      left('out of reach', { rank: 3, yM: 30 }),
    ];
    expect(leftWords(far, { angleDeg: 60 }, 'metric')).toEqual([
      expect.stringMatching(/^Skips lies 3, 7 \(30 m to 42 m out\): out of reach\. /),
      expect.stringMatching(/^Skips lie 4 \(28 m out\): wood in the way\./),
    ]);
  });

  it('tells the stretches of the work in a breath each', () => {
    const way = {
      fromM: 12,
      toM: 45,
      waded: true,
      plan: { ...PLAN, mendM: 1 },
      shortestM: 6,
      longestM: 16,
      stepM: 1.5,
      casts: 30,
      lie: null,
    };
    expect(sectionWords(way, 'metric')).toBe(
      'From 12 m to 45 m down, wading: start with 6 m, lengthen to 16 m at 60°, mend once upstream; step 1.5 m after the longest.',
    );
    expect(sectionWords({ ...way, fromM: 45, toM: 12, waded: false, longestM: 6 }, 'metric')).toMatch(
      /^Up from 45 m to 12 m, from the bank: cast 6 m at 60°/,
    );
    expect(sectionWords({ ...way, lie: 3, toM: 12, stepM: 0 }, 'imperial')).toMatch(
      /^For lie 3: \d+ ft down, .* cast 52 ft at 60°, mend once upstream; 30 casts\.$/,
    );
    expect(sectionWords({ ...way, lie: 3, casts: 1 }, 'metric')).toMatch(/mend once upstream\.$/);
    // Nobody lays a line closer than to five degrees.
    for (const [angleDeg, told] of [
      [48.2, '50°'],
      [52.4, '50°'],
      [87, '85°'],
    ] as const) {
      const plan = { ...way.plan, angleDeg };
      expect(sectionWords({ ...way, plan }, 'metric')).toContain(` at ${told}, `);
      expect(throwWords(plan, 'metric')).toMatch(new RegExp(` at ${told}$`));
    }
  });

  it('tells the cast in the order in which it is done, in the units asked for', () => {
    expect(castWords(PLAN, 'metric')).toBe('cast 12 m at 60°');
    expect(castWords({ ...PLAN, mendM: 3 }, 'imperial')).toBe('cast 39 ft at 60°; mend 10 ft upstream');
    expect(castWords({ ...PLAN, mendM: -2 }, 'metric')).toBe('cast 12 m at 60°; mend 2 m downstream');
    expect(castWords({ ...PLAN, mendM: 1 }, 'imperial')).toBe('cast 39 ft at 60°; mend once upstream');
    expect(castWords({ ...PLAN, mendM: -1 }, 'metric')).toMatch(/mend once downstream/);
    const hands = { way: 'swing', countS: 0, pullM: 0, pullMps: 0.5, restS: 0.5, feedM: 0, walkM: 1.5 } as const;
    expect(castWords({ ...PLAN, hands }, 'metric')).toBe('cast 12 m at 60°; step down 1.5 m while it sinks');
    expect(castWords({ ...PLAN, hands: { ...hands, walkM: 3 } }, 'metric')).toMatch(/walk down 3\.0 m with the swing/);
    expect(castWords(presented(PLAN, 'strip'), 'metric')).toMatch(/strip from the count of 4$/);
    expect(castWords(presented(PLAN, 'dead drift'), 'metric')).toMatch(/dead drift$/);
    const varied = {
      ...presented(PLAN, 'strip'),
      hands: { ...handsOf(presented(PLAN, 'strip')), rhythm: 'varied' as const },
    };
    expect(castWords(varied, 'metric')).toMatch(/; strip \(long, short, a pause\) from the count of 4$/);
    const dip = presented(PLAN, 'dip and draw');
    expect(castWords({ ...dip, tipUnderM: 0.5 }, 'metric')).toMatch(
      /; dip and draw from the count of 12; rod tip 0\.5 m under$/,
    );
  });

  it('tells where one stands and what puts the pass at risk', () => {
    expect(standWords({ xM: 10.4, yM: -0.5 }, 'metric')).toBe('10 m down, by the bank');
    expect(standWords({ xM: 10, yM: 3 }, 'imperial')).toBe('33 ft down, 10 ft out');
    expect(sureOfStand({ chance: 9, risk: 'faster' })).toBe(
      'Well shown in 9 of 10 swings; less where the water is faster than read.',
    );
    expect(sureOfStand({ chance: 10, risk: null })).toBe('Well shown in more than 9 of 10 swings.');
    expect(sureOfStand({})).toBe('');
  });
});
