import { placeOf } from '../sight/place';
import { sunAt } from '../sight/sun';
import { likestOf, type Quarry, type SizeClass, type Studied } from './suitability';
import type { DepthSchool, FloodSchool, LieOptions } from './types';
import type { OwnLeeway } from './leeway';

/** Where no water is known. */
export const USUAL_QUARRY: Quarry = 'brown trout';
/** As many as there are: a pocket stream has twenty. */
const LIES = 20;

/** What one’s own takes say of fish, by their rows; those that are not named are as assumed. */
export type OwnFish = Readonly<Partial<Record<Studied, OwnLeeway>>>;

/** What one looks for, where and when, as records. */
interface LieQuestion {
  readonly water:
    { readonly quarry: Quarry; readonly latDeg: number | null; readonly lonDeg: number | null } | null | undefined;
  readonly settings: { readonly school: DepthSchool; readonly flood?: FloodSchool; readonly ownFish?: OwnFish };
  /** Moment whose sun counts, ms UTC; not said: only the sky counts. */
  readonly at?: number;
  readonly size?: SizeClass;
}

/** How lies are looked for: screens, the answer and the command look alike. */
export function lieOptionsOf({ water, settings: { school, flood, ownFish }, at, size }: LieQuestion): LieOptions {
  const place = placeOf(water);
  const quarry = water?.quarry ?? USUAL_QUARRY;
  const own = ownFish?.[likestOf(quarry)];
  return {
    quarry,
    school,
    most: LIES,
    ...(flood ? { flood } : null),
    ...(own ? { own } : null),
    ...(size && size !== 'any' ? { size } : null), // any size is none: who asks so shares what was worked out
    ...(place && at !== undefined ? { sun: sunAt(at, place.latDeg, place.lonDeg) } : null),
  };
}
