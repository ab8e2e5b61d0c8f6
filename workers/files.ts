import type { Offer } from '@/store/files';
import { begin, type Begun } from './beginWorker';
import type { FilesWorker } from './files.worker';
import { type Watch, watched } from './watched';

let started: Begun<FilesWorker> | null = null;
/** The worker that writes and reads whole files: parsing, checking and storing them would hold up the page. */
export const filesWorker = (): Begun<FilesWorker> =>
  (started ??= begin<FilesWorker>(new Worker(new URL('./files.worker.ts', import.meta.url)), () => (started = null)));

/** Reads a file and says what it would do; null when it was ended before. */
export const readFile = (file: Blob, watch: Watch): Promise<Offer | null> =>
  watched(filesWorker(), watch, (w, job, onShare) => w.read(job, onShare, file));
