import { shared, within } from '../maths/work';
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
import type { Way } from '../cast';
import { choiceOf, describeRig, fliesOf, type FlyItem, type Rig, type RigChoice, type TipItem } from '../tackle';
import { capital, FOOT_M, format, INCH_M } from '../units';
import { type Method, METHODS } from './methods';
import { classesOf, differsFrom, fliesFor, judgeFly } from './flies';
import { inFull } from './finals';
import { screen, setupsOf } from './search';
import type { Served } from './served';
import { amissIn, refitted, type Setup, setupOf, takesDown, tipsOf } from './rigs';
import type { Situation } from './situation';
import { ANY_PLAN, type Bench, byWeight, methodFactor, usualOf } from './worth';

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
/** Screened with so many casts a lie; so many go on in full. */
const TRIES = 3;
const LOOKED_AT = 2;
const IN_FULL = 3;
/** So many of the best tips are tried with so many of the best flies. */
const PAIRED = 3;
/** Flies tried in place of what is on. */
const FLIES = 4;

/** What is on a rod and can be changed. */
const RIG_LEVERS: readonly Lever[] = ['other rod', 'shot', 'dropper', 'tip', 'fly', 'leader', 'head'];

const trialOf = ({ s }: Bench, rig: Rig): Trial => ({ rig, plan: ANY_PLAN, rigged: s.rigged, means: s.means });

const legal = ({ s }: Bench, rig: Rig): boolean => !s.rules || checkRig(s.rules, rig).length === 0;

/** Whether nothing is wrong with how a rig is put together that was not before. */
function soundAfter({ s }: Bench, from: Rig): (rig: Rig) => boolean {
  const before = amissIn(s, from);
  return (rig) => amissIn(s, rig).every((says) => before.includes(says));
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

/** The best of the bag as a change of what is on; null where it is on already. */
export function wayTo(b: Bench, on: Rig, best: Served): RunChange | null {
  const steps = stepsTo(b, on, best.setup.rig);
  return steps.levers.length > 0 ? { ...steps, served: best, does: true } : null;
}

/** Every rig that is one thing away from what is on; only what is allowed, and makes nothing wrong. */
function neighbours(b: Bench, from: Rig): Rig[] {
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
  const isSound = soundAfter(b, from);
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

/** Rigs by the coarse chain at the best lies, in the order given; what no method knows is left out. */
function* screenRigs(
  b: Bench,
  rigs: readonly Rig[],
  from: number,
  share: number,
): Generator<number, Screened[], undefined> {
  const lies = byWeight(b.s).slice(0, LOOKED_AT);
  const out: Screened[] = [];
  for (const [i, rig] of rigs.entries()) {
    const setup = bestSetup(b, rig);
    if (!setup) continue;
    const part = share / rigs.length;
    const worth = yield* shared(screen(b, setup, lies, TRIES), from + i * part, part, LOOKED_AT * TRIES);
    out.push({ rig, setup, worth });
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
  const one = yield* screenRigs(b, near, 0, 0.35);
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
  const two = yield* screenRigs(b, pairs, 0.35, 0.2);
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

/** In what a next change would differ. */
export type Differs = 'cadence' | 'depth' | 'profile' | 'colour';

/** What to try after the first fly. */
export interface Turn {
  readonly differs: Differs;
  readonly costS: number;
  readonly words: string;
  /** What is tied on then, and how it is shown. */
  readonly rig: RigChoice;
  readonly way: Way;
}

/** Which way one goes to look for fish at another depth: up in soft light and in warm clear water, down in the cold (handbook of the
 * trade); 0 where either will do. */
const deeperBy = ({ dusk, warm, clear, cold }: Situation): number => (dusk || (warm && clear) ? -1 : cold ? 1 : 0);

/** Less than this share of what the first is worth is not worth a try. */
const WORTH_A_TRY = 0.4;
const TURNS = 2;

/**
 * The next two changes worth trying after the first fly: cheap ones first, each differing in something else, so that a take
 * teaches something.
 */
export function* rotation(b: Bench, first: Served): Generator<number, Turn[], undefined> {
  const { rig, method } = first.setup;
  const lies = byWeight(b.s).slice(0, LOOKED_AT);
  const on = new Set(fliesOf(rig).map((f) => f.id));
  const isSound = soundAfter(b, rig);
  const flies = fliesFor(b.s, method, b.look).filter((j) => !on.has(j.fly.id) && isSound({ ...rig, fly: j.fly }));
  const otherFly = (differs: 'profile' | 'colour') =>
    flies.find((j) => {
      const d = differsFrom(j.fly, rig.fly);
      return differs === 'profile' ? d.profile : d.colour && !d.profile;
    })?.fly ?? flies.find((j) => differsFrom(j.fly, rig.fly)[differs])?.fly;
  const suits = new Set(tipsOf(b.s, method).map((t) => t?.id));
  const tips = neighbours(b, rig).filter(
    (r) => r.fly.id === rig.fly.id && r.tip?.id !== rig.tip?.id && r.rod.id === rig.rod.id && suits.has(r.tip?.id),
  );
  const deeper = (r: Rig) => takesDown(r.tip) - takesDown(rig.tip);
  const asWater = (r: Rig) => Number(Math.sign(deeper(r)) === deeperBy(b.s));
  const nextTip = tips.sort((a, c) => asWater(c) - asWater(a) || Math.abs(deeper(a)) - Math.abs(deeper(c)))[0];
  const cadence = setupsOf(b, rig).find((x) => x.method !== method && x.method !== 'soft hackles on the swing');
  const all: { readonly differs: Differs; readonly setup: Setup; readonly costS: number; readonly words: string }[] =
    [];
  if (cadence)
    all.push({
      differs: 'cadence',
      setup: cadence,
      costS: 0,
      words: `Show the same fly another way: ${cadence.method}`,
    });
  if (nextTip)
    all.push({
      differs: 'depth',
      setup: setupOf(b.s, method, nextTip, first.setup.merit),
      ...stepsTo(b, rig, nextTip),
    });
  for (const differs of ['profile', 'colour'] as const) {
    const fly = otherFly(differs);
    if (!fly || all.some((t) => t.setup.rig.fly.id === fly.id)) continue;
    const next = { ...rig, fly };
    const setup = setupOf(b.s, method, next, judgeFly(b.s, method, fly, b.look).merit);
    all.push({ differs, setup, ...stepsTo(b, rig, next) });
  }
  const out: Turn[] = [];
  for (const [i, t] of all.sort((a, c) => a.costS - c.costS).entries()) {
    if (out.length >= TURNS) break;
    const worth = yield* shared(screen(b, t.setup, lies, TRIES), i / all.length, 1 / all.length, LOOKED_AT * TRIES);
    if (worth >= WORTH_A_TRY * first.worth) {
      const { differs, costS, words, setup } = t;
      out.push({ differs, costS, words, rig: choiceOf(setup.rig), way: METHODS[setup.method].ways[0] });
    }
  }
  return out;
}

/** Tips of the trade that one may buy or borrow: 10 ft of an intermediate to a heavy one (handbook of the trade), inches a second. */
const SHOP_TIPS = { intermediate: 1.5, slow: 2.5, medium: 3.5, fast: 5.5, heavy: 8 } as const;
const SHOP_FT = 10;
/** Another tip must be better by so much before it is worth bringing. */
const WORTH_BRINGING = 1.15;

/** The tip to bring next time, where what there is does not reach; null where it would gain little. */
export function* toBring(b: Bench, only: Served): Generator<number, string | null, undefined> {
  const { setup } = only;
  if (setup.method === 'wake fly' || setup.rig.float) return null;
  const lies = byWeight(b.s).slice(0, LOOKED_AT);
  let here = 0;
  let best: { readonly words: string; readonly worth: number } | null = null;
  // What is on comes last: casts that served the others are known for it, too.
  const all = [...Object.entries(SHOP_TIPS), null];
  const isSound = soundAfter(b, setup.rig);
  for (const [i, kind] of all.entries()) {
    const tip: TipItem | null = kind && {
      type: 'tip',
      id: kind[0],
      name: kind[0],
      lengthM: SHOP_FT * FOOT_M,
      sinkRateMps: kind[1] * INCH_M,
    };
    const rig = tip ? { ...setup.rig, tip } : setup.rig;
    if (!isSound(rig)) continue;
    const merits = setupOf(b.s, setup.method, rig, setup.merit);
    const worth = yield* shared(
      screen(b, { ...merits, fits: setup.fits }, lies, TRIES),
      i / all.length,
      1 / all.length,
      LOOKED_AT * TRIES,
    );
    if (!tip) here = worth;
    else if (!best || worth > best.worth)
      best = {
        worth,
        words: `${format('length', tip.lengthM, b.s.units)} of ${tip.name} tip, ${format('sinkRate', tip.sinkRateMps, b.s.units)}`,
      };
  }
  return best && best.worth > WORTH_BRINGING * here
    ? `Bring ${best.words}, next time: it puts this fly nearer to where it is wanted.`
    : null;
}
