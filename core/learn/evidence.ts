import { type Exposure, isOfFly, type Property, PROPERTY_NAMES } from '../logbook';

/** An exposure and the river it was on, where that is known. */
export type PlacedExposure = Exposure & { readonly place?: string };

/** All that a log is asked by: what stood while the fly was shown, and the river. */
export type Dimension = Property | 'river';
export const DIMENSIONS: readonly Dimension[] = [...PROPERTY_NAMES, 'river'];

export const valueOf = (e: PlacedExposure, by: Dimension): string | undefined =>
  by === 'river' ? e.place : e.shown[by];

/** What stays as it is for a day: it is known from other outings only. All else differs within one. */
const OF_THE_DAY: readonly Dimension[] = ['river', 'season', 'water', 'level', 'temperature', 'sky', 'wind'];
export const isOfDay = (by: Dimension): boolean => OF_THE_DAY.includes(by);

/** What is remembered is rounded, and blank hours are forgotten: it counts for half of what was counted (assumed). */
export const BY_HAND_WEIGHT = 0.5;

/** Takes in casts that nobody knows are no evidence. */
export const isEvidence = (e: PlacedExposure): boolean => e.casts > 0 && e.how !== 'casts not known';

/** What an exposure tells of the circumstances that two flies share is told once a cast. */
export const castsBy = (e: PlacedExposure, by: Dimension): number =>
  e.again && !(by !== 'river' && isOfFly(by)) ? 0 : e.casts;

/** Casts and takes as they were entered. */
export interface Counts {
  readonly casts: number;
  readonly takes: number;
}

/** Whether a value was called, one way or the other. */
export const isCalled = ({ finding }: { readonly finding: string }): boolean =>
  finding === 'better' || finding === 'worse';
