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

export const two = (n: number): string => String(n).padStart(2, '0');
/** @example clockText(435) // '07:15' */
export const clockText = (min: number): string => `${two(Math.floor(min / 60) % 24)}:${two(Math.round(min) % 60)}`;

/** Whether a day, YYYY-MM-DD, lies within dates. */
function within({ from, to }: NonNullable<Span['dates']>, date: string): boolean {
  const [after, before] = [date.slice(-from.length) >= from, date.slice(-to.length) <= to];
  return from <= to || from.length !== to.length ? after && before : after || before;
}

/** Whether it is about noon by the clock, when one eats (common practice, no source). */
export const aboutNoon = (at: number): boolean => minuteOfDay(at) >= 11.5 * 60 && minuteOfDay(at) <= 14.5 * 60;

/** The local day of a moment, YYYY-MM-DD. */
export const isoDate = (at: Date): string => `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;

/** Whether hours hold on a day. @param dayStart first moment of the local day, ms UTC */
export function holdsOn({ days, dates }: Span, dayStart: number): boolean {
  const day = new Date(dayStart);
  const inYear = !dates || within(dates, isoDate(day));
  return inYear && (days?.includes(day.getDay()) ?? true);
}

/** A span of the clock on a day, by the clock of that day also where it is changed. @param dayStart first moment of the local day, ms UTC */
export function spanOn(dayStart: number, { fromMin, toMin }: Span): { fromAt: number; toAt: number } {
  const at = (min: number) => new Date(dayStart).setHours(0, min, 0, 0);
  return { fromAt: at(fromMin), toAt: at(toMin > fromMin ? toMin : toMin + DAY_MIN) };
}

/** Minutes since midnight by the clock. */
export const minuteOfDay = (at: number): number => (at - new Date(at).setHours(0, 0, 0, 0)) / MINUTE_MS;
