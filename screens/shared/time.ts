const DAY = 86_400_000;

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
export const addDays = (day: string, n: number): string => dayOf(startOfDay(day) + DAY / 2 + n * DAY);

export const dayText = (at: number): string =>
  new Date(at).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

export const longDayText = (at: number): string =>
  new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

export const clock = (at: number | null): string =>
  at === null ? '–' : new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
