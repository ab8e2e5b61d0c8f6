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

/** Notes that the logs of outings have changed. */
export async function markStale(draft: Draft, outingIds: readonly string[]): Promise<void> {
  const ids = new Set(await readStale(draft));
  const before = ids.size;
  outingIds.forEach((id) => ids.add(id));
  if (ids.size > before) draft.set(STALE, JSON.stringify([...ids]));
}
