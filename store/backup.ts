import type { LogEvent } from '@/core/logbook';
import { RECORD_KINDS, type RecordKind } from './records';
import { withNew } from './changes';
import type { Database, Restored } from './database';
import type { Envelope } from './envelopes';
import { EVENT_VERSIONS, type EventVersions } from './migrations';

export const BACKUP_FORMAT = 'wanderung-backup';
/** 2: logs say the versions of their events. */
export const BACKUP_VERSION = 2;

/** Everything, as written to a file (docs/formats.md). */
export interface Backup {
  readonly format: typeof BACKUP_FORMAT;
  readonly version: number;
  readonly exportedAt: string;
  readonly records: Record<RecordKind, Envelope[]>;
  readonly logs: readonly {
    readonly outingId: string;
    readonly versions: EventVersions;
    readonly events: LogEvent[];
  }[];
}

/** Gathers all that is stored. */
export async function makeBackup(db: Database, now: number): Promise<Backup> {
  const records = {} as Record<RecordKind, Envelope[]>;
  for (const kind of RECORD_KINDS) records[kind] = await db.envelopes(kind);
  const logs = [];
  for (const { data } of records.outing)
    logs.push({ outingId: data.id, versions: EVENT_VERSIONS, events: await db.events(data.id) });
  return { format: BACKUP_FORMAT, version: BACKUP_VERSION, exportedAt: new Date(now).toISOString(), records, logs };
}

export interface ImportSummary {
  readonly kinds: Record<RecordKind, { readonly added: number; readonly changed: number; readonly kept: number }>;
  readonly events: { readonly added: number; readonly kept: number };
  /** Stored now and not in the file: removed by "replace". */
  readonly onlyHere: number;
}

/** What an import would do, and what to write for a merge: the later saved of two records, the union of the events. */
export async function planImport(db: Database, backup: Backup) {
  const here = await makeBackup(db, 0);
  const kinds = {} as Record<RecordKind, { added: number; changed: number; kept: number }>;
  const merged: { kind: RecordKind; envelopes: Envelope[] }[] = [];
  let onlyHere = 0;
  for (const kind of RECORD_KINDS) {
    const mine = new Map(here.records[kind].map((e) => [e.data.id, e]));
    const count = { added: 0, changed: 0, kept: 0 };
    const envelopes: Envelope[] = [];
    for (const e of backup.records[kind]) {
      const old = mine.get(e.data.id);
      mine.delete(e.data.id);
      if (old && (JSON.stringify(old.data) === JSON.stringify(e.data) || old.savedAt >= e.savedAt)) count.kept++;
      else {
        count[old ? 'changed' : 'added']++;
        envelopes.push(e);
      }
    }
    onlyHere += mine.size;
    kinds[kind] = count;
    merged.push({ kind, envelopes });
  }
  const events = { added: 0, kept: 0 };
  const logs = backup.logs.map(({ outingId, events: theirs }) => {
    const mine = here.logs.find((l) => l.outingId === outingId)?.events ?? [];
    const known = new Set(mine.map((e) => e.id));
    const fresh = theirs.filter((e) => !known.has(e.id));
    events.added += fresh.length;
    events.kept += theirs.length - fresh.length;
    return { outingId, events: fresh.length ? [...mine, ...fresh].sort((a, b) => a.at - b.at) : mine };
  });
  const summary: ImportSummary = { kinds, events, onlyHere };
  return { summary, merged, logs };
}

/** Carries out an import in one transaction. Throws when the store refuses; then nothing has changed. */
export async function importBackup(db: Database, backup: Backup, mode: 'merge' | 'replace'): Promise<void> {
  await db.restore(async (): Promise<Restored> => {
    if (mode === 'replace') return whole(backup);
    const { merged, logs } = await planImport(db, backup);
    return { records: merged, logs };
  }, mode);
}

const whole = (b: Backup): Restored => ({
  records: RECORD_KINDS.map((kind) => ({ kind, envelopes: b.records[kind] })),
  logs: b.logs,
});

/**
 * Puts back what was stored before an import or a clearing; what was entered since then stays.
 *
 * @param brought what was imported; null when everything was cleared
 */
export async function undoImport(db: Database, before: Backup, brought: Backup | null, at: number): Promise<void> {
  await db.restore(async () => {
    const now = await makeBackup(db, at);
    const records = RECORD_KINDS.map((kind) => {
      const since = now.records[kind].filter((e) => e.savedAt > at);
      const ids = new Set(since.map((e) => e.data.id));
      return { kind, envelopes: [...before.records[kind].filter((e) => !ids.has(e.data.id)), ...since] };
    });
    const logs = new Map(before.logs.map((l) => [l.outingId, l.events]));
    const filed = new Map(brought?.logs.map((l) => [l.outingId, new Set(l.events.map((e) => e.id))]));
    for (const { outingId, events } of now.logs) {
      const since = events.filter((e) => !filed.get(outingId)?.has(e.id));
      const merged = withNew(logs.get(outingId) ?? [], since);
      if (merged.length > 0) logs.set(outingId, merged);
    }
    const kept = [...logs].map(([outingId, events]) => ({ outingId, events }));
    return { records, logs: kept };
  }, 'replace');
}
