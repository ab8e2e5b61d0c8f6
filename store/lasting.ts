import type { Copy } from './copyHere';
import { type Entry, entryOf } from './entry';
import { listed, type Storage, within } from './storage';
import { NOTHING } from './view';

/** The number of the last transaction, in the store itself. */
export const SERIAL = 'serial';
/** Stands for it while a store is put back: should that be cut short, it begins anew. */
const BEGUN = -1;
const CHUNKS = 'log/';
/** Lists of events that go on are copied by what is new in them: the last of so many logs are known. */
const KNOWN = 4;
/** What is written in one transaction, in characters; more goes in slices. */
const SMALL = 4e6;
const SLICE = 1e6;
/** A second copy that does not answer must not hold up what is entered. */
const COPY_MS = 5_000;
/** What the store has lost is worth waiting for, on a busy device too. */
const RECALL_MS = 30_000;
/** One that failed is left alone for so long; what it missed it gathers then. */
const REST_MS = 30_000;

/** The device has no room for more: nothing was written. */
export class NoRoomError extends Error {
  constructor() {
    super('no room left on this device');
  }
}

/** What became of a store that was found empty, or older than it was. */
export interface Mended {
  /** How many outings were put back. */
  readonly outings: number;
  /** Whether that is all there was. */
  readonly isWhole: boolean;
}

export interface LastingOptions {
  /** The second copy; null where the browser has no place for one. */
  readonly copy: () => Promise<Copy | null>;
  /** Whether there ever was one, found out cheaply. */
  readonly hasCopy: () => Promise<boolean>;
  /** Remembers the number of the last transaction beside the store; 0 where it is not known. */
  readonly mark: { get(): number; set(serial: number): void };
  /** What this page knows of what is stored. */
  readonly held: () => readonly (readonly [string, string])[];
  /** Runs work while no other tab puts anything back. */
  readonly alone: <T>(work: () => Promise<T>) => Promise<T>;
  readonly onMended: (mended: Mended) => void;
}

/**
 * A store that is told from an empty one that took its place. Each transaction has a number, which stands in the store,
 * beside it, and in a second copy; what is written goes to the copy first, so that a device without room is found out
 * before the store is touched: Chromium throws a whole database away after a write that its disk had no room for.
 */
export function createLasting(inner: Storage, o: LastingOptions) {
  let sound: Promise<void> | null = null;
  let seen = 0;
  /** The number of all that an earlier version stored, which gave none: the copy misses it. */
  let unnumbered = 0;
  let mending = false;
  /** A write failed, or nobody knows: the copy may say another thing than the store. */
  let unsure = false;
  let silentUntil = 0;
  const known = new Map<string, string>();

  const serialIn = async (s: Storage): Promise<number> => Number((await s.getItem(SERIAL)) ?? 0) || 0;
  const note = (serial: number) => {
    seen = Math.max(seen, serial);
    o.mark.set(seen);
  };
  /** The number of the last transaction, as far as this page and what stands beside the store know. */
  const lastKnown = (): number => Math.max(seen, o.mark.get());
  const openCopy = (ms: number): Promise<Copy | null> => within(ms, o.copy()).catch(() => null);
  /** What the copy says; null where there is none, or it fails. */
  async function asked<T>(ask: (copy: Copy) => Promise<T>): Promise<T | null> {
    if (Date.now() < silentUntil) return null;
    try {
      const copy = await within(COPY_MS, o.copy());
      return copy && (await within(COPY_MS, ask(copy)));
    } catch {
      silentUntil = Date.now() + REST_MS;
      return null;
    }
  }

  /** Whether a store is what it was: one without a number may be new, of an earlier version, or have been thrown away. */
  async function isSound(s: Storage): Promise<boolean> {
    const serial = await serialIn(s);
    if (serial === BEGUN) return false;
    if (serial > 0 || (await s.getAllKeys()).length > 0) {
      if (serial === 0) unnumbered = 1;
      const isThere = serial >= lastKnown();
      if (isThere) note(serial);
      return isThere;
    }
    return lastKnown() === 0 && !(await o.hasCopy());
  }

  /** Puts back what the copy and this page hold, where the store lost it. */
  async function mend(s: Storage): Promise<void> {
    if (await isSound(s)) return;
    // Thrown away once more while it is being put back: all of that begins anew.
    if (mending) throw new Error('the store was thrown away while it was put back');
    await o.alone(async () => {
      mending = true;
      try {
        if (!(await isSound(s))) await putBack(s); // another tab may have been faster
      } finally {
        mending = false;
      }
    });
  }

  /** @param isQuiet nothing was lost: it goes back to what it was */
  async function putBack(s: Storage, isQuiet = false): Promise<void> {
    const confirmed = lastKnown();
    const there = await serialIn(s);
    const copy = await openCopy(RECALL_MS);
    const recalled = copy ? await copy.recall().catch(() => null) : null;
    const copied = recalled?.serial ?? 0;
    if (Math.max(confirmed, copied) === 0 && there === 0) return; // a place for a copy, and nothing in it yet
    const isWhole = recalled !== null && recalled.isWhole && copied >= confirmed;
    // A store that lost its last entries only may still hold more than the copy.
    if (copy && copied > there) await recallInto(s, copy, isWhole);
    if (!isWhole) {
      const known = new Set(await s.getAllKeys());
      await s.setMany(Object.fromEntries(o.held().filter(([key, v]) => v !== NOTHING && !known.has(key))));
    }
    const serial = Math.max(confirmed, copied, there, 1);
    await s.setMany({ [SERIAL]: String(serial) });
    note(serial);
    if (isQuiet) return;
    o.onMended({ outings: (await s.getAllKeys()).filter((key) => key.startsWith('outing/')).length, isWhole });
  }

  /** Puts all that the copy recalls into a store. */
  async function recallInto(s: Storage, copy: Copy, isWhole: boolean): Promise<void> {
    await s.setMany({ [SERIAL]: String(BEGUN) });
    const back = new Set([SERIAL]);
    for (let slice = await copy.recalled(); slice; slice = await copy.recalled()) {
      await s.setMany(Object.fromEntries(slice));
      slice.forEach(([key]) => back.add(key));
    }
    if (isWhole) await s.removeMany((await s.getAllKeys()).filter((key) => !back.has(key)));
  }

  const checked = async (): Promise<void> => {
    sound ??= mend(inner).catch((error: unknown) => {
      sound = null;
      throw error;
    });
    await sound;
  };

  /** Writes in one transaction: to the copy first, then to the store. */
  async function write(entries: Readonly<Record<string, string>>): Promise<void> {
    const before = Math.max(await serialIn(inner), unnumbered);
    if (before < seen) {
      sound = null;
      await checked();
      throw new Error('the store was put back: what was to be written is made anew');
    }
    const serial = before + 1;
    const told = Object.entries(entries).map(([key, value]) => entryOf(key, known.get(key), value));
    const became = await asked((copy) => copy.append(before, serial, told));
    if (became === 'no room') throw new NoRoomError();
    const wasUnsure = unsure;
    unsure = true;
    await inner.setMany({ ...entries, [SERIAL]: String(serial) });
    unsure = false;
    note(serial);
    for (const [key, value] of Object.entries(entries))
      if (key.startsWith(CHUNKS)) {
        known.delete(key);
        known.set(key, value);
        if (known.size > KNOWN) known.delete(known.keys().next().value!);
      }
    if (wasUnsure || became === 'behind' || became === 'long') await renew(serial);
  }

  /** Has the copy gathered anew; only its beginning is waited for. */
  async function renew(serial: number): Promise<void> {
    if (await asked((copy) => copy.turn(serial)))
      void o
        .copy()
        .then((copy) => copy?.gather(serial))
        .catch(() => undefined);
  }

  /**
   * Writes slices of any number, all or none: they go to the copy one by one, count once their end is written there, and are
   * put in place from it. Cut short on the way, the store is put back from the copy at the next start, with all of them.
   */
  async function writeAll(slices: AsyncIterable<ReadonlyMap<string, string>>): Promise<void> {
    await checked();
    const rest = slices[Symbol.asyncIterator]();
    const first = new Map<string, string>();
    let size = 0;
    let isAll = false;
    while (!isAll && size < SMALL) {
      const next = await rest.next();
      isAll = next.done ?? false;
      for (const [key, value] of next.done ? [] : next.value) {
        first.set(key, value);
        size += value.length;
      }
    }
    const copy = isAll ? null : await openCopy(COPY_MS);
    const before = Math.max(await serialIn(inner), unnumbered);
    // It must hold all that is stored, to go back to.
    if (!copy || !(await copy.turn(before)) || !(await copy.gather(before))) {
      for (let next = isAll ? null : await rest.next(); next && !next.done; next = await rest.next())
        for (const [key, value] of next.value) first.set(key, value);
      return writeOnce(first);
    }
    const serial = before + 1;
    const gone = new Set<string>();
    let count = 0;
    let told: Entry[] = [];
    const tell = async () => {
      count += told.length;
      if (!(await copy.add(serial, told))) throw new NoRoomError();
      told = [];
      size = 0;
    };
    const add = async (slice: ReadonlyMap<string, string>) => {
      for (const [key, value] of slice) {
        gone[value === NOTHING ? 'add' : 'delete'](key);
        told.push(entryOf(key, undefined, value));
        size += value.length;
      }
      if (size >= SLICE) await tell();
    };
    try {
      await add(first);
      for (let next = await rest.next(); !next.done; next = await rest.next()) await add(next.value);
      await tell();
      if (!(await copy.end(serial, count))) throw new NoRoomError();
      await inner.setMany({ [SERIAL]: String(BEGUN) });
      await copy.recallLast();
      for (let slice = await copy.recalled(); slice; slice = await copy.recalled())
        await inner.setMany(Object.fromEntries(slice));
      await inner.setMany({ [SERIAL]: String(serial) });
    } catch (error) {
      await copy.end(before, 0); // none of it counts
      if ((await serialIn(inner)) === BEGUN) await putBack(inner, true);
      throw error;
    }
    note(serial);
    known.clear();
    await inner.removeMany([...gone]).catch(() => undefined); // read as nothing already
    await renew(serial);
  }

  async function writeOnce(entries: ReadonlyMap<string, string>): Promise<void> {
    await write(Object.fromEntries(entries));
    const gone = [...entries].filter(([, value]) => value === NOTHING).map(([key]) => key);
    await inner.removeMany(gone).catch(() => undefined);
  }

  const storage: Storage = {
    writeAll,
    getItem: async (key) => (await checked(), inner.getItem(key)),
    getMany: async (keys) => (await checked(), inner.getMany(keys)),
    getAllKeys: async () => (await checked(), (await inner.getAllKeys()).filter((key) => key !== SERIAL)),
    list: async (prefix) => (await checked(), listed(inner, prefix)),
    removeMany: async (keys) => (await checked(), inner.removeMany(keys)),
    setMany: async (entries) => (await checked(), write(entries)),
    async clear() {
      await writeOnce(new Map((await storage.getAllKeys()).map((key) => [key, NOTHING])));
      known.clear();
      await renew(seen);
    },
  };
  return {
    storage,
    /** Puts a store right that was opened anew, before anything is asked of it. */
    mend,
    /** What the copy holds under a key; null where that is nothing whole. */
    copied: (key: string) => asked((copy) => copy.value(key)),
  };
}
