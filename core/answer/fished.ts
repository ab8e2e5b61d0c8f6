import type { CastPlan } from '../cast';
import { beatFor } from '../cover/beat';
import { groundFor } from '../cover/casts';
import { type Covering, coveringOf, sketchOf } from '../cover/covering';
import { type Patience, USUAL_TIME, usualTime } from '../cover/patience';
import { keptOver, ratesAt } from '../cover/rates';
import { shownAt } from '../cover/shownAt';
import type { FishLie } from '../lies';
import { untold } from '../maths/work';
import { rigKey, type Setup } from './rigs';
import { type Bench, byWeight, costOf, coverRequest, weightOf, worthOf } from './setupWorth';
import { alterations, asRuled, plainWays } from './ways';

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
export const outcomeOf = ({ setup, way, found, worth, costS, chance }: Fished): Outcome => ({
  ...{ setup, way, found, worth, costS, chance },
});

/** A way that promises less than this of the best at a glance is not sketched. */
const HOPES = 0.85;
/** Gains less than this are chance. */
const GAINS = 1.04;

/** How often the water is shown the fly, by the school in use. */
export const patienceOf = ({ s }: Bench): Patience => usualTime(s.school.search === 'stay and vary').patience;
const HOUR_S = 60 * USUAL_TIME.minutes;
/** What is left of the hour once it is changed to. */
export const leftOfHour = (costS: number): number => Math.max(0.1, 1 - costS / HOUR_S);

/** What a way brings in the hour at what rates of its casts, 0 to 1: as much all over the run as in the mean of the places that were
 * looked at. */
function inAnHour({ s }: Bench, rates: readonly number[]): number {
  const whole = groundFor(s).places.reduce((sum, c) => sum + c.weight, 0);
  const rate = rates.reduce((sum, r) => sum + r, 0) / rates.length;
  return whole > 0 ? 1 - Math.exp((-rate * HOUR_S) / whole) : 0;
}

/** What was worked out of a set-up that is fished in a way: at each place, what a cast of middle length and the longest bring a second;
 * what is kept of it over the doubt; what a sketch of the run finds. */
interface Worked {
  middle?: readonly number[];
  longest?: readonly number[];
  kept?: number;
  sketched?: number;
}
const known = new WeakMap<Bench, Map<string, Worked>>();
function workedOf(b: Bench, { rig }: Setup, way: CastPlan): Worked {
  const all = known.get(b) ?? new Map<string, Worked>();
  known.set(b, all);
  const key = JSON.stringify([rigKey(rig), way]);
  const of = all.get(key) ?? {};
  all.set(key, of);
  return of;
}

/**
 * How much a set-up would find in an hour if all casts of a way brought as much as a few of them do: a quick look, by the coarse
 * chain.
 */
export function* glance(b: Bench, setup: Setup, way: CastPlan): Generator<void, number, undefined> {
  const of = workedOf(b, setup, way);
  of.middle ??= yield* ratesAt(coverRequest(b, setup.rig, way), 'middle');
  return inAnHour(b, of.middle);
}

/** What it promises with a share of the willing fish found, the time that changing to it takes taken off. */
export const promised = (b: Bench, setup: Setup, found: number): number =>
  worthOf(b, setup, leftOfHour(costOf(b.s, setup.rig)) * found);

/** What of the showings as read is left over the doubt of the readings; worked out once. */
function* kept(b: Bench, setup: Setup, way: CastPlan): Generator<void, number, undefined> {
  yield* glance(b, setup, way);
  const of = workedOf(b, setup, way);
  return (of.kept ??= yield* keptOver(coverRequest(b, setup.rig, way), of.middle!));
}

/** A second glance, at the longest casts, too. */
function* seen(b: Bench, setup: Setup, way: CastPlan): Generator<void, number, undefined> {
  yield* glance(b, setup, way);
  const of = workedOf(b, setup, way);
  of.longest ??= yield* ratesAt(coverRequest(b, setup.rig, way), 'longest');
  const best = of.middle!.map((r, i) => Math.max(r, of.longest![i]!));
  return inAnHour(b, best);
}

/** A longer look, over the doubt of the readings: it tells which set-up finds most over the whole run about as well as fishing it
 * does. */
export function* sounded(b: Bench, setup: Setup, way: CastPlan): Generator<void, number, undefined> {
  const found = yield* seen(b, setup, way);
  return found > 0 ? found * (yield* kept(b, setup, way)) : 0;
}

/** What a way finds over the whole run in the water as it was read, by a few swings that stand for all: sooner than fishing it, and
 * surer than a glance. */
function* sketched(b: Bench, setup: Setup, way: CastPlan): Generator<void, number, undefined> {
  const of = workedOf(b, setup, way);
  if (of.sketched !== undefined) return of.sketched;
  const covering = yield* untold(sketchOf(coverRequest(b, setup.rig, way)));
  return (of.sketched = beatFor(covering, USUAL_TIME.minutes, patienceOf(b)).found);
}

/** The way that suits a set-up: of its plain ones the most promising, altered one thing at a time and on in the same direction as long
 * as that pays, also over the doubt. */
export function* suitedWay(b: Bench, setup: Setup): Generator<void, { way: CastPlan; found: number }, undefined> {
  let plain = plainWays(b.s, setup)[0]!;
  let most = -1;
  for (const way of plainWays(b.s, setup)) {
    const found = yield* glance(b, setup, way);
    if (found > most) [plain, most] = [way, found];
  }
  const ruled = function* (look: typeof glance, way: CastPlan): Generator<void, number, undefined> {
    return asRuled(b.s, setup, way) * (yield* look(b, setup, way));
  };
  const at = function* (way: CastPlan): Generator<void, { way: CastPlan; found: number }, undefined> {
    return { way, found: yield* ruled(sketched, way) };
  };
  const from = yield* at(plain);
  let best = from;
  for (const directions of alterations(b.s, setup))
    for (const further of directions) {
      const before = best;
      for (let next = further(best.way); next; next = further(best.way)) {
        if ((yield* ruled(glance, next)) < HOPES * (yield* ruled(glance, best.way))) break;
        const tried = yield* at(next);
        if (tried.found <= GAINS * best.found) break;
        best = tried;
      }
      if (best !== before) break; // not back again
    }
  const [a, c] = [from.found * (yield* kept(b, setup, plain)), best.found * (yield* kept(b, setup, best.way))];
  return GAINS * a >= c ? { way: plain, found: a } : { way: best.way, found: c };
}

/** Lies that are looked at one by one. */
export const MOST_LIES = 12;
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
  const left = yield* kept(b, setup, way);
  const covering = yield* untold(coveringOf(coverRequest(b, setup.rig, way, special), left));
  const costS = costOf(b.s, setup.rig);
  yield;
  const { found } = beatFor(covering, leftOfHour(costS) * USUAL_TIME.minutes, patienceOf(b));
  yield;
  const chance = shownOver(b, covering);
  return { setup, way, covering, costS, found, chance, worth: asRuled(b.s, setup, way) * worthOf(b, setup, found) };
}

/** The same set-up as one begins to fish with it: itself, where that is its way already. */
export function* plainlyFished(b: Bench, f: Fished): Generator<void, Fished, undefined> {
  const way = plainWays(b.s, f.setup)[0]!;
  return JSON.stringify(way) === JSON.stringify(f.way) ? f : yield* fish(b, f.setup, way);
}
