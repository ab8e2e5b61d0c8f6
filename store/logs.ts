import { fold, FOLD_VERSION, type Folded, type LogEvent } from '@/core/logbook';
import { EVENT_VERSIONS, type EventVersions, isCurrent, migrate, versionOf } from './migrations';
import { seal, unseal } from './seal';
import { markStale } from './stale';
import type { Draft, View } from './view';

/** Head of an outing's log: how many chunks and events, and what they folded to when `folded.count` were there, by the
 * rules of that version. */
interface LogHead {
  readonly v: number;
  readonly chunks: number;
  readonly count: number;
  readonly folded: { readonly v: number; readonly count: number; readonly value: FoldedLog } | null;
}
/** A stored list of events. */
interface Chunk {
  readonly versions: EventVersions;
  readonly events: readonly LogEvent[];
}
export type FoldedLog = Pick<Folded, 'tally' | 'exposures' | 'fish' | 'visits' | 'spots' | 'passings' | 'notes'>;

function foldedLog(events: readonly LogEvent[]): FoldedLog {
  const { tally, exposures, fish, visits, spots, passings, notes } = fold(events);
  return { tally, exposures, fish, visits, spots, passings, notes };
}

export const CHUNK = 200;
const HEAD_V = versionOf('log head');
export const HEADS = 'loghead/';
const chunkKey = (outingId: string, n: number) => `log/${outingId}/${String(n).padStart(5, '0')}`;
/** The outing whose chunk of a log a key names, or null. */
export const outingOfChunk = (key: string): string | null => /^log\/([^/]+)\//.exec(key)?.[1] ?? null;
export const headKey = (outingId: string) => HEADS + outingId;

/** What a log of this count folded to, if that is still known. */
const foldOf = (h: LogHead): FoldedLog | null =>
  h.folded?.count === h.count && h.folded.v === FOLD_VERSION ? h.folded.value : null;

const sealEvents = (events: readonly LogEvent[]): string =>
  seal(JSON.stringify({ versions: EVENT_VERSIONS, events } satisfies Chunk));
const sealHead = (h: Omit<LogHead, 'v'>): string => seal(JSON.stringify({ ...h, v: HEAD_V } satisfies LogHead));

/**
 * Logs as they are stored: `log/outing/n` is a sealed chunk of events, `loghead/outing` its head.
 *
 * @param noteDamage told of what cannot be read; it is left as it is
 */
export function createLogs(noteDamage: (key: string, why: string) => void) {
  async function openEvents(key: string, stored: string): Promise<LogEvent[] | null> {
    try {
      const { value, intact } = unseal(stored);
      if (intact && !Array.isArray(value) && isCurrent((value as Chunk).versions)) return [...(value as Chunk).events];
      const { openEventList } = await import('./parsers');
      return openEventList(value);
    } catch (error) {
      noteDamage(key, (error as Error).message);
      return null;
    }
  }

  /** A head made anew from the chunks. */
  async function recounted(view: View, outingId: string): Promise<LogHead> {
    const chunks = await view.list(`log/${outingId}/`);
    let count = 0;
    for (const [k, c] of chunks) count += (await openEvents(k, c))?.length ?? 0;
    const last = chunks.at(-1)?.[0];
    return { v: HEAD_V, chunks: last === undefined ? 0 : Number(last.slice(-5)) + 1, count, folded: null };
  }

  async function head(view: View, outingId: string, known?: string): Promise<LogHead> {
    const stored = known ?? (await view.get(headKey(outingId)));
    if (stored !== null) {
      try {
        const { value, intact } = unseal(stored);
        const old = value as { readonly v?: number };
        if (intact) return { ...migrate('log head', old.v ?? 1, { ...old }), v: HEAD_V } as unknown as LogHead;
      } catch {
        // As below.
      }
    }
    return recounted(view, outingId);
  }

  async function events(view: View, outingId: string, h?: LogHead): Promise<LogEvent[]> {
    const { chunks } = h ?? (await head(view, outingId));
    const keys = Array.from({ length: chunks }, (_, n) => chunkKey(outingId, n));
    const out: LogEvent[] = [];
    for (const [n, stored] of (await view.getMany(keys)).entries())
      if (stored !== null) out.push(...((await openEvents(keys[n]!, stored)) ?? []));
    return out;
  }

  return {
    head,
    events,

    /**
     * Adds events behind those that are there, each once; costs the same however long the log is.
     *
     * @param again they may be there already, all or some: the whole log is looked through and counted
     */
    async append(draft: Draft, outingId: string, added: readonly LogEvent[], again: boolean): Promise<void> {
      const h = again ? await recounted(draft, outingId) : await head(draft, outingId);
      let n = Math.max(0, h.chunks - 1);
      let last: LogEvent[] = [];
      if (h.chunks > 0) {
        const stored = await draft.get(chunkKey(outingId, n));
        const opened = stored === null ? [] : await openEvents(chunkKey(outingId, n), stored);
        if (opened === null)
          n++; // a damaged chunk is left as it is
        else last = opened;
      }
      const known = new Set((again ? await events(draft, outingId, h) : last).map((e) => e.id));
      const fresh = added.filter((e) => !known.has(e.id) && known.add(e.id));
      if (fresh.length === 0 && !again) return;
      if (last.length >= CHUNK) {
        n++;
        last = [];
      }
      await markStale(draft, [outingId]); // first: of a write that is cut short the sums would else not know
      const all = [...last, ...fresh];
      for (let i = 0; i < all.length; i += CHUNK)
        draft.set(chunkKey(outingId, n + i / CHUNK), sealEvents(all.slice(i, i + CHUNK)));
      n += Math.max(0, Math.ceil(all.length / CHUNK) - 1);
      draft.set(headKey(outingId), sealHead({ chunks: n + 1, count: h.count + fresh.length, folded: h.folded }));
    },

    async remove(draft: Draft, outingId: string): Promise<void> {
      for (const [key] of await draft.list(`log/${outingId}/`)) draft.remove(key);
      draft.remove(headKey(outingId));
      await markStale(draft, [outingId]);
    },

    /** Puts a whole log in place of what is there, with what it folds to; it must not be shorter. */
    replace(
      draft: Draft,
      { outingId, events: all }: { readonly outingId: string; readonly events: readonly LogEvent[] },
    ): void {
      const chunks = Math.max(1, Math.ceil(all.length / CHUNK));
      for (let n = 0; n < chunks; n++)
        draft.set(chunkKey(outingId, n), sealEvents(all.slice(n * CHUNK, (n + 1) * CHUNK)));
      const count = all.length;
      const folded = { v: FOLD_VERSION, count, value: foldedLog(all) };
      draft.set(headKey(outingId), sealHead({ chunks, count, folded }));
    },

    /** Makes a head anew from what can be read. */
    async recount(draft: Draft, outingId: string): Promise<void> {
      const { chunks, count } = await recounted(draft, outingId);
      draft.set(headKey(outingId), sealHead({ chunks, count, folded: null }));
      await markStale(draft, [outingId]);
    },

    /** How many events each log has. */
    async counts(view: View): Promise<Map<string, number>> {
      const out = new Map<string, number>();
      for (const [key, stored] of await view.list(HEADS)) {
        const outingId = key.slice(HEADS.length);
        out.set(outingId, (await head(view, outingId, stored)).count);
      }
      return out;
    },

    /** What a log folds to, and its head with that in it when it was not. */
    async folded(view: View, outingId: string, stored: string) {
      const h = await head(view, outingId, stored);
      const known = foldOf(h);
      if (known) return { count: h.count, log: known, fresh: null };
      const log = foldedLog(await events(view, outingId, h));
      const fresh = sealHead({ ...h, folded: { v: FOLD_VERSION, count: h.count, value: log } });
      return { count: h.count, log, fresh };
    },
  };
}
