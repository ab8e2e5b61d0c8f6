import { DOMParser } from '@xmldom/xmldom';
import { seeded } from '@/core/maths';
import type { GaugePoint } from '@/core/gauge';
import { type Column, gaugeSheet, guessColumns, readGaugeTable } from './gaugeCsv';
import { writeGaugeCsv } from './gaugeCsvOut';
import { readGaugeText } from './gaugeFeed';
import { propertyNamed, unitNamed } from './gaugeTerms';
import { type DateOrder } from './sheet/terms';
import { writeWaterML } from './waterml';
import { HOUR_MS } from '@/core/units';

const T0 = Date.UTC(2026, 8, 1);
const POINTS: readonly GaugePoint[] = [
  { at: T0, stageM: 0.75, flowM3s: 9, tempC: 11.3, rainMm: 0 },
  { at: T0 + HOUR_MS, stageM: NaN, flowM3s: NaN, tempC: 11.1, rainMm: 1.2 },
  { at: T0 + 2 * HOUR_MS, stageM: 0.78, flowM3s: 9.8, tempC: NaN, rainMm: 0.4 },
];
const waterML = writeWaterML({ id: 'upper', name: 'Upper & lower <2>' }, [
  { property: 'stage', unit: 'm', points: [{ at: T0, value: 0.75 }] },
  { property: 'discharge', unit: 'm3/s', points: [{ at: T0, value: 9 }] },
  { property: 'rainfall', unit: 'mm', points: [{ at: T0, value: 1.5 }] },
]);

describe('WaterML 2.0 by another reader', () => {
  it('has its elements in the namespaces of the standard (OGC 10-126r4), read by a DOM that knows them', () => {
    const doc = new DOMParser().parseFromString(waterML, 'text/xml');
    const WML = 'http://www.opengis.net/waterml/2.0';
    const OM = 'http://www.opengis.net/om/2.0';
    expect(doc.documentElement!.namespaceURI).toBe(WML);
    const observations = [...doc.getElementsByTagNameNS(OM, 'OM_Observation')];
    const read = observations.map((o) => ({
      of: o.getElementsByTagNameNS(OM, 'observedProperty')[0]!.getAttributeNS('http://www.w3.org/1999/xlink', 'title'),
      where: o
        .getElementsByTagNameNS(OM, 'featureOfInterest')[0]!
        .getAttributeNS('http://www.w3.org/1999/xlink', 'title'),
      unit: o.getElementsByTagNameNS(WML, 'uom')[0]!.getAttribute('code'),
      time: o.getElementsByTagNameNS(WML, 'time')[0]!.textContent,
      value: Number(o.getElementsByTagNameNS(WML, 'value')[0]!.textContent),
    }));
    expect(read).toEqual([
      { of: 'stage', where: 'Upper & lower <2>', unit: 'm', time: '2026-09-01T00:00:00.000Z', value: 0.75 },
      { of: 'discharge', where: 'Upper & lower <2>', unit: 'm3/s', time: '2026-09-01T00:00:00.000Z', value: 9 },
      { of: 'rainfall', where: 'Upper & lower <2>', unit: 'mm', time: '2026-09-01T00:00:00.000Z', value: 1.5 },
    ]);
  });

  it('is read in other prefixes, in feet, with names of others for the same things, and with codes for none', () => {
    const other = waterML
      .replaceAll('wml2:', 'w:')
      .replaceAll('xmlns:wml2', 'xmlns:w')
      .replace('xlink:title="stage"', 'xlink:title="Gage height, feet"')
      .replace('code="m"', 'code="[ft_i]"')
      .replace('xlink:title="discharge"', 'xlink:title="Streamflow"')
      .replace('code="m3/s"', 'code="ft3/s"')
      .replace('<w:value>1.5</w:value>', '<w:value>-999999</w:value>');
    const [p] = readGaugeText(other).points;
    expect(p!.stageM).toBeCloseTo(0.75 * 0.3048, 9);
    expect(p!.flowM3s).toBeCloseTo(9 * 0.028316846592, 9);
    expect(p!.rainMm).toBeUndefined();
  });
});

describe('a gauge as a table', () => {
  const read = (text: string) => readGaugeText(text);

  it('goes out and comes back', () => {
    expect(read(writeGaugeCsv(POINTS)).points).toEqual(POINTS);
    expect(writeGaugeCsv(POINTS).split('\r\n')[0]).toBe(
      'time_utc,stage_m,discharge_m3s,water_temperature_c,rain_mm,air_temperature_c',
    );
  });

  it('is read as an agency’s tab-separated file: remarks, a line of formats, codes for parameters, feet and cubic feet', () => {
    const text = [
      '# Some remarks, and a title',
      '# ',
      'agency\tsite_no\tdatetime\ttz_cd\t9999_00060\t9999_00060_cd\t9999_00065\t9999_00065_cd',
      '5s\t15s\t20d\t6s\t14n\t10s\t14n\t10s',
      'XX\t01234567\t2026-09-01 00:15\tUTC\t353\tP\t2.46\tP',
      'XX\t01234567\t2026-09-01 01:30\tUTC\tIce\tP\t2.50\tP',
    ].join('\n');
    const { points } = read(text);
    expect(points).toHaveLength(2);
    expect(points[0]!.stageM).toBeCloseTo(2.46 * 0.3048, 9);
    expect(points[0]!.flowM3s).toBeCloseTo(353 * 0.028316846592, 9);
    expect(points[1]!.flowM3s).toBeNaN();
    // Its own column says that its times are UTC.
    expect(new Date(points[0]!.at).toISOString()).toBe('2026-09-01T00:15:00.000Z');
  });

  it('is read with a day first, a comma for a point, a column for the time, in centimetres', () => {
    const text = [
      'Pegel am Steg',
      '',
      'Datum;Uhrzeit;Wasserstand (cm);Wassertemperatur (°C);Lufttemperatur',
      '01.09.2026;06:00;75,5;11,3;4',
      '01.09.2026;07:00;77;11,1;5',
      '31.09.2026;07:00;77;11,1;5',
    ].join('\r\n');
    const { points, said } = read(text);
    expect(points.map((p) => [new Date(p.at).getHours(), p.stageM, p.tempC])).toEqual([
      [6, 0.755, 11.3],
      [7, 0.77, 11.1],
    ]);
    expect(said).toEqual([{ code: 'no date', rows: 1, firstRow: 6 }]);
  });

  it('goes by the zone that a time names, by the reader’s clock or by UTC where it names none', () => {
    const sheet = gaugeSheet('time,level m\n2026-09-01T02:00:00+02:00,1\n2026-09-01 05:00,1.1');
    const guess = guessColumns(sheet);
    const times = (clock: 'local' | 'UTC') => readGaugeTable(sheet, { ...guess, clock }).points.map((p) => p.at);
    expect(times('UTC')).toEqual([T0, T0 + 5 * HOUR_MS]);
    expect(times('local')[1]).toBe(new Date(2026, 8, 1, 5).getTime());
  });

  it('of dates that could be read in two ways takes the one in which day follows day', () => {
    const days = (text: string) => read(`Day,Level m\n${text}`).points.map((p) => new Date(p.at).getMonth());
    expect(days('8.9.2026,1\n9.9.2026,1.1\n10.9.2026,1.2')).toEqual([8, 8, 8]);
    expect(days('9/8/2026,1\n9/9/2026,1.1\n9/10/2026,1.2')).toEqual([8, 8, 8]);
  });

  it('tells months from days where one of them says so, and takes afternoons', () => {
    const { points } = read('Date,Stage (ft)\n9/1/2026 1:00 PM,3.0\n9/14/2026 12:30 AM,3.1');
    expect(points.map((p) => [new Date(p.at).getMonth(), new Date(p.at).getDate(), new Date(p.at).getHours()])).toEqual(
      [
        [8, 1, 13],
        [8, 14, 0],
      ],
    );
  });

  it.each([
    ['', 'headings'],
    ['a,b\n1,2', 'no column holds the date'],
    ['date,notes\n2026-09-01,fine', 'no column holds the level or the flow'],
    ['date,level m\nsoon,1\nlater,2', 'no column holds the date'],
    ['date,level m\n2026-09-01,-999\n2026-09-02,', 'no level or flow'],
    ['<a', 'not XML'],
    ['date,"level m\n2026-09-01,1', 'quotation mark'],
  ])('says what is wrong with %j', (text, words) => {
    expect(() => read(text)).toThrow(words);
  });

  it('knows what headings speak of and in what unit; air and marks of quality are neither', () => {
    expect(propertyNamed('Water temp [°F]')).toEqual({ property: 'temperature', unit: '°F' });
    expect(propertyNamed('stage_m')).toEqual({ property: 'stage', unit: 'm' });
    expect(propertyNamed('discharge_m3s')).toEqual({ property: 'discharge', unit: 'm³/s' });
    expect(propertyNamed('Flow, cfs')).toEqual({ property: 'discharge', unit: 'cfs' });
    expect(propertyNamed('Precipitation in inches')).toEqual({ property: 'rainfall', unit: 'in' });
    for (const none of ['Air temperature', 'Level quality', 'flow_flag', 'remarks'])
      expect(propertyNamed(none)).toBeNull();
    expect(unitNamed('stage', 'M')).toBe('m');
    expect(unitNamed('stage', ' ft ')).toBe('ft');
    expect(unitNamed('stage', 'cfs')).toBeNull();
  });

  it('tells columns by their headings where numbers could be dates or times, and by most of their cells', () => {
    const as = (heading: string, cells: string[]) =>
      guessColumns(gaugeSheet(`${heading},level m\n${cells.map((c) => `${c},1`).join('\n')}`)).columns[0]!.as;
    const half = ['2026-09-01', 'x', 'y', '2026-09-02'];
    expect(as('day', ['46266', '46267'])).toBe('date'); // as spreadsheets count days
    expect(as('site_no', ['46266', '46267'])).toBe('nothing');
    expect(as('when', [...half, '2026-09-03'])).toBe('nothing'); // three of five are not most
    expect(as('when', [...half, '2026-09-03', '2026-09-04'])).toBe('date');
    expect(as('time', ['0730', '0800'])).toBe('time of day');
    expect(as('count', ['0730', '0800'])).toBe('nothing');
    expect(as('at', ['7:30', '8:00', 'noon'])).toBe('time of day');
    expect(as('at', ['7:30', '8:00', 'noon', 'x'])).toBe('nothing');
    expect(as('date', ['', ''])).toBe('nothing');
    const two = guessColumns(gaugeSheet('date,date,level m,stage m\n2026-09-01,2026-09-02,1,2'));
    expect(two.columns.map((c) => c.as)).toEqual(['date', 'nothing', 'stage', 'nothing']);
    expect(two.clock).toBe('local');
  });

  it.each([
    ['2026-09-01 07:30:45', '', 450],
    ['2026-09-01T07:30:45.250', '', 450],
    ['2026-09-01', '07:30:45', 450],
    ['2026-09-01', '12:30:45 pm', 750],
    ['2026-09-01', '7:05', 425],
    ['2026-09-01 9:15 a.m.', '', 555],
    ['2026-09-01', '', 0],
    ['2026-09-01 00:30+01:00', '', -30],
    ['2026-09-01 00:30 Z', '', 30],
    ['2026-09-01 00:30 -0100', '', 90],
  ])('the moment of %j and %j', (date, time, minutes) => {
    const sheet = gaugeSheet(`date,hour,level m\n${date},${time},1`);
    const stage = { as: 'stage', unit: 'm' } as const;
    const columns = [{ as: 'date' }, { as: 'time of day' }, stage] as const;
    const { points } = readGaugeTable(sheet, { columns, order: 'year first', clock: 'UTC' });
    expect((points[0]!.at - Date.UTC(2026, 8, 1)) / 60_000).toBe(minutes);
  });

  it('is refused with the reason where columns were chosen wrongly', () => {
    const sheet = gaugeSheet('date,level\n2026-09-01,1\n2026-09-02,2');
    const read =
      (columns: Column[], order: DateOrder = 'year first') =>
      () =>
        readGaugeTable(sheet, { columns, order, clock: 'UTC' });
    const [date, stage]: Column[] = [{ as: 'date' }, { as: 'stage', unit: 'cm' }];
    expect(read([date!, stage!])().points.map((p) => p.stageM)).toEqual([0.01, 0.02]);
    expect(read([{ as: 'nothing' }, stage!])).toThrow('no column holds the date: choose which one does');
    expect(read([date!, { as: 'temperature', unit: '°C' }])).toThrow('no column holds the level or the flow');
    expect(read([date!, { as: 'stage', unit: 'cfs' }])).toThrow('the unit "cfs" is none of stage');
    expect(read([stage!, date!])).toThrow('no date in that column could be read');
  });

  it('leaves out a row whose time is none: it is not midnight', () => {
    const feed = read(
      `date,time,level m\n${['06:00,1', '09:00,1', 'dawn,2', '12:00,2', '18:00,3'].map((c) => `2026-09-01,${c}`).join('\n')}`,
    );
    expect(feed.points.map((p) => p.stageM)).toEqual([1, 1, 2, 3]);
  });

  it('takes no unit for what every object has', () => {
    expect(propertyNamed('level (constructor)')).toEqual({ property: 'stage', unit: null });
    expect(unitNamed('stage', '__proto__')).toBeNull();
    const unit = { as: 'stage', unit: 'constructor' } as const;
    expect(() =>
      readGaugeTable(gaugeSheet('date,level\n2026-01-01,1'), {
        columns: [{ as: 'date' }, unit],
        order: 'year first',
        clock: 'UTC',
      }),
    ).toThrow('the unit "constructor" is none of stage');
  });

  it('reads a huge file and keeps a year of it', () => {
    const rows = Array.from(
      { length: 100_000 },
      (_, i) => `${new Date(T0 + i * 900_000).toISOString()},${1 + (i % 7) / 100}`,
    );
    const { points, said } = read(['time,level m', ...rows].join('\n'));
    expect(points.length).toBeLessThan(2300);
    expect(said).toEqual([{ code: 'older', keptDays: 400 }]);
  });
});

describe('feeds that are damaged, by the thousand', () => {
  const csv = writeGaugeCsv(Array.from({ length: 30 }, (_, h) => ({ ...POINTS[0]!, at: T0 + h * HOUR_MS })));
  /** Cut short, bytes changed, pieces doubled, taken out or put elsewhere. */
  function damaged(text: string, rand: () => number): string {
    let out = text;
    for (let n = 1 + Math.floor(4 * rand()); n > 0; n--) {
      const [a, b] = [rand(), rand()].map((r) => Math.floor(r * out.length)).sort((x, y) => x - y) as [number, number];
      const piece = out.slice(a, Math.min(b, a + 200));
      const way = Math.floor(6 * rand());
      if (way === 0) out = out.slice(0, b);
      else if (way === 1) out = out.slice(0, a) + String.fromCharCode(Math.floor(300 * rand())) + out.slice(a + 1);
      else if (way === 2) out = out.slice(0, a) + piece + out.slice(a);
      else if (way === 3) out = out.slice(0, a) + out.slice(a + piece.length);
      else if (way === 4) out = out.slice(0, a) + '-999' + out.slice(a + 3);
      else out = out.slice(0, a) + '\n' + out.slice(a);
    }
    return out;
  }

  it.each([
    ['WaterML', waterML, 1500],
    ['CSV', csv, 500],
  ])('%s: read to values that a river can have, or refused in words', (_name, whole, times) => {
    const rand = seeded(5);
    let [readable, refused] = [0, 0];
    for (let n = 0; n < times; n++) {
      const text = damaged(whole, rand);
      try {
        const { points } = readGaugeText(text);
        readable++;
        expect(points.length).toBeGreaterThan(0);
        const possible = ({ at, stageM, flowM3s }: (typeof points)[number]) =>
          Number.isFinite(at) &&
          (Number.isNaN(stageM) || (stageM >= -20 && stageM <= 100)) &&
          (Number.isNaN(flowM3s) || flowM3s >= 0);
        expect(points.every(possible)).toBe(true);
      } catch (error) {
        expect(error).toBeInstanceOf(RangeError);
        expect((error as Error).message.length).toBeGreaterThan(10);
        refused++;
      }
    }
    expect(readable).toBeGreaterThan(20);
    expect(refused).toBeGreaterThan(20);
  });
});
