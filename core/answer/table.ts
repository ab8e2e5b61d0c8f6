import {
  type ChangesRequest,
  costBetween,
  type Lever,
  LEVERS,
  leversBetween,
  possibleSettings,
  type Trial,
} from '../advice';
import type { CastPlan } from '../cast';
import { shared, within } from '../maths/work';
import { checkRig } from '../rules';
import { describeRig, isMonoRig, type Rig } from '../tackle';
import { capital } from '../units';
import { classesOf, fliesFor, judgeFly, type JudgedFly } from './flies';
import { fish, type Fished, glance, leftOfHour, type Outcome, outcomeOf, sounded, suitedWay } from './fished';
import { type Method, METHOD_NAMES } from './methods';
import {
  onMonoRig,
  outfits,
  refitted,
  rigKey,
  type Setup,
  setupOf,
  soundAfter,
  suitsFish,
  takesDown,
  tipsOf,
  underFloat,
  withSecond,
} from './rigs';
import type { Situation } from './situation';
import { ANY_PLAN, type Bench, costOf, priorOf, worthOf } from './setupWorth';
import { plainWays } from './ways';
import { AS_GOOD } from './weights';

/** Methods that are this far behind the first are not looked at, points; nor are more than so many. */
const BEHIND = 4;
const MOST_METHODS = 3;
const MOST_FLIES = 4;
const MOST_OUTFITS = 3;
/** Other flies are looked at on so many tips: the best by one fly may not be the best by another. */
const TIPS_FOR_FLIES = 2;
/** What has so much less going for it than the best, by method, fly and tackle, is not looked at. */
const LEAST_PRIOR = 0.35;
/** So many of what was looked at are looked at over the doubt of the readings. */
const SOUNDED = 14;
/** Set-ups that a way is looked for, of which so many are fished over the whole run; and of those that are one thing away from what is on. */
const FINALISTS = 3;
const FISHED = 2;
const NEAR_FINALISTS = 2;
/** What is on stays where it is worth so much of the best; a change that keeps so much of the best does it. */
export const STAYS = 0.9;
const ENOUGH = 0.75;

/** A set-up with what a quick look at its plain way promises. */
interface Looked {
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
const byWorth = (a: { readonly worth: number }, b: { readonly worth: number }): number => b.worth - a.worth;

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
  return { setup, worth: worthOf(b, setup, leftOfHour(costOf(b.s, setup.rig)) * found) };
}

/** Of a rig with no tip yet: with each tip of the bag, or none. */
function* tipped(b: Bench, base: Setup): Generator<void, Looked[], undefined> {
  const tips = base.rig.float || isMonoRig(base.rig) ? [null] : tipsOf(b.s, base.method);
  const found: Looked[] = [];
  for (const tip of tips) {
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
function* soundOut(b: Bench, all: readonly Looked[]): Generator<number, Looked[], undefined> {
  const out: Looked[] = [];
  const most = Math.min(SOUNDED, all.length);
  for (const [i, { setup }] of all.slice(0, most).entries())
    out.push(yield* shared(soundedOf(b, setup), i / most, 1 / most, 15));
  return out.sort(byWorth);
}

/** A look over the doubt of the readings. */
export function* soundedOf(b: Bench, setup: Setup): Generator<void, Looked, undefined> {
  const found = yield* sounded(b, setup, plainWays(b.s, setup)[0]!);
  return { setup, worth: worthOf(b, setup, leftOfHour(costOf(b.s, setup.rig)) * found) };
}

/** A first thought: the likeliest method, its best fly and line, and the tip that promises most, the way as one begins. Null where the
 * bag gives none. */
export function* firstLook(b: Bench): Generator<void, Setup | null, undefined> {
  const [method] = methodsToTry(b);
  const [first] = method ? basesOf(b, method) : [];
  return first ? ((yield* tipped(b, first.base)).sort(byWorth)[0]?.setup ?? null) : null;
}

/** What is on a rod and can be changed. */
const RIG_LEVERS: readonly Lever[] = ['other rod', 'shot', 'dropper', 'tip', 'fly', 'leader', 'head'];

/** What tells set-ups apart: how they are fished, and what is tied on. */
const keyOf = ({ method, rig }: Setup): string => `${method} ${rigKey(rig)}`;
/** Tips and flies of one weight and kind are one choice. */
const alike = (a: Setup, c: Setup): boolean =>
  a.method === c.method &&
  a.rig.rod.id === c.rig.rod.id &&
  a.rig.tip?.id === c.rig.tip?.id &&
  a.rig.head.id === c.rig.head.id;

const trialOf = ({ s }: Bench, rig: Rig): Trial => ({ rig, plan: ANY_PLAN, rigged: s.rigged, means: s.means });

/** A change of what is tied on, over the run. */
export interface RunChange {
  readonly levers: readonly Lever[];
  readonly costS: number;
  readonly to: Outcome;
  /** As good as the best of the bag, or nearly. */
  readonly does: boolean;
  readonly words: string;
}

/** What to do, in the order of its cost. */
export function stepsTo(b: Bench, from: Rig, to: Rig): Pick<RunChange, 'levers' | 'costS' | 'words'> {
  const [a, z] = [trialOf(b, from), trialOf(b, to)];
  const levers = leversBetween(a, z);
  const stands = b.s.rigged.some((r) => r.rod.id === to.rod.id);
  const words =
    levers.includes('other rod') && !stands
      ? `set up ${to.rod.name} with ${to.head.name}: ${describeRig(to)}`
      : levers.map((l) => LEVERS[l].words(z, a, b.s.units)).join(', ');
  return { levers, costS: costBetween(a, z), words: capital(words) };
}

/** Every rig that is one thing away from what is on; only what is allowed, and makes nothing wrong. */
export function neighbours(b: Bench, from: Rig): Rig[] {
  const { s } = b;
  const q: ChangesRequest = {
    ...trialOf(b, from),
    ...{ lie: s.lies[0]!, channel: s.channel, lengthM: s.run.lengthM, lies: s.lies, kit: s.kit, rules: s.rules },
  };
  const flies = new Set(
    setupsOf(b, from).flatMap(({ method }) => classesOf(fliesFor(s, method, b.look), MOST_FLIES).map((j) => j.fly.id)),
  );
  const isSound = soundAfter(s, from);
  return RIG_LEVERS.flatMap((lever) => possibleSettings(lever, q).map((p) => ({ ...from, ...p.rig })))
    .filter((rig) => rig.fly.id === from.fly.id || flies.has(rig.fly.id))
    .filter((rig) => rig.rod.id === from.rod.id || suitsFish(s, rig.rod))
    .filter((rig) => checkRig(s.rules, rig).length === 0 && isSound(rig));
}

/** What is on, for another way to fish that the water asks for: its rod and line with a fly for that, the leader that goes with it, and
 * with the tip or without. */
function forAnotherWay(b: Bench, from: Rig): Rig[] {
  const own = setupsOf(b, from).map((x) => x.method);
  return methodsToTry(b)
    .filter((method) => !own.includes(method))
    .flatMap((method) => {
      const held = setupOf(b.s, method, from, 1);
      const [fly] = fliesFor(b.s, method, b.look);
      const tips = from.tip ? [from.tip, null] : [null];
      return fly ? tips.flatMap((tip) => refitted(b.s, held, { fly, tip })?.rig ?? []) : [];
    });
}

/** All that was worked out for a run: set-ups fished over the whole of it, the best first; whatever is asked is read off it. */
export interface Table {
  readonly rows: readonly Fished[];
  /** What is on, as far as it is allowed. */
  readonly on: Fished | null;
}

/** A set-up with the way that suits it, and what a sketch promises. */
interface Suited extends Looked {
  readonly way: CastPlan;
}
function* suited(b: Bench, setup: Setup): Generator<void, Suited, undefined> {
  const { way, found } = yield* suitedWay(b, setup);
  return { setup, way, worth: worthOf(b, setup, leftOfHour(costOf(b.s, setup.rig)) * found) };
}

/** The better of the way that it is fished in and its plain one. */
function* orPlainly(b: Bench, best: Fished): Generator<void, Fished, undefined> {
  const [way] = plainWays(b.s, best.setup);
  if (JSON.stringify(way) === JSON.stringify(best.way)) return best;
  const plainly = yield* fish(b, best.setup, way!);
  return plainly.worth >= best.worth ? plainly : best;
}

/** With a second fly, where it is fished so and is worth more. */
function* maybePaired(b: Bench, best: Fished): Generator<void, Fished, undefined> {
  const paired = withSecond(b.s, best.setup, fliesFor(b.s, best.setup.method, b.look));
  if (!paired) return best;
  const two = yield* fish(b, paired, best.way);
  return two.worth > best.worth ? two : best;
}

/**
 * The table for a run: what the bag offers, what is on, and the best of what is one thing away from it.
 *
 * @param on what is tied on, as far as it is allowed; null: nothing is
 * @param only nothing else is asked for
 */
export function* tableOf(b: Bench, on: Rig | null, only: boolean): Generator<number, Table, undefined> {
  const held = on ? setupsOf(b, on) : [];
  const shortlist: Setup[] = [...held];
  if (!only) {
    const seen = yield* within(lookThrough(b), 0, LOOKED);
    const all = ranked(b, yield* within(soundOut(b, seen), LOOKED, SOUND));
    for (const x of all)
      if (shortlist.length < held.length + FINALISTS && !shortlist.some((y) => alike(x.setup, y)))
        shortlist.push(x.setup);
    // The second school is looked at in full.
    const other = all.find((x) => x.setup.method !== all[0]!.setup.method);
    if (other && !shortlist.some((y) => y.method === other.setup.method)) shortlist.push(other.setup);
    if (on) {
      const near: Looked[] = [];
      const rigs = [...neighbours(b, on), ...forAnotherWay(b, on)];
      for (const [i, rig] of rigs.entries()) {
        const [setup] = setupsOf(b, rig);
        if (!setup) continue;
        near.push(yield* shared(looked(b, setup), LOOKED + SOUND + (NEAR * i) / rigs.length, NEAR / rigs.length, 8));
      }
      const most = Math.max(0, ...near.map((x) => x.worth));
      const costS = (x: Looked) => costBetween(trialOf(b, on), trialOf(b, x.setup.rig));
      near.sort(byWorth);
      const cheap = near.filter((x) => x.worth >= ENOUGH * most).sort((a, c) => costS(a) - costS(c));
      for (const x of [...near.slice(0, 1), ...cheap.slice(0, NEAR_FINALISTS - 1)]) shortlist.push(x.setup);
    }
  }
  const unlike = [...new Map(shortlist.map((x) => [keyOf(x), x])).values()];
  const ways: Suited[] = [];
  const from = only ? 0 : LOOKED + SOUND + NEAR;
  for (const [i, setup] of unlike.entries())
    ways.push(yield* shared(suited(b, setup), from + (SUITED * i) / unlike.length, SUITED / unlike.length, 120));
  const best = ranked(b, ways).slice(0, FISHED);
  const second = ways.find((x) => x.setup.method !== best[0]?.setup.method);
  const enough = (x: Suited) => x.worth >= ENOUGH * best[0]!.worth;
  const [cheapest] = on ? ways.filter(enough).sort((a, c) => costOf(b.s, a.setup.rig) - costOf(b.s, c.setup.rig)) : [];
  const told = ways.filter((x) => best.includes(x) || x === second || x === cheapest || held.includes(x.setup));
  const rows: Fished[] = [];
  const whole = PAIRED - from - SUITED;
  for (const [i, { setup, way }] of told.entries())
    rows.push(yield* shared(fish(b, setup, way), from + SUITED + (whole * i) / told.length, whole / told.length, 90));
  rows.sort(byWorth);
  if (!only && rows[0]) {
    rows[0] = yield* shared(orPlainly(b, rows[0]), PAIRED, (1 - PAIRED) / 2, 90);
    rows[0] = yield* shared(maybePaired(b, rows[0]), (1 + PAIRED) / 2, (1 - PAIRED) / 2, 100);
  }
  rows.sort(byWorth);
  return { rows, on: rows.find((r) => held.includes(r.setup)) ?? null };
}
/** Shares of the work: looking through the bag, over the doubt at what is best of it, at what is near to what is on, and for the way that
 * suits each; the share after which the best is tried the plain way, and with a second fly. */
const LOOKED = 0.15;
const SOUND = 0.2;
const NEAR = 0.05;
const SUITED = 0.3;
const PAIRED = 0.9;

/** What is picked off a table by what is asked: the best, what is on staying within a tenth; the cheapest change that does nearly as
 * well. */
export function picked({ rows, on }: Table, ask: 'best' | 'change' | 'only this'): Fished | null {
  const best = rows[0] ?? null;
  if (ask === 'only this' || !best) return on ?? best;
  if (on && on.worth >= (ask === 'best' ? STAYS : ENOUGH) * best.worth) return on;
  if (ask === 'best') return best;
  return [...rows].filter((r) => r.worth >= ENOUGH * best.worth).sort((a, b) => a.costS - b.costS || byWorth(a, b))[0]!;
}

/** The changes of what is on that a table holds: those that do nearly as well as the best, the cheapest first; then what only helps. */
export function changesIn(b: Bench, { rows, on }: Table, from: Rig): RunChange[] {
  const best = rows[0];
  if (!best) return [];
  const all = rows
    .filter((r) => r !== on && r.worth > (on?.worth ?? 0))
    .map((to): RunChange => ({
      ...stepsTo(b, from, to.setup.rig),
      to: outcomeOf(to),
      does: to.worth >= ENOUGH * best.worth,
    }))
    .filter((c) => c.levers.length > 0);
  const cheapest = all.sort((a, c) => a.costS - c.costS || byWorth(a.to, c.to));
  return [...new Map(cheapest.map((c) => [c.words, c])).values()].sort(
    (a, c) => Number(c.does) - Number(a.does) || a.costS - c.costS,
  );
}

/** The best set-up of a table that differs from another in what matters: one that is as good, otherwise of another method if it is near. */
export function rivalOf(best: Fished, { rows }: Table): Fished | null {
  const tied = ({ setup: { method, rig } }: Fished) => [method, rig.tip?.id, rig.head.id, rig.fly.id].join();
  const others = rows.filter((x) => x !== best && tied(x) !== tied(best));
  const [next] = others;
  if (next && next.worth >= AS_GOOD * best.worth) return next;
  return others.find((x) => x.setup.method !== best.setup.method && x.worth >= NEAR_WORTH * best.worth) ?? next ?? null;
}
/** Another method is told as the second when it is worth so much of the first. */
const NEAR_WORTH = 0.4;

/** The tips that take down more, or less, than the one that is on. */
export const otherTips = (b: Bench, { method, rig }: Setup): ReturnType<typeof tipsOf> =>
  tipsOf(b.s, method).filter((t) => takesDown(t) !== takesDown(rig.tip));
