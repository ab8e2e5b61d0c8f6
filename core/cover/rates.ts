import type { HoldingCell } from '../lies';
import { doubtOf } from '../cast';
import { clamp } from '../maths';
import { type Ground, shownFlies } from '../showing';
import { type Draw, draws } from '../swing';
import { choiceOfCast, coarseSwing, groundFor } from './casts';
import { leftAfter, showing } from './gain';
import { USUAL_TIME } from './patience';
import { castsFrom, type CoverRequest, type Passed, workFor } from './stands';

/** A look at a way is taken from so many stands, above so much of the holding water. */
const GLANCED_AT = [0.2, 0.5, 0.8] as const;
/** A swing covers water so far down from where one stands, m. */
const BELOW_M = 11;
const along = new WeakMap<Ground, readonly number[]>();
/** Places along the run, by how much of its holding water lies above them, m; worked out once for a ground. */
function placesAlong(ground: Ground<HoldingCell>): readonly number[] {
  const known = along.get(ground);
  if (known) return known;
  const sorted = [...ground.places].sort((a, b) => a.xM - b.xM);
  const whole = sorted.reduce((sum, c) => sum + c.weight, 0);
  const at = GLANCED_AT.map((share) => {
    let sum = 0;
    return sorted.find((c) => (sum += c.weight) >= share * whole)?.xM ?? 0;
  });
  const places = [...new Set(at)];
  along.set(ground, places);
  return places;
}

/** Casts of a way that a look is taken at: of each place one of middle length, and the longest. */
function castsAt(q: CoverRequest, ground: Ground<HoldingCell>): [Passed, Passed][] {
  const below = workFor(q).direction === 'up' ? -BELOW_M : BELOW_M;
  return placesAlong(ground).map((placeM) => {
    const all = castsFrom(q, clamp(placeM - below, 0, q.run.lengthM));
    const pass = Math.max(...all.map((c) => c.pass));
    const lengths = all.filter((c) => c.pass === pass && c.turnDeg === 0);
    return [lengths[lengths.length >> 1]!, lengths.at(-1)!];
  });
}

/** What a cast brings a second, as a share of all that there is; 0 where it cannot be made. */
function rateOf(q: CoverRequest, ground: Ground<HoldingCell>, cast: Passed, draw?: Draw): number {
  const swing = coarseSwing(q, cast.plan, draw);
  const flies = shownFlies(q.rig, cast.plan, ground.willing);
  const choice = swing && choiceOfCast(q, ground, flies, workFor(q), cast, swing, { times: draw?.depth });
  if (!choice) return 0;
  const leaves = leftAfter(showing(USUAL_TIME.patience));
  let gain = 0;
  choice.cells.forEach((cell, n) => {
    gain += ground.places[cell]!.weight * (1 - leaves(choice.by[n]! * (choice.times ?? 1)));
  });
  return gain / choice.seconds;
}

/** What the casts of middle length bring a second, at each place that is looked at, or the longest ones. */
export function* ratesAt(q: CoverRequest, which: 'middle' | 'longest'): Generator<void, number[], undefined> {
  const ground = groundFor(q);
  const out: number[] = [];
  for (const casts of castsAt(q, ground)) {
    out.push(rateOf(q, ground, casts[which === 'middle' ? 0 : 1]));
    yield;
  }
  return out;
}

/** So many waters that the readings leave open tell what is left. */
const WATERS = 4;

/** What of the showings in the water as it was read is left, in the mean, over the doubt of the readings: a rig that just clears the
 * bed keeps less than one that rides a hand above it.
 *
 * @param middle what the casts of middle length bring as read, by place
 * @returns 0 to 1
 */
export function* keptOver(q: CoverRequest, middle: readonly number[]): Generator<void, number, undefined> {
  const ground = groundFor(q);
  const asRead = middle.reduce((sum, r) => sum + r, 0);
  if (asRead === 0) return 1;
  let inDoubt = 0;
  for (const [cast] of castsAt(q, ground))
    for (const draw of draws(doubtOf(q.channel, WATERS))) {
      inDoubt += rateOf(q, ground, cast, draw) / WATERS;
      yield;
    }
  return Math.min(1, inDoubt / asRead);
}
