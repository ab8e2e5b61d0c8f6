import type { Channel } from './channel';
import { rowAt, sample, sampleWater } from './grid';

/** Depths between which the run is tinted, m. */
export const TINTS = [0.02, 0.3, 0.6, 1.0, 1.5, 2.2] as const;

export interface SectionPoint {
  readonly yM: number;
  readonly depthM: number;
  readonly speedMps: number;
}

/** Depth and mean speed across the run at x, from edge to edge, as evenly many points. */
export function acrossAt(c: Channel, xM: number, count = 60): SectionPoint[] {
  const i = rowAt(c, xM);
  const near = c.edgeNear[i]!;
  const far = c.edgeFar[i]!;
  return Array.from({ length: count + 1 }, (_, n) => {
    const yM = near + ((far - near) * n) / count;
    sampleWater(c, xM, yM);
    return { yM, depthM: sample.h, speedMps: sample.u };
  });
}
