import gammaln from '@stdlib/math-base-special-gammaln';
import { sumOf } from '../maths';
import { bunchingWithin, type Luck, type Score, scoresOf } from './luck';
import { type Believed, believedOf, logGrid, weightsOf } from './posterior';

/** Before a log shows it, of the logarithm: two flies of the trade differ by so much, as the standard deviation of the logarithm of their ratio (assumed: twice
 * as good or half as good is common, four times is rare). */
const UNLIKE = 0.8;
const RATIOS = logGrid(1 / 20, 20);
export const lnPrior = (ratio: number): number => -0.5 * (Math.log(ratio) / UNLIKE) ** 2;

/** How often a fly is taken for once that all else is: what the log says of it. */
export interface Ratio extends Believed {
  /** That it is above one, 0 to 1. */
  readonly chance: number;
}

/**
 * How many times as often a group was taken as all else.
 *
 * Luck integrated out, an outing's takes have the likelihood θ^k / (α + M + (θ−1)·m)^(α+K) of the ratio θ (negative multinomial; with α = 0, where outings are compared within themselves, the multinomial of its takes), α the
 * shape of luck, K and M takes and expected takes of the outing, k and m of the group. Its logarithm is divided by how much takes
 * bunch within outings.
 *
 * @param luck with differences
 * @param spread variance of its takes over that of takes that come one by one
 */
export function ratioToOthers(luck: Luck, name: string, spread: number, scores = scoresOf(luck)): Ratio {
  const own = scores.filter((s) => s.group === name);
  const ownTakes = sumOf(own, (s) => s.takes);
  const power = Float64Array.from(own, (s) => luck.between + luck.outings[s.outing]!.takes);
  const whole = Float64Array.from(own, (s) => luck.between + luck.outings[s.outing]!.mean);
  const means = Float64Array.from(own, (s) => s.mean);
  const toPlain = othersEffect(scores, luck, name) / (luck.effects.get(name) ?? 1);
  const logs = RATIOS.map((ratio) => {
    const times = ratio * toPlain;
    let likely = ownTakes * Math.log(times);
    for (let i = 0; i < means.length; i++) likely -= power[i]! * Math.log(whole[i]! + (times - 1) * means[i]!);
    return likely / spread + lnPrior(ratio);
  });
  const weights = weightsOf(logs);
  return {
    ...believedOf(RATIOS, weights),
    chance: sumOf(
      weights.filter((_, i) => RATIOS[i]! > 1),
      (w) => w,
    ),
  };
}

/** What all other groups have for an effect, by how much was to be expected of each. */
function othersEffect(scores: readonly Score[], { effects }: Luck, name: string): number {
  const others = scores.filter((s) => s.group !== name);
  const plain = sumOf(others, (s) => s.mean / (effects.get(s.group) ?? 1));
  return plain > 0 ? sumOf(others, (s) => s.mean) / plain : 1;
}

/** How firmly the log as a whole is believed on how much takes bunch from outing to outing, as the standard deviation of the logarithm
 * (assumed); the steps in which less and more of it is weighed. */
const FIRM = 0.7;
const BUNCHING_STEPS = [-2, -1.33, -0.67, 0, 0.67, 1.33, 2];
const RATE_STEPS = 41;
/** The grid goes so many standard deviations to either side. */
const FAR = 5;

/**
 * Takes a cast on an outing like those on which the group was shown: the negative binomial likelihood of its takes outing by outing, with how much
 * they bunch integrated out, and a prior of one take at the rate of all casts.
 */
export function typicalRate(luck: Luck, name: string, scores = scoresOf(luck)): Believed {
  const own = scores.filter((s) => s.group === name);
  const takes = Float64Array.from(own, (s) => s.takes);
  const thrown = Float64Array.from(own, (s) => s.casts);
  const all = (1 + sumOf(luck.cells, (c) => c.takes)) / (1 + sumOf(luck.cells, (c) => c.casts));
  const told = 1 / luck.raw + bunchingWithin(scores);
  const sum = { takes: 1 + sumOf(own, (s) => s.takes), casts: 1 / all + sumOf(own, (s) => s.casts) };
  const sd = Math.sqrt(1 / sum.takes + (told * sumOf(own, (s) => s.casts ** 2)) / sum.casts ** 2);
  const about = sum.takes / sum.casts;
  const rates = logGrid(about * Math.exp(-FAR * sd), about * Math.exp(FAR * sd), RATE_STEPS);
  const logs = BUNCHING_STEPS.map((step) => {
    const shape = 1 / (told * Math.exp(FIRM * step));
    const still = sumOf(own, (s) => gammaln(shape + s.takes)) + own.length * (shape * Math.log(shape) - gammaln(shape));
    return rates.map((rate) => {
      let likely = still + (sum.takes - 1) * Math.log(rate) - 0.5 * step ** 2;
      for (let i = 0; i < takes.length; i++) likely -= (shape + takes[i]!) * Math.log(shape + rate * thrown[i]!);
      // One take at the rate of all casts; even steps of the logarithm want the rate itself as a factor.
      return likely + Math.log(rate) - rate / all;
    });
  });
  const weights = weightsOf(logs.flat());
  const byRate = rates.map((_, i) =>
    sumOf(
      weights.filter((_w, k) => k % rates.length === i),
      (w) => w,
    ),
  );
  return believedOf(rates, byRate);
}
