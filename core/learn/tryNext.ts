import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { deviate } from '../maths/statistics';
import type { Dimension, PlacedExposure } from './evidence';
import { type Group, type Lists, rated } from './proofs';
import type { Ratio } from './ratio';

/** What one chooses on the water, and can try. */
const CHOSEN = ['colour', 'family', 'size', 'weight', 'tip', 'way', 'cadence'] as const satisfies Dimension[];
/** An evening of it, casts. */
const TRIAL_CASTS = 120;
/** So many casts are fished in a season: what is learned pays on those (assumed). */
const SEASON_CASTS = 3000;
/** With fewer casts nothing is said of what one usually does. */
const LEAST_USUAL = 100;
const MOST = 3;

/** Something worth trying against what one mostly does. */
export interface Suggestion {
  readonly by: Dimension;
  readonly name: string;
  /** What one has fished most of its kind. */
  readonly usual: string;
  /** How often it was taken for once that the usual was, as far as is known. */
  readonly ratio: Pick<Ratio, 'middle' | 'low' | 'high'>;
  /** Casts with it so far, and those of the trial, half with each of the two. */
  readonly casts: number;
  readonly trial: number;
  /** Takes that knowing it is expected to bring over so many casts, those of a season. */
  readonly gain: number;
  readonly over: number;
}

/** Nine in ten lie within so many standard deviations. */
const NINE_IN_TEN = deviate(0.95);
const density = (z: number): number => Math.exp(-(z ** 2) / 2) / Math.sqrt(2 * Math.PI);

/**
 * What knowing more of one thing is expected to gain, where the better of two is done afterwards: the knowledge gradient s·f(−|Δ|/s),
 * f(z) = zΦ(z) + φ(z) (Frazier, Powell & Dayanik 2008).
 *
 * @param apart how far the two are apart as far as is known; @param before, after: how well that is known, standard deviations
 * @example knowledgeGradient(0, 1, 0) // 0.3989
 */
export function knowledgeGradient(apart: number, before: number, after: number): number {
  const moved = Math.sqrt(Math.max(0, before ** 2 - after ** 2));
  if (moved === 0) return 0;
  const z = -Math.abs(apart) / moved;
  return moved * (z * normalCdf(z, 0, 1) + density(z));
}

/** The middle and standard deviation of a ratio’s logarithm. */
const logOf = ({ middle, low, high }: Ratio) => ({
  at: Math.log(middle),
  sd: Math.log(high / low) / (2 * NINE_IN_TEN),
});

function inList(by: Dimension, list: readonly Group[]): Suggestion[] {
  const usual = list[0];
  if (!usual || usual.casts < LEAST_USUAL) return [];
  const known = logOf(usual.ratio);
  return list.slice(1).flatMap((g): Suggestion[] => {
    const own = logOf(g.ratio);
    const apart = own.at - known.at;
    const before = Math.hypot(own.sd, known.sd);
    // Half of the trial with each: 1/takes of either, as takes bunch.
    const each = (rate: number) => g.spread / ((TRIAL_CASTS / 2) * rate);
    const trial = Math.sqrt(each(usual.rate.middle) + each(g.rate.middle));
    const after = 1 / Math.hypot(1 / before, 1 / trial);
    const gain = SEASON_CASTS * usual.rate.middle * knowledgeGradient(apart, before, after);
    const interval = (sign: number) => Math.exp(apart + sign * NINE_IN_TEN * before);
    return [
      {
        ...{ by, name: g.name, usual: usual.name, casts: g.casts, trial: TRIAL_CASTS, gain, over: SEASON_CASTS },
        ratio: { middle: Math.exp(apart), low: interval(-1), high: interval(1) },
      },
    ];
  });
}

/** What to try next against what one mostly does, what could be gained by it most first; one of each kind. */
export function tryNext(outings: readonly (readonly PlacedExposure[])[], lists: Lists): Suggestion[] {
  return CHOSEN.flatMap((by) => {
    const all = inList(by, rated(outings, by, lists[by] ?? [])).sort((a, b) => b.gain - a.gain);
    return all.slice(0, 1);
  })
    .sort((a, b) => b.gain - a.gain)
    .slice(0, MOST);
}
