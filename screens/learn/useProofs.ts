import { useMemo } from 'react';
import { byWater, type Dimension } from '@/core/learn/evidence';
import type { Question } from '@/core/learn/question';
import type { Budget, Lists } from '@/core/learn/proofs';
import { useRecords, useSettings } from '@/store/hooks';
import { namer, type Namer } from '@/words/proofs';
import { type Outings, proofsOf, ratedBy, told, worthTrying } from '@/workers/learn';
import { useJob } from '../shared/useJob';
import { lately } from './lately';
import type { OutingRow } from './outings';
import { useDimensions } from './useDimensions';

/** The exposures of each outing, with its river, as they were counted. */
export const useCounted = (rows: readonly OutingRow[] | undefined): Outings | null =>
  useMemo(() => (rows ? countedOf(rows) : null), [rows]);
const countedOf = lately((rows: readonly OutingRow[]): Outings =>
  rows.map((r) => r.log.exposures.map((e) => ({ ...e, place: r.outing.waterId }))),
);
const weighedOf = lately((counted: Outings): Outings => byWater(counted) ?? counted);

/** The same, their casts weighed where effort is to be counted by the water shown. */
export function useExposures(rows: readonly OutingRow[] | undefined): Outings | null {
  const [{ effort }] = useSettings();
  const counted = useCounted(rows);
  return useMemo(() => (effort === 'water shown' && counted ? weighedOf(counted) : counted), [counted, effort]);
}

/** How one calls what a log is asked by. */
export function useNamer(): Namer {
  const [{ units }] = useSettings();
  const { data: waters } = useRecords('water');
  return useMemo(() => namer(units, new Map(waters?.map((w) => [w.id, w.name]))), [units, waters]);
}

/** What a log proves, worked out off the main thread. @param outings null: nothing is asked */
export function useProofs(outings: Outings | null, budget: Budget) {
  const dims = useDimensions();
  const ask = useMemo(() => outings && { outings, budget, dims }, [outings, budget, dims]);
  return useJob(ask, proofsOf, 0);
}

/** One list with how often each of its values is taken. */
export function useRated(outings: Outings, by: Dimension, lists: Lists | null) {
  const ask = useMemo(() => lists && { outings, by, proofs: lists[by] }, [outings, by, lists]);
  return useJob(ask, ratedBy, 0);
}

/** One thing against another. */
export function useTold(outings: Outings | null, question: Question | null) {
  const ask = useMemo(() => outings && question && { outings, question }, [outings, question]);
  return useJob(ask, told, 0);
}

/** What is worth trying. */
export function useWorthTrying(outings: Outings | null, lists: Lists | null) {
  const ask = useMemo(() => outings && lists && { outings, lists }, [outings, lists]);
  return useJob(ask, worthTrying, 0);
}
