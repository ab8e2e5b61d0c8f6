import { roundTo } from '../maths/bounds';
import { DIRTY_M } from './clarity';
import { GUESSABLE, type Reading, type Sky, TYPICAL_DAY, type WaterColour } from './reading';
import type { Run } from './run';

/** What a gauge says now; NaN where it does not say it. */
interface GaugeNow {
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

/** The colour that goes with a visibility, as a guess: silt where one sees little, peat where the river is stained. */
const colourAt = (visibilityM: number, peaty: boolean): WaterColour =>
  peaty ? 'tea' : visibilityM <= DIRTY_M ? 'grey-brown' : TYPICAL_DAY.colour;
/** The sky under so much cloud: a third and two thirds divide (assumed). */
const skyAt = (cloud: number): Sky => (cloud < 1 / 3 ? 'bright' : cloud < 2 / 3 ? 'broken' : 'overcast');

/** The level against normal that a gauge tells, m to a centimetre; null: none can be told. */
export const levelAtGauge = (gauge: Pick<GaugeNow, 'stageM'> | null, normalStageM: number | null): number | null =>
  gauge && normalStageM !== null && Number.isFinite(gauge.stageM) ? roundTo(100, gauge.stageM - normalStageM) : null;

/**
 * The reading in force: today's; else what gauge and forecast give, and for the rest a typical day at the last level read: all that
 * nobody read is marked as a guess.
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
    /** What is forecast for now of visibility, m, and cloud, 0 to 1; not said: not known. */
    readonly visibilityM?: number | null;
    readonly cloud?: number | null;
    readonly peaty?: boolean;
  },
): ReadingInForce {
  const { gauge } = o;
  const last = lastReading(run.id, readings);
  if (last && o.sameDay(last.at, o.now)) return { reading: last, source: 'read today', fresh: true };
  const gaugeLevelM = levelAtGauge(gauge, o.normalStageM);
  const reading: Reading = {
    ...TYPICAL_DAY,
    ...(o.visibilityM == null
      ? null
      : { visibilityM: o.visibilityM, colour: colourAt(o.visibilityM, o.peaty ?? false) }),
    ...(o.cloud == null ? null : { sky: skyAt(o.cloud) }),
    guessed: GUESSABLE,
    id: 'typical',
    runId: run.id,
    at: o.now,
    levelM: gaugeLevelM ?? last?.levelM ?? run.levelM,
    speed: null,
    levelFrom: gaugeLevelM === null ? 'guess' : 'gauge',
    ...(gauge && Number.isFinite(gauge.flowM3s) ? { flowM3s: gauge.flowM3s } : null),
    waterTempC: gauge && Number.isFinite(gauge.tempC) ? Math.round(10 * gauge.tempC) / 10 : null,
  };
  return {
    reading,
    source: gaugeLevelM === null ? 'not read today; all of it is a guess' : 'not read today; level from the gauge',
    fresh: false,
  };
}
