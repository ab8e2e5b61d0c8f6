import { addTallies, EMPTY_TALLY } from '@/core/logbook';
import type { LeftOut } from '@/store/backup';
import { useSettings, useStoreStatus } from '@/store/hooks';
import { openDatabase } from '@/store/open';
import { download } from './files';
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

/** All that is stored, and what waits, as files. */
export function useExport() {
  const [, setSettings] = useSettings();
  const failing = useStoreStatus().failing !== null;
  return {
    /** @returns what the file leaves out, in words, or null */
    everything: async (): Promise<string | null> => {
      const { file, isPacked, leftOut } = await (await writer(failing)).backup();
      download(`wanderung-${dayOf(Date.now())}.json${isPacked ? '.gz' : ''}`, file.type, file);
      const sums = (await openDatabase().db.folded()).map((f) => f.log.tally).reduce(addTallies, EMPTY_TALLY);
      setSettings({ exported: { at: Date.now(), casts: sums.casts - sums.byHand } });
      return leftOutWords(leftOut);
    },
    csv: async () =>
      download(`wanderung-log-${dayOf(Date.now())}.csv`, 'text/csv', await (await writer(failing)).csv()),
  };
}
