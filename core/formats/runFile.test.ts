import { check } from '@placemarkio/check-geojson';
import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { RUNS } from '@/demo/waters';
import { findLies } from '../lies';
import { buildChannel, type Run } from '../water';
import { fromLatLon, metresPerDegree, toLatLon } from './geo';
import { readGeoJSON, writeGeoJSON } from './geojson';
import { readGPX, writeGPX } from './gpx';
import { RunFileError } from './runFile';

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
    expect(refusal(whole.slice(0, 900))).toMatch(/not whole .* Save it again/);
    const upBank = whole.replace(/(bank(?:&quot;|")\s*:\s*(?:&quot;|"))left/, '$1up');
    expect(refusal(upBank)).toMatch(/bank: must be one of/);
    expect(refusal(whole.replaceAll('boulder', 'sofa'))).toMatch(/(features|wpt)\[\d+\], kind: must be one of/);
    expect(refusal('')).toMatch(/not whole|gpx/);
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
