/** What of the places is told: nothing; about where the water is; all. */
export const PLACES = ['left out', 'blurred', 'told'] as const;
type PlaceTold = (typeof PLACES)[number];
export interface Privacy {
  readonly place: PlaceTold;
  /** Names of waters and runs. */
  readonly names: boolean;
  /** Notes, and notes on fish. */
  readonly notes: boolean;
  /** How closely times are told: who sees a post of that hour may tell the place. */
  readonly times: (typeof TIMES)[number];
  /** Names of flies, rods and fish that hint at the place or at a person. */
  readonly hints: boolean;
}
export const TIMES = ['to the hour', 'to the minute'] as const;
/** Anglers guard their spots: unless one says otherwise, nothing of them is told. */
export const GUARDED: Privacy = {
  place: 'left out',
  names: false,
  notes: false,
  times: 'to the hour',
  hints: false,
};
