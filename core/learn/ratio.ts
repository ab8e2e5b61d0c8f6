import gammaln from '@stdlib/math-base-special-gammaln';
import { sumBy, sumOf } from '../maths';
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
  const effect = luck.effects.get(name) ?? 1;
  const rest = othersEffect(scores, luck, name);
  const logs = RATIOS.map((ratio) => {
    const times = (ratio * rest) / effect;
    const likely = sumOf(own, (s) => {
      const { takes, mean } = luck.outings[s.outing]!;
      return s.takes * Math.log(times) - (luck.between + takes) * Math.log(luck.between + mean + (times - 1) * s.mean);
    });
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

/** How much takes may bunch from outing to outing: squared spread of their luck. */
const BUNCHINGS = logGrid(0.03, 8, 12);
/** How firmly the log as a whole is believed on that, as the standard deviation of the logarithm (assumed). */
const FIRM = 0.5;
const RATE_STEPS = 81;

/**
 * Takes a cast on an outing like those on which the group was shown: the negative binomial likelihood of its takes outing by outing, with how much
 * they bunch integrated out, and a prior of one take at the rate of all casts.
 */
export function typicalRate(luck: Luck, name: string, scores = scoresOf(luck)): Believed {
  const casts = sumBy(
    luck.cells.filter((c) => c.group === name),
    (c) => c.casts,
    (c) => c.outing,
  );
  const own = scores.filter((s) => s.group === name).map((s) => ({ takes: s.takes, casts: casts.get(s.outing)! }));
  const all = (1 + sumOf(luck.cells, (c) => c.takes)) / (1 + sumOf(luck.cells, (c) => c.casts));
  const rates = logGrid(all / 60, all * 60, RATE_STEPS);
  const told = 1 / luck.shape + bunchingWithin(scores);
  const logs = BUNCHINGS.map((bunching) => {
    const shape = 1 / bunching;
    const firm = -0.5 * (Math.log(bunching / told) / FIRM) ** 2;
    const still = sumOf(own, (o) => gammaln(shape + o.takes) - gammaln(shape)) + own.length * shape * Math.log(shape);
    return rates.map(
      (rate) =>
        firm +
        still +
        sumOf(own, (o) => o.takes * Math.log(rate * o.casts) - (shape + o.takes) * Math.log(shape + rate * o.casts)) +
        // One take at the rate of all casts; even steps of the logarithm want the rate itself as a factor.
        Math.log(rate) -
        rate / all,
    );
  });
  const weights = weightsOf(logs.flat());
  const byRate = rates.map((_, i) => sumOf(BUNCHINGS, (b) => weights[BUNCHINGS.indexOf(b) * rates.length + i]!));
  return believedOf(rates, byRate);
}
