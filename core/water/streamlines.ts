import type { Channel } from './channel';
import { placeOfShare } from './grid';

/** A streamline as [x, y] at every row: where the given share (0 to 1) of the flow passes on the near side. */
export const streamline = (c: Channel, s: number): [number, number][] =>
  Array.from({ length: c.nx }, (_, i) => [c.x0 + i * c.dx, placeOfShare(c, c.share, i, s)]);

/** Streamlines at equal parts of the flow: they crowd where it is fast. */
export function flowLines(c: Channel, count: number): [number, number][][] {
  return Array.from({ length: count }, (_, i) => streamline(c, (i + 0.5) / count));
}
