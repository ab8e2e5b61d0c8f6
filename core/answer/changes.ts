import { within } from '../maths/work';
import {
  type ChangesRequest,
  costBetween,
  type Lever,
  LEVERS,
  leversBetween,
  possibleSettings,
  type Trial,
} from '../advice';
import { checkRig } from '../rules';
import { describeRig, type FlyItem, type Rig } from '../tackle';
import { capital } from '../units';
import type { Method } from './methods';
import { classesOf, fliesFor } from './flies';
import { inFull } from './finals';
import { glance, setupsOf } from './search';
import type { Served } from './servedLies';
import { refitted, type Setup, setupOf, soundAfter } from './rigs';
import { ANY_PLAN, type Bench, methodFactor, usualOf } from './setupWorth';

/** A change of what is tied on, over the run. */
export interface RunChange {
  readonly levers: readonly Lever[];
  readonly costS: number;
  readonly served: Served;
  /** As good as the best of the bag, or nearly. */
  readonly does: boolean;
  readonly words: string;
}

/** A change that keeps so much of what the best of the bag is worth does it. */
const ENOUGH = 0.75;
/** So many go on in full. */
const IN_FULL = 3;
/** So many of the best tips are tried with so many of the best flies. */
const PAIRED = 3;
/** Flies tried in place of what is on. */
const FLIES = 4;

/** What is on a rod and can be changed. */
const RIG_LEVERS: readonly Lever[] = ['other rod', 'shot', 'dropper', 'tip', 'fly', 'leader', 'head'];

const trialOf = ({ s }: Bench, rig: Rig): Trial => ({ rig, plan: ANY_PLAN, rigged: s.rigged, means: s.means });

const legal = ({ s }: Bench, rig: Rig): boolean => checkRig(s.rules, rig).length === 0;

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

/** The best of the bag as a change of what is on; null where it is on already. */
export function wayTo(b: Bench, on: Rig, best: Served): RunChange | null {
  const steps = stepsTo(b, on, best.setup.rig);
  return steps.levers.length > 0 ? { ...steps, served: best, does: true } : null;
}

/** Every rig that is one thing away from what is on; only what is allowed, and makes nothing wrong. */
export function neighbours(b: Bench, from: Rig): Rig[] {
  const { s } = b;
  const q: ChangesRequest = {
    ...trialOf(b, from),
    lie: s.lies[0]!,
    sideOn: false,
    channel: s.channel,
    lengthM: s.run.lengthM,
    lies: s.lies,
    kit: s.kit,
    rules: s.rules,
  };
  const wanted = new Set(fliesWorth(b, from).map((f) => f.id));
  const one = RIG_LEVERS.flatMap((lever) => {
    const rigs = possibleSettings(lever, q).map((p) => ({ ...from, ...p.rig }));
    return lever === 'fly' ? rigs.filter((rig) => wanted.has(rig.fly.id)) : rigs;
  });
  const bare = from.droppers.length > 0 ? [...wanted].flatMap((id) => one.find((r) => r.fly.id === id) ?? []) : [];
  const isSound = soundAfter(b.s, from);
  return [...one, ...bare.map((rig) => ({ ...rig, droppers: [] }))].filter((rig) => legal(b, rig) && isSound(rig));
}

/** The best fly of each class for a method. */
const bestFlies = (b: Bench, method: Method) => classesOf(fliesFor(b.s, method, b.look), FLIES);

/** Flies worth tying on in place of one, for the methods that are tried. */
const fliesWorth = (b: Bench, from: Rig): FlyItem[] =>
  setupsOf(b, from).flatMap(({ method }) => bestFlies(b, method).map((j) => j.fly));

/** What is on, for another way to fish: its rod and line with a fly for that, the leader that goes with it, and with the tip or without. */
function forAnotherWay(b: Bench, from: Rig, method: Method): Rig[] {
  if (setupsOf(b, from).some((x) => x.method === method)) return [];
  const held = setupOf(b.s, method, from, 1);
  const tips = from.tip ? [from.tip, null] : [null];
  return bestFlies(b, method).flatMap((fly) => tips.flatMap((tip) => refitted(b.s, held, { fly, tip })?.rig ?? []));
}

/** A rig as the set-up of the method that suits it best. */
const bestSetup = (b: Bench, rig: Rig): Setup | null => setupsOf(b, rig)[0] ?? null;

interface Screened {
  readonly rig: Rig;
  readonly setup: Setup;
  readonly worth: number;
}

/** Rigs by a look at each, in the order given; what no method knows is left out. */
function* lookAt(b: Bench, rigs: readonly Rig[]): Generator<number, Screened[], undefined> {
  const out: Screened[] = [];
  for (const [i, rig] of rigs.entries()) {
    const setup = bestSetup(b, rig);
    if (setup) out.push({ rig, setup, worth: yield* glance(b, setup, i, rigs.length) });
  }
  return out;
}

/**
 * The smallest changes of what is tied on that do nearly as well over the run as the best of the bag, the cheapest first: one
 * thing, or a tip and a fly together; and the best of the bag itself.
 *
 * @param best of the bag
 * @yields the share done, 0 to 1
 */
export function* smallestChanges(b: Bench, on: Rig, best: Served): Generator<number, RunChange[], undefined> {
  const near = [...neighbours(b, on), ...forAnotherWay(b, on, best.setup.method)];
  const one = yield* within(lookAt(b, near), 0, 0.35);
  const byWorth = (a: Screened, c: Screened) => c.worth - a.worth;
  const tips = one
    .filter((x) => x.rig.tip?.id !== on.tip?.id && x.rig.rod.id === on.rod.id)
    .sort(byWorth)
    .slice(0, PAIRED);
  const flies = one
    .filter((x) => x.rig.fly.id !== on.fly.id && x.rig.rod.id === on.rod.id)
    .sort(byWorth)
    .slice(0, PAIRED);
  const pairs = tips.flatMap((t) => flies.map((f): Rig => ({ ...f.rig, tip: t.rig.tip })));
  const two = yield* within(lookAt(b, pairs), 0.35, 0.2);
  const all = [...one, ...two];
  const most = Math.max(0, ...all.map((p) => p.worth));
  const costS = new Map(all.map((p) => [p, stepsTo(b, on, p.rig).costS]));
  const able = all
    .filter((p) => p.worth >= ENOUGH * most)
    .sort((a, c) => costS.get(a)! - costS.get(c)! || byWorth(a, c))
    .slice(0, IN_FULL);
  const tried: Served[] = [];
  for (const [i, { setup }] of able.entries()) {
    const [served] = yield* within(inFull(b, [setup]), 0.55 + (0.45 * i) / IN_FULL, 0.45 / IN_FULL);
    tried.push(served!);
    if (does(b, served!, best)) break;
  }
  const ways = [...tried, best].flatMap((of) => {
    const way = wayTo(b, on, of);
    return way ? [{ ...way, does: does(b, of, best) }] : [];
  });
  return [...new Map(ways.map((w) => [w.words, w])).values()].sort(
    (a, c) => Number(c.does) - Number(a.does) || a.costS - c.costS || c.served.worth - a.served.worth,
  );
}

/** Whether a set-up does it: nearly as well as the best of the bag, or as often as its own way of fishing does where all is well,
 * and the water does not speak against that way. */
export function does(b: Bench, of: Served, best: Served): boolean {
  if (of.worth >= ENOUGH * best.worth) return true;
  const willing = methodFactor(b.votes, of.setup.method) >= WILLING * methodFactor(b.votes, best.setup.method);
  return willing && of.chance >= WELL * usualOf(b.s, of.setup);
}
const WILLING = 0.3;
const WELL = 0.9;
