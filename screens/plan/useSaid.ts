import { useEffect, useMemo } from 'react';
import type { ColourAt, ColourReading, ColourRecord } from '@/core/colour';
import { saidRecord } from '@/core/colour/forecastRecord'; // not the barrel: this shares a part with others
import { useRecords, useSave } from '@/store/hooks';
import { dayOf } from '../shared/time';

/** Keeps what is said of a moment to come as it is said, once a day; and how often what was said before held. */
export function useSaid(
  waterId: string,
  f: ColourAt | null,
  madeAt: number | null,
  readings: readonly ColourReading[],
): ColourRecord | null {
  const { data: said } = useRecords('forecast');
  const { put } = useSave('forecast');
  const id = f && madeAt !== null ? `${waterId}-${dayOf(f.at)}-${dayOf(madeAt)}` : null;
  const isNew = id !== null && said !== undefined && !said.some((s) => s.id === id);
  useEffect(() => {
    if (!isNew || !f || madeAt === null || f.at < madeAt) return;
    const { medianM, low80M, high80M } = f;
    // What cannot be kept is only not counted later; the store says itself that it failed.
    void put({ id, waterId, madeAt, forAt: f.at, medianM, low80M, high80M }).catch(() => undefined);
  }, [isNew, id, f, madeAt, waterId, put]);
  return useMemo(
    () =>
      said?.some((s) => s.waterId === waterId)
        ? saidRecord(
            said.filter((s) => s.waterId === waterId),
            readings,
          )
        : null,
    [said, waterId, readings],
  );
}
