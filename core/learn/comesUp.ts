import type { Studied } from '../lies/suitability';
import { UP_TIMES } from '../lies/options';
import { willingOf } from '../lies/willing';
import type { RiseLog } from '../logbook/rises';
import { sumOf } from '../maths';
import { RISE_STEP, riseFall } from '../showing';
import { TYPICAL_DAY } from '../water';

/** How far they come is told for cool water, and for cold, °C. */
const TOLD_AT_C = [11, 6] as const;

/** What takes tell of how far fish come up: so many times as far as is assumed, with the ends of the 90 % credible interval. */
export interface ComesUpTold {
  readonly of: Studied;
  readonly casts: number;
  readonly takes: number;
  readonly times: number;
  readonly low: number;
  readonly high: number;
  /** How far up half of the willing fish come by what is assumed, in middling water, m. */
  readonly assumed: readonly { readonly tempC: number; readonly upM: number }[];
  /** Whether the takes say more than was assumed before them. */
  readonly worth: boolean;
}

/** What is assumed of the distance is right within one and a half times in three of four waters (assumed). */
const PRIOR_SD = 0.35;
/** One take in five has another reason than where the engine had the fly: the fish moved, or the readings were off (assumed). */
const STRAY = 0.2;
/** Worth something once takes have cut the doubt by a quarter; nine times in ten it is ± 1.645 deviations. */
const PRIOR_RANGE = 2 * 1.645 * PRIOR_SD;
const WORTH = 0.75;

/** Factors that are weighed, evenly in their logarithm, each with what it leaves of a showing at every step of a rise. */
const GRID = 61;
const STEPS = 20;
const WEIGHED = Array.from({ length: GRID }, (_, n) => {
  const times = UP_TIMES.least * (UP_TIMES.most / UP_TIMES.least) ** (n / (GRID - 1));
  const left = Array.from({ length: STEPS }, (_, i) => riseFall((i * RISE_STEP) / times));
  return { times, shown: (by: readonly number[]) => by.reduce((sum, share, i) => sum + share * left[i]!, 0) };
});

/**
 * How far fish come up, by where they took and where they did not.
 *
 * Takes of an outing are shared out over its casts by what each would have shown if fish came up so far: the luck of the day has no part
 * in that, nor has its water; only what was shown higher and lower on one day tells. Weighed on a grid with a log-normal prior about what
 * is assumed (Bayes). A day on which all flies passed at one height tells nothing.
 *
 * @param outings what the casts of each outing showed at each height
 */
export function comesUp(outings: readonly (readonly RiseLog[])[]): ComesUpTold[] {
  const all = outings.flat();
  return [...new Set(all.map((log) => log.of))].map((of) => {
    const logs = all.filter((log) => log.of === of);
    const weights = WEIGHED.map(({ times, shown }) => {
      const off = Math.log(times) / PRIOR_SD;
      return sumOf(logs, (log) => likelihood(log, shown)) - (off * off) / 2;
    });
    const most = Math.max(...weights);
    const chances = weights.map((w) => Math.exp(w - most));
    const sum = sumOf(chances, (c) => c);
    /** Up to where so much of the chance lies. */
    const at = (share: number): number => {
      let below = 0;
      return WEIGHED[chances.findIndex((c) => (below += c) >= share * sum)]!.times;
    };
    const [low, times, high] = [at(0.05), at(0.5), at(0.95)];
    const [casts, takes] = [sumOf(logs, (log) => log.casts), sumOf(logs, (log) => log.takes.length)];
    const assumed = TOLD_AT_C.map((tempC) => ({ tempC, upM: assumedUpM(of, tempC) }));
    return { of, casts, takes, times, low, high, assumed, worth: Math.log(high / low) <= WORTH * PRIOR_RANGE };
  });
}

/** The logarithm of how likely the takes of an outing fall on the casts on which they fell. */
function likelihood({ by, casts, takes }: RiseLog, shown: (by: readonly number[]) => number): number {
  const mean = casts > 0 ? shown(by) / casts : 0;
  return mean > 0 ? sumOf(takes, (take) => Math.log(STRAY + ((1 - STRAY) * shown(take)) / mean)) : 0;
}

/** How far up half of the willing fish come in middling water, m, by what is assumed. @param tempC of the water */
const assumedUpM = (of: Studied, tempC: number): number =>
  willingOf(
    { quarry: of, temp: tempC, vis: TYPICAL_DAY.visibilityM, bright: false, dusk: false, pressed: false },
    'upper to middle',
    { ...TYPICAL_DAY, sunDeg: 30 },
  ).upM;
