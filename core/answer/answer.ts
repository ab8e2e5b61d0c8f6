import { shared, within } from '../maths/work';
import type { Caution } from '../rules';
import { cautionsOf, mistakesIn } from './cautions';
import { toBring } from './whatToBring';
import { does, type RunChange, smallestChanges, wayTo } from './changes';
import { type Stand, surestFirst } from './casts';
import { finals, inFull, JUDGED, lastHeat, maybePaired, overTheRun, rivalOf } from './finals';
import { checksOf, type Flip, flipsOf } from './flips';
import { GIVEN_UP_OF_TEN } from './weights';
import type { Method } from './methods';
import { legalOn, otherSchools, type OtherSchool } from './otherSchools';
import { reasonsOf, type Second, secondOf } from './reasons';
import { rotation, type Turn } from './rotation';
import type { Setup } from './rigs';
import type { Schools } from './schools';
import { firstThought, type FirstThought, setupsOf, wholeBag } from './search';
import { asTold, type Served, summed } from './servedLies';
import { type AnswerRequest, situationOf } from './situation';
import { type Bench, benchOf } from './setupWorth';
import { worthReading } from './worthReading';

/** What to tie on and how to fish a run, with reasons. */
export interface Answer {
  readonly method: Method | null;
  /** Casts for the stands of the lies that are not given up, in the order of the work; null where there is no set-up. */
  readonly served: Served | null;
  /** What decided, the strongest first; where there is no set-up, why. */
  readonly why: readonly string[];
  readonly second: Second | null;
  readonly flips: readonly Flip[];
  /** How to see at the river that it is right. */
  readonly check: readonly string[];
  readonly school: Schools;
  readonly schools: readonly OtherSchool[];
  /** From what is tied on, the cheapest that does it first; empty where nothing is on, or what is on does it. */
  readonly changes: readonly RunChange[];
  /** What to read before one begins, where the odds are low for want of it; else null. */
  readonly read: string | null;
  /** With only what is on: what to bring next time; null where it would gain little. */
  readonly bring: string | null;
  /** The next two things to try. */
  readonly rotation: readonly Turn[];
  /** What is wrong with what is tied on, once each. */
  readonly mistakes: readonly string[];
  readonly cautions: readonly Caution[];
}

/** Where each part of the work begins, as shares of the whole. */
const AT = { heat: 0.5, changes: 0.6, run: 0.75, told: 0.83, read: 0.92, turns: 0.95 } as const;

/**
 * What to tie on and how to fish this run, out of this bag: method first, one set-up for the run, a cast for each stand, every
 * one simulated over the doubt of the readings.
 *
 * @yields the share done, 0 to 1
 * @throws RangeError when the visibility is not above 0
 */
export function* answerFor(q: AnswerRequest): Generator<number, Answer, undefined> {
  const b = benchOf(situationOf(q));
  const { s } = b;
  const on = s.tiedOn && (setupsOf(b, s.tiedOn)[0] ?? null);
  const none = (why: string): Answer => ({
    ...{ method: null, served: null, why: [why], second: null, flips: [], check: [], school: s.school, schools: [] },
    ...{ changes: [], read: null, bring: null, rotation: [], cautions: cautionsOf(s, null) },
    mistakes: on ? mistakesIn(b, on) : [],
  });
  if (s.lies.length === 0) return none('No water here suits the fish you are after at this level.');
  const only = s.ask === 'only this' ? on : null;
  const legal = on && legalOn(s, on.rig);
  if (only && !legal) return none('What is tied on is not allowed here.');

  const tried = yield* within(only ? inFull(b, setupsOf(b, legal!)) : bestOfBag(b), 0, AT.heat);
  const found = yield* within(lastHeat(b, tried), AT.heat, AT.changes - AT.heat);
  const [judged] = found;
  if (!judged) return none(whyNothing(b));
  const asked =
    s.ask === 'change' && on ? yield* within(leastChange(b, on, judged), AT.changes, AT.run - AT.changes) : null;
  const best = asked?.best ?? judged;
  const rival = rivalOf(best, found);
  const served = yield* within(overTheRun(b, best), AT.run, AT.told - AT.run);
  const stands = worthCasting(served);
  if (stands.length === 0) return none(NO_CAST);
  return {
    method: served.setup.method,
    served: { ...served, stands },
    why: reasonsOf(b, served),
    second: rival && secondOf(b, summed(b, best.setup, best.of, served.stands), rival),
    flips: yield* within(flipsOf(b, served), AT.told, AT.read - AT.told),
    check: checksOf(b, served),
    school: s.school,
    schools: otherSchools(b, served),
    changes: asked?.changes ?? (on && !only ? [wayTo(b, on.rig, best)].filter((c) => c !== null) : []),
    read: yield* shared(worthReading(b, stands), AT.read, AT.turns - AT.read, READ_STEPS),
    bring: only ? yield* within(toBring(b, best.setup), AT.turns, 1 - AT.turns) : null,
    rotation: only ? [] : yield* within(rotation(b, best), AT.turns, 1 - AT.turns),
    mistakes: on ? mistakesIn(b, on, only ? null : served.setup.rig) : [],
    cautions: cautionsOf(
      s,
      served.setup.rig,
      stands.map((t) => t.plan),
    ),
  };
}

const NO_CAST = 'Every cast here would swing over the redd, or lands where none can be made. Leave this run alone.';

/** Swings of three readings at three stands. */
const READ_STEPS = 9;

/** The stands of the lies that are not given up; where all are, the best of them. None over a redd. */
function worthCasting({ stands: all }: Served): readonly Stand[] {
  const stands = all.filter((t) => !t.verdict.redd);
  const good = stands.filter((t) => (t.chance ?? 0) >= GIVEN_UP_OF_TEN);
  return good.length > 0 ? good : surestFirst(stands).slice(0, 1);
}

/** A first thought for a question: at once, and rough. */
export const firstAnswer = (q: AnswerRequest): FirstThought | null => firstThought(benchOf(situationOf(q)));

/** What is on, where it does nearly as well as the best of the bag; else the cheapest change that does. */
function* leastChange(
  b: Bench,
  on: Setup,
  judged: Served,
): Generator<number, { readonly best: Served; readonly changes: readonly RunChange[] }, undefined> {
  if (legalOn(b.s, on.rig) === on.rig) {
    const [asItIs] = yield* within(inFull(b, [on]), 0, 0.2);
    if (does(b, asItIs!, judged)) return { best: yield* shared(asTold(b, asItIs!), 0.2, 0.8, JUDGED), changes: [] };
  }
  const changes = yield* within(smallestChanges(b, on.rig, judged), 0.2, 0.7);
  const [least] = changes;
  return { best: least ? yield* shared(asTold(b, least.served), 0.9, 0.1, JUDGED) : judged, changes };
}

/** The best set-ups of the whole bag, in full, the best first. */
function* bestOfBag(b: Bench): Generator<number, Served[], undefined> {
  const screened = yield* within(wholeBag(b), 0, 0.5);
  const found = yield* within(finals(b, screened), 0.5, 0.45);
  const [first, ...rest] = found;
  if (!first) return [];
  const paired = yield* within(maybePaired(b, first), 0.95, 0.05);
  return [paired, ...rest];
}

/** Why the bag gives no set-up. */
function whyNothing({ s, votes }: Bench): string {
  const has = (type: string) => s.kit.some((k) => k.type === type && !k.aside);
  const missing = ['rod', 'head', 'leader', 'fly'].filter((t) => !has(t)).map((t) => (t === 'head' ? 'line' : t));
  if (missing.length > 0) return `The bag has no ${missing.join(', no ')} to tie on.`;
  if (votes.every((v) => v.noFly)) return 'None of the flies in the bag can be fished here.';
  return 'Nothing in the bag is allowed here.';
}
