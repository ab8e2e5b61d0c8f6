import { FOOT_M } from '../units';
import type { Reading, WaterColour } from './reading';

/** Two feet of visibility or less is dirty, three feet or more green (common practice, no source). */
export const DIRTY_M = 2 * FOOT_M;
const GREEN_M = 3 * FOOT_M;
/** Beyond this far of sight water is clear, m. */
export const CLEAR_M = 1.8;

/** The water's state by visibility: two feet or less is dirty, a hand mud, more than three feet green
 * (common practice, no source). @example clarity(0.5) // 'dirty' */
export function clarity(visibilityM: number): 'mud' | 'dirty' | 'stained' | 'green' | 'clear' {
  if (visibilityM <= 0.1) return 'mud';
  if (visibilityM <= DIRTY_M) return 'dirty';
  if (visibilityM <= GREEN_M) return 'stained';
  return visibilityM <= CLEAR_M ? 'green' : 'clear';
}

/** Seeing the toes at the hip, one sees at least a third further; in water that is called clear at least so far (assumed). */
const SEEN_BEYOND = 1.33;
const CLEAR_SEEN_M = 2.2;
/** How far down one sees, m: toes that are still seen say only that one sees further, and clear water that it is clear. */
export const seenDownM = ({
  visibilityM,
  atLeast,
  colour,
}: Pick<Reading, 'visibilityM' | 'atLeast'> & Partial<Pick<Reading, 'colour'>>): number =>
  atLeast ? Math.max(SEEN_BEYOND * visibilityM, colour === 'clear' ? CLEAR_SEEN_M : 0) : visibilityM;

/** Whether fish find little by sight. Peat is dark but clear: they see through it, and are hidden by it. Silt is dirty however far
 * one sees through the top. */
export const isDirty = (colour: WaterColour, seenM: number): boolean =>
  colour === 'tea' ? seenM <= DIRTY_M / 2 : seenM <= DIRTY_M || colour === 'brown soup';
