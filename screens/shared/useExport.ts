import { addTallies, EMPTY_TALLY } from '@/core/logbook';
import type { LeftOut } from '@/store/backup';
import { useSettings, useStoreStatus } from '@/store/hooks';
import { openDatabase } from '@/store/open';
import { download } from './files';
import { dayOf, longDayText } from './time';

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
    names.length > 0 ? `entries of ${names.length === 1 ? 'one outing' : `${names.length} outings`} (${shown})` : '',
    records > 0 ? (records === 1 ? 'one record' : `${records} records`) : '',
  ];
  return `Exported, but not all of it could be read: ${parts.filter(Boolean).join(', and ')}. The file holds what is damaged as it is stored. An earlier export may have it whole: import that.`;
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
