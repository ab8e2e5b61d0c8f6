import type { Channel, Reading, Run } from '../water';
import { type Asks, wantedBand } from './band';
import { leastOf, mostCrossMps, scoresOf } from './find';
import { dayEffects } from './score';
import type { LieOptions } from './types';

/** A patch of holding water: what a cover is there to show the fly to. */
export interface HoldingCell extends Asks {
  readonly xM: number;
  readonly yM: number;
  /** How much of the holding water it is: its score times its area, m². */
  readonly weight: number;
}

/** Patches are about so wide, m. */
const CELL_M = 0.75;

/**
 * All water of a run that holds fish today, in patches: not only the middles of the lies, but everything about them that scores
 * enough to hold one, the better weighing more. Empty where nothing does.
 */
export function holdingWater(run: Run, c: Channel, reading: Reading | null, o: LieOptions): HoldingCell[] {
  const s = dayEffects(run, c, reading, o);
  const score = scoresOf(run, c, s);
  const least = leastOf(score);
  const along = Math.max(1, Math.round(CELL_M / c.dx));
  const over = Math.max(1, Math.round(CELL_M / c.dy));
  const areaM2 = along * c.dx * over * c.dy;
  const crossSpeedMps = mostCrossMps(s);
  const out: HoldingCell[] = [];
  for (let i = along >> 1; i < c.nx; i += along)
    for (let j = over >> 1; j < c.ny; j += over) {
      const k = i * c.ny + j;
      if (score[k]! < least) continue;
      const depthM = c.h[k]!;
      out.push({
        ...{ xM: c.x0 + i * c.dx, yM: c.y0 + j * c.dy, weight: score[k]! * areaM2, depthM, crossSpeedMps },
        band: wantedBand(depthM, s, o.school),
        wetBand: wantedBand(depthM, s, 'upper to middle'),
      });
    }
  return out;
}
