/** Under what name everything is stored. */
export const STORE = 'wanderung';

/** What of AsyncStorage is used. `setMany` is one transaction. */
export interface Storage {
  getItem(key: string): Promise<string | null>;
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
  getAllKeys(): Promise<string[]>;
  clear(): Promise<void>;
  /** Entries whose keys begin so, in their order, in one request; not there: key by key. */
  list?(prefix: string): Promise<[string, string][]>;
  /** Writes more than one transaction can hold in memory, all of it or nothing; not there: `setMany` must do. */
  writeAll?(slices: AsyncIterable<ReadonlyMap<string, string>>): Promise<void>;
}

/** The store did not answer in time. */
export class SilentError extends Error {
  constructor() {
    super('the store does not answer');
  }
}

export const FIRST_ANSWER_MS = 3_000;
/** A large import on a slow phone may take long, once it is known that the store works. */
export const LATER_ANSWER_MS = 30_000;

const each = (around: <T>(call: (s: Storage) => Promise<T>) => Promise<T>): Storage => ({
  getItem: (key) => around((s) => s.getItem(key)),
  getMany: (keys) => around((s) => s.getMany(keys)),
  setMany: (entries) => around((s) => s.setMany(entries)),
  removeMany: (keys) => around((s) => s.removeMany(keys)),
  getAllKeys: () => around((s) => s.getAllKeys()),
  clear: () => around((s) => s.clear()),
  list: (prefix) => around((s) => listed(s, prefix)),
});

/** Entries whose keys begin so, in their order. */
export async function listed(s: Storage, prefix: string): Promise<[string, string][]> {
  if (s.list) return s.list(prefix);
  const keys = (await s.getAllKeys()).filter((k) => k.startsWith(prefix)).sort();
  const values = keys.length > 0 ? await s.getMany(keys) : {};
  return keys.flatMap((k) => (values[k] == null ? [] : [[k, values[k]]]));
}

/** Work that settles within `ms`. Rejects with SilentError when it does not; it may still have been done. */
export function within<T>(ms: number, work: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout>;
  const silence = new Promise<never>((_, reject) => (timer = setTimeout(() => reject(new SilentError()), ms)));
  return Promise.race([work, silence]).finally(() => clearTimeout(timer));
}

/** A store whose calls do not wait for ever: some browsers neither open nor refuse. */
export function patient(storage: Storage): Storage {
  let answered = false;
  return each(async (call) => {
    const result = await within(answered ? LATER_ANSWER_MS : FIRST_ANSWER_MS, call(storage));
    answered = true;
    return result;
  });
}

/** A store that is opened anew when a call fails, and asked once more. AsyncStorage itself keeps one connection for good. */
export function reopening(first: Storage, reopen: () => Promise<Storage>): Storage {
  let now = first;
  return each(async (call) => {
    const used = now;
    try {
      return await call(used);
    } catch (error) {
      try {
        if (now === used) now = await reopen();
      } catch {
        throw error;
      }
      return call(now);
    }
  });
}
