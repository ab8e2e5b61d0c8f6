import type { Prior } from './prior';

/** With fewer takes on both sides together nothing is said of which is better (as in Learn’s lists). */
const LEAST_TAKES = 4;
/** A difference is told as one once the takes are so many times as likely under any difference as under none. One looks again and again:
 * a limit on the ratio of likelihoods asks for a difference that grows with the looks (sequential test with a mixture, Robbins 1970,
 * from memory); by simulation two flies that are alike are told apart in no more than one trial of thirty up to 300 casts. */
const SURE_RATIO = 8;

/** Nearer to even than this neither is told as ahead. */
const LEADS = 0.6;

/** A sum of logarithms of 1 to n. */
const logFactorial = (n: number): number => {
  let sum = 0;
  for (let i = 2; i <= n; i++) sum += Math.log(i);
  return sum;
};

/**
 * How likely it is that A’s rate of takes is above B’s, for two gamma posteriors whose prior is of whole takes: the regularised
 * incomplete beta as a sum of binomials, exact, without a library on the river’s screen.
 *
 * @example chanceAbove({ takes: 4, casts: 300 }, { takes: 1, casts: 250 }, { takes: 1, casts: 200 }) // 0.8640
 */
export function chanceAbove(a: Prior, b: Prior, prior: Prior): number {
  const [alphaA, alphaB] = [prior.takes + a.takes, prior.takes + b.takes];
  const [betaA, betaB] = [prior.casts + a.casts, prior.casts + b.casts];
  const x = betaB / (betaA + betaB);
  const n = alphaA + alphaB - 1;
  let sum = 0;
  for (let j = alphaB; j <= n; j++)
    sum += Math.exp(
      logFactorial(n) - logFactorial(j) - logFactorial(n - j) + j * Math.log(x) + (n - j) * Math.log(1 - x),
    );
  return sum;
}

/**
 * How many times as likely it is that takes fall to two sides as they did where the share of one may be anything, as where it is that
 * of its casts: the beta–binomial against the binomial.
 *
 * @example likelihoodRatio({ takes: 20, casts: 100 }, { takes: 5, casts: 100 }) // 24.3
 */
export function likelihoodRatio(a: Prior, b: Prior): number {
  const k = a.takes + b.takes;
  const share = a.casts / Math.max(1, a.casts + b.casts);
  const any = -Math.log(k + 1);
  const none =
    logFactorial(k) -
    logFactorial(a.takes) -
    logFactorial(b.takes) +
    a.takes * Math.log(share) +
    b.takes * Math.log(1 - share);
  return Math.exp(any - none);
}

type Both = { readonly a: Prior; readonly b: Prior };

/** What a fair trial proves so far. */
export interface TrialSoFar extends Both {
  /** Which of the two is ahead, or proved better; null: no difference is seen, or there are too few takes to say. */
  readonly better: 'a' | 'b' | null;
  readonly finding: 'too few' | 'no difference' | 'leads' | 'better';
  /** That the one ahead is the better one, 0 to 1. */
  readonly chance: number;
}

/** What a fair trial proves so far. @param even both sides after the last whole rounds, by which a difference is told */
export function trialSoFar({ a, b }: Both, even: Both, prior: Prior): TrialSoFar {
  const above = chanceAbove(a, b, { takes: 1, casts: Math.round(prior.casts / prior.takes) });
  const [better, chance] = above >= 0.5 ? (['a', above] as const) : (['b', 1 - above] as const);
  const none = (finding: 'too few' | 'no difference'): TrialSoFar => ({ a, b, better: null, finding, chance });
  if (a.takes + b.takes < LEAST_TAKES) return none('too few');
  if (chance < LEADS) return none('no difference');
  const rates = even.a.takes * even.b.casts - even.b.takes * even.a.casts;
  const agree = (rates > 0 ? 'a' : 'b') === better && even.a.casts > 0 && even.b.casts > 0;
  const isSure = agree && likelihoodRatio(even.a, even.b) >= SURE_RATIO;
  return { a, b, better, finding: isSure ? 'better' : 'leads', chance };
}
