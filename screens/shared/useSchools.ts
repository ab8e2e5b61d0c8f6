import { useMemo } from 'react';
import { schoolsOn } from '@/core/answer/schoolDay'; // not the barrel: this weighs on the first look
import { chosenSchools, type Schools } from '@/core/answer/schools';
import { USUAL_QUARRY } from '@/core/lies/options';
import { placeOf } from '@/core/sight/place';
import { sunDegAt } from '@/core/sight/sun';
import { useSettings } from '@/store/hooks';
import type { RunReady } from './RunGate';
import { useUsualQuery } from './useRunDay';

/** The schools that advice goes by on a run today. */
export function useSchools({ run, water, today }: Pick<RunReady, 'run' | 'water' | 'today'>): Schools {
  const [{ school, flood, schools }] = useSettings();
  const { sunAt: at } = useUsualQuery();
  return useMemo(() => {
    return schoolsOn({
      ...{ run, reading: today.reading, quarry: water?.quarry ?? USUAL_QUARRY },
      sunDeg: sunDegAt(placeOf(water), at ?? 0),
      schools: chosenSchools({ school, ...(flood && { flood }), ...(schools && { schools }) }),
    });
  }, [run, water, today, at, school, flood, schools]);
}
