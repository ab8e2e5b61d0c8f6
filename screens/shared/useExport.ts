import { addTallies, EMPTY_TALLY } from '@/core/logbook';
import type { LeftOut } from '@/store/backup';
import { useSettings, useStoreStatus } from '@/store/hooks';
import { openDatabase } from '@/store/open';
import { canShare, download, share } from './files';
import { dayOf, longDayText } from './time';
import { several } from '@/words/counting';

/** What writes files: a worker; while the store fails this page itself, which holds what is not stored. */
async function writer(failing: boolean) {
  if (!failing) return (await import('@/workers/files')).filesWorker();
  const { createFiles } = await import('@/store/parsers');
  return createFiles(openDatabase().db, Date.now);
}

/** What an export leaves out, with the outings by name. */
async function leftOutWords({ records, outings }: LeftOut): Promise<string | null> {
  if (records === 0 && outings.length === 0) return null;
  const { db } = openDatabase();
  const [all, waters] = [await db.all('outing'), await db.all('water')];
  const names = all
    .filter((o) => outings.includes(o.id))
    .map((o) => `${waters.find((w) => w.id === o.waterId)?.name ?? 'a water'}, ${longDayText(o.startedAt)}`);
  const shown = names.slice(0, NAMED).join('; ') + (names.length > NAMED ? `; and ${names.length - NAMED} more` : '');
  const parts = [
    names.length > 0 ? `entries of ${several(names.length, 'outing')} (${shown})` : '',
    records > 0 ? several(records, 'record') : '',
  ];
  return `Exported, except ${parts.filter(Boolean).join(' and ')} that can’t be read. The file holds them as they are stored. Import an earlier export if it has them whole.`;
}
/** So many outings are named. */
const NAMED = 4;

/** A file that waits to be sent. */
export interface ToSend {
  readonly name: string;
  readonly type: string;
  readonly file: Blob;
  /** What it leaves out, in words, or null. */
  readonly leftOut: string | null;
}

/** All that is stored as a file, its name, and what it leaves out. */
async function written(failing: boolean) {
  const { file, isPacked, leftOut } = await (await writer(failing)).backup();
  const name = `wanderung-${dayOf(Date.now())}.json${isPacked ? '.gz' : ''}`;
  return { file, name, leftOut: await leftOutWords(leftOut) };
}

/** All that is stored, and what waits, as files. */
export function useExport() {
  const [, setSettings] = useSettings();
  const failing = useStoreStatus().failing !== null;
  const wentOut = async () => {
    const sums = (await openDatabase().db.folded()).map((f) => f.log.tally).reduce(addTallies, EMPTY_TALLY);
    setSettings({ exported: { at: Date.now(), casts: sums.casts - sums.byHand } });
  };
  return {
    /** @returns what the file leaves out, in words, or null */
    everything: async (): Promise<string | null> => {
      const { file, name, leftOut } = await written(failing);
      download(name, file.type, file);
      await wentOut();
      return leftOut;
    },
    /** The same as a file that the device’s own sheet takes; null where it takes none. */
    toSend: async (): Promise<ToSend | null> => {
      const { file, name, leftOut } = await written(failing);
      // Some sheets take plain text only: the file is read by what stands in it.
      const as = [
        { name, type: file.type },
        { name: `${name}.txt`, type: 'text/plain' },
      ].find((f) => canShare(f.name, f.type));
      return as ? { ...as, file, leftOut } : null;
    },
    /** Hands it over. @returns whether it went */
    send: async ({ name, type, file }: ToSend): Promise<boolean> => {
      const went = await share(name, type, file);
      if (went) await wentOut();
      return went;
    },
    csv: async () =>
      download(`wanderung-log-${dayOf(Date.now())}.csv`, 'text/csv', await (await writer(failing)).csv()),
  };
}
