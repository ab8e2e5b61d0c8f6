import { type Reading, TYPICAL_DAY } from './reading';
import type { Run } from './run';

/** What a gauge says now; NaN where it does not say it. */
export interface GaugeNow {
  readonly stageM: number;
  readonly flowM3s: number;
  readonly tempC: number;
}

/** The reading a run is rebuilt from. */
export interface ReadingInForce {
  readonly reading: Reading;
  /** Where it comes from, in words. */
  readonly source: string;
  /** Read today. */
  readonly fresh: boolean;
}

/** The last reading of a run by its time; null where there is none. */
export const lastReading = (runId: string, readings: readonly Reading[]): Reading | null =>
  readings.filter((r) => r.runId === runId).reduce<Reading | null>((b, r) => (b && b.at > r.at ? b : r), null);

/**
 * The reading in force: today's; else a typical day at the level the gauge gives, or at the last one read.
 *
 * @param o.sameDay whether two moments are on one day where the angler is
 * @param o.normalStageM staff level that counts as normal; null: the gauge's level cannot be used
 */
export function readingInForce(
  run: Run,
  readings: readonly Reading[],
  o: {
    readonly now: number;
    readonly sameDay: (a: number, b: number) => boolean;
    readonly gauge: GaugeNow | null;
    readonly normalStageM: number | null;
  },
): ReadingInForce {
  const { gauge } = o;
  const last = lastReading(run.id, readings);
  if (last && o.sameDay(last.at, o.now)) return { reading: last, source: 'read today', fresh: true };
  const gaugeLevelM = gauge && o.normalStageM !== null ? Math.round(100 * (gauge.stageM - o.normalStageM)) / 100 : null;
  const reading: Reading = {
    ...TYPICAL_DAY,
    id: 'typical',
    runId: run.id,
    at: o.now,
    levelM: gaugeLevelM ?? last?.levelM ?? run.levelM,
    speed: null,
    ...(gaugeLevelM === null ? null : { levelFrom: 'gauge' as const }),
    ...(gauge && Number.isFinite(gauge.flowM3s) ? { flowM3s: gauge.flowM3s } : null),
    waterTempC: gauge && Number.isFinite(gauge.tempC) ? Math.round(10 * gauge.tempC) / 10 : null,
  };
  return {
    reading,
    source: gaugeLevelM === null ? 'not read today; taken as typical' : 'not read today; level from the gauge',
    fresh: false,
  };
}
