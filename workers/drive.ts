import { releaseProxy, type ProxyMethods } from 'comlink';

/** Work goes on for so long before messages are let in: a cancel, or the swing of the newest drag. */
const SLICE_MS = 6;
/** The share is told so seldom: whoever shows it draws a screen anew each time. */
const TOLD_MS = 200;
/** Lets in what waits. A message to oneself comes behind it at once; a timer would be held back for 4 ms, a quarter of the work
 * (HTML standard, timers: nested deeper than five levels). */
const breathe = () =>
  new Promise<void>((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

const running = new Set<number>();

export type OnShare = (share: number) => void;

/** Drives a long piece of work to its end, breathing on the way; null when it was cancelled. */
export async function drive<T>(
  job: number,
  work: Generator<number, T, undefined>,
  onShare?: OnShare,
): Promise<T | null> {
  running.add(job);
  try {
    let since = performance.now();
    let told = since;
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      const now = performance.now();
      if (now - since < SLICE_MS) continue;
      if (now - told >= TOLD_MS) {
        onShare?.(step.value);
        told = now;
      }
      await breathe();
      if (!running.has(job)) return null;
      since = performance.now();
    }
  } finally {
    running.delete(job);
    // The other side's callback came over a channel of its own: close it.
    (onShare as Partial<ProxyMethods> | undefined)?.[releaseProxy]?.();
  }
}

/** Ends a job; its promise gives null. */
export const cancel = (job: number): void => void running.delete(job);
