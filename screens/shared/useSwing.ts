import { useEffect, useRef, useState } from 'react';
import { FOUR_IN_FIVE } from '@/core/maths';
import type { CastRequest } from '@/core/cast';
import type { Band, Doubt, SwingResult } from '@/core/swing';

import { doubtBand, simulate, type Watch } from '@/workers/river';
import { useJob } from './useJob';

export interface SimulatedCast {
  readonly request: CastRequest;
  readonly result: SwingResult;
}

const MEMBERS = 50;
/** The band waits until nothing has changed for this long. */
const SETTLED_MS = 150;
/** How often the word about the line is wrong. */
const LINE_DOUBT = 0.15;

/**
 * The swing of the newest request. One runs at a time; while it does, only the newest waits, so that dragging a control
 * follows the hand and never queues up.
 *
 * @param active false rests, as a screen should that is not in sight
 */
export function useSwing(request: CastRequest | null, active = true) {
  const [swung, setSwung] = useState<SimulatedCast | null>(null);
  const [error, setError] = useState<string | null>(null);
  const running = useRef(false);
  const newest = useRef<CastRequest | null>(null);
  useEffect(() => {
    newest.current = request;
    if (running.current || !request || !active) return;
    running.current = true;
    void (async () => {
      let done: CastRequest | null = null;
      while (newest.current && newest.current !== done) {
        done = newest.current;
        try {
          const result = await simulate(done);
          setSwung({ request: done, result });
          setError(null);
        } catch (e) {
          setError((e as Error).message);
        }
      }
      running.current = false;
    })();
  }, [request, active]);
  return { swung: request ? swung : null, error: request ? error : null };
}

const doubtOf = ({ channel }: CastRequest): Doubt => ({
  speed: channel.speedSpread / FOUR_IN_FIVE, // the spread said on the screen holds four swings in five
  depth: channel.depthSpread / FOUR_IN_FIVE,
  line: LINE_DOUBT,
  seed: 1,
  members: MEMBERS,
});
const startBand = ({ request, result }: SimulatedCast, watch: Watch) =>
  doubtBand(request, result, doubtOf(request), watch);

/** The band of doubt round a swing, once it has settled; null while it is not known. */
export const useBand = (swung: SimulatedCast | null): Band | null => useJob(swung, startBand, SETTLED_MS).value;
