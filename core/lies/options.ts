import { placeOf } from '../sight/place';
import { sunAt } from '../sight/sun';
import { likestOf, type Quarry, type SizeClass, type Studied } from './suitability';
import type { DepthSchool, FloodSchool, LieOptions } from './types';

/** Where no water is known. */
export const USUAL_QUARRY: Quarry = 'brown trout';
/** As many as there are: a pocket stream has twenty. */
const LIES = 20;

/** Nobody’s fish come up so much less far, or further, than is assumed. */
export const UP_TIMES = { least: 0.4, most: 2.5 } as const;
/** How many times as far as is assumed fish come up, by one’s own takes; those that are not named come as far. */
export type ComesUp = Readonly<Partial<Record<Studied, number>>>;

/** What one looks for, where and when, as records. */
interface LieQuestion {
  readonly water:
    { readonly quarry: Quarry; readonly latDeg: number | null; readonly lonDeg: number | null } | null | undefined;
  readonly settings: { readonly school: DepthSchool; readonly flood?: FloodSchool; readonly comesUp?: ComesUp };
  /** Moment whose sun counts, ms UTC; not said: only the sky counts. */
  readonly at?: number;
  readonly size?: SizeClass;
}

/** How lies are looked for: screens, the answer and the command look alike. */
export function lieOptionsOf({ water, settings: { school, flood, comesUp }, at, size }: LieQuestion): LieOptions {
  const place = placeOf(water);
  const quarry = water?.quarry ?? USUAL_QUARRY;
  const upTimes = comesUp?.[likestOf(quarry)];
  return {
    quarry,
    school,
    most: LIES,
    ...(flood ? { flood } : null),
    ...(upTimes ? { upTimes } : null),
    ...(size && size !== 'any' ? { size } : null), // any size is none: who asks so shares what was worked out
    ...(place && at !== undefined ? { sun: sunAt(at, place.latDeg, place.lonDeg) } : null),
  };
}
