import { throughNight } from '@/core/logbook/byHand';
import { DAY_MS } from '@/core/units';

/** Days are local calendar days written YYYY-MM-DD. */
export function dayOf(at: number): string {
  const d = new Date(at);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
}

export function startOfDay(day: string): number {
  const [y, m, d] = day.split('-').map(Number);
  return new Date(y!, m! - 1, d!).getTime();
}

/** The day so many days later; noon keeps clear of changes of the clock. */
export const addDays = (day: string, n: number): string => dayOf(startOfDay(day) + DAY_MS / 2 + n * DAY_MS);

export const dayText = (at: number): string =>
  new Date(at).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

export const longDayText = (at: number): string =>
  new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

export const clock = (at: number | null): string =>
  at === null ? '–' : new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** The moment of a time of day ("7:05", "07.05") on the day of another moment; null for what is no time of day. */
export function atClock(day: number, text: string): number | null {
  const m = /^(\d{1,2})[:.](\d{2})$/.exec(text.trim());
  if (!m || Number(m[1]) > 23 || Number(m[2]) > 59) return null;
  return new Date(day).setHours(Number(m[1]), Number(m[2]), 0, 0);
}

/** The moment of a time of day that is nearest to another moment: ten past midnight, of an evening, is the next day's. */
export function nearestClock(to: number, text: string): number | null {
  const same = atClock(to, text);
  if (same === null) return null;
  const [before, after] = [atClock(to - DAY_MS, text)!, atClock(to + DAY_MS, text)!];
  return [same, before, after].reduce((a, b) => (Math.abs(b - to) < Math.abs(a - to) ? b : a));
}

/** From when to when, the second of the next day where one fished through the night; null where it ends before it begins. */
export function spanOf(day: number, from: string, to: string): { fromAt: number; toAt: number } | null {
  const [fromAt, toAt] = [atClock(day, from), atClock(day, to)];
  if (fromAt === null || toAt === null) return null;
  if (toAt >= fromAt) return { fromAt, toAt };
  const minutes = (at: number) => 60 * new Date(at).getHours() + new Date(at).getMinutes();
  return throughNight(minutes(fromAt), minutes(toAt))
    ? { fromAt, toAt: atClock(toAt + DAY_MS + DAY_MS / 24, to)! }
    : null;
}
