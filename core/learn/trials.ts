import { inHundred } from '../units';
import type { Prior } from './prior';

/** With fewer takes on both sides together nothing is said of which is better (as in Learn’s lists). */
const LEAST_TAKES = 4;
/** From here on a difference is told as one. One looks after every cast: at nine in ten, two flies that are alike would be told
 * apart at some time in a quarter to two fifths of trials, so in one of thirty (one of ten where every twelfth cast is taken). */
const SURE = 0.98;

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

/** What a fair trial proves so far, in a line. @param names of the two, as one calls them */
export function trialWords(
  { a, b }: { readonly a: Prior; readonly b: Prior },
  names: { readonly a: string; readonly b: string },
  prior: Prior,
): string {
  const told = (name: string, side: Prior) => `${name} ${side.takes} in ${side.casts}`;
  const counts = `Fair trial: ${told(names.a, a)}, ${told(names.b, b)}.`;
  if (a.takes + b.takes < LEAST_TAKES) return `${counts} Too few takes to say.`;
  const above = chanceAbove(a, b, { takes: 1, casts: Math.round(prior.casts / prior.takes) });
  const [better, chance] = above >= 0.5 ? [names.a, above] : [names.b, 1 - above];
  if (chance < LEADS) return `${counts} No difference seen.`;
  const sure = chance >= SURE ? `${better} is better` : `No difference yet; ${better} leads`;
  return `${counts} ${sure} (${inHundred(chance)} in 100).`;
}
