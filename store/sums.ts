import { FOLD_VERSION } from '@/core/logbook';
import { type createLogs, type FoldedLog, HEADS, headKey } from './logs';
import { seal, unseal } from './seal';
import { readStale, STALE } from './stale';
import { type Draft, draftOf, type View } from './view';

/** What an outing's log folds to. */
export interface Sum {
  readonly outingId: string;
  readonly count: number;
  readonly log: FoldedLog;
}

/** The sums of all outings but the stale ones, in one place: three thousand heads take half a second to read. */
const SUMS = 'sums';
/** So many logs are read side by side: the store answers one while another is added up. */
const AT_ONCE = 10;
/** So many outings are read from their own heads before all sums are written anew. */
const MOST_STALE = 50;

/** The sums as they were last written, by outing; null where there are none by the rules of now. */
async function readSums(view: View): Promise<Map<string, Sum> | null> {
  const stored = await view.get(SUMS);
  if (stored === null) return null;
  try {
    const { value, intact } = unseal(stored);
    const { v, sums } = value as { readonly v: number; readonly sums: readonly Sum[] };
    return intact && v === FOLD_VERSION ? new Map(sums.map((s) => [s.outingId, s])) : null;
  } catch {
    return null; // made anew from the heads
  }
}

export function createSums(logs: ReturnType<typeof createLogs>) {
  return {
    /** What every log folds to, and what is worth writing for the next time. */
    async read(
      view: View,
      onShare: (share: number) => void,
    ): Promise<{ sums: Sum[]; heads: Map<string, string>; rewrite: boolean }> {
      const known = await readSums(view);
      const stale = await readStale(view);
      const out = new Map(known);
      const fresh = new Map<string, string>();
      const heads = known
        ? (await view.getMany(stale.map(headKey))).map((h, i) => [headKey(stale[i]!), h] as const)
        : await view.list(HEADS);
      for (const id of stale) out.delete(id);
      for (let from = 0; from < heads.length; from += AT_ONCE) {
        const some = heads.slice(from, from + AT_ONCE).map(async ([key, stored]) => {
          if (stored === null) return; // its outing was removed
          const outingId = key.slice(HEADS.length);
          const { count, log, fresh: head } = await logs.folded(view, outingId, stored);
          if (head) fresh.set(outingId, head);
          out.set(outingId, { outingId, count, log });
        });
        await Promise.all(some);
        onShare((from + some.length) / heads.length);
      }
      return { sums: [...out.values()], heads: fresh, rewrite: !known || stale.length > MOST_STALE };
    },

    /** Keeps what was read, where nothing was appended meanwhile; the caller holds the lock. */
    async keep(view: View, { sums, heads, rewrite }: Awaited<ReturnType<typeof this.read>>): Promise<Draft> {
      const draft = draftOf(view);
      const stale = await readStale(view);
      const counts = new Map(sums.map((s) => [s.outingId, s.count]));
      const moved = new Set<string>();
      const ids = rewrite ? stale : [...heads.keys()];
      for (const [i, stored] of (await view.getMany(ids.map(headKey))).entries()) {
        const count = stored === null ? -1 : (await logs.head(view, ids[i]!, stored)).count;
        if (counts.get(ids[i]!) !== count) moved.add(ids[i]!);
      }
      for (const [id, head] of heads) if (!moved.has(id)) draft.set(headKey(id), head);
      if (rewrite) {
        draft.set(SUMS, seal(JSON.stringify({ v: FOLD_VERSION, sums: sums.filter((s) => !moved.has(s.outingId)) })));
        draft.set(STALE, JSON.stringify([...moved]));
      }
      return draft;
    },
  };
}
