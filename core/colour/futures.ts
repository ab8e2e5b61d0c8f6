import { normal, seeded } from '../maths';
import { continued, flowAt, type Hydrograph } from './hydrograph';
import type { River } from './kinds';

const HOUR = 3_600_000;
/** A future is gone on with in steps of so long, and looked for from starts so far apart, h. */
const STEP_H = 3;
const START_EVERY_H = 6;
const FUTURES = 24;
/** As many of the past's as there are at the least; with fewer the river's kind goes on in its own way. */
const ENOUGH = 12;
/** So alike are two moments, by flow and by its change in a day (logarithms). */
const ALIKE = { flow: 0.6, change: 0.25 } as const;

/** How a kind of river goes on of itself: recession, h; chance of a freshet a day; how large (logarithm). */
const GOES_ON: Readonly<Record<River['kind'], { recessionH: number; perDay: number; rise: number }>> = {
  spate: { recessionH: 40, perDay: 0.12, rise: 1 },
  lowland: { recessionH: 110, perDay: 0.08, rise: 0.6 },
  spring: { recessionH: 200, perDay: 0.03, rise: 0.25 },
  snowmelt: { recessionH: 60, perDay: 0.1, rise: 0.5 },
  'below a dam': { recessionH: 80, perDay: 0.08, rise: 0.5 },
};

const changeAt = (g: Hydrograph, at: number): number => flowAt(g, at) - flowAt(g, at - 24 * HOUR);

/**
 * Ways a river may go on after its last value: as it went on from moments like this one, else as its kind does. All are
 * equally likely.
 */
export function futures(g: Hydrograph, river: River, untilAt: number): Hydrograph[] {
  const now = g.points.at(-1)!.at;
  if (untilAt <= now) return [g];
  const [q, change] = [flowAt(g, now), changeAt(g, now)];
  const times: number[] = [];
  for (let at = now + STEP_H * HOUR; at < untilAt + STEP_H * HOUR; at += STEP_H * HOUR) times.push(at);
  const starts: { at: number; apart: number }[] = [];
  const span = times.at(-1)! - now;
  for (let at = g.points[0]!.at + 24 * HOUR; at + span <= now; at += START_EVERY_H * HOUR)
    starts.push({
      at,
      apart: Math.hypot((flowAt(g, at) - q) / ALIKE.flow, (changeAt(g, at) - change) / ALIKE.change),
    });
  starts.sort((a, b) => a.apart - b.apart);
  const like = starts.filter((s) => s.apart < 2).slice(0, FUTURES);
  const past = like.map(({ at }) =>
    continued(
      g,
      times.map((t) => ({ at: t, q: q + flowAt(g, at + (t - now)) - flowAt(g, at) })),
    ),
  );
  if (past.length >= ENOUGH) return past;
  return [...past, ...ofKind(g, river, times, FUTURES - past.length)];
}

function ofKind(g: Hydrograph, river: River, times: readonly number[], count: number): Hydrograph[] {
  const { recessionH, perDay, rise } = GOES_ON[river.kind];
  const rand = seeded(17);
  const last = g.points.at(-1)!;
  return Array.from({ length: count }, () => {
    let q = last.q;
    let risen = 0;
    return continued(
      g,
      times.map((at) => {
        q += (Math.min(q, g.middle) - q) * (1 - Math.exp(-STEP_H / recessionH)) + 0.02 * normal(rand);
        if (rand() < (perDay * STEP_H) / 24) risen = rise * Math.exp(0.5 * normal(rand));
        // A freshet rises over some nine hours.
        q += risen / 3;
        risen *= 2 / 3;
        return { at, q };
      }),
    );
  });
}
