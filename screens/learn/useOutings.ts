import { useMemo } from 'react';
import { useFolded, useRecords } from '@/store/hooks';
import { REMOVED_WATER } from '@/words/proofs';
import type { OutingRow } from './outings';

/** All outings with what their logs come to, the latest first; undefined while they are read. */
export function useOutings(): readonly OutingRow[] | undefined {
  const folded = useFolded();
  const { data: outings } = useRecords('outing');
  const { data: waters } = useRecords('water');
  return useMemo(() => {
    if (!folded || !outings || !waters) return undefined;
    const logs = new Map(folded.map((f) => [f.outingId, f.log]));
    const names = new Map(waters.map((w) => [w.id, w.name]));
    return outings
      .flatMap((outing) => {
        const log = logs.get(outing.id);
        return log ? [{ outing, log, water: names.get(outing.waterId) ?? REMOVED_WATER }] : [];
      })
      .sort((a, b) => b.outing.startedAt - a.outing.startedAt);
  }, [folded, outings, waters]);
}
