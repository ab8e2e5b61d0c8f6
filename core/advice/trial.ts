import { type CastRequest, doubtOf } from '../cast';
import { caseOnRun } from '../cast/case';
import type { FishLie } from '../lies';
import { finished } from '../maths/work';
import { unlessRefused } from '../refusal';
import { type Draw, draws, drawn, type Judge, type Numerics, NUMERICS, runSwing } from '../swing';
import { type Channel, hasRedd } from '../water';
import type { Risk, Trial, Tried } from './types';
import { isRight, judge, type Verdict } from './verdict';

/** Past a lie no longer than this a swing need not be followed, m. */
const SHORT_LIE_M = 4;

const asked = (channel: Channel, lie: FishLie, { rig, plan }: Trial): CastRequest => ({
  ...{ channel, rig, plan },
  lies: [lie],
});
const upToLie = (c: Channel, lie: FishLie, { rig, plan }: Trial) => ({
  ...caseOnRun(c, rig, plan, [lie]),
  keepLineS: 0,
  // Past its lie a fly may yet come over a redd, and a long lie goes on.
  stopPastLies: !hasRedd(c.features) && lie.lengthM <= SHORT_LIE_M,
});

/** Simulates one trial at a lie and judges it; null when it cannot be cast. */
export const tryOut = (c: Channel, lie: FishLie, t: Trial, num: Numerics): Tried | null =>
  unlessRefused(() => ({ ...t, verdict: judge(runSwing(upToLie(c, lie, t), num), asked(c, lie, t))[0]! }));

/** Judges the swings of an ensemble at all lies of a cast, in the water as it was drawn. */
export const judgeOf =
  (q: CastRequest): Judge =>
  (r, depth) =>
    judge(r, q, depth).map(isRight);

/** How sure a trial is, and what puts it at risk. */
export interface Odds {
  /** In how many of ten swings, the readings being as rough as they are, the fish of the lie are well shown the fly. */
  readonly ofTen: number;
  /** What most of the swings that fail have in common; null where none fails, or nothing tells them apart. */
  readonly risk: Risk | null;
  /** How well they are shown it in the mean, 0 to 1. */
  readonly showing: number;
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

interface OddsAsk {
  /** What the readings leave open: the drawings by which chances are told, the same for every trial on the same water, unless others are
   * given. */
  readonly all?: readonly Draw[];
  /** How fine the chain is: chances that are told go by the full one. */
  readonly by?: Numerics;
  /** Swings of ten: once it can no longer come to more, no more is swum. */
  readonly toBeat?: number;
}

/**
 * How sure a trial is at a lie over the doubt of the readings, a drawing at a time; null when it cannot be cast, or is no surer than
 * what it must beat.
 */
export function* oddsDrawn(
  c: Channel,
  lie: FishLie,
  t: Trial,
  { all = draws(doubtOf(c)), by = NUMERICS.full, toBeat = -1 }: OddsAsk = {},
): Generator<void, Odds | null, undefined> {
  const swing = unlessRefused(() => upToLie(c, lie, t));
  if (!swing) return null;
  const mayFail = all.length * (1 - toBeat / 10);
  const verdicts: Verdict[] = [];
  let failed = 0;
  for (const d of all) {
    const verdict = unlessRefused(() => judge(runSwing(drawn(swing, d), by), asked(c, lie, t), d.depth)[0]!);
    if (!verdict) return null;
    verdicts.push(verdict);
    if (!isRight(verdict) && ++failed >= mayFail) return null;
    yield;
  }
  const good = verdicts.map(isRight);
  return {
    ofTen: (10 * good.filter(Boolean).length) / all.length,
    showing: verdicts.reduce((sum, v) => sum + v.showing, 0) / all.length,
    risk: riskOf(all, good),
  };
}

/** The same at once. */
export const oddsOf = (...asked: Parameters<typeof oddsDrawn>): Odds | null => finished(oddsDrawn(...asked));
