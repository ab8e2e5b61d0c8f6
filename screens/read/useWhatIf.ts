import { useEffect, useMemo, useState } from 'react';
import type { LieOptions, Survey } from '@/core/lies';
import { atLevel, type Reading, type Run } from '@/core/water';

type Engine = typeof import('@/core/lies/survey');

/** Rests a value until it has not changed for a while. */
export function useSettled<T>(value: T, ms: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}

/**
 * The run at another level, coarsely and at once, on the main thread: it follows the slider.
 *
 * @returns the run and reading of that level and the coarse survey; null when none is asked for, or why there is none
 */
export function useDraft(
  run: Run | null | undefined,
  reading: Reading | null,
  levelM: number | null,
  o: LieOptions | null,
) {
  const [engine, setEngine] = useState<Engine | null>(null);
  useEffect(() => {
    let current = true;
    void import('@/core/lies/survey').then((m) => current && setEngine(m));
    return () => {
      current = false;
    };
  }, []);
  const there = useMemo<{ at: ReturnType<typeof atLevel> | null; error: string | null }>(() => {
    if (levelM === null || !run || !reading) return { at: null, error: null };
    try {
      return { at: atLevel(run, reading, levelM), error: null };
    } catch (error) {
      return { at: null, error: (error as Error).message };
    }
  }, [run, reading, levelM]);
  const survey = useMemo<Survey | null>(
    () => (there.at && engine && o ? engine.coarseSurvey(there.at.run, there.at.reading, o) : null),
    [there, engine, o],
  );
  return { ...there, survey };
}
