import { expose } from 'comlink';
import { createAllFiles } from '@/store/allFiles';
import type { ShareAsk } from '@/store/share';
import type { SheetChoices } from '@/store/sheets';
import { openDatabase, wordFailure } from '@/store/open';
import { cancel, drivePiecemeal, type OnShare } from './drive';

const files = createAllFiles(openDatabase().db, () => Date.now());

/** What goes wrong with a file or the store, in the user's words; nothing has changed then. */
async function worded<T>(work: Promise<T>): Promise<T> {
  try {
    return await work;
  } catch (error) {
    throw error instanceof RangeError ? error : new RangeError(`${await wordFailure(error)}.`);
  }
}

const api = {
  backup: () => worded(files.backup()),
  csv: () => worded(files.csv()),
  read: (job: number, onShare: OnShare | undefined, file: Blob) =>
    worded(files.read(file, (work) => drivePiecemeal(job, work, onShare))),
  bring: (mode: 'merge' | 'replace') => worded(files.bring(mode)),
  readSheet: (...ask: Parameters<typeof files.readSheet>) => worded(files.readSheet(...ask)),
  previewSheet: (choices: SheetChoices) => worded(files.previewSheet(choices)),
  bringSheet: (choices: SheetChoices) => worded(files.bringSheet(choices)),
  openGauge: (file: Blob) => worded(files.openGauge(file)),
  previewGauge: (...ask: Parameters<typeof files.previewGauge>) => worded((async () => files.previewGauge(...ask))()),
  share: (ask: ShareAsk) => worded(files.share(ask)),
  hints: (...ask: Parameters<typeof files.hints>) => worded(files.hints(...ask)),
  clear: () => worded(files.clear()),
  undo: () => worded(files.undo()),
  cancel,
};
export type FilesWorker = typeof api;

expose(api);
