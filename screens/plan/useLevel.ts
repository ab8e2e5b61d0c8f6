import type { UseQueryResult } from '@tanstack/react-query';
import type { LevelAhead, LevelRecord } from '@/core/colour';
import { gaugeDoubts, type GaugePoint } from '@/core/gauge';
import { nearestTo } from '@/core/maths';
import { HOUR_MS } from '@/core/units';
import { fileOfStation, type GaugeReport } from '@/store/gauge';
import { useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { capital } from '@/words/capital';
import { gaugeDoubt, levelRecordWords } from '@/words/gauge';
import { format, formatLevel, toShown, unitOf, type UnitSystem } from '@/words/units';
import { clock, dayText, startOfDay } from '../shared/time';
import { useNow } from '../shared/useNow';

/** Which moment of a coming day its level is told of, h; of today so many hours on. */
const [NOON_H, LATER_H] = [12, 6];

interface Asked {
  /** The moment up to which the gauge was asked, ms UTC. */
  readonly until: number;
  /** The day that is planned and today, YYYY-MM-DD. */
  readonly day: string;
  readonly today: string;
  /** How the river goes on; null: not known. */
  readonly ahead: LevelAhead | null;
  /** How such forecasts did; null: not known. */
  readonly record: LevelRecord | null;
}

/** What the gauge of a water tells of its level, and how that goes on, in words and for a picture; null: it has told nothing yet. */
export function useLevel(
  water: Water,
  gauge: UseQueryResult<GaugeReport | null>,
  { until, day, today, ahead, record }: Asked,
) {
  const [{ units }] = useSettings();
  const now = useNow();
  const report = gauge.data;
  const last = report?.points[report.points.length - 1];
  if (!water.stationId || gauge.isError || !report || !last) return null;
  const shown = shownOf(report.points, water.normalStageM ?? 0, units);
  const doubts = report.stale ? [] : gaugeDoubts(report.points, until);
  const of = shown.what === 'Level' ? 'Level against normal at the gauge' : 'Flow at the gauge, which gives no level';
  const coming = ahead?.of === shown.of && day >= today ? ahead.steps : [];
  const moment = day === today ? until + LATER_H * HOUR_MS : startOfDay(day) + NOON_H * HOUR_MS;
  const then = coming.length > 0 && moment <= coming.at(-1)!.at + HOUR_MS ? nearestTo(coming, moment) : null;
  const { text } = shown;
  const from = fileOfStation(water.stationId) === null ? 'a simulated station' : 'from your file';
  return {
    ...shown,
    lastAt: last.at,
    /** What else it measures: flow, water temperature. */
    beside: [
      ...(shown.what === 'Level' && Number.isFinite(last.flowM3s) ? [format('flow', last.flowM3s, units)] : []),
      ...(Number.isFinite(last.tempC) ? [format('temperature', last.tempC, units)] : []),
    ],
    source: [
      `${of} (${from}), ${dayText(last.at)} ${clock(last.at)}.`,
      day > today && !then
        ? `The ${shown.what.toLowerCase()} forecast reaches two days: these are the latest values.`
        : '',
      record ? levelRecordWords(record, shown.what, units) : '',
    ]
      .filter(Boolean)
      .join(' '),
    /** How it goes on, for a picture. */
    ahead: coming.map((s) => ({
      ...{ at: s.at, low: shown.toShown(s.low80), middle: shown.toShown(s.median), high: shown.toShown(s.high80) },
    })),
    /** At the moment that is asked about; null: not known. */
    then: then && {
      when: day === today ? `${shown.what} in ${LATER_H} hours` : `${shown.what} ${dayText(moment)} at noon`,
      value: text(then.median),
      likely: `${text(then.low80)} to ${text(then.high80)}`,
    },
    doubts: doubts.length > 0 ? `${capital(doubts.map(gaugeDoubt).join('; '))}.` : null,
    stale: report.stale ? `Last values received, ${hoursAgo(now, report.fetchedAt)}: ${report.stale}.` : null,
  };
}

/** The level against normal; of a gauge that tells none its flow. */
function shownOf(points: readonly GaugePoint[], normalM: number, units: UnitSystem) {
  const levels = points.filter((p) => Number.isFinite(p.stageM));
  if (levels.length > 0)
    return {
      ...({ what: 'Level', of: 'level' } as const),
      unit: unitOf('level', units),
      now: formatLevel(levels.at(-1)!.stageM - normalM, units),
      points: levels.map((p) => ({ at: p.at, value: toShown('level', p.stageM - normalM, units) })),
      text: (m: number) => formatLevel(m - normalM, units),
      toShown: (m: number) => toShown('level', m - normalM, units),
    };
  const flows = points.filter((p) => Number.isFinite(p.flowM3s));
  return {
    ...({ what: 'Flow', of: 'flow' } as const),
    unit: unitOf('flow', units),
    now: format('flow', flows.at(-1)!.flowM3s, units),
    points: flows.map((p) => ({ at: p.at, value: toShown('flow', p.flowM3s, units) })),
    text: (m3s: number) => format('flow', m3s, units),
    toShown: (m3s: number) => toShown('flow', m3s, units),
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
