import { useMemo } from 'react';
import { hoursRecord } from '@/core/plan/hoursRecord';
import { placeOf } from '@/core/sight/place';
import { HOUR_MS } from '@/core/units';
import { useFolded, useRecords, useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Text } from '@/ui';
import { hoursRecordWords } from '@/words/hours';
import { useGaugeYear } from '../shared/useGauge';
import { useNow } from '../shared/useNow';

/** What one's own log says of the hours that are called the best on a water; nothing while it says little. */
export function HoursHeld({ water }: { water: Water }) {
  const [{ schools }] = useSettings();
  const chosen = schools?.hours ?? null;
  const { data: outings } = useRecords('outing');
  const folded = useFolded();
  const { data: year } = useGaugeYear(water.stationId, Math.floor(useNow() / HOUR_MS) * HOUR_MS);
  const record = useMemo(() => {
    const place = placeOf(water);
    if (!place || !outings || !folded) return null;
    const own = new Set(outings.filter((o) => o.waterId === water.id).map((o) => o.id));
    const visits = folded.flatMap((f) => (own.has(f.outingId) ? f.log.visits : []));
    return hoursRecord(place, water, visits, year?.points ?? [], chosen);
  }, [water, outings, folded, year, chosen]);
  return record ? (
    <Text size="small" tone="ink2">
      {hoursRecordWords(record)}
    </Text>
  ) : null;
}
