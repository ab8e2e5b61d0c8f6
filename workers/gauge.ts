import { type Remote, wrap } from 'comlink';
import type { GaugePoint } from '@/core/gauge';
import type { GaugeWorker } from './gauge.worker';

interface Reader {
  readonly remote: Remote<GaugeWorker>;
  /** Rejects when the worker cannot be loaded: what it was asked would never be answered. */
  readonly broken: Promise<never>;
}
let reader: Reader | null = null;

function started(): Reader {
  const worker = new Worker(new URL('./gauge.worker.ts', import.meta.url));
  const broken = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => {
      reader = null;
      reject(new Error('this part of the program did not load; open the page anew'));
    });
  });
  broken.catch(() => undefined); // whoever waits is told
  return { remote: wrap<GaugeWorker>(worker), broken };
}

/** Reads what a station sends, off the main thread: a year of it takes longer than a page may stand still. Throws RangeError. */
export async function readGauge(text: string): Promise<readonly GaugePoint[]> {
  const { remote, broken } = (reader ??= started());
  try {
    return await Promise.race([remote.points(text), broken]);
  } catch (error) {
    throw new RangeError((error as Error).message); // its kind does not travel
  }
}
