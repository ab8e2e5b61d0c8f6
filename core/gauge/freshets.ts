import type { GaugePoint } from './points';
import { HOUR_MS } from '../units';

/** A rise of the river. */
interface Freshet {
  /** When it was at its highest, ms UTC. */
  readonly peakAt: number;
  /** Over the level it began from, m; over the flow it began from, as a factor, where there is no level. */
  readonly riseM: number | null;
  readonly times: number | null;
}

/** What counts as a freshet: a hand's width of level, or so many times the flow (common practice, no source). */
const [RISE_M, RISE_TIMES] = [0.12, 1.35];
/** From its foot to its peak no longer than this, h; two that are nearer than a day are one. */
const [FOOT_H, APART_H] = [48, 24];

/**
 * The freshets of a gauge, oldest first: peaks that stand a hand's width over the lowest of the two days before.
 *
 * @param points oldest first
 */
export function freshets(points: readonly GaugePoint[]): Freshet[] {
  const level = points.some((p) => Number.isFinite(p.stageM));
  const list = points.filter((p) => (level ? Number.isFinite(p.stageM) : p.flowM3s > 0));
  const value = (p: GaugePoint) => (level ? p.stageM : Math.log(p.flowM3s));
  const needed = level ? RISE_M : Math.log(RISE_TIMES);
  const out: { peakAt: number; rise: number }[] = [];
  list.forEach((p, i) => {
    const [before, next] = [list[i - 1], list[i + 1]];
    // Of a flat top the first moment is its peak; what still rises has its peak at the last value.
    if ((before && value(before) >= value(p)) || (next && value(next) > value(p))) return;
    let foot = value(p);
    for (let k = i - 1; k >= 0 && list[k]!.at >= p.at - FOOT_H * HOUR_MS; k--) foot = Math.min(foot, value(list[k]!));
    const rise = value(p) - foot;
    if (rise < needed) return;
    const last = out.at(-1);
    if (!last || p.at - last.peakAt > APART_H * HOUR_MS) out.push({ peakAt: p.at, rise });
    else if (rise >= last.rise) out[out.length - 1] = { peakAt: p.at, rise };
  });
  return out.map(({ peakAt, rise }) => ({
    peakAt,
    riseM: level ? rise : null,
    times: level ? null : Math.exp(rise),
  }));
}
