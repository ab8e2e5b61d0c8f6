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

/** Chance of no take in n more casts: (β/(β+n))^α. */
export const chanceOfNone = (takes: number, casts: number, n: number): number => {
  needCounts(takes, casts);
  const b = PRIOR.casts + casts;
  return Math.pow(b / (b + n), PRIOR.takes + takes);
};
