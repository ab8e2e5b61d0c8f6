import { useEffect, useRef } from 'react';

/** Single keys that do what buttons do, while nothing is being typed. */
export function useShortcuts(active: boolean, keys: Readonly<Record<string, () => void>>): void {
  const newest = useRef(keys);
  useEffect(() => {
    newest.current = keys;
  });
  useEffect(() => {
    if (!active) return;
    const onKey = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement;
      if (typing || e.ctrlKey || e.metaKey || e.altKey || e.repeat) return;
      newest.current[e.key.toLowerCase()]?.();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [active]);
}
