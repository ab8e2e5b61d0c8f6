import { listed, type Storage } from './storage';
import { NOTHING, type View } from './view';

/** How much of what was read stays in memory, in characters: a few seasons. */
const MOST = 16e6;

/** What was last read or written, for the time in which the store cannot be read. The oldest goes first. */
function createCopy() {
  const copy = new Map<string, string>();
  let size = 0;
  const drop = (key: string) => {
    size -= copy.get(key)?.length ?? 0;
    copy.delete(key);
  };
  return {
    note(key: string, value: string | null | undefined): void {
      drop(key);
      if (!value) return;
      copy.set(key, value);
      size += value.length;
      for (const oldest of copy.keys()) {
        if (size <= MOST) break;
        drop(oldest);
      }
    },
    forget(): void {
      copy.clear();
      size = 0;
    },
    get: (key: string) => copy.get(key) ?? null,
    all: () => [...copy],
  };
}

/**
 * Storage as a view that always answers: when the store cannot be read, what is known of it.
 *
 * @param failed told of each read that failed
 */
export function createKept(storage: Storage, failed: (error: unknown) => void) {
  const copy = createCopy();
  let misses = 0;
  async function or<T>(read: () => Promise<T>, known: () => Promise<T>): Promise<T> {
    try {
      return await read();
    } catch (error) {
      misses++;
      failed(error);
      return known();
    }
  }
  async function readMany(keys: readonly string[]): Promise<(string | null)[]> {
    const values = keys.length ? await storage.getMany([...keys]) : {};
    return keys.map((k) => {
      copy.note(k, values[k]);
      return values[k] || null;
    });
  }
  /** Reads that throw when the store cannot be read: what changes it must not build on what may be out of date. */
  const strict: View = {
    async get(key) {
      const value = await storage.getItem(key);
      copy.note(key, value);
      return value || null;
    },
    getMany: readMany,
    async list(prefix) {
      const entries = await listed(storage, prefix);
      for (const [k, v] of entries) copy.note(k, v);
      return entries.filter(([, v]) => v !== NOTHING);
    },
  };
  const known: View = {
    get: async (key) => copy.get(key),
    getMany: async (keys) => keys.map(copy.get),
    list: async (prefix) =>
      copy
        .all()
        .filter(([k]) => k.startsWith(prefix))
        .sort(([a], [b]) => (a < b ? -1 : 1)),
  };
  const view: View = {
    get: (key) =>
      or(
        () => strict.get(key),
        () => known.get(key),
      ),
    getMany: (keys) =>
      or(
        () => strict.getMany(keys),
        () => known.getMany(keys),
      ),
    list: (prefix) =>
      or(
        () => strict.list(prefix),
        () => known.list(prefix),
      ),
  };
  /** Writes in one transaction. */
  async function write(entries: ReadonlyMap<string, string>): Promise<void> {
    if (entries.size === 0) return;
    await storage.setMany(Object.fromEntries(entries));
    for (const [k, v] of entries) copy.note(k, v);
    const gone = [...entries].filter(([, v]) => v === NOTHING).map(([k]) => k);
    // Already as good as gone: should the sweeping fail, nothing is read from them.
    if (gone.length) await storage.removeMany(gone).catch(() => undefined);
  }
  return {
    strict,
    view,
    /** How often a read was answered from what is known only. */
    misses: () => misses,
    /** What is known of what is stored. */
    held: copy.all,
    write,
    /** Writes all slices in one go, or none of them. */
    async writeAll(slices: AsyncIterable<ReadonlyMap<string, string>>): Promise<void> {
      if (storage.writeAll) {
        await storage.writeAll(slices);
        return copy.forget();
      }
      const all = new Map<string, string>();
      for await (const slice of slices) for (const [k, v] of slice) all.set(k, v);
      await write(all);
    },
    async clear(): Promise<void> {
      await storage.clear();
      copy.forget();
    },
  };
}
