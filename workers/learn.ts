import { proxy } from 'comlink';
import type { Dimension, PlacedExposure } from '@/core/learn/evidence';
import type { Question, Told } from '@/core/learn/question';
import type { Budget, Group, Lists, Proof } from '@/core/learn/proofs';
import type { Suggestion } from '@/core/learn/tryNext';
import { begin, type Begun } from './beginWorker';
import type { LearnWorker } from './learn.worker';
import type { Watch } from './river';

let started: Begun<LearnWorker> | null = null;
const worker = () =>
  (started ??= begin<LearnWorker>(new Worker(new URL('./learn.worker.ts', import.meta.url)), () => (started = null)));

/** The exposures of each outing by itself. */
export type Outings = readonly (readonly PlacedExposure[])[];

let jobs = 0;
/** What a log proves of all that it is asked by; null when it was ended before. */
export async function proofsOf(
  { outings, budget }: { readonly outings: Outings; readonly budget: Budget },
  { signal, onShare }: Watch = {},
): Promise<Lists | null> {
  if (signal?.aborted) return null;
  const job = ++jobs;
  const cancel = () =>
    void worker()
      .cancel(job)
      .catch(() => undefined);
  signal?.addEventListener('abort', cancel);
  try {
    return await worker().proofs(job, onShare && proxy(onShare), outings, budget);
  } finally {
    signal?.removeEventListener('abort', cancel);
  }
}

/** How often each value of one list is taken. */
export const ratedBy = (o: {
  readonly outings: Outings;
  readonly by: Dimension;
  readonly proofs: readonly Proof[];
}): Promise<Group[]> => worker().rated(o.outings, o.by, o.proofs);

/** One thing against another. */
export const told = (o: { readonly outings: Outings; readonly question: Question }): Promise<Told> =>
  worker().ask(o.outings, o.question);

/** What is worth trying. */
export const worthTrying = (o: { readonly outings: Outings; readonly lists: Lists }): Promise<Suggestion[]> =>
  worker().tryNext(o.outings, o.lists);
