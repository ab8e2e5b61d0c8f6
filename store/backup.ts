import type { LogEvent } from '@/core/logbook';
import { RECORD_KINDS, type RecordKind } from './records';
import { withNew } from './changes';
import type { Database, OutingEvents, Restored } from './database';
import type { Envelope } from './envelopes';
import { outingOfChunk } from './logs';
import { EVENT_VERSIONS, type EventVersions } from './migrations';

export const BACKUP_FORMAT = 'wanderung-backup';
/** 2: logs say the versions of their events. */
export const BACKUP_VERSION = 2;

export type AllRecords = Record<RecordKind, Envelope[]>;

/** A stored string that could not be read, as it is. */
interface DamagedRecord {
  readonly key: string;
  readonly stored: string;
}

/** Everything, as written to a file (docs/formats.md). */
export interface Backup {
  readonly format: typeof BACKUP_FORMAT;
  readonly version: number;
  readonly exportedAt: string;
  readonly records: AllRecords;
  readonly logs: readonly {
    readonly outingId: string;
    readonly versions: EventVersions;
    readonly events: LogEvent[];
  }[];
  /** What could not be read when it was written; not said: all could. */
  readonly damaged?: readonly DamagedRecord[];
}

/** A file of everything, of which one log is in memory at a time. */
export interface BackupSource {
  readonly records: AllRecords;
  /** The logs, each outing once, oldest event first; as often as asked. */
  readonly logs: () => AsyncIterable<OutingEvents>;
}
export const sourceOf = ({ records, logs }: Pick<Backup, 'records' | 'logs'>): BackupSource => ({
  records,
  async *logs() {
    yield* logs;
  },
});

async function recordsOf(db: Database): Promise<AllRecords> {
  const records = {} as AllRecords;
  for (const kind of RECORD_KINDS) records[kind] = await db.envelopes(kind);
  return records;
}

/** What an export leaves out: records, and entries of outings, that could not be read. */
export interface LeftOut {
  readonly records: number;
  readonly outings: readonly string[];
}

const rows = (list: readonly unknown[]): string => list.map((x) => JSON.stringify(x)).join(',\n');
/** How the records of a file end, and its logs: who reads it line by line goes by these. */
export const LOGS_BEGIN = '},"logs":[';
export const DAMAGED_BEGIN = '],"damaged":[';
export const FILE_END = ']}';

/**
 * All that is stored as the text of a file, piece by piece: JSON of one line a record and one a log.
 *
 * @returns what it leaves out
 */
export async function* writingBackup(db: Database, now: number): AsyncGenerator<string, LeftOut> {
  const head = { format: BACKUP_FORMAT, version: BACKUP_VERSION, exportedAt: new Date(now).toISOString() };
  const records = await recordsOf(db);
  yield `${JSON.stringify(head).slice(0, -1)},"records":{\n`;
  for (const [i, kind] of RECORD_KINDS.entries())
    yield `${i > 0 ? ',\n' : ''}${JSON.stringify(kind)}:[\n${rows(records[kind])}\n]`;
  yield `\n${LOGS_BEGIN}\n`;
  for (const [i, { data }] of records.outing.entries()) {
    const log = { outingId: data.id, versions: EVENT_VERSIONS, events: await db.events(data.id) };
    yield `${i > 0 ? ',\n' : ''}${JSON.stringify(log)}`;
  }
  const damaged = await db.damagedRecords();
  yield `\n${DAMAGED_BEGIN}\n${rows(damaged)}\n${FILE_END}\n`;
  const outings = damaged.flatMap(({ key }) => outingOfChunk(key) ?? []);
  return { records: damaged.length - outings.length, outings: [...new Set(outings)] };
}

/** All that is stored, at once: for tests, and for what is small. */
export async function makeBackup(db: Database, now: number): Promise<Backup> {
  let text = '';
  for await (const piece of writingBackup(db, now)) text += piece;
  return JSON.parse(text) as Backup;
}

export interface ImportSummary {
  readonly kinds: Record<RecordKind, { readonly added: number; readonly changed: number; readonly kept: number }>;
  readonly events: { readonly added: number; readonly kept: number };
  /** Stored now and not in the file: removed by "replace". */
  readonly onlyHere: number;
}

/** What an import does to the records: in numbers, and what a merge writes, the later saved of two. */
async function mergeRecords(db: Database, theirs: AllRecords) {
  const here = await recordsOf(db);
  const kinds = {} as Record<RecordKind, { added: number; changed: number; kept: number }>;
  const merged: { kind: RecordKind; envelopes: Envelope[] }[] = [];
  let onlyHere = 0;
  for (const kind of RECORD_KINDS) {
    const mine = new Map(here[kind].map((e) => [e.data.id, e]));
    const count = { added: 0, changed: 0, kept: 0 };
    const envelopes: Envelope[] = [];
    for (const e of theirs[kind]) {
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
  return { kinds, onlyHere, merged };
}

/** The events of a log that are not here yet, and those that are. */
async function freshOf(db: Database, { outingId, events }: OutingEvents) {
  const mine = await db.events(outingId);
  const known = new Set(mine.map((e) => e.id));
  return { mine, fresh: events.filter((e) => !known.has(e.id)) };
}

/** What an import would do; each log is told as it is read, for who wants to stop on the way. */
export async function planImport(db: Database, source: BackupSource): Promise<ImportSummary> {
  const { kinds, onlyHere } = await mergeRecords(db, source.records);
  const events = { added: 0, kept: 0 };
  for await (const log of source.logs()) {
    const { fresh } = await freshOf(db, log);
    events.added += fresh.length;
    events.kept += log.events.length - fresh.length;
  }
  return { kinds, events, onlyHere };
}

/**
 * Carries out an import, all of it or nothing. Throws when the store refuses; then nothing has changed.
 *
 * @returns how many entries each log has then
 */
export async function importBackup(
  db: Database,
  source: BackupSource,
  mode: 'merge' | 'replace',
): Promise<Map<string, number>> {
  await db.restore(async (): Promise<Restored> => {
    const { merged } = await mergeRecords(db, source.records);
    const all = RECORD_KINDS.map((kind) => ({ kind, envelopes: source.records[kind] }));
    return {
      records: mode === 'merge' ? merged : all,
      async *logs() {
        for await (const log of source.logs()) {
          const { mine, fresh } = mode === 'merge' ? await freshOf(db, log) : { mine: [], fresh: log.events };
          const events = mine.length > 0 ? [...mine, ...fresh].sort((a, b) => a.at - b.at) : fresh;
          if (fresh.length > 0 || mine.length === 0) yield { outingId: log.outingId, events };
        }
      },
    };
  }, mode);
  return db.counts();
}

/**
 * Puts back what was stored before an import or a clearing; what was entered since then stays.
 *
 * @param counts how many entries each log had when that was done: what stands behind them was entered since
 * @param at when that was, ms since 1970
 */
export async function undoImport(
  db: Database,
  before: BackupSource,
  counts: ReadonlyMap<string, number>,
  at: number,
): Promise<void> {
  await db.restore(async () => {
    const now = await recordsOf(db);
    const records = RECORD_KINDS.map((kind) => {
      const since = now[kind].filter((e) => e.savedAt > at);
      const ids = new Set(since.map((e) => e.data.id));
      return { kind, envelopes: [...before.records[kind].filter((e) => !ids.has(e.data.id)), ...since] };
    });
    const sinceOf = async (outingId: string) => (await db.events(outingId)).slice(counts.get(outingId) ?? 0);
    return {
      records,
      async *logs() {
        const done = new Set<string>();
        for await (const { outingId, events } of before.logs()) {
          done.add(outingId);
          yield { outingId, events: withNew(events, await sinceOf(outingId)) };
        }
        for (const { data } of now.outing) {
          const events = done.has(data.id) ? [] : await sinceOf(data.id);
          if (events.length > 0) yield { outingId: data.id, events };
        }
      },
    };
  }, 'replace');
}
