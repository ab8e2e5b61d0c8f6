import type { Dimension, PlacedExposure } from '@/core/learn/evidence';
import type { Question, Told } from '@/core/learn/question';
import type { Budget, Group, Lists, Proof } from '@/core/learn/proofs';
import type { Suggestion } from '@/core/learn/tryNext';
import { begin, type Begun } from './beginWorker';
import type { LearnWorker } from './learn.worker';
import { type Watch, watched } from './watched';

let started: Begun<LearnWorker> | null = null;
const worker = () =>
  (started ??= begin<LearnWorker>(new Worker(new URL('./learn.worker.ts', import.meta.url)), () => (started = null)));

/** The exposures of each outing by itself. */
export type Outings = readonly (readonly PlacedExposure[])[];

/** What a log proves of all that it is asked by; null when it was ended before. */
export const proofsOf = (
  { outings, budget }: { readonly outings: Outings; readonly budget: Budget },
  watch: Watch = {},
): Promise<Lists | null> => watched(worker(), watch, (w, job, onShare) => w.proofs(job, onShare, outings, budget));

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
