import { quantile } from '../maths/statistics';
import type { GaugePoint } from './points';

/** The level or flow that is about its usual: the middle of what was seen, m or m³/s; null where nothing was. */
export function usual(points: readonly GaugePoint[], of: 'stageM' | 'flowM3s'): number | null {
  const known = points.map((p) => p[of]).filter(Number.isFinite);
  return known.length > 0 ? quantile(known, 0.5) : null;
}
