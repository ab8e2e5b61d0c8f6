import { expose } from 'comlink';
import { ask, type Question } from '@/core/learn/question';
import { type Dimension, type PlacedExposure } from '@/core/learn/evidence';
import { type Lists, type Proof, type Proving, proving, rated } from '@/core/learn/proofs';
import { ownFish } from '@/core/learn/leeway';
import type { PassedLog } from '@/core/logbook/passings';
import { tryNext } from '@/core/learn/tryNext';
import { cancel, drive, type OnShare } from './drive';

type Outings = readonly (readonly PlacedExposure[])[];

const api = {
  proofs: (job: number, onShare: OnShare | undefined, outings: Outings, asked: Proving) =>
    drive(job, proving(outings, asked), onShare),
  rated: (outings: Outings, by: Dimension, proofs: readonly Proof[]) => rated(outings, by, proofs),
  ask: (outings: Outings, q: Question) => ask(outings, q),
  tryNext: (outings: Outings, lists: Lists) => tryNext(outings, lists),
  ownFish: (outings: readonly (readonly PassedLog[])[]) => ownFish(outings),
  cancel,
};
export type LearnWorker = typeof api;

expose(api);
