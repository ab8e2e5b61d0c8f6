import { QueryClient, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useSyncExternalStore } from 'react';
import { addTallies, EMPTY_TALLY, type LogEvent } from '@/core/logbook';
import { type Change, changed, patch, put, remove, withNew } from './changes';
import type { Outcome } from './database';
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

/** Reads anew what another tab changed, and everything once the store answers again; mounted once. */
export function useStoreNews(): void {
  const client = useQueryClient();
  useEffect(() => {
    const { db, onOtherTab } = openDatabase();
    const offTabs = onOtherTab((keys) => {
      const queries = new Map(keys.flatMap(queriesOf).map((q) => [q.join('/'), q]));
      for (const queryKey of queries.values()) void client.invalidateQueries({ queryKey });
    });
    let last = db.status();
    const offStatus = db.subscribe(() => {
      const before = last;
      last = db.status();
      const isRight = last.mended !== before.mended || last.damaged.length < before.damaged.length;
      if ((before.failing && !last.failing) || isRight) void client.invalidateQueries({ queryKey: ['local'] });
    });
    return () => {
      offTabs();
      offStatus();
    };
  }, [client]);
}

/** Shows a change in what is loaded. Where nothing is loaded yet there is nothing to change: it will all be read. */
function show(client: QueryClient, change: Change): void {
  if (change.do === 'append')
    client.setQueryData<LogEvent[]>(['local', 'log', change.outingId], (list) => list && withNew(list, change.events));
  else client.setQueryData<Records[RecordKind][]>(['local', change.kind], (list) => list && changed(list, change));
}

/** Whether a list is not loaded yet, or just being read: what comes may be of before a change. */
function isBehind(client: QueryClient, of: readonly string[]): boolean {
  const state = client.getQueryState(['local', ...of]);
  return !state?.data || state.fetchStatus === 'fetching';
}

async function readAnew(client: QueryClient, of: readonly string[]): Promise<void> {
  const queryKey = ['local', ...of];
  await client.cancelQueries({ queryKey }); // a first reading would only be waited for
  await client.invalidateQueries({ queryKey });
}

/**
 * Enters changes that belong together: all are stored, or none. Records show at once; events show once they are stored,
 * or held because the store fails ("kept"). Throws RangeError when one is not allowed; then none is kept.
 */
export function useCommit(): (...changes: Change[]) => Promise<Outcome> {
  const client = useQueryClient();
  return useCallback(
    async (...changes) => {
      const records = changes.filter((c) => c.do !== 'append');
      const late = records.filter((c) => isBehind(client, [c.kind])).map((c) => [c.kind]);
      records.forEach((c) => show(client, c));
      try {
        const outcome = await openDatabase().db.commit(...changes);
        const appended = changes.filter((c) => c.do === 'append');
        appended.forEach((c) => show(client, c));
        const logs = appended.map((c) => ['log', c.outingId]).filter((of) => isBehind(client, of));
        for (const of of [...late, ...logs]) await readAnew(client, of);
        // Nobody waits for the sums of all outings: what was entered is stored, and said in its order.
        if (appended.length > 0 || records.some((c) => c.kind === 'outing'))
          void client.invalidateQueries({ queryKey: ['local', 'folded'] });
        return outcome;
      } catch (error) {
        for (const c of records) await client.invalidateQueries({ queryKey: ['local', c.kind] });
        throw error;
      }
    },
    [client],
  );
}

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
  const commit = useCommit();
  return useMemo(
    () => ({
      put: (record: Records[K]) => commit(put(kind, record)),
      remove: (id: string) => commit(remove(kind, id)),
    }),
    [kind, commit],
  );
}

export function useSettings(): [Settings, (change: Partial<Settings>) => void] {
  const { data } = useRecords('settings');
  const commit = useCommit();
  const set = useCallback(
    (change: Partial<Settings>) => void commit(patch('settings', 'settings', change, DEFAULT_SETTINGS)),
    [commit],
  );
  return [data?.[0] ?? DEFAULT_SETTINGS, set];
}

/** A change of where the user is in the work. */
export const ofSession = (change: Partial<Session>): Change => patch('session', 'session', change, EMPTY_SESSION);

/** Where the user is in the work; undefined while loading. */
export function useSession(): [Session | undefined, (change: Partial<Session>) => void] {
  const { data } = useRecords('session');
  const commit = useCommit();
  const set = useCallback((change: Partial<Session>) => void commit(ofSession(change)), [commit]);
  return [data && (data[0] ?? EMPTY_SESSION), set];
}

/** Events of one outing, oldest first; undefined while loading. */
export function useEvents(outingId: string | null) {
  return useQuery<LogEvent[]>({
    queryKey: ['local', 'log', outingId],
    queryFn: () => (outingId ? openDatabase().db.events(outingId) : []),
  }).data;
}

export const useFolded = () =>
  useQuery({ queryKey: ['local', 'folded'], queryFn: () => openDatabase().db.folded() }).data;

/** Casts and takes of all outings together that were counted; none while they are read. */
export function useOwnLog(): { casts: number; takes: number } {
  const folded = useFolded();
  return useMemo(() => {
    const t = (folded ?? []).map((f) => f.log.tally).reduce(addTallies, EMPTY_TALLY);
    return { casts: t.casts - t.byHand, takes: t.takes - t.byHandTakes };
  }, [folded]);
}

/** Whether the store fails, and what could not be read. */
export function useStoreStatus() {
  const { db } = openDatabase();
  return useSyncExternalStore(db.subscribe, db.status, db.status);
}

export { newId } from './open';
