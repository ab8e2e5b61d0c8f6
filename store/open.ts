import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { hasCopy, openCopy } from './copy';
import { createDatabase, type Database } from './database';
import { causeOf, wordCause } from './failures';
import { createLasting, type LastingOptions, type Mended } from './lasting';
import { alone } from './lock';
import { listed, patient, reopening, type Storage, STORE, within } from './storage';
import type { Spare } from './waiting';

const CHANNEL = 'wanderung-changed';

/** Why the store fails, and what to do, without the full stop. */
export async function wordFailure(error: unknown): Promise<string> {
  const estimate = typeof navigator === 'undefined' ? undefined : navigator.storage?.estimate?.();
  const room = estimate ? await within(500, estimate).catch(() => null) : null;
  return wordCause(causeOf(error, room), error);
}

/** A page may be forbidden its `localStorage`; workers have none. */
function localSpare(): Spare | null {
  try {
    const s = globalThis.localStorage as globalThis.Storage | undefined;
    if (!s) return null;
    return {
      keys: () => Object.keys(s),
      get: (key) => s.getItem(key),
      set: (key, value) => s.setItem(key, value),
      remove: (key) => s.removeItem(key),
    };
  } catch {
    return null;
  }
}

/** An id nobody else makes. `crypto.randomUUID` needs a secure page; a phone on the bank may not have one. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}

const PAGE = 'wanderung-page/';

/** Holds a lock for as long as this page lives, so that other pages see that it does. */
function live(page: string): void {
  if (typeof navigator !== 'undefined') void navigator.locks?.request(PAGE + page, () => new Promise<never>(() => {}));
}
async function alive(): Promise<string[]> {
  const held = (await navigator.locks?.query())?.held ?? [];
  return held.flatMap(({ name }) => (name?.startsWith(PAGE) ? [name.slice(PAGE.length)] : []));
}

/** What a store lets fall beside the call that failed: that one is told (the library hears its transactions' ends only where all went well). */
function hearStray(): void {
  if (typeof window === 'undefined') return;
  window.addEventListener('unhandledrejection', (e) => {
    const reason: unknown = e.reason;
    if (reason instanceof DOMException && STRAY.includes(reason.name)) e.preventDefault();
  });
}
const STRAY = ['AbortError', 'InvalidStateError', 'TransactionInactiveError', 'UnknownError', 'QuotaExceededError'];

let opened: { db: Database; onOtherTab: (listener: (keys: readonly string[]) => void) => () => void } | null = null;

const MARK = 'wanderung-serial';
/** The number of the last transaction, beside the store. */
const localMark: LastingOptions['mark'] = {
  get: () => Number(localSpare()?.get(MARK) ?? 0) || 0,
  set(serial) {
    try {
      localSpare()?.set(MARK, String(serial));
    } catch {
      // It says less then; what is stored says it as well.
    }
  },
};
/** What was put back is told until the user has seen it, also when the page was closed meanwhile. */
const MENDED = 'wanderung-mended';
export function forgetMended(): void {
  localSpare()?.remove(MENDED);
  openDatabase().db.noteMended(null);
}
function lastMended(): Mended | null {
  try {
    return JSON.parse(localSpare()?.get(MENDED) ?? 'null') as Mended | null;
  } catch {
    return null;
  }
}
function keepMended(mended: Mended): void {
  try {
    localSpare()?.set(MENDED, JSON.stringify(mended));
  } catch {
    // Then it is told on this page only.
  }
}
/** Nothing is put back by two tabs at once. */
const aloneMending: LastingOptions['alone'] = (work) =>
  typeof navigator !== 'undefined' && navigator.locks
    ? (navigator.locks.request(`${STORE}-mending`, work) as ReturnType<typeof work>)
    : work();

/** Where storing is forbidden, the very name may throw. */
function hasIndexedDB(): boolean {
  try {
    return typeof indexedDB !== 'undefined';
  } catch {
    return false;
  }
}

/** AsyncStorage, with lists asked for in one request: it asks for each entry, and three thousand outings take a second so. */
function firstStorage(): Storage {
  const base = createAsyncStorage(STORE);
  if (!hasIndexedDB()) return base;
  let ranges: Promise<Storage> | null = null;
  const list = async (prefix: string) => {
    ranges ??= import('./reopen').then((m) => m.reopen(STORE));
    try {
      return await listed(await ranges, prefix);
    } catch (error) {
      ranges = null;
      throw error;
    }
  };
  return Object.assign(Object.create(base) as Storage, { list });
}

/** The one database of this page. */
export function openDatabase() {
  if (opened) return opened;
  const listeners = new Set<(keys: readonly string[]) => void>();
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);
  if (channel) channel.onmessage = (e: MessageEvent<readonly string[]>) => listeners.forEach((l) => l(e.data));
  const raw = reopening(firstStorage(), async () => {
    const anew = await (await import('./reopen')).reopen(STORE);
    await lasting.mend(anew);
    return anew;
  });
  const lasting = createLasting(patient(raw), {
    copy: openCopy,
    hasCopy,
    mark: localMark,
    held: () => db.held(),
    alone: aloneMending,
    onMended: (mended) => {
      keepMended(mended);
      db.noteMended(mended);
    },
  });
  const page = newId();
  live(page);
  hearStray();
  const db: Database = createDatabase(lasting.storage, {
    now: () => Date.now(),
    alone,
    tell: (keys) => channel?.postMessage(keys),
    wordFailure,
    later: (work, ms) => void setTimeout(work, ms),
    spare: localSpare(),
    copied: lasting.copied,
    page,
    alive,
  });
  db.noteMended(lastMended());
  void db.open();
  opened = {
    db,
    onOtherTab(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
  return opened;
}
