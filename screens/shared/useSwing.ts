import { useEffect, useRef, useState } from 'react';
import type { Verdict } from '@/core/advice';
import { type CastRequest, doubtOf } from '@/core/cast';
import type { Band, SwingResult } from '@/core/swing';

import { doubtBand, simulate, type Watch } from '@/workers/river';
import { useJob } from './useJob';

export interface SimulatedCast {
  readonly request: CastRequest;
  readonly result: SwingResult;
}

/** With what it does at every lie. */
export interface JudgedCast extends SimulatedCast {
  readonly verdicts: readonly Verdict[];
}

/** The band waits until nothing has changed for this long. */
const SETTLED_MS = 150;

/** So many are simulated at once: while one comes back and is drawn, the next is worked out. */
const AT_ONCE = 2;

/** Draws once a frame: of two that come within one the second waits for the next, or the hand's next frame would bring none. */
function oncePerFrame() {
  let drawn = false;
  let waits: (() => void) | null = null;
  return function show(draw: () => void) {
    if (drawn) {
      waits = draw;
      return;
    }
    drawn = true;
    draw();
    requestAnimationFrame(() => {
      drawn = false;
      const next = waits;
      waits = null;
      if (next) show(next);
    });
  };
}

/**
 * The swing of the newest request. While some are on their way only the newest waits, so that dragging a control follows
 * the hand and never queues up; what comes back late is left out.
 *
 * @param active false rests, as a screen should that is not in sight
 */
export function useSwing(request: CastRequest | null, active = true) {
  const [simulated, setSimulated] = useState<SimulatedCast | null>(null);
  const [error, setError] = useState<string | null>(null);
  const line = useRef({
    newest: null as CastRequest | null,
    asked: null as CastRequest | null,
    out: 0,
    turn: 0,
    shown: 0,
  });
  const [draw] = useState(oncePerFrame);
  useEffect(() => {
    const l = line.current;
    l.newest = request;
    if (!active) return;
    const next = () => {
      if (!l.newest || l.newest === l.asked || l.out >= AT_ONCE) return;
      const mine = l.newest;
      const turn = ++l.turn;
      l.asked = mine;
      l.out++;
      const show = (result: SwingResult | null, why: string | null) => {
        l.out--;
        next();
        draw(() => {
          if (turn < l.shown) return;
          l.shown = turn;
          if (result) setSimulated({ request: mine, result });
          setError(why);
        });
      };
      void simulate(mine).then(
        (result) => show(result, null),
        (e: Error) => show(null, e.message),
      );
    };
    next();
  }, [request, active, draw]);
  return { simulated: request ? simulated : null, error: request ? error : null };
}

const startBand = ({ request, result }: SimulatedCast, watch: Watch) =>
  doubtBand(request, result, doubtOf(request.channel), watch);

/** The band of doubt round a swing, once it has settled; null while it is not known. */
export const useBand = (simulated: SimulatedCast | null): Band | null => useJob(simulated, startBand, SETTLED_MS).value;
