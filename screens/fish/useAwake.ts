import { useEffect } from 'react';

/** Keeps the screen lit while one fishes, where the browser can; a page that comes back into sight asks again. */
export function useAwake(active: boolean): void {
  useEffect(() => {
    if (!active || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (got) => {
          if (over) void got.release();
          else lock = got;
        },
        () => undefined, // a battery that saves, or a browser that does not allow it
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, [active]);
}
