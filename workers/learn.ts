import type { FishTold } from '@/core/learn/leeway';
import type { PassedLog } from '@/core/logbook/passings';
import type { Dimension, PlacedExposure } from '@/core/learn/evidence';
import type { Question, Told } from '@/core/learn/question';
import type { Group, Lists, Proof, Proving } from '@/core/learn/proofs';
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
export async function proofsOf(
  { outings, ...asked }: { readonly outings: Outings } & Proving,
  watch: Watch = {},
): Promise<Lists | null> {
  const key = JSON.stringify(asked);
  const known = proved.get(outings) ?? new Map<string, Lists>();
  proved.set(outings, known);
  const lists = known.get(key) ?? (await watched(worker(), watch, (w, job, on) => w.proofs(job, on, outings, asked)));
  if (lists) known.set(key, lists);
  return lists;
}
/** What a log proved stays known while it is asked of: two screens show it. */
const proved = new WeakMap<Outings, Map<string, Lists>>();

/** How often each value of one list is taken. */
export const ratedBy = (o: {
  readonly outings: Outings;
  readonly by: Dimension;
  readonly proofs: readonly Proof[];
}): Promise<Group[]> => worker().rated(o.outings, o.by, o.proofs);

/** One thing against another. */
export const told = (o: { readonly outings: Outings; readonly question: Question }): Promise<Told> =>
  worker().ask(o.outings, o.question);

/** What takes tell of how much leeway fish allow. */
export const ownFish = (outings: readonly (readonly PassedLog[])[]): Promise<FishTold[]> => worker().ownFish(outings);

/** What is worth trying. */
export const worthTrying = (o: { readonly outings: Outings; readonly lists: Lists }): Promise<Suggestion[]> =>
  worker().tryNext(o.outings, o.lists);
