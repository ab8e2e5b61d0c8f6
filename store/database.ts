import { fold, FOLD_VERSION, type Folded, type LogEvent } from '@/core/logbook';
import type { RecordKind, Records } from './records';
import { EVENT_VERSIONS, type EventVersions, isCurrent, migrate, versionOf } from './migrations';

import { seal, unseal } from './seal';

/** What of AsyncStorage is used. */
export interface Storage {
  getItem(key: string): Promise<string | null>;
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
  getAllKeys(): Promise<string[]>;
}

/** Something stored that cannot be read: kept as it is, never overwritten. */
export interface Damaged {
  readonly key: string;
  readonly why: string;
}

export interface Status {
  /** Why writes fail, or null. What was entered is kept in memory and tried again. */
  readonly failing: string | null;
  readonly waiting: number;
  readonly damaged: readonly Damaged[];
}

export interface Envelope<K extends RecordKind = RecordKind> {
  readonly v: number;
  readonly savedAt: number;
  readonly data: Records[K];
}

/** Head of an outing's log: how many chunks and events, and what they folded to when `folded.count` were there, by the
 * rules of that version. */
interface LogHead {
  readonly v: number;
  readonly chunks: number;
  readonly count: number;
  readonly folded: { readonly v: number; readonly count: number; readonly value: FoldedLog } | null;
}
/** A stored list of events. */
interface Chunk {
  readonly versions: EventVersions;
  readonly events: readonly LogEvent[];
}
export type FoldedLog = Pick<Folded, 'tally' | 'exposures' | 'fish'>;

export const CHUNK = 200;
const HEAD_V = versionOf('log head');
const REMOVING = 'removing';
const RETRY_MS = [2_000, 5_000, 15_000, 60_000];
const chunkKey = (outingId: string, n: number) => `log/${outingId}/${String(n).padStart(5, '0')}`;
const headKey = (outingId: string) => `loghead/${outingId}`;

export type Database = ReturnType<typeof createDatabase>;

export interface DatabaseOptions {
  readonly now: () => number;
  /** Runs `work` alone among all tabs. */
  readonly alone: <T>(work: () => Promise<T>) => Promise<T>;
  /** Tells other tabs what changed. */
  readonly tell: (keys: readonly string[]) => void;
  /** Words a failed write. */
  readonly wordFailure: (error: unknown) => Promise<string>;
  readonly later: (work: () => void, ms: number) => void;
}

/**
 * Records and logs over a key-value store.
 *
 * Keys: `kind/id` holds a sealed envelope of one record; `log/outing/n` a sealed chunk of events, `loghead/outing` its
 * head. Changes read, change and write under one lock, so that tabs do not overwrite each other; each is one call of
 * setMany, which is one transaction. A write that fails stays in memory, is read from there, and is tried again.
 */
export function createDatabase(storage: Storage, o: DatabaseOptions) {
  const pending = new Map<string, string>();
  const listeners = new Set<() => void>();
  let status: Status = { failing: null, waiting: 0, damaged: [] };
  let tries = 0;
  let retrying = false;

  function setStatus(change: Partial<Status>): void {
    status = { ...status, ...change };
    listeners.forEach((l) => l());
  }

  function noteDamage(key: string, why: string): void {
    if (!status.damaged.some((d) => d.key === key)) setStatus({ damaged: [...status.damaged, { key, why }] });
  }

  async function read(key: string): Promise<string | null> {
    return pending.get(key) ?? storage.getItem(key);
  }

  async function readMany(prefix: string): Promise<[string, string][]> {
    const stored = (await storage.getAllKeys()).filter((k) => k.startsWith(prefix));
    const keys = [...new Set([...stored, ...[...pending.keys()].filter((k) => k.startsWith(prefix))])].sort();
    const values = keys.length ? await storage.getMany(keys) : {};
    return keys.flatMap((k) => {
      const value = pending.get(k) ?? values[k];
      return value === null || value === undefined ? [] : [[k, value] as [string, string]];
    });
  }

  async function write(entries: Record<string, string>): Promise<void> {
    for (const [k, v] of Object.entries(entries)) pending.set(k, v);
    await flush();
    o.tell(Object.keys(entries));
  }

  /** Writes all that waits, in one transaction. */
  async function flush(): Promise<void> {
    const batch = new Map(pending);
    if (batch.size === 0) return;
    try {
      await storage.setMany(Object.fromEntries(batch));
      for (const [k, v] of batch) if (pending.get(k) === v) pending.delete(k);
      tries = 0;
      setStatus({ failing: null, waiting: pending.size });
    } catch (error) {
      setStatus({ failing: await o.wordFailure(error), waiting: pending.size });
      if (!retrying) {
        retrying = true;
        o.later(
          () => {
            retrying = false;
            void o.alone(flush);
          },
          RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)]!,
        );
      }
    }
  }

  async function open<K extends RecordKind>(kind: K, key: string, stored: string): Promise<Envelope<K> | null> {
    try {
      const { value, intact } = unseal(stored);
      const e = value as Envelope<K>;
      if (intact && e.v === versionOf(kind)) return e;
      const { checkEnvelope } = await import('./parsers');
      return checkEnvelope(kind, value);
    } catch (error) {
      noteDamage(key, (error as Error).message);
      return null;
    }
  }

  async function openEvents(key: string, stored: string): Promise<LogEvent[] | null> {
    try {
      const { value, intact } = unseal(stored);
      if (intact && !Array.isArray(value) && isCurrent((value as Chunk).versions)) return [...(value as Chunk).events];
      const { openEventList } = await import('./parsers');
      return openEventList(value);
    } catch (error) {
      noteDamage(key, (error as Error).message);
      return null;
    }
  }

  const sealRecord = <K extends RecordKind>(kind: K, data: Records[K], savedAt = o.now()): string =>
    seal(JSON.stringify({ v: versionOf(kind), savedAt, data }));

  const sealEvents = (events: readonly LogEvent[]): string =>
    seal(JSON.stringify({ versions: EVENT_VERSIONS, events } satisfies Chunk));

  const sealHead = (h: Omit<LogHead, 'v'>): string => seal(JSON.stringify({ ...h, v: HEAD_V } satisfies LogHead));

  async function head(outingId: string, known?: string): Promise<LogHead> {
    const stored = known ?? (await read(headKey(outingId)));
    if (stored !== null) {
      try {
        const { value, intact } = unseal(stored);
        const old = value as { readonly v?: number };
        if (intact) return { ...migrate('log head', old.v ?? 1, { ...old }), v: HEAD_V } as unknown as LogHead;
      } catch {
        // Made anew from the chunks below.
      }
    }
    const chunks = await readMany(`log/${outingId}/`);
    let count = 0;
    for (const [k, c] of chunks) count += (await openEvents(k, c))?.length ?? 0;
    return { v: HEAD_V, chunks: chunks.length, count, folded: null };
  }

  /** What is stored for `outingId` with these events added; the caller writes it. */
  async function appended(outingId: string, events: readonly LogEvent[]): Promise<Record<string, string>> {
    const h = await head(outingId);
    let n = Math.max(0, h.chunks - 1);
    let last: LogEvent[] = [];
    if (h.chunks > 0) {
      const stored = await read(chunkKey(outingId, n));
      const opened = stored === null ? [] : await openEvents(chunkKey(outingId, n), stored);
      if (opened === null)
        n++; // a damaged chunk is left as it is
      else last = opened;
    }
    if (last.length >= CHUNK) {
      n++;
      last = [];
    }
    const all = [...last, ...events];
    const entries: Record<string, string> = {};
    for (let i = 0; i < all.length; i += CHUNK)
      entries[chunkKey(outingId, n + i / CHUNK)] = sealEvents(all.slice(i, i + CHUNK));
    n += Math.max(0, Math.ceil(all.length / CHUNK) - 1);
    entries[headKey(outingId)] = sealHead({ chunks: n + 1, count: h.count + events.length, folded: h.folded });
    return entries;
  }

  const db = {
    subscribe(listener: () => void): () => void {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    status: () => status,

    /** All readable records of a kind; the others are in the status. */
    async all<K extends RecordKind>(kind: K): Promise<Records[K][]> {
      return (await db.envelopes(kind)).map((e) => e.data);
    },

    async envelopes<K extends RecordKind>(kind: K): Promise<Envelope<K>[]> {
      const out: Envelope<K>[] = [];
      for (const [key, stored] of await readMany(`${kind}/`)) {
        const e = await open(kind, key, stored);
        if (e) out.push(e);
      }
      return out;
    },

    /** Checks and stores records. Throws RangeError saying what is wrong with one; then none is stored. */
    async put<K extends RecordKind>(kind: K, ...records: Records[K][]): Promise<void> {
      const { checkRecord } = await import('./parsers');
      const entries = Object.fromEntries(
        records.map((r) => [`${kind}/${r.id}`, sealRecord(kind, checkRecord(kind, r))]),
      );
      await o.alone(() => write(entries));
    },

    /** Changes one record as it is stored now, so that another tab's change to other fields is kept. */
    async update<K extends RecordKind>(
      kind: K,
      id: string,
      change: (now: Records[K] | null) => Records[K],
    ): Promise<Records[K]> {
      const { checkRecord } = await import('./parsers');
      return o.alone(async () => {
        const key = `${kind}/${id}`;
        const stored = await read(key);
        const before = stored === null ? null : await open(kind, key, stored);
        if (stored !== null && !before)
          throw new RangeError(`${kind} ${id}: what is stored is damaged and was left as it is`);
        const next = checkRecord(kind, change(before?.data ?? null));
        await write({ [key]: sealRecord(kind, next) });
        return next;
      });
    },

    async remove(kind: RecordKind, id: string): Promise<void> {
      await o.alone(async () => {
        pending.delete(`${kind}/${id}`);
        await storage.removeMany([`${kind}/${id}`]);
      });
      o.tell([`${kind}/${id}`]);
    },

    /** Appends events to an outing's log; costs the same however long the log is. */
    async append(outingId: string, ...events: LogEvent[]): Promise<void> {
      const { checkEvents } = await import('./parsers');
      const checked = checkEvents(events);
      await o.alone(async () => write(await appended(outingId, checked)));
    },

    async events(outingId: string): Promise<LogEvent[]> {
      const out: LogEvent[] = [];
      for (const [key, stored] of await readMany(`log/${outingId}/`))
        out.push(...((await openEvents(key, stored)) ?? []));
      return out;
    },

    /** What every outing's log folds to. Logs that have not changed since are read from their heads alone. */
    async folded(): Promise<{ outingId: string; count: number; log: FoldedLog }[]> {
      const fresh: Record<string, string> = {};
      const out: { outingId: string; count: number; log: FoldedLog }[] = [];
      for (const [key, stored] of await readMany('loghead/')) {
        const outingId = key.slice('loghead/'.length);
        const h = await head(outingId, stored);
        let log = h.folded?.count === h.count && h.folded.v === FOLD_VERSION ? h.folded.value : null;
        if (!log) {
          const { tally, exposures, fish } = fold(await db.events(outingId));
          log = { tally, exposures, fish };
          fresh[key] = sealHead({ ...h, folded: { v: FOLD_VERSION, count: h.count, value: log } });
        }
        out.push({ outingId, count: h.count, log });
      }
      if (Object.keys(fresh).length > 0)
        await o.alone(async () => {
          // Only where nothing was appended meanwhile.
          const still: Record<string, string> = {};
          for (const [k, v] of Object.entries(fresh)) {
            const now = await head(k.slice('loghead/'.length));
            if (now.count === (unseal(v).value as LogHead).count) still[k] = v;
          }
          if (Object.keys(still).length > 0) await write(still);
        });
      return out;
    },

    /** Writes whole records and logs in one transaction, in place of all that is stored or beside it. */
    async restore(
      records: { kind: RecordKind; envelopes: Envelope[] }[],
      logs: { outingId: string; events: LogEvent[] }[],
      mode: 'merge' | 'replace',
    ): Promise<void> {
      const entries: Record<string, string> = {};
      for (const { kind, envelopes } of records)
        for (const e of envelopes) entries[`${kind}/${e.data.id}`] = sealRecord(kind, e.data, e.savedAt);
      for (const { outingId, events } of logs) {
        for (let n = 0; n * CHUNK < Math.max(1, events.length); n++)
          entries[chunkKey(outingId, n)] = sealEvents(events.slice(n * CHUNK, (n + 1) * CHUNK));
        const chunks = Math.max(1, Math.ceil(events.length / CHUNK));
        entries[headKey(outingId)] = sealHead({ chunks, count: events.length, folded: null });
      }
      await o.alone(async () => {
        const old = mode === 'replace' ? (await storage.getAllKeys()).filter((k) => !(k in entries)) : [];
        // Keys to be removed are named in the same transaction, so that a crash in between is made good at the next start.
        if (old.length > 0) entries[REMOVING] = JSON.stringify(old);
        await storage.setMany(entries);
        if (mode === 'replace') pending.clear();
        if (old.length > 0) await storage.removeMany([...old, REMOVING]);
      });
      setStatus({ damaged: mode === 'replace' ? [] : status.damaged });
      o.tell(['*']);
    },

    /** Finishes a replacement that was cut short. */
    async recover(): Promise<void> {
      const stored = await storage.getItem(REMOVING);
      if (stored !== null) await o.alone(() => storage.removeMany([...(JSON.parse(stored) as string[]), REMOVING]));
    },

    async clear(): Promise<void> {
      await db.restore([], [], 'replace');
    },

    retry: () => o.alone(flush),
  };
  return db;
}
