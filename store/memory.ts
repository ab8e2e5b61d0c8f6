import { createDatabase, type Database, type DatabaseOptions } from './database';
import type { Storage } from './storage';
import type { Spare } from './waiting';

interface MemoryStorage extends Storage {
  readonly entries: Map<string, string>;
  /** Says why writes are refused, while they are. */
  fail: string | null;
}

/** A store that lives in memory: for tests, and for measuring without a disk. */
export function memoryStorage(): MemoryStorage {
  const entries = new Map<string, string>();
  const writing = () => {
    if (s.fail) throw new Error(s.fail);
  };
  const s: MemoryStorage = {
    entries,
    fail: null,
    getItem: async (k) => entries.get(k) ?? null,
    getMany: async (keys) => Object.fromEntries(keys.map((k) => [k, entries.get(k) ?? null])),
    async setMany(e) {
      writing();
      for (const [k, v] of Object.entries(e)) entries.set(k, v);
    },
    async removeMany(keys) {
      writing();
      for (const k of keys) entries.delete(k);
    },
    getAllKeys: async () => [...entries.keys()],
    async clear() {
      writing();
      entries.clear();
    },
  };
  return s;
}

/** A second place that lives in memory. */
export function memorySpare(): Spare & { readonly entries: Map<string, string>; full: boolean } {
  const entries = new Map<string, string>();
  const s = {
    entries,
    full: false,
    keys: () => [...entries.keys()],
    get: (k: string) => entries.get(k) ?? null,
    set(k: string, v: string) {
      if (s.full) throw new Error('no room');
      entries.set(k, v);
    },
    remove: (k: string) => void entries.delete(k),
  };
  return s;
}

/** One lock for databases that share a storage, as tabs share theirs. */
export function memoryLock(): DatabaseOptions['alone'] {
  let tail: Promise<unknown> = Promise.resolve();
  return (work) => {
    const next = tail.then(work, work);
    tail = next.catch(() => undefined);
    return next;
  };
}

let pages = 0;

/** A database as one page has it. `runLater` does what it put off, for example the next try. */
export function memoryDatabase(
  storage: Storage,
  options: Partial<DatabaseOptions> = {},
): Database & { runLater(): void } {
  const put: (() => void)[] = [];
  const db = createDatabase(storage, {
    now: () => 1_000,
    alone: memoryLock(),
    tell: () => {},
    wordFailure: async (e) => (e as Error).message,
    later: (work) => void put.push(work),
    spare: null,
    page: `page ${pages++}`,
    alive: async () => [],
    ...options,
  });
  return { ...db, runLater: () => put.splice(0).forEach((w) => w()) };
}
