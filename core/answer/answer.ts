import type { CastPlan } from '../cast';
import { oneByOne } from '../cover/beat';
import { finished, shared, within } from '../maths/work';
import { type Caution, cautionsOf, type Mistake, mistakesIn } from './cautions';
import { type Fished, outcomeOf, plainlyFished } from './fished';
import { type Check, checksOf, type Flip, flipsOf } from './flips';
import type { Method } from './methods';
import { legalOn, otherSchools, type OtherSchool } from './otherSchools';
import { type Reason, reasonsOf, type Second, secondOf } from './reasons';
import { rotation, type Turn } from './rotation';
import type { Setup } from './rigs';
import type { Schools } from './schools';
import { type Section, sectionsOf } from './sections';
import { type AnswerRequest, situationOf } from './situation';
import { type Bench, benchOf } from './setupWorth';
import { firstCasts, inOrder, served, type Served, type Stand, surestFirst } from './stands';
import { firstLook, setupsOf } from './looks';
import { changesIn, picked, rivalOf, type RunChange, tableOf } from './table';
import { plainWays } from './ways';
import { GIVEN_UP_OF_TEN } from './weights';
import { type Bring, toBring } from './whatToBring';
import { type ToRead, worthReading } from './worthReading';

/** A set-up as it is told, with the casts of the hour in their order. */
export type ServedAsTold = Omit<Served, 'covering' | 'beat'> & { readonly casts: readonly CastPlan[] };

/** Why there is no set-up for a run. */
export type Nothing =
  | { readonly code: 'no water' | 'rig not allowed' | 'no cast' | 'no fly' | 'bag not allowed' }
  | { readonly code: 'bag lacks'; readonly lacks: readonly ('rod' | 'head' | 'leader' | 'fly')[] };

/** What to tie on and how to fish a run, with reasons. */
export interface Answer {
  readonly method: Method | null;
  /** How the run is fished, and the casts for the lies that are not given up, in the order of the work; null where there is no
   * set-up. */
  readonly served: ServedAsTold | null;
  /** How the run is worked, in the order of the work. */
  readonly plan: readonly Section[];
  /** What the plain way with what is on finds, 0 to 1; null where nothing is on that may be fished. */
  readonly asNow: number | null;
  /** Why there is no set-up; null where there is one. */
  readonly nothing: Nothing | null;
  /** What decided, the strongest first. */
  readonly why: readonly Reason[];
  readonly second: Second | null;
  readonly flips: readonly Flip[];
  /** How to see at the river that it is right. */
  readonly check: readonly Check[];
  readonly school: Schools;
  readonly schools: readonly OtherSchool[];
  /** From what is tied on, the cheapest that does it first; empty where nothing is on, or what is on does it. */
  readonly changes: readonly RunChange[];
  /** What to read before one begins, where the odds are low for want of it; else null. */
  readonly read: ToRead | null;
  /** What to bring next time; null where it would gain little. */
  readonly bring: Bring | null;
  /** The next two things to try. */
  readonly rotation: readonly Turn[];
  /** What is wrong with what is tied on, once each. */
  readonly mistakes: readonly Mistake[];
  readonly cautions: readonly Caution[];
}

/** Where each part of the work begins, as shares of the whole. */
const AT = { table: 0, run: 0.6, now: 0.78, told: 0.8, read: 0.9, turns: 0.94 } as const;

/**
 * What to tie on and how to fish this run, out of this bag: set-ups fished over the whole run by one value, the share of its willing
 * fish that they find in the time there is; whatever is asked is read off one table of them.
 *
 * @yields the share done, 0 to 1
 * @throws RangeError when the visibility is not above 0
 */
export function* answerFor(q: AnswerRequest): Generator<number, Answer, undefined> {
  const b = benchOf(situationOf(q));
  yield 0;
  const { s } = b;
  const on = s.tiedOn && (setupsOf(b, s.tiedOn)[0] ?? null);
  const none = (why: Nothing): Answer => ({
    ...{
      method: null,
      served: null,
      plan: [],
      asNow: null,
      nothing: why,
      why: [],
      second: null,
      flips: [],
      check: [],
      school: s.school,
    },
    ...{ schools: [], changes: [], read: null, bring: null, rotation: [], cautions: cautionsOf(s, null) },
    mistakes: on ? mistakesIn(b, on) : [],
  });
  if (s.lies.length === 0) return none({ code: 'no water' });
  const only = s.ask === 'only this' ? on : null;
  const legal = on && legalOn(s, on.rig);
  if (only && !legal) return none({ code: 'rig not allowed' });

  const table = yield* within(tableOf(b, legal, only !== null), AT.table, AT.run);
  const best = picked(table, s.ask);
  if (!best) return none(whyNothing(b));
  const told = yield* within(served(b, best), AT.run, AT.now - AT.run);
  const stands = worthCasting(told);
  if (stands.length === 0) return none({ code: 'no cast' });
  const shown: Served = { ...told, stands };
  const rival = rivalOf(best, table);
  const changes = on && !only && best !== table.on ? changesIn(b, table, on.rig) : [];
  const first = changes.find((c) => c.to.setup === best.setup);
  return {
    method: best.setup.method,
    served: {
      ...outcomeOf(shown),
      ...{ of: shown.of, stands, givesUp: shown.givesUp, begin: shown.begin },
      casts: oneByOne(shown.beat.casts),
    },
    plan: sectionsOf(shown),
    asNow: yield* foundAsNow(b, table.on),
    nothing: null,
    why: reasonsOf(b, shown),
    second: rival && secondOf(b, shown, rival),
    flips: yield* within(flipsOf(b, shown), AT.told, AT.read - AT.told),
    check: checksOf(b, shown),
    school: s.school,
    schools: otherSchools(b, shown),
    changes: first ? [{ ...first, to: outcomeOf(shown) }, ...changes.filter((c) => c !== first)] : changes,
    read: yield* within(worthReading(b, stands), AT.read, AT.turns - AT.read),
    bring: yield* within(toBring(b, best), AT.turns, (1 - AT.turns) / 2),
    rotation: only ? [] : yield* within(rotation(b, best), (1 + AT.turns) / 2, (1 - AT.turns) / 2),
    mistakes: on ? mistakesIn(b, on, only ? null : best.setup.rig) : [],
    cautions: cautionsOf(
      s,
      best.setup.rig,
      stands.map((t) => t.plan),
    ),
  };
}

/** What is on, as one begins with it. */
function* foundAsNow(b: Bench, on: Fished | null): Generator<number, number | null, undefined> {
  if (!on) return null;
  const plainly = yield* shared(plainlyFished(b, on), AT.now, 0, 1);
  return Math.min(on.found, plainly.found);
}

/** The stands of the lies that are not given up; where all are, the best of them. None over a redd. */
function worthCasting({ stands: all }: Served): readonly Stand[] {
  const stands = all.filter((t) => !t.verdict.redd);
  const good = stands.filter((t) => (t.chance ?? 0) >= GIVEN_UP_OF_TEN);
  return good.length > 0 ? good : surestFirst(stands).slice(0, 1);
}

/** A first thought, while the answer is worked out: the first casts of the plain way, their chances not known. */
export interface FirstThought {
  readonly setup: Setup;
  readonly stands: readonly Stand[];
}

/** A first thought for a question: at once, and rough. */
export function firstAnswer(q: AnswerRequest): FirstThought | null {
  const b = benchOf(situationOf(q));
  const setup = q.lies.length > 0 ? finished(firstLook(b)) : null;
  return setup && { setup, stands: inOrder(firstCasts(b, setup, plainWays(b.s, setup)[0]!), setup.method) };
}

/** Why the bag gives no set-up. */
function whyNothing({ s, votes }: Bench): Nothing {
  const has = (type: string) => s.kit.some((k) => k.type === type && !k.aside);
  const lacks = (['rod', 'head', 'leader', 'fly'] as const).filter((t) => !has(t));
  if (lacks.length > 0) return { code: 'bag lacks', lacks };
  return { code: votes.every((v) => v.noFly) ? 'no fly' : 'bag not allowed' };
}
