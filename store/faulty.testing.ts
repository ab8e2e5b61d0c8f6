import type { Storage } from './storage';

/** What goes wrong with the calls of a store: nothing, or one of the ways in which browsers' stores fail. */
export type Fault =
  | 'none'
  /** Every write is refused. */
  | 'refuse'
  /** Every call throws. */
  | 'closed'
  /** Nothing can be read, but written. */
  | 'blind'
  /** The write is done, and the answer lost. */
  | 'unheard'
  /** Half of what belongs together is written, as no browser's store should do, and the call throws. */
  | 'torn'
  /** Every call takes some turns of the event loop. */
  | 'slow'
  /** Writes of more than so many characters are refused. */
  | { readonly fullAfter: number };

/** A store whose faults are set from outside while it is used. */
export function faulty(storage: Storage): Storage & { fault: Fault } {
  const pause = async () => {
    for (let i = 0; i < 5; i++) await new Promise<void>((r) => setImmediate(r));
  };
  const calling = async () => {
    if (s.fault === 'closed') throw new Error('The database connection is closing.');
    if (s.fault === 'slow') await pause();
  };
  const reading = async () => {
    await calling();
    if (s.fault === 'blind') throw new Error('not readable');
  };
  const writing = async <T>(size: number, write: () => Promise<T>): Promise<T> => {
    await calling();
    if (s.fault === 'refuse') throw new Error('refused');
    if (typeof s.fault === 'object' && size > s.fault.fullAfter) throw new Error('QuotaExceededError');
    const done = await write();
    if (s.fault === 'unheard') throw new Error('The database connection is closing.');
    return done;
  };
  const s: Storage & { fault: Fault } = {
    fault: 'none',
    getItem: async (k) => (await reading(), storage.getItem(k)),
    getMany: async (ks) => (await reading(), storage.getMany(ks)),
    getAllKeys: async () => (await reading(), storage.getAllKeys()),
    setMany: (e) =>
      writing(JSON.stringify(e).length, async () => {
        if (s.fault !== 'torn') return storage.setMany(e);
        const all = Object.entries(e);
        await storage.setMany(Object.fromEntries(all.slice(0, Math.ceil(all.length / 2))));
        throw new Error('torn');
      }),
    removeMany: (ks) => writing(0, () => storage.removeMany(ks)),
    clear: () => writing(0, () => storage.clear()),
  };
  return s;
}
