import { releaseProxy, type ProxyMethods } from 'comlink';

/** Work goes on for so long before messages are let in: a cancel, or the swing of the newest drag. */
const SLICE_MS = 12;
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

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
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      if (performance.now() - since < SLICE_MS) continue;
      onShare?.(step.value);
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
