import { headSinks, isWetFly, type Rig } from '../tackle';
import { inHundred, several } from '../units';
import type { ChangeClock, LeaveClock } from './clocks';
import { chanceOfNone, type Prior, priorOf } from './prior';

/** What was counted on this visit, and before. */
export interface Counted {
  readonly castsSinceTake: number;
  readonly castsSinceChange: number;
  /** The latest casts since anything was changed, and touches of the bed among them. */
  readonly lately: { readonly casts: number; readonly touches: number };
  /** Hang-ups and lost flies since anything was changed. */
  readonly hung: number;
  /** Whether the water was read today. */
  readonly fresh: boolean;
  readonly rig: Rig;
  /** All casts and takes of one's own log. */
  readonly own: Prior;
  /** When a change pays, after so many casts over holding water and takes since it was tied on; null: not known. */
  readonly change?: (ChangeClock & { readonly casts: number; readonly takes: number }) | null;
  /** Whether this place pays less than the next would, so many minutes away; null: not known. */
  readonly leave?: (LeaveClock & { readonly walkMin: number }) | null;
}

/** So many casts show how often the bed is touched; at every other one it is too often (common practice, no source: now
 * and then is right, repeated means lighten). */
const SHOWN_BY = 6;
const TOO_OFTEN = 0.4;
/** Hung up so often, and at least once in so many casts, is too often (common practice, no source). */
const HUNG_OFTEN = 2;
const HUNG_WITHIN = 15;
const LONG_UNCHANGED = 60;
const LONG_EMPTY = 12;
/** Before so many casts over holding water nothing is said of changing or leaving. */
const LEAST_FISHED = 15;
/** A place that still brings so much of what the next one would is not worth leaving: both are estimates (assumed). */
const HARDLY_LESS = 0.85;
/** Casts ahead that are worth telling. */
const SOON = 10;

/** Whether to change or to leave, in a line; null where neither is near. */
function clockWords({ change, leave }: Counted): string | null {
  if (!change || change.casts < LEAST_FISHED) return null;
  if (leave?.leave && leave.ratio < HARDLY_LESS)
    return `What is left here brings about ${share(leave.ratio)} of what a fresh run like it would, ${leave.walkMin} minutes’ walk included: time to go.`;
  const takes = change.takes === 0 ? 'no take' : several(change.takes, 'take');
  const of = `${change.casts} casts over holding water with this fly, ${takes}`;
  if (change.changeAfter === 0)
    return `${of}: it is the right one with a chance of ${inHundred(change.right)} in 100. A change pays now.`;
  if (change.changeAfter !== null && change.changeAfter <= SOON)
    return `${of}. ${count(change.changeAfter)} more without one: then a change pays.`;
  return null;
}

const share = (ratio: number): string =>
  ratio < 0.15 ? 'a tenth' : ratio < 0.375 ? 'a quarter' : ratio < 0.625 ? 'half' : 'three quarters';
const count = (n: number): string => (n === 1 ? 'One cast' : `${n} casts`);

/** What one does first about a fly that is too deep, with what is on. */
function higher({ float, shot, tip, head }: Rig): string {
  if (float) return 'set the float nearer to the fly';
  if (shot) return 'take shot off, or shorten';
  if (tip) return 'lighten the tip, or shorten';
  return `a ${headSinks(head) ? 'line that sinks less' : 'lighter fly'}, or shorten`;
}

/** One thing worth saying now, by what was counted. */
export function hintFor(counted: Counted): string {
  const { castsSinceTake, castsSinceChange, lately, hung, fresh, rig, own } = counted;
  const touched = lately.casts >= SHOWN_BY ? lately.touches / lately.casts : 0;
  if (touched >= TOO_OFTEN)
    return `The bed is touched ${lately.touches} times in the last ${lately.casts} casts: ${higher(rig)}.`;
  if (hung >= HUNG_OFTEN && castsSinceChange < HUNG_WITHIN * hung)
    return `Hung up or lost ${hung} times in ${castsSinceChange} casts: ${higher(rig)}.`;
  const clock = clockWords(counted);
  if (clock) return clock;
  if (castsSinceChange >= LONG_UNCHANGED)
    return `Nothing changed for ${castsSinceChange} casts: change the fly, the depth or the speed.`;
  if (castsSinceTake >= LONG_EMPTY) {
    const wet = isWetFly(rig.fly);
    const prior = priorOf(wet);
    const none = inHundred(chanceOfNone(own.takes, own.casts, castsSinceTake, prior));
    // A few casts of one's own say less than what one expects of the method.
    const of = own.casts >= prior.casts ? 'By your own log' : `On ordinary ${wet ? 'wet-fly' : 'streamer'} water`;
    return `${castsSinceTake} casts without a take. ${of} that happens ${none === 1 ? 'once' : `${none} times`} in a hundred: ${none > 25 ? 'too few to tell' : 'something may be wrong'}.`;
  }
  if (touched > 0) return 'A touch of the bed now and then: the right depth, for those who fish it near the bed.';
  return fresh
    ? `Watch the ${rig.float ? 'float' : 'line where it enters the water'}.`
    : 'The water was not read today: a reading makes the lies better.';
}
