import { useEffect, useRef, useState } from 'react';

/** A value as it was at most `ms` ago: words that change with every frame are read by nobody, and lay out the page anew. */
export function useSlowly<T>(value: T, ms: number): T {
  const [shown, setShown] = useState(value);
  const last = useRef(0);
  useEffect(() => {
    if (shown === value) return;
    const show = () => {
      last.current = performance.now();
      setShown(value);
    };
    const timer = setTimeout(show, Math.max(0, ms - (performance.now() - last.current)));
    return () => clearTimeout(timer);
  }, [value, shown, ms]);
  return shown;
}
