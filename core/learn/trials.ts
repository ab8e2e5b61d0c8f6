import { inHundred } from '../units';
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

/** What a fair trial proves so far, in a line. @param even both sides after the last whole rounds, by which a difference is told; @param
 * names of the two, as one calls them */
export function trialWords(
  { a, b }: Both,
  even: Both,
  names: { readonly a: string; readonly b: string },
  prior: Prior,
): string {
  const told = (name: string, side: Prior) => `${name} ${side.takes} in ${side.casts}`;
  const counts = `Fair trial: ${told(names.a, a)}, ${told(names.b, b)}.`;
  if (a.takes + b.takes < LEAST_TAKES) return `${counts} Too few takes to say.`;
  const above = chanceAbove(a, b, { takes: 1, casts: Math.round(prior.casts / prior.takes) });
  const [better, chance] = above >= 0.5 ? [names.a, above] : [names.b, 1 - above];
  if (chance < LEADS) return `${counts} No difference seen.`;
  const rates = even.a.takes * even.b.casts - even.b.takes * even.a.casts;
  const agree = (rates > 0 ? names.a : names.b) === better && even.a.casts > 0 && even.b.casts > 0;
  const isSure = agree && likelihoodRatio(even.a, even.b) >= SURE_RATIO;
  const sure = isSure ? `${better} is better` : `No difference yet; ${better} leads`;
  return `${counts} ${sure} (${inHundred(chance)} in 100).`;
}
