import { legWords } from './day';

const at = (h: number, m = 0) => new Date(2026, 8, 10, h, m).getTime();
const rest = (fromAt: number, toAt: number) => legWords({ kind: 'break', name: '', fromAt, toAt });

describe('the parts of a day', () => {
  it('a break about noon that is no longer than an hour is lunch', () => {
    expect([rest(at(11, 30), at(12)), rest(at(13, 15), at(14)), rest(at(14, 30), at(15))]).toEqual(
      Array(3).fill('Lunch'),
    );
    expect([rest(at(11, 29), at(12)), rest(at(14, 31), at(15)), rest(at(12), at(13, 1))]).toEqual(
      Array(3).fill('Break'),
    );
  });
});
