import { type Leeway, LEEWAYS, noseDepthM, type Studied } from '../lies';
import type { SwingResult } from '../swing';
import { COL, WIDTH } from '../swing/series';
import type { ShownFly } from './flies';
import type { Ground } from './ground';
import { crossHalfMps, facingFall, paceFall, riseFall, type Showings, sideFall, tracksOf, turnedAway } from './showing';

/** How far off a fly passed, in steps of what is assumed: of the distance or the speed that is half-way; with its head to the current, of
 * what that takes from a showing. */
export const PASSED_STEP: Readonly<Record<Leeway, number>> = { up: 0.25, aside: 0.25, across: 0.25, headOn: 0.05 };
/** So many steps there are; the last one is for all beyond it. */
const STEPS = 8;

/** What is left of a showing that is so far off, as a share of what is assumed. */
export const PASSED_FALL: Readonly<Record<Leeway, (share: number) => number>> = {
  ...{ up: riseFall, aside: sideFall, across: paceFall, headOn: facingFall },
};

/** How a swing passed its flies before fish. */
export interface Passing extends Readonly<Record<Leeway, readonly number[]>> {
  /** The fish by whose row it goes. */
  readonly of: Studied;
}

/**
 * How a swing passed its flies before fish: above them, to their side, how fast across, how it faced. Of each, hundred thousandths of
 * the run’s willing fish that are shown the flies if only they allow so much of it, by steps from what is wanted onwards: that one thing
 * is taken out of the showing, the others stay in. Of each place the best moment of its showing counts.
 *
 * @param shows what it shows (showingsOf); @param weights willing fish at each place of the ground, on any scale
 */
export function passedBy(
  r: SwingResult,
  shows: Showings,
  { places, willing, at }: Ground,
  flies: readonly ShownFly[],
  weights: ArrayLike<number>,
): Passing {
  const tracks = tracksOf(r);
  const own: Readonly<Record<Leeway, number>> = { up: 1, aside: 1, across: 1, headOn: 1, ...willing.own };
  const none = (): number[] => new Array<number>(STEPS).fill(0);
  const sums: Record<Leeway, number[]> = { up: none(), aside: none(), across: none(), headOn: none() };
  shows.places.forEach((k, n) => {
    const fly = flies[shows.flies[n]!]!;
    const { series } = tracks[shows.flies[n]!]!;
    const o = WIDTH * shows.rows[n]!;
    const rise = noseDepthM(willing, places[k]!.depthM) - series[o + COL.depth]!;
    const sideM = Math.hypot(at[3 * k]! - series[o + COL.x]!, at[3 * k + 1]! - series[o + COL.y]!);
    const off: Record<Leeway, number> = {
      up: (own.up * Math.max(0, rise)) / fly.upM,
      aside: (own.aside * sideM) / willing.sideM,
      across: (own.across * Math.abs(series[o + COL.vy]!)) / crossHalfMps(willing, fly),
      headOn: fly.free ? 0 : (willing.headOn / own.headOn) * turnedAway(series[o + COL.axis]!),
    };
    for (const by of LEEWAYS) {
      const step = Math.min(STEPS - 1, Math.round(off[by] / PASSED_STEP[by]));
      sums[by][step]! += weights[k]! * Math.min(1, shows.by[n]! / fallBy(by, off[by], own[by]));
    }
  });
  let all = 0;
  for (let k = 0; k < weights.length; k++) all += weights[k]!;
  /** Of all, without the zeros at its end: every cast keeps it. */
  const told = (by: readonly number[]): number[] => {
    const shares = by.map((fish) => Math.round(all > 0 ? (1e5 * fish) / all : 0));
    return shares.slice(0, shares.findLastIndex((v) => v > 0) + 1);
  };
  const { up, aside, across, headOn } = sums;
  return { of: willing.of, up: told(up), aside: told(aside), across: told(across), headOn: told(headOn) };
}

/** What is left of a showing that is so far off, where fish allow so many times as much as is assumed. */
export const fallBy = (by: Leeway, share: number, times: number): number =>
  PASSED_FALL[by](by === 'headOn' ? share * times : share / times);
