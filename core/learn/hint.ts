import { headSinks, isWetFly, type Rig } from '../tackle';
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

/** How one first gets a fly higher, with what is tied on. */
export type Higher = 'float' | 'shot' | 'tip' | 'line' | 'fly';

/** One thing worth saying while one fishes. */
export type Hint =
  | { readonly code: 'bed'; readonly touches: number; readonly casts: number; readonly first: Higher }
  | { readonly code: 'hung'; readonly times: number; readonly casts: number; readonly first: Higher }
  /** What is left here brings so much of what a fresh run would. */
  | { readonly code: 'leave'; readonly ratio: number; readonly walkMin: number }
  /** A change pays after so many casts more; right is the chance that the fly is the right one, 0 to 1. */
  | {
      readonly code: 'change';
      readonly casts: number;
      readonly takes: number;
      readonly after: number;
      readonly right: number;
    }
  | { readonly code: 'unchanged'; readonly casts: number }
  /** No take in so many casts happens with a chance of none, 0 to 1. */
  | {
      readonly code: 'no take';
      readonly casts: number;
      readonly none: number;
      readonly by: 'own log' | 'wets' | 'streamers';
    }
  | { readonly code: 'touches well' }
  | { readonly code: 'watch'; readonly what: 'float' | 'line' }
  | { readonly code: 'not read' };

/** Whether to change or to leave; null where neither is near. */
function clockHint({ change, leave }: Counted): Hint | null {
  if (!change || change.casts < LEAST_FISHED) return null;
  if (leave?.leave && leave.ratio < HARDLY_LESS) return { code: 'leave', ratio: leave.ratio, walkMin: leave.walkMin };
  const { casts, takes, right, changeAfter } = change;
  return changeAfter !== null && changeAfter <= SOON
    ? { code: 'change', casts, takes, after: changeAfter, right }
    : null;
}

/** What one does first about a fly that is too deep, with what is on. */
const higher = ({ float, shot, tip, head }: Rig): Higher =>
  float ? 'float' : shot ? 'shot' : tip ? 'tip' : headSinks(head) ? 'line' : 'fly';

/** One thing worth saying now, by what was counted. */
export function hintFor(counted: Counted): Hint {
  const { castsSinceTake, castsSinceChange, lately, hung, fresh, rig, own } = counted;
  const touched = lately.casts >= SHOWN_BY ? lately.touches / lately.casts : 0;
  if (touched >= TOO_OFTEN) return { code: 'bed', ...lately, first: higher(rig) };
  if (hung >= HUNG_OFTEN && castsSinceChange < HUNG_WITHIN * hung)
    return { code: 'hung', times: hung, casts: castsSinceChange, first: higher(rig) };
  const clock = clockHint(counted);
  if (clock) return clock;
  if (castsSinceChange >= LONG_UNCHANGED) return { code: 'unchanged', casts: castsSinceChange };
  if (castsSinceTake >= LONG_EMPTY) {
    const wet = isWetFly(rig.fly);
    const prior = priorOf(wet);
    const none = chanceOfNone(own.takes, own.casts, castsSinceTake, prior);
    // A few casts of one's own say less than what one expects of the method.
    const by = own.casts >= prior.casts ? 'own log' : wet ? 'wets' : 'streamers';
    return { code: 'no take', casts: castsSinceTake, none, by };
  }
  if (touched > 0) return { code: 'touches well' };
  return fresh ? { code: 'watch', what: rig.float ? 'float' : 'line' } : { code: 'not read' };
}
