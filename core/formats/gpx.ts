import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import type { FishLie } from '../lies';
import type { Run } from '../water';
import type { LatLon } from './geo';
import { checkFacts, checkFeature, checkSection, RunFileError, runOf, shapesOf } from './runFile';

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
      metadata: { name: run.name, ...extension({ 'w:run': JSON.stringify(facts) }) },
      wpt: [
        ...features.map((f) => ({
          ...place(f),
          name: f.kind,
          ...extension({ 'w:feature': { '@_kind': f.kind, '@_lengthM': f.lengthM, '@_widthM': f.widthM } }),
        })),
        ...lies.map((l) => ({
          ...place(at(l.xM, l.yM)),
          name: `lie ${l.rank}`,
          desc: `${l.reasons.join('; ')}; ${l.depthM.toFixed(2)} m deep`,
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

type Node = Record<string, unknown>;
const list = (x: unknown): Node[] => (Array.isArray(x) ? x : x === undefined || x === '' ? [] : [x]) as Node[];
const child = (n: Node | undefined, name: string): unknown => (n?.extensions as Node | undefined)?.[name];
const latLon = (n: Node): LatLon => ({ latDeg: Number(n['@_lat']), lonDeg: Number(n['@_lon']) });

/** Reads a run from GPX as it is written here. @throws RunFileError saying what is wrong and where */
export function readGPX(text: string, ids: Parameters<typeof runOf>[3]): Run {
  const valid = XMLValidator.validate(text);
  if (valid !== true)
    throw new RunFileError(
      `the file is not whole GPX: line ${valid.err.line}, ${valid.err.msg} Save it again and take that.`,
    );
  const root = (new XMLParser({ ignoreAttributes: false, parseTagValue: false }).parse(text) as Node).gpx as
    Node | undefined;
  if (!root || root['@_version'] !== '1.1') throw new RunFileError('gpx: must be version 1.1');
  const told = child(root.metadata as Node | undefined, 'w:run');
  if (typeof told !== 'string')
    throw new RunFileError('metadata: no w:run in it. Take a file that was written here, or see docs/formats.md');
  let raw: unknown;
  try {
    raw = JSON.parse(told);
  } catch {
    throw new RunFileError('metadata, w:run: is damaged');
  }
  const facts = checkFacts(raw, 'metadata, w:run');
  const sections = list(root.rte).map((r, i) => {
    const points = list(r.rtept);
    const depthsM = points.map((p) => Number(child(p, 'w:depth')));
    return checkSection({ places: points.map(latLon), depthsM }, `rte[${i}]`);
  });
  const features = list(root.wpt).flatMap((w, i) => {
    const f = child(w, 'w:feature') as Node | undefined;
    if (!f) return [];
    const value = {
      ...{ kind: f['@_kind'], lengthM: Number(f['@_lengthM']), widthM: Number(f['@_widthM']) },
      ...latLon(w),
    };
    return [checkFeature(value, `wpt[${i}]`)];
  });
  return runOf(facts, sections, features, ids);
}
