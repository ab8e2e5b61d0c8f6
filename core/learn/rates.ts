import betaCdf from '@stdlib/stats-base-dists-beta-cdf';
import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile';
import type { Exposure } from '../logbook';
import { needCounts, PRIOR, type Prior } from './prior';

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
 * @example rate(4, 300) // mean 0.0100, low 0.0039, high 0.0183
 */
export function rate(takes: number, casts: number, prior: Prior = PRIOR): Rate {
  needCounts(takes, casts);
  const a = prior.takes + takes;
  const b = prior.casts + casts;
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

export type Finding = 'better' | 'probably better' | 'too few to say' | 'no difference' | 'probably worse' | 'worse';

export interface Group {
  readonly name: string;
  readonly rate: Rate;
  /** Chance that its rate is above that of everything else taken together. */
  readonly chanceBetter: number;
  readonly finding: Finding;
}

/** Groups with fewer takes than this, and fewer expected at the overall rate, say nothing either way. */
const LEAST_TAKES = 3;

function findingOf(chance: number, casts: number, overall: number, takes: number): Finding {
  const expected = casts * overall;
  if (Math.max(takes, expected) < LEAST_TAKES) return 'too few to say';
  if (chance >= 0.95) return 'better';
  if (chance <= 0.05) return 'worse';
  if (chance >= 0.85) return 'probably better';
  if (chance <= 0.15) return 'probably worse';
  return expected < 2 * LEAST_TAKES ? 'too few to say' : 'no difference';
}

/**
 * Takes a cast by one property of the exposure, each against all the others together. Groups come in the order of
 * their casts, not of their rates: ranking on noise is what it is there to prevent. The prior weighs one take at the
 * overall rate, so that a group with few casts is pulled towards all the others and not below them.
 */
export function ratesBy(exposures: readonly Exposure[], by: 'colour' | 'family' | 'water'): Group[] {
  const groups = new Map<string, { casts: number; takes: number }>();
  let casts = 0;
  let takes = 0;
  for (const e of exposures) {
    const g = groups.get(e[by]) ?? { casts: 0, takes: 0 };
    groups.set(e[by], { casts: g.casts + e.casts, takes: g.takes + e.takes });
    casts += e.casts;
    takes += e.takes;
  }
  const overall = casts > 0 ? takes / casts : 0;
  const prior = overall > 0 ? { takes: 1, casts: 1 / overall } : PRIOR;
  return [...groups]
    .map(([name, g]) => {
      const chance = chanceBetter(g, { casts: casts - g.casts, takes: takes - g.takes }, prior);
      return {
        name,
        rate: rate(g.takes, g.casts, prior),
        chanceBetter: chance,
        finding: findingOf(chance, g.casts, overall, g.takes),
      };
    })
    .sort((a, b) => b.rate.casts - a.rate.casts);
}
