/** What a gauge says of a moment, in SI; NaN where it says nothing of it. */
export interface GaugePoint {
  /** ms UTC */
  readonly at: number;
  /** Level on the staff, m. */
  readonly stageM: number;
  readonly flowM3s: number;
  readonly tempC: number;
  /** Rain since the value before, mm. */
  readonly rainMm?: number;
}

const HOUR = 3_600_000;
/** What counts as a change in six hours: 3 cm of level; where there is none, so much of the flow. */
const [CHANGE_M, CHANGE_SHARE] = [0.03, 0.08];

export type Trend = 'rising' | 'falling' | 'steady';

/** Rising, falling or steady over the last six hours, by 3 cm; by a twelfth of the flow where the gauge tells no level. What turned in
 * the last two hours goes as it went since: below a dam a release comes and goes within six. */
export function trend(points: readonly GaugePoint[]): Trend {
  const known = points.filter((p) => Number.isFinite(p.stageM));
  const level = known.length > 0;
  const list = level ? known : points.filter((p) => p.flowM3s > 0);
  const last = list[list.length - 1];
  if (!last) return 'steady';
  const since = (hours: number) => {
    const before = [...list].reverse().find((p) => p.at <= last.at - hours * HOUR) ?? list[0]!;
    return level ? (last.stageM - before.stageM) / CHANGE_M : (last.flowM3s / before.flowM3s - 1) / CHANGE_SHARE;
  };
  const [lately, change] = [since(2), since(6)];
  const goes = Math.abs(lately) > 1 ? lately : change;
  return goes > 1 ? 'rising' : goes < -1 ? 'falling' : 'steady';
}
