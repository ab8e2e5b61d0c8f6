import type { Channel, Reading, Run } from '../water';
import { scoreAt } from './find';
import type { FishLie, LieOptions, LiePart } from './types';

/** A run on one day, as it is compared with another. */
export interface Day {
  readonly reading: Reading | null;
  readonly channel: Channel;
  readonly lies: readonly FishLie[];
}

export interface Shift {
  /** The lie on the first day and on the second; null where there is none. */
  readonly before: FishLie | null;
  readonly after: FishLie | null;
  /** The part that changed most at the place, and by how much (second day less first); the temperature is the same everywhere and moves
   * nothing. */
  readonly part: Exclude<LiePart, 'temperature'>;
  readonly byPart: number;
  /** Not among the best any more, though as good as it was: others are better. */
  readonly held: boolean;
  /** Depth and speed at the place of the lie on either day, m and m/s. */
  readonly depthM: readonly [number, number];
  readonly speedMps: readonly [number, number];
}

/** Lies this near to each other on two days are the same, m along and across. */
const SAME = { x: 9, y: 4 };

/** A place that keeps so much of its score is not gone. */
const STILL_GOOD = 0.85;

/** What moved between two days of a run, and why: the part of the score that changed most where the lie was (or is). */
export function compareDays(run: Run, a: Day, b: Day, o: LieOptions): Shift[] {
  const left = new Set(b.lies);
  const out: Shift[] = [];
  for (const before of a.lies) {
    const after =
      [...left]
        .filter((l) => Math.abs(l.xM - before.xM) <= SAME.x && Math.abs(l.yM - before.yM) <= SAME.y)
        .sort(
          (p, q) => Math.hypot(p.xM - before.xM, p.yM - before.yM) - Math.hypot(q.xM - before.xM, q.yM - before.yM),
        )[0] ?? null;
    if (after) left.delete(after);
    out.push(shift(run, a, b, o, before, after));
  }
  for (const after of left) out.push(shift(run, a, b, o, null, after));
  return out;
}

function shift(run: Run, a: Day, b: Day, o: LieOptions, before: FishLie | null, after: FishLie | null): Shift {
  // Where it was: what became of that place. A new one: what was wrong with it before.
  const at = before ?? after!;
  const then = scoreAt(run, a.channel, a.reading, o, at.xM, at.yM);
  const now = scoreAt(run, b.channel, b.reading, o, at.xM, at.yM);
  // A reason explains in the right direction: what got worse where a lie is gone, what got better where one is new.
  const change = (p: LiePart) => now.parts[p] - then.parts[p];
  const weight = (p: LiePart) => (!after ? -change(p) : !before ? change(p) : Math.abs(change(p)));
  const { temperature: _everywhere, ...moving } = then.parts;
  const part = (Object.keys(moving) as (keyof typeof moving)[]).reduce((a, b) => (weight(b) > weight(a) ? b : a));
  const held = !after && now.score >= STILL_GOOD * then.score;
  return {
    before,
    after,
    part,
    byPart: change(part),
    held,
    depthM: [then.depthM, now.depthM],
    speedMps: [then.speedMps, now.speedMps],
  };
}
