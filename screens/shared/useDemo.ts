import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef } from 'react';
import { startedForDemo } from '@/store/gauge';
import { useRecords, useStoreStatus } from '@/store/hooks';
import { openDatabase } from '@/store/open';

/** Loads the demo scenario beside what is stored. */
export function useLoadDemo(): () => Promise<void> {
  const client = useQueryClient();
  return useCallback(async () => {
    const { loadDemo } = await import('@/demo/load');
    await loadDemo(openDatabase().db, Date.now());
    await client.invalidateQueries({ queryKey: ['local'] });
  }, [client]);
}

/** Fills an empty browser with the demo once, when the server was started for it, whatever address was opened first. */
export function useDemoStart(): void {
  const { data: waters } = useRecords('water');
  const reachable = useStoreStatus().failing === null;
  const load = useLoadDemo();
  const asked = useRef(false);
  const empty = waters?.length === 0 && reachable;
  useEffect(() => {
    if (!empty || asked.current) return;
    asked.current = true;
    void startedForDemo().then((demo) => (demo ? load() : undefined));
  }, [empty, load]);
}
