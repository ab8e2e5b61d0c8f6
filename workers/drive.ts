import { releaseProxy, type ProxyMethods } from 'comlink';

/** Work goes on for so long before messages are let in: a cancel, or the swing of the newest drag. */
const SLICE_MS = 12;
/** The share is told so seldom: whoever shows it draws a screen anew each time. */
const TOLD_MS = 400;
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

/** How a job gets on: whether it is time to let messages in, and that it was done, with the share told now and then. */
function paceOf(job: number, onShare?: OnShare) {
  let since = performance.now();
  let told = since;
  return {
    isDue: () => performance.now() - since >= SLICE_MS,
    /** Gives false when the job was cancelled. */
    async rest(share: number): Promise<boolean> {
      const now = performance.now();
      if (now - told >= TOLD_MS) {
        onShare?.(share);
        told = now;
      }
      await breathe();
      since = performance.now();
      return running.has(job);
    },
  };
}

async function during<T>(job: number, onShare: OnShare | undefined, work: () => Promise<T>): Promise<T> {
  running.add(job);
  try {
    return await work();
  } finally {
    running.delete(job);
    // The other side's callback came over a channel of its own: close it.
    (onShare as Partial<ProxyMethods> | undefined)?.[releaseProxy]?.();
  }
}

/** Drives a long piece of work to its end, breathing on the way; null when it was cancelled. */
export const drive = <T>(job: number, work: Generator<number, T, undefined>, onShare?: OnShare): Promise<T | null> =>
  during(job, onShare, async () => {
    const pace = paceOf(job, onShare);
    // What was cancelled for this one ends before it begins.
    if (!(await pace.rest(0))) return null;
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      if (pace.isDue() && !(await pace.rest(step.value))) return null;
    }
  });

/** The same for work that waits on its way: it says its share, and hears whether to go on. */
export const drivePiecemeal = <T>(
  job: number,
  work: (breathe: (share: number) => boolean | Promise<boolean>) => Promise<T>,
  onShare?: OnShare,
): Promise<T> =>
  during(job, onShare, () => {
    const pace = paceOf(job, onShare);
    return work((share) => (pace.isDue() ? pace.rest(share) : true));
  });

/** Ends a job; its promise gives null. */
export const cancel = (job: number): void => void running.delete(job);
