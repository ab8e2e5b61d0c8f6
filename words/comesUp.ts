import { type ComesUpTold, fairUpM } from '@/core/learn/comesUp';
import { likestOf, QUARRIES, type Studied } from '@/core/lies/suitability';
import { several } from './counting';
import { format, type UnitSystem } from './units';

/** The fish that go by one row. @example fishLikeWords('sea trout') // 'sea trout' */
export const fishLikeWords = (of: Studied): string => QUARRIES.filter((q) => likestOf(q) === of).join(', ');

/** Cool water, and cold, °C: how far they come is told for both. */
const COOL_C = 11;
const COLD_C = 6;
/** How far up fish come, so many times as far as is assumed. */
export function comesUpWords(of: Studied, upTimes: number, units: UnitSystem): string {
  const at = (tempC: number) =>
    `${format('depth', fairUpM(of, tempC, upTimes), units)} at ${format('temperature', tempC, units)}`;
  return `Half of the willing ones come up ${at(COOL_C)}, ${at(COLD_C)}, in middling water.`;
}

/** What takes tell of how far fish come up. */
export function comesUpToldWords({ casts, takes, worth, times, low, high }: ComesUpTold): string {
  const counted = `${several(takes, 'take')} in ${several(casts, 'cast')}`;
  return worth
    ? `By ${counted} yours come up ${times.toFixed(1)} times as far as assumed (${low.toFixed(1)} to ${high.toFixed(1)}).`
    : `${counted}: too few to tell how far up yours come.`;
}
