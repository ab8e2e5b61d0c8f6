import { type CastPlan, doubtOf } from '../cast';
import { beatFor } from '../cover/beat';
import { type CastChoice, type Covering, choiceOfCast, coarseSwing, coveringOf, groundFor } from '../cover/covering';
import { showing } from '../cover/gain';
import { USUAL_TIME } from '../cover/patience';
import { castsFrom, type CoverRequest, type Passed, workFor } from '../cover/stands';
import type { FishLie, HoldingCell } from '../lies';
import { clamp } from '../maths';
import { type Ground, shownFlies } from '../showing';
import { type Draw, draws } from '../swing';
import type { Setup } from './rigs';
import { type Bench, byWeight, costOf, coverRequest, weightOf, worthOf } from './setupWorth';
import { altered, plainWays } from './ways';

/** A set-up fished in one way over the run, and what that comes to in the time one has. */
export interface Fished {
  readonly setup: Setup;
  readonly way: CastPlan;
  /** The share of the run's willing fish that it finds over the doubt of the readings, less the time that changing to it takes, 0 to 1. */
  readonly found: number;
  /** By which set-ups are ranked (weights.ts). */
  readonly worth: number;
  /** Seconds from what is tied on. */
  readonly costS: number;
  /** How well the lies are shown the fly by the casts of it, the better ones weighing more, 0 to 1. */
  readonly chance: number;
  readonly covering: Covering;
}

/** What is told of it: not every cast that it offers. */
export type Outcome = Omit<Fished, 'covering'>;
export const outcomeOf = ({ covering: _, ...outcome }: Fished): Outcome => outcome;

/** A look at a way is taken from so many stands, above so much of the holding water. */
const GLANCED_AT = [0.2, 0.5, 0.8] as const;
/** A swing covers water so far down from where one stands, m. */
const BELOW_M = 11;
/** So many times a way is altered for the better. */
const MOST_ALTERED = 2;
/** Gains less than this are chance. */
const GAINS = 1.08;

/** Places along the run, by how much of its holding water lies above them, m. */
function placesAlong(cells: readonly { readonly xM: number; readonly weight: number }[]): number[] {
  const sorted = [...cells].sort((a, b) => a.xM - b.xM);
  const whole = sorted.reduce((sum, c) => sum + c.weight, 0);
  const at = GLANCED_AT.map((share) => {
    let sum = 0;
    return sorted.find((c) => (sum += c.weight) >= share * whole)?.xM ?? 0;
  });
  return [...new Set(at)];
}

const HOUR_S = 60 * USUAL_TIME.minutes;
/** What is left of the hour once it is changed to. */
export const leftOfHour = (costS: number): number => Math.max(0.1, 1 - costS / HOUR_S);

/** Casts of a way that a look is taken at: of each place one of middle length and the longest. */
function castsAt(q: CoverRequest, ground: Ground<HoldingCell>): Passed[][] {
  const below = workFor(q).direction === 'up' ? -BELOW_M : BELOW_M;
  return placesAlong(ground.places).map((placeM) => {
    const all = castsFrom(q, clamp(placeM - below, 0, q.run.lengthM));
    const pass = Math.max(...all.map((c) => c.pass));
    const lengths = all.filter((c) => c.pass === pass && c.turnDeg === 0);
    return [...new Set([lengths[lengths.length >> 1]!, lengths.at(-1)!])];
  });
}

/** What a cast brings a second, as a share of all that there is; 0 where it cannot be made. */
function rateOf(q: CoverRequest, ground: Ground<HoldingCell>, cast: Passed, draw?: Draw): number {
  const swing = coarseSwing(q, cast.plan, draw);
  const flies = shownFlies(q.rig, cast.plan, ground.willing);
  const choice = swing && choiceOfCast(q, ground, flies, workFor(q), cast, swing, draw?.depth);
  if (!choice) return 0;
  const p = showing(USUAL_TIME.patience);
  let gain = 0;
  choice.cells.forEach((cell, n) => {
    gain += ground.places[cell]!.weight * (1 - (1 - p) ** (choice.by[n]! * (choice.times ?? 1)));
  });
  return gain / choice.seconds;
}

/**
 * How much a set-up would find in an hour if all casts of a way brought as much as a few of them do: a quick look, by the coarse
 * chain.
 */
export function* glance(b: Bench, setup: Setup, way: CastPlan): Generator<void, number, undefined> {
  const q = coverRequest(b, setup.rig, way);
  const ground = groundFor(q);
  const whole = ground.places.reduce((sum, c) => sum + c.weight, 0);
  const at = castsAt(q, ground);
  let rate = 0;
  for (const casts of at) {
    let best = 0;
    for (const cast of casts) {
      best = Math.max(best, rateOf(q, ground, cast));
      yield;
    }
    rate += best / at.length;
  }
  return whole > 0 ? 1 - Math.exp((-rate * HOUR_S) / whole) : 0;
}

/** So many waters that the readings leave open tell what is left. */
const WATERS = 4;

/** What of the showings in the water as it was read is left, in the mean, over the doubt of the readings: a rig that just clears the
 * bed keeps less than one that rides a hand above it. */
function* kept(b: Bench, setup: Setup, way: CastPlan): Generator<void, number, undefined> {
  const q = coverRequest(b, setup.rig, way);
  const ground = groundFor(q);
  let [asRead, inDoubt] = [0, 0];
  const waters = draws(doubtOf(b.s.channel, WATERS));
  for (const [cast] of castsAt(q, ground)) {
    asRead += rateOf(q, ground, cast!);
    yield;
    for (const draw of waters) {
      inDoubt += rateOf(q, ground, cast!, draw) / waters.length;
      yield;
    }
  }
  return asRead > 0 ? Math.min(1, inDoubt / asRead) : 1;
}

/** The way that suits a set-up: of its plain ones the most promising, altered as long as that pays. */
export function* suitedWay(b: Bench, setup: Setup): Generator<void, { way: CastPlan; found: number }, undefined> {
  let best = { way: plainWays(b.s, setup)[0]!, found: -1 };
  const tried = new Set<string>();
  const look = function* (way: CastPlan, least: number): Generator<void, void, undefined> {
    const key = JSON.stringify(way);
    if (tried.has(key)) return;
    tried.add(key);
    const found = yield* glance(b, setup, way);
    if (found > least) best = { way, found };
  };
  for (const way of plainWays(b.s, setup)) yield* look(way, best.found);
  for (let n = 0; n < MOST_ALTERED; n++) {
    const from = best;
    for (const way of altered(b.s, setup, from.way)) yield* look(way, Math.max(best.found, GAINS * from.found));
    if (best === from) break;
  }
  return best;
}

/** Lies that are looked at one by one. */
export const MOST_LIES = 12;
/** So far beside a lie its water still belongs to it, m. */
const BESIDE_M = 0.4;

/** How well a cast shows the fly somewhere in a lie, 0 to 1. */
export function shownAt({ ground }: Covering, { cells, by }: CastChoice, lie: FishLie): number {
  let most = 0;
  for (let n = 0; n < cells.length; n++) {
    if (by[n]! <= most) continue;
    const { xM, yM } = ground.places[cells[n]!]!;
    if (Math.abs(xM - lie.xM) > lie.lengthM / 2 + BESIDE_M || Math.abs(yM - lie.yM) > lie.widthM / 2 + BESIDE_M)
      continue;
    most = by[n]!;
  }
  return most;
}

/** How well the lies are shown the fly, each by the best of the casts, the better lies weighing more, 0 to 1. */
export function shownOver(b: Bench, covering: Covering): number {
  const lies = byWeight(b.s).slice(0, MOST_LIES);
  const whole = lies.reduce((sum, l) => sum + weightOf(l), 0);
  const best = (lie: FishLie) => covering.casts.reduce((most, c) => Math.max(most, shownAt(covering, c, lie)), 0);
  return whole > 0 ? lies.reduce((sum, l) => sum + weightOf(l) * best(l), 0) / whole : 0;
}

/** A set-up fished over the whole run in a way: every cast that it offers, the best of them in the time there is. */
export function* fish(
  b: Bench,
  setup: Setup,
  way: CastPlan,
  special: readonly CastPlan[] = [],
): Generator<void, Fished, undefined> {
  const work = coveringOf(coverRequest(b, setup.rig, way, special));
  for (let step = work.next(); ; step = work.next()) {
    if (!step.done) {
      yield;
      continue;
    }
    const covering = step.value;
    const costS = costOf(b.s, setup.rig);
    const asRead = beatFor(covering, leftOfHour(costS) * USUAL_TIME.minutes, USUAL_TIME.patience).found;
    const found = asRead * (yield* kept(b, setup, way));
    const chance = shownOver(b, covering);
    return { setup, way, covering, costS, found, chance, worth: worthOf(b, setup, found) };
  }
}
