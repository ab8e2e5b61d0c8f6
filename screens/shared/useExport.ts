import { addTallies, EMPTY_TALLY } from '@/core/logbook';
import { useSettings, useStoreStatus } from '@/store/hooks';
import { openDatabase } from '@/store/open';
import { download } from './files';
import { dayOf } from './time';

/** What writes files: a worker; while the store fails this page itself, which holds what is not stored. */
async function writer(failing: boolean) {
  if (!failing) return (await import('@/workers/files')).filesWorker();
  const { createFiles } = await import('@/store/parsers');
  return createFiles(openDatabase().db, Date.now);
}

/** All that is stored, and what waits, as files. */
export function useExport() {
  const [, setSettings] = useSettings();
  const failing = useStoreStatus().failing !== null;
  return {
    everything: async () => {
      download(`wanderung-${dayOf(Date.now())}.json`, 'application/json', await (await writer(failing)).backup());
      const sums = (await openDatabase().db.folded()).map((f) => f.log.tally).reduce(addTallies, EMPTY_TALLY);
      setSettings({ exported: { at: Date.now(), casts: sums.casts - sums.byHand } });
    },
    csv: async () =>
      download(`wanderung-log-${dayOf(Date.now())}.csv`, 'text/csv', await (await writer(failing)).csv()),
  };
}
