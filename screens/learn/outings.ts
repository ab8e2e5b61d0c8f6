import type { FoldedLog } from '@/store/logs';
import type { Outing } from '@/store/records';
import { several } from '@/words/counting';

/** An outing with what its log comes to. */
export interface OutingRow {
  readonly outing: Outing;
  readonly water: string;
  readonly log: FoldedLog;
}

/** Which outings are wanted; null: any. */
export interface OutingFilter {
  readonly year: number | null;
  readonly waterId: string | null;
  /** A run, by its name: what was brought in knows no more. */
  readonly run: string | null;
  readonly words: string;
}
export const ALL_OUTINGS: OutingFilter = { year: null, waterId: null, run: null, words: '' };

export const yearOf = (o: Outing): number => new Date(o.startedAt).getFullYear();

/** All that can be searched in an outing: its water, runs, notes, and what was said of fish. */
const wordsOf = ({ outing, water, log }: OutingRow): string =>
  [water, outing.notes, ...log.visits.map((v) => v.runName), ...log.notes].join(' ').toLowerCase();

/** Those that are wanted, in the order in which they come; every word must stand somewhere. */
export function wanted(rows: readonly OutingRow[], { year, waterId, run, words }: OutingFilter): OutingRow[] {
  const each = words.toLowerCase().split(/\s+/).filter(Boolean);
  return rows.filter((r) => {
    if (year !== null && yearOf(r.outing) !== year) return false;
    if (waterId !== null && r.outing.waterId !== waterId) return false;
    if (run !== null && !r.log.visits.some((v) => v.runName === run)) return false;
    if (each.length === 0) return true;
    const all = wordsOf(r);
    return each.every((w) => all.includes(w));
  });
}

/** "143 casts, 3 takes, 1 landed"; what was not counted is said to be about so many. */
export function tallyText({ tally }: Pick<FoldedLog, 'tally'>): string {
  const { casts, byHand, takes, landed, minutes } = tally;
  const effort =
    casts > 0
      ? `${byHand > 0 ? 'about ' : ''}${several(casts, 'cast')}`
      : minutes >= 30
        ? `${Math.round(minutes / 30) / 2} h`
        : 'casts not known';
  return `${effort}, ${several(takes, 'take')}${landed > 0 ? `, ${landed} landed` : ''}`;
}
