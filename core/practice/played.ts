/** What is asked on the practice ground. */
export const ROUND_KINDS = ['lies', 'depth', 'speed', 'tip', 'hang', 'luck'] as const;
export type RoundKind = (typeof ROUND_KINDS)[number];

export const GRADES = ['plain', 'middling', 'hard'] as const;
export type Grade = (typeof GRADES)[number];
/** As many places as one may name. */
export const PLACES = 3;

/** How far one may be off, as a share: four times in five the truth is to lie within. */
export const SURENESS = { sure: 0.1, fairly: 0.25, 'a guess': 0.6 } as const;
export type Sureness = keyof typeof SURENESS;

/** A round that was played, as it is remembered. */
export interface Played {
  readonly id: string;
  /** ms UTC */
  readonly at: number;
  readonly kind: RoundKind;
  readonly marks: number;
  readonly sure?: Sureness;
  readonly off?: number;
  readonly held?: boolean;
}
