import { doubtOf } from '../cast';
import { caseOnRun } from '../cast/case';
import { type FishLie, inWater } from '../lies';
import { unlessRefused } from '../refusal';
import { type Draw, draws, drawn, type Judge, type Numerics, NUMERICS, runSwing } from '../swing';
import type { Rig } from '../tackle';
import { type Channel, hasRedd } from '../water';
import { combinations, type RankRequest } from './rank';
import type { Risk, Trial, Tried, Wanted } from './types';
import { isRight, judge, missOf } from './verdict';

const upToLie = (c: Channel, lie: FishLie, t: Trial) => ({
  ...caseOnRun(c, t.rig, t.plan, [lie]),
  keepLineS: 0,
  stopPastLies: !hasRedd(c.features), // past its lie a fly may yet come over a redd
});

/** Simulates one trial up to the lie and judges it; null when it cannot be cast. */
export const tryOut = (c: Channel, w: Wanted, t: Trial, num: Numerics): Tried | null =>
  unlessRefused(() => {
    const verdict = judge(runSwing(upToLie(c, w.lie, t), num), [w.lie], c.features, t.rig)[0]!;
    return { ...t, verdict, miss: missOf(verdict, w.sideOn) };
  });

/** Judges the swings of an ensemble at all lies of the water as it was drawn. */
export const judgeOf =
  (c: Channel, lies: readonly FishLie[], rig: Rig, sideOn = false): Judge =>
  (r, depth) =>
    judge(
      r,
      lies.map((lie) => inWater(lie, depth)),
      c.features,
      rig,
    ).map((v) => isRight(v, sideOn));

/** How sure a trial is, and what puts it at risk. */
export interface Odds {
  /** In how many of ten swings, the readings being as rough as they are, the fly passes as wanted. */
  readonly ofTen: number;
  /** What most of the swings that fail have in common; null where none fails, or nothing tells them apart. */
  readonly risk: Risk | null;
  /** How near to what is wanted they come on the whole, 0 to 1: a swing a hand too high counts for more than half of one that
   * is right. */
  readonly credit: number;
}
/** Swings that fail differ by this much of their spread from those that do it, or nothing is blamed. */
const BLAMED = 0.6;

function riskOf(all: readonly Draw[], good: readonly boolean[]): Risk | null {
  const failed = all.filter((_, i) => !good[i]);
  if (failed.length === 0) return null;
  const off = (of: (d: Draw) => number) => {
    const spread = Math.sqrt(all.reduce((sum, d) => sum + of(d) ** 2, 0) / all.length);
    return spread > 0 ? failed.reduce((sum, d) => sum + of(d), 0) / failed.length / spread : 0;
  };
  const turned = all.filter((d) => d.turned).length / all.length;
  const signs: readonly (readonly [number, Risk, Risk])[] = [
    [off((d) => Math.log(d.speed)), 'faster', 'slower'],
    [off((d) => Math.log(d.depth)), 'deeper', 'thinner'],
    [2 * (failed.filter((d) => d.turned).length / failed.length - turned), 'line', 'line'],
  ];
  const [by, more, less] = signs.reduce((a, b) => (Math.abs(b[0]) > Math.abs(a[0]) ? b : a));
  return Math.abs(by) < BLAMED ? null : by > 0 ? more : less;
}

/** What swings come to, `of` so many in all: those that are not named are right. */
const tally = (misses: readonly number[], of = misses.length): Omit<Odds, 'risk'> => ({
  ofTen: 10 * (1 - misses.filter((m) => m > 0).length / of),
  credit: 1 - misses.reduce((sum, m) => sum + 1 - Math.exp(-m / CREDIT_MISS), 0) / of,
});

/**
 * How sure a trial is over the doubt of the readings; null when it cannot be cast, or does not stay in the running.
 *
 * @param all what the readings leave open: the drawings by which chances are told, the same for every trial on the same water,
 * unless others are given
 * @param runs whether it is worth going on, by the most that it can still come to: asked after each swing
 */
export const oddsOf = (
  c: Channel,
  w: Wanted,
  t: Trial,
  all: readonly Draw[] = draws(doubtOf(c)),
  runs: (most: Odds) => boolean = () => true,
): Odds | null =>
  unlessRefused(() => {
    const swing = upToLie(c, w.lie, t);
    const misses: number[] = [];
    for (const d of all) {
      const r = runSwing(drawn(swing, d), NUMERICS.full);
      misses.push(missOf(judge(r, [inWater(w.lie, d.depth)], c.features, t.rig)[0]!, w.sideOn));
      if (!runs({ ...tally(misses, all.length), risk: null })) return null;
    }
    return {
      ...tally(misses),
      risk: riskOf(
        all,
        misses.map((m) => m === 0),
      ),
    };
  });
/** So many units of being wrong leave a third of the credit: two hands too high. */
const CREDIT_MISS = 2;

/** In how many of ten swings, the readings being as rough as they are, the fly passes as wanted; null when it cannot be cast. */
export const chanceOf = (...asked: Parameters<typeof oddsOf>): number | null => oddsOf(...asked)?.ofTen ?? null;

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
