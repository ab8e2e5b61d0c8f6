import { chanceOfNone, type Prior, priorOf } from './prior';

/** What was counted on this visit, and before. */
export interface Counted {
  readonly castsSinceTake: number;
  readonly castsSinceChange: number;
  /** The latest casts since anything was changed, and touches of the bed among them. */
  readonly lately: { readonly casts: number; readonly touches: number };
  /** Whether the water was read today. */
  readonly fresh: boolean;
  /** Fished with wets and soft hackles, not streamers. */
  readonly wet: boolean;
  /** All casts and takes of one's own log. */
  readonly own: Prior;
}

/** So many casts show how often the bed is touched; at every other one it is too often (common practice, no source: now
 * and then is right, repeated means lighten). */
const SHOWN_BY = 6;
const TOO_OFTEN = 0.4;
const LONG_UNCHANGED = 60;
const LONG_EMPTY = 12;

/** One thing worth saying now, by what was counted. */
export function hintFor({ castsSinceTake, castsSinceChange, lately, fresh, wet, own }: Counted): string {
  const touched = lately.casts >= SHOWN_BY ? lately.touches / lately.casts : 0;
  if (touched >= TOO_OFTEN)
    return `The bed is touched ${lately.touches} times in the last ${lately.casts} casts: lighten the tip, or shorten.`;
  if (castsSinceChange >= LONG_UNCHANGED)
    return `Nothing changed for ${castsSinceChange} casts: change the fly, the depth or the speed.`;
  if (castsSinceTake >= LONG_EMPTY) {
    const none = Math.round(100 * chanceOfNone(own.takes, own.casts, castsSinceTake, priorOf(wet)));
    const of = own.casts > 0 ? 'By your own log' : `On ordinary ${wet ? 'wet-fly' : 'streamer'} water`;
    return `${castsSinceTake} casts without a take. ${of} that happens ${none} times in a hundred: ${none > 25 ? 'too few to tell' : 'something may be wrong'}.`;
  }
  if (touched > 0) return 'A touch of the bed now and then: the right depth, for those who fish it near the bed.';
  return fresh
    ? 'Watch the line where it enters the water.'
    : 'The water was not read today: a reading makes the lies better.';
}
