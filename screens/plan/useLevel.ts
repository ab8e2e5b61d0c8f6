import type { UseQueryResult } from '@tanstack/react-query';
import { gaugeDoubts, type GaugePoint } from '@/core/gauge';
import { HOUR_MS } from '@/core/units';
import { fileOfStation, type GaugeReport } from '@/store/gauge';
import { useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { capital } from '@/words/capital';
import { gaugeDoubt } from '@/words/gauge';
import { format, formatLevel, toShown, unitOf, type UnitSystem } from '@/words/units';
import { clock, dayText } from '../shared/time';
import { useNow } from '../shared/useNow';

/**
 * What the gauge of a water tells of its level, in words and for a picture; null: it has told nothing yet.
 *
 * @param asked the moment up to which it was asked, ms UTC
 */
export function useLevel(water: Water, gauge: UseQueryResult<GaugeReport | null>, asked: number, future: boolean) {
  const [{ units }] = useSettings();
  const now = useNow();
  const report = gauge.data;
  const last = report?.points[report.points.length - 1];
  if (!water.stationId || gauge.isError || !report || !last) return null;
  const shown = shownOf(report.points, water.normalStageM ?? 0, units);
  const doubts = report.stale ? [] : gaugeDoubts(report.points, asked);
  const of = shown.what === 'Level' ? 'Level against normal at the gauge' : 'Flow at the gauge, which gives no level';
  const from = fileOfStation(water.stationId) === null ? 'a simulated station' : 'from your file';
  return {
    ...shown,
    lastAt: last.at,
    /** What else it measures: flow, water temperature. */
    beside: [
      ...(shown.what === 'Level' && Number.isFinite(last.flowM3s) ? [format('flow', last.flowM3s, units)] : []),
      ...(Number.isFinite(last.tempC) ? [format('temperature', last.tempC, units)] : []),
    ],
    source: `${of} (${from}), ${dayText(last.at)} ${clock(last.at)}.${
      future ? ' There is no level forecast: these are the latest values.' : ''
    }`,
    doubts: doubts.length > 0 ? `${capital(doubts.map(gaugeDoubt).join('; '))}.` : null,
    stale: report.stale ? `Last values received, ${hoursAgo(now, report.fetchedAt)}: ${report.stale}.` : null,
  };
}

/** The level against normal; of a gauge that tells none its flow. */
function shownOf(points: readonly GaugePoint[], normalM: number, units: UnitSystem) {
  const levels = points.filter((p) => Number.isFinite(p.stageM));
  if (levels.length > 0)
    return {
      what: 'Level',
      unit: unitOf('level', units),
      now: formatLevel(levels.at(-1)!.stageM - normalM, units),
      points: levels.map((p) => ({ at: p.at, value: toShown('level', p.stageM - normalM, units) })),
    };
  const flows = points.filter((p) => Number.isFinite(p.flowM3s));
  return {
    what: 'Flow',
    unit: unitOf('flow', units),
    now: format('flow', flows.at(-1)!.flowM3s, units),
    points: flows.map((p) => ({ at: p.at, value: toShown('flow', p.flowM3s, units) })),
  };
}

function hoursAgo(now: number, then: number): string {
  const h = Math.round((now - then) / HOUR_MS);
  return h < 1
    ? 'within the hour'
    : h === 1
      ? 'an hour ago'
      : h < 48
        ? `${h} hours ago`
        : `${Math.round(h / 24)} days ago`;
}
