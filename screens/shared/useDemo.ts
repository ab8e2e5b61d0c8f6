import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef } from 'react';
import { startedForDemo } from '@/store/gauge';
import { useRecords, useStoreStatus } from '@/store/hooks';
import { openDatabase, wordFailure } from '@/store/open';
import { useToast } from '@/ui';

/** Loads the demo scenario beside what is stored; says so, or why not, with a way back. */
export function useLoadDemo(): (quietly?: boolean) => Promise<void> {
  const client = useQueryClient();
  const toast = useToast();
  return useCallback(
    async (quietly = false) => {
      const { db } = openDatabase();
      try {
        const { loadDemo } = await import('@/demo/load');
        const takeAway = await loadDemo(db, Date.now());
        // Where one is before what is there: else the first of the waters would be shown for a moment, with its cautions.
        await client.invalidateQueries({ queryKey: ['local', 'session'] });
        await client.invalidateQueries({ queryKey: ['local'] });
        if (quietly) return;
        toast('The demo is loaded.', () => {
          void db.commit(...takeAway).then(() => client.invalidateQueries({ queryKey: ['local'] }));
        });
      } catch (error) {
        toast(`Couldn’t load the demo: ${await wordFailure(error)}.`);
      }
    },
    [client, toast],
  );
}

const CLEARED = 'wanderung-cleared';
/** Whoever clears the device wants it empty, also at the next start of a server with the demo. */
export const leaveEmpty = (): void => {
  try {
    localStorage.setItem(CLEARED, '1');
  } catch {
    // Then the demo is there again.
  }
};
const isLeftEmpty = (): boolean => {
  try {
    return localStorage.getItem(CLEARED) !== null;
  } catch {
    return false;
  }
};

/** Fills an empty browser with the demo once, when the server was started for it, whatever address was opened first. */
export function useDemoStart(): void {
  const { data: waters } = useRecords('water');
  const reachable = useStoreStatus().failing === null;
  const load = useLoadDemo();
  const asked = useRef(false);
  const empty = waters?.length === 0 && reachable;
  useEffect(() => {
    if (!empty || asked.current || isLeftEmpty()) return;
    asked.current = true;
    void startedForDemo().then((demo) => (demo ? load(true) : undefined));
  }, [empty, load]);
}
