import { contours } from 'd3-contour';
import { sample, sampleWater } from '../swing';
import { streamline, type Channel } from './channel';

/** Depths between which the run is tinted, m. */
export const TINTS = [0.02, 0.3, 0.6, 1.0, 1.5, 2.2] as const;

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

/** Streamlines at equal parts of the flow: they crowd where it is fast. */
export function flowLines(c: Channel, count: number): [number, number][][] {
  return Array.from({ length: count }, (_, i) => streamline(c, (i + 0.5) / count));
}

export interface SectionPoint {
  readonly yM: number;
  readonly depthM: number;
  readonly speedMps: number;
}

/** Depth and mean speed across the run at x, from edge to edge, as evenly many points. */
export function acrossAt(c: Channel, xM: number, count = 60): SectionPoint[] {
  const i = Math.min(c.nx - 1, Math.max(0, Math.round((xM - c.x0) / c.dx)));
  const near = c.edgeNear[i]!;
  const far = c.edgeFar[i]!;
  return Array.from({ length: count + 1 }, (_, n) => {
    const yM = near + ((far - near) * n) / count;
    sampleWater(c, xM, yM);
    return { yM, depthM: sample.h, speedMps: sample.u };
  });
}
