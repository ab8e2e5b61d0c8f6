import { type Remote, wrap } from 'comlink';
import type { GaugePoint } from '@/core/gauge';
import type { GaugeWorker } from './gauge.worker';

let started: Remote<GaugeWorker> | null = null;

/** Reads what a station sends, off the main thread: a year of it takes longer than a page may stand still. Throws RangeError. */
export async function readGauge(text: string): Promise<readonly GaugePoint[]> {
  started ??= wrap<GaugeWorker>(new Worker(new URL('./gauge.worker.ts', import.meta.url)));
  try {
    return await started.points(text);
  } catch (error) {
    throw new RangeError((error as Error).message); // its kind does not travel
  }
}
