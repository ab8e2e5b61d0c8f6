import type { LogEvent } from '@/core/logbook';
import type { Rearranged } from '@/core/logbook/correct';
import { type Outing, outingOf, type RecordKind, type Records } from './records';

/**
 * One thing to be stored, as data: it can be said again to whatever is stored by then, in this page or, after a reload,
 * in the next.
 */
export type Change =
  | { readonly do: 'put'; readonly kind: RecordKind; readonly record: Records[RecordKind] }
  /** These fields of a record, the others as they are stored; where there is none, of `whenNone`. */
  | {
      readonly do: 'patch';
      readonly kind: RecordKind;
      readonly id: string;
      readonly fields: object;
      readonly whenNone: Records[RecordKind] | null;
    }
  /** An outing goes with its log. */
  | { readonly do: 'remove'; readonly kind: RecordKind; readonly id: string }
  /** Events for the log of an outing, which is made where it is missing: no log without its outing. */
  | {
      readonly do: 'append';
      readonly outingId: string;
      readonly events: readonly LogEvent[];
      readonly outing: Outing | null;
    };

export const put = <K extends RecordKind>(kind: K, record: Records[K]): Change => ({ do: 'put', kind, record });
export const patch = <K extends RecordKind>(
  kind: K,
  id: string,
  fields: Partial<Records[K]>,
  whenNone: Records[K] | null = null,
): Change => ({ do: 'patch', kind, id, fields, whenNone });
export const remove = (kind: RecordKind, id: string): Change => ({ do: 'remove', kind, id });
export const append = (outingId: string, events: readonly LogEvent[], outing: Outing | null = null): Change => ({
  do: 'append',
  outingId,
  events,
  outing,
});

/** What a correction of outings comes to: those that are kept first, since no log is without its outing. */
export const rearranged = ({ kept, appended, gone }: Rearranged): Change[] => [
  ...kept.map((facts) => put('outing', outingOf(facts))),
  ...appended.map(({ outingId, events }) => append(outingId, events)),
  ...gone.map((id) => remove('outing', id)),
];

/** A list of records with a change made in it. */
export function changed<R extends { readonly id: string }>(list: readonly R[], change: Change): R[] {
  if (change.do === 'append') return [...list];
  const id = change.do === 'put' ? change.record.id : change.id;
  const now = list.find((r) => r.id === id);
  const rest = list.filter((r) => r.id !== id);
  if (change.do === 'remove') return rest;
  const next = change.do === 'put' ? change.record : { ...(now ?? change.whenNone), ...change.fields };
  return now || change.do === 'put' || change.whenNone ? [...rest, next as unknown as R] : rest;
}

/** The list of events with those added that it does not hold yet, each once. */
export function withNew(list: readonly LogEvent[], added: readonly LogEvent[]): LogEvent[] {
  const known = new Set(list.map((e) => e.id));
  return [...list, ...added.filter((e) => !known.has(e.id) && known.add(e.id))];
}
