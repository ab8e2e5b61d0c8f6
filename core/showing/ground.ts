import type { FishLie, Willing } from '../lies';
import { type Channel, sample, sampleWater } from '../water';

/** A place is well shown a fly from here on. */
export const WELL_SHOWN = 0.5;

/** Where a willing fish may hold. */
export interface Place {
  readonly xM: number;
  readonly yM: number;
  readonly depthM: number;
}

/** Places, cut into squares so that those near a fly are found at once, and how fish come to a fly there. */
export interface Ground<P extends Place = Place> {
  readonly places: readonly P[];
  readonly willing: Willing;
  /** The indices of the places of each square, by its number. */
  readonly squares: ReadonlyMap<number, readonly number[]>;
  /** x, y and depth of each place, m: what is asked of every moment of every swing. */
  readonly at: Float64Array;
}

const SQUARE_M = 1.5;
/** Rows and columns of squares are counted from here, m, and numbered in one. */
const FROM_M = -300;
const ROWS = 4096;
export const squareOf = (xM: number, yM: number): number =>
  ROWS * Math.floor((xM - FROM_M) / SQUARE_M) + Math.floor((yM - FROM_M) / SQUARE_M);
/** A square and those around it, as steps in its number. */
const AROUND: readonly number[] = [-1, 0, 1].flatMap((i) => [-1, 0, 1].map((j) => ROWS * i + j));

export function groundOf<P extends Place>(places: readonly P[], willing: Willing): Ground<P> {
  const squares = new Map<number, number[]>();
  places.forEach(({ xM, yM }, i) => {
    const key = squareOf(xM, yM);
    const square = squares.get(key);
    if (square) square.push(i);
    else squares.set(key, [i]);
  });
  return { places, willing, squares, at: Float64Array.from(places.flatMap((p) => [p.xM, p.yM, p.depthM])) };
}

const neighbours = new WeakMap<Ground['squares'], Map<number, readonly number[]>>();
/** The indices of the places in a square and in those around it. Not part of the ground: that goes from a worker to a page. */
export function around({ squares }: Ground, square: number): readonly number[] {
  const known = neighbours.get(squares) ?? new Map<number, readonly number[]>();
  neighbours.set(squares, known);
  let here = known.get(square);
  if (!here) known.set(square, (here = AROUND.flatMap((by) => squares.get(square + by) ?? [])));
  return here;
}

/** Places of a lie are about so far apart, m: as patches of holding water (core/lies/holding.ts). */
const APART_M = 0.75;
const lieGrounds = new WeakMap<Channel, WeakMap<FishLie, Ground>>();

/** Values spread evenly over an extent about a middle. */
function spread(middle: number, extent: number): number[] {
  const n = Math.max(1, Math.round(extent / APART_M));
  return Array.from({ length: n }, (_, i) => middle + ((i + 0.5) / n - 0.5) * extent);
}

function depthAt(c: Channel, xM: number, yM: number): number {
  sampleWater(c, xM, yM);
  return sample.h;
}

/** The places of a lie: its whole extent, each with the depth that it has; dry ones are none. */
export function lieGround(c: Channel, lie: FishLie): Ground {
  const here = lieGrounds.get(c) ?? new WeakMap<FishLie, Ground>();
  lieGrounds.set(c, here);
  let ground = here.get(lie);
  if (!ground) {
    const all = spread(lie.xM, lie.lengthM).flatMap((xM) =>
      spread(lie.yM, lie.widthM).map((yM) => ({ xM, yM, depthM: depthAt(c, xM, yM) })),
    );
    const middle = { xM: lie.xM, yM: lie.yM, depthM: lie.depthM };
    const wet = all.filter((p) => p.depthM > LEAST_SHARE * lie.depthM);
    ground = groundOf(wet.length > 0 ? wet : [middle], lie.willing);
    here.set(lie, ground);
  }
  return ground;
}
/** What is so much shallower than the middle of a lie is no longer of it. */
const LEAST_SHARE = 0.4;

/** Places that were not shown the fly well. @param shown how often each was, half a showing as half of one */
export const gapsIn = <P extends Place>({ places }: Ground<P>, shown: ArrayLike<number>): P[] =>
  places.filter((_, i) => shown[i]! < WELL_SHOWN);
