import { useMemo } from 'react';
import type { Quarry } from '@/core/lies';
import { MINUTE_MS } from '@/core/units';
import { useRecord, useSession } from '@/store/hooks';
import type { Session, Water } from '@/store/records';
import { dayOf } from './time';
import { useNow } from './useNow';

/** The fish of a water, the one that it is fished for first. */
export const fishOf = ({ quarry, also = [] }: Pick<Water, 'quarry' | 'also'>): readonly Quarry[] => [
  ...new Set([quarry, ...also]),
];

/** A water as it is fished on a day: for the fish that was chosen for it, if that is still one of its fish. */
export function waterOn(water: Water, after: Session['after'], day: string): Water {
  const fish = fishOf(water);
  if (after?.waterId !== water.id || after.day !== day || !fish.includes(after.quarry)) return water;
  return { ...water, quarry: after.quarry, also: fish.filter((f) => f !== after.quarry) };
}

/** A water as it is fished today: lies, tackle and log go by the fish that one is after. */
export function useWater(id: string | null | undefined): Water | null | undefined {
  const water = useRecord('water', id);
  const [session] = useSession();
  const day = dayOf(useNow(5 * MINUTE_MS));
  const after = session?.after;
  return useMemo(() => water && waterOn(water, after, day), [water, after, day]);
}
