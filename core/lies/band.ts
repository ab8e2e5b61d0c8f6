import { type Channel, COLD_C, COME_UP_C, DIRTY_M, sample, sampleWater } from '../water';
import type { DepthSchool, FishLie, ShownBand } from './types';

/** What of the day says how high the fly may ride. */
interface BandDay {
  readonly temp: number;
  readonly vis: number;
  /** High sun on the water. */
  readonly bright: boolean;
  readonly dusk: boolean;
}

/** A fly this near to the bed hangs up, m. */
const OFF_BED_M = 0.05;

/** A fish takes what passes two hands over it, however thin the water (common practice, no source), m; but not what skates. */
const LEAST_BAND_M = 0.2;
const LEAST_TOP_M = 0.05;

/** What moves the band, as shares of the depth: lowered by cold, sun and murk, raised by warmth in clear water and by low light, early or late. */
const REASONS = [
  { says: 'cold', by: ({ temp }: BandDay) => (temp < COLD_C ? 0.08 : 0) },
  { says: 'high sun', by: ({ bright }: BandDay) => (bright ? 0.06 : 0) },
  { says: 'murk', by: ({ vis }: BandDay) => (vis <= DIRTY_M ? 0.06 : 0) },
  { says: 'warm clear water', by: ({ temp, vis }: BandDay) => (temp >= COME_UP_C && vis >= 1.5 ? -0.12 : 0) },
  { says: 'low light', by: ({ dusk }: BandDay) => (dusk ? -0.12 : 0) },
] as const;

/**
 * The band in which to show the fly, m below the surface. Two schools: near the bed, the lowest third; or upper to lower
 * middle, never dragging. Cold, sun and murk narrow and lower it, warmth in clear water and dusk raise it (common
 * practice, no source).
 *
 * @example wantedBand(1.5, { temp: 9, vis: 1, bright: false, dusk: false }, 'near the bed') // 1.00 to 1.45 m
 */
export function wantedBand(depthM: number, day: BandDay, school: DepthSchool): ShownBand {
  const moved = REASONS.map((r) => ({ ...r, share: r.by(day) })).filter((r) => r.share !== 0);
  const lower = moved.reduce((s, r) => s + Math.max(0, r.share), 0);
  const raise = moved.reduce((s, r) => s - Math.min(0, r.share), 0);
  const near = school === 'near the bed';
  // Lowering moves the upper end: the band grows narrow towards the bed. Raising moves both.
  const top = (near ? 2 / 3 : 0.15) + lower - (near ? raise : Math.min(0.15, raise));
  const bottom = near ? 0.97 - raise / 2 : 0.65 + lower / 2 - raise / 2;
  const down = lower > raise;
  const names = (of: typeof moved) => of.map((r) => r.says).join(' and ');
  const [most, less] = [moved.filter((r) => r.share > 0 === down), moved.filter((r) => r.share > 0 !== down)];
  const because =
    (most.length > 0 ? `, ${down ? 'lower' : 'higher'} for ${names(most)}` : '') +
    (less.length > 0 ? `, less so for ${names(less)}` : '');
  // In thin water the few centimetres over the bed are most of what there is.
  const bottomM = Math.min(bottom * depthM, Math.max(depthM - OFF_BED_M, 0.85 * depthM));
  return {
    topM: Math.min(top * depthM, Math.max(LEAST_TOP_M, bottomM - LEAST_BAND_M), 0.85 * bottomM),
    bottomM,
    says: `${near ? 'the lowest third' : 'upper to lower middle'}${because}`,
  };
}

/** A lie in water so many times as deep: the band as high in it as before. */
export const inWater = (lie: FishLie, times: number): FishLie => {
  const scaled = (b: ShownBand): ShownBand => ({ ...b, topM: times * b.topM, bottomM: times * b.bottomM });
  return { ...lie, depthM: times * lie.depthM, band: scaled(lie.band), wetBand: scaled(lie.wetBand) };
};

/** The surface film, for a fly that wakes, m. */
const FILM_M = 0.1;
/** A waking fly is meant to run across, m/s (assumed: a brisk walk). */
const WAKES_MPS = 1;

/** How the fly that is looked for at a lie should pass: sunk, as a wet fly that comes up to fish, or waking in the film. */
export type Ride = 'sunk' | 'wet' | 'wakes';

/** Water with what is wanted of a fly in it. */
export type Asks = Pick<FishLie, 'depthM' | 'band' | 'wetBand' | 'crossSpeedMps'>;

/** A lie, or other holding water, as a fly that rides so should pass it. */
export function riding<T extends Asks>(lie: T, ride: Ride): T {
  switch (ride) {
    case 'sunk':
      return lie;
    case 'wet':
      return { ...lie, band: lie.wetBand };
    case 'wakes':
      return {
        ...lie,
        band: { topM: -FILM_M, bottomM: Math.min(FILM_M, lie.depthM), says: 'in the surface film' },
        crossSpeedMps: WAKES_MPS,
      };
  }
}

/** The same lie looked for somewhere else: the water there, the band as high in it as before. */
export function movedLie(lie: FishLie, c: Channel, x: number, y: number): FishLie {
  sampleWater(c, x, y);
  return { ...inWater(lie, sample.h / lie.depthM), xM: x, yM: y, depthM: sample.h, speedMps: sample.u };
}
