import { getPosition, getTimes } from 'suncalc';
import { HOUR_MS, MINUTE_MS } from '../units';
import { MIDDLING_SUN_DEG, type Place } from './place';

/** Angles here: degrees; azimuth clockwise from north; altitude above the horizon, with refraction. Times: ms UTC. */
export interface SunDay {
  readonly firstLight: number | null;
  readonly sunrise: number | null;
  readonly noon: number;
  readonly sunset: number | null;
  readonly lastLight: number | null;
  /** Highest altitude, degrees. */
  readonly highestDeg: number;
  /** Altitude every quarter of an hour from the start given. */
  readonly altitude: readonly { readonly at: number; readonly deg: number }[];
  /** Why there is no sunrise, where there is none. */
  readonly allDay: 'light' | 'dark' | null;
}

const QUARTER = 15 * MINUTE_MS;

/**
 * The sun through one day at a place (suncalc; checked against a second library in the test).
 *
 * @param dayStart first moment of the local day, ms UTC
 * @param latDeg −90 to 90; @param lonDeg −180 to 180, east positive. Throws RangeError outside.
 * @returns civil twilights as first and last light, rise and set of the upper limb
 */
export function sunDay(dayStart: number, latDeg: number, lonDeg: number): SunDay {
  if (!(Math.abs(latDeg) <= 90)) throw new RangeError('latDeg: must be between −90 and 90');
  if (!(Math.abs(lonDeg) <= 180)) throw new RangeError('lonDeg: must be between −180 and 180');
  const t = getTimes(new Date(dayStart + 12 * HOUR_MS), latDeg, lonDeg);
  const altitude = Array.from({ length: 97 }, (_, i) => {
    const at = dayStart + i * QUARTER;
    return { at, deg: getPosition(new Date(at), latDeg, lonDeg).altitude };
  });
  return {
    firstLight: t.dawn?.getTime() ?? null,
    sunrise: t.sunrise?.getTime() ?? null,
    noon: t.solarNoon.getTime(),
    sunset: t.sunset?.getTime() ?? null,
    lastLight: t.dusk?.getTime() ?? null,
    highestDeg: getPosition(t.solarNoon, latDeg, lonDeg).altitude,
    altitude,
    allDay: t.alwaysUp ? 'light' : t.alwaysDown ? 'dark' : null,
  };
}

/** Where the sun stands at a moment (suncalc). */
export function sunAt(at: number, latDeg: number, lonDeg: number): { altitudeDeg: number; azimuthDeg: number } {
  const { altitude, azimuth } = getPosition(new Date(at), latDeg, lonDeg);
  return { altitudeDeg: altitude, azimuthDeg: azimuth };
}

/** How high the sun stands over a place, degrees; a middling height where the place is not known. */
export const sunDegAt = (place: Place | null, at: number): number =>
  place ? sunAt(at, place.latDeg, place.lonDeg).altitudeDeg : MIDDLING_SUN_DEG;
