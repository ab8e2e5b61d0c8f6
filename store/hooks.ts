import { QueryClient, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useSyncExternalStore } from 'react';
import { addTallies, EMPTY_TALLY, type LogEvent } from '@/core/logbook';
import { DEFAULT_SETTINGS, EMPTY_SESSION, type RecordKind, type Records, type Session, type Settings } from './records';
import { openDatabase } from './open';

export const createQueryClient = () =>
  new QueryClient({
    defaultOptions: { queries: { networkMode: 'offlineFirst', staleTime: Infinity, gcTime: Infinity, retry: 1 } },
  });

/** The queries that read a stored key: its kind, or the log of its outing and the sums. */
export function queriesOf(key: string): (readonly string[])[] {
  const [kind, id] = key.split('/');
  if (kind === '*') return [['local']];
  if (kind === 'log' || kind === 'loghead')
    return [
      ['local', 'log', id!],
      ['local', 'folded'],
    ];
  return [['local', kind!]];
}

/** Re-reads what another tab changed, and only that; mounted once. */
export function useOtherTabs(): void {
  const client = useQueryClient();
  useEffect(
    () =>
      openDatabase().onOtherTab((keys) => {
        const queries = new Map(keys.flatMap(queriesOf).map((q) => [q.join('/'), q]));
        for (const queryKey of queries.values()) void client.invalidateQueries({ queryKey });
      }),
    [client],
  );
}

/** The newest change of each record that is on its way: an older one that is confirmed later does not show again. */
const newest = new Map<string, symbol>();

/** All records of a kind. */
export function useRecords<K extends RecordKind>(kind: K) {
  return useQuery<Records[K][]>({ queryKey: ['local', kind], queryFn: () => openDatabase().db.all(kind) });
}

/** One record of a kind: undefined while loading, null when there is none. */
export function useRecord<K extends RecordKind>(kind: K, id: string | null | undefined): Records[K] | null | undefined {
  const { data } = useRecords(kind);
  return data && (data.find((r) => r.id === id) ?? null);
}

/** Changes to records of a kind. Each shows at once and is stored; it throws RangeError when a record is not allowed. */
export function useSave<K extends RecordKind>(kind: K) {
  const client = useQueryClient();
  const show = useCallback(
    (change: (list: Records[K][]) => Records[K][]) =>
      // Where nothing is loaded yet there is nothing to change: the query will read it all.
      client.setQueryData<Records[K][]>(['local', kind], (list) => list && change(list)),
    [client, kind],
  );
  const put = useCallback(
    async (record: Records[K]) => {
      await openDatabase().db.put(kind, record);
      show((list) => [...list.filter((r) => r.id !== record.id), record]);
    },
    [kind, show],
  );
  const update = useCallback(
    async (id: string, change: (now: Records[K] | null) => Records[K]) => {
      const key = `${kind}/${id}`;
      const mine = Symbol(key);
      newest.set(key, mine);
      show((list) => {
        const now = list.find((r) => r.id === id) ?? null;
        return [...list.filter((r) => r.id !== id), change(now)];
      });
      try {
        const saved = await openDatabase().db.update(kind, id, change);
        if (newest.get(key) === mine) show((list) => [...list.filter((r) => r.id !== id), saved]);
      } catch (error) {
        await client.invalidateQueries({ queryKey: ['local', kind] });
        throw error;
      } finally {
        if (newest.get(key) === mine) newest.delete(key);
      }
    },
    [client, kind, show],
  );
  const remove = useCallback(
    async (id: string) => {
      show((list) => list.filter((r) => r.id !== id));
      await openDatabase().db.remove(kind, id);
    },
    [kind, show],
  );
  return { put, update, remove };
}

export function useSettings(): [Settings, (change: Partial<Settings>) => void] {
  const { data } = useRecords('settings');
  const { update } = useSave('settings');
  const set = useCallback(
    (change: Partial<Settings>) => void update('settings', (now) => ({ ...(now ?? DEFAULT_SETTINGS), ...change })),
    [update],
  );
  return [data?.[0] ?? DEFAULT_SETTINGS, set];
}

/** Where the user is in the work; undefined while loading. */
export function useSession(): [Session | undefined, (change: Partial<Session>) => void] {
  const { data } = useRecords('session');
  const { update } = useSave('session');
  const set = useCallback(
    (change: Partial<Session>) => void update('session', (now) => ({ ...(now ?? EMPTY_SESSION), ...change })),
    [update],
  );
  return [data && (data[0] ?? EMPTY_SESSION), set];
}

/** Events of one outing, oldest first; undefined while loading. */
export function useEvents(outingId: string | null) {
  return useQuery<LogEvent[]>({
    queryKey: ['local', 'log', outingId],
    queryFn: () => (outingId ? openDatabase().db.events(outingId) : []),
  }).data;
}

/** Appends events; they show once they are stored (or held in memory because the browser refuses: see useStoreStatus). */
export function useAppend() {
  const client = useQueryClient();
  return useCallback(
    async (outingId: string, ...events: LogEvent[]) => {
      await openDatabase().db.append(outingId, ...events);
      const key = ['local', 'log', outingId];
      // A log that is not loaded yet, or just being read, is read again.
      if (client.getQueryData(key)) client.setQueryData<LogEvent[]>(key, (list) => [...list!, ...events]);
      else await client.invalidateQueries({ queryKey: key });
      await client.invalidateQueries({ queryKey: ['local', 'folded'] });
    },
    [client],
  );
}

export const useFolded = () =>
  useQuery({ queryKey: ['local', 'folded'], queryFn: () => openDatabase().db.folded() }).data;

/** Casts and takes of all outings together; none while they are read. */
export function useOwnLog(): { casts: number; takes: number } {
  const folded = useFolded();
  return useMemo(() => {
    const { casts, takes } = (folded ?? []).map((f) => f.log.tally).reduce(addTallies, EMPTY_TALLY);
    return { casts, takes };
  }, [folded]);
}

/** Whether writes fail, and what could not be read. */
export function useStoreStatus() {
  const { db } = openDatabase();
  return useSyncExternalStore(db.subscribe, db.status, db.status);
}

/** An id nobody else makes. `crypto.randomUUID` needs a secure page; a phone on the bank may not have one. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}
