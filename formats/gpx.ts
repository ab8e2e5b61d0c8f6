import { XMLBuilder } from 'fast-xml-parser';
import type { FishLie } from '@/core/lies';
import { type FeatureKind, FEATURES, type Run } from '@/core/water';
import type { LatLon } from './geo';
import { nodes, parseXml, type XmlNode, xmlText } from './xml';
import { checkFacts, checkFeature, checkSection, RunFileError, runOf, shapesOf } from './runFile';
import { lieReasons } from '@/words/lies';

const NAMESPACE = 'urn:wanderung:run:1';
const DIGITS = 8; // a millimetre
const place = ({ latDeg, lonDeg }: LatLon) => ({ '@_lat': latDeg.toFixed(DIGITS), '@_lon': lonDeg.toFixed(DIGITS) });

/**
 * Writes a run as GPX 1.1 (Topografix schema 1/1): features and lies as waypoints, sections as routes with the depth of
 * each point beside it, what else is known in extensions of a namespace of our own.
 *
 * @param at used where the run has no place of its own
 */
export function writeGPX(run: Run, lies: readonly FishLie[], fallback: LatLon): string {
  const { facts, sections, features, at } = shapesOf(run, fallback);
  const extension = (body: object) => ({ extensions: body });
  const builder = new XMLBuilder({ ignoreAttributes: false, format: true, suppressEmptyNode: true });
  return builder.build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    gpx: {
      '@_version': '1.1',
      '@_creator': 'Wanderung',
      '@_xmlns': 'http://www.topografix.com/GPX/1/1',
      '@_xmlns:w': NAMESPACE,
      metadata: { name: xmlText(run.name), ...extension({ 'w:run': xmlText(JSON.stringify(facts)) }) },
      wpt: [
        ...features.map((f) => ({
          ...place(f),
          name: f.kind,
          ...extension({ 'w:feature': { '@_kind': f.kind, '@_lengthM': f.lengthM, '@_widthM': f.widthM } }),
        })),
        ...lies.map((l) => ({
          ...place(at(l.xM, l.yM)),
          name: `lie ${l.rank}`,
          desc: `${lieReasons(l).join('; ')}; ${l.depthM.toFixed(2)} m deep`,
        })),
      ],
      rte: sections.map((s, i) => ({
        name: `section ${i + 1}`,
        rtept: s.places.map((p, j) => ({
          ...place(p),
          desc: `${s.depthsM[j]!.toFixed(2)} m deep`,
          ...extension({ 'w:depth': s.depthsM[j] }),
        })),
      })),
    },
  });
}

const child = (n: XmlNode | undefined, name: string): unknown => (n?.extensions as XmlNode | undefined)?.[name];
const latLon = (n: XmlNode): LatLon => ({ latDeg: Number(n['@_lat']), lonDeg: Number(n['@_lon']) });
const number = (text: unknown): number => (typeof text === 'string' && text.trim() !== '' ? Number(text) : NaN);

/** The depth of a point: converters drop extensions and keep descriptions. */
const depthOf = (p: XmlNode): number => {
  const own = child(p, 'w:depth');
  return own !== undefined ? number(own) : number(/^([\d.]+) m deep/.exec(String(p.desc))?.[1]);
};

/** A feature of the run, or null for a waypoint of another kind. One whose extensions were dropped has the usual size. */
function featureOf(w: XmlNode) {
  const f = child(w, 'w:feature') as XmlNode | undefined;
  if (f) return { kind: f['@_kind'], lengthM: Number(f['@_lengthM']), widthM: Number(f['@_widthM']), ...latLon(w) };
  const kind = String(w.name);
  if (!Object.hasOwn(FEATURES, kind)) return null;
  const [lengthM, widthM] = FEATURES[kind as FeatureKind].size;
  return { kind, lengthM, widthM, ...latLon(w) };
}

/** Reads a run from GPX as it is written here. @throws RunFileError saying what is wrong and where */
export function readGPX(text: string, ids: Parameters<typeof runOf>[3]): Run {
  let file: XmlNode;
  try {
    file = parseXml(text);
  } catch (error) {
    throw new RunFileError(`the file is not whole GPX: ${(error as Error).message}`);
  }
  const root = nodes(file.gpx)[0];
  if (!root || root['@_version'] !== '1.1') throw new RunFileError('gpx: must be version 1.1');
  const told = child(nodes(root.metadata)[0], 'w:run');
  if (typeof told !== 'string')
    throw new RunFileError(
      'metadata: no w:run in it. A converter may have left it out: take the file that was written here, or make the trip as GeoJSON',
    );
  let raw: unknown;
  try {
    raw = JSON.parse(told);
  } catch {
    throw new RunFileError('metadata, w:run: is damaged');
  }
  const facts = checkFacts(raw, 'metadata, w:run');
  const sections = nodes(root.rte).map((r, i) => {
    const points = nodes(r.rtept);
    return checkSection({ places: points.map(latLon), depthsM: points.map(depthOf) }, `rte[${i}]`);
  });
  const features = nodes(root.wpt).flatMap((w, i) => {
    const f = featureOf(w);
    return f ? [checkFeature(f, `wpt[${i}]`)] : [];
  });
  return runOf(facts, sections, features, ids);
}
