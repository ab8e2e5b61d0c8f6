import { proxy } from 'comlink';
import type { Offer } from '@/store/files';
import { begin, type Begun } from './beginWorker';
import type { FilesWorker } from './files.worker';
import type { Watch } from './river';

let started: Begun<FilesWorker> | null = null;
/** The worker that writes and reads whole files: parsing, checking and storing them would hold up the page. */
export const filesWorker = (): Begun<FilesWorker> =>
  (started ??= begin<FilesWorker>(new Worker(new URL('./files.worker.ts', import.meta.url)), () => (started = null)));

let jobs = 0;
/** Reads a file and says what it would do; null when it was ended before. */
export async function readFile(file: Blob, { signal, onShare }: Watch): Promise<Offer | null> {
  const job = ++jobs;
  signal?.addEventListener(
    'abort',
    () =>
      void filesWorker()
        .cancel(job)
        .catch(() => undefined),
  );
  return filesWorker().read(job, onShare && proxy(onShare), file);
}
