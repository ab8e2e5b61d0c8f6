import { useMemo } from 'react';
import { type Covering, gapsIn, type Ground, sweptBy } from '@/core/cover';
import type { SwingResult } from '@/core/swing';
import type { PlanPoint } from '@/core/water';
import type { Covered } from '../shared/paths';

const kept = new WeakMap<SwingResult, { readonly ground: Ground; readonly cells: Uint16Array }>();

/** What a cast that was made showed the flies to; worked out once. */
function cellsOf(result: SwingResult, { ground, flies }: Covering): Uint16Array {
  const known = kept.get(result);
  if (known?.ground === ground) return known.cells;
  const cells = sweptBy(result, ground, flies);
  kept.set(result, { ground, cells });
  return cells;
}

export interface ShownSoFar {
  /** How often each cell of the holding water was shown the fly. */
  readonly shown: Uint16Array;
  /** The casts of it that showed some, by id. */
  readonly over: ReadonlySet<string>;
  /** Where it was not. */
  readonly gaps: readonly PlanPoint[];
}

/** What the casts of this visit showed of the holding water; null while that is not known. */
export function useShown(covered: readonly Covered[], covering: Covering | null): ShownSoFar | null {
  return useMemo(() => {
    if (!covering) return null;
    const shown = new Uint16Array(covering.weights.length);
    const over = new Set<string>();
    for (const { castId, result } of covered) {
      const swept = cellsOf(result, covering);
      if (swept.length > 0) over.add(castId);
      for (const i of swept) shown[i]! += 1;
    }
    return { shown, over, gaps: gapsIn(covering.ground, shown) };
  }, [covered, covering]);
}
