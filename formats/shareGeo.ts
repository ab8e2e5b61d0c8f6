import { XMLBuilder } from 'fast-xml-parser';
import type { LatLon } from './geo';
import { ringOf } from './geojson';
import type { Veiled, VeiledTake, VeiledVisit } from './veil';
import { xmlText } from './xml';

const DIGITS = 6; // a tenth of a metre
const position = ({ latDeg, lonDeg }: LatLon): [number, number] => [
  Number(lonDeg.toFixed(DIGITS)),
  Number(latDeg.toFixed(DIGITS)),
];

const dayOf = (at: number) => new Date(at).toISOString().slice(0, 10);

const takeFacts = (t: VeiledTake) => ({
  wanderung: 'take',
  time: t.timed ? new Date(t.at).toISOString() : dayOf(t.at),
  run: t.run,
  what: t.what,
  ...(t.where && { where: t.where }),
  ...(t.juvenile && { juvenile: true }),
  ...(t.species && { species: t.species }),
  ...(t.lengthM !== null && { lengthM: t.lengthM }),
});
const visitFacts = ({ map: _map, place: _place, run, fromAt, toAt, ...v }: VeiledVisit) => ({
  ...{ wanderung: 'run', name: run, from: new Date(fromAt).toISOString(), to: new Date(toAt).toISOString() },
  ...v,
});

/**
 * Takes and runs as GeoJSON (RFC 7946): runs as polygons where places are told, otherwise as points where the water about is, or
 * without any geometry (3.2: an unlocated feature).
 */
export function outingsGeoJSON({ outings }: Veiled): string {
  const point = (at: LatLon | null) => at && { type: 'Point', coordinates: position(at) };
  const feature = (geometry: object | null, properties: object) => ({ type: 'Feature', geometry, properties });
  const features = outings.flatMap((o) => [
    ...o.visits.map((v) =>
      feature(
        v.map && v.place ? { type: 'Polygon', coordinates: [ringOf(v.map.run, v.place)] } : point(v.place),
        visitFacts(v),
      ),
    ),
    ...o.takes.map((t) => feature(point(t.place), takeFacts(t))),
  ]);
  return JSON.stringify({ type: 'FeatureCollection', features }, null, 1);
}

/**
 * Takes and runs as waypoints of GPX 1.1 (Topografix schema 1/1).
 *
 * @throws RangeError where no place may be told: GPX needs places
 */
export function outingsGPX({ privacy, outings }: Veiled): string {
  if (privacy.place === 'left out')
    throw new RangeError('GPX needs places: choose to blur or tell them, or choose another format');
  const waypoint = (at: LatLon, time: number, name: string, desc: string) => ({
    '@_lat': at.latDeg.toFixed(DIGITS),
    '@_lon': at.lonDeg.toFixed(DIGITS),
    time: new Date(time).toISOString(),
    name: xmlText(name),
    ...(desc && { desc: xmlText(desc) }),
  });
  const wpt = outings.flatMap((o) => [
    ...o.visits.flatMap((v) =>
      v.place ? [waypoint(v.place, v.fromAt, v.run, `${v.casts} casts, ${v.takes} takes, ${v.landed} landed`)] : [],
    ),
    ...o.takes.flatMap((t) =>
      t.place
        ? [
            waypoint(
              t.place,
              t.at,
              t.juvenile ? 'juvenile' : t.what,
              [t.species, t.lengthM === null ? null : `${Math.round(100 * t.lengthM)} cm`, t.where]
                .filter(Boolean)
                .join(', '),
            ),
          ]
        : [],
    ),
  ]);
  return new XMLBuilder({ ignoreAttributes: false, format: true }).build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    gpx: {
      '@_version': '1.1',
      '@_creator': 'Wanderung',
      '@_xmlns': 'http://www.topografix.com/GPX/1/1',
      wpt,
    },
  });
}
