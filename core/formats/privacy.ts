/** What of the places is told: nothing; about where the water is; all. */
export const PLACES = ['left out', 'blurred', 'told'] as const;
type PlaceTold = (typeof PLACES)[number];
export interface Privacy {
  readonly place: PlaceTold;
  /** Names of waters and runs. */
  readonly names: boolean;
  /** Notes, and what was said of fish. */
  readonly notes: boolean;
}
/** Anglers guard their spots: unless one says otherwise, nothing of them is told. */
export const GUARDED: Privacy = { place: 'left out', names: false, notes: false };
