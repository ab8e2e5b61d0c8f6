import { useMemo } from 'react';
import { ANY_MEANS, type Means, meansInWind } from '@/core/cast';
import type { Run } from '@/core/water';
import { useSettings } from '@/store/hooks';
import type { Today } from './useRunDay';

/** What the angler can do; everything until it was asked. */
export function useMeans(): { means: Means; asked: boolean } {
  const [{ means }] = useSettings();
  return { means: means ?? ANY_MEANS, asked: means !== undefined };
}

/** The same in the wind that was read on a run today: what all casts there are worked out by. */
export function useMeansToday(run: Run, { reading: { wind } }: Pick<Today, 'reading'>): Means {
  const { means } = useMeans();
  return useMemo(() => meansInWind(means, wind, run.bank), [means, wind, run.bank]);
}
