import { meanOf } from '../maths';
import { DAY_MS } from '../units';
import { GAME_KINDS, type GameKind, type Played, SURENESS, type Sureness } from './played';

/** One’s eye for one kind of question. */
export interface Eye {
  readonly kind: GameKind;
  readonly played: number;
  /** Of the latest rounds, 0 to 100; null: none. */
  readonly marks: number | null;
  /** How many times the truth one guesses in the mean (geometric); null where it is no number, or too few. */
  readonly bias: number | null;
  /** Whether that is more than chance: further from one than two standard errors. */
  readonly biased: boolean;
  /** Share of numbers that lay within what was said; four in five would be right. null: too few. */
  readonly held: number | null;
  /** When it is worth playing again, ms UTC; 0: it was never played. */
  readonly dueAt: number;
}

/** The latest rounds say how one is now. */
const LATEST = 10;
/** With fewer numbers nothing is said of bias or doubt. */
const LEAST = 5;
/** So good a round moves a question to the next box, so bad a one back to the first. */
const [GOOD, BAD] = [75, 50];
/** Boxes and their days (Leitner 1972: what is known comes back later; the days double, assumed). */
const BOX_DAYS = [0, 1, 2, 4, 8, 16] as const;

/** In which box a kind of question stands after its rounds. */
export function boxOf(rounds: readonly Pick<Played, 'marks'>[]): number {
  return rounds.reduce(
    (box, { marks }) => (marks >= GOOD ? Math.min(BOX_DAYS.length - 1, box + 1) : marks < BAD ? 0 : box),
    0,
  );
}

/** How often what was told held, by how sure one was; four in five would be right. */
export interface DoubtFit {
  readonly sure: Sureness;
  readonly rounds: number;
  /** 0 to 1; null: too few rounds. */
  readonly held: number | null;
}
export const doubtOf = (played: readonly Played[]): DoubtFit[] =>
  (Object.keys(SURENESS) as Sureness[]).map((sure) => {
    const told = played.filter((p) => p.sure === sure && p.held !== undefined);
    return { sure, rounds: told.length, held: told.length >= LEAST ? meanOf(told, (p) => Number(p.held)) : null };
  });

/** How far off numbers were, as a share of the truth, in the mean of each so many rounds, the oldest first; what is left over of the
 * oldest is not told. @returns empty below two groups */
export function errorsOf(played: readonly Played[], group = LEAST): number[] {
  const offs = [...played].sort((a, b) => a.at - b.at).flatMap((p) => (p.off === undefined ? [] : [Math.abs(p.off)]));
  const groups = Math.floor(offs.length / group);
  if (groups < 2) return [];
  const told = offs.slice(offs.length - groups * group);
  return Array.from({ length: groups }, (_, i) => Math.expm1(meanOf(told.slice(i * group, (i + 1) * group), (o) => o)));
}

/** One’s eye by kind of question, what is due first coming first. */
export function eyeOf(played: readonly Played[]): Eye[] {
  const all = [...played].sort((a, b) => a.at - b.at);
  return GAME_KINDS.map((kind): Eye => {
    const own = all.filter((p) => p.kind === kind);
    const latest = own.slice(-LATEST);
    const offs = own.flatMap((p) => (p.off === undefined ? [] : [p.off]));
    const mean = meanOf(offs, (o) => o);
    const sd = Math.sqrt(meanOf(offs, (o) => (o - mean) ** 2));
    const enough = offs.length >= LEAST;
    return {
      ...{ kind, played: own.length },
      marks: latest.length > 0 ? meanOf(latest, (p) => p.marks) : null,
      bias: enough ? Math.exp(mean) : null,
      biased: enough && Math.abs(mean) > (2 * sd) / Math.sqrt(offs.length),
      held: enough
        ? meanOf(
            own.filter((p) => p.held !== undefined),
            (p) => (p.held ? 1 : 0),
          )
        : null,
      dueAt: own.length > 0 ? own.at(-1)!.at + BOX_DAYS[boxOf(own)]! * DAY_MS : 0,
    };
  }).sort((a, b) => a.dueAt - b.dueAt);
}
