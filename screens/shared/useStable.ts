import { useCallback, useEffect, useRef } from 'react';

/** A function that stays the same from render to render and does what the newest one does; for handlers, not for rendering. */
export function useStable<A extends unknown[], R>(newest: (...args: A) => R): (...args: A) => R {
  const latest = useRef(newest);
  useEffect(() => {
    latest.current = newest;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
