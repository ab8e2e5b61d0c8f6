import betaCdf from '@stdlib/stats-base-dists-beta-cdf';
import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile';
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
