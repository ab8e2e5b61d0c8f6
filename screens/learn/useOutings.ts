import { useMemo } from 'react';
import { useFolded, useRecords } from '@/store/hooks';
import type { Outing, Water } from '@/store/records';
import { REMOVED_WATER } from '@/words/proofs';
import { lately } from './lately';
import type { OutingRow } from './outings';

/** All outings with what their logs come to, the latest first; undefined while they are read. */
export function useOutings(): readonly OutingRow[] | undefined {
  const folded = useFolded();
  const { data: outings } = useRecords('outing');
  const { data: waters } = useRecords('water');
  return useMemo(
    () => (folded && outings && waters ? rowsOf(folded, outings, waters) : undefined),
    [folded, outings, waters],
  );
}

type Folds = NonNullable<ReturnType<typeof useFolded>>;
const rowsOf = lately((folded: Folds, outings: readonly Outing[], waters: readonly Water[]): readonly OutingRow[] => {
  const logs = new Map(folded.map((f) => [f.outingId, f.log]));
  const names = new Map(waters.map((w) => [w.id, w.name]));
  return outings
    .flatMap((outing) => {
      const log = logs.get(outing.id);
      return log ? [{ outing, log, water: names.get(outing.waterId) ?? REMOVED_WATER }] : [];
    })
    .sort((a, b) => b.outing.startedAt - a.outing.startedAt);
});
