import { useEffect, useReducer, useRef, useState } from 'react';
import type { Watch } from '@/workers/river';
import { saidOf } from '@/words/said';

interface Progress<Q, T> {
  readonly of: Q;
  readonly share: number;
  readonly value?: T;
  readonly error?: string;
  readonly stopped?: boolean;
}

/**
 * A long piece of work in a worker: begun when what is asked has not changed for a while, ended when something else
 * is asked or the screen goes away.
 *
 * @param ask null: nothing to do
 * @param start must be the same function each time
 */
export function useJob<Q extends object, T>(
  ask: Q | null,
  start: (ask: Q, watch: Watch) => Promise<T | null>,
  pauseMs: number,
) {
  const [state, setState] = useState<Progress<Q, T> | null>(null);
  const control = useRef<AbortController | null>(null);
  const [round, again] = useReducer((n: number) => n + 1, 0);
  useEffect(() => {
    if (!ask) return;
    const abort = new AbortController();
    control.current = abort;
    const tell = (part: Partial<Progress<Q, T>>) => {
      if (!abort.signal.aborted) setState((s) => ({ ...(s?.of === ask ? s : { of: ask, share: 0 }), ...part }));
    };
    const timer = setTimeout(() => {
      tell({ share: 0, stopped: false });
      start(ask, { signal: abort.signal, onShare: (share) => tell({ share }) }).then(
        (value) => value !== null && tell({ value, share: 1 }),
        (error: Error) => tell({ error: saidOf(error) }),
      );
    }, pauseMs);
    return () => {
      clearTimeout(timer);
      abort.abort();
    };
  }, [ask, start, pauseMs, round]);
  const mine = state && state.of === ask ? state : null;
  return {
    value: mine?.value ?? null,
    share: mine?.share ?? 0,
    error: mine?.error ?? null,
    stopped: mine?.stopped ?? false,
    stop: () => {
      control.current?.abort();
      if (ask) setState({ of: ask, share: 0, stopped: true });
    },
    again,
  };
}
