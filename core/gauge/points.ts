import { HOUR_MS } from '../units';
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

/** What counts as a change in six hours: 3 cm of level; where there is none, so much of the flow. */
const [CHANGE_M, CHANGE_SHARE] = [0.03, 0.08];
/** And in a day: twice as much level, or an eighth of the flow. */
const [DAY_M, DAY_SHARE] = [0.06, 0.125];
/** It still goes on where six hours brought so much of what counts as a change in them. */
const STILL_GOES = 0.2;

export type Trend = 'rising' | 'falling' | 'steady';

/** Rising, falling or steady over the last six hours, by 3 cm; by a twelfth of the flow where the gauge tells no level; else over the
 * day, by 6 cm or an eighth of the flow. What turned in the last two hours goes as it went since: below a dam a release comes and goes
 * within six. */
export function trend(points: readonly GaugePoint[]): Trend {
  const known = points.filter((p) => Number.isFinite(p.stageM));
  const level = known.length > 0;
  const list = level ? known : points.filter((p) => p.flowM3s > 0);
  const last = list[list.length - 1];
  if (!last) return 'steady';
  const hoursAgo = (hours: number) => [...list].reverse().find((p) => p.at <= last.at - hours * HOUR_MS) ?? list[0]!;
  const since = (hours: number) => {
    const before = hoursAgo(hours);
    return level ? (last.stageM - before.stageM) / CHANGE_M : (last.flowM3s / before.flowM3s - 1) / CHANGE_SHARE;
  };
  // In a wide low river a fifth more flow is a few centimetres: either tells.
  const day = hoursAgo(24);
  const byFlow = last.flowM3s > 0 && day.flowM3s > 0 ? (last.flowM3s / day.flowM3s - 1) / DAY_SHARE : 0;
  const byLevel = level ? (last.stageM - day.stageM) / DAY_M : 0;
  const inDay = Math.abs(byFlow) > Math.abs(byLevel) ? byFlow : byLevel;
  const [lately, six] = [since(2), since(6)];
  // What rose and stands since is steady: of a day only what still goes on counts.
  const slowly = six * Math.sign(inDay) > STILL_GOES ? inDay : 0;
  const goes = [lately, six, slowly].find((change) => Math.abs(change) > 1) ?? 0;
  return goes > 1 ? 'rising' : goes < -1 ? 'falling' : 'steady';
}
