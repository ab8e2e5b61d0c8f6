import { useEffect, useState } from 'react';

/** Whether a media query holds; follows it while it changes. */
export function useMedia(query: string): boolean {
  const [holds, setHolds] = useState(false);
  useEffect(() => {
    const media = globalThis.matchMedia?.(query);
    if (!media) return;
    const read = () => setHolds(media.matches);
    read();
    media.addEventListener('change', read);
    return () => media.removeEventListener('change', read);
  }, [query]);
  return holds;
}
