import { wrap, type Remote } from 'comlink';
import type { CastRequest } from '@/core/advice';
import type { Band, Doubt, SwingResult } from '@/core/swing';
import type { SwingWorker } from './swing.worker';

let remote: Remote<SwingWorker> | null = null;
function worker(): Remote<SwingWorker> {
  remote ??= wrap<SwingWorker>(new Worker(new URL('./swing.worker.ts', import.meta.url)));
  return remote;
}

/** Simulates one cast off the main thread. Rejects with the engine's own message when it cannot be cast. */
export const simulate = (q: CastRequest): Promise<SwingResult> => worker().swing(q);

/** The band of doubt round a swing; null when a later call took its place. */
export const doubtBand = (q: CastRequest, plain: SwingResult, doubt: Doubt): Promise<Band | null> =>
  worker().band(q, { rows: plain.rows, dangleS: plain.dangleS }, doubt);
