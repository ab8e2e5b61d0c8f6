import { contours } from 'd3-contour';
import type { Channel } from './channel';
import { TINTS } from './picture';

export interface DepthTint {
  /** Water deeper than this, m. */
  readonly fromM: number;
  /** Rings of [x, y] in metres; outer rings and holes as even-odd. */
  readonly rings: readonly (readonly (readonly [number, number])[])[];
}

/** Areas deeper than each tint, outermost first (marching squares by d3-contour on the channel's grid). */
export function depthTints(c: Channel): DepthTint[] {
  // d3-contour takes a grid whose rows follow each other: here x runs over rows.
  const at = contours().size([c.ny, c.nx]);
  return TINTS.map((fromM) => ({
    fromM,
    rings: at
      .contour(Array.from(c.h), fromM)
      .coordinates.flatMap((polygon) =>
        polygon.map((ring) =>
          ring.map(([j, i]) => [c.x0 + (i! - 0.5) * c.dx, c.y0 + (j! - 0.5) * c.dy] as [number, number]),
        ),
      ),
  })).filter((t) => t.rings.length > 0);
}
