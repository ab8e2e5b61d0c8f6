import type { CastPlan } from '../cast';
import { handsOf } from '../cast/presentation'; // not the barrel: this is asked of every swing
import { type Ride, upTo, type Willing } from '../lies';
import { lookIn, type Range, seenFrom } from '../sight';
import { fliesOf, type FlyItem, profileOf, type Rig, skates } from '../tackle';

/** A fly of a rig as fish are shown it. */
export interface ShownFly {
  readonly ride: Ride;
  /** From how far its outline is made out in this water and light, beside it or against the sky, whichever is plainer, m. */
  readonly seen: Range;
  /** It goes with the current, or is drawn through it: which way it faces is no matter. */
  readonly free: boolean;
  /** How far up fish come to it, m. */
  readonly upM: number;
}

/** How a fly is meant to ride: what skates in the film, soft hackles as what hatches, all else sunk (common practice, no source). */
export const rideOf = (fly: FlyItem): Ride => (skates(fly) ? 'wakes' : profileOf(fly) === 'sparse' ? 'wet' : 'sunk');

/** What a fly is looked at for: how deep it rides, m (assumed; it counts at dusk only). */
const LOOKED_AT_M = 0.5;
const SIDES = ['beside', 'below'] as const;
const ranges = new WeakMap<Willing, Map<string, Range>>();

/** From how far a fish of the day makes out a fly. Throws RangeError when the visibility is not above 0. */
function seenOf(willing: Willing, fly: FlyItem): Range {
  const known = ranges.get(willing) ?? new Map<string, Range>();
  ranges.set(willing, known);
  const key = JSON.stringify([fly.colour, fly.also, fly.flash, fly.lengthM]);
  let range = known.get(key);
  if (!range) {
    const look = lookIn({ ...willing.view, depthM: LOOKED_AT_M });
    range = SIDES.map((from) => seenFrom(look, fly, from).outline).reduce((a, b) => (b.likelyM > a.likelyM ? b : a));
    known.set(key, range);
  }
  return range;
}

/** The current holds these ways' flies against it; the others go with it, or are drawn through it. */
const FREE: ReadonlySet<string> = new Set(['dead drift', 'tight drift', 'upstream strip', 'dip and draw', 'strip']);

/** The flies of a rig, from the point upwards, as they are shown by a cast. */
export function shownFlies(rig: Pick<Rig, 'fly' | 'droppers'>, plan: CastPlan, willing: Willing): ShownFly[] {
  const free = FREE.has(handsOf(plan).way);
  return fliesOf(rig).map((fly) => {
    const ride = rideOf(fly);
    return { ride, seen: seenOf(willing, fly), free, upM: upTo(willing, ride) };
  });
}
