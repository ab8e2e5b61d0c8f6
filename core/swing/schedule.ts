import type { Schedule } from './types';

/** What a schedule says at time t, straight between its rows and held at its ends; 0 where it says nothing. */
export function valueAt(schedule: Schedule | undefined, t: number): number {
  if (!schedule || schedule.length === 0) return 0;
  let prev = schedule[0]!;
  if (t <= prev[0]) return prev[1];
  for (const p of schedule) {
    if (t <= p[0]) return prev[1] + ((p[1] - prev[1]) * (t - prev[0])) / (p[0] - prev[0]);
    prev = p;
  }
  return prev[1];
}

/** Two schedules of line let out, at once. */
export function together(a: Schedule, b: Schedule): [number, number][] {
  const times = [...new Set([...a, ...b].map(([t]) => t))].sort((x, y) => x - y);
  return times.map((t) => [t, valueAt(a, t) + valueAt(b, t)]);
}
