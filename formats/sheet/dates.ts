// One by one: by its front door all of the library would stand in three bundles.
import { isValid } from 'date-fns/isValid';
import { parse } from 'date-fns/parse';
import type { DateOrder } from './terms';
import { DAY_MS } from '@/core/units';

/** Patterns (Unicode TR 35) after separators were made alike; years of two digits are of this century or the last. */
const PATTERNS: Readonly<Record<DateOrder, readonly string[]>> = {
  'day first': ['d-M-yyyy', 'd-M-yy', 'd-MMM-yyyy', 'd-MMM-yy', 'd-MMMM-yyyy'],
  'month first': ['M-d-yyyy', 'M-d-yy', 'MMM-d-yyyy', 'MMM-d-yy', 'MMMM-d-yyyy'],
  'year first': ['yyyy-M-d', 'yyyyMMdd', 'yyyy-MMM-d'],
};
/** A month in letters says itself where it stands. */
const NAMED = [...PATTERNS['day first'], ...PATTERNS['month first'], ...PATTERNS['year first']].filter((p) =>
  p.includes('MMM'),
);
/** Day 0 of dates that spreadsheets count in days. */
const SERIAL_ZERO = Date.UTC(1899, 11, 30);
const [FIRST_YEAR, LAST_YEAR] = [1900, 2200];

/** "Sat 4th May 2019, 07:30" to "4-May-2019": weekday, ordinal, time of day and separators go. */
const bare = (text: string): string =>
  text
    .trim()
    .replace(/[T ]\d{1,2}:\d\d.*$/, '')
    .replace(/^(mon|tue|wed|thu|fri|sat|sun)[a-z]*[.,]?\s+/i, '')
    .replace(/(\d)(st|nd|rd|th)\b/i, '$1')
    .replace(/\b(sept)\b/i, 'Sep')
    .replace(/[,\s]+$/, '')
    .replace(/[\s./,-]+/g, '-');

/** The first moment of a day in the local time, ms UTC; null for what is no date. */
export function readDate(text: string, order: DateOrder): number | null {
  const t = bare(text);
  if (/^\d{5}$/.test(t)) {
    const utc = new Date(SERIAL_ZERO + Number(t) * DAY_MS);
    return new Date(utc.getUTCFullYear(), utc.getUTCMonth(), utc.getUTCDate()).getTime();
  }
  const patterns = /\p{L}/u.test(t) ? NAMED : [...PATTERNS[order], ...PATTERNS['year first']];
  for (const pattern of patterns) {
    const date = parse(t, pattern, new Date(2000, 0, 1));
    // "yyyy" takes two digits for the first century.
    if (isValid(date) && date.getFullYear() >= FIRST_YEAR && date.getFullYear() <= LAST_YEAR) return date.getTime();
  }
  return null;
}

/** Which order the dates of a column are in; `sure` where some of them can be read in that one only. */
export function guessOrder(cells: readonly string[], otherwise: DateOrder): { order: DateOrder; sure: boolean } {
  const votes = { 'day first': 0, 'month first': 0, 'year first': 0 };
  for (const cell of cells) {
    const [a, b] = bare(cell).split('-').map(Number);
    if (a === undefined || b === undefined || !Number.isFinite(a) || !Number.isFinite(b)) continue;
    if (a > 31) votes['year first']++;
    else if (a > 12) votes['day first']++;
    else if (b > 12) votes['month first']++;
  }
  const [order, most] = (Object.entries(votes) as [DateOrder, number][]).sort((x, y) => y[1] - x[1])[0]!;
  return most > 0 ? { order, sure: true } : { order: otherwise, sure: false };
}

/** Minutes since midnight: 7, 7:30, 7.30, 0730, 7h30, 7:30 pm; null for what is no time of day. */
export function readClock(text: string): number | null {
  const m = /^(\d{1,2})(?:[:.h](\d{2})?|(\d{2}))?\s*(?:uhr|hrs?|h)?\s*([ap])?\.?\s*m?\.?$/i.exec(text.trim());
  if (!m) return null;
  const half = m[4]?.toLowerCase();
  let hour = Number(m[1]);
  const minute = Number(m[2] ?? m[3] ?? 0);
  if (half && (hour < 1 || hour > 12)) return null;
  if (half) hour = (hour % 12) + (half === 'p' ? 12 : 0);
  return hour <= 24 && minute < 60 && hour * 60 + minute <= 1440 ? hour * 60 + minute : null;
}

/** Hours: 3.5, 3,5, 3:30, 3h30, "3 h 30 min"; null for what is no length of time. */
export function readHours(text: string): number | null {
  const t = text.trim().toLowerCase();
  const parts = /^(\d{1,2})\s*(?::|h|hrs?|hours?)\s*(\d{1,2})?\s*(?:m|min|minutes?)?$/.exec(t);
  if (parts) return Number(parts[1]) + Number(parts[2] ?? 0) / 60;
  const minutes = /^(\d{1,4})\s*(?:m|min|mins|minutes?)$/.exec(t);
  if (minutes) return Number(minutes[1]) / 60;
  const number = t.replace(/\s*(h|hrs?|hours?|std)\.?$/, '').replace(',', '.');
  return number !== '' && Number.isFinite(Number(number)) ? Number(number) : null;
}
