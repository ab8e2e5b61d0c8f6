import type { CastPlan } from '../cast';
import { type Beat, beatFor, ends } from '../cover/beat';
import type { CastChoice } from '../cover/casts';
import type { Covering } from '../cover/covering';
import { countShown, foundBy, showing } from '../cover/gain';
import type { CoverRequest } from '../cover/stands';
import { seeded } from '../maths';
import type { OnWater } from './onWater';

/** A run, a rig and an hour in quick time: fish hold where nobody sees them. */
export interface Hour extends OnWater {
  readonly seed: number;
  readonly request: CoverRequest;
  readonly covering: Covering;
  /** The places of the covering’s ground where a willing fish holds. */
  readonly fish: readonly number[];
  /** The cast that is set to begin with. */
  readonly first: CastPlan;
}

/** How many fish hold in the water of an hour, willing to take (assumed: a good day). */
export const FISH = 8;
/** How long an hour is, and how many casts over a willing fish are thought to be enough. */
export const HOUR_S = 3600;
const PATIENCE = 2;
/** How likely a willing fish takes a fly that is wholly shown. */
const TAKES = showing(PATIENCE);

/** Why a cast of one’s own is not made. */
export type NotCast = 'stand' | 'line' | 'snag';
/** A cast of one’s own: what it shows the fly to; or why it is not made. */
export type Thrown = { readonly choice: CastChoice } | { readonly not: NotCast };

/** What has come of an hour so far. */
export interface HourSoFar {
  readonly casts: readonly CastChoice[];
  /** Casting and walking. */
  readonly seconds: number;
  /** Fish that took, as they stand in the hour’s list. */
  readonly took: readonly number[];
}
export const BEGUN: HourSoFar = { casts: [], seconds: 0, took: [] };

/** An hour after one more cast: each fish that is left takes with the chance that the measure gives it. */
export function afterCast(hour: Pick<Hour, 'seed' | 'fish'>, played: HourSoFar, choice: CastChoice): HourSoFar {
  const n = played.casts.length;
  const rand = seeded(hour.seed + 104_729 * (n + 1));
  const casts = [...played.casts, choice];
  const taken = new Set(played.took);
  const took = hour.fish.flatMap((place, fish) => {
    const draw = rand(); // one for each fish, taken or not: the others’ luck does not hang on it
    const at = choice.cells.indexOf(place);
    const shown = at < 0 ? 0 : choice.by[at]!;
    return !taken.has(fish) && draw < 1 - (1 - TAKES) ** shown ? fish : [];
  });
  return { casts, seconds: ends(casts).at(-1)!, took: [...played.took, ...took] };
}

/** What an hour came to, beside a guide’s. */
export interface HourEnd {
  /** Share of the willing fish that these casts find in the mean, 0 to 1; that of the guide’s hour; and of as many fish, how many took. */
  readonly found: number;
  readonly guide: number;
  readonly took: number;
  readonly of: number;
  /** What was cast in the guide’s hour, in its order. */
  readonly beat: Beat;
  /** 0 to 100: of what the guide finds. */
  readonly marks: number;
}

/** Reckons an hour up. The guide’s casts are those that Fish would plan (core/cover/beat.ts). */
export function hourEnd({ covering, fish }: Pick<Hour, 'covering' | 'fish'>, { casts, took }: HourSoFar): HourEnd {
  const { weights } = covering;
  const found = foundBy(countShown(casts, weights.length), weights, TAKES);
  const beat = beatFor(covering, HOUR_S / 60, PATIENCE);
  const marks = beat.found > 0 ? Math.min(100, (100 * found) / beat.found) : 0;
  return { found, guide: beat.found, took: took.length, of: fish.length, beat, marks };
}
