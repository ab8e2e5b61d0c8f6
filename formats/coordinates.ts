import type { Place } from '@/core/sight/place';

/** Degrees, or degrees and minutes, or degrees, minutes and seconds, as one number; null where they cannot be that. */
function degreesOf(parts: readonly string[]): number | null {
  const [deg, min = 0, sec = 0] = parts.map(Number) as [number, number?, number?];
  if (min < 0 || sec < 0 || min >= 60 || sec >= 60) return null;
  const sign = parts[0]!.startsWith('-') ? -1 : 1;
  return sign * (Math.abs(deg) + min / 60 + sec / 3600);
}

/**
 * A pair of coordinates as it is pasted: decimal or in degrees, minutes and seconds, signed or with N, S, E, W, latitude first unless
 * the letters say otherwise; decimal commas where a semicolon or a space divides.
 *
 * @returns null for what is no such pair
 * @example readPlace('57° 6′ N, 5° 0′ W') // { latDeg: 57.1, lonDeg: -5 }
 */
export function readPlace(text: string): Place | null {
  const plain = text.replace(/^geo:/i, '').replace(/[−–]/g, '-').trim();
  if (/[^\d\s.,;:+\-°º'’′"”″NSEW]/i.test(plain)) return null;
  // "57,1 -5,0", "57,1; -5,0": a comma between two digits with another one after it is a decimal point.
  const points = /\d,\d+\s*[;\s]\s*[+-]?\d+,\d/.test(plain) ? plain.replace(/(\d),(?=\d)/g, '$1.') : plain;
  const numbers = points.match(/[+-]?\d+(\.\d+)?/g) ?? [];
  const letters = (points.match(/[NSEW]/gi) ?? []).map((l) => l.toUpperCase());
  if (numbers.length === 0 || numbers.length % 2 > 0 || numbers.length > 6) return null;
  const half = numbers.length / 2;
  const [a, b] = [degreesOf(numbers.slice(0, half)), degreesOf(numbers.slice(half))];
  if (a === null || b === null) return null;
  const turned = letters[0] === 'E' || letters[0] === 'W';
  if (letters.length > 0 && (letters.length !== 2 || 'EW'.includes(letters[1]!) === turned)) return null;
  const signed = (v: number, letter: string | undefined) =>
    letter === undefined ? v : letter === 'S' || letter === 'W' ? -Math.abs(v) : Math.abs(v);
  const [first, second] = [signed(a, letters[0]), signed(b, letters[1])];
  const [latDeg, lonDeg] = turned ? [second, first] : [first, second];
  return Math.abs(latDeg) <= 90 && Math.abs(lonDeg) <= 180 ? { latDeg, lonDeg } : null;
}
