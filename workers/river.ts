import { wrap, type Remote } from 'comlink';
import type { CastRequest, Survey } from '@/core/advice';
import type { LieOptions } from '@/core/lies';
import type { Band, Doubt, SwingResult } from '@/core/swing';
import type { Reading, Run } from '@/core/water';
import type { RiverWorker } from './river.worker';

let remote: Remote<RiverWorker> | null = null;
function worker(): Remote<RiverWorker> {
  remote ??= wrap<RiverWorker>(new Worker(new URL('./river.worker.ts', import.meta.url)));
  return remote;
}

/** Simulates one cast off the main thread. Rejects with the engine's own message when it cannot be cast. */
export const simulate = (q: CastRequest): Promise<SwingResult> => worker().swing(q);

/** The band of doubt round a swing; null when a later call took its place. */
export const doubtBand = (q: CastRequest, plain: SwingResult, doubt: Doubt): Promise<Band | null> =>
  worker().band(q, { rows: plain.rows, dangleS: plain.dangleS }, doubt);

/** Rebuilds a run for a day off the main thread. */
export const surveyRun = (run: Run, reading: Reading | null, options: LieOptions): Promise<Survey> =>
  worker().survey(run, reading, options);
