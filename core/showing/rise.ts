import { noseDepthM, type Studied } from '../lies';
import type { SwingResult } from '../swing';
import { COL, WIDTH } from '../swing/series';
import type { ShownFly } from './flies';
import type { Ground } from './ground';
import { riseFactor, type Showings, tracksOf } from './showing';

/** So wide is a step of a rise, as a share of half-way; so many there are, the last one up to where hardly any fish comes. */
export const RISE_STEP = 0.25;
const STEPS = 8;

/** How high above fish a swing showed its flies. */
export interface RiseShown {
  /** The fish by whose row it goes. */
  readonly of: Studied;
  /** Hundred thousandths of the run’s willing fish that are shown the flies if only they come up that far, by steps of the distance that is
   * assumed to be half-way: at their nose or below it, a quarter of half-way above it, two … */
  readonly by: readonly number[];
}

/**
 * What a swing shows at each height above the fish, however far they come up. Of each place the best moment of its showing counts.
 *
 * @param shows what it shows (showingsOf); @param weights willing fish at each place of the ground, on any scale
 */
export function riseOf(
  r: SwingResult,
  shows: Showings,
  { places, willing }: Ground,
  flies: readonly ShownFly[],
  weights: ArrayLike<number>,
): RiseShown {
  const tracks = tracksOf(r);
  const by = new Array<number>(STEPS).fill(0);
  shows.places.forEach((k, n) => {
    const of = shows.flies[n]!;
    const { upM } = flies[of]!;
    const depthM = tracks[of]!.series[WIDTH * shows.rows[n]! + COL.depth]!;
    const riseM = noseDepthM(willing, places[k]!.depthM) - depthM;
    const step = Math.round(Math.max(0, riseM) / (upM / willing.upTimes) / RISE_STEP);
    by[Math.min(STEPS - 1, step)]! += weights[k]! * Math.min(1, shows.by[n]! / riseFactor(willing, upM, riseM));
  });
  let all = 0;
  for (let k = 0; k < weights.length; k++) all += weights[k]!;
  return { of: willing.of, by: by.map((fish) => Math.round(all > 0 ? (1e5 * fish) / all : 0)) };
}
