import { openDB } from 'idb';
import type { Storage } from './storage';

/** Where AsyncStorage keeps its entries in the browser. */
const TABLE = 'entries';

interface Table {
  put(value: string, key: string): Promise<unknown>;
  delete(key: string): Promise<unknown>;
}

/** A new connection to the database that AsyncStorage keeps under a name. */
export async function reopen(name: string): Promise<Storage> {
  const db = await openDB(name, 1, { upgrade: (d) => void d.createObjectStore(TABLE) });
  // Another page that clears or renews the database is not held up.
  db.addEventListener('versionchange', () => db.close());
  /** One transaction; all of its promises are waited for, so that none fails unheard. */
  const write = async (work: (table: Table) => readonly Promise<unknown>[]) => {
    const tx = db.transaction(TABLE, 'readwrite');
    await Promise.all([...work(tx.store), tx.done]);
  };
  const get = async (key: string) => ((await db.get(TABLE, key)) as string | undefined) ?? null;
  return {
    getItem: get,
    getMany: async (keys) => Object.fromEntries(await Promise.all(keys.map(async (k) => [k, await get(k)]))),
    setMany: (entries) => write((table) => Object.entries(entries).map(([k, v]) => table.put(v, k))),
    removeMany: (keys) => write((table) => keys.map((k) => table.delete(k))),
    getAllKeys: async () => (await db.getAllKeys(TABLE)) as string[],
    clear: () => db.clear(TABLE),
    async list(prefix) {
      // The last of all strings that begin so.
      const range = IDBKeyRange.bound(prefix, `${prefix}\uffff`);
      const tx = db.transaction(TABLE);
      const [keys, values] = await Promise.all([tx.store.getAllKeys(range), tx.store.getAll(range)]);
      return keys.map((key, i) => [key as string, values[i] as string]);
    },
  };
}
