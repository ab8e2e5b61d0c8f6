import type { Draft, View } from './view';

/** Names of the outings whose logs have changed since all sums were last written (store/sums.ts). */
export const STALE = 'stale';

export async function readStale(view: View): Promise<string[]> {
  try {
    const ids: unknown = JSON.parse((await view.get(STALE)) ?? '[]');
    return Array.isArray(ids) ? ids.filter((id): id is string => typeof id === 'string') : [];
  } catch {
    return [];
  }
}

/** Notes that the log of an outing has changed. */
export async function markStale(draft: Draft, outingId: string): Promise<void> {
  const ids = await readStale(draft);
  if (!ids.includes(outingId)) draft.set(STALE, JSON.stringify([...ids, outingId]));
}
