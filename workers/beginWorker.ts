import { type RemoteObject, wrap } from 'comlink';

/** What a worker offers, as promises. */
export type Begun<T> = RemoteObject<T>;

/**
 * Begins a worker. Comlink leaves what is asked of one whose script cannot be loaded without an answer for ever: here it rejects,
 * and so does all that is asked of it afterwards.
 *
 * @param lost told once when it cannot be loaded, so that the next to ask begins another
 */
export function begin<T>(worker: Worker, lost: () => void): Begun<T> {
  const remote = wrap<T>(worker) as unknown as Record<string, (...args: unknown[]) => Promise<unknown>>;
  const waiting = new Set<(why: Error) => void>();
  let answered = false;
  let why: Error | null = null;
  worker.addEventListener('error', () => {
    if (answered || why) return; // it runs: what goes wrong in it is told with the answer
    why = new Error('this part of the program didn’t load: try again, or reload the page');
    for (const reject of waiting) reject(why);
    lost();
  });
  const ask = (name: string, args: unknown[]) =>
    new Promise((resolve, reject) => {
      if (why) return reject(why);
      waiting.add(reject);
      void remote[name]!(...args)
        .finally(() => {
          answered = true;
          waiting.delete(reject);
        })
        .then(resolve, reject);
    });
  return new Proxy({} as Begun<T>, {
    get: (_, name) => (name === 'then' ? undefined : (...args: unknown[]) => ask(String(name), args)),
  });
}
