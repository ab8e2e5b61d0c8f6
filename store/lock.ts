const NAME = 'wanderung';
/** A tab that the browser has put to sleep may hold the lock: what was entered waits then, and says so. */
const LONGEST_WAIT_MS = 10_000;

let tail: Promise<unknown> = Promise.resolve();

/** Runs work alone among all tabs of this browser, one after the other. Rejects when no turn comes within ten seconds. */
export function alone<T>(work: () => Promise<T>): Promise<T> {
  if (typeof navigator !== 'undefined' && navigator.locks)
    // Where the browser cannot time, it waits as long as it takes.
    return navigator.locks.request(NAME, { signal: AbortSignal.timeout?.(LONGEST_WAIT_MS) }, work) as Promise<T>;
  const turn = typeof indexedDB === 'undefined' ? work : () => inTransaction(work);
  const next = tail.then(turn, turn);
  tail = next.catch(() => undefined);
  return next;
}

/**
 * A page on a plain address has no locks. Transactions that write to one object store run one after the other in all
 * tabs (Indexed Database API 3.0, 2.7.1), so one that is kept busy is a lock; it ends with its tab.
 */
async function inTransaction<T>(work: () => Promise<T>): Promise<T> {
  let db: IDBDatabase;
  try {
    db = await openTurns();
  } catch {
    return work(); // without a database there is nothing that tabs could overwrite
  }
  let done = false;
  try {
    const turns = db.transaction('turns', 'readwrite').objectStore('turns');
    await new Promise<void>((started, failed) => {
      const again = () => {
        started();
        if (!done) turns.get(0).onsuccess = again;
      };
      const first = turns.get(0);
      first.onsuccess = again;
      first.onerror = () => failed(first.error);
    });
    return await work();
  } finally {
    done = true;
    db.close();
  }
}

function openTurns(): Promise<IDBDatabase> {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open(`${NAME}-turns`, 1);
    opening.onupgradeneeded = () => opening.result.createObjectStore('turns');
    opening.onsuccess = () => resolve(opening.result);
    opening.onerror = () => reject(opening.error);
  });
}
