import { useEffect, useState } from 'react';

/** Whether the program opens without a signal here: it does, will once its parts are loaded, wants https, or never. */
export type Offline = 'ready' | 'coming' | 'insecure' | 'never';

function now(): Offline {
  if (typeof window === 'undefined' || process.env.NODE_ENV !== 'production') return 'never';
  if (!window.isSecureContext) return 'insecure';
  if (!('serviceWorker' in navigator)) return 'never';
  return navigator.serviceWorker.controller ? 'ready' : 'coming';
}

export function useOffline(): Offline {
  const [offline, setOffline] = useState(now);
  useEffect(() => {
    if (offline === 'coming') void navigator.serviceWorker.ready.then(() => setOffline('ready'));
  }, [offline]);
  return offline;
}
