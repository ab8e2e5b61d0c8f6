/** A place on earth, degrees: north and east positive. */
export interface Place {
  readonly latDeg: number;
  readonly lonDeg: number;
}

/** Where it is not known how high the sun stands, degrees: then only the sky tells of the light. */
export const MIDDLING_SUN_DEG = 30;

/** The place of something that may have none yet. @example placeOf({ latDeg: 57, lonDeg: null }) // null */
export const placeOf = (
  at: { readonly latDeg: number | null; readonly lonDeg: number | null } | null | undefined,
): Place | null => (at && at.latDeg !== null && at.lonDeg !== null ? { latDeg: at.latDeg, lonDeg: at.lonDeg } : null);

/** A clock keeps within so many hours of the sun, summer time and wide zones included (common practice, no source). */
const ZONE_H = 3;

/** Whether a longitude lies more than three hours of sun from where the clock says that one is: often a sign that was left out.
 * @param clockH hours that the clock is ahead of UTC */
export function farFromClock(lonDeg: number, clockH: number): boolean {
  const apart = Math.abs(lonDeg / 15 - clockH) % 24;
  return Math.min(apart, 24 - apart) > ZONE_H;
}
