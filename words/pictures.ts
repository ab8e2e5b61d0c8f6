import type { DayOut } from '@/core/learn/pictures';
import { groupBy, sumOf } from '@/core/maths';
import { several } from './counting';

const MONTHS = [
  ...['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November'],
  'December',
];
const hours = (minutes: number): string => several(Math.max(1, Math.round(minutes / 60)), 'hour');
const sums = (days: readonly DayOut[]): string =>
  `${hours(sumOf(days, (d) => d.minutes))}, ${several(
    sumOf(days, (d) => d.takes),
    'take',
  )}, ${sumOf(days, (d) => d.landed)} landed`;

/** A year in a sentence. @example "2026: 21 days out, 51 hours, 30 takes, 12 landed; 6 blank days." */
export function yearWords(days: readonly DayOut[], year: number): string {
  if (days.length === 0) return `${year}: no day out.`;
  const blank = days.filter((d) => d.takes === 0).length;
  return `${year}: ${several(days.length, 'day')} out, ${sums(days)}; ${several(blank, 'blank day')}.`;
}

/** Each month on which one was out. */
export const monthWords = (days: readonly DayOut[]): string[] =>
  [...groupBy(days, (d) => d.month)].map(([m, own]) => `${MONTHS[m]}: ${several(own.length, 'day')}, ${sums(own)}`);
