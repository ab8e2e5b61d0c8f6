import { begin, type Begun } from './beginWorker';
import type { SecondCopyWorker } from './secondCopy.worker';

let started: Begun<SecondCopyWorker> | null = null;
/** The worker that keeps the second copy of what is stored. */
export const copyWorker = (): Begun<SecondCopyWorker> =>
  (started ??= begin<SecondCopyWorker>(
    new Worker(new URL('./secondCopy.worker.ts', import.meta.url)),
    () => (started = null),
  ));
