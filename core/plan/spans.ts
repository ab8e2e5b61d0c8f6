import { groupBy } from '../maths';
import { MINUTE_MS } from '../units';

export const DAY_MIN = 1440;

/** Hours of a day, minutes since midnight by the clock; to before from: over midnight. */
export interface Span {
  readonly fromMin: number;
  readonly toMin: number;
  /** Days of the week on which they hold, 0 Sunday to 6; not said: on all. */
  readonly days?: readonly number[];
  /** The first and the last day on which they hold: MM-DD each year, over its turn too, or YYYY-MM-DD; not said: all year. */
  readonly dates?: { readonly from: string; readonly to: string };
}

export const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;
export const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');

export const two = (n: number): string => String(n).padStart(2, '0');
/** @example clockText(435) // '07:15' */
export const clockText = (min: number): string => `${two(Math.floor(min / 60) % 24)}:${two(Math.round(min) % 60)}`;

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

/** Whether a day, YYYY-MM-DD, lies within dates. */
function within({ from, to }: NonNullable<Span['dates']>, date: string): boolean {
  const [after, before] = [date.slice(-from.length) >= from, date.slice(-to.length) <= to];
  return from <= to || from.length !== to.length ? after && before : after || before;
}

/** Whether hours hold on a day. @param dayStart first moment of the local day, ms UTC */
export function holdsOn({ days, dates }: Span, dayStart: number): boolean {
  const day = new Date(dayStart);
  const date = `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
  const inYear = !dates || within(dates, date);
  return inYear && (days?.includes(day.getDay()) ?? true);
}

/** A span of the clock on a day, by the clock of that day also where it is changed. @param dayStart first moment of the local day, ms UTC */
export function spanOn(dayStart: number, { fromMin, toMin }: Span): { fromAt: number; toAt: number } {
  const at = (min: number) => new Date(dayStart).setHours(0, min, 0, 0);
  return { fromAt: at(fromMin), toAt: at(toMin > fromMin ? toMin : toMin + DAY_MIN) };
}

/** Minutes since midnight by the clock. */
export const minuteOfDay = (at: number): number => (at - new Date(at).setHours(0, 0, 0, 0)) / MINUTE_MS;
