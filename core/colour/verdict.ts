import type { ColourForecast } from './forecast';

/** Chances of seeing so far and further, m; the steps of the bank: a hand and a half, two feet, three feet, clear. */
export const STEPS_M = [0.3, 0.6, 0.9, 1.8] as const;

/** A forecast that travels: without its function. */
export interface ColourAt extends Omit<ColourForecast, 'chanceAtLeast'> {
  /** In the order of STEPS_M. */
  readonly chances: readonly number[];
}
export const plainForecast = ({ chanceAtLeast, ...f }: ColourForecast): ColourAt => ({
  ...f,
  chances: STEPS_M.map(chanceAtLeast),
});

export const VERDICTS = ['go', 'go with sinking gear', 'elsewhere'] as const;
export type ColourVerdict = (typeof VERDICTS)[number];

export interface Judged {
  readonly verdict: ColourVerdict;
  /** That it is at least so clear as the verdict needs (for "elsewhere": as it does not reach), 0 to 1. */
  readonly chance: number;
  /** That it is fishable at all, and clear enough to fish as usual, 0 to 1. */
  readonly fishable: number;
  readonly plain: number;
  /** Too little for the drive; next door it might do. */
  readonly drive: boolean;
}

/** More than two feet is no longer dirty; with less than a hand and a half fish find little (common practice, no source). */
const [FISHABLE_M, PLAIN_M] = [STEPS_M[0], STEPS_M[1]];
/** So sure one wants to be of a water next door, of one an hour away, and at the most (assumed). */
const NEEDED = { near: 0.5, anHour: 0.15, most: 0.8 } as const;

/** How sure one wants to be before a drive, 0 to 1. @param driveMin one way; null: not said */
export const neededChance = (driveMin: number | null): number =>
  Math.min(NEEDED.most, NEEDED.near + (NEEDED.anHour * (driveMin ?? 0)) / 60);

/** Go, go with sinking gear, or elsewhere: whether it is clear enough, as sure as the drive wants it. */
export function judgeColour({ chances }: Pick<ColourAt, 'chances'>, driveMin: number | null): Judged {
  const needed = neededChance(driveMin);
  const [fishable, plain] = [chances[STEPS_M.indexOf(FISHABLE_M)]!, chances[STEPS_M.indexOf(PLAIN_M)]!];
  const of = { fishable, plain, drive: !!driveMin };
  if (plain >= needed) return { verdict: 'go', chance: plain, ...of };
  if (fishable >= needed) return { verdict: 'go with sinking gear', chance: fishable, ...of };
  return { verdict: 'elsewhere', chance: fishable, ...of };
}

const rank = (v: ColourVerdict): number => VERDICTS.indexOf(v);

/** From when on the verdict is better than at the first moment, and stays so to the end: the lesser step first; none where it is not. */
export function betterFrom(
  forecasts: readonly ColourAt[],
  driveMin: number | null,
): { readonly at: number; readonly verdict: ColourVerdict }[] {
  const ranks = forecasts.map((f) => rank(judgeColour(f, driveMin).verdict));
  const now = ranks[0] ?? 0;
  const out: { at: number; verdict: ColourVerdict }[] = [];
  // The best first: what comes no earlier than a better one is not worth a word.
  for (const verdict of VERDICTS.slice(0, now)) {
    let from = -1;
    for (let i = ranks.length - 1; i > 0 && ranks[i]! <= rank(verdict); i--) from = i;
    if (from >= 0 && forecasts[from]!.at !== out[0]?.at) out.unshift({ at: forecasts[from]!.at, verdict });
  }
  return out;
}
