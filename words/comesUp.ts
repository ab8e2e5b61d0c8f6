import type { ComesUpTold } from '@/core/learn/comesUp';
import { likestOf, QUARRIES, type Studied } from '@/core/lies/suitability';
import { several } from './counting';
import { format, type UnitSystem } from './units';

/** The fish that go by one row. @example fishLikeWords('sea trout') // 'sea trout' */
export const fishLikeWords = (of: Studied): string => QUARRIES.filter((q) => likestOf(q) === of).join(', ');

/** How far up fish come, so many times as far as is assumed. */
export function comesUpWords({ assumed }: Pick<ComesUpTold, 'assumed'>, upTimes: number, units: UnitSystem): string {
  const far = assumed.map(
    ({ tempC, upM }) => `${format('depth', upTimes * upM, units)} at ${format('temperature', tempC, units)}`,
  );
  return `Half of the willing ones come up ${far.join(', ')}, in middling water.`;
}

/** What takes tell of how far fish come up. */
export function comesUpToldWords({ casts, takes, worth, times, low, high }: ComesUpTold): string {
  const counted = `${several(takes, 'take')} in ${several(casts, 'cast')}`;
  return worth
    ? `By ${counted} yours come up ${times.toFixed(1)} times as far as assumed (${low.toFixed(1)} to ${high.toFixed(1)}).`
    : `${counted}: too few to tell how far up yours come.`;
}
