import type { FishLie } from '../lies';
import { clamp, sumOf } from '../maths';
import type { PlanPoint } from '../water';
import { PLACES, SURENESS, type Sureness } from './played';
import type { DayRound, FlyRound, OrderRound, StayRound } from './judged';
import type { MomentRound } from './moment';
import type { ChosenRound, LiesRound, LuckRound, Round } from './rounds';

/** What was answered, by kind. */
export type Guess =
  | { readonly kind: 'lies'; readonly places: readonly PlanPoint[] }
  | { readonly kind: 'depth' | 'speed' | 'hang'; readonly value: number; readonly sure: Sureness }
  | { readonly kind: 'choice'; readonly choice: number }
  | { readonly kind: 'moment'; readonly atS: number }
  | { readonly kind: 'luck'; readonly chance: number };

/** What an answer is worth, 0 to 100, and how far it was off. */
export interface Marked {
  readonly marks: number;
  /** Of numbers: the logarithm of what was guessed over what is true. */
  readonly off?: number;
  /** Of numbers: whether the truth lay within what was said. */
  readonly held?: boolean;
}

/** So far from a lie’s edge a place gets half of its marks, as a share of the run’s width and length; on small water no less, m. */
const NEAR = { across: 0.1, along: 0.08, leastM: 1 } as const;

/** How much of a lie’s marks a place gets: all within it, half as far off as a rod’s length on a river of some width. */
function nearness(p: PlanPoint, lie: FishLie, { water: { run } }: LiesRound): number {
  const widthM = Math.max(...run.sections.map((s) => s.points.at(-1)!.yM));
  const off = (by: number, half: number, scale: number) =>
    Math.max(0, Math.abs(by) - half) / Math.max(NEAR.leastM, scale);
  const along = off(p.xM - lie.xM, lie.lengthM / 2, NEAR.along * run.lengthM);
  const across = off(p.yM - lie.yM, lie.widthM / 2, NEAR.across * widthM);
  return 0.5 ** (along ** 2 + across ** 2);
}

/** Places against where fish hold: the best three are full marks, each lie counts once. */
export function markLies(round: LiesRound, places: readonly PlanPoint[]): Marked {
  const { lies } = round.survey;
  const free = new Set(lies);
  let got = 0;
  for (const p of places.slice(0, PLACES)) {
    const best = [...free].sort((a, b) => b.score * nearness(p, b, round) - a.score * nearness(p, a, round))[0];
    if (!best) break;
    got += best.score * nearness(p, best, round);
    free.delete(best);
  }
  return { marks: (100 * got) / sumOf(lies.slice(0, PLACES), (l) => l.score) };
}

/** Four times in five: the level of the interval that is told (α of the interval score). */
const ALPHA = 0.2;
/** A score so much worse than the best halves the marks. */
const HALVES = 0.7;

/**
 * A number with how sure one is, by the interval score of its logarithm: width + (2/α)·how far outside (Gneiting & Raftery 2007,
 * eq. 43), which is best in the mean for whoever says what he believes. The narrowest interval that holds is full marks.
 */
export function markNumber(truth: number, value: number, sure: Sureness): Marked {
  const off = Math.log(value / truth);
  const half = Math.log(1 + SURENESS[sure]);
  const score = 2 * half + (2 / ALPHA) * Math.max(0, Math.abs(off) - half);
  const best = 2 * Math.log(1 + SURENESS.sure);
  return { marks: 100 * 0.5 ** ((score - best) / HALVES), off, held: Math.abs(off) <= half };
}

/** A round in which one of a few things is chosen. */
export type ChoiceRound = ChosenRound | OrderRound | FlyRound | StayRound | DayRound;

/** Pairs of three things. */
const PAIRS = [
  [0, 1],
  [0, 2],
  [1, 2],
] as const;
/** What each place of days is worth that are not as good: of the best. */
const OF_BEST = [1, 0.6, 0.3, 0];

/** To cast on down the run where a fish wants rest leaves that one, and covers the others. */
const CAST_ON = 0.5;

/** What each choice of a round is worth, 0 to 1; the best has 1. */
export function worthsOf(round: ChoiceRound): number[] {
  switch (round.kind) {
    case 'order': {
      const at = (order: readonly number[], of: number) => order.indexOf(of);
      return round.orders.map(
        (order) =>
          PAIRS.filter(([i, j]) => at(order, i) < at(order, j) === at(round.right, i) < at(round.right, j)).length /
          PAIRS.length,
      );
    }
    case 'fly': {
      const best = Math.max(...round.options.map((o) => o.merit));
      return round.options.map((o) => o.merit / best);
    }
    case 'stay':
      return round.choices.map((c) =>
        c === round.right ? 1 : c === 'planned' && round.right === 'rest' ? CAST_ON : 0,
      );
    case 'day':
      return round.places.map((p) => OF_BEST[p] ?? 0);
    default: {
      const worths = round.options.map(({ verdict, barred }) => (barred ? 0 : verdict.showing));
      const best = Math.max(...worths);
      return worths.map((w) => w / best);
    }
  }
}

/** A choice by what it is worth. */
export const markChoice = (round: ChoiceRound, choice: number): Marked => ({
  marks: 100 * (worthsOf(round)[choice] ?? 0),
});

/** So many seconds off halves the marks; a twelfth of the swing where that is longer. */
const OFF_S = 2;
/** A moment by how near it was told. */
export function markMoment({ truthS, swing }: MomentRound, atS: number): Marked {
  const half = Math.max(OFF_S, (swing.fishing?.toS ?? 0) / 12);
  return { marks: 100 * 0.5 ** (((atS - truthS) / half) ** 2) };
}

/** A chance by the quadratic score (Brier 1950). */
export const markLuck = ({ aIsBetter }: LuckRound, chance: number): Marked => ({
  marks: 100 * (1 - (clamp(chance, 0, 1) - (aIsBetter ? 1 : 0)) ** 2),
});

/** Whether one of a few things is chosen in a round. */
export const isChoice = (round: Round): round is ChoiceRound =>
  'options' in round || round.kind === 'order' || round.kind === 'stay' || round.kind === 'day';

/** Marks an answer to its round. @throws RangeError where the two are of different kinds */
export function markOf(round: Round, guess: Guess): Marked {
  if (round.kind === 'lies' && guess.kind === 'lies') return markLies(round, guess.places);
  if (isChoice(round) && guess.kind === 'choice') return markChoice(round, guess.choice);
  if (round.kind === 'moment' && guess.kind === 'moment') return markMoment(round, guess.atS);
  if (round.kind === 'luck' && guess.kind === 'luck') return markLuck(round, guess.chance);
  if ((round.kind === 'depth' || round.kind === 'speed' || round.kind === 'hang') && guess.kind === round.kind)
    return markNumber(round.truth, guess.value, guess.sure);
  throw new RangeError(`practice: a ${guess.kind} is no answer to a ${round.kind} round`);
}
