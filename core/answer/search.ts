import type { FishLie } from '../lies';
import { finished, shared } from '../maths/work';
import { isMonoRig, type Rig } from '../tackle';
import { bestCast, esteem, type Stand, surestCast, told } from './casts';
import { classesOf, fliesFor, judgeFly, type JudgedFly } from './flies';
import { type Method, METHOD_NAMES, METHODS } from './methods';
import { outfits, refitted, type Setup, setupOf, tipsOf, underFloat, withSecond } from './rigs';
import { GIVEN_UP_OF_TEN } from './weights';
import { type Bench, byWeight, costOf, weightOf, worthOf } from './worth';

/** A set-up with its casts for the run. */
export interface Served {
  readonly setup: Setup;
  /** The lies that it was tried at. */
  readonly of: readonly FishLie[];
  /** One cast a lie, in the order of the work. */
  readonly stands: readonly Stand[];
  /** Lies that it does not serve: too seldom right, or out of its reach. */
  readonly givesUp: readonly FishLie[];
  /** Mean chance over the lies, the better ones weighing more, 0 to 1. */
  readonly chance: number;
  /** By which set-ups are ranked (weights.ts). */
  readonly worth: number;
  /** Seconds from what is tied on. */
  readonly costS: number;
}

/** Lies that the search looks at, and those that get casts of their own in the end. */
const SCREENED = 3;
export const COMPARED = 4;
export const JUDGED = 5;
const PLANNED = 12;
/** Casts tried for a lie at each stage. */
export const TRIES = { screened: 4, compared: 8, planned: 16 } as const;
/** Methods that are this far behind the first are not simulated, points; nor are more than so many. */
const BEHIND = 4;
const MOST_METHODS = 3;
const MOST_FLIES = 3;
const MOST_OUTFITS = 3;
/** Set-ups that are compared, and those that are worked out in full. */
const COMPARE = 6;
const FULL = 3;

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

interface Ranked {
  readonly setup: Setup;
  readonly worth: number;
}
/** The best that was found so far: what could not be worth as much with every lie served is not simulated. */
interface Most {
  worth: number;
}
/** What comes to so much of the best is screened at every lie. */
const RUNNER_UP = 0.8;

const byWorth = (a: Ranked, b: Ranked): number => b.worth - a.worth;

/** Methods worth simulating: those that the bag serves, not far behind the first. */
export function methodsToTry({ votes }: Bench): Method[] {
  const able = votes.filter((v) => !v.noFly);
  const [best] = able;
  return able
    .filter((v) => v.points >= best!.points - BEHIND)
    .slice(0, MOST_METHODS)
    .map((v) => v.method);
}

/** Of a rig with no tip yet: the tips of the bag from light to heavy, a few first, then those beside the best. A heavier tip
 * never rides higher, so what lies between two that miss on the same side need not be tried. */
function* tipped(b: Bench, base: Setup, lies: readonly FishLie[], most: Most): Generator<void, Ranked[], undefined> {
  const tips = base.rig.float || isMonoRig(base.rig) ? [null] : tipsOf(b.s, base.method);
  const found = new Map<number, Ranked>();
  const at = function* (i: number): Generator<void, void, undefined> {
    if (i < 0 || i >= tips.length || found.has(i)) return;
    const setup = refitted(b.s, base, { tip: tips[i]! });
    if (!setup || worthOf(b, setup, 1) < most.worth) return;
    const worth = yield* screen(b, setup, lies, TRIES.screened, RUNNER_UP * most.worth);
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
      if (floated) out.push({ setup: floated, worth: yield* screen(b, floated, lies, TRIES.screened) });
    }
  return out;
}

/** The best of all, and the best of every method, so that the second school is looked at in full. */
function shortlisted(all: readonly Ranked[], most: number): Ranked[] {
  const sorted = [...all].sort(byWorth);
  const out = sorted.slice(0, most);
  for (const method of METHOD_NAMES) {
    const best = sorted.find((r) => r.setup.method === method);
    if (best && !out.includes(best)) out.push(best);
  }
  return out;
}

/**
 * A set-up in full over some of the lies, or the run: for each the surest cast.
 *
 * @param known what is known of it already: casts at other lies are kept
 */
export function* serve(
  b: Bench,
  setup: Setup,
  lies: readonly FishLie[],
  known: Served | null = null,
): Generator<void, Served, undefined> {
  const found: Stand[] = [...(known?.stands ?? [])];
  for (const lie of lies) {
    if (known?.of.includes(lie)) continue;
    const stand = yield* surestCast(b.s, setup, lie, TRIES.planned, b.hints);
    if (stand) found.push(stand);
  }
  return summed(b, setup, [...new Set([...(known?.of ?? []), ...lies])], found);
}

/** What a set-up comes to over lies, by its casts at them. */
export function summed(b: Bench, setup: Setup, all: readonly FishLie[], found: readonly Stand[]): Served {
  const at = (lie: FishLie) => found.find((f) => f.lie === lie) ?? null;
  const mean = (of: (stand: Stand | null) => number) =>
    all.reduce((sum, l) => sum + weightOf(l) * of(at(l)), 0) /
    Math.max(
      1e-9,
      all.reduce((sum, l) => sum + weightOf(l), 0),
    );
  return {
    setup,
    of: all,
    stands: inOrder(found, goesUp(setup.method)),
    givesUp: all.filter((l) => (at(l)?.chance ?? 0) < GIVEN_UP_OF_TEN),
    chance: mean((stand) => (stand?.chance ?? 0) / 10),
    worth: worthOf(b, setup, mean(esteem)),
    costS: costOf(b.s, setup.rig),
  };
}

/** A set-up with its chances as they are told, but for the lies where they are already: of many the best by ten drawings was lucky
 * with them, too. */
export function* asTold(
  b: Bench,
  { setup, of, stands }: Served,
  but: readonly FishLie[] = [],
): Generator<void, Served> {
  const found: Stand[] = [];
  for (const stand of stands) {
    found.push(but.includes(stand.lie) ? stand : told(b.s, stand));
    yield;
  }
  return summed(b, setup, of, found);
}

/** The best set-up of a list, the best first, that differs from another in what matters: of another method if it is near. */
export function rivalOf(best: Served, found: readonly Served[]): Served | null {
  const tied = ({ setup: { method, rig } }: Served) => [method, rig.tip?.id, rig.head.id, rig.fly.id].join();
  const others = found.filter((x) => x !== best && tied(x) !== tied(best));
  return others.find((x) => x.setup.method !== best.setup.method && x.worth >= NEAR * best.worth) ?? others[0] ?? null;
}
/** Another method is told as the second when it is worth so much of the first. */
const NEAR = 0.4;

/** The first two and the rival of the first once more, by drawings that none was chosen by: the better first, and none besides. */
export function* lastHeat(b: Bench, found: readonly Served[]): Generator<number, Served[], undefined> {
  const [first, second] = found;
  const again = [...new Set([first, second, first && rivalOf(first, found)])].filter((x) => !!x);
  const heat: Served[] = [];
  for (const [i, x] of again.entries())
    heat.push(yield* shared(asTold(b, x), i / again.length, 1 / again.length, x.stands.length));
  return heat.sort(byWorth);
}

/** The winner over the whole run. @param best it, with its chances as they are told */
export function* overTheRun(b: Bench, best: Served): Generator<number, Served, undefined> {
  const served = yield* shared(serve(b, best.setup, byWeight(b.s).slice(0, PLANNED), best), 0, FOUND, 100);
  return yield* shared(asTold(b, served, best.of), FOUND, 1 - FOUND, served.stands.length);
}
const FOUND = 0.8;

/** Whether one works up the run. */
const goesUp = (method: Method): boolean => METHODS[method].ways[0] === 'upstream strip';

/** Head down when the fly swings, tail up when casts go upstream; the near lie before the far one from about one stand. */
function inOrder(stands: readonly Stand[], upstream: boolean): Stand[] {
  const sign = upstream ? -1 : 1;
  const step = (x: Stand) => Math.round(x.plan.xM / TOGETHER_M);
  return [...stands].sort((a, c) => sign * (step(a) - step(c)) || a.lie.yM - c.lie.yM);
}
const TOGETHER_M = 3;

/** The best set-ups of a list in full, the best first. */
export function* finals(b: Bench, all: readonly Ranked[]): Generator<number, Served[], undefined> {
  const lies = byWeight(b.s);
  const shortlist = shortlisted(all, COMPARE);
  const compared: Ranked[] = [];
  for (const [i, { setup }] of shortlist.entries()) {
    const share = COMPARING / shortlist.length;
    const work = screen(b, setup, lies.slice(0, COMPARED), TRIES.compared);
    compared.push({ setup, worth: yield* shared(work, i * share, share, COMPARED * TRIES.compared) });
  }
  compared.sort(byWorth);
  const last = compared.slice(0, FULL);
  const other = compared.find((r) => r.setup.method !== last[0]?.setup.method);
  if (other && !last.includes(other)) last.push(other);
  return yield* inFull(
    b,
    last.map((r) => r.setup),
    COMPARING,
  );
}
/** Share of the finals that goes into comparing. */
const COMPARING = 0.4;

/** Set-ups in full at the best lies, the best first. */
export function* inFull(b: Bench, setups: readonly Setup[], from = 0): Generator<number, Served[], undefined> {
  const lies = byWeight(b.s).slice(0, JUDGED);
  const out: Served[] = [];
  const share = (1 - from) / Math.max(1, setups.length);
  for (const [i, setup] of setups.entries())
    out.push(yield* shared(serve(b, setup, lies), from + i * share, share, 100));
  return out.sort(byWorth);
}

/** All that the bag offers, screened at the best lies. */
export function* wholeBag(b: Bench): Generator<number, Ranked[], undefined> {
  const lies = byWeight(b.s).slice(0, SCREENED);
  const methods = methodsToTry(b);
  const out: Ranked[] = [];
  for (const [i, method] of methods.entries())
    out.push(...(yield* shared(screened(b, method, lies), i / methods.length, 1 / methods.length, 120)));
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

/** The winner with a second fly, if that is worth more. */
export function* maybePaired(b: Bench, best: Served): Generator<number, Served, undefined> {
  const flies = fliesFor(b.s, best.setup.method, b.look);
  const paired = withSecond(b.s, best.setup, flies);
  if (!paired) return best;
  const served = yield* shared(serve(b, paired, best.of), 0, 1, 100);
  return served.worth > best.worth ? served : best;
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
  const lies = byWeight(b.s).slice(0, COMPARED);
  if (!method || lies.length === 0) return null;
  const flies = fliesFor(b.s, method, b.look);
  const [outfit] = outfits(b.s, method, flies, 1);
  const base = outfit && refitted(b.s, outfit, { fly: flies[0]! });
  if (!base) return null;
  const [best] = finished(tipped(b, base, lies.slice(0, 1), { worth: 0 })).sort(byWorth);
  if (!best) return null;
  const stands = lies.flatMap((lie) => finished(bestCast(b.s, best.setup, lie, TRIES.screened, b.hints)) ?? []);
  return { setup: best.setup, stands: inOrder(stands, goesUp(method)) };
}
