import { costBetween } from '../advice';
import type { CastPlan } from '../cast';
import { shared, within } from '../maths/work';
import type { Rig } from '../tackle';
import { fliesFor } from './flies';
import { fish, type Fished, type Outcome, outcomeOf, plainlyFished, promised, suitedWay } from './fished';
import { byWorth, type Looked, looked, lookThrough, ranked, setupsOf, soundOut } from './looks';
import { rigKey, type Setup, withSecond } from './rigs';
import { type Bench, costOf } from './setupWorth';
import { forAnotherWay, neighbours, type Step, stepsTo, trialOf } from './steps';
import { AS_GOOD } from './weights';

/** Set-ups that a way is looked for, of which so many are fished over the whole run; and of those that are one thing away from what is on. */
const FINALISTS = 3;
const FISHED = 2;
const NEAR_FINALISTS = 2;
/** What is on stays where it is worth so much of the best; a change that keeps so much of the best does it. */
export const STAYS = 0.9;
const ENOUGH = 0.75;

/** What tells set-ups apart: how they are fished, and what is tied on. */
const keyOf = ({ method, rig }: Setup): string => `${method} ${rigKey(rig)}`;
/** Tips and flies of one weight and kind are one choice. */
const alike = (a: Setup, c: Setup): boolean =>
  a.method === c.method &&
  a.rig.rod.id === c.rig.rod.id &&
  a.rig.tip?.id === c.rig.tip?.id &&
  a.rig.head.id === c.rig.head.id;

/** A change of what is tied on, over the run. */
export interface RunChange extends Step {
  readonly to: Outcome;
  /** As good as the best of the bag, or nearly. */
  readonly does: boolean;
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
  return { setup, way, worth: promised(b, setup, found) };
}

/** The better of the way that it is fished in and its plain one. */
function* orPlainly(b: Bench, best: Fished): Generator<void, Fished, undefined> {
  const plainly = yield* plainlyFished(b, best);
  return plainly.worth >= best.worth ? plainly : best;
}

/** With a second fly, where it is fished so and is worth more. */
function* maybePaired(b: Bench, best: Fished): Generator<void, Fished, undefined> {
  const paired = withSecond(b.s, best.setup, fliesFor(b.s, best.setup.method, b.look));
  if (!paired) return best;
  const two = yield* fish(b, paired, best.way);
  return two.worth > best.worth ? two : best;
}

/** The most promising of the bag, no two alike, and that of another method: the second school is looked at in full. */
function* ofTheBag(b: Bench): Generator<number, Setup[], undefined> {
  const seen = yield* within(lookThrough(b), 0, LOOKED);
  const all = ranked(b, yield* within(soundOut(b, seen), LOOKED, SOUND)).map((x) => x.setup);
  const best = all.filter((x, i) => all.findIndex((y) => alike(x, y)) === i).slice(0, FINALISTS);
  const other = all.find((x) => x.method !== all[0]!.method);
  return other && !best.some((x) => x.method === other.method) ? [...best, other] : best;
}

/** Of all that is one thing away from what is on the most promising, and the cheapest that promises nearly as much. */
function* nearTo(b: Bench, on: Rig): Generator<number, Setup[], undefined> {
  const near: Looked[] = [];
  const rigs = [...neighbours(b, on), ...forAnotherWay(b, on)];
  for (const [i, rig] of rigs.entries()) {
    const [setup] = setupsOf(b, rig);
    if (setup) near.push(yield* shared(looked(b, setup), i / rigs.length, 1 / rigs.length, 8));
  }
  near.sort(byWorth);
  const costS = (x: Looked) => costBetween(trialOf(b, on), trialOf(b, x.setup.rig));
  const cheap = near.filter((x) => x.worth >= ENOUGH * near[0]!.worth).sort((a, c) => costS(a) - costS(c));
  return [...near.slice(0, 1), ...cheap.slice(0, NEAR_FINALISTS - 1)].map((x) => x.setup);
}

/** What is fished in full: the best, that of another method, the cheapest that does nearly as well, and what is on. */
function worthFishing(b: Bench, ways: readonly Suited[], held: readonly Setup[]): Suited[] {
  const best = ranked(b, ways).slice(0, FISHED);
  const second = ways.find((x) => x.setup.method !== best[0]?.setup.method);
  const does = ways.filter((x) => held.length > 0 && x.worth >= ENOUGH * best[0]!.worth);
  const [cheapest] = does.sort((a, c) => costOf(b.s, a.setup.rig) - costOf(b.s, c.setup.rig));
  return ways.filter((x) => best.includes(x) || x === second || x === cheapest || held.includes(x.setup));
}

/**
 * The table for a run: what the bag offers, what is on, and the best of what is one thing away from it.
 *
 * @param on what is tied on, as far as it is allowed; null: nothing is
 * @param only nothing else is asked for
 */
export function* tableOf(b: Bench, on: Rig | null, only: boolean): Generator<number, Table, undefined> {
  const held = on ? setupsOf(b, on) : [];
  const bag = only ? [] : yield* ofTheBag(b);
  const near = on && !only ? yield* within(nearTo(b, on), LOOKED + SOUND, NEAR) : [];
  const unlike = [...new Map([...held, ...bag, ...near].map((x) => [keyOf(x), x])).values()];
  const ways: Suited[] = [];
  const from = only ? 0 : LOOKED + SOUND + NEAR;
  for (const [i, setup] of unlike.entries())
    ways.push(yield* shared(suited(b, setup), from + (SUITED * i) / unlike.length, SUITED / unlike.length, 120));
  const told = worthFishing(b, ways, held);
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
  return [...new Map(cheapest.map((c) => [rigKey(c.to.setup.rig), c])).values()].sort(
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
