import { gzipSync } from 'node:zlib';
import fc from 'fast-check';
import { readColourCase } from '@/formats/colourCase';
import { writeGaugeCsv } from '@/formats/gaugeCsvOut';
import { readGaugeText } from '@/formats/gaugeFeed';
import { readGeoJSON, writeGeoJSON } from '@/formats/geojson';
import { readGPX, writeGPX } from '@/formats/gpx';
import { matchColumns } from '@/formats/sheet/fields';
import { readRows } from '@/formats/sheet/rows';
import { readSheet } from '@/formats/sheet/table';
import { readSwingCase } from '@/formats/swingCase';
import { decodeText } from '@/formats/text';
import { readWaterML, writeWaterML } from '@/formats/waterml';
import { readWeather } from '@/formats/weatherFile';
import { HOUR_MS } from '@/core/units';
import { KIT } from '@/demo/kit';
import { loadDemo } from '@/demo/load';
import { RUNS, WATERS } from '@/demo/waters';
import { readAnswerCase } from './answerCase';
import { type Backup, importBackup, makeBackup, sourceOf, writingBackup } from './backup';
import { createFiles } from './files';
import { readKit, writeKit } from './kitFile';
import { memoryDatabase, memoryStorage } from './memory';
import { readBackup } from './records.testing';

const NOW = Date.UTC(2026, 10, 1);

describe('files that have been damaged (hundreds of each kind, seeded)', () => {
  // The CSV library warns of headings that stand twice; what becomes of them is ours.
  beforeAll(() => void jest.spyOn(console, 'warn').mockImplementation(() => undefined));
  afterAll(() => jest.restoreAllMocks());
  const RUNS_OF_EACH = Number(process.env.FUZZ_RUNS ?? 500);
  const ENGINE =
    /undefined is|(of|properties of|not) (null|undefined)|cannot read|is not a function|not iterable|call stack|unexpected token|\[object|JSON at/i;
  /** A text with some places cut, doubled, swapped or overwritten. */
  const damaged = (text: string) =>
    fc
      .array(
        fc.record({
          at: fc.nat(text.length - 1),
          length: fc.integer({ min: 0, max: 40 }),
          put: fc.oneof(
            fc.constantFrom(
              '',
              '"',
              '{',
              '}',
              '[',
              ']',
              '<',
              '>',
              '&#0;',
              '&',
              'null',
              '-1',
              '1e400',
              '__proto__',
              '\u0001',
              '\ud800',
            ),
            fc.string({ maxLength: 6 }),
          ),
        }),
        { minLength: 1, maxLength: 3 },
      )
      .map((edits) => edits.reduce((t, e) => t.slice(0, e.at) + e.put + t.slice(e.at + e.length), text));

  const place = { latDeg: 57.4, lonDeg: -5.2 };
  const ids = { id: 'new', waterId: 'w', newId: () => 'f' };
  const series = [{ property: 'stage' as const, unit: 'm', points: [{ at: 0, value: 1 }] }];
  const hours = Array.from({ length: 30 }, (_, h) => ({
    at: h * HOUR_MS,
    stageM: 0.4,
    flowM3s: 5,
    tempC: 8,
    rainMm: 0,
  }));
  const swing = {
    water: { rho: 1000, u: 0.9, u_kind: 'surface', depth: 2, profile: { type: 'power', m: 0.1667 }, bottom: true },
    line: [{ type: 'float', length_m: 13.75, d_mm: 1.28, rel_density: 0.88 }],
    fly: { mass_in_water_g: 0.2, mass_g: 0.4, CdA_cm2: 2 },
    cast: { angle_deg: 75, slack_m: 0 },
  };
  const run = RUNS[0]!;
  const question = {
    ...{
      water: WATERS.find((w) => w.id === run.waterId),
      run,
      kit: KIT.slice(0, 12),
      means: null,
      tiedOn: null,
      seen: [],
    },
    settings: { units: 'metric', school: 'near the bed' },
    ...{ at: '2026-06-10T10:00:00Z', ask: 'best' },
  };
  const colour = {
    river: { kind: 'spate', peaty: false },
    series: hours.map((p) => ({ ...p, at: new Date(p.at).toISOString() })),
    ...{ readings: [], ask: [new Date(40 * HOUR_MS).toISOString()] },
  };
  /** A backup of two outings: a thousand whole ones would take minutes. */
  async function smallBackup(): Promise<Backup> {
    const db = memoryDatabase(memoryStorage(), { now: () => NOW });
    await loadDemo(db, NOW);
    const whole = await makeBackup(db, NOW);
    const logs = whole.logs.slice(0, 2).map((l) => ({ ...l, events: l.events.slice(0, 12) }));
    return {
      ...whole,
      logs,
      records: { ...whole.records, outing: whole.records.outing.slice(0, 2), kit: [], reading: [] },
    };
  }
  /** What is written, what reads it, and at least so many of ten that are refused: tables leave out what they cannot read. */
  const FORMATS: [string, () => Promise<string>, (text: string) => unknown, number][] = [
    ['backup', async () => JSON.stringify(await smallBackup()), (text) => readBackup(text, NOW), 1],
    ['GeoJSON', async () => writeGeoJSON(run, [], place), (text) => readGeoJSON(text, ids), 1],
    ['GPX', async () => writeGPX(run, [], place), (text) => readGPX(text, ids), 1],
    ['WaterML', async () => writeWaterML({ id: 's', name: 'S' }, series), readWaterML, 1],
    ['a gauge’s table', async () => writeGaugeCsv(hours), (text) => readGaugeText(text, NOW), 0],
    ['a bag', async () => writeKit(KIT.slice(0, 12)), (text) => readKit(text, () => 'new'), 1],
    [
      'a log’s table',
      async () => 'date,water,casts,fish,note\n2026-05-01,Brook,20,1,“wet”\n2.5.26,Brook,3,0,\n',
      sheetRows,
      0,
    ],
    [
      'a forecast',
      async () => 'time,wind mps,wind dir,rain mm,air c,cloud pct\n2026-05-01T10:00Z,3,270,0,11,40\n',
      readWeather,
      0,
    ],
    ['a swing’s case', async () => JSON.stringify(swing), readSwingCase, 1],
    ['an answer’s case', async () => JSON.stringify(question), readAnswerCase, 1],
    ['a colour’s case', async () => JSON.stringify(colour), readColourCase, 1],
  ];
  function sheetRows(text: string): unknown {
    const sheet = readSheet(text);
    const columns = matchColumns(sheet.headings, (c) => sheet.rows.map((r) => r.cells[c]!), 'metric', {});
    return [...readRows(sheet, { columns, order: 'day first', mended: new Map(), now: NOW })];
  }

  it.each(FORMATS)(
    '%s: read, or refused in our words',
    async (_, write, read, atLeast) => {
      const text = await write();
      let refused = 0;
      let slowest = 0;
      fc.assert(
        fc.property(damaged(text), (t) => {
          const since = process.cpuUsage(); // of the processor: others may have it meanwhile
          try {
            read(t);
          } catch (error) {
            refused++;
            expect(error).toBeInstanceOf(RangeError);
            expect((error as Error).message).not.toMatch(ENGINE);
            expect((error as Error).message.length).toBeGreaterThan(10);
          }
          slowest = Math.max(slowest, process.cpuUsage(since).user);
        }),
        { seed: 8, numRuns: RUNS_OF_EACH },
      );
      expect(refused).toBeGreaterThanOrEqual((atLeast * RUNS_OF_EACH) / 10);
      expect(slowest).toBeLessThan(1e6); // a second
    },
    600_000,
  );

  it('a backup line by line: read, or refused in our words, packed or not', async () => {
    let text = '';
    const from = memoryDatabase(memoryStorage(), { now: () => NOW });
    await importBackup(from, sourceOf(await smallBackup()), 'merge');
    for await (const piece of writingBackup(from, NOW)) text += piece;
    const files = createFiles(memoryDatabase(memoryStorage()), () => NOW);
    let refused = 0;
    const read = async (file: Blob) => {
      try {
        expect(await files.read(file, (work) => work(() => true))).not.toBeNull();
      } catch (error) {
        refused++;
        expect(error).toBeInstanceOf(RangeError);
        expect((error as Error).message).not.toMatch(ENGINE);
      }
    };
    const packed = new Uint8Array(gzipSync(text));
    await fc.assert(
      fc.asyncProperty(damaged(text), fc.nat(packed.length - 1), fc.nat(255), async (t, at, byte) => {
        await read(new Blob([t]));
        await read(new Blob([packed.with(at, byte)]));
      }),
      { seed: 8, numRuns: RUNS_OF_EACH / 10 },
    );
    expect(refused).toBeGreaterThan(RUNS_OF_EACH / 20);
  }, 600_000);

  it('bytes of any kind are decoded or refused in our words', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 60 }), (bytes) => {
        try {
          expect(typeof decodeText(bytes)).toBe('string');
        } catch (error) {
          expect((error as Error).message).toMatch(/Save it as UTF-8/);
        }
      }),
      { seed: 9, numRuns: RUNS_OF_EACH },
    );
  });
});
