import { useMemo } from 'react';
import { addShown, type Covering, shareShown } from '@/core/cover';
import type { WaterShown } from '@/core/logbook';
import { gapsIn, type Ground, type Showings, showingsOf } from '@/core/showing';
import { passedBy } from '@/core/showing/passing'; // not the barrel: Fish wants this alone
import type { SwingResult } from '@/core/swing';
import type { PlanPoint } from '@/core/water';
import type { Covered } from '../shared/paths';

const kept = new WeakMap<SwingResult, { readonly ground: Ground; readonly shows: Showings }>();

/** What a cast that was made showed the flies to; worked out once. */
function showingsBy(result: SwingResult, { ground, flies }: Covering): Showings {
  const known = kept.get(result);
  if (known?.ground === ground) return known.shows;
  const shows = showingsOf(result, ground, flies);
  kept.set(result, { ground, shows });
  return shows;
}

/** What a cast showed its flies to; null while the run’s fish are not known. */
export function waterShown(result: SwingResult, covering: Covering | null): WaterShown | null {
  if (!covering) return null;
  const { ground, flies, weights } = covering;
  const shows = showingsBy(result, covering);
  return {
    share: shareShown({ cells: shows.places, by: shows.by }, weights),
    passed: passedBy(result, shows, ground, flies, weights),
  };
}

export interface ShownSoFar {
  /** How often each cell of the holding water was shown the fly. */
  readonly shown: Float32Array;
  /** The casts of it that showed some, by id. */
  readonly over: ReadonlySet<string>;
  /** Where it was not. */
  readonly gaps: readonly PlanPoint[];
}

/** What the casts of this visit showed of the holding water; null while that is not known. */
export function useShown(covered: readonly Covered[], covering: Covering | null): ShownSoFar | null {
  return useMemo(() => {
    if (!covering) return null;
    const shown = new Float32Array(covering.weights.length);
    const over = new Set<string>();
    for (const { castId, result } of covered) {
      const { places: cells, by } = showingsBy(result, covering);
      if (cells.length > 0) over.add(castId);
      addShown(shown, { cells, by });
    }
    return { shown, over, gaps: gapsIn(covering.ground, shown) };
  }, [covered, covering]);
}
