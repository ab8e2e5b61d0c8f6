import { useCallback, useEffect, useState } from 'react';
import { BASE } from '@/store/base';
import { useToast } from '@/ui';
import { once } from './once';

/** That it was said once that the program works without a signal. */
const SAID = 'wanderung-ready';

/**
 * The program as it is kept for use without a signal: says once that it is, and offers a newer one when it has come.
 *
 * @returns uses the newer version, or null when there is none
 */
export function useVersion(): (() => void) | null {
  const toast = useToast();
  const [waiting, setWaiting] = useState<ServiceWorker | null>(null);
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    let asked = false;
    const container = navigator.serviceWorker;
    void container.ready.then(() => once(SAID) && toast('Ready to use offline.'));
    container
      .register(`${BASE}/sw.js`)
      .then((registration) => {
        asked = true;
        // The first one takes over by itself; one that comes later waits until it is wanted.
        const offer = () => setWaiting(container.controller && registration.waiting);
        const watch = () => registration.installing?.addEventListener('statechange', offer);
        offer();
        watch();
        registration.addEventListener('updatefound', watch);
      })
      .catch(() => undefined);
    const look = () => {
      if (asked && document.visibilityState === 'visible')
        void container.getRegistration().then((r) => r?.update().catch(() => undefined));
    };
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, [toast]);
  const use = useCallback(() => {
    navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
    waiting?.postMessage('use');
  }, [waiting]);
  return waiting ? use : null;
}
