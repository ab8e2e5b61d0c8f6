import betaCdf from '@stdlib/stats-base-dists-beta-cdf';
import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile';
import type { Exposure } from '../logbook';
import { groupBy, sumBy, sumOf } from '../maths';
import { needCounts, PRIOR, type Prior } from './prior';

type GroupBy = 'colour' | 'family' | 'water';

export interface Rate {
  readonly casts: number;
  readonly takes: number;
  /** Takes a cast: mean and the ends of the 90 % credible interval. */
  readonly mean: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Gamma–Poisson rate of takes a cast, with its 90 % credible interval.
 *
 * @param spread by how much takes vary more than those that come one by one (1: not at all)
 * @example rate(4, 300) // mean 0.0100, low 0.0039, high 0.0183
 */
export function rate(takes: number, casts: number, prior: Prior = PRIOR, spread = 1): Rate {
  needCounts(takes, casts);
  const a = (prior.takes + takes) / spread;
  const b = (prior.casts + casts) / spread;
  return { casts, takes, mean: a / b, low: gammaQuantile(0.05, a, b), high: gammaQuantile(0.95, a, b) };
}

/**
 * How likely it is that A's rate is above B's: I_x(αB, αA) with x = βB/(βA+βB), for two gamma posteriors.
 * @example chanceBetter({ takes: 4, casts: 300 }, { takes: 1, casts: 250 }) // 0.8640
 */
export function chanceBetter(
  a: { readonly takes: number; readonly casts: number },
  b: { readonly takes: number; readonly casts: number },
  prior: Prior = PRIOR,
): number {
  needCounts(a.takes, a.casts);
  needCounts(b.takes, b.casts);
  const betaA = prior.casts + a.casts;
  const betaB = prior.casts + b.casts;
  // P(A > B) = 1 − I_{βA/(βA+βB)}(αA, αB) = I_{βB/(βA+βB)}(αB, αA).
  return betaCdf(betaB / (betaA + betaB), prior.takes + b.takes, prior.takes + a.takes);
}

type Finding = 'better' | 'worse' | 'no difference seen' | 'too few to say' | 'cannot be separated';

export interface Group {
  readonly name: string;
  /** Its casts and takes weigh less where they are remembered. */
  readonly rate: Rate;
  /** As they were entered, and how many of the casts are remembered. */
  readonly casts: number;
  readonly takes: number;
  readonly byHand: number;
  /** Takes that its casts would have brought at the rate of all casts like them: river, quarter, clarity. */
  readonly expected: number;
  readonly finding: Finding;
}

/** Groups with fewer casts, or with fewer takes both had and expected, say nothing either way. */
const LEAST = { casts: 100, takes: 4 } as const;
/** Of all lists in which there is no difference, so many may call a group better or worse. */
const FALSE_ALARMS = 0.05;
/** Where less than this of a group's casts can be held against others like them, nothing can be said of it. */
const LEAST_SHARED = 0.25;

/** Before a log shows it: outings differ by half and more, and so much is that worth, in squared takes (assumed). */
const SUPPOSED = { bunching: 0.3, weight: 2 } as const;
/** What few outings leave open of how much takes come in bunches: as if there were so many fewer of them (assumed). */
const FEW = 4;

/** An exposure and the river it was on, where that is known. */
export type PlacedExposure = Exposure & { readonly place?: string };

/** What is remembered is rounded, and blank hours are forgotten: it counts for half of what was counted (assumed). */
export const BY_HAND_WEIGHT = 0.5;

/** Takes in casts that nobody knows are no evidence. */
const isEvidence = (e: PlacedExposure): boolean => e.casts > 0 && e.how !== 'casts not known';
/** Evidence by its weight. */
const weighed = (outing: readonly PlacedExposure[]): PlacedExposure[] =>
  outing.filter(isEvidence).map((e) => {
    const weight = e.how === 'by hand' ? BY_HAND_WEIGHT : 1;
    return { ...e, casts: weight * e.casts, takes: weight * e.takes };
  });

interface Cell {
  readonly group: string;
  readonly casts: number;
  readonly takes: number;
  /** Takes expected at the rate of all casts like it. */
  readonly expected: number;
  /** Of them, by casts of other groups like it. */
  readonly shared: number;
}

/** Casts and takes of each outing by group, each with what was to be expected of casts like it. */
function cellsOf(given: readonly (readonly PlacedExposure[])[], by: GroupBy): Cell[] {
  const outings = given.map(weighed);
  const all = outings.flat();
  // Like is compared with like: a colour with the others on the same river, in the same quarter, in water as clear.
  const stratum = (e: PlacedExposure) => `${e.place ?? ''}|${e.season}|${by === 'water' ? '' : e.water}`;
  const casts = sumBy(all, (e) => e.casts, stratum);
  const takes = sumBy(all, (e) => e.takes, stratum);
  const pair = (s: string, g: string) => `${s}|${g}`;
  const own = sumBy(
    all,
    (e) => e.casts,
    (e) => pair(stratum(e), e[by]),
  );
  return outings.flatMap((outing) =>
    [...groupBy(outing, (e) => pair(stratum(e), e[by]))].map(([key, es]): Cell => {
      const n = { casts: sumOf(es, (e) => e.casts), takes: sumOf(es, (e) => e.takes) };
      const s = stratum(es[0]!);
      const expected = (n.casts * takes.get(s)!) / casts.get(s)!;
      return { group: es[0]![by], ...n, expected, shared: expected * (1 - own.get(key)! / casts.get(s)!) };
    }),
  );
}

/** How much takes of these cells come in bunches: their variance is E + bunching·E² (moments of the negative binomial), E
 * at the rate they have together. */
function bunchingOf(cells: readonly Cell[]): number {
  const takes = sumOf(cells, (c) => c.takes);
  const ratio = takes / (sumOf(cells, (c) => c.expected) || 1);
  let over = 0;
  let squares = 0;
  for (const c of cells) {
    const e = ratio * c.expected;
    const free = takes > 0 ? 1 - e / takes : 0; // what the common rate leaves free
    over += (c.takes - e) ** 2 - e * free;
    squares += e * e * free;
  }
  return Math.max(0, (over + SUPPOSED.bunching * SUPPOSED.weight) / (squares + SUPPOSED.weight));
}

/**
 * Takes a cast by one property of the exposure, each group against what all casts on the same river, in the same quarter of
 * the year and in water as clear brought.
 *
 * A group is called better or worse only when chance would do that to any of the groups in one list of twenty: its takes
 * against their binomial share of all takes, both divided by how much takes come in bunches from outing to outing, and the
 * limit by the number of groups (Bonferroni). Groups come in the order of their casts, not of their rates: ranking on
 * noise is what it is there to prevent. The prior weighs one take at the overall rate, so that a group with few casts is
 * pulled towards all the others and not below them.
 *
 * @param outings the exposures of each outing by itself: takes of one outing belong together
 */
export function ratesBy(outings: readonly (readonly PlacedExposure[])[], by: GroupBy): Group[] {
  const cells = cellsOf(outings, by);
  const casts = sumOf(cells, (c) => c.casts);
  const takes = sumOf(cells, (c) => c.takes);
  const prior = takes > 0 ? { takes: 1, casts: casts / takes } : PRIOR;
  const groups = [...groupBy(cells, (c) => c.group)].map(([name, own]) => {
    const expected = sumOf(own, (c) => c.expected);
    // A group that is better or worse must not be taken for bunches: the others tell, and what it does within itself.
    const bunching = Math.max(bunchingOf(own), bunchingOf(cells.filter((c) => c.group !== name)));
    /** Variance over that of takes that come one by one; few outings leave it open. */
    const spread =
      expected > 0 ? 1 + (bunching * (1 + FEW / own.length) * sumOf(own, (c) => c.expected ** 2)) / expected : 1;
    return {
      name,
      casts: sumOf(own, (c) => c.casts),
      takes: sumOf(own, (c) => c.takes),
      expected,
      shared: sumOf(own, (c) => c.shared),
      spread,
    };
  });
  type Summed = (typeof groups)[number];
  const enough = (g: Summed) => g.casts >= LEAST.casts && Math.max(g.takes, g.expected) >= LEAST.takes;
  const separable = (g: Summed) => g.shared >= LEAST_SHARED * g.expected;
  const limit = FALSE_ALARMS / Math.max(1, groups.filter((g) => enough(g) && separable(g)).length);
  const findingOf = (g: Summed): Finding => {
    if (!enough(g)) return 'too few to say';
    if (!separable(g)) return 'cannot be separated';
    const [x, n, p] = [g.takes / g.spread, takes / g.spread, g.expected / takes];
    // P(X ≥ x) = I_p(x, n − x + 1) and P(X ≤ x) = 1 − I_p(x + 1, n − x) of the binomial.
    const atMost = (k: number) => 1 - betaCdf(p, k + 1, Math.max(1e-9, n - k));
    // Where even no take at all would not prove it worse, the whole of the limit goes to better (after Tarone 1990).
    const bothWays = atMost(0) <= limit / 2;
    const each = bothWays ? limit / 2 : limit;
    if (g.takes > g.expected && betaCdf(p, x, Math.max(1e-9, n - x + 1)) <= each) return 'better';
    if (bothWays && g.takes < g.expected && atMost(x) <= each) return 'worse';
    return 'no difference seen';
  };
  const entered = outings.flat().filter(isEvidence);
  const sums = (of: (e: PlacedExposure) => number) => sumBy(entered, of, (e): string => e[by]);
  const [castsOf, takesOf] = [sums((e) => e.casts), sums((e) => e.takes)];
  const byHandOf = sums((e) => (e.how === 'by hand' ? e.casts : 0));
  return groups
    .map((g) => ({
      name: g.name,
      rate: rate(g.takes, g.casts, prior, g.spread),
      casts: castsOf.get(g.name)!,
      takes: takesOf.get(g.name)!,
      byHand: byHandOf.get(g.name)!,
      expected: g.expected,
      finding: findingOf(g),
    }))
    .sort((a, b) => b.rate.casts - a.rate.casts);
}
