import { EMPTY_TALLY } from '../logbook';
import { crossed, daysOf } from './pictures';

describe('a year of days out', () => {
  const out = (month: number, day: number, takes: number, year = 2026) => ({
    startedAt: new Date(year, month, day, 9).getTime(),
    tally: { ...EMPTY_TALLY, casts: 50, takes, minutes: 120, landed: Math.min(1, takes) },
  });

  it('adds up outings of one day, in the order of the year, other years left out', () => {
    expect(daysOf([out(5, 30, 2), out(0, 1, 0), out(5, 30, 1), out(5, 30, 9, 2025)], 2026)).toEqual([
      { month: 0, day: 1, minutes: 120, casts: 50, takes: 0, landed: 0 },
      { month: 5, day: 30, minutes: 240, casts: 100, takes: 3, landed: 2 },
    ]);
    expect(daysOf([], 2026)).toEqual([]);
    // The last day of a month of 31 is not the first of the next.
    expect(daysOf([out(11, 31, 0), out(0, 31, 0)], 2026).map((d) => [d.month, d.day])).toEqual([
      [0, 31],
      [11, 31],
    ]);
  });
});

describe('two things at once', () => {
  const e = (hour: string, temperature: string, casts: number, takes: number, again?: true) => ({
    ...{ shown: { hour, temperature, colour: again ? 'white' : 'black' }, casts, takes, ...(again && { again }) },
  });

  it('bands stand in their order, names by casts; each cell has its casts and takes', () => {
    const some = [[e('4', '1', 30, 2), e('0', '1', 20, 1)], [e('4', '3', 50, 0)], [e('4', '1', 5, 1)]];
    expect(crossed(some, 'temperature', 'hour')).toEqual({
      rows: ['1', '3'],
      columns: ['0', '4'],
      cells: [
        [
          { casts: 20, takes: 1 },
          { casts: 35, takes: 3 },
        ],
        [
          { casts: 0, takes: 0 },
          { casts: 50, takes: 0 },
        ],
      ],
    });
    expect(
      crossed([[e('1', '1', 9, 0), { shown: { hour: '1' }, casts: 9, takes: 0 }]], 'hour', 'temperature').cells,
    ).toEqual([[{ casts: 9, takes: 0 }]]);
  });

  it('two flies on one cast are one cast of the hour, and one each of their colours', () => {
    const two = [[e('1', '1', 40, 1), e('1', '1', 40, 2, true)]];
    expect(crossed(two, 'hour', 'temperature').cells).toEqual([[{ casts: 40, takes: 3 }]]);
    expect(crossed(two, 'colour', 'hour').cells).toEqual([[{ casts: 40, takes: 1 }], [{ casts: 40, takes: 2 }]]);
  });
});
