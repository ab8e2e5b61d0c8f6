import { openDB } from 'idb';
import type { Storage } from './storage';

/** Where AsyncStorage keeps its entries in the browser. */
const TABLE = 'entries';

/** A new connection to the database that AsyncStorage keeps under a name. */
export async function reopen(name: string): Promise<Storage> {
  const db = await openDB(name, 1, { upgrade: (d) => void d.createObjectStore(TABLE) });
  // Another page that clears or renews the database is not held up.
  db.addEventListener('versionchange', () => db.close());
  const write = async (work: (put: (v: string, k: string) => unknown, remove: (k: string) => unknown) => void) => {
    const tx = db.transaction(TABLE, 'readwrite');
    work(
      (v, k) => tx.store.put(v, k),
      (k) => tx.store.delete(k),
    );
    await tx.done;
  };
  const get = async (key: string) => ((await db.get(TABLE, key)) as string | undefined) ?? null;
  return {
    getItem: get,
    getMany: async (keys) => Object.fromEntries(await Promise.all(keys.map(async (k) => [k, await get(k)]))),
    setMany: (entries) => write((put) => Object.entries(entries).forEach(([k, v]) => put(v, k))),
    removeMany: (keys) => write((_, remove) => keys.forEach(remove)),
    getAllKeys: async () => (await db.getAllKeys(TABLE)) as string[],
    clear: () => db.clear(TABLE),
  };
}
