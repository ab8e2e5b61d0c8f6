import { chanceOfNone } from './prior';

/** What was counted on this visit. */
export interface Counted {
  readonly castsSinceTake: number;
  readonly castsSinceChange: number;
  readonly bedTouches: number;
  /** Whether the water was read today. */
  readonly fresh: boolean;
}

const MANY_TOUCHES = 4;
const LONG_UNCHANGED = 60;
const LONG_EMPTY = 12;

/** One thing worth saying now, by what was counted. */
export function hintFor({ castsSinceTake, castsSinceChange, bedTouches, fresh }: Counted): string {
  if (bedTouches >= MANY_TOUCHES) return 'The bed is touched again and again: lighten the tip, or shorten.';
  if (castsSinceChange >= LONG_UNCHANGED)
    return `Nothing changed for ${castsSinceChange} casts: change the fly, the depth or the speed.`;
  if (castsSinceTake < LONG_EMPTY)
    return fresh
      ? 'Watch the line where it enters the water.'
      : 'The water was not read today: a reading makes the lies better.';
  const none = Math.round(100 * chanceOfNone(0, 0, castsSinceTake));
  return `${castsSinceTake} casts without a take. On ordinary water that happens ${none} times in a hundred: ${none > 25 ? 'too few to tell' : 'something may be wrong'}.`;
}
