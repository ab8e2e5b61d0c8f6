import type { FishLie } from '../lies';
import { finished, shared } from '../maths/work';
import { isMonoRig, type Rig } from '../tackle';
import { bestCast, esteem, type Stand } from './casts';
import { classesOf, fliesFor, judgeFly, type JudgedFly } from './flies';
import { type Method, METHOD_NAMES } from './methods';
import { outfits, refitted, type Setup, setupOf, tipsOf, underFloat } from './rigs';
import { inOrder } from './servedLies';
import { type Bench, byWeight, weightOf, worthOf } from './setupWorth';

/** Lies that set-ups are screened at, and those of a first thought. */
const SCREENED = 3;
const THOUGHT_OF = 4;
/** Casts tried for a lie. */
const TRIES = 4;
/** Methods that are this far behind the first are not simulated, points; nor are more than so many. */
const BEHIND = 4;
const MOST_METHODS = 3;
const MOST_FLIES = 3;
const MOST_OUTFITS = 3;

/**
 * How promising a set-up looks over some of the lies, by the coarse chain: its worth.
 *
 * @param least once it cannot be worth so much however the other lies are served, they are left out
 */
export function* screen(
  b: Bench,
  setup: Setup,
  lies: readonly FishLie[],
  tries: number,
  least = 0,
): Generator<void, number, undefined> {
  const whole = lies.reduce((sum, l) => sum + weightOf(l), 0);
  let served = 0;
  let left = whole;
  for (const lie of lies) {
    const stand = yield* bestCast(b.s, setup, lie, tries, b.hints);
    served += weightOf(lie) * esteem(stand);
    left -= weightOf(lie);
    if (worthOf(b, setup, (served + left) / whole) < least) break;
  }
  return worthOf(b, setup, whole > 0 ? served / whole : 0);
}

/** A look at a set-up is taken over so many of the best lies, with so many casts a lie. */
const GLANCED_AT = 2;
const GLANCES = 3;

/** How promising a set-up looks by a few casts at the best lies, as the `i`-th of `n` that are looked at: its worth. */
export const glance = (b: Bench, setup: Setup, i: number, n: number): Generator<number, number, undefined> =>
  shared(screen(b, setup, byWeight(b.s).slice(0, GLANCED_AT), GLANCES), i / n, 1 / n, GLANCED_AT * GLANCES);

export interface Ranked {
  readonly setup: Setup;
  readonly worth: number;
}
/** The best that was found so far: what could not be worth as much with every lie served is not simulated. */
interface Most {
  worth: number;
}
/** What comes to so much of the best is screened at every lie. */
const RUNNER_UP = 0.8;

export const byWorth = (a: Ranked, b: Ranked): number => b.worth - a.worth;

/** Methods worth simulating: those that the bag serves, not far behind the first. */
export function methodsToTry({ votes }: Bench): Method[] {
  const able = votes.filter((v) => !v.noFly);
  const [best] = able;
  return able
    .filter((v) => v.points >= best!.points - BEHIND)
    .slice(0, MOST_METHODS)
    .map((v) => v.method);
}

/** The others that the bag serves: tried where those come to nothing. */
const lastResorts = (b: Bench): Method[] => {
  const tried = methodsToTry(b);
  return b.votes.filter((v) => !v.noFly && !tried.includes(v.method)).map((v) => v.method);
};
/** Worth less than this, every lie that was looked at is missed by far. */
const NOTHING = 0.1;

/** Of a rig with no tip yet: the tips of the bag from light to heavy, a few first, then those beside the best. A heavier tip
 * never rides higher, so what lies between two that miss on the same side need not be tried. */
function* tipped(b: Bench, base: Setup, lies: readonly FishLie[], most: Most): Generator<void, Ranked[], undefined> {
  const tips = base.rig.float || isMonoRig(base.rig) ? [null] : tipsOf(b.s, base.method);
  const found = new Map<number, Ranked>();
  const at = function* (i: number): Generator<void, void, undefined> {
    if (i < 0 || i >= tips.length || found.has(i)) return;
    const setup = refitted(b.s, base, { tip: tips[i]! });
    if (!setup || worthOf(b, setup, 1) < most.worth) return;
    const worth = yield* screen(b, setup, lies, TRIES, RUNNER_UP * most.worth);
    most.worth = Math.max(most.worth, worth);
    found.set(i, { setup, worth });
  };
  const last = tips.length - 1;
  for (const i of [...new Set([0, Math.round(last / 3), Math.round((2 * last) / 3), last])]) yield* at(i);
  const best = [...found].sort(([, a], [, c]) => byWorth(a, c))[0]?.[0];
  if (best !== undefined) for (const i of [best - 1, best + 1]) yield* at(i);
  return [...found.values()];
}

/** Set-ups of one method, screened at the best lies. */
function* screened(b: Bench, method: Method, lies: readonly FishLie[]): Generator<void, Ranked[], undefined> {
  const most: Most = { worth: 0 }; // of this method: the best of each goes on
  const flies = fliesFor(b.s, method, b.look);
  const out: Ranked[] = [];
  for (const outfit of outfits(b.s, method, flies, MOST_OUTFITS))
    for (const fly of classesOf(flies, MOST_FLIES)) {
      const base = refitted(b.s, outfit, { fly });
      if (!base) continue;
      out.push(...(yield* tipped(b, base, lies, most)));
      const floated = method === 'drift or float' ? underFloat(b.s, base) : null;
      if (floated) out.push({ setup: floated, worth: yield* screen(b, floated, lies, TRIES) });
    }
  return out;
}

/** All that the bag offers, screened at the best lies. */
export function* wholeBag(b: Bench): Generator<number, Ranked[], undefined> {
  const lies = byWeight(b.s).slice(0, SCREENED);
  const methods = methodsToTry(b);
  const out: Ranked[] = [];
  for (const [i, method] of methods.entries())
    out.push(...(yield* shared(screened(b, method, lies), i / methods.length, 1 / methods.length, 120)));
  if (out.every((r) => r.worth < NOTHING))
    for (const method of lastResorts(b)) out.push(...(yield* shared(screened(b, method, lies), 1, 0, 1)));
  return out;
}

/** A given rig as a set-up for each method that its fly serves. */
export function setupsOf(b: Bench, rig: Rig): Setup[] {
  const of = (method: Method): { setup: Setup; j: JudgedFly } => {
    const j = judgeFly(b.s, method, rig.fly, b.look);
    return { setup: setupOf(b.s, method, rig, j.merit), j };
  };
  const all = METHOD_NAMES.map(of).filter(({ j }) => j.merit > 0);
  const tried = methodsToTry({
    ...b,
    votes: b.votes.filter((v) => all.some((a) => a.setup.method === v.method)).map((v) => ({ ...v, noFly: false })),
  });
  return all.map((a) => a.setup).filter((a) => tried.includes(a.method));
}

/** A first thought, while the answer is worked out: plain casts at the best lies, their chances not known. */
export interface FirstThought {
  readonly setup: Setup;
  readonly stands: readonly Stand[];
}

/** The likeliest method, its best fly and outfit, and the tip that does best at the best lie: some thirty swings. Null where
 * the bag gives none. */
export function firstThought(b: Bench): FirstThought | null {
  const [method] = methodsToTry(b);
  const lies = byWeight(b.s).slice(0, THOUGHT_OF);
  if (!method || lies.length === 0) return null;
  const flies = fliesFor(b.s, method, b.look);
  const [outfit] = outfits(b.s, method, flies, 1);
  const base = outfit && refitted(b.s, outfit, { fly: flies[0]! });
  if (!base) return null;
  const [best] = finished(tipped(b, base, lies.slice(0, 1), { worth: 0 })).sort(byWorth);
  if (!best) return null;
  const stands = lies.flatMap((lie) => finished(bestCast(b.s, best.setup, lie, TRIES, b.hints)) ?? []);
  return { setup: best.setup, stands: inOrder(stands, method) };
}
