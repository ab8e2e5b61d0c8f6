import { useCallback, useEffect, useRef, useState } from 'react';

interface Draft<T> {
  readonly value: T;
  /** What was stored when the hand began. */
  readonly base: T;
  /** Given to the store; it lasts until the store shows something new. */
  readonly given: boolean;
}

/** A hand that has not moved for so long rests, ms. */
const REST_MS = 300;

/**
 * A stored value that a hand changes many times a second: each change shows at once and stays in the component; it is
 * stored when the hand rests, or the screen goes away.
 *
 * @param store is called with the last value of a movement
 * @returns the value, its setter, whether the hand is moving, and two ways to end a movement: to forget what is not stored
 * yet, or to store it now
 */
export function useResting<T>(stored: T, store: (value: T) => void) {
  const [draft, setDraft] = useState<Draft<T> | null>(null);
  const latest = useRef({ draft, stored, store });
  const live = draft && !(draft.given && stored !== draft.base) ? draft : null;
  useEffect(() => {
    latest.current = { draft: live, stored, store };
  });
  const give = useCallback(() => {
    const { draft: now, store: to } = latest.current;
    if (!now || now.given) return;
    to(now.value);
    latest.current.draft = { ...now, given: true };
    setDraft(latest.current.draft);
  }, []);
  useEffect(() => {
    if (!live || live.given) return;
    const timer = setTimeout(give, REST_MS);
    return () => clearTimeout(timer);
  }, [live, give]);
  useEffect(() => {
    const leaving = globalThis.window;
    leaving?.addEventListener('pagehide', give);
    return () => {
      leaving?.removeEventListener('pagehide', give);
      give();
    };
  }, [give]);
  const set = useCallback((value: T) => {
    const { draft: now, stored: base } = latest.current;
    const next = { value, base: now?.base ?? base, given: false };
    latest.current.draft = next;
    setDraft(next);
  }, []);
  const forget = useCallback(() => {
    latest.current.draft = null;
    setDraft(null);
  }, []);
  return { value: live ? live.value : stored, set, moving: !!live && !live.given, forget, settle: give };
}
