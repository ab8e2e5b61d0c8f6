/** Depth-mean current (u downstream, v across) and depth on a regular grid; row i is x, column j is y, index i·ny + j. */
export interface WaterGrid {
  readonly x0: number;
  readonly dx: number;
  readonly nx: number;
  readonly y0: number;
  readonly dy: number;
  readonly ny: number;
  readonly u: Float32Array;
  readonly v: Float32Array;
  readonly h: Float32Array;
}

/** What the water does at a place: depth-mean velocity and depth; `sampleWater` writes here. */
export const sample = { u: 0, v: 0, h: 0 };

/** Bilinear look-up in the grid, held at its edges; the result is in `sample` (nothing is allocated). */
export function sampleWater(g: WaterGrid, x: number, y: number): void {
  const { nx, ny, u, v, h } = g;
  const lastX = nx - 1;
  const lastY = ny - 1;
  let fx = (x - g.x0) / g.dx;
  let fy = (y - g.y0) / g.dy;
  if (!(fx > 0)) fx = 0;
  else if (fx > lastX) fx = lastX;
  if (!(fy > 0)) fy = 0;
  else if (fy > lastY) fy = lastY;
  // The last cell's far edge belongs to it; a grid of one row or column has no other edge.
  const i = fx < lastX ? fx | 0 : lastX > 0 ? lastX - 1 : 0;
  const j = fy < lastY ? fy | 0 : lastY > 0 ? lastY - 1 : 0;
  const a = fx - i;
  const b = fy - j;
  const k = i * ny + j;
  const k01 = lastY > 0 ? k + 1 : k;
  const across = k01 - k;
  const k10 = lastX > 0 ? k + ny : k;
  const k11 = k10 + across;
  const w11 = a * b;
  const w10 = a - w11;
  const w01 = b - w11;
  const w00 = 1 - a - w01;
  sample.u = w00 * u[k]! + w01 * u[k01]! + w10 * u[k10]! + w11 * u[k11]!;
  sample.v = w00 * v[k]! + w01 * v[k01]! + w10 * v[k10]! + w11 * v[k11]!;
  sample.h = w00 * h[k]! + w01 * h[k01]! + w10 * h[k10]! + w11 * h[k11]!;
}

export const nearest = (at: number, from: number, step: number, count: number): number =>
  Math.min(count - 1, Math.max(0, Math.round((at - from) / step)));

/** The grid's row nearest to x. */
export const rowAt = (g: WaterGrid, xM: number): number => nearest(xM, g.x0, g.dx, g.nx);

/** Index of the grid's cell nearest to a place. */
export const cellAt = (g: WaterGrid, xM: number, yM: number): number =>
  rowAt(g, xM) * g.ny + nearest(yM, g.y0, g.dy, g.ny);

/** Depth and mean speed of the grid's nearest cell. */
export function waterAt(g: WaterGrid, xM: number, yM: number): { depthM: number; speedMps: number } {
  const k = cellAt(g, xM, yM);
  return { depthM: g.h[k]!, speedMps: g.u[k]! };
}

/** Mean depth of what is under water, m. */
export function meanDepth(g: WaterGrid): number {
  let sum = 0;
  let wet = 0;
  for (const h of g.h) {
    sum += h;
    if (h > 0) wet++;
  }
  return sum / Math.max(1, wet);
}

/** A place on the plan of a run. */
export interface PlanPoint {
  readonly xM: number;
  readonly yM: number;
}

/** y at which row i has let the given share of the flow pass. */
export function placeOfShare(g: WaterGrid, share: Float32Array, i: number, s: number): number {
  const o = i * g.ny;
  let lo = 0;
  let hi = g.ny - 1;
  while (hi - lo > 1) {
    const mid = (lo + hi) >> 1;
    if (share[o + mid]! < s) lo = mid;
    else hi = mid;
  }
  const a = share[o + lo]!;
  const b = share[o + hi]!;
  return g.y0 + g.dy * (lo + (b > a ? Math.min(1, Math.max(0, (s - a) / (b - a))) : 0));
}

/** Where the main current runs at mid-length: there a float is timed. */
export function mainCurrent(g: WaterGrid): PlanPoint {
  const i = Math.round((g.nx - 1) / 2);
  let best = 0;
  for (let j = 1; j < g.ny; j++) if (g.u[i * g.ny + j]! > g.u[i * g.ny + best]!) best = j;
  return { xM: g.x0 + i * g.dx, yM: g.y0 + best * g.dy };
}
