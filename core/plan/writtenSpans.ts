import { groupBy } from '../maths';
import { clockText, DAY_MIN, type Span, two } from './spans';

const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;
const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');

/** Minutes of a time of day: 7, 7:30, 7.30; null for what is none. */
function minutesOf(text: string): number | null {
  const m = /^(\d{1,2})(?:[:.](\d\d))?$/.exec(text.trim());
  const min = m ? Number(m[1]) * 60 + Number(m[2] ?? 0) : NaN;
  return m && Number(m[2] ?? 0) < 60 && min <= DAY_MIN ? min : null;
}

/** Of names the one that a word begins with, or -1. @example named(MONTHS, 'september') // 8 */
const named = (names: readonly string[], word: string): number =>
  names.findIndex((n) => word.slice(0, 3).toLowerCase() === n.toLowerCase());

const [RANGE, DATE] = [/\s*(?:[-–—]|\bto\b)\s*/, /(?:\d{1,2}\.?\s*[a-z]{3,9}|[a-z]{3,9}\s*\d{1,2})(?:\s+\d{4}\b)?/];
const DATES = new RegExp(`^(${DATE.source})(?:${RANGE.source}(${DATE.source}))?\\s+`, 'i');
const DAY_NAMES = /^((?:daily|weekdays|weekends|[a-z]{3,9})(?:\s*(?:[-–—,]|to)\s*[a-z]{3,9})*)\s*:?\s+(?=\d)/i;

/** A day as dates have it; null for what is none. @example dateOf('1 May') // '05-01' */
function dateOf(text: string): string | null {
  const month = named(MONTHS, /[a-z]+/i.exec(text)?.[0] ?? '');
  const year = /\b\d{4}\b/.exec(text)?.[0];
  const day = Number(/\b\d{1,2}(?!\d)/.exec(text)?.[0]);
  const days = month < 0 ? 0 : new Date(Number(year ?? 2024), month + 1, 0).getDate();
  return day >= 1 && day <= days ? `${year ? `${year}-` : ''}${two(month + 1)}-${two(day)}` : null;
}

/** Days of the week out of "Mon-Fri, Sun"; null where it names none. */
function daysOf(text: string): number[] | null {
  if (/^daily$/i.test(text)) return [0, 1, 2, 3, 4, 5, 6];
  const plain = text.replace(/weekdays/i, 'Mon-Fri').replace(/weekends/i, 'Sat, Sun');
  const days = plain.split(/\s*,\s*/).flatMap((part) => {
    const [from, to = from, more] = part.split(RANGE).map((d) => named(DAYS, d));
    if (from! < 0 || to! < 0 || more !== undefined) return [-1];
    return Array.from({ length: 1 + ((to! - from! + 7) % 7) }, (_, i) => (from! + i) % 7);
  });
  return days.includes(-1) ? null : [...new Set(days)].sort((a, b) => a - b);
}

/** Hours of one group, "Mon-Fri 7:00-10:00, 17-21"; null where it is none. */
function readGroup(text: string): Span[] | null {
  const [said, first, last] = DATES.exec(text) ?? [''];
  const dates = said && { from: dateOf(first!), to: dateOf(last ?? first!) };
  const rest = text.slice(said.length);
  const [named, which] = DAY_NAMES.exec(rest) ?? [''];
  const days = named ? daysOf(which!) : [];
  if (!days || (dates && !(dates.from && dates.to))) return null;
  const when = {
    ...(dates ? { dates: { from: dates.from!, to: dates.to! } } : null),
    ...(days.length > 0 && days.length < 7 ? { days } : null),
  };
  const spans = rest
    .slice(named.length)
    .split(',')
    .map((part) => {
      const [from, to, more] = part.trim().split(RANGE);
      const [fromMin, toMin] = [minutesOf(from ?? ''), minutesOf(to ?? '')];
      return fromMin === null || toMin === null || more !== undefined || fromMin === toMin
        ? null
        : { fromMin, toMin, ...when };
    });
  return spans.every((x) => x !== null) ? spans : null;
}

/**
 * Hours as one writes them, groups of them with their days and dates set apart by semicolons; null where they cannot be read.
 *
 * @example readSpans('7-10') // [{ fromMin: 420, toMin: 600 }]
 * @example readSpans('1 May-30 Sep Mon-Fri 7:00-10:00, 17-21; Sat, Sun 9-12')
 */
export function readSpans(text: string): Span[] | null {
  const groups = text
    .replace(/,\s*$/, '')
    .split(';')
    .map((g) => g.trim())
    .filter(Boolean)
    .map(readGroup);
  return groups.every((g) => g !== null) ? groups.flat() : null;
}

/** Days of the week as one writes them, the week beginning on Monday. @example daysText([1, 2, 3, 6]) // 'Mon-Wed, Sat' */
function daysText(days: readonly number[]): string {
  const week = [1, 2, 3, 4, 5, 6, 0].map((d) => days.includes(d));
  const name = (i: number) => DAYS[(i + 1) % 7]!;
  return week
    .flatMap((on, i) => {
      if (!on || week[i - 1]) return [];
      const end = week.indexOf(false, i);
      const last = (end < 0 ? 7 : end) - 1;
      return last === i ? [name(i)] : last === i + 1 ? [name(i), name(last)] : [`${name(i)}-${name(last)}`];
    })
    .join(', ');
}
const dateText = (date: string): string => {
  const [month, day] = date.slice(-5).split('-').map(Number);
  return `${day} ${MONTHS[month! - 1]}${date.length > 5 ? ` ${date.slice(0, 4)}` : ''}`;
};
const datesText = ({ from, to }: NonNullable<Span['dates']>): string =>
  from === to ? dateText(from) : `${dateText(from)}-${dateText(to)}`;

/** When in the year and week hours hold, as one writes it; empty: each day. */
const whenText = ({ dates, days }: Span): string =>
  [dates ? datesText(dates) : '', days ? daysText(days) : ''].filter(Boolean).join(' ');

/** Hours as one writes them. @example spansText([{ fromMin: 420, toMin: 600, days: [6] }]) // 'Sat 07:00-10:00' */
export const spansText = (spans: readonly Span[]): string =>
  [...groupBy(spans, whenText)]
    .map(([when, of]) =>
      [when, of.map((s) => `${clockText(s.fromMin)}-${clockText(s.toMin)}`).join(', ')].filter(Boolean).join(' '),
    )
    .join('; ');
