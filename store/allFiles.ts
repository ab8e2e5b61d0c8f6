import { sourceOf } from './backup';
import type { Database } from './database';
import { createFiles } from './files';
import { createGaugeFiles } from './gaugeFiles';
import { hintsFor, type ShareAsk, shareOutings } from './share';
import { createSheets, type SheetChoices } from './sheets';

/** All that goes out and in as files, spreadsheets and what is shared too: for the worker alone, since it is heavy. */
export function createAllFiles(db: Database, now: () => number) {
  const files = createFiles(db, now);
  const sheets = createSheets(db, now);
  const gauges = createGaugeFiles(now);
  return {
    ...files,
    readSheet: sheets.read,
    previewSheet: sheets.preview,
    /** Brings in the sheet that was read last, as it was chosen: all of it or nothing. */
    bringSheet: async (choices: SheetChoices): Promise<void> =>
      files.bringBackup(sourceOf(await sheets.backup(choices)), 'merge'),
    /** A gauge's file, and what it comes to. */
    openGauge: gauges.open,
    previewGauge: gauges.preview,
    /** Outings as a file for others. */
    share: (ask: ShareAsk) => shareOutings(db, ask),
    hints: (ask: Parameters<typeof hintsFor>[1]) => hintsFor(db, ask),
  };
}
