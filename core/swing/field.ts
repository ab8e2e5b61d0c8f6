import type { Profile, SwingWater, WaterGrid } from './types';

const { floor, max, min, pow, round, log } = Math;

/**
 * Speed at depth z over depth-mean speed U in water of depth h.
 *
 * Power law (1+m)(1−z/h)^m; log law with its exact mean, ln((h−z)/z0)/(ln(h/z0) − 1 + z0/h).
 * Sources: Rantz and others 1982 (USGS Water-Supply Paper 2175) for the practice the laws answer to.
 *
 * @param zM depth below the surface, m (clamped to the water column)
 * @param hM depth of the water, m
 * @example profileFactor({ type: 'power', m: 1 / 6 }, 0.6, 1) // 1.00144
 */
export function profileFactor(profile: Profile, zM: number, hM: number): number {
  if (profile.type === 'uniform' || hM < 0.02) return 1;
  const s = min(1, max(0, 1 - zM / hM));
  if (profile.type === 'power') return (1 + profile.m) * pow(s, profile.m);
  const { z0 } = profile;
  if (hM <= 2 * z0 || s * hM <= z0) return 0;
  return log((s * hM) / z0) / (log(hM / z0) - 1 + z0 / hM);
}

/** What the water does at a place: depth-mean velocity and depth; `sampleWater` writes here. */
export const sample = { u: 0, v: 0, h: 0 };

/** Bilinear look-up in the grid, held at its edges; the result is in `sample` (nothing is allocated). */
export function sampleWater(g: WaterGrid, x: number, y: number): void {
  let fx = (x - g.x0) / g.dx;
  let fy = (y - g.y0) / g.dy;
  fx = fx < 0 ? 0 : fx > g.nx - 1 ? g.nx - 1 : fx;
  fy = fy < 0 ? 0 : fy > g.ny - 1 ? g.ny - 1 : fy;
  const i = min(g.nx - 2 < 0 ? 0 : g.nx - 2, floor(fx));
  const j = min(g.ny - 2 < 0 ? 0 : g.ny - 2, floor(fy));
  const a = fx - i;
  const b = fy - j;
  const k = i * g.ny + j;
  const kx = g.nx > 1 ? g.ny : 0;
  const ky = g.ny > 1 ? 1 : 0;
  const w00 = (1 - a) * (1 - b);
  const w01 = (1 - a) * b;
  const w10 = a * (1 - b);
  const w11 = a * b;
  sample.u = w00 * g.u[k]! + w01 * g.u[k + ky]! + w10 * g.u[k + kx]! + w11 * g.u[k + kx + ky]!;
  sample.v = w00 * g.v[k]! + w01 * g.v[k + ky]! + w10 * g.v[k + kx]! + w11 * g.v[k + kx + ky]!;
  sample.h = w00 * g.h[k]! + w01 * g.h[k + ky]! + w10 * g.h[k + kx]! + w11 * g.h[k + kx + ky]!;
}

/** Piecewise-linear table look-up, held at the ends. Throws RangeError when the table is empty or not ascending. */
export function interpolate(xs: readonly number[], ys: readonly number[], x: number): number {
  if (xs.length === 0 || xs.length !== ys.length) throw new RangeError('table: needs as many values as places');
  let i = 0;
  while (i < xs.length - 1 && xs[i + 1]! <= x) i++;
  const xa = xs[i]!;
  const xb = xs[i + 1];
  if (x <= xa || xb === undefined) return ys[i]!;
  if (xb <= xa) throw new RangeError('table: places must ascend');
  return ys[i]! + ((ys[i + 1]! - ys[i]!) * (x - xa)) / (xb - xa);
}

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
