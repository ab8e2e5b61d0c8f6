import type { FishLie } from '@/core/lies';
import type { Run } from '@/core/water';
import type { LatLon } from './geo';
import { parseJson } from './json';
import {
  checkFacts,
  checkFeature,
  checkSection,
  type FeatureShape,
  RunFileError,
  runOf,
  type SectionShape,
  shapesOf,
} from './runFile';
import { lieReasons } from '@/words/lies';

const DIGITS = 8; // a millimetre
const position = ({ latDeg, lonDeg }: LatLon): [number, number] => [
  Number(lonDeg.toFixed(DIGITS)),
  Number(latDeg.toFixed(DIGITS)),
];

/**
 * Writes a run as GeoJSON (RFC 7946): its outline as a polygon, sections as lines with their depths, features and lies
 * as points.
 *
 * @param place used where the run has no place of its own
 */
export function writeGeoJSON(run: Run, lies: readonly FishLie[], place: LatLon): string {
  const { facts, sections, features, at } = shapesOf(run, place);
  const feature = (type: string, coordinates: unknown, properties: object) => ({
    type: 'Feature',
    geometry: { type, coordinates },
    properties,
  });
  const collection = {
    type: 'FeatureCollection',
    features: [
      feature('Polygon', [ringOf(run, place)], { wanderung: 'run', ...facts }),
      ...sections.map((s) =>
        feature('LineString', s.places.map(position), { wanderung: 'section', downM: s.xM, depthsM: s.depthsM }),
      ),
      ...features.map((f) =>
        feature('Point', position(f), { wanderung: 'feature', kind: f.kind, lengthM: f.lengthM, widthM: f.widthM }),
      ),
      ...lies.map((l) =>
        feature('Point', position(at(l.xM, l.yM)), {
          wanderung: 'lie',
          rank: l.rank,
          depthM: Number(l.depthM.toFixed(2)),
          speedMps: Number(l.speedMps.toFixed(2)),
          reasons: lieReasons(l),
        }),
      ),
    ],
  };
  return JSON.stringify(collection, null, 1);
}

/** The outline of a run, as the outer ring of a polygon. */
export function ringOf(run: Run, place: LatLon): [number, number][] {
  const { sections } = shapesOf(run, place);
  const first = sections.map((s) => s.places[0]!);
  const last = sections.map((s) => s.places[s.places.length - 1]!);
  return counterclockwise([...first, ...[...last].reverse(), first[0]!].map(position));
}

/** RFC 7946, 3.1.6: outer rings run counterclockwise. */
function counterclockwise(ring: [number, number][]): [number, number][] {
  const area = ring.slice(1).reduce((sum, [x, y], i) => sum + (x - ring[i]![0]) * (y + ring[i]![1]), 0);
  return area > 0 ? ring.reverse() : ring;
}

interface Raw {
  readonly type?: unknown;
  readonly geometry?: { readonly type?: unknown; readonly coordinates?: unknown } | null;
  readonly properties?: Record<string, unknown> | null;
}

function latLon(c: unknown, where: string): LatLon {
  if (!Array.isArray(c) || typeof c[0] !== 'number' || typeof c[1] !== 'number')
    throw new RunFileError(`${where}: must be [longitude, latitude]`);
  return { lonDeg: c[0], latDeg: c[1] };
}

/** Lists as some map programs write them where a table has no lists: "(3:0.2,0.5,0.6)". */
const COUNTED = /^\(\d+:(.*)\)$/;

/** Properties after a trip through a table, as map programs keep them: no lists, no objects, every column everywhere. */
function fromTable(properties: Record<string, unknown>): Record<string, unknown> {
  const value = (v: unknown): unknown => {
    if (typeof v !== 'string') return v;
    const counted = COUNTED.exec(v);
    if (counted) return counted[1]!.split(',').map(Number);
    if (!/^[[{]/.test(v)) return v;
    try {
      return JSON.parse(v) as unknown;
    } catch {
      return v;
    }
  };
  return Object.fromEntries(
    Object.entries(properties)
      .filter(([, v]) => v !== null)
      .map(([k, v]) => [k, value(v)]),
  );
}

/** A geometry of one part that a map program has made a list of parts. */
const single = (g: Raw['geometry']): Raw['geometry'] =>
  typeof g?.type === 'string' &&
  g.type.startsWith('Multi') &&
  Array.isArray(g.coordinates) &&
  g.coordinates.length === 1
    ? { type: g.type.slice('Multi'.length), coordinates: g.coordinates[0] as unknown }
    : g;

/**
 * Reads a run from GeoJSON as it is written here; places count, so it may have been changed in a map program.
 *
 * @throws RunFileError saying what is wrong and where
 */
export function readGeoJSON(text: string, ids: Parameters<typeof runOf>[3]): Run {
  let raw: { type?: unknown; features?: unknown };
  try {
    raw = parseJson(text) as typeof raw;
  } catch (e) {
    throw new RunFileError(`${(e as Error).message}. Export it again and import that.`);
  }
  if (raw?.type !== 'FeatureCollection' || !Array.isArray(raw.features))
    throw new RunFileError('type: must be FeatureCollection, with a list of features');
  const sections: SectionShape[] = [];
  const features: FeatureShape[] = [];
  let facts: ReturnType<typeof checkFacts> | null = null;
  (raw.features as Raw[]).forEach((f, i) => {
    const where = `features[${i}]`;
    const { wanderung: what, ...p } = fromTable(f?.properties ?? {});
    const geometry = single(f?.geometry);
    const c = geometry?.coordinates;
    const shape = (type: string) => {
      if (geometry?.type !== type || !Array.isArray(c))
        throw new RunFileError(`${where}: a ${String(what)} must be a ${type}`);
    };
    if (what === 'run') facts = checkFacts({ notes: '', ...p, speed: p.speed ?? null }, where);
    if (what === 'section') {
      shape('LineString');
      const places = (c as unknown[]).map((q, j) => latLon(q, `${where}.geometry.coordinates[${j}]`));
      sections.push(checkSection({ places, depthsM: p.depthsM }, where));
    }
    if (what === 'feature') {
      shape('Point');
      features.push(checkFeature({ ...p, ...latLon(c, `${where}.geometry.coordinates`) }, where));
    }
  });
  if (!facts)
    throw new RunFileError(
      'no feature says "wanderung": "run": take a file that was written here, or see docs/formats.md',
    );
  return runOf(facts, sections, features, ids);
}
