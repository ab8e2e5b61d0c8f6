import { useEffect, useMemo, useState } from 'react';
import type { LieOptions, Survey } from '@/core/lies';
import { atLevel, type Reading, type Run } from '@/core/water';
import { useLater } from '@/ui';
import type { RunReady } from '../shared/RunGate';
import { type LieQuery, useSurvey } from '../shared/useRunDay';
import { saidOf } from '@/words/said';

const engine = () => import('@/core/lies/survey');

/** Rests a value until it has not changed for a while. */
export function useSettled<T>(value: T, ms: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}

const SETTLED_MS = 250;

/** The run at another level: coarse at once on the main thread, so that it follows the slider; in full when the hand rests. */
export function useWhatIf({ run, water, today, survey }: RunReady, wish: LieQuery, o: LieOptions) {
  const [levelM, setLevelM] = useState<number | null>(null);
  const draft = useDraft(run, today.reading, levelM, o);
  const settledAt = useSettled(draft.at, SETTLED_MS);
  const full = useSurvey(settledAt?.run, settledAt?.reading, water, wish);
  const settled = settledAt && settledAt === draft.at && !full.isPlaceholderData ? full.data : null;
  const shown = levelM === null ? survey : (settled ?? draft.survey ?? survey);
  return { shown, levelM, setLevelM, problem: draft.error };
}

/** @returns the run and reading of that level and the coarse survey; null when none is asked for, or why there is none */
function useDraft(run: Run, reading: Reading, levelM: number | null, o: LieOptions) {
  const { all } = useLater(engine);
  const there = useMemo<{ at: ReturnType<typeof atLevel> | null; error: string | null }>(() => {
    if (levelM === null) return { at: null, error: null };
    try {
      return { at: atLevel(run, reading, levelM), error: null };
    } catch (error) {
      return { at: null, error: saidOf(error) };
    }
  }, [run, reading, levelM]);
  const survey = useMemo<Survey | null>(
    () => (there.at && all ? all.coarseSurvey(there.at.run, there.at.reading, o) : null),
    [there, all, o],
  );
  return { ...there, survey };
}
