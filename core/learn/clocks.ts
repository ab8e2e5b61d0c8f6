import { type Prior } from './prior';

/** Before it is fished: how likely a set-up is the right one (assumed: a little better than even), and what a wrong one brings of
 * what the right one would (assumed). */
export const SET_UP = { right: 0.6, wrongBrings: 0.25 } as const;
/** What is changed to is right as likely as not (assumed). */
export const NEXT_RIGHT = 0.5;
/** A change is told to pay once it brings so much more than staying (assumed): by simulation a change at even costs fish where flies
 * matter less than is assumed (clocks.test.ts). */
const PAYS = 1.1;

export interface ChangeClock {
  /** How likely the set-up still is right, 0 to 1. */
  readonly right: number;
  /** Takes a cast that are expected of it, and of the next one. */
  readonly stays: number;
  readonly changed: number;
  /** Casts without a take after which a change pays; 0: it does now; null: not within those that are left. */
  readonly changeAfter: number | null;
}

interface Believed {
  readonly right: number;
  readonly stays: number;
  readonly changed: number;
}

/**
 * What is believed of a set-up after so many casts and takes: the right one brings takes at a rate that is known as a gamma (takes,
 * casts), a wrong one a share of it; Bayes with the Gamma–Poisson chance of the count, s^k·β^α/(β+s·n)^(α+k), of each.
 */
function believed({ takes, casts }: Prior, n: number, k: number, before: number): Believed {
  const likely = (share: number) => share ** k * (casts / (casts + share * n)) ** takes * (casts + share * n) ** -k;
  const rate = (share: number) => (takes + k) / (casts + share * n);
  const wrong = SET_UP.wrongBrings;
  const right = (before * likely(1)) / (before * likely(1) + (1 - before) * likely(wrong));
  // Of the fish, not of the fly: what is still believed of the rate is shared by whatever is tied on next.
  const fish = right * rate(1) + (1 - right) * rate(wrong);
  return {
    right,
    stays: right * rate(1) + (1 - right) * wrong * rate(wrong),
    changed: fish * (NEXT_RIGHT + (1 - NEXT_RIGHT) * wrong),
  };
}

/** Nobody waits for longer than this, casts. */
const LONGEST = 400;

/**
 * When to change: once what the next set-up is expected to bring over the casts that are left, less those that a change costs, is
 * clearly more than what staying brings.
 *
 * @param n casts over holding water since it was tied on; @param takes on it
 * @param left casts that are left; @param cost what a change takes, in casts
 * @param before chance that the set-up is right, as it was when it was tied on
 */
export function changeClock(
  prior: Prior,
  o: {
    readonly n: number;
    readonly takes: number;
    readonly left: number;
    readonly cost: number;
    readonly before?: number;
  },
): ChangeClock {
  const before = o.before ?? SET_UP.right;
  const pays = (n: number) => {
    const b = believed(prior, n, o.takes, before);
    const left = o.left - (n - o.n);
    return b.changed * (left - o.cost) > PAYS * b.stays * left;
  };
  const most = Math.min(LONGEST, o.left);
  let after: number | null = null;
  for (let m = 0; m <= most && after === null; m++) if (pays(o.n + m)) after = m;
  return { ...believed(prior, o.n, o.takes, before), changeAfter: after };
}

/** What a run brings at its best, walking to it included: share a minute. @param gains by when how much is found */
export const bestRate = (
  gains: readonly { readonly minutes: number; readonly found: number }[],
  travelMin: number,
): number => Math.max(0, ...gains.map((g) => g.found / (g.minutes + travelMin)));

export interface LeaveClock {
  readonly leave: boolean;
  /** What staying brings of what the next run would, walk included: below 1 it is time to go. */
  readonly ratio: number;
}

/**
 * Whether this place pays less than the next would, walking included: leave when the gain at the margin falls below the best mean
 * rate elsewhere (Charnov 1976). What this run has shown counts: takes here make it better than the next, many empty casts worse.
 *
 * @param ahead gain of the next casts here, and @param elsewhere best mean rate of a run like it, both share a minute
 */
export function leaveClock(o: {
  readonly ahead: number;
  readonly elsewhere: number;
  readonly here: Prior;
  readonly prior: Prior;
}): LeaveClock {
  const expected = o.prior.takes / o.prior.casts;
  const found = (o.prior.takes + o.here.takes) / (o.prior.casts + o.here.casts);
  const ratio = o.elsewhere > 0 ? (o.ahead * (found / expected)) / o.elsewhere : Infinity;
  return { leave: ratio < 1, ratio };
}
