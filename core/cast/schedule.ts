import { interpolate } from '../maths';
import type { Schedule } from '../swing';

/** What a schedule says at a time, straight between its rows and held at its ends; null where it says nothing. */
export const scheduled = (s: Schedule, t: number): number | null =>
  s.length === 0
    ? null
    : interpolate(
        s.map((p) => p[0]),
        s.map((p) => p[1]),
        t,
      );

/** Two schedules of line let out, at once. */
export function together(a: Schedule, b: Schedule): [number, number][] {
  if (a.length === 0 || b.length === 0) return [...a, ...b].map(([t, m]) => [t, m]);
  const times = [...new Set([...a, ...b].map(([t]) => t))].sort((x, y) => x - y);
  return times.map((t) => [t, scheduled(a, t)! + scheduled(b, t)!]);
}
