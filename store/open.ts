import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { createDatabase, type Database } from './database';

const NAME = 'wanderung';
const CHANNEL = 'wanderung-changed';

/** Runs work under a lock shared by all tabs; a browser without locks runs it after whatever this tab is doing. */
let tail: Promise<unknown> = Promise.resolve();
function alone<T>(work: () => Promise<T>): Promise<T> {
  if (typeof navigator !== 'undefined' && navigator.locks) return navigator.locks.request(NAME, work) as Promise<T>;
  const next = tail.then(work, work);
  tail = next.catch(() => undefined);
  return next;
}

/** AsyncStorage reports a full disk without words; the browser's estimate gives them back. */
async function wordFailure(error: unknown): Promise<string> {
  const estimate = await navigator.storage?.estimate?.().catch(() => null);
  const full = estimate?.quota && estimate.usage && estimate.usage > 0.95 * estimate.quota;
  const why = full ? 'this device has no room left' : (error as Error)?.message || 'the browser refused the write';
  return `Not saved yet: ${why}. What you entered is kept while this page stays open.`;
}

let opened: { db: Database; onOtherTab: (listener: (keys: readonly string[]) => void) => () => void } | null = null;

/** The one database of this page. */
export function openDatabase() {
  if (opened) return opened;
  const listeners = new Set<(keys: readonly string[]) => void>();
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);
  if (channel) channel.onmessage = (e: MessageEvent<readonly string[]>) => listeners.forEach((l) => l(e.data));
  const db = createDatabase(createAsyncStorage(NAME), {
    now: () => Date.now(),
    alone,
    tell: (keys) => channel?.postMessage(keys),
    wordFailure,
    later: (work, ms) => void setTimeout(work, ms),
  });
  void db.recover();
  opened = {
    db,
    onOtherTab(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
  return opened;
}
