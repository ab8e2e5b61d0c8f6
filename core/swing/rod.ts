import { radians } from '../maths';
import * as chain from './chain';
import { valueAt } from './schedule';
import type { Rod, SwingCase } from './types';

// Bound once, as in swing.ts.
const { lastNode, r1 } = chain;

/** Times at which hands, rod or feet begin or end something, s, in order: no step goes over one. */
export function cornerTimes(c: SwingCase): number[] {
  const all = [
    ...('path' in c.rod ? c.rod.path : [...(c.rod.follow.walk ?? []), ...(c.rod.follow.heights ?? [])]).map(
      (p) => p[0],
    ),
    ...(c.lineOut ?? []).map((p) => p[0]),
    ...(c.mends ?? []).map((m) => m.t),
    ...(c.sway ?? []).map((p) => p[0]),
  ];
  return [...new Set(all.filter((t) => t > 0))].sort((a, b) => a - b);
}

/** The next of them after time t; Infinity after the last. */
export function nextCorner(corners: readonly number[], t: number): number {
  for (const c of corners) if (c > t + 1e-6) return c;
  return Infinity;
}

type Point = readonly [number, number, number];
type Moment = readonly [number, number, number, number];

/** Where the rod holds its tip at time t: on its path, or round the angler at a bearing (radians). */
export function rodTipAt(rod: Rod, t: number, bearing: number): Point {
  if ('follow' in rod) {
    const f = rod.follow;
    const z = f.heights ? valueAt(f.heights, t) : f.z;
    return [f.x0 + valueAt(f.walk, t) + f.r * Math.cos(bearing), f.y0 + f.r * Math.sin(bearing), z];
  }
  const [, x, y, z] = pathAt(rod.path, t);
  return [x, y, z];
}

/** A path at time t, straight between its points. */
function pathAt(path: readonly Moment[], t: number): Moment {
  let prev = path[0]!;
  for (const p of path) {
    if (p[0] >= t) {
      const f = p[0] > prev[0] ? (t - prev[0]) / (p[0] - prev[0]) : 1;
      return [t, prev[1] + f * (p[1] - prev[1]), prev[2] + f * (p[2] - prev[2]), prev[3] + f * (p[3] - prev[3])];
    }
    prev = p;
  }
  return prev;
}

/** Moves the tip away from where the rod holds it. */
export function swayTip(sway: NonNullable<SwingCase['sway']>, t: number, tip: Float64Array): void {
  const [, x, y, z] = pathAt(sway, t);
  tip[0]! += x;
  tip[1]! += y;
  tip[2]! += z;
}

/** Moves `tip` to where it is at time t; a following rod turns towards the fly's bearing at its rate, and leads towards the same
 * side to the end: `side` is that of the cast. Gives the rod's new bearing, radians. */
export function moveTip(rod: Rod, side: 1 | -1, t: number, step: number, bearing: number, tip: Float64Array): number {
  let b = bearing;
  if ('follow' in rod) {
    const f = rod.follow;
    const k = 3 * lastNode();
    const want = Math.atan2(r1[k + 1]! - f.y0, r1[k]! - f.x0 - valueAt(f.walk, t)) - side * radians(f.leadDeg);
    const most = radians(f.rateDegS) * step;
    b += Math.max(-most, Math.min(most, want - b));
  }
  tip.set(rodTipAt(rod, t, b));
  return b;
}
