/** What is believed before any cast: so many takes in so many casts, weighing as much as those casts. */
export interface Prior {
  readonly takes: number;
  readonly casts: number;
}
/** One take in two hundred casts. */
export const PRIOR: Prior = { takes: 1, casts: 200 };

/** Throws RangeError unless both are counts. */
export function needCounts(takes: number, casts: number): void {
  if (!(takes >= 0 && Number.isFinite(takes))) throw new RangeError('takes: must be a count');
  if (!(casts >= 0 && Number.isFinite(casts))) throw new RangeError('casts: must be a count');
}

/** What one expects of a method before one has a log, worth as much as a few dozen casts: streamers one or two contacts an
 * hour, wets up to twenty in good water, at some sixty casts an hour (common practice, no source). */
export const priorOf = (wet: boolean): Prior => (wet ? { takes: 1, casts: 12 } : { takes: 1, casts: 60 });

/** A log tells the rate well; the water of one day differs from it by so much that it is worth no more takes than this. */
const MOST_TAKES = 3;

/** What is believed of the rate of one day: what is expected and one’s own log, as sure as the luck of one day bears. */
export function dayPrior(own: Prior, expected: Prior): Prior {
  needCounts(own.takes, own.casts);
  const a = expected.takes + own.takes;
  const share = Math.min(1, MOST_TAKES / a);
  return { takes: share * a, casts: share * (expected.casts + own.casts) };
}

/**
 * Chance of no take in n more casts: (β/(β+n))^α of the Gamma–Poisson; α no more than the luck of one day bears.
 * @example chanceOfNone(0, 0, 200) // 0.5 with the prior of one in two hundred
 */
export const chanceOfNone = (takes: number, casts: number, n: number, prior: Prior = PRIOR): number => {
  const { takes: a, casts: b } = dayPrior({ takes, casts }, prior);
  return Math.pow(b / (b + n), a);
};
