import { interpolate } from '../maths';
import { type Profile, profileFactor, type WaterGrid } from '../water';
import type { SwingWater } from './types';

const { max, min, round } = Math;

type Table = number | { readonly y: readonly number[]; readonly values: readonly number[] };

/**
 * A test flume: speed and depth vary across (y) only.
 *
 * @param u speed, m/s; `kind` says whether at the surface or as the mean of the vertical
 * @param h depth, m
 * @example flume({ u: 0.9, kind: 'surface', depth: 2, profile: { type: 'power', m: 1 / 6 } })
 */
export function flume(o: {
  readonly u: Table;
  readonly kind: 'surface' | 'mean';
  readonly depth: Table;
  readonly profile: Profile;
  readonly rho?: number;
  readonly bottom?: boolean;
  readonly bedFriction?: number;
}): SwingWater {
  const places = [o.u, o.depth].flatMap((t) => (typeof t === 'number' ? [] : t.y));
  const from = places.length ? min(...places) : 0;
  const to = places.length ? max(...places) : 0;
  const dy = 0.1;
  const ny = max(1, round((to - from) / dy) + 1);
  const at = (t: Table, y: number) => (typeof t === 'number' ? t : interpolate(t.y, t.values, y));
  const grid: WaterGrid = {
    x0: 0,
    dx: 1,
    nx: 1,
    y0: from,
    dy,
    ny,
    u: new Float32Array(ny),
    v: new Float32Array(ny),
    h: new Float32Array(ny),
  };
  for (let j = 0; j < ny; j++) {
    const h = at(o.depth, from + j * dy);
    const mean = o.kind === 'mean' ? 1 : profileFactor(o.profile, 0, h);
    grid.h[j] = h;
    grid.u[j] = at(o.u, from + j * dy) / mean;
  }
  return {
    grid,
    profile: o.profile,
    rho: o.rho ?? 1000,
    bottom: o.bottom ?? true,
    bedFriction: o.bedFriction ?? 0,
  };
}
