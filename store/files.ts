import { logToCsv, type OutingLog } from '@/core/formats/csv';
import { type Backup, type ImportSummary, importBackup, makeBackup, planImport, undoImport } from './backup';
import type { Database } from './database';
import { LARGEST_FILE, readingBackup, type ReadBackup, TOO_LARGE } from './readBackup';

/** What a file would do. */
export interface Offer {
  readonly summary: ImportSummary;
  readonly repaired: readonly string[];
}
/** Drives the reading of a file to its end; null when it was ended before. */
export type Drive = (work: Generator<number, ReadBackup, undefined>) => Promise<ReadBackup | null>;

/**
 * Everything out as a file and in again; holds the file that was read, and what was there before the last change, for
 * its undoing.
 */
export function createFiles(db: Database, now: () => number) {
  let read: Backup | null = null;
  let last: { readonly before: Backup; readonly brought: Backup | null; readonly at: number } | null = null;

  /** Brings in a backup, all of it or nothing; the last of them can be undone. */
  async function bringBackup(backup: Backup, mode: 'merge' | 'replace'): Promise<void> {
    const before = await makeBackup(db, now());
    await importBackup(db, backup, mode);
    last = { before, brought: backup, at: now() };
  }

  return {
    /** All that is stored, as the text of a backup. */
    backup: async (): Promise<string> => JSON.stringify(await makeBackup(db, now()), null, 1),

    /** The log of all outings as CSV, the oldest outing first. */
    async csv(): Promise<string> {
      const [outings, runs, waters] = [await db.all('outing'), await db.all('run'), await db.all('water')];
      const runNames = new Map(runs.map((r) => [r.id, r.name]));
      const logs: OutingLog[] = [];
      for (const o of outings.sort((a, b) => a.startedAt - b.startedAt)) {
        const waterName = waters.find((w) => w.id === o.waterId)?.name ?? '';
        logs.push({ outingId: o.id, waterName, runNames, events: await db.events(o.id) });
      }
      return logToCsv(logs);
    },

    /** Reads a file and says what it would do; nothing is stored. Throws RangeError that says what is wrong with it. */
    async read(file: Blob, drive: Drive): Promise<Offer | null> {
      if (file.size > LARGEST_FILE) throw new RangeError(TOO_LARGE);
      const text = await file.text().catch(() => {
        throw new RangeError('This file could not be opened: it may have been moved or changed. Choose it again.');
      });
      const done = await drive(readingBackup(text, now()));
      if (!done) return null;
      read = done.backup;
      return { summary: (await planImport(db, read)).summary, repaired: done.repaired };
    },

    /** Brings in the file that was read last, all of it or nothing. */
    async bring(mode: 'merge' | 'replace'): Promise<void> {
      if (!read) throw new RangeError('Choose the file again.');
      await bringBackup(read, mode);
    },

    bringBackup,

    async clear(): Promise<void> {
      const before = await makeBackup(db, now());
      await db.clear();
      last = { before, brought: null, at: now() };
    },

    /** Puts back what was there before the last file or clearing; what was entered since then stays. */
    async undo(): Promise<void> {
      if (!last) throw new RangeError('There is nothing to take back.');
      await undoImport(db, last.before, last.brought, last.at);
      last = null;
    },
  };
}
export type Files = ReturnType<typeof createFiles>;
