import type { FishLie } from '../lies';
import type { CastChoice } from './casts';
import type { Covering } from './covering';

/** So far beside a lie its water still belongs to it, m. */
const BESIDE_M = 0.4;

/** How well a cast shows the fly somewhere in a lie, 0 to 1. */
export function shownAt({ ground }: Covering, { cells, by }: CastChoice, lie: FishLie): number {
  let most = 0;
  for (let n = 0; n < cells.length; n++) {
    if (by[n]! <= most) continue;
    const { xM, yM } = ground.places[cells[n]!]!;
    if (Math.abs(xM - lie.xM) > lie.lengthM / 2 + BESIDE_M || Math.abs(yM - lie.yM) > lie.widthM / 2 + BESIDE_M)
      continue;
    most = by[n]!;
  }
  return most;
}
