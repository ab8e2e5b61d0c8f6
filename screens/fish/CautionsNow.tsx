import { useMemo } from 'react';
import { cautionsNow } from '@/core/cover';
import type { LogEvent } from '@/core/logbook';
import { placeOf, sunDay } from '@/core/sight';
import { useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Caution } from '@/ui';
import { dayOf, startOfDay } from '../shared/time';
import { useGaugeNow } from '../shared/useGauge';
import { HOUR_MS } from '@/core/units';
import { hourCaution } from '@/words/cover';

/** The note that is logged when thunder is heard. */
export const THUNDER = 'Thunder';
/** From any run back to where one is safe in the dark, minutes (assumed). */
const BACK_MIN = 25;

/** What of the hour is dangerous: thunder, rising water, dark. */
export function CautionsNow({ water, events, now }: { water: Water | null; events: readonly LogEvent[]; now: number }) {
  const [{ units }] = useSettings();
  const day = dayOf(now);
  const lastLight = useMemo(() => {
    const place = placeOf(water);
    return place && sunDay(startOfDay(day), place.latDeg, place.lonDeg).lastLight;
  }, [water, day]);
  const thunder = events.findLast((e) => e.kind === 'note' && e.text === THUNDER);
  const gauge = useGaugeNow(water?.stationId ?? null, Math.floor(now / HOUR_MS) * HOUR_MS);
  const read = events.flatMap((e) => (e.kind === 'reading' ? [{ at: e.at, levelM: e.reading.levelM }] : []));
  const gauged = (gauge.data?.points ?? []).map((p) => ({ at: p.at, levelM: p.stageM }));
  return cautionsNow({
    ...{ now, levels: [read, gauged], lastLight, thunderAt: thunder?.at ?? null, backMin: BACK_MIN },
  }).map((c) => (
    <Caution key={c.code} strong>
      {hourCaution(c, units)}
    </Caution>
  ));
}
