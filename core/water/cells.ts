import type { WaterGrid } from '../swing';

const nearest = (at: number, from: number, step: number, count: number): number =>
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
