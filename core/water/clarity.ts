import { FOOT_M } from '../units';

/** Two feet of visibility or less is dirty, three feet or more fair (common practice, no source). */
export const DIRTY_M = 2 * FOOT_M;
export const FAIR_M = 3 * FOOT_M;
/** Beyond this far of sight water is clear, m. */
export const CLEAR_M = 1.8;

/** The water's state by visibility: two feet or less is dirty, a hand mud, more than three feet fair
 * (common practice, no source). @example clarity(0.5) // 'dirty' */
export function clarity(visibilityM: number): 'mud' | 'dirty' | 'coloured' | 'fair' | 'clear' {
  if (visibilityM <= 0.1) return 'mud';
  if (visibilityM <= DIRTY_M) return 'dirty';
  if (visibilityM <= FAIR_M) return 'coloured';
  return visibilityM <= CLEAR_M ? 'fair' : 'clear';
}
