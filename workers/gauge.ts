import type { GaugePoint } from '@/core/gauge';
import { begin, type Begun } from './beginWorker';
import type { GaugeWorker } from './gauge.worker';

let reader: Begun<GaugeWorker> | null = null;
const begun = () =>
  (reader ??= begin<GaugeWorker>(new Worker(new URL('./gauge.worker.ts', import.meta.url)), () => (reader = null)));

/** Reads what a station sends, off the main thread: a year of it takes longer than a page may stand still. Throws RangeError. */
export async function readGauge(text: string): Promise<readonly GaugePoint[]> {
  try {
    return await begun().points(text);
  } catch (error) {
    throw new RangeError((error as Error).message); // its kind does not travel
  }
}
