import { doubtOf } from '../cast';
import { caseOnRun } from '../cast/case';
import { type FishLie, inWater } from '../lies';
import { draws, drawn, type Judge, type Numerics, NUMERICS, runSwing } from '../swing';
import type { Channel } from '../water';
import { combinations, type RankRequest } from './rank';
import type { Trial, Tried, Wanted } from './types';
import { isRight, judge, missOf } from './verdict';

/** What cannot be cast gives null; any other fault is one. */
function castable<T>(work: () => T): T | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const upToLie = (c: Channel, lie: FishLie, t: Trial) => ({
  ...caseOnRun(c, t.rig, t.plan, [lie]),
  keepLineS: 0,
  stopPastLies: true,
});

/** Simulates one trial up to the lie and judges it; null when it cannot be cast. */
export const tryOut = (c: Channel, w: Wanted, t: Trial, num: Numerics): Tried | null =>
  castable(() => {
    const verdict = judge(runSwing(upToLie(c, w.lie, t), num), [w.lie], c.features)[0]!;
    return { ...t, verdict, miss: missOf(verdict, w.sideOn) };
  });

/** Judges the swings of an ensemble at all lies of the water as it was drawn. */
export const judgeOf =
  (c: Channel, lies: readonly FishLie[], sideOn = false): Judge =>
  (r, depth) =>
    judge(
      r,
      lies.map((lie) => inWater(lie, depth)),
      c.features,
    ).map((v) => isRight(v, sideOn));

/** So many swings tell a chance in tenths. */
const TENTHS = 10;

/** In how many of ten swings, the readings being as rough as they are, the fly passes as wanted; null when it cannot be cast. */
export const chanceOf = (c: Channel, w: Wanted, t: Trial): number | null =>
  castable(() => {
    const swing = upToLie(c, w.lie, t);
    const good = judgeOf(c, [w.lie], w.sideOn);
    return draws(doubtOf(c, TENTHS)).filter((d) => good(runSwing(drawn(swing, d), NUMERICS.screen), d.depth)[0]).length;
  });

/**
 * Tries some of the combinations.
 *
 * @param which indices into combinations()
 * @param num how fine; in full, the chance of each is told, too
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
    const tried = tryOut(q.channel, q, trials[i]!, num);
    const chance = num === NUMERICS.full && tried?.miss === 0 ? chanceOf(q.channel, q, tried) : null;
    out.push(tried && chance !== null ? { ...tried, chance } : tried);
    yield out.length / which.length;
  }
  return out;
}
