import type { Change } from './changes';
import { openRecord, recordKey, sealRecord } from './envelopes';
import { type createLogs, headKey } from './logs';
import type { RecordKind, Records } from './records';
import { type Draft, draftOf, type View } from './view';
import type { Group } from './waiting';

/**
 * Makes changes in drafts of what is stored.
 *
 * @param noteDamage told of what cannot be read; it is left as it is
 */
export function createApplying(
  logs: ReturnType<typeof createLogs>,
  now: () => number,
  noteDamage: (key: string, why: string) => void,
) {
  /** The record of a key, or null; throws RangeError where what is stored is damaged: it is left as it is. */
  async function undamaged(view: View, kind: RecordKind, id: string): Promise<Records[RecordKind] | null> {
    const key = recordKey(kind, id);
    const stored = await view.get(key);
    if (stored === null) return null;
    try {
      return (await openRecord(kind, stored)).data;
    } catch (error) {
      noteDamage(key, (error as Error).message);
      throw new RangeError(`${kind} ${id}: what is stored is damaged and was left as it is`);
    }
  }

  /** Makes a change in a draft. Throws RangeError when it cannot be: what it gives is not allowed, or damaged. */
  async function apply(draft: Draft, change: Change, again: boolean): Promise<void> {
    const { checkRecord, faultsOf } = await import('./parsers');
    const write = (kind: RecordKind, record: unknown) => {
      const faults = Object.values(faultsOf(kind, record));
      if (faults.length > 0) throw new RangeError(faults.slice(0, 3).join(' '));
      const checked = checkRecord(kind, record);
      draft.set(recordKey(kind, checked.id), sealRecord(kind, checked, now()));
    };
    switch (change.do) {
      case 'put':
        return write(change.kind, change.record);
      case 'patch': {
        const now = (await undamaged(draft, change.kind, change.id)) ?? change.whenNone;
        if (!now) throw new RangeError(`${change.kind} ${change.id}: is not here any more`);
        return write(change.kind, { ...now, ...change.fields });
      }
      case 'remove':
        if (change.kind === 'outing') await logs.remove(draft, change.id);
        return draft.remove(recordKey(change.kind, change.id));
      case 'append':
        if (change.outing && (await draft.get(recordKey('outing', change.outingId))) === null)
          write('outing', change.outing);
        return logs.append(draft, change.outingId, change.events, again);
    }
  }

  /** Makes the changes of groups in a draft, each group whole or not at all; refused ones say why. */
  async function applyAll(draft: Draft, groups: readonly Group[], again: boolean): Promise<void> {
    for (const group of groups) {
      const own = draftOf(draft);
      try {
        for (const change of group.changes) await apply(own, change, again || group.again);
        for (const [k, v] of own.written) draft.set(k, v);
      } catch (error) {
        if (!(error instanceof RangeError)) throw error;
        group.why = error;
      }
    }
  }

  /** Events that the schema does not allow never wait: they would hold up all that comes behind them. */
  async function check(groups: readonly Group[]): Promise<void> {
    const { checkEvents } = await import('./parsers');
    for (const group of groups)
      try {
        for (const c of group.checked ? [] : group.changes) if (c.do === 'append') checkEvents(c.events);
        group.checked = true;
      } catch (error) {
        group.why = error as Error;
      }
  }

  /** The key by which other tabs know what was changed. */
  const keyOf = (change: Change): string =>
    change.do === 'append'
      ? headKey(change.outingId)
      : recordKey(change.kind, change.do === 'put' ? change.record.id : change.id);

  return { applyAll, check, keyOf };
}
