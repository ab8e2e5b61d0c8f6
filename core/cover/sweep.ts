import { type HoldingCell, type Ride, riding } from '../lies';
import type { BodyTrack, SwingResult } from '../swing';
import { flyAt, rowOf } from '../swing/series';

/** Holding water cut into squares, so that what lies near a fly is found at once. */
export interface Ground {
  readonly cells: readonly HoldingCell[];
  /** Indices of the cells in each square. */
  readonly squares: ReadonlyMap<string, readonly number[]>;
}

const SQUARE_M = 1.5;
const squareOf = (xM: number, yM: number, dx = 0, dy = 0): string =>
  `${Math.floor(xM / SQUARE_M) + dx} ${Math.floor(yM / SQUARE_M) + dy}`;
const NEAR = [-1, 0, 1] as const;

export function groundOf(cells: readonly HoldingCell[]): Ground {
  const squares = new Map<string, number[]>();
  cells.forEach(({ xM, yM }, i) => {
    const key = squareOf(xM, yM);
    const square = squares.get(key);
    if (square) square.push(i);
    else squares.set(key, [i]);
  });
  return { cells, squares };
}

/** Holding water that was not shown the fly. @param shown how often each cell was */
export const gapsIn = ({ cells }: Ground, shown: ArrayLike<number>): HoldingCell[] =>
  cells.filter((_, i) => shown[i] === 0);

/** A fly of a swing: how it is meant to ride, and how far to either side it is shown, at most one and a half metres. */
export interface Shown {
  readonly ride: Ride;
  readonly reachM: number;
}

/** So much too high or too deep counts as shown: half a hand, about what the engine and the readings leave open (assumed), m. */
const NEARLY_M = 0.05;

type Track = Pick<BodyTrack, 'series' | 'rows'>;
/** Rows that are looked at: five a second. */
const EVERY = 2;

/**
 * The holding water that a swing shows its flies to: by what of it fishes, where a fly rides in the band that is wanted there, no
 * faster than is wanted, and within reach. Drifts too high, too deep, too fast or along the bed show nothing.
 *
 * @param flies from the point upwards, as many as the rig has
 * @returns indices of cells, each once, growing
 */
export function sweptBy(r: SwingResult, ground: Ground, flies: readonly Shown[]): Uint16Array {
  const swept = new Set<number>();
  const { fishing } = r;
  if (!fishing) return new Uint16Array();
  const tracks: readonly Track[] = [r, ...r.others.filter((o) => o.isFly)];
  const [from, to] = [rowOf(r, fishing.fromS), rowOf(r, fishing.toS)];
  flies.forEach(({ ride, reachM }, place) => {
    const way = tracks[place];
    for (let row = from; way && row <= to; row += EVERY) {
      const { xM, yM, depthM, vyMps } = flyAt(way, row);
      for (const dx of NEAR)
        for (const dy of NEAR)
          for (const i of ground.squares.get(squareOf(xM, yM, dx, dy)) ?? []) {
            const cell = ground.cells[i]!;
            if (swept.has(i) || (cell.xM - xM) ** 2 + (cell.yM - yM) ** 2 > reachM ** 2) continue;
            const { band, crossSpeedMps } = riding(cell, ride);
            const deep = depthM >= band.topM - NEARLY_M && depthM <= band.bottomM + NEARLY_M;
            if (deep && Math.abs(vyMps) <= crossSpeedMps) swept.add(i);
          }
    }
  });
  return Uint16Array.from(swept).sort();
}
