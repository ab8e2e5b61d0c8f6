import { type Counts, type Dimension, DIMENSIONS, type PlacedExposure, castsBy, valueOf } from '@/core/learn/evidence';
import type { AlongWith, Question, Told } from '@/core/learn/question';
import type { Group } from '@/core/learn/proofs';
import type { Suggestion } from '@/core/learn/tryNext';
import { capital } from './capital';
import { inHundred, percent, several } from './counting';
import { DIMENSION_NAMES, valueWords } from './properties';
import type { UnitSystem } from './units';

/** How one calls a value of what a log is asked by. */
export type Namer = (of: Dimension, value: string) => string;

/** What a water is called that is no more. */
export const REMOVED_WATER = 'a removed water';
/** @param rivers names of rivers by their id */
export const namer =
  (units: UnitSystem, rivers: ReadonlyMap<string, string>): Namer =>
  (of, value) =>
    of === 'river' ? (rivers.get(value) ?? REMOVED_WATER) : valueWords(of, value, units);

/** The same without places: rivers and runs by numbers, in the order in which they are named. @example "no. 1" */
export function withoutPlaces(name: Namer): Namer {
  const named: Record<string, string[]> = { river: [], run: [] };
  return (of, value) => {
    const known = named[of];
    if (!known) return name(of, value);
    if (!known.includes(value)) known.push(value);
    return `no. ${known.indexOf(value) + 1}`;
  };
}

interface Interval {
  readonly middle: number;
  readonly low: number;
  readonly high: number;
}
const times = (n: number): string => n.toFixed(n < 9.95 ? 1 : 0);
const interval = ({ low, high }: Interval): string => `${times(low)} to ${times(high)}`;
const per100 = (rate: number): string => (100 * rate).toFixed(1);
const whole = (n: number): string => n.toLocaleString('en-GB');
/** A number of casts that nobody counts one by one. */
const about = (n: number): string => whole(n < 100 ? Math.ceil(n / 10) * 10 : Math.ceil(n / 50) * 50);

const castsWords = (n: number): string => `${whole(n)} ${n === 1 ? 'cast' : 'casts'}`;
/** What was counted: "30 takes in 1,000 casts, 200 by hand". */
export const countsWords = ({ casts, takes, byHand = 0 }: Counts & { byHand?: number }): string =>
  `${several(takes, 'take')} in ${castsWords(casts)}${byHand > 0 ? `, ${byHand === casts ? 'all' : byHand} by hand` : ''}`;

/** How often one thing was taken: "2.1 takes in 100 casts (1.4 to 3.0); 30 takes in 1,400 casts" */
export const sideWords = (g: Counts & { byHand?: number; rate: Interval }): string =>
  `${per100(g.rate.middle)} takes in 100 casts (${per100(g.rate.low)} to ${per100(g.rate.high)}); ${countsWords(g)}`;
export const ratioWords = (g: Group): string =>
  `Beside your other casts, like for like: ${times(g.ratio.middle)} times the takes (${interval(g.ratio)})`;

/** What is proved of one value, in a sentence. */
export const provedWords = (by: Dimension, value: string, ratio: Interval, name: Namer): string =>
  `${capital(DIMENSION_NAMES[by])} ${name(by, value)}: ${times(ratio.middle)} times the takes of your other casts (${interval(ratio)}).`;

/** Where something was asked. */
const whereWords = ({ where }: Question, name: Namer): string => {
  const of = DIMENSIONS.filter((d) => where[d] !== undefined);
  return of.map((d) => `${DIMENSION_NAMES[d]} ${name(d, where[d]!)}`).join(', ');
};

/** "White against black, visibility stained" */
export const questionWords = (q: Question, name: Namer): string => {
  const where = whereWords(q, name);
  return `${capital(name(q.by, q.a))} against ${name(q.by, q.b)}${where ? `, ${where}` : ''}`;
};

/** Nearer than this they bring as many. */
const ALIKE = 1.05;

/** The answer to a question: what is found; how counted and adjusted part. */
export function toldWords(q: Question, t: Told, name: Namer): string[] {
  const [a, b] = [name(q.by, q.a), name(q.by, q.b)];
  const isA = t.ratio.chance >= 0.5;
  const [first, other] = isA ? [a, b] : [b, a];
  const ratio = isA ? t.ratio : { middle: 1 / t.ratio.middle, low: 1 / t.ratio.high, high: 1 / t.ratio.low };
  const brings = `${times(ratio.middle)} times the takes of ${other} (${interval(ratio)})`;
  const chance = `Chance that it is better: ${inHundred(isA ? t.ratio.chance : 1 - t.ratio.chance)} in 100.`;
  switch (t.finding) {
    case 'too few to say':
      return [`Too few casts or takes to say whether ${a} or ${b} is better.`];
    case 'cannot be separated':
      return [`Cannot be separated: you never fished ${a} and ${b} on the same outing, nor in like water.`];
    case 'no difference seen':
      return [
        ratio.middle < ALIKE
          ? `No difference seen: at best guess both bring as many takes (${first} ${interval(ratio)} times those of ${other}).`
          : `No difference seen. At best guess ${first} brings ${brings}.`,
        ...partWords(t),
      ];
    case 'leads':
      return [`Not proved yet; ${first} leads: ${brings}. ${chance}`, ...partWords(t)];
    case 'better':
      return [`${capital(first)} is better: ${brings}. ${chance}`, ...partWords(t)];
  }
}

/** Less than this apart, what was counted and what was adjusted are one. */
const PARTS = 1.15;

function partWords({ raw, ratio, together }: Told): string[] {
  const beside = together > 0 ? `Both were fished on ${several(together, 'outing')}.` : 'Never on the same outing.';
  if (raw === null || raw === 0) return [beside];
  const part = Math.max(raw / ratio.middle, ratio.middle / raw);
  return part < PARTS
    ? [beside]
    : [`${beside} As counted ${times(raw)} times; like for like ${times(ratio.middle)} times.`];
}

/** What went along with one rather than the other. */
export const alongWords = (q: Question, w: AlongWith, name: Namer): string =>
  `${capital(DIMENSION_NAMES[w.of])} ${name(w.of, w.value)}: ${percent(w.a)} of casts with ${name(q.by, q.a)}, ${percent(w.b)} with ${name(q.by, q.b)}.`;

/** Nobody makes so many casts for one question. */
const TOO_MANY = 5000;

/** How many casts more would tell. */
export function toTellWords({ toTell }: Told): string | null {
  if (!toTell) return null;
  const so = `if one is ${times(toTell.times)} times as good`;
  return toTell.casts > TOO_MANY
    ? `More casts than a season has would be needed to tell, ${so}.`
    : `${capital(about(Math.max(20, toTell.casts)))} casts more, half with each in turn, would tell ${so}.`;
}

/** What is worth trying, why, and what it costs. */
export function suggestionWords(s: Suggestion, name: Namer): { readonly title: string; readonly why: string } {
  const [fly, usual] = [name(s.by, s.name), name(s.by, s.usual)];
  return {
    title: `${capital(DIMENSION_NAMES[s.by])}: ${fly} against ${usual}`,
    why: `${castsWords(s.casts)} with ${fly} so far: between ${times(s.ratio.low)} and ${times(s.ratio.high)} times the takes of ${usual}. Fish ${s.trial / 2} casts with each in turn; knowing is worth about ${several(Math.max(1, Math.round(s.gain)), 'take')} in ${whole(s.over)} casts.`,
  };
}

/** What of a list nobody noted. */
export const notNotedWords = (outings: readonly (readonly PlacedExposure[])[], by: Dimension): string | null => {
  const all = outings.flat().filter((e) => valueOf(e, by) === undefined);
  const casts = all.reduce((n, e) => n + castsBy(e, by), 0);
  return casts > 0 ? `${castsWords(casts)} not listed: nothing noted of it.` : null;
};
