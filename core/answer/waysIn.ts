import type { CastPlan } from '../cast';
import type { ServedAsTold } from './answer';
import { GIVEN_UP_OF_TEN } from './weights';

/** The casts that lies want for themselves, where they pay. */
export const ownCasts = (stands: ServedAsTold['stands']): CastPlan[] =>
  stands.filter((t) => t.special && (t.chance ?? 0) >= GIVEN_UP_OF_TEN).map((t) => t.plan);

/** How an answer fishes its run: the way of it, then the casts that lies want for themselves. */
export const waysIn = ({ way, stands }: Pick<ServedAsTold, 'way' | 'stands'>): CastPlan[] => [way, ...ownCasts(stands)];
