import { createDatabase, type Database, type DatabaseOptions } from './database';
import type { Copy } from './copyHere';
import { type CopyFiles, createSecondCopy } from './secondCopy';
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

/** Files that live in memory; `roomBytes` is how much more fits, `tear` ends the next addition after so many bytes. */
export function memoryFiles(): CopyFiles & {
  readonly files: Map<string, Uint8Array>;
  roomBytes: number;
  tear: number;
} {
  const files = new Map<string, Uint8Array>();
  const f = {
    files,
    roomBytes: Infinity,
    tear: Infinity,
    list: async () => [...files.keys()],
    size: async (name: string) => files.get(name)?.length ?? 0,
    async append(name: string, bytes: Uint8Array, spareBytes: number) {
      if (bytes.length + spareBytes > f.roomBytes) return null;
      f.roomBytes -= bytes.length;
      const old = files.get(name) ?? new Uint8Array(0);
      const kept = Math.min(bytes.length, f.tear);
      const all = new Uint8Array(old.length + kept);
      all.set(old);
      all.set(bytes.subarray(0, kept), old.length);
      files.set(name, all);
      if (kept < bytes.length) throw new Error('the page was closed');
      return all.length;
    },
    read: async (name: string, from: number, to: number) => files.get(name)!.slice(from, to),
    remove: async (name: string) => void files.delete(name),
  };
  return f;
}

/** A second copy in files that live in memory, of a store that does. */
export function memoryCopy(files: CopyFiles, stored: ReadonlyMap<string, string>): Copy {
  const copy = createSecondCopy(files);
  let values: AsyncGenerator<[string, string][]> | null = null;
  async function* all(): AsyncGenerator<[string, string][]> {
    yield [...stored];
  }
  return {
    ...copy,
    gather: (serial) => copy.gather(serial, all()),
    async recall() {
      const { values: held, ...rest } = await copy.open();
      values = held();
      return rest;
    },
    recallLast: async () => void (values = (await copy.last()).values()),
    recalled: async () => ((await values!.next()).value as [string, string][] | undefined) ?? null,
  };
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
    copied: async () => null,
    page: `page ${pages++}`,
    alive: async () => [],
    ...options,
  });
  return { ...db, runLater: () => put.splice(0).forEach((w) => w()) };
}
