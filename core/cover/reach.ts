import { rideOf } from '../advice';
import { type LieOptions, type Quarry, temperatureSuits } from '../lies';
import { lookIn, seenFrom } from '../sight';
import { fliesOf, type FlyItem } from '../tackle';
import { type Reading, seenDownM, TYPICAL_DAY } from '../water';
import type { CoverRequest } from './stands';
import type { Shown } from './sweep';

/** How far a willing fish comes to a sunk fly, to any side, m: brown trout a short way, travellers further (common practice, no
 * source: only that order is; the metres are assumed). */
const WILL_M: Record<Quarry, number> = { 'brown trout': 0.7, 'rainbow trout': 0.8, steelhead: 1.2, 'sea trout': 1.2 };
/** What of it is left in water that they hardly feed in. */
const LEAST_WILL = 0.4;
/** Within about a body’s length a fish feels a moving fly with its lateral line, however little it sees (from memory), m. */
const FELT_M = 0.3;

/** A fish sees a fly beside it, and over it against the sky, whichever is plainer. */
const SIDES = ['beside', 'below'] as const;

/** What a fly is looked at in. */
export interface Light {
  readonly reading: Reading;
  readonly options: Pick<LieOptions, 'quarry'>;
  /** Altitude of the sun, degrees. */
  readonly sunDeg: number;
  /** How deep the fly rides, m. */
  readonly depthM: number;
}

/**
 * How far to either side of its way a fly is shown, m: as far as fish make out its outline and as they will move, whichever is
 * less. They move less in water too cold or too warm for them (suitability of the temperature).
 *
 * @throws RangeError when the visibility is not above 0
 */
export function reachOf({ reading, options: { quarry }, sunDeg, depthM }: Light, fly: FlyItem): number {
  const suits = temperatureSuits(quarry, reading.waterTempC ?? TYPICAL_DAY.waterTempC);
  const will = WILL_M[quarry] * (LEAST_WILL + (1 - LEAST_WILL) * suits);
  const look = lookIn({
    colour: reading.colour,
    visibilityM: seenDownM(reading),
    sky: reading.sky,
    depthM,
    sunDeg: Math.max(0, sunDeg),
  });
  return Math.min(will, Math.max(FELT_M, ...SIDES.map((from) => seenFrom(look, fly, from).outline.likelyM)));
}

/** The flies of a rig, from the point upwards, as they are meant to ride and as far as they are shown. */
export const shownBy = (q: Pick<CoverRequest, 'rig' | 'reading' | 'options' | 'sunDeg' | 'lies'>): Shown[] => {
  const depthM = Math.max(0.1, (q.lies[0]?.depthM ?? 1) / 2);
  return fliesOf(q.rig).map((fly) => ({ ride: rideOf(fly), reachM: reachOf({ ...q, depthM }, fly) }));
};
