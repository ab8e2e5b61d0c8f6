import { type Exposure, isOfFly, type Property, PROPERTY_NAMES } from '../logbook';

/** An exposure and the river it was on, where that is known. */
export type PlacedExposure = Exposure & { readonly place?: string };

/** All that a log is asked by: what stood while the fly was shown, and the river. */
export type Dimension = Property | 'river';
export const DIMENSIONS: readonly Dimension[] = [...PROPERTY_NAMES, 'river'];
/** The moon is asked by only where one insists: practitioners agree on no direction, and every list that is asked asks more of the others. */
export const WITHOUT_MOON = DIMENSIONS.filter((d) => d !== 'moon');

export const valueOf = (e: PlacedExposure, by: Dimension): string | undefined =>
  by === 'river' ? e.place : e.shown[by];

/** What stays as it is for a day: it is known from other outings only. All else differs within one. */
const OF_THE_DAY: readonly Dimension[] = [
  'river',
  'season',
  'water',
  'level',
  'temperature',
  'sky',
  'wind',
  'trend',
  'freshet',
  'moon',
];
export const isOfDay = (by: Dimension): boolean => OF_THE_DAY.includes(by);

/** What is remembered is rounded, and blank hours are forgotten: it counts for half of what was counted (assumed). */
export const BY_HAND_WEIGHT = 0.5;

/** Takes in casts that nobody knows are no evidence. */
export const isEvidence = (e: PlacedExposure): boolean => e.casts > 0 && e.how !== 'casts not known';

/** What an exposure tells of the circumstances that two flies share is told once a cast. */
export const castsBy = (e: PlacedExposure, by: Dimension): number =>
  e.again && !(by !== 'river' && isOfFly(by)) ? 0 : e.casts;

/**
 * Casts weighed by the water that they showed the fly, against the usual cast of the log: one over much of a run’s fish counts for more, one
 * over none for nothing. Those of which it is not known count as they are.
 *
 * @returns null where it is known of no cast, or none showed any
 */
export function byWater<E extends Exposure>(outings: readonly (readonly E[])[]): E[][] | null {
  let [casts, shown] = [0, 0];
  for (const { water, again } of outings.flat())
    if (water && !again) [casts, shown] = [casts + water.casts, shown + water.shown];
  if (shown === 0) return null;
  const usual = shown / casts;
  return outings.map((own) =>
    own.map((e) => {
      if (!e.water) return e;
      const weighed = e.casts - e.water.casts + e.water.shown / usual;
      // What was taken was shown: a take is never without the cast that it was on.
      return { ...e, casts: Math.max(e.takes, Math.round(weighed)) };
    }),
  );
}

/** Casts and takes as they were entered. */
export interface Counts {
  readonly casts: number;
  readonly takes: number;
}

/** Whether a value was called, one way or the other. */
export const isCalled = ({ finding }: { readonly finding: string }): boolean =>
  finding === 'better' || finding === 'worse';
