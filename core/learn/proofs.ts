import betaCdf from '@stdlib/stats-base-dists-beta-cdf';
import { groupBy, sumBy, sumOf } from '../maths';
import { finished } from '../maths/work';
import {
  type Dimension,
  DIMENSIONS,
  WITHOUT_MOON,
  isEvidence,
  type PlacedExposure,
  valueOf,
  castsBy,
} from './evidence';
import { luckOf, type Luck, type Score, scoresOf, spreadOf } from './luck';
import type { Believed } from './posterior';
import { type Ratio, ratioToOthers, typicalRate } from './ratio';

export type Finding = 'better' | 'worse' | 'no difference seen' | 'too few to say' | 'cannot be separated';

/** One value of what was asked by, and what is proved of it. */
export interface Proof {
  readonly name: string;
  /** As they were entered, and how many of the casts are remembered. */
  readonly casts: number;
  readonly takes: number;
  readonly byHand: number;
  /** Takes that were to be expected if it made no difference. */
  readonly expected: number;
  /** Variance of its takes over that of takes that come one by one. */
  readonly spread: number;
  readonly finding: Finding;
  /** How many times as often it was taken as all else, outing by outing and under like circumstances; of what is better or worse. */
  readonly ratio?: Ratio;
}

/** The same with how often it is taken. */
export interface Group extends Proof {
  /** Takes a cast on an outing like those on which it was shown, raw: nothing is adjusted. */
  readonly rate: Believed;
  readonly ratio: Ratio;
}

/** Groups with fewer casts, or with fewer takes both had and expected, say nothing either way. */
const LEAST = { casts: 100, takes: 4 } as const;
/** So many takes must be open to have fallen otherwise. */
const LEAST_OPEN = 1.5;
/** Of all logs in which there is no difference, so many may call any group of any list better or worse; lists of one water alone are
 * four more looks at it. Together one log in twenty. */
const FALSE_ALARMS = { 'all water': 0.03, 'one water': 0.005 } as const;
export type Budget = keyof typeof FALSE_ALARMS;
/** Where less than this of a group's casts can be held against others like them, nothing can be said of it. */
const LEAST_SHARED = 0.25;

/** What a log is asked by: the fewer there are, the less plain must a difference be. Not said: all but the moon, in all water. */
export interface Proving {
  readonly dims?: readonly Dimension[];
  readonly budget?: Budget;
}

interface Summed {
  readonly name: string;
  readonly casts: number;
  readonly takes: number;
  readonly expected: number;
  /** Takes to be expected on ordinary outings. */
  readonly mean: number;
  /** Variance of takes that come one by one, and that of takes as they bunch within outings over it. */
  readonly open: number;
  readonly spread: number;
  /** The share of what is expected that others had under the same circumstances. */
  readonly shared: number;
}

/** Of what is expected, how much others were shown beside it or in the same quarter, on the same river, in water as clear. */
function sharedOf({ cells }: Luck, by: Dimension): Map<string, number> {
  const stratum = (e: PlacedExposure) =>
    [by === 'river' || by === 'run' ? '' : e.place, e.shown.season, by === 'water' ? '' : e.shown.water].join('|');
  const all = sumBy(
    cells,
    (c) => c.mean,
    (c) => stratum(c.exposure),
  );
  const own = sumBy(
    cells,
    (c) => c.mean,
    (c) => `${c.group}|${stratum(c.exposure)}`,
  );
  const shared = new Map<string, number>();
  for (const [name, of] of groupBy(cells, (c) => c.group)) {
    if (name === undefined) continue;
    const others = sumOf(of, (c) => {
      const s = stratum(c.exposure);
      return c.mean * (1 - own.get(`${name}|${s}`)! / all.get(s)!);
    });
    shared.set(name, others / sumOf(of, (c) => c.mean));
  }
  return shared;
}

function summed(luck: Luck, scores: readonly Score[], by: Dimension): Summed[] {
  const shared = sharedOf(luck, by);
  const casts = sumBy(
    luck.cells,
    (c) => c.casts,
    (c) => c.group,
  );
  return [...groupBy(scores, (s) => s.group)].map(([name, own]) => {
    return {
      ...{ name, casts: casts.get(name)!, shared: shared.get(name) ?? 0 },
      takes: sumOf(own, (s) => s.takes),
      expected: sumOf(own, (s) => s.expected),
      mean: sumOf(own, (s) => s.mean),
      open: sumOf(own, (s) => s.variance),
      spread: spreadOf(scores, [name]),
    };
  });
}

/**
 * How seldom chance would bring so many takes, or so few: the tails of the binomial that has the same expected takes and the same
 * variance, takes and tries both divided by how much takes bunch.
 */
function tailsOf({ takes, expected, open, spread }: Summed) {
  const share = Math.min(0.999, Math.max(0.001, 1 - open / expected));
  const tries = expected / share / spread;
  const atMost = (x: number) => 1 - betaCdf(share, x + 1, Math.max(1e-9, tries - x));
  const x = takes / spread;
  return { more: x <= 0 ? 1 : betaCdf(share, x, Math.max(1e-9, tries - x + 1)), fewer: atMost(x), none: atMost(0) };
}

const enough = (g: Summed) => g.casts >= LEAST.casts && Math.max(g.takes, g.expected, g.mean) >= LEAST.takes;
const separable = (g: Summed) => g.shared >= LEAST_SHARED && g.open >= LEAST_OPEN;

/** What is asked by, and what the log says of each of its values, most casts first; nothing of what was not asked by. */
export type Lists = Readonly<Record<Dimension, readonly Proof[]>>;

/**
 * What the log proves of all that it is asked by.
 *
 * Each value is held against what else was shown on the same outings and under like circumstances (luck.ts). One is called better or
 * worse only where chance would do that to any value of any list in three logs of a hundred (Holm 1979), by the tails of a binomial with
 * takes divided by how much they bunch within outings. Values come in the order of their casts, not of their rates: ranking on noise is
 * what it is there to prevent.
 *
 * @param outings the exposures of each outing by itself: takes of one outing belong together
 */
export function* proving(
  outings: readonly (readonly PlacedExposure[])[],
  { dims = WITHOUT_MOON, budget = 'all water' }: Proving = {},
): Generator<number, Lists, undefined> {
  const asked: { by: Dimension; groups: Summed[] }[] = [];
  for (const by of dims) {
    const luck = luckOf(outings, by);
    asked.push({ by, groups: summed(luck, scoresOf(luck), by) });
    yield asked.length / (dims.length + 1);
  }
  const tried = asked.flatMap(({ groups }) => groups.filter((g) => enough(g) && separable(g)));
  const found = calledOf(tried, FALSE_ALARMS[budget]);
  const findingOf = (g: Summed): Finding =>
    !enough(g) ? 'too few to say' : !separable(g) ? 'cannot be separated' : (found.get(g) ?? 'no difference seen');
  const entered = outings.flat().filter(isEvidence);
  const lists = asked.map(({ by, groups }) => {
    const sums = (of: (e: PlacedExposure) => number) => sumBy(entered, of, (e) => valueOf(e, by));
    const [castsOf, takesOf] = [sums((e) => castsBy(e, by)), sums((e) => e.takes)];
    const byHandOf = sums((e) => (e.how === 'by hand' ? castsBy(e, by) : 0));
    const differing = groups.some((g) => found.has(g)) ? luckOf(outings, by, 'differences') : null;
    const scores = differing && scoresOf(differing);
    const list = groups
      .map((g): Proof => ({
        name: g.name,
        ...{ casts: castsOf.get(g.name)!, takes: takesOf.get(g.name)!, byHand: byHandOf.get(g.name)! },
        ...{ expected: g.expected, spread: g.spread, finding: findingOf(g) },
        ...(differing && scores && found.has(g) && { ratio: ratioToOthers(differing, g.name, g.spread, scores) }),
      }))
      .sort((a, b) => b.casts - a.casts);
    return [by, list] as const;
  });
  return Object.fromEntries([...DIMENSIONS.map((by) => [by, []] as const), ...lists]) as unknown as Lists;
}

/** Which of those that were tried are called, the plainest first, each limit by how many are left (Holm 1979). */
function calledOf(tried: readonly Summed[], falseAlarms: number): Map<Summed, 'better' | 'worse'> {
  const plain = tried
    .map((g) => {
      const { more, fewer, none } = tailsOf(g);
      return { g, more, fewer, none, least: Math.min(more, fewer) };
    })
    .sort((a, b) => a.least - b.least);
  const called = new Map<Summed, 'better' | 'worse'>();
  for (const [i, { g, more, fewer, none }] of plain.entries()) {
    const limit = falseAlarms / (plain.length - i);
    // Where even no take at all would not prove it worse, the whole of the limit goes to better (after Tarone 1990).
    const bothWays = none <= limit / 2;
    if (g.takes > g.expected && more <= (bothWays ? limit / 2 : limit)) called.set(g, 'better');
    else if (bothWays && g.takes < g.expected && fewer <= limit / 2) called.set(g, 'worse');
    else break;
  }
  return called;
}

/** One list with how often each of its values is taken. */
export function rated(
  outings: readonly (readonly PlacedExposure[])[],
  by: Dimension,
  proofs: readonly Proof[],
): Group[] {
  const luck = luckOf(outings, by, 'differences');
  const scores = scoresOf(luck);
  return proofs.map((p) => ({
    ...p,
    rate: typicalRate(luck, p.name, scores),
    ratio: ratioToOthers(luck, p.name, p.spread, scores),
  }));
}

/** What proving() finds, at once. */
export const proofsOf = (...asked: Parameters<typeof proving>): Lists => finished(proving(...asked));
