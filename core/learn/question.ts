import { sumBy, sumOf } from '../maths';
import { deviate } from '../maths/statistics';
import {
  castsBy,
  type Counts,
  type Dimension,
  WITHOUT_MOON,
  isEvidence,
  type PlacedExposure,
  valueOf,
} from './evidence';
import { luckOf, type Luck, type Score, scoresOf, spreadOf } from './luck';
import { type Believed, logGrid, quantileOn, weightsOf } from './posterior';
import { lnPrior, type Ratio, typicalRate } from './ratio';

/** Where something is asked: only where all of this stood. */
export type Where = Readonly<Partial<Record<Dimension, string>>>;

/** A against B, in some water, at some hour. */
export interface Question {
  readonly by: Dimension;
  readonly a: string;
  readonly b: string;
  readonly where: Where;
}

/** What went along with one of the two rather than with the other: so large a share of the casts of each had it. */
export interface AlongWith {
  readonly of: Dimension;
  readonly value: string;
  readonly a: number;
  readonly b: number;
}

type Finding = 'better' | 'leads' | 'no difference seen' | 'too few to say' | 'cannot be separated';

export interface Told {
  readonly a: Counts & { readonly rate: Believed };
  readonly b: Counts & { readonly rate: Believed };
  /** Outings on which both were shown. */
  readonly together: number;
  /** How many times as often A was taken as B, as counted; null where B was not. */
  readonly raw: number | null;
  /** The same outing by outing and under like circumstances. */
  readonly ratio: Ratio;
  readonly finding: Finding;
  /** Which of the two is ahead; null: neither. */
  readonly ahead: 'a' | 'b' | null;
  readonly alongWith: readonly AlongWith[];
  /** So many casts more, half with each, would tell if one is so many times as good; null: it is told. */
  readonly toTell: { readonly times: number; readonly casts: number } | null;
}

/** With fewer casts of either, or takes of both together, nothing is said. */
const LEAST = { casts: 30, takes: 4 } as const;
/** So sure one must be to call it, and to say that it leads. */
const SURE = 0.99;
const LEADS = 0.9;
/** Shares that differ by this much are told. */
const APART = 0.3;
/** Told together with the ratio, the most telling ones. */
const MOST_TOLD = 3;
/** A smaller difference is not worth the casts that it takes to find. */
const LEAST_TIMES = 1.5;
/** How often a difference that is there is then found. */
const POWER = 0.8;
/** Nobody makes more casts for it. */
const MOST_CASTS = 20_000;
/** Nothing is more than so many times as good as all else; steps of the grid. */
const FARTHEST = 15;
const STEPS = 41;
const EACH = logGrid(1 / FARTHEST, FARTHEST, STEPS);

const inWhere = (e: PlacedExposure, where: Where): boolean =>
  (Object.entries(where) as [Dimension, string][]).every(([of, value]) => valueOf(e, of) === value);

/**
 * How many times as often A was taken as B: the likelihood of ratio.ts in two ratios at once, that of A and that of B to all else, and what follows for
 * the one over the other. @param luck with differences
 */
function ratioOf(luck: Luck, scores: readonly Score[], a: string, b: string): Ratio & { readonly lnSd: number } {
  const spread = spreadOf(scores, [a, b]);
  const effect = (name: string) => luck.effects.get(name) ?? 1;
  const takes = sumBy(
    scores,
    (s) => s.takes,
    (s) => s.group,
  );
  // Of each outing what was to be expected of the two without their own effects, which the ratios take the place of.
  const on = luck.outings.map((o) => ({ ...o, a: 0, b: 0 }));
  for (const s of scores) {
    if (s.group === a) on[s.outing]!.a = s.mean / effect(a);
    if (s.group === b) on[s.outing]!.b = s.mean / effect(b);
  }
  const shown = on.filter((o) => o.a + o.b > 0);
  const power = Float64Array.from(shown, (o) => luck.between + o.takes);
  const rest = Float64Array.from(shown, (o) => luck.between + o.mean - effect(a) * o.a - effect(b) * o.b);
  const [ofA, ofB] = [Float64Array.from(shown, (o) => o.a), Float64Array.from(shown, (o) => o.b)];
  const logs = EACH.map((ra) =>
    EACH.map((rb) => {
      let likely = (takes.get(a) ?? 0) * Math.log(ra) + (takes.get(b) ?? 0) * Math.log(rb);
      for (let i = 0; i < power.length; i++) likely -= power[i]! * Math.log(rest[i]! + ra * ofA[i]! + rb * ofB[i]!);
      return likely / spread + lnPrior(ra / rb) + lnPrior(Math.sqrt(ra * rb));
    }),
  );
  const weights = weightsOf(logs.flat());
  // Even steps of both: a ratio is one of the differences of their numbers.
  const ratios = logGrid(1 / FARTHEST ** 2, FARTHEST ** 2, 2 * STEPS - 1);
  const byRatio = ratios.map(() => 0);
  for (let i = 0; i < STEPS; i++)
    for (let j = 0; j < STEPS; j++) byRatio[i - j + STEPS - 1]! += weights[i * STEPS + j]!;
  const at = (share: number) => quantileOn(ratios, byRatio, share);
  const inMean = (of: (ln: number) => number) => byRatio.reduce((sum, w, i) => sum + w * of(Math.log(ratios[i]!)), 0);
  const mean = inMean((ln) => ln);
  const square = inMean((ln) => (ln - mean) ** 2);
  const above = sumOf(byRatio.slice(STEPS), (w) => w) + byRatio[STEPS - 1]! / 2;
  return { middle: at(0.5), low: at(0.05), high: at(0.95), chance: above, lnSd: Math.sqrt(square) };
}

/** What went along with A rather than with B. */
function alongWith(some: readonly PlacedExposure[], { by, a, b, where }: Question): AlongWith[] {
  const sharesOf = (of: Dimension, name: string) => {
    const own = some.filter((e) => valueOf(e, by) === name && valueOf(e, of) !== undefined);
    const all = sumOf(own, (e) => e.casts);
    const sums = sumBy(
      own,
      (e) => e.casts,
      (e) => valueOf(e, of)!,
    );
    return { all, of: (value: string) => (sums.get(value) ?? 0) / all, values: [...sums.keys()] };
  };
  return WITHOUT_MOON.filter((of) => of !== by && !(of in where))
    .flatMap((of): AlongWith[] => {
      const [x, y] = [sharesOf(of, a), sharesOf(of, b)];
      if (x.all === 0 || y.all === 0) return [];
      const values = [...new Set([...x.values, ...y.values])];
      const apart = values
        .map((value) => ({ of, value, a: x.of(value), b: y.of(value) }))
        .sort((p, q) => Math.abs(q.a - q.b) - Math.abs(p.a - p.b))[0]!;
      return Math.abs(apart.a - apart.b) >= APART ? [apart] : [];
    })
    .sort((p, q) => Math.abs(q.a - q.b) - Math.abs(p.a - p.b))
    .slice(0, MOST_TOLD);
}

/**
 * Casts, half with each of two, that tell them apart with the power asked for, if one is so many times as good: the variance of the
 * logarithm of a ratio of Poisson rates is 1/takes + 1/takes (Signorini 1991, from memory).
 *
 * @param rates takes a cast of either; @param known how well it is known by now, the standard deviation of the logarithm; Infinity: not at all
 * @param spread variance of takes over that of takes that come one by one
 * @example castsToTell({ a: 0.02, b: 0.01, known: Infinity, spread: 1 }) // 6,266: 63 takes against 31
 */
export function castsToTell(o: {
  readonly a: number;
  readonly b: number;
  readonly known: number;
  readonly spread: number;
}): number {
  const wanted = (Math.log(o.a / o.b) / (deviate(SURE) + deviate(POWER))) ** 2;
  const missing = 1 / wanted - 1 / o.known ** 2;
  return missing <= 0 ? 0 : 2 * missing * o.spread * (1 / o.a + 1 / o.b);
}

/**
 * A against B: what the log says, what else differed, and how many casts more would tell.
 *
 * @param outings the exposures of each outing by itself
 */
export function ask(outings: readonly (readonly PlacedExposure[])[], q: Question): Told {
  const some = outings.map((es) => es.filter((e) => isEvidence(e) && inWhere(e, q.where)));
  const luck = luckOf(some, q.by, 'differences');
  const scores = scoresOf(luck);
  const counts = (name: string): Counts => {
    const own = some.flat().filter((e) => valueOf(e, q.by) === name);
    return { casts: sumOf(own, (e) => castsBy(e, q.by)), takes: sumOf(own, (e) => e.takes) };
  };
  const [a, b] = [counts(q.a), counts(q.b)];
  const has = (name: string) => new Set(scores.filter((s) => s.group === name).map((s) => s.outing));
  const [onA, onB] = [has(q.a), has(q.b)];
  const together = [...onA].filter((n) => onB.has(n)).length;
  const { lnSd, ...ratio } = ratioOf(luck, scores, q.a, q.b);
  const sides = {
    a: { ...a, rate: typicalRate(luck, q.a, scores) },
    b: { ...b, rate: typicalRate(luck, q.b, scores) },
  };
  const differs = alongWith(some.flat(), q);
  const sure = Math.max(ratio.chance, 1 - ratio.chance);
  const finding = findingOf({ a, b, together, sure, differs });
  const [times, low] =
    ratio.middle >= 1 ? [ratio.middle, sides.b.rate.middle] : [1 / ratio.middle, sides.a.rate.middle];
  const plain = Math.max(LEAST_TIMES, times);
  const casts = castsToTell({ a: plain * low, b: low, known: lnSd, spread: spreadOf(scores, [q.a, q.b]) });
  return {
    ...sides,
    together,
    raw: b.takes > 0 && a.casts > 0 ? a.takes / a.casts / (b.takes / b.casts) : null,
    ratio,
    finding,
    ahead: sure < LEADS || finding === 'too few to say' ? null : ratio.chance > 0.5 ? 'a' : 'b',
    alongWith: differs,
    toTell: finding === 'better' ? null : { times: plain, casts: Math.min(MOST_CASTS, casts) },
  };
}

function findingOf(o: {
  readonly a: Counts;
  readonly b: Counts;
  readonly together: number;
  readonly sure: number;
  readonly differs: readonly AlongWith[];
}): Finding {
  const isFew = Math.min(o.a.casts, o.b.casts) < LEAST.casts || o.a.takes + o.b.takes < LEAST.takes;
  if (isFew) return 'too few to say';
  // Never on one day, and in water of another kind: what made the difference cannot be known.
  if (o.together === 0 && o.differs.some((d) => Math.min(d.a, d.b) === 0)) return 'cannot be separated';
  return o.sure >= SURE ? 'better' : o.sure >= LEADS ? 'leads' : 'no difference seen';
}
