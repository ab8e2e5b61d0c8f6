import { useSyncExternalStore } from 'react';

/** What a browser sends when a page can be put on the home screen (Manifest Incubations, "beforeinstallprompt"). */
interface InstallPrompt extends Event {
  prompt(): Promise<unknown>;
}

let held: InstallPrompt | null = null;
const listeners = new Set<() => void>();
function hold(prompt: InstallPrompt | null): void {
  held = prompt;
  listeners.forEach((tell) => tell());
}
/** It comes once, soon after the start, and is kept until it is wanted. */
export function holdInstallPrompt(): void {
  if (typeof window === 'undefined') return;
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    hold(event as InstallPrompt);
  });
  window.addEventListener('appinstalled', () => hold(null));
}
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** Puts the program on the home screen by the browser’s own question; null where the browser has not offered that. */
export function useInstall(): (() => void) | null {
  const prompt = useSyncExternalStore(
    subscribe,
    () => held,
    () => null,
  );
  if (!prompt) return null;
  return () => {
    hold(null); // it asks once
    void prompt.prompt();
  };
}

/** Whether it was opened from the home screen. */
export const isInstalled = (): boolean =>
  typeof window !== 'undefined' && !!window.matchMedia?.('(display-mode: standalone)').matches;
