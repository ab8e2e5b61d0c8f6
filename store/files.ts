import { logToCsv, type OutingLog } from '@/formats/csv';
import {
  type BackupSource,
  importBackup,
  type ImportSummary,
  type LeftOut,
  planImport,
  undoImport,
  writingBackup,
} from './backup';
import type { Database } from './database';
import { type Breathe, Ended, fileOf } from './lines';
import { OtherLayout, readByLines, type ReadSource, readWhole } from './readBackup';

/** What a file would do. */
export interface Offer {
  readonly summary: ImportSummary;
  readonly repaired: readonly string[];
}
/** Does what reads a file, letting it breathe on the way. */
export type Drive = <T>(work: (breathe: Breathe) => Promise<T>) => Promise<T>;

/** A written file, and what it leaves out. */
interface Written {
  readonly file: Blob;
  readonly isPacked: boolean;
  readonly leftOut: LeftOut;
}

/**
 * Everything out as a file and in again; holds the file that was read, and what was there before the last change, for
 * its undoing.
 */
export function createFiles(db: Database, now: () => number) {
  let read: BackupSource | null = null;
  let last: { readonly before: Blob; readonly counts: ReadonlyMap<string, number>; readonly at: number } | null = null;

  async function written(): Promise<Written> {
    const { file, isPacked, said } = await fileOf(writingBackup(db, now()), 'application/json');
    return { file, isPacked, leftOut: said };
  }

  /** Brings in a backup, all of it or nothing; the last of them can be undone. */
  async function bringBackup(source: BackupSource, mode: 'merge' | 'replace'): Promise<void> {
    const before = (await written()).file;
    last = { before, counts: await importBackup(db, source, mode), at: now() };
  }

  return {
    /** All that is stored, as a file. */
    backup: written,

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

    /** Reads a file and says what it would do, or null when it was ended; nothing is stored. Throws RangeError that says what is
     * wrong with it. */
    async read(file: Blob, drive: Drive): Promise<Offer | null> {
      let breathing: Breathe = () => true;
      const breathe: Breathe = (share) => breathing(share);
      return drive(async (given) => {
        breathing = given;
        try {
          return await offerOf(await readByLines(file, now(), breathe));
        } catch (error) {
          if (!(error instanceof OtherLayout)) throw error;
          return offerOf(await readWhole(file, now(), breathe));
        }
      })
        .catch((error: unknown) => {
          if (error instanceof Ended) return null;
          throw error;
        })
        .finally(() => (breathing = () => true));
    },

    /** Brings in the file that was read last, all of it or nothing. */
    async bring(mode: 'merge' | 'replace'): Promise<void> {
      if (!read) throw new RangeError('Choose the file again.');
      await bringBackup(read, mode);
    },

    bringBackup,

    async clear(): Promise<void> {
      const before = (await written()).file;
      await db.clear();
      last = { before, counts: new Map(), at: now() };
    },

    /** Puts back what was there before the last file or clearing; what was entered since then stays. */
    async undo(): Promise<void> {
      if (!last) throw new RangeError('There is nothing to undo.');
      await undoImport(db, await readByLines(last.before, now(), () => true), last.counts, last.at);
      last = null;
    },
  };

  async function offerOf(source: ReadSource): Promise<Offer> {
    const summary = await planImport(db, source);
    read = source;
    return { summary, repaired: source.repaired };
  }
}
export type Files = ReturnType<typeof createFiles>;
