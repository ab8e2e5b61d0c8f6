import type { LogEvent } from '@/core/logbook';
import { createApplying } from './applying';
import type { Change } from './changes';
import { type Envelope, openRecord, recordKey, sealRecord } from './envelopes';
import { createKept } from './kept';
import { createLogs, headKey, outingOfChunk } from './logs';
import { type Mended, NoRoomError } from './lasting';
import type { RecordKind, Records } from './records';
import { isWhole } from './seal';
import type { Storage } from './storage';
import { markStale } from './stale';
import { createSums, type Sum } from './sums';
import { draftOf, type View } from './view';
import { createWaiting, type Spare } from './waiting';

/** Something stored that cannot be read: kept as it is, never overwritten. */
interface Damaged {
  readonly key: string;
  readonly why: string;
}

export interface Status {
  /** Why the store cannot be written or read, in the user's words, or null. What was entered is tried again. */
  readonly failing: string | null;
  /** How many changes are not stored yet. */
  readonly waiting: number;
  /** Whether all of them would survive a reload. */
  readonly copied: boolean;
  readonly damaged: readonly Damaged[];
  /** What was put back of a store that the browser had thrown away; null where it never did. */
  readonly mended: Mended | null;
  /** The share of logs that are added up, while that takes long; null: it does not. */
  readonly adding: number | null;
}
/** What became of a change when it was entered: `kept` is not stored yet, and tried again. */
export type Outcome = 'stored' | 'kept';

export type Database = ReturnType<typeof createDatabase>;

export interface DatabaseOptions {
  readonly now: () => number;
  /** Runs `work` alone among all tabs. */
  readonly alone: <T>(work: () => Promise<T>) => Promise<T>;
  /** Tells other tabs what changed. */
  readonly tell: (keys: readonly string[]) => void;
  /** Words what failed. */
  readonly wordFailure: (error: unknown) => Promise<string>;
  readonly later: (work: () => void, ms: number) => void;
  /** Where what waits is copied to; null where there is no such place. */
  readonly spare: Spare | null;
  /** What a second copy holds whole under a key, or null. */
  readonly copied: (key: string) => Promise<string | null>;
  /** A name that no other page has, and the names of those that are open, as far as the browser says. */
  readonly page: string;
  readonly alive: () => Promise<readonly string[]>;
}

const RETRY_MS = [2_000, 5_000, 15_000, 60_000];
/** How far adding up is, is told so seldom. */
const TOLD_MS = 300;
/** Asked for to see whether the store answers when nothing waits. */
const PROBE = 'probe';

/** The whole log of an outing. */
export interface OutingEvents {
  readonly outingId: string;
  readonly events: readonly LogEvent[];
}
/** Whole records and logs that take the place of what is stored under their names; logs come one by one. */
export interface Restored {
  readonly records: readonly { readonly kind: RecordKind; readonly envelopes: readonly Envelope[] }[];
  readonly logs: () => AsyncIterable<OutingEvents>;
}

/**
 * Records and logs over a key-value store (docs/reliability.md).
 *
 * What is entered goes to a list of waiting changes first. All that waits is applied to what is stored then, read under
 * one lock for all tabs, and written in one transaction. Until that has succeeded it stays in the list and reads show it.
 */
export function createDatabase(storage: Storage, o: DatabaseOptions) {
  const listeners = new Set<() => void>();
  let status: Status = { failing: null, waiting: 0, copied: true, damaged: [], mended: null, adding: null };
  let toldAt = o.now();
  let tries = 0;
  let retrying = false;

  const waiting = createWaiting(o.spare, o.page);
  const kept = createKept(storage, (error) => void failed(error));
  const logs = createLogs(noteDamage);
  const sums = createSums(logs);
  const changes = createApplying(logs, o.now, noteDamage);

  function setStatus(change: Partial<Status>): void {
    status = { ...status, ...change };
    listeners.forEach((l) => l());
  }

  function noteDamage(key: string, why: string): void {
    if (status.damaged.some((d) => d.key === key)) return;
    setStatus({ damaged: [...status.damaged, { key, why }] });
    void putRight(key).catch(() => undefined); // it stays as it is, and is told
  }

  /** Puts what cannot be read back as the second copy has it; a log without it counts what can be read. */
  async function putRight(key: string): Promise<void> {
    const whole = await o.copied(key);
    if (whole === null) {
      const outingId = outingOfChunk(key);
      if (outingId === null) return;
      await o.alone(async () => {
        const draft = draftOf(kept.strict);
        await logs.recount(draft, outingId);
        await kept.write(draft.written);
      });
      return o.tell([headKey(outingId)]);
    }
    const done = await o.alone(async () => {
      const stored = await kept.strict.get(key);
      if (stored === null || isWhole(stored)) return false;
      await kept.write(new Map([[key, whole]]));
      return true;
    });
    if (!done) return;
    setStatus({ damaged: status.damaged.filter((d) => d.key !== key) });
    o.tell([key]);
  }

  async function failed(error: unknown): Promise<void> {
    waiting.all().forEach((g) => (g.again = true));
    if (!retrying) {
      retrying = true;
      o.later(
        () => {
          retrying = false;
          void flush();
        },
        RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)]!,
      );
    }
    // Without room on the device the place beside the store cannot be trusted with it either.
    const copied = waiting.copied() && !(error instanceof NoRoomError);
    setStatus({ failing: await o.wordFailure(error), waiting: waiting.size(), copied });
  }

  /** Writes all that waits, in one transaction; the caller holds the lock. Throws when the store fails. */
  async function writeWaiting(): Promise<void> {
    const groups = waiting.all();
    if (groups.length === 0) {
      if (status.failing !== null) await storage.getItem(PROBE);
      return;
    }
    try {
      await changes.check(groups);
      const draft = draftOf(kept.strict);
      await changes.applyAll(
        draft,
        groups.filter((g) => !g.why),
        false,
      );
      await kept.write(draft.written);
    } catch (error) {
      groups.forEach((g) => (g.again = true));
      throw error;
    }
    for (const g of groups) {
      g.state = g.why ? 'refused' : 'stored';
      if (g.why && g.again) noteDamage('a change that waited', g.why.message);
    }
    waiting.settle(groups);
    o.tell([...new Set(groups.flatMap((g) => g.changes.map(changes.keyOf)))]);
  }

  /** Stores what waits, or says why not. */
  async function flush(): Promise<void> {
    try {
      await o.alone(writeWaiting);
      tries = 0;
      if (status.failing !== null || status.waiting > 0)
        setStatus({ failing: null, waiting: waiting.size(), copied: waiting.copied() });
    } catch (error) {
      await failed(error);
    }
  }

  /**
   * What is stored, with what waits.
   *
   * @param held only what could not be stored: events that are on their way for the first time are not said to be there
   */
  async function reading(held = false): Promise<View> {
    const groups = waiting.all().filter((g) => !held || g.again);
    if (groups.length === 0) return kept.view;
    const draft = draftOf(kept.view);
    await changes.applyAll(
      draft,
      groups.map((g) => ({ ...g })),
      true,
    );
    return draft;
  }

  /** What to write for whole records and logs, a log at a time. */
  async function* restoring({ records, logs: all }: Restored, mode: 'merge' | 'replace') {
    const draft = draftOf(kept.strict);
    if (mode === 'replace') for (const key of await storage.getAllKeys()) draft.remove(key);
    for (const { kind, envelopes } of records)
      for (const e of envelopes) draft.set(recordKey(kind, e.data.id), sealRecord(kind, e.data, e.savedAt));
    yield draft.written;
    const outings: string[] = [];
    for await (const log of all()) {
      const one = draftOf(kept.strict);
      logs.replace(one, log);
      outings.push(log.outingId);
      yield one.written;
    }
    const last = draftOf(kept.strict);
    await markStale(last, outings);
    yield last.written;
  }

  const db = {
    subscribe(listener: () => void): () => void {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    status: () => status,

    /** Takes over what an earlier page could not store. Once, at the start. */
    async open(): Promise<void> {
      waiting.adopt(await o.alive().catch(() => []));
      if (waiting.size() > 0) await flush();
    },

    /**
     * Enters changes that belong together: all are stored, or none.
     *
     * @throws RangeError saying what is wrong with one of them; then nothing is kept of any
     */
    async commit(...changes: Change[]): Promise<Outcome> {
      const group = waiting.add(changes);
      await flush();
      if (group.why) {
        waiting.settle([group]);
        throw group.why;
      }
      return group.state === 'stored' ? 'stored' : 'kept';
    },

    /** All readable records of a kind; the others are in the status. */
    async all<K extends RecordKind>(kind: K): Promise<Records[K][]> {
      return (await db.envelopes(kind)).map((e) => e.data);
    },

    async envelopes<K extends RecordKind>(kind: K): Promise<Envelope<K>[]> {
      const out: Envelope<K>[] = [];
      for (const [key, stored] of await (await reading()).list(`${kind}/`))
        try {
          out.push(await openRecord(kind, stored));
        } catch (error) {
          noteDamage(key, (error as Error).message);
        }
      return out;
    },

    async events(outingId: string): Promise<LogEvent[]> {
      return logs.events(await reading(true), outingId);
    },

    /** How many entries each log has. */
    counts: async (): Promise<Map<string, number>> => logs.counts(await reading(true)),

    /** What was found damaged until now, as it is stored. */
    async damagedRecords(): Promise<{ key: string; stored: string }[]> {
      const keys = status.damaged.map((d) => d.key);
      return (await kept.view.getMany(keys)).flatMap((stored, i) =>
        stored === null ? [] : [{ key: keys[i]!, stored }],
      );
    },

    /** What every outing's log folds to; only logs that have changed since the sums were kept are read. */
    async folded(): Promise<Sum[]> {
      toldAt = o.now();
      const misses = kept.misses();
      const read = await sums.read(await reading(true), (share) => {
        const since = o.now();
        if (since - toldAt < TOLD_MS) return;
        toldAt = since;
        setStatus({ adding: share });
      });
      if (status.adding !== null) setStatus({ adding: null });
      const whole = kept.misses() === misses && waiting.size() === 0;
      // For the next time; that may fail.
      if (whole && (read.heads.size > 0 || read.rewrite))
        await o.alone(async () => kept.write((await sums.keep(kept.strict, read)).written)).catch(() => undefined);
      return read.sums;
    },

    /**
     * Writes whole records and logs, all or none of them, in place of all that is stored or beside it.
     *
     * @param make what to write, made from what is stored while no tab can change it
     * @throws when the store refuses; then nothing has changed
     */
    async restore(make: () => Promise<Restored>, mode: 'merge' | 'replace'): Promise<void> {
      await o.alone(async () => {
        await writeWaiting();
        await kept.writeAll(restoring(await make(), mode));
      });
      setStatus({ damaged: mode === 'replace' ? [] : status.damaged });
      o.tell(['*']);
    },

    /** Removes everything at once. Throws when the store refuses; then nothing has changed. */
    async clear(): Promise<void> {
      await o.alone(async () => {
        await kept.clear();
        waiting.settle(waiting.all());
      });
      setStatus({ damaged: [], waiting: 0 });
      o.tell(['*']);
    },

    retry: flush,

    /** What this page knows of what is stored. */
    held: kept.held,
    /** What to tell of a store that was put back; null when it was seen. */
    noteMended(mended: Mended | null): void {
      if (mended !== status.mended) setStatus({ mended });
      if (mended) o.tell(['*']);
    },
  };
  return db;
}
