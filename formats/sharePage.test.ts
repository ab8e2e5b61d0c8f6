import { DOMParser } from '@xmldom/xmldom';
import { buildChannel } from '@/core/water';
import type { EventBody, LogEvent } from '@/core/logbook';
import { day, PLAN, RIG, RUN } from '@/core/testing/fixtures';
import { outingsCalendar } from './shareCalendar';
import { outingsPage } from './sharePage';
import { type SharedOuting, veil } from './veil';
import { eventsCsv } from './shareCsv';

// A day told in full: by the reader's clock, whatever the zone.
const START = new Date(2026, 4, 4, 8, 30).getTime();
let n = 0;
const at = (minutes: number, body: EventBody, o: Partial<LogEvent> = {}): LogEvent =>
  ({ id: `e${++n}`, at: START + minutes * 60_000, runId: 'run', xM: 20, yM: 6, rig: 'k', ...body, ...o }) as LogEvent;
const plan = { ...PLAN, xM: 20, yM: 6, angleDeg: 60, outM: 12 };
const did = { v: 1, s: 20, flies: [[233, 91, 301, 84, 20, 60, 30, 55]], lies: [1], touches: 0 } as const;
const take = { kind: 'take', where: 'dangle', sign: 'felt', what: 'landed', juvenile: false } as const;
const fish = { species: 'sea trout', lengthM: 0.45, sex: null, condition: '', origin: null } as const;
const events = [
  at(0, { kind: 'run start', runName: 'Pool <A>' }),
  at(0, { kind: 'rig', set: RIG }),
  at(1, { kind: 'reading', reading: day({ levelM: 0.2, visibilityM: 0.8 }) }),
  at(2, { kind: 'cast', plan }),
  at(5, { kind: 'cast', plan, did }),
  at(6, { ...take, fish }),
  at(8, { ...take, what: 'pluck', juvenile: true, fish: null }),
  at(9, { kind: 'note', text: 'Cold & clear' }),
  at(45, { kind: 'run end' }),
];
const outing = (o: Partial<SharedOuting> = {}): SharedOuting => ({
  outing: { outingId: 'o', waterId: 'w', startedAt: START, endedAt: START + 45 * 60_000, notes: 'First\nday' },
  water: { name: 'The <brook>', place: { latDeg: 57, lonDeg: -4 } },
  runs: new Map([['run', RUN]]),
  events,
  ...o,
});
const TOLD = { place: 'told', names: true, notes: true, times: 'to the minute', hints: true } as const;
const page = (o: Partial<SharedOuting> = {}, privacy: Parameters<typeof veil>[1] = TOLD) =>
  outingsPage(veil([outing(o)], privacy, 'metric', 'f'), 'metric');
const documentOf = (html: string) =>
  new DOMParser().parseFromString(
    html
      .replace('<!doctype html>', '')
      .replace(/<meta[^>]*>/g, '')
      .replaceAll('<br>', ' / '),
    'text/xml',
  );
/** What one reads on it, piece by piece. */
const words = (html: string) =>
  ['title', 'h1', 'p', 'h2', 'td'].flatMap((tag) =>
    [...documentOf(html).getElementsByTagName(tag)].map((e) => `${tag}: ${e.textContent}`),
  );
/** A day that was written down from memory. */
const byHand: LogEvent[] = [
  at(0, { kind: 'run start', runName: 'Weir' }, { runId: null }),
  at(0, { kind: 'estimate', casts: 80, takes: 0, minutes: 120, timed: false, fly: null, water: null } as EventBody, {
    runId: null,
    xM: null,
    yM: null,
    rig: null,
  }),
  at(60, { ...take, what: 'lost', fish: null }, { runId: null, xM: null, yM: null, rig: null }),
  at(120, { kind: 'run end' }, { runId: null }),
];

describe('a day on paper', () => {
  it('is told in full, from its date to its last entry', () => {
    expect(words(page())).toEqual([
      'title: Monday, 4 May 2026',
      'h1: The <brook>',
      'p: Monday, 4 May 2026, 08:30 to 09:15',
      'p: 2 casts, 1 take, 1 landed, 1 juvenile.',
      'p: First / day',
      'p: 08:30 to 09:15 · 2 casts · 1 take · 1 landed · level +20 cm · visibility 0.80 m',
      'p: Flow runs down the page. Thin lines: about where the fly swung; red: takes.',
      'p: Written by Wanderung. Depths, places and casts are estimates.',
      'h2: Pool <A>',
      'h2: Hour by hour',
      ...['td: 08:30', 'td: Tied on black rabbit strip, 10 ft fast'],
      ...['td: 08:31', 'td: Read: Visibility 0.80 m · +20 cm · 11.0 °C · green · broken'],
      ...['td: 08:32', 'td: 2 casts, 12.0 m of line, 20 m down the run'],
      ...['td: 08:36', 'td: Take: landed, dangle; sea trout of 45.0 cm'],
      ...['td: 08:38', 'td: Juvenile: pluck, dangle'],
      ...['td: 08:39', 'td: Cold & clear'],
    ]);
    expect(page().match(/class="take"/g)).toHaveLength(1);
  });

  it('tells no more than may be told', () => {
    const guarded = words(page({}, { ...TOLD, place: 'left out', names: false, notes: false }));
    expect(guarded).toContain('h1: An outing');
    expect(guarded).toContain('h2: run 1');
    expect(guarded).toContain('td: 2 casts, 12.0 m of line');
    expect(guarded.filter((w) => /Cold|First|Flow runs|Pool/.test(w))).toEqual([]);
  });

  it('says “about” of what was remembered, and no hours that nobody knows', () => {
    expect(words(page({ events: byHand }))).toEqual([
      ...['title: Monday, 4 May 2026', 'h1: The <brook>', 'p: Monday, 4 May 2026, hours not known'],
      ...['p: About 80 casts, 1 take, 0 landed.', 'p: First / day', 'p: about 80 casts, by hand · 1 take · 0 landed'],
      ...['p: Written by Wanderung. Depths, places and casts are estimates.', 'h2: Weir', 'h2: Hour by hour'],
      ...['td: –', 'td: About 80 casts, by hand', 'td: –', 'td: Take: lost, dangle'],
    ]);
    const calendar = (of: readonly LogEvent[]) => outingsCalendar(veil([outing({ events: of })], TOLD, 'metric', 'f'));
    expect(calendar(byHand)).toContain('SUMMARY:Fishing: about 80 casts\\, 1 take\\, 0 landed');
    expect(calendar(events)).toContain('SUMMARY:Fishing: 2 casts\\, 1 take\\, 1 landed');
  });

  it('of several days has their number for a title', () => {
    const two = outingsPage(veil([outing(), outing()], TOLD, 'metric', 'f'), 'metric');
    expect(words(two)[0]).toBe('title: 2 outings');
  });
});

describe('the map of a stay', () => {
  const mapOf = (bank: 'left' | 'right') => {
    const doc = documentOf(page({ runs: new Map([['run', { ...RUN, bank }]]) }));
    const [svg] = [...doc.getElementsByTagName('svg')];
    const [, , width, height] = svg!.getAttribute('viewBox')!.split(' ').map(Number) as [
      number,
      number,
      number,
      number,
    ];
    const paths = [...doc.getElementsByTagName('path')].map((p) => p.getAttribute('d')!);
    const ways = paths.at(-1)!.split('M').slice(1);
    const points = ways.map((w) => w.split('L').map((xy) => xy.split(' ').map(Number) as [number, number]));
    const dots = [...doc.getElementsByTagName('circle')].map((c) => ['cx', 'cy'].map((k) => Number(c.getAttribute(k))));
    return { width, height, points, dots, scale: height / RUN.lengthM };
  };

  it('has the flow down the page: metres down the run are the same everywhere, the described bank at its side', () => {
    const { width, points, scale } = mapOf('left');
    const [, swung] = points;
    expect(swung!.map(([, y]) => y / scale)).toEqual([expect.closeTo(23.3, 1), expect.closeTo(30.1, 1)]);
    // The left bank is to the right of who looks down the page with the flow … of the sheet: nearer to it lies further right.
    expect((swung![1]![0] - swung![0]![0]) / scale).toBeCloseTo(9.1 - 8.4, 1);
    const mirrored = mapOf('right').points[1]!;
    expect(mirrored.map(([x]) => width - x)).toEqual(swung!.map(([x]) => expect.closeTo(x, 0)));
  });

  it('draws a cast that nothing is known of round the angler, from where the line lay to straight below', () => {
    const { width, points, scale } = mapOf('left');
    const [round] = points;
    expect(round).toHaveLength(9);
    const channel = buildChannel(RUN, null);
    const mid = (Math.min(...channel.edgeNear) - 2 + Math.max(...channel.edgeFar) + 2) / 2;
    const metres = round!.map(([x, y]) => [y / scale - plan.xM, mid - (x - width / 2) / scale - plan.yM] as const);
    for (const [dx, dy] of metres) expect(Math.hypot(dx, dy)).toBeCloseTo(plan.outM, 1);
    const degrees = metres.map(([dx, dy]) => (Math.atan2(dy, dx) * 180) / Math.PI);
    expect(degrees[0]).toBeCloseTo(60, 0);
    expect(degrees.at(-1)).toBeCloseTo(0, 0);
  });

  it('marks takes where on their swing they came, and no juveniles', () => {
    const { points, dots } = mapOf('left');
    expect(dots).toHaveLength(1);
    const end = points[1]!.at(-1)!;
    expect(dots[0]).toEqual(end.map((v) => expect.closeTo(v, 0)));
  });
});

describe('entries as rows', () => {
  const rowsOf = () => {
    const [header, ...rows] = eventsCsv(veil([outing()], TOLD, 'metric', 'f'))
      .slice(1)
      .trimEnd()
      .split('\r\n');
    const names = header!.split(',');
    return rows.map((row) => Object.fromEntries(row.split(',').map((cell, c) => [names[c], cell])));
  };

  it('spell out rig and conditions with each, in SI', () => {
    const rows = rowsOf();
    expect(rows[4]).toMatchObject({
      ...{
        kind: 'cast',
        water: 'The <brook>',
        run: 'Pool <A>',
        x_m: '20',
        y_m: '6',
        rod: RIG.rod.name,
        head: RIG.head.name,
      },
      ...{ tip: '10 ft fast', leader: '4 ft', fly: 'black strip', fly_family: 'rabbit strip', fly_colour: 'black' },
      ...{ fly_length_m: '0.06', dropper: '', float: '', shot_kg: '', level_m: '0.2', visibility_m: '0.8' },
      ...{ water_colour: 'green', surface_speed_m_s: '', water_temp_c: '11', sky: 'broken' },
      ...{ line_out_m: '12', cast_angle_deg: '60', mend_m: '0', way: 'swing', take: '', minutes: '' },
    });
    expect(rows[5]).toMatchObject({
      ...{ kind: 'take', take: 'landed', take_where: 'dangle', take_sign: 'felt', juvenile: 'false' },
      ...{ fish_species: 'sea trout', fish_length_m: '0.45', line_out_m: '', cast_angle_deg: '' },
    });
    expect(rows[0]).toMatchObject({ kind: 'run start', level_m: '', time_utc: new Date(START).toISOString() });
  });
});
