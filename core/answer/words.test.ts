import { PLAN, RIG } from '../testing/fixtures';
import type { FishLie } from '../lies';
import { presented } from '../cast';
import type { Stand } from './casts';
import type { Method } from './methods';
import type { Setup } from './rigs';
import type { Because, GivenUp } from './servedLies';
import { answerTitle, castWords, givenUpWords, oddsWords, standWords, sureOfStand } from './words';

const stand = (rank: number, chance: number, score = 1) => ({ lie: { rank, score } as FishLie, chance }) as Stand;
const left = (because: Because, ...ranks: number[]): GivenUp[] =>
  ranks.map((rank) => ({ lie: { rank, xM: 20 } as FishLie, because }));
const cast = (angleDeg: number) => ({ ...stand(9, 5), plan: { ...PLAN, angleDeg } });

const odds = (stands: Stand[], givesUp: GivenUp[] = [], method: Method = 'strip') =>
  oddsWords({ stands, givesUp, setup: { method } as Setup });

describe('an answer in words', () => {
  it('names method, fly and tip', () => {
    expect(answerTitle('streamer on the swing', RIG)).toBe('Streamer on the swing: black rabbit strip on 10 ft fast');
  });

  it('tells the odds where it serves, the better lie weighing more', () => {
    expect(odds([stand(2, 9), stand(1, 5)])).toBe('As wanted in 7 of 10 swings over 2 lies.');
    expect(odds([stand(2, 9, 3), stand(1, 5)], left('seldom', 4, 6))).toBe('As wanted in 8 of 10 swings at 1, 2.');
    expect(odds([stand(1, 6)])).toBe('As wanted in 6 of 10 swings at the lie.');
    // What wakes is where it should be in any water: whether fish come up to it is another matter.
    expect(odds([stand(1, 10)], [], 'wake fly')).toBe('It wakes in more than 9 of 10 swings at the lie.');
  });

  it('is plain where nothing is served', () => {
    expect(odds([stand(1, 3)], left('wood', 1, 2))).toBe('No lie is well served: at the best of them, in 3 of 10.');
    expect(odds([], left('wood', 1))).toBe('No lie is served with this.');
  });

  it('tells what is given up and why, alike together', () => {
    const of = (...givesUp: GivenUp[]) => givenUpWords({ stands: [cast(70)], givesUp });
    expect(of()).toBe('');
    expect(of(...left('out of reach', 8, 1), ...left('too deep', 3), ...left('out of reach', 4))).toBe(
      'Gives up 1, 4, 8 (out of reach), 3 (the fly goes too deep).',
    );
    expect(of(...left('seldom', 2))).toBe('Gives up 2 (right too seldom).');
  });

  it('says what to do about lies at the very head, where nobody stands above them', () => {
    const at = (...places: number[]) => ({
      stands: [cast(70)],
      givesUp: places.map((xM, i): GivenUp => ({ lie: { rank: i + 1, xM } as FishLie, because: 'out of reach' })),
    });
    expect(givenUpWords(at(5, 30))).toBe('Gives up 1, 2 (out of reach).');
    expect(givenUpWords(at(4.9))).toMatch(/^Lie 1 at the very head .* to swing to it one stands further up\./);
    expect(givenUpWords(at(1, 30, 2))).toMatch(/^Gives up 2 \(out of reach\)\. Lies 1, 3 at .* swing to them/);
    expect(givenUpWords({ ...at(1), stands: [cast(70), cast(150)] })).toBe('Gives up 1 (out of reach).'); // cast to from below
  });

  it('tells the cast in the order in which it is done, in the units asked for', () => {
    expect(castWords(PLAN, 'metric')).toBe('12.0 m out at 60°');
    expect(castWords({ ...PLAN, mendM: 1 }, 'imperial')).toBe('39 ft out at 60°; mend 3 ft upstream');
    expect(castWords({ ...PLAN, mendM: -1 }, 'metric')).toMatch(/mend 1\.0 m downstream/);
    const hands = { way: 'swing', countS: 0, pullM: 0, pullMps: 0.5, restS: 0.5, feedM: 0, walkM: 1.5 } as const;
    expect(castWords({ ...PLAN, hands }, 'metric')).toBe('12.0 m out at 60°; step down 1.5 m while it sinks');
    expect(castWords({ ...PLAN, hands: { ...hands, walkM: 3 } }, 'metric')).toMatch(/walk down 3\.0 m with the swing/);
    expect(castWords(presented(PLAN, 'strip'), 'metric')).toMatch(/strip from the count of 4$/);
    expect(castWords(presented(PLAN, 'dead drift'), 'metric')).toMatch(/dead drift$/);
  });

  it('tells where one stands and what puts the pass at risk', () => {
    expect(standWords({ xM: 10.4, yM: -0.5 }, 'metric')).toBe('10 m down, by the bank');
    expect(standWords({ xM: 10, yM: 3 }, 'imperial')).toBe('33 ft down, 10 ft out');
    expect(sureOfStand({ chance: 9, risk: 'faster' }, 'strip')).toBe(
      'Right in 9 of 10; less where the water is faster than read.',
    );
    expect(sureOfStand({ chance: 10, risk: null }, 'strip')).toBe('Right in more than 9 of 10.');
    expect(sureOfStand({ chance: 10, risk: null }, 'wake fly')).toBe('It wakes in more than 9 of 10.');
    expect(sureOfStand({}, 'strip')).toBe('');
  });
});
