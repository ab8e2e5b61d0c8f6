import type { CastPlan } from '../cast';
import type { ServedAsTold } from './answer';

/** How an answer fishes its run: the way of it, then the casts that lies want for themselves. */
export const waysIn = ({ way, stands }: Pick<ServedAsTold, 'way' | 'stands'>): CastPlan[] => [
  way,
  ...stands.filter((t) => t.special).map((t) => t.plan),
];
