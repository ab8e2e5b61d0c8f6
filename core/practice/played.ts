import type { LessonName } from './lessons';

/** What is asked on the practice ground. */
export const ROUND_KINDS = [
  ...(['lies', 'depth', 'speed', 'stand', 'order', 'fly', 'tip', 'angle', 'change', 'moment'] as const),
  ...(['hang', 'stay', 'day', 'luck'] as const),
] as const;
export type RoundKind = (typeof ROUND_KINDS)[number];
/** What can be asked on a run of one’s own, too. */
export const OWN_KINDS: readonly RoundKind[] = ROUND_KINDS.slice(0, ROUND_KINDS.indexOf('hang'));

/** All that is remembered: rounds, and the casting hour. */
export const GAME_KINDS = ['hour', ...ROUND_KINDS] as const;
export type GameKind = (typeof GAME_KINDS)[number];

export const GRADES = ['plain', 'middling', 'hard'] as const;
export type Grade = (typeof GRADES)[number];
/** Four things to choose among, where they have no name. */
export const LETTERS = ['A', 'B', 'C', 'D'] as const;
export type Letter = (typeof LETTERS)[number];
/** As many places as one may name. */
export const PLACES = 3;

/** How far one may be off, as a share: four times in five the truth is to lie within. */
export const SURENESS = { sure: 0.1, fairly: 0.25, 'a guess': 0.6 } as const;
export type Sureness = keyof typeof SURENESS;

/** What one may do after what a log tells; as the program itself goes on (core/cover/next.ts). */
export const STAY_CHOICES = ['same', 'planned', 'rest', 'smaller', 'higher', 'dropper', 'leave', 'over'] as const;
export type StayChoice = (typeof STAY_CHOICES)[number];

/** A round that was played, or a lesson that was answered, as it is remembered. */
export interface Played {
  readonly id: string;
  /** ms UTC */
  readonly at: number;
  readonly kind: GameKind | 'lesson';
  /** Of a lesson: which. */
  readonly lesson?: LessonName;
  readonly marks: number;
  readonly sure?: Sureness;
  readonly off?: number;
  readonly held?: boolean;
}
