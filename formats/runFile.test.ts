import { check } from '@placemarkio/check-geojson';
import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { RUNS } from '@/demo/waters';
import { findLies } from '@/core/lies';
import { buildChannel, type Run } from '@/core/water';
import { fromLatLon, metresPerDegree, toLatLon } from './geo';
import { readGeoJSON, writeGeoJSON } from './geojson';
import { readGPX, writeGPX } from './gpx';
import { RunFileError } from './runFile';
import { decodeText } from './text';

const place = { latDeg: 57.4, lonDeg: -5.2 };
const lies = (run: Run) =>
  findLies(run, buildChannel(run, null), null, { quarry: 'sea trout', school: 'near the bed', most: 3 });
let n = 0;
const ids = { id: 'new', waterId: 'water', newId: () => `f${n++}` };
/** A run without what a file does not carry: its ids. */
const bare = (r: Run) => ({
  ...r,
  id: '',
  waterId: '',
  origin: undefined,
  features: r.features.map((f) => ({ ...f, id: '' })),
});
const FORMATS = [
  ['GeoJSON', writeGeoJSON, readGeoJSON],
  ['GPX', writeGPX, readGPX],
] as const;

describe('places on the map', () => {
  it('has the length of a degree on the WGS 84 ellipsoid (111,132 m and 78,847 m at 45°; from memory)', () => {
    expect(metresPerDegree(45).lat).toBeCloseTo(111132, -1);
    expect(metresPerDegree(45).lon).toBeCloseTo(78847, -1);
    expect(metresPerDegree(0).lon).toBeCloseTo(111319.5, 0);
  });

  it('puts downstream along the bearing and the far bank on the right hand of one on the left bank', () => {
    const south = { bank: 'left', bearingDeg: 180 } as const;
    const down = toLatLon(south, place, 100, 0);
    expect(down.latDeg).toBeLessThan(place.latDeg);
    expect(down.lonDeg).toBeCloseTo(place.lonDeg, 9);
    // Facing south on the left bank, the other bank lies to the west.
    expect(toLatLon(south, place, 0, 10).lonDeg).toBeLessThan(place.lonDeg);
    expect(toLatLon({ ...south, bank: 'right' }, place, 0, 10).lonDeg).toBeGreaterThan(place.lonDeg);
    const back = fromLatLon(south, place, toLatLon(south, place, 37, 12));
    expect(back.xM).toBeCloseTo(37, 6);
    expect(back.yM).toBeCloseTo(12, 6);
  });
});

describe.each(FORMATS)('%s', (_name, write, read) => {
  it.each(RUNS.map((r) => [r.name, r] as const))('%s comes back as it went', (_n, run) => {
    const back = read(write(run, lies(run), place), ids);
    expect(bare(back)).toEqual(bare(run));
    expect(back.origin).toEqual(place);
  });

  it('is refused with reasons when it is damaged, and says what to do', () => {
    const whole = write(RUNS[0]!, [], place);
    const refusal = (text: string) => {
      try {
        read(text, ids);
      } catch (e) {
        expect(e).toBeInstanceOf(RunFileError);
        return (e as Error).message;
      }
      throw new Error('was taken');
    };
    expect(refusal(whole.slice(0, 900))).toMatch(/(cut off or damaged|not whole).* (Export|Save) (it|the file) again/);
    const upBank = whole.replace(/(bank(?:&quot;|")\s*:\s*(?:&quot;|"))left/, '$1up');
    expect(refusal(upBank)).toMatch(/bank: must be one of/);
    expect(refusal(whole.replaceAll('boulder', 'sofa'))).toMatch(/(features|wpt)\[\d+\], kind: must be one of/);
    expect(refusal('')).toMatch(/cut off|not whole|gpx/);
  });
});

describe('independent readers', () => {
  it('GeoJSON is valid by check-geojson (RFC 7946)', () => {
    const text = writeGeoJSON(RUNS[0]!, lies(RUNS[0]!), place);
    const checked = check(text);
    expect(checked.type).toBe('FeatureCollection');
    expect(JSON.parse(text).features.length).toBe(1 + RUNS[0]!.sections.length + RUNS[0]!.features.length + 3);
    // RFC 7946, 3.1.6: the outer ring runs counterclockwise (its signed area is positive).
    for (const run of RUNS) {
      const ring = JSON.parse(writeGeoJSON(run, [], place)).features[0].geometry.coordinates[0] as [number, number][];
      const area = ring.slice(1).reduce((s, [x, y], i) => s + ring[i]![0] * y - x * ring[i]![1], 0);
      expect(area).toBeGreaterThan(0);
      expect(ring[0]).toEqual(ring[ring.length - 1]);
    }
  });

  it('GPX is read by togeojson: waypoints and routes where the GeoJSON has points and lines', () => {
    const run = RUNS[0]!;
    const text = writeGPX(run, lies(run), place);
    expect(text).toContain('version="1.1"');
    const other = gpx(new DOMParser().parseFromString(text, 'text/xml') as never);
    const kinds = other.features.map((f) => f.geometry?.type);
    expect(kinds.filter((k) => k === 'Point')).toHaveLength(run.features.length + 3);
    expect(kinds.filter((k) => k === 'LineString')).toHaveLength(run.sections.length);
    const [first] = other.features.filter((f) => f.geometry?.type === 'LineString');
    const ours = JSON.parse(writeGeoJSON(run, [], place)).features[1].geometry.coordinates as [number, number][];
    expect((first!.geometry as unknown as { coordinates: number[][] }).coordinates.map((c) => c.slice(0, 2))).toEqual(
      ours,
    );
  });

  it('a section moved in a map program has moved when it comes back', () => {
    const run = RUNS[0]!;
    const raw = JSON.parse(writeGeoJSON(run, [], place));
    const per = metresPerDegree(place.latDeg);
    const line = raw.features[2].geometry.coordinates as [number, number][];
    // Two metres along the flow.
    const rad = (run.bearingDeg * Math.PI) / 180;
    for (const c of line) {
      c[0] += (2 * Math.sin(rad)) / per.lon;
      c[1] += (2 * Math.cos(rad)) / per.lat;
    }
    const back = readGeoJSON(JSON.stringify(raw), ids);
    expect(back.sections[1]!.xM).toBeCloseTo(run.sections[1]!.xM + 2, 1);
  });

  it('refuses a section that doubles back and one outside the run', () => {
    const run = RUNS[0]!;
    const change = (edit: (line: [number, number][]) => void) => {
      const raw = JSON.parse(writeGeoJSON(run, [], place));
      edit(raw.features[1].geometry.coordinates);
      return () => readGeoJSON(JSON.stringify(raw), ids);
    };
    expect(change((line) => line.reverse())).toThrow(/section 1, point 2: must lie further out/);
    expect(change((line) => line.forEach((c) => (c[1] += 0.01)))).toThrow(/section 1: lies -?\d+ m down/);
  });
});

describe('what happens to files on their way', () => {
  const run = RUNS[0]!;
  interface Collection {
    features: { geometry: { type: string; coordinates: unknown }; properties: Record<string, unknown> }[];
  }

  it('a table keeps no lists and no objects: GeoJSON that was stored in one comes back whole', () => {
    const raw = JSON.parse(writeGeoJSON(run, [], place)) as Collection;
    const columns = [...new Set(raw.features.flatMap((f) => Object.keys(f.properties)))];
    for (const f of raw.features) {
      // Every column in every row, lists counted, objects as text, single shapes as lists of shapes.
      for (const c of columns) {
        const v = f.properties[c] ?? null;
        f.properties[c] = Array.isArray(v)
          ? `(${v.length}:${v.join(',')})`
          : v && typeof v === 'object'
            ? JSON.stringify(v)
            : v;
      }
      f.geometry = { type: `Multi${f.geometry.type}`, coordinates: [f.geometry.coordinates] };
    }
    expect(bare(readGeoJSON(JSON.stringify(raw), ids))).toEqual(bare(run));
    for (const f of raw.features)
      if (typeof f.properties.depthsM === 'string')
        f.properties.depthsM = f.properties.depthsM.replace(/^\(\d+:(.*)\)$/, '[$1]');
    expect(bare(readGeoJSON(JSON.stringify(raw), ids))).toEqual(bare(run));
  });

  it('depths go out to the millimetre, though the words round them', () => {
    const sections = run.sections.map((s) => ({
      ...s,
      points: s.points.map((p) => (p.depthM > 0 ? { ...p, depthM: p.depthM + 0.003 } : p)),
    }));
    const text = writeGPX({ ...run, sections }, [], place);
    expect(readGPX(text, ids).sections).toEqual(sections);
  });

  it('a converter that drops extensions keeps depths and kinds; that it dropped the facts is said', () => {
    const text = writeGPX(run, [], place);
    const noDepths = text.replace(/<extensions>\s*<w:(depth|feature)[^]*?<\/extensions>/g, '');
    expect(noDepths).not.toContain('w:depth');
    const back = readGPX(noDepths, ids);
    expect(back.sections).toEqual(run.sections);
    expect(back.features.map((f) => f.kind)).toEqual(run.features.map((f) => f.kind));
    const noFacts = text.replace(/<w:run>[^]*?<\/w:run>/, '');
    expect(() => readGPX(noFacts, ids)).toThrow(/converter may have left it out: .* as GeoJSON/);
  });

  it('references by number and names in other scripts survive; control characters are refused, and never written', () => {
    const text = writeGPX({ ...run, name: 'Süd 川' }, [], place);
    expect(readGPX(text.replaceAll('Süd', 'S&#252;d').replaceAll('川', '&#x5DDD;'), ids).name).toBe('Süd 川');
    expect(() => readGPX(text.replaceAll('Süd', 'S\u0007d'), ids)).toThrow(/line \d+: there is a control character/);
    expect(() => readGPX(text.replaceAll('Süd', 'S\ud800d'), ids)).toThrow(/control character/);
    expect(() => readGPX(text.replace('<gpx', '<!DOCTYPE gpx [<!ENTITY a "b">]><gpx'), ids)).toThrow(/document type/);
    const odd = writeGPX({ ...run, name: 'a\u0007b\ud800c', notes: '\u0000' }, [], place);
    expect(odd).not.toMatch(/[\u0000-\u0008\ud800-\udfff]/);
    const json = writeGeoJSON(run, [], place).replace(run.name, 'a\\u0007b');
    expect(() => readGeoJSON(json, ids)).toThrow(/control characters/);
  });

  it.each([
    ['the date line', { latDeg: -17, lonDeg: 179.9999 }],
    ['the date line from the other side', { latDeg: 65, lonDeg: -179.9999 }],
    ['near the pole', { latDeg: 88.9, lonDeg: 20 }],
  ])('on %s a run comes back, with longitudes that exist', (_, at) => {
    const here = { ...run, origin: at };
    const text = writeGeoJSON(here, [], at);
    const lons = (JSON.parse(text) as Collection).features
      .flatMap((f) => JSON.stringify(f.geometry.coordinates).match(/\[-?[\d.e-]+,/g) ?? [])
      .map((m) => Number(m.slice(1, -1)));
    expect(Math.max(...lons.map(Math.abs))).toBeLessThanOrEqual(180);
    for (const [, write, read] of FORMATS) expect(bare(read(write(here, [], at), ids))).toEqual(bare(run));
  });

  it.each([['-5.2'], [-5.2, null], [null, 57.4], {}, 'here', 7])('a place that reads %j is none', (place_) => {
    const raw = JSON.parse(writeGeoJSON(run, [], place)) as Collection;
    (raw.features[1]!.geometry.coordinates as unknown[])[2] = place_;
    expect(() => readGeoJSON(JSON.stringify(raw), ids)).toThrow(
      'features[1].geometry.coordinates[2]: must be [longitude, latitude]',
    );
  });

  it('something that is no feature is passed over', () => {
    const raw = JSON.parse(writeGeoJSON(run, [], place)) as Collection;
    (raw.features as unknown[]).push(null, {}, { type: 'Feature', properties: null, geometry: null });
    expect(bare(readGeoJSON(JSON.stringify(raw), ids))).toEqual(bare(run));
  });

  it('at the pole itself no run is taken: there is no east', () => {
    expect(() => readGeoJSON(writeGeoJSON({ ...run, origin: { latDeg: 90, lonDeg: 0 } }, [], place), ids)).toThrow(
      /origin\.latDeg: must be less than or equal to 89/,
    );
  });

  it('a control character is told by its line', () => {
    const text = writeGPX(run, [], place).replace(/\n/, '\n\n\u0001');
    expect(() => readGPX(text, ids)).toThrow('line 3: there is a control character');
  });

  it('two sections at one place are refused', () => {
    const raw = JSON.parse(writeGeoJSON(run, [], place)) as Collection;
    raw.features[2]!.geometry = raw.features[1]!.geometry;
    expect(() => readGeoJSON(JSON.stringify(raw), ids)).toThrow(/two lie at .* leave one of them out/);
  });

  it.each<[string, number[], string]>([
    ['UTF-8', [0xc3, 0xbc], 'ü'],
    ['UTF-8 with its mark', [0xef, 0xbb, 0xbf, 0xc3, 0xbc], 'ü'],
    ['UTF-16, low byte first', [0xff, 0xfe, 0xfc, 0x00], 'ü'],
    ['UTF-16, high byte first', [0xfe, 0xff, 0x00, 0xfc], 'ü'],
    [
      'ISO 8859-1, declared',
      [...Buffer.from('<?xml version="1.0" encoding="ISO-8859-1"?>'), 0xfc],
      '<?xml version="1.0" encoding="ISO-8859-1"?>ü',
    ],
  ])('is decoded: %s', (_, bytes, text) => {
    expect(decodeText(new Uint8Array(bytes))).toBe(text);
  });

  it('an encoding that is not known, or not kept to, is refused', () => {
    const declared = Buffer.from('<?xml version="1.0" encoding="klingon"?><gpx/>');
    expect(() => decodeText(declared)).toThrow('"klingon", which is not known. Save it as UTF-8');
    expect(() => decodeText(new Uint8Array([0x61, 0xfc, 0x62]))).toThrow('not written in UTF-8 throughout');
  });
});
