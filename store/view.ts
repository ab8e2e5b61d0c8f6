/** Stored strings by key, as they are or as they would be. */
export interface View {
  get(key: string): Promise<string | null>;
  getMany(keys: readonly string[]): Promise<(string | null)[]>;
  /** Those whose keys begin so, in the order of their keys. */
  list(prefix: string): Promise<[string, string][]>;
}

/** What stands for nothing: a key is removed in the same transaction as others are written by writing this. */
export const NOTHING = '';
const some = (value: string | null | undefined): string | null => value || null;

export interface Draft extends View {
  set(key: string, value: string): void;
  remove(key: string): void;
  readonly written: ReadonlyMap<string, string>;
}

/** A view with changes that are not written yet. */
export function draftOf(base: View): Draft {
  const written = new Map<string, string>();
  return {
    written,
    set: (key, value) => void written.set(key, value),
    remove: (key) => void written.set(key, NOTHING),
    get: async (key) => some(written.has(key) ? written.get(key) : await base.get(key)),
    async getMany(keys) {
      const below = keys.some((k) => !written.has(k)) ? await base.getMany(keys) : [];
      return keys.map((k, i) => some(written.has(k) ? written.get(k) : below[i]));
    },
    async list(prefix) {
      const all = new Map(await base.list(prefix));
      for (const [k, v] of written) if (k.startsWith(prefix)) all.set(k, v);
      return [...all].filter(([, v]) => v !== NOTHING).sort(([a], [b]) => (a < b ? -1 : 1));
    },
  };
}
