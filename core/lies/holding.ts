import type { Channel, Reading, Run } from '../water';
import { leastOf, scoresOf } from './find';
import { dayEffects } from './score';
import type { LieOptions } from './types';
import type { Willing } from './willing';

/** A patch of holding water: what a cover is there to show the fly to. */
export interface HoldingCell {
  readonly xM: number;
  readonly yM: number;
  readonly depthM: number;
  readonly willing: Willing;
  /** How much of the run's fish it holds: they take the best places first, so its score counts threefold, times its area, m². */
  readonly weight: number;
}

/** Patches are about so wide, m. */
const CELL_M = 0.75;
/** Fish take the best places first: water half as good holds an eighth as many (assumed). */
const CROWDED = 3;

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
  const out: HoldingCell[] = [];
  for (let i = along >> 1; i < c.nx; i += along)
    for (let j = over >> 1; j < c.ny; j += over) {
      const k = i * c.ny + j;
      if (score[k]! < least) continue;
      out.push({
        ...{ xM: c.x0 + i * c.dx, yM: c.y0 + j * c.dy, weight: score[k]! ** CROWDED * areaM2, depthM: c.h[k]! },
        willing: s.willing,
      });
    }
  return out;
}
