import type { Studied } from '../lies/suitability';
import { type Leeway, LEEWAY_TIMES, LEEWAYS } from '../lies/leeway';
import { type Willing, willingOf } from '../lies/willing';
import type { PassedLog } from '../logbook/passings';
import { sumOf } from '../maths';
import { fallBy, PASSED_STEP } from '../showing/passing';
import { TYPICAL_DAY } from '../water';
import { logGrid, weightsOf } from './posterior';

/** What is assumed is told for cool water, and for cold, °C. */
const TOLD_AT_C = [11, 6] as const;

/** What takes tell of how much fish allow: so many times as much as is assumed, with the ends of the 90 % credible interval. */
export interface LeewayTold {
  readonly by: Leeway;
  readonly times: number;
  readonly low: number;
  readonly high: number;
  /** What is assumed, in middling water: the distance, m, or speed, m/s, that is half-way; head on, the share that it takes from a showing. */
  readonly assumed: readonly { readonly tempC: number; readonly amount: number }[];
  /** Whether the takes say more than was assumed before them. */
  readonly worth: boolean;
}
/** What one’s takes tell of the fish that go by one row. */
export interface FishTold {
  readonly of: Studied;
  readonly casts: number;
  readonly takes: number;
  readonly leeways: readonly LeewayTold[];
}

/** What is assumed is right within one and a half times in three of four waters (assumed). */
const PRIOR_SD = 0.35;
/** One take in five has another reason than where the engine had the fly: the fish moved, or the readings were off (assumed). */
const STRAY = 0.2;
/** Worth something once takes have cut the doubt by a quarter; nine times in ten it is ± 1.645 deviations. */
const PRIOR_RANGE = 2 * 1.645 * PRIOR_SD;
const WORTH = 0.75;

/** Factors that are weighed, evenly in their logarithm, each with what it leaves of a showing at every step. */
const GRID = logGrid(LEEWAY_TIMES.least, LEEWAY_TIMES.most, 61);
const STEPS = 20;
const weighedBy = (by: Leeway) =>
  GRID.map((times) => {
    const left = Array.from({ length: STEPS }, (_, i) => fallBy(by, i * PASSED_STEP[by], times));
    return { times, shown: (steps: readonly number[]) => steps.reduce((sum, share, i) => sum + share * left[i]!, 0) };
  });

/**
 * How much fish allow, by how flies passed where they took and where they did not: above them, to their side, across, head on.
 *
 * Takes of an outing are shared out over its casts by what each would have shown if fish allowed so much: the luck of the day has no part
 * in that, nor has its water; only what passed in other ways on one day tells. Each leeway is weighed by itself, the others as they are
 * held to be, on a grid with a log-normal prior about what is assumed (Bayes). A day on which all flies passed alike tells nothing.
 *
 * @param outings how the casts of each outing passed
 */
export function ownFish(outings: readonly (readonly PassedLog[])[]): FishTold[] {
  const all = outings.flat();
  return [...new Set(all.map((log) => log.of))].map((of) => {
    const logs = all.filter((log) => log.of === of);
    return {
      ...{ of, casts: sumOf(logs, (log) => log.casts), takes: sumOf(logs, (log) => log.takes.length) },
      leeways: LEEWAYS.map((by) => told(of, by, logs)),
    };
  });
}

function told(of: Studied, by: Leeway, logs: readonly PassedLog[]): LeewayTold {
  const likely = weighedBy(by).map(({ times, shown }) => {
    const off = Math.log(times) / PRIOR_SD;
    return sumOf(logs, (log) => likelihood(by, log, shown)) - (off * off) / 2;
  });
  const weights = weightsOf(likely);
  /** Up to where so much of the chance lies. */
  const at = (share: number): number => {
    let below = 0;
    return GRID[weights.findIndex((w) => (below += w) >= share)]!;
  };
  const [low, times, high] = [at(0.05), at(0.5), at(0.95)];
  const assumed = TOLD_AT_C.map((tempC) => ({ tempC, amount: ASSUMED[by](assumedOf(of, tempC)) }));
  return { by, times, low, high, assumed, worth: Math.log(high / low) <= WORTH * PRIOR_RANGE };
}

/** The logarithm of how likely the takes of an outing fall on the casts on which they fell. */
function likelihood(
  by: Leeway,
  { by: sums, casts, takes }: PassedLog,
  shown: (steps: readonly number[]) => number,
): number {
  const mean = casts > 0 ? shown(sums[by]) / casts : 0;
  return mean > 0 ? sumOf(takes, (take) => Math.log(STRAY + ((1 - STRAY) * shown(take[by])) / mean)) : 0;
}

const ASSUMED: Readonly<Record<Leeway, (w: Willing) => number>> = {
  up: (w) => w.upM,
  aside: (w) => w.sideM,
  across: (w) => w.crossMps,
  headOn: (w) => w.headOn,
};
/** What is assumed of fish in middling water. @param tempC of the water */
const assumedOf = (of: Studied, tempC: number): Willing =>
  willingOf(
    { quarry: of, temp: tempC, vis: TYPICAL_DAY.visibilityM, bright: false, dusk: false, pressed: false },
    'upper to middle',
    { ...TYPICAL_DAY, sunDeg: 30 },
  );
