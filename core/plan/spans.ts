import { MINUTE_MS } from '../units';
const DAY_MIN = 1440;

/** Hours of a day, minutes since midnight by the clock; to before from: over midnight. */
export interface Span {
  readonly fromMin: number;
  readonly toMin: number;
}

const two = (n: number): string => String(n).padStart(2, '0');
/** @example clockText(435) // '07:15' */
export const clockText = (min: number): string => `${two(Math.floor(min / 60) % 24)}:${two(Math.round(min) % 60)}`;

/** Minutes of a time of day: 7, 7:30, 7.30; null for what is none. */
function minutesOf(text: string): number | null {
  const m = /^(\d{1,2})(?:[:.](\d\d))?$/.exec(text.trim());
  const min = m ? Number(m[1]) * 60 + Number(m[2] ?? 0) : NaN;
  return m && Number(m[2] ?? 0) < 60 && min <= DAY_MIN ? min : null;
}

/** Hours out of "7:00-10:00, 17-21"; null where it is none. @example readSpans('7-10') // [{ fromMin: 420, toMin: 600 }] */
export function readSpans(text: string): Span[] | null {
  const parts = text
    .split(/[,;]/)
    .map((p) => p.trim())
    .filter(Boolean);
  const spans = parts.map((part) => {
    const [from, to, more] = part.split(/\s*(?:[-–—]|\bto\b)\s*/);
    const [fromMin, toMin] = [minutesOf(from ?? ''), minutesOf(to ?? '')];
    return fromMin === null || toMin === null || more !== undefined || fromMin === toMin ? null : { fromMin, toMin };
  });
  return spans.every((s) => s !== null) ? spans : null;
}

export const spansText = (spans: readonly Span[]): string =>
  spans.map((s) => `${clockText(s.fromMin)}-${clockText(s.toMin)}`).join(', ');

/** A span of the clock on a day, by the clock of that day also where it is changed. @param dayStart first moment of the local day, ms UTC */
export function spanOn(dayStart: number, { fromMin, toMin }: Span): { fromAt: number; toAt: number } {
  const at = (min: number) => new Date(dayStart).setHours(0, min, 0, 0);
  return { fromAt: at(fromMin), toAt: at(toMin > fromMin ? toMin : toMin + DAY_MIN) };
}

/** Minutes since midnight by the clock. */
export const minuteOfDay = (at: number): number => (at - new Date(at).setHours(0, 0, 0, 0)) / MINUTE_MS;
