import { radians } from '@/core/maths';
import type { Run } from '@/core/water';

export interface LatLon {
  readonly latDeg: number;
  readonly lonDeg: number;
}

/** WGS 84: equatorial radius and squared eccentricity. */
const A = 6378137;
const E2 = 0.00669437999014;

/** Metres a degree of latitude and of longitude on the WGS 84 ellipsoid.
 * @example metresPerDegree(45) // { lat: 111132, lon: 78847 } */
export function metresPerDegree(latDeg: number): { lat: number; lon: number } {
  const w = 1 - E2 * Math.sin(radians(latDeg)) ** 2;
  return {
    lat: radians(1) * ((A * (1 - E2)) / Math.pow(w, 1.5)),
    lon: radians(1) * (A / Math.sqrt(w)) * Math.cos(radians(latDeg)),
  };
}

type Placed = Pick<Run, 'bank' | 'bearingDeg'>;

/** Unit vectors of a run's axes on the map, [east, north]: x downstream, y across from the described bank. */
function axes({ bank, bearingDeg }: Placed) {
  const across = bearingDeg + (bank === 'left' ? 90 : -90);
  const unit = (deg: number) => [Math.sin(radians(deg)), Math.cos(radians(deg))] as const;
  return { x: unit(bearingDeg), y: unit(across) };
}

/** A longitude, or a difference of two, brought to −180 to 180. */
const turn = (deg: number) => (deg >= -180 && deg <= 180 ? deg : ((((deg + 180) % 360) + 360) % 360) - 180);

/**
 * How far two places are apart on the ground, m, as on a plane: right to a thousandth over some kilometres.
 *
 * @example metresBetween({ latDeg: 57, lonDeg: -4 }, { latDeg: 57.001, lonDeg: -4 }) // 111.4
 */
export function metresBetween(a: LatLon, b: LatLon): number {
  const { lat, lon } = metresPerDegree((a.latDeg + b.latDeg) / 2);
  return Math.hypot((b.latDeg - a.latDeg) * lat, turn(b.lonDeg - a.lonDeg) * lon);
}

/** A place of a run on the map. `origin` is where x and y are 0. */
export function toLatLon(run: Placed, origin: LatLon, xM: number, yM: number): LatLon {
  const { x, y } = axes(run);
  const per = metresPerDegree(origin.latDeg);
  return {
    latDeg: origin.latDeg + (xM * x[1] + yM * y[1]) / per.lat,
    lonDeg: turn(origin.lonDeg + (xM * x[0] + yM * y[0]) / per.lon),
  };
}

/** The other way. */
export function fromLatLon(run: Placed, origin: LatLon, at: LatLon): { xM: number; yM: number } {
  const { x, y } = axes(run);
  const per = metresPerDegree(origin.latDeg);
  const east = turn(at.lonDeg - origin.lonDeg) * per.lon;
  const north = (at.latDeg - origin.latDeg) * per.lat;
  return { xM: east * x[0] + north * x[1], yM: east * y[0] + north * y[1] };
}
