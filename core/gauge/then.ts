import { roundTo } from '../maths';
import { DAY_MS, HOUR_MS } from '../units';
import { freshets } from './freshets';
import { type GaugePoint, type Trend, trend } from './points';

/** How a river went when it was read. */
export interface RiverThen {
  readonly trend: Trend;
  /** Since its last peak, to a tenth; null: none in the days that the gauge was heard of. */
  readonly freshetDays: number | null;
}

/** A gauge that was last heard longer ago says nothing of now, h. */
const FRESH_H = 3;

/** How a river goes just now by its gauge; null where that was not heard lately. @param points of the last days, oldest first; @param at ms UTC */
export function riverThen(points: readonly GaugePoint[], at: number): RiverThen | null {
  const heard = points.filter((p) => p.at <= at);
  const last = heard.at(-1);
  if (!last || at - last.at > FRESH_H * HOUR_MS) return null;
  const peakAt = freshets(heard).at(-1)?.peakAt;
  return {
    trend: trend(heard),
    freshetDays: peakAt === undefined ? null : roundTo(10, (at - peakAt) / DAY_MS),
  };
}
