import { useCallback, useState } from 'react';
import { type Feature, featureAt, type FeatureKind, type Run, type Section } from '@/core/water';
import { type Change, patch, put } from '@/store/changes';
import { newId, useCommit } from '@/store/hooks';
import { saidOf } from '@/words/said';

/** Changes to a run, each stored at once, with a way back and forward again. */
export function useRunEditor(run: Run) {
  const commit = useCommit();
  const [past, setPast] = useState<Run[]>([]);
  const [future, setFuture] = useState<Run[]>([]);
  const [problem, setProblem] = useState<string | null>(null);

  const store = useCallback(
    async (next: Change): Promise<boolean> => {
      try {
        await commit(next);
        setProblem(null);
        return true;
      } catch (error) {
        setProblem(saidOf(error));
        return false;
      }
    },
    [commit],
  );
  const change = async (part: Partial<Run>) => {
    const before = run;
    if (!(await store(patch('run', run.id, part)))) return;
    setPast((p) => [...p.slice(-49), before]);
    setFuture([]);
  };
  /** Sections as somebody measured them. */
  const drawn = (sections: readonly Section[]) =>
    void change({
      sections: [...sections].sort((a, b) => a.xM - b.xM),
      ...(run.glance && { glance: false }),
    });
  const go = async (from: Run[], setFrom: typeof setPast, setTo: typeof setPast) => {
    const to = from[from.length - 1];
    if (!to || !(await store(put('run', to)))) return;
    setFrom(from.slice(0, -1));
    setTo((list) => [...list, run]);
  };

  return {
    problem,
    change,
    undo: past.length ? () => void go(past, setPast, setFuture) : null,
    redo: future.length ? () => void go(future, setFuture, setPast) : null,
    setSection: (i: number, section: Section) => drawn(run.sections.map((s, j) => (j === i ? section : s))),
    addSection: (section: Section) => drawn([...run.sections, section]),
    removeSection: (i: number) => drawn(run.sections.filter((_, j) => j !== i)),
    addFeature: (kind: FeatureKind, xM: number, yM: number) => {
      const feature = featureAt(newId(), kind, xM, yM);
      void change({ features: [...run.features, feature] });
      return feature.id;
    },
    setFeature: (id: string, part: Partial<Feature>) =>
      void change({ features: run.features.map((f) => (f.id === id ? { ...f, ...part } : f)) }),
    removeFeature: (id: string) => void change({ features: run.features.filter((f) => f.id !== id) }),
  };
}
export type RunEditor = ReturnType<typeof useRunEditor>;
