import { proxy, type Remote, wrap } from 'comlink';
import type { Offer } from '@/store/files';
import type { FilesWorker } from './files.worker';
import type { Watch } from './river';

let started: Remote<FilesWorker> | null = null;
/** The worker that writes and reads whole files: parsing, checking and storing them would hold up the page. */
export const filesWorker = (): Remote<FilesWorker> =>
  (started ??= wrap<FilesWorker>(new Worker(new URL('./files.worker.ts', import.meta.url))));

let jobs = 0;
/** Reads a file and says what it would do; null when it was ended before. */
export async function readFile(file: Blob, { signal, onShare }: Watch): Promise<Offer | null> {
  const job = ++jobs;
  signal?.addEventListener('abort', () => void filesWorker().cancel(job));
  return filesWorker().read(job, onShare && proxy(onShare), file);
}
