import { useEffect, useMemo } from 'react';
import { shoulderFor } from '@/core/cast/wind';
import { trend } from '@/core/gauge/points';
import { addTallies, EMPTY_TALLY } from '@/core/logbook';
import { restedOn } from '@/core/plan/season';
import type { NoColour, WaterDay } from '@/core/plan/waters';
import { lyingOf } from '@/core/plan/suits';
import { middlingWind, windOnRun, type WindOnRun } from '@/core/plan/wind';
import type { Run } from '@/core/water';
import { useFolded, useRecords } from '@/store/hooks';
import type { Water } from '@/store/records';
import { useGaugeYear } from '../shared/useGauge';
import { useDayAhead } from './useDayAhead';
import { DAY_MS, HOUR_MS } from '@/core/units';
import { saidOf } from '@/words/said';

const withShoulder = (run: Run, on: WindOnRun) => ({ ...on, shoulder: shoulderFor(on.wind, run.bank) });
/** How many moments fall into each month of the year. */
function byMonth(ats: readonly number[]): number[] {
  const months = Array.from({ length: 12 }, () => 0);
  for (const at of ats) months[new Date(at).getMonth()]!++;
  return months;
}

/** Gathers what is known of one water that day; shows nothing. */
export function WaterProbe({ water, day, onDay }: { water: Water; day: string; onDay: (d: WaterDay) => void }) {
  const ahead = useDayAhead(water, day);
  const { now, dayStart, settled, closed, colour, waterC, runs, weatherFished, gauge, colours } = ahead;
  const { data: reports } = useRecords('report');
  const { data: outings } = useRecords('outing');
  const folded = useFolded();
  const past = useGaugeYear(water.stationId, Math.floor(Math.min(now, dayStart + DAY_MS) / HOUR_MS) * HOUR_MS);
  const waiting = water.stationId !== null && past.isPending;
  const noColour = useMemo(
    () => noColourOf(water, gauge.error, colours.forecast.error),
    [water, gauge.error, colours.forecast.error],
  );
  const lately = gauge.data?.points;
  const year = past.data?.points;
  const found = useMemo((): WaterDay | null => {
    if (!settled || waiting || !reports || !outings || !folded) return null;
    const own = outings.filter((o) => o.waterId === water.id);
    const logs = folded.filter((f) => own.some((o) => o.id === f.outingId)).map((f) => f.log);
    const tally = logs.map((l) => l.tally).reduce(addTallies, EMPTY_TALLY);
    const lengths = logs.flatMap((l) => l.fish.flatMap((f) => f.take.fish?.lengthM ?? []));
    const said = reports.filter((r) => r.waterId === water.id).sort((a, b) => b.at - a.at);
    const points = [...(year ?? []), ...(lately ?? [])].sort((a, b) => a.at - b.at);
    const rested = restedOn(points, water.river, own, said, now, dayStart);
    const wind = middlingWind(weatherFished);
    return {
      ...{ id: water.id, name: water.name, quarry: water.quarry, also: water.also, driveMin: water.driveMin ?? null },
      springs: runs.filter((r) => r.features.some((f) => f.kind === 'spring')).map((r) => r.name),
      ...{ closed, colour, noColour, closesAtC: water.rules?.closesAtC ?? null, warmestC: waterC?.[1] ?? null },
      trend: points.length > 0 ? trend(points) : null,
      winds: wind ? runs.map((run) => withShoulder(run, windOnRun(lyingOf(run), wind))) : [],
      freshetDays: rested.freshetDays,
      fishedSince: rested.fished.length,
      reports: said,
      own: {
        casts: tally.casts - tally.byHand,
        takes: tally.takes - tally.byHandTakes,
        longestM: lengths.length > 0 ? Math.max(...lengths) : null,
        byMonth: byMonth(logs.flatMap((l) => l.fish.map((f) => f.take.at))),
      },
    };
  }, [
    settled,
    waiting,
    reports,
    outings,
    folded,
    water,
    year,
    lately,
    now,
    dayStart,
    weatherFished,
    closed,
    colour,
    noColour,
    waterC,
    runs,
  ]);
  useEffect(() => {
    if (found) onDay(found);
  }, [found, onDay]);
  return null;
}

/** Why there is no forecast of its colour, if there is none. */
function noColourOf(water: Water, gauge: Error | null, forecast: Error | null): NoColour {
  if (!water.stationId) return { code: 'no gauge' };
  if (gauge) return { code: 'failed', of: 'gauge', why: saidOf(gauge) };
  if (forecast) return { code: 'failed', of: 'forecast', why: saidOf(forecast) };
  return { code: 'two days only' };
}
