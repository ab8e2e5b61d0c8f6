import {
  ANY_MEANS,
  type CastPlan,
  footing,
  mayStand,
  openingCast,
  openingOf,
  PLAIN_OPENING,
  shortestCast,
} from '../cast';
import { choiceOfCast, coarseSwing, groundFor } from '../cover/casts';
import { coveringOf } from '../cover/covering';
import { type CoverRequest, workFor } from '../cover/stands';
import { seeded } from '../maths';
import { within } from '../maths/work';
import { shownFlies } from '../showing';
import { rowAt } from '../water';
import { BEGUN, FISH, type Hour, hourEnd, type Thrown } from './hour';
import { another, type Asked, onWater, outfitFor } from './onWater';

/** Where the fish of an hour hold: each where the holding water draws it, no two at one place. */
export function fishIn(weights: ArrayLike<number>, seed: number, count = FISH): number[] {
  const rand = seeded(seed + 11);
  const left = Array.from(weights);
  const out: number[] = [];
  for (let n = 0; n < Math.min(count, left.length); n++) {
    let at = rand() * left.reduce((a, b) => a + b, 0);
    const i = left.findIndex((w) => (at -= w) < 0);
    if (i < 0) break;
    out.push(i);
    left[i] = 0;
  }
  return out;
}

/** An hour of invented water is worth fishing: a guide finds so much of it. */
const WORTH_IT = 0.25;
const TRIES = 6;

/** An hour, the same for the same seed, grade and run; of a few invented ones the first that is worth fishing. @yields the share
 * done, 0 to 1 */
export function* hourOf(asked: Asked): Generator<number, Hour, undefined> {
  for (let i = 0; ; i++) {
    const hour = yield* within(hourFrom(another(asked, i)), i / TRIES, 1 / TRIES);
    if (asked.own || i + 1 === TRIES || hourEnd(hour, BEGUN).guide >= WORTH_IT) return hour;
  }
}

function* hourFrom(asked: Asked): Generator<number, Hour, undefined> {
  const { water, survey } = onWater(asked);
  const { run, reading, quarry, school } = water;
  const { lies, channel } = survey;
  const { tips, rigWith } = outfitFor(water);
  const rig = rigWith(tips[2]!);
  const opening = openingOf(reading, rig, school);
  const way = openingCast(lies[0], run, channel, rig, lies, opening);
  const request: CoverRequest = {
    ...{ run, channel, lies, reading, rig, means: ANY_MEANS, way, special: [] },
    options: { quarry, school, most: 8 },
  };
  // The water is as it was read: for the game that is the truth.
  const covering = yield* coveringOf(request, 1);
  const { seed } = asked;
  const begin = { seed, fish: fishIn(covering.weights, seed), first: atTheHead(request) };
  return { ...begin, water, survey, request, covering };
}

/** Where one begins who has not looked yet: by the bank at the head of the run, with as little line as the head allows. */
const atTheHead = ({ channel, lies, rig, means }: CoverRequest): CastPlan => ({
  ...{ xM: HEAD_M, yM: footing(channel, lies, HEAD_M, channel.edgeNear[rowAt(channel, HEAD_M)]! + 1, means) },
  ...{ outM: shortestCast(rig), angleDeg: PLAIN_OPENING.angleDeg, mendM: 0, rod: 'follow' },
});
const HEAD_M = 2;

/** Swings a cast of one’s own in an hour’s water. */
export function throwIn(q: CoverRequest, plan: CastPlan): Thrown {
  if (!mayStand(q.channel, q.lies, plan.xM, plan.yM, q.means)) return { not: 'stand' };
  if (plan.outM < shortestCast(q.rig)) return { not: 'line' };
  const ground = groundFor(q);
  const swing = coarseSwing(q, plan);
  const choice =
    swing &&
    choiceOfCast(
      q,
      ground,
      shownFlies(q.rig, plan, ground.willing),
      { ...workFor(q), times: 1 },
      { plan, pass: 1 },
      swing,
    );
  return choice ? { choice } : { not: 'snag' };
}
