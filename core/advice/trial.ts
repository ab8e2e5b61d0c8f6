import { caseOnRun } from '../cast/case';
import { type Numerics, runSwing } from '../swing';
import type { Channel } from '../water';
import { combinations, type RankRequest } from './rank';
import type { Trial, Tried, Wanted } from './types';
import { judge, missOf } from './verdict';

/** Simulates one trial up to the lie and judges it; null when it cannot be cast. */
export function tryOut(c: Channel, w: Wanted, t: Trial, num: Numerics): Tried | null {
  try {
    const swing = { ...caseOnRun(c, t.rig, t.plan, [w.lie]), keepLineS: 0, stopPastLies: true };
    const [verdict] = judge(runSwing(swing, num), [w.lie]);
    return { ...t, verdict: verdict!, miss: missOf(verdict!, w.sideOn) };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/**
 * Tries some of the combinations.
 *
 * @param which indices into combinations()
 * @yields the share done after every trial
 * @returns one result for each index, null where it cannot be cast
 */
export function* tryAll(
  q: RankRequest,
  which: readonly number[],
  num: Numerics,
): Generator<number, (Tried | null)[], undefined> {
  const trials = combinations(q.base, q.vary);
  const out: (Tried | null)[] = [];
  for (const i of which) {
    out.push(tryOut(q.channel, q, trials[i]!, num));
    yield out.length / which.length;
  }
  return out;
}
