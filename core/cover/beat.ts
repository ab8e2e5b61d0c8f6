import type { CastPlan } from '../cast';
import type { CastChoice } from './casts';
import type { Covering } from './covering';
import { addShown, byGain, countShown, foundBy, type Shares, sharesOf, showing } from './gain';
import { Walk } from './pace';
import { MOST_MINUTES, type Patience } from './patience';
import { signOf, type Work } from './work';

/** The casts of a run, in the order in which they are made. */
export interface Beat {
  readonly casts: readonly CastChoice[];
  /** Casting, swinging and walking. */
  readonly minutes: number;
  readonly shares: Shares;
  /** How often each cell of the holding water is shown the fly. */
  readonly shown: Float32Array;
  /** The share of the willing fish that it finds over the doubt of the readings, 0 to 1. */
  readonly found: number;
}

/** Every cast as often as it is made. */
export const oneByOne = (casts: readonly CastChoice[]): CastPlan[] =>
  casts.flatMap(({ plan, times = 1 }) => Array.from({ length: times }, () => plan));

/** A cast that shows less than this share of the holding water a minute is not worth its time. */
const LEAST_A_MINUTE = 5e-4;

/** Nobody makes one cast more often than so many times what is thought to be enough. */
const ENOUGH = 2;

/** Worked out once for a covering: time and clocks only take beginnings of it. */
const ordered = new WeakMap<Covering, Map<Patience, readonly CastChoice[]>>();

/** The choices that bring most a minute, the first first. */
function worthwhile(c: Covering, patience: Patience): readonly CastChoice[] {
  const known = ordered.get(c) ?? new Map<Patience, readonly CastChoice[]>();
  ordered.set(c, known);
  const order = known.get(patience) ?? byWorth(c, patience);
  known.set(patience, order);
  return order;
}

function byWorth({ casts, weights }: Covering, patience: Patience): CastChoice[] {
  const walk = new Walk();
  let walked = 0;
  const detourS = (i: number, taken: readonly number[]) => {
    for (; walked < taken.length; walked++) walk.to(casts[taken[walked]!]!);
    return walked > 0 ? walk.extraS(casts[i]!) : 0;
  };
  const often = { times: ENOUGH * patience, least: LEAST_A_MINUTE / 60 };
  const wanting = { weights, p: showing(patience), ...often, detourS };
  return byGain(casts, wanting, 60 * MOST_MINUTES).map((i) => casts[i]!);
}

/** A share of the casts that is worth a pass of its own. */
const WORTH_A_PASS = 0.25;

/** Whether so much of what is cast along the waded water is cast from the bank that the run is walked twice: for a few casts nobody
 * does, and what lies above or below is fished as one comes by. */
function isWalkedTwice(casts: readonly CastChoice[]): boolean {
  const waded = casts.filter((c) => c.pass > 0).map((c) => c.plan.xM);
  const [from, to] = [Math.min(...waded), Math.max(...waded)];
  const along = casts.filter((c) => c.plan.xM >= from && c.plan.xM <= to);
  return along.filter((c) => c.pass === 0).length >= WORTH_A_PASS * along.length;
}

/** The order of the work: what can be had from the bank before anyone steps in; down or up the run, and from a stand near water
 * first (a slack pool’s far end first), the fan from the steepest angle on. What is cast twice is cast twice in a row. */
function inOrder(casts: readonly CastChoice[], work: Work): CastChoice[] {
  const out = work.longFirst ? -1 : 1;
  const twice = isWalkedTwice(casts);
  return [...casts].sort(
    (a, b) =>
      (twice ? a.pass - b.pass : 0) ||
      signOf(work) * (a.plan.xM - b.plan.xM) ||
      a.pass - b.pass ||
      out * (a.plan.outM - b.plan.outM) ||
      a.plan.angleDeg - b.plan.angleDeg,
  );
}

function told({ weights, kept }: Covering, casts: readonly CastChoice[], patience: Patience): Beat {
  const shown = countShown(casts, weights.length);
  return {
    casts,
    minutes: (ends(casts).at(-1) ?? 0) / 60,
    shares: sharesOf(shown, weights),
    shown,
    found: kept * foundBy(shown, weights, showing(patience)),
  };
}

/** Seconds that a list takes up to the end of each of its casts, walking included, in whatever order it is made. */
export function ends(list: readonly CastChoice[]): number[] {
  const walk = new Walk();
  let seconds = 0;
  return list.map((c) => (seconds += c.seconds) + walk.to(c));
}

/** As many of a list, from its first, as fit into the time. */
const within = (list: readonly CastChoice[], minutes: number): readonly CastChoice[] =>
  list.slice(0, ends(list).filter((s) => s <= 60 * minutes).length);

/**
 * The casts that show the fly to most of the holding water in the time there is, walking included. More time never shows less of
 * it (gain.ts tells how near this comes to the best).
 */
export const beatFor = (c: Covering, minutes: number, patience: Patience): Beat =>
  told(c, inOrder(within(worthwhile(c, patience), minutes), c.work), patience);

/** The rule of thumb, as far as one comes in the time. */
export const ruleBeat = (c: Covering, minutes: number, patience: Patience): Beat =>
  told(c, within(c.rule, minutes), patience);

/** How much is found by when: what a run still brings, minute by minute. */
interface Gains {
  readonly minutes: number;
  /** Share of the willing fish that have shown themselves. */
  readonly found: number;
}

/** What the casts of a run find in their best order, cast by cast. */
export function gainsOf(c: Covering, patience: Patience): Gains[] {
  const list = worthwhile(c, patience);
  const p = showing(patience);
  const shown = new Float32Array(c.weights.length);
  const by = ends(list);
  return list.map((choice, n) => {
    addShown(shown, choice);
    return { minutes: by[n]! / 60, found: c.kept * foundBy(shown, c.weights, p) };
  });
}

/** The most that going on with a plan brings, share a minute: the best mean rate of any beginning of what is left of it, after what
 * was shown already. @param ahead casts that are left of it, in their order */
export function gainAhead(
  { weights, kept }: Covering,
  shown: ArrayLike<number>,
  ahead: readonly CastChoice[],
  patience: Patience,
): number {
  const p = showing(patience);
  const then = Float32Array.from(shown);
  const before = foundBy(then, weights, p);
  let best = 0;
  let seconds = 0;
  ahead.forEach((choice, n) => {
    addShown(then, choice);
    seconds += choice.seconds;
    if (n % LOOKED_EVERY === 0 || n === ahead.length - 1)
      best = Math.max(best, (kept * (foundBy(then, weights, p) - before)) / (seconds / 60));
  });
  return best;
}
/** A beginning ends at every so many casts. */
const LOOKED_EVERY = 4;
