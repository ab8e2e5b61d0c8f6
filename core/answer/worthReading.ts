import { oddsDrawn } from '../advice/trial';
import { doubtOf } from '../cast';
import { shared } from '../maths/work';
import { draws } from '../swing';
import { QUICK_READINGS, type QuickReading, spreadsWith } from '../water';
import type { Stand } from './stands';
import { SERVED_OF_TEN } from './weights';
import { type Bench, weightOf } from './setupWorth';

/** A few minutes at the bank must make so many more of ten right before they are asked for. */
const GAINS = 1;
/** So many of the stands, at the best lies, are asked for. */
const STANDS = 3;
/** Swings of three readings at those. */
const STEPS = 9;

/** A reading to take before one begins, and how often the fly would be well shown at some lies if it bears out what is thought now. */
export interface ToRead {
  readonly read: readonly QuickReading[];
  readonly lies: readonly number[];
  readonly ofTen: number;
  readonly nowOfTen: number;
}

/**
 * The reading to take before one begins, where the odds are low for want of it: the same casts swum in water that is known better.
 * Null where it would gain little, is taken already, or the casts are right often enough.
 */
export function* worthReading({ s }: Bench, stands: readonly Stand[]): Generator<number, ToRead | null, undefined> {
  let done = 0;
  const best = [...stands].sort((a, b) => weightOf(b.lie) - weightOf(a.lie)).slice(0, STANDS);
  const whole = best.reduce((sum, t) => sum + t.lie.score, 0);
  const mean = (ofTens: readonly number[]) => best.reduce((sum, t, i) => sum + t.lie.score * ofTens[i]!, 0) / whole;
  const now = mean(best.map((t) => t.chance ?? 0));
  const taken = { float: s.reading.speed !== null, staff: (s.reading.depths ?? []).length > 0 };
  const open = QUICK_READINGS.filter((r) => !taken[r]);
  if (best.length === 0 || open.length === 0 || now >= SERVED_OF_TEN) return null;
  const rightWith = function* (read: readonly QuickReading[]): Generator<number, number, undefined> {
    const all = draws(doubtOf({ ...s.channel, ...spreadsWith(s.channel, read) }));
    const ofTens: number[] = [];
    for (const t of best) {
      const odds = yield* shared(oddsDrawn(s.channel, t.lie, t, { all }), done++ / STEPS, 1 / STEPS, all.length);
      ofTens.push(odds?.ofTen ?? 0);
    }
    return mean(ofTens);
  };
  // The least that gains enough; another minute must gain as much again. Where all of it gains too little, less does.
  const right = yield* rightWith(open);
  if (right < now + GAINS) return null;
  let found = { read: open, right };
  if (open.length > 1) {
    const alone = [];
    for (const r of open) alone.push({ read: [r], right: yield* rightWith([r]) });
    const one = alone.reduce((a, b) => (b.right >= a.right ? b : a));
    if (one.right >= now + GAINS && right < one.right + GAINS) found = one;
  }
  return { read: found.read, lies: best.map((t) => t.lie.rank), ofTen: found.right, nowOfTen: now };
}
