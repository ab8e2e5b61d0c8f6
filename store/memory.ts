import { createDatabase, type Database, type Storage } from './database';

/** A store that lives in memory: for tests, and for reading what a file would do before it is done. */
export function memoryStorage(): Storage & { readonly entries: Map<string, string>; fail: string | null } {
  const entries = new Map<string, string>();
  const s = {
    entries,
    fail: null as string | null,
    getItem: async (k: string) => entries.get(k) ?? null,
    getMany: async (keys: string[]) => Object.fromEntries(keys.map((k) => [k, entries.get(k) ?? null])),
    async setMany(e: Record<string, string>) {
      if (s.fail) throw new Error(s.fail);
      for (const [k, v] of Object.entries(e)) entries.set(k, v);
    },
    async removeMany(keys: string[]) {
      for (const k of keys) entries.delete(k);
    },
    getAllKeys: async () => [...entries.keys()],
  };
  return s;
}

export function memoryDatabase(storage: Storage, now = () => 1_000): Database & { runLater(): void } {
  let tail: Promise<unknown> = Promise.resolve();
  const waiting: (() => void)[] = [];
  const db = createDatabase(storage, {
    now,
    alone: (work) => {
      const next = tail.then(work, work);
      tail = next.catch(() => undefined);
      return next;
    },
    tell: () => {},
    wordFailure: async (e) => (e as Error).message,
    later: (work) => void waiting.push(work),
  });
  return { ...db, runLater: () => waiting.splice(0).forEach((w) => w()) };
}
