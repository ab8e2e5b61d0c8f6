import { proxy } from 'comlink';
import type { OnShare } from './drive';

/** How to follow and to end a long piece of work. An ended one gives null. */
export interface Watch {
  readonly signal?: AbortSignal;
  readonly onShare?: OnShare;
}

let jobs = 0;

/** Has a worker do a long piece of work, told of by its share, ended by its signal. */
export async function watched<W extends { readonly cancel: (job: number) => Promise<unknown> }, T>(
  w: W,
  { signal, onShare }: Watch,
  start: (w: W, job: number, onShare: (OnShare & object) | undefined) => Promise<T | null>,
): Promise<T | null> {
  if (signal?.aborted) return null;
  const job = ++jobs;
  const cancel = () => void w.cancel(job).catch(() => undefined);
  signal?.addEventListener('abort', cancel);
  try {
    const result = await start(w, job, onShare && proxy(onShare));
    return signal?.aborted ? null : result;
  } finally {
    signal?.removeEventListener('abort', cancel);
  }
}
