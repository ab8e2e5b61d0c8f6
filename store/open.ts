import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { createDatabase, type Database } from './database';
import { causeOf, wordCause } from './failures';
import { alone } from './lock';
import { patient, reopening, within } from './storage';
import type { Spare } from './waiting';

const NAME = 'wanderung';
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

let opened: { db: Database; onOtherTab: (listener: (keys: readonly string[]) => void) => () => void } | null = null;

/** The one database of this page. */
export function openDatabase() {
  if (opened) return opened;
  const listeners = new Set<(keys: readonly string[]) => void>();
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);
  if (channel) channel.onmessage = (e: MessageEvent<readonly string[]>) => listeners.forEach((l) => l(e.data));
  const storage = reopening(createAsyncStorage(NAME), async () => (await import('./reopen')).reopen(NAME));
  const page = newId();
  live(page);
  const db = createDatabase(patient(storage), {
    now: () => Date.now(),
    alone,
    tell: (keys) => channel?.postMessage(keys),
    wordFailure,
    later: (work, ms) => void setTimeout(work, ms),
    spare: localSpare(),
    page,
    alive,
  });
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
