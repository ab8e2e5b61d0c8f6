import { shared } from '../maths/work';
import type { Rig } from '../tackle';
import { classesOf, fliesFor, judgeFly, type JudgedFly } from './flies';
import { glance, promised, sounded } from './fished';
import { type Method, METHOD_NAMES } from './methods';
import { onMonoRig, outfits, refitted, type Setup, setupOf, tipsOf, underFloat } from './rigs';
import { type Bench, priorOf } from './setupWorth';
import type { Situation } from './situation';
import { plainWays } from './ways';
import { AS_GOOD } from './weights';

/** Methods that are this far behind the first are not looked at, points; nor are more than so many. */
const BEHIND = 4;
const MOST_METHODS = 3;
export const MOST_FLIES = 4;
const MOST_OUTFITS = 3;
/** Other flies are looked at on so many tips: the best by one fly may not be the best by another. */
const TIPS_FOR_FLIES = 2;
/** What has so much less going for it than the best, by method, fly and tackle, is not looked at. */
const LEAST_PRIOR = 0.35;
/** So many of what was looked at are looked at over the doubt of the readings. */
const SOUNDED = 14;

/** A set-up with what a quick look at its plain way promises. */
export interface Looked {
  readonly setup: Setup;
  readonly worth: number;
}
/** Looks are rough: of those that promise as much the one that speaks for itself more, by method, fly and tackle, comes first, so that a
 * hair more of a reading turns nothing over. */
export function ranked<T extends Looked>(b: Bench, all: readonly T[]): T[] {
  const left = [...all].sort(byWorth);
  const out: T[] = [];
  while (left.length > 0) {
    const near = left.filter((x) => x.worth >= AS_GOOD * left[0]!.worth);
    const first = near.reduce((a, x) => (priorOf(b, x.setup) > priorOf(b, a.setup) ? x : a));
    out.push(...left.splice(left.indexOf(first), 1));
  }
  return out;
}
export const byWorth = (a: { readonly worth: number }, b: { readonly worth: number }): number => b.worth - a.worth;

/** Methods worth looking at: those that the bag serves, not far behind the first. */
export function methodsToTry({ votes }: Pick<Bench, 'votes'>): Method[] {
  const able = votes.filter((v) => !v.noFly);
  const [best] = able;
  return able
    .filter((v) => v.points >= best!.points - BEHIND)
    .slice(0, MOST_METHODS)
    .map((v) => v.method);
}

/** A given rig as a set-up for each method that its fly serves. */
export function setupsOf(b: Bench, rig: Rig): Setup[] {
  const all = METHOD_NAMES.flatMap((method) => {
    const { merit } = judgeFly(b.s, method, rig.fly, b.look);
    return merit > 0 ? [setupOf(b.s, method, rig, merit)] : [];
  });
  const tried = methodsToTry({
    votes: b.votes.filter((v) => all.some((a) => a.method === v.method)).map((v) => ({ ...v, noFly: false })),
  });
  return all.filter((a) => tried.includes(a.method));
}

/** A look at a set-up. */
export function* looked(b: Bench, setup: Setup): Generator<void, Looked, undefined> {
  const [way] = plainWays(b.s, setup);
  const found = yield* glance(b, setup, way!);
  return { setup, worth: promised(b, setup, found) };
}

/** Of a rig with no tip yet: with each tip of the bag, or none. */
function* tipped(b: Bench, base: Setup): Generator<void, Looked[], undefined> {
  const found: Looked[] = [];
  for (const tip of tipsOf(b.s, base.method)) {
    const setup = refitted(b.s, base, { tip });
    if (setup) found.push(yield* looked(b, setup));
  }
  return found;
}

/** Where a method begins: its best fly on each kind of line that the bag has, no tip yet. */
function basesOf(b: Bench, method: Method): { readonly base: Setup; readonly flies: readonly JudgedFly[] }[] {
  const flies = fliesFor(b.s, method, b.look);
  return outfits(b.s, method, flies, MOST_OUTFITS).map((base) => ({
    base,
    flies: classesOf(flies, MOST_FLIES).slice(1),
  }));
}

/** All that the bag offers, by a look at each: on each line the tips with the best fly, then the other kinds of fly on the best two of
 * them. */
export function* lookThrough(b: Bench): Generator<number, Looked[], undefined> {
  const bases = methodsToTry(b).flatMap((method) => basesOf(b, method));
  const most = Math.max(0, ...bases.map(({ base }) => priorOf(b, base)));
  const worth = bases.filter(({ base }) => priorOf(b, base) >= LEAST_PRIOR * most);
  const out: Looked[] = [];
  for (const [i, { base, flies }] of worth.entries()) {
    const tips = yield* shared(tipped(b, base), i / worth.length, 0.6 / worth.length, 36);
    out.push(...tips);
    const best = [...tips].sort(byWorth).slice(0, TIPS_FOR_FLIES);
    const others = best.flatMap((x) => flies.flatMap((fly) => refitted(b.s, x.setup, { fly }) ?? []));
    const rest = [...others, ...(base.method === 'drift or float' ? driftsOf(b.s, base, others) : [])];
    for (const [n, setup] of rest.entries()) {
      const from = i + 0.6 + (0.4 * n) / rest.length;
      out.push(yield* shared(looked(b, setup), from / worth.length, 0.4 / rest.length / worth.length, 12));
    }
  }
  return out.sort(byWorth);
}

/** What a drift is fished with besides a line: under a float, or led on a mono rig with whichever fly. */
function driftsOf(s: Situation, base: Setup, others: readonly Setup[]): Setup[] {
  const led = [base, ...others].map((x) => onMonoRig(s, x));
  return [underFloat(s, base), ...led].filter((x) => x !== null);
}

/** The most promising of what was looked at, over the doubt of the readings, the best first. */
export function* soundOut(b: Bench, all: readonly Looked[]): Generator<number, Looked[], undefined> {
  const out: Looked[] = [];
  const most = Math.min(SOUNDED, all.length);
  for (const [i, { setup }] of all.slice(0, most).entries())
    out.push(yield* shared(soundedOf(b, setup), i / most, 1 / most, 15));
  return out.sort(byWorth);
}

/** A look over the doubt of the readings. */
export function* soundedOf(b: Bench, setup: Setup): Generator<void, Looked, undefined> {
  const found = yield* sounded(b, setup, plainWays(b.s, setup)[0]!);
  return { setup, worth: promised(b, setup, found) };
}

/** A first thought: the likeliest method, its best fly and line, and the tip that promises most, the way as one begins. Null where the
 * bag gives none. */
export function* firstLook(b: Bench): Generator<void, Setup | null, undefined> {
  const [method] = methodsToTry(b);
  const [first] = method ? basesOf(b, method) : [];
  return first ? ((yield* tipped(b, first.base)).sort(byWorth)[0]?.setup ?? null) : null;
}
