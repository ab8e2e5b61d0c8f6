import { check } from '@placemarkio/check-geojson';
import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import ICAL from 'ical.js';
import { parse } from 'papaparse';
import type { EventBody, LogEvent } from '@/core/logbook';
import { day, PLAN, RIG, RUN } from '@/core/testing/fixtures';
import { COLUMNS } from './csv';
import { outingsCalendar } from './shareCalendar';
import { eventsCsv, fishCsv, outingsJson } from './shareCsv';
import { sharedFile } from './share';
import { SHARE_FORMATS, type ShareFormat } from './shareFormats';
import { outingsGeoJSON, outingsGPX } from './shareGeo';
import { outingsPage } from './sharePage';
import { GUARDED, type Privacy } from './privacy';
import { hintsOf, type SharedOuting, veil } from './veil';

/** Words that stand nowhere else, so that one finds them wherever they slipped. */
const WATER = 'Zwaterfall';
const RUN_NAME = 'Zpoolname';
const NOTE = 'Znotetext';
const CONDITION = 'Zcondition';
/** Names of tackle that hold the water’s and a person’s. */
const HINT = 'Zwaterfall special';
const SOMEBODYS = 'Zanna’s olive';
const LAT = 57.654321;
const LON = -4.123456;
const RUN_ID = 'zrunid';
const run = { ...RUN, id: RUN_ID, name: RUN_NAME, origin: { latDeg: LAT, lonDeg: LON } };
const START = Date.parse('2026-05-04T08:30:00Z');
const place = { xM: 23.375, yM: 7.625 };
let n = 0;
const at = (minutes: number, body: EventBody): LogEvent =>
  ({ id: `zid-${++n}`, at: START + minutes * 60_000, runId: RUN_ID, ...place, rig: 'k', ...body }) as LogEvent;
const take = (minutes: number, what: 'landed' | 'pluck', juvenile = false): LogEvent =>
  at(minutes, {
    ...{ kind: 'take', where: 'dangle', sign: 'felt', what, juvenile },
    fish:
      what === 'landed'
        ? { species: 'sea trout', lengthM: 0.45, sex: 'female', condition: CONDITION, origin: 'wild' }
        : null,
  });
const plan = { ...PLAN, ...place };
const did = { v: 1, s: 20, flies: [[233, 91, 301, 84, 20, 60, 30, 55]], lies: [1], touches: 0 } as const;
const undone = at(9, { kind: 'note', text: 'Ztaken back' });
const events = [
  at(0, { kind: 'run start', runName: RUN_NAME }),
  at(0, { kind: 'rig', set: { ...RIG, rod: { ...RIG.rod, name: HINT }, fly: { ...RIG.fly, name: SOMEBODYS } } }),
  at(0, { kind: 'reading', reading: day({ levelM: 0.2, speed: { surfaceMps: 0.9, xM: 23.375, yM: 7.625 } }) }),
  at(1, { kind: 'cast', plan, did }),
  at(2, { kind: 'cast', plan }),
  take(3, 'landed'),
  at(4, { kind: 'cast', plan, did }),
  take(5, 'pluck'),
  take(6, 'pluck', true),
  at(7, { kind: 'note', text: NOTE }),
  at(8, { kind: 'trial', flyId: 'zflyid', hands: null, block: 1 } as EventBody),
  undone,
  at(10, { kind: 'undo', undoes: undone.id }),
  at(60, { kind: 'run end' }),
];
const outing = (i: number): SharedOuting => ({
  outing: {
    outingId: `zouting-${i}`,
    waterId: 'zwater',
    startedAt: START + i * 86_400_000,
    endedAt: START + i * 86_400_000 + 3_600_000,
    notes: `${NOTE}, “quoted” & <b>bold</b>`,
  },
  water: { name: WATER, place: { latDeg: LAT, lonDeg: LON } },
  runs: new Map([[RUN_ID, run]]),
  events: events.map((e) => ({ ...e, at: e.at + i * 86_400_000 })),
});
const all = [outing(0), outing(1), outing(2)];
const TOLD: Privacy = { place: 'told', names: true, notes: true, times: 'to the minute', hints: true };

/** What of a secret stands in a text; the text itself would be pages of output. */
const found = (text: string, secret: string | RegExp): string | null =>
  typeof secret === 'string' ? (text.includes(secret) ? secret : null) : (secret.exec(text)?.[0] ?? null);

const WRITERS = {
  'events as CSV': eventsCsv,
  'fish as CSV': fishCsv,
  GeoJSON: outingsGeoJSON,
  GPX: outingsGPX,
  iCalendar: outingsCalendar,
  JSON: outingsJson,
  'a page': (v: ReturnType<typeof veil>) => outingsPage(v, 'metric'),
} as const;

describe('what is told of places, names and notes', () => {
  /** Numbers that give the place away: of the water, of the run’s corners, of stands and swings, in any digits. */
  const PLACES = [
    /57[.,]6/,
    /4[.,]12/,
    /23[.,]375/,
    /7[.,]625/,
    /(lat|lon)[^\d"]*"?[:,>= ]*"?-?\d/i,
    /POINT|coordinates"?:\s*\[/,
  ];
  const NAMES = [WATER, RUN_NAME, RUN_ID, 'zouting', 'zwater', 'zid-', 'zflyid', HINT, SOMEBODYS];
  const NOTES = [NOTE, CONDITION, 'Ztaken back'];
  const kinds = Object.keys(WRITERS).filter((k) => k !== 'GPX') as (keyof typeof WRITERS)[];

  it.each(kinds)('%s: by default nothing of it, anywhere in the file', (kind) => {
    const text = WRITERS[kind](veil(all, GUARDED, 'metric', 'f'));
    for (const secret of PLACES) expect(found(text, secret)).toBeNull();
    for (const secret of [...NAMES, ...NOTES]) expect(found(text, secret)).toBeNull();
    expect(found(text, /08:3\d|T083|09:3\d/)).toBeNull(); // no minute
    expect(text.length).toBeGreaterThan(200);
  });

  it.each(kinds)('%s: blurred, the water to some ten kilometres and no more', (kind) => {
    const text = WRITERS[kind](veil(all, { ...GUARDED, place: 'blurred' }, 'metric', 'f'));
    expect(text).not.toMatch(/57\.6\d*[1-9]\d*4321|23[.,]375|7[.,]625/);
    for (const m of text.matchAll(/57\.(\d+)/g)) expect(m[1]!.replace(/0+$/, '')).toBe('7');
    for (const m of text.matchAll(/-4\.(\d+)/g)) expect(m[1]!.replace(/0+$/, '')).toBe('1');
  });

  it.each(Object.keys(WRITERS) as (keyof typeof WRITERS)[])('%s: all of it where that is chosen', (kind) => {
    const text = WRITERS[kind](veil(all, TOLD, 'metric', 'f'));
    if (kind !== 'a page') expect(text).toMatch(/57\.65/);
    expect(text).toContain(RUN_NAME);
    if (!['fish as CSV', 'GPX', 'GeoJSON'].includes(kind)) expect(text).toContain(NOTE);
    expect(text).not.toContain('Ztaken back');
  });

  it.each(kinds)('%s: each of the three is chosen by itself', (kind) => {
    const text = WRITERS[kind](veil(all, { ...TOLD, names: false, hints: false }, 'metric', 'f'));
    if (kind !== 'a page') for (const secret of NAMES) expect(found(text, secret)).toBeNull();
    const quiet = WRITERS[kind](veil(all, { ...TOLD, notes: false }, 'metric', 'f'));
    for (const secret of NOTES) expect(found(quiet, secret)).toBeNull();
  });

  it('a map that names no one is drawn only where the place is told', () => {
    expect(outingsPage(veil(all, GUARDED, 'metric', 'f'), 'metric')).not.toContain('<svg');
    const page = outingsPage(veil(all, { ...TOLD, names: false, hints: false }, 'metric', 'f'), 'metric');
    expect(page).toContain('<svg');
    for (const secret of NAMES) expect(found(page, secret)).toBeNull();
  });

  it('GPX is refused without places, and says what to do', () => {
    expect(() => outingsGPX(veil(all, GUARDED, 'metric', 'f'))).toThrow(/needs places: choose to blur/);
  });
});

/** Features of a file that check-geojson finds valid. */
const features = (text: string) => (check(text) as GeoJSON.FeatureCollection).features;

describe('files that other programs open', () => {
  const told = veil(all, TOLD, 'metric', 'f');

  it('GeoJSON is valid by check-geojson (RFC 7946), with every run and take', () => {
    const shapes = features(outingsGeoJSON(told));
    expect(shapes.map((f) => f.geometry?.type)).toEqual(all.flatMap(() => ['Polygon', 'Point', 'Point', 'Point']));
    expect(shapes[1]!.properties).toMatchObject({ what: 'landed', species: 'sea trout', lengthM: 0.45 });
    const unlocated = features(outingsGeoJSON(veil(all, GUARDED, 'metric', 'f')));
    expect(unlocated).toHaveLength(12);
    expect(unlocated.every((f) => f.geometry === null)).toBe(true);
  });

  it('a take stands where on its swing it came: the dangle of a cast, as the engine said', () => {
    const [, landed, pluck] = features(outingsGeoJSON(told));
    const coordinates = (f: typeof landed) => (f!.geometry as { coordinates: number[] }).coordinates;
    const metres = (f: typeof landed) => [
      (coordinates(f)[0]! - LON) * 111_320 * Math.cos((LAT * Math.PI) / 180),
      (coordinates(f)[1]! - LAT) * 111_320,
    ];
    // The first came on a cast that nothing is known of: where the angler stood. The other at the end of the swing.
    expect(Math.hypot(...metres(landed))).toBeCloseTo(Math.hypot(23.375, 7.625), 0);
    expect(Math.hypot(...metres(pluck))).toBeCloseTo(Math.hypot(30.1, 8.4), 0);
  });

  it('GPX 1.1 is read by togeojson: a waypoint for every run and take, with its time', () => {
    const { features } = gpx(new DOMParser().parseFromString(outingsGPX(told), 'text/xml') as unknown as Document);
    expect(features).toHaveLength(12);
    expect(features.map((f) => f.properties!.name).slice(0, 4)).toEqual([RUN_NAME, 'landed', 'pluck', 'juvenile']);
    expect(features[1]!.properties).toMatchObject({
      desc: 'sea trout, 45 cm, dangle',
      time: '2026-05-04T08:33:00.000Z',
    });
  });

  it('iCalendar is read by ical.js (RFC 5545): an entry for each outing, at its time', () => {
    const calendar = new ICAL.Component(ICAL.parse(outingsCalendar(told)) as string);
    const entries = calendar.getAllSubcomponents('vevent').map((c) => new ICAL.Event(c));
    expect(entries).toHaveLength(3);
    expect(entries[0]!.startDate.toJSDate().getTime()).toBe(START);
    expect(entries[0]!.endDate.toJSDate().getTime()).toBe(START + 3_600_000);
    expect(entries[0]!.summary).toBe('Fishing: 3 casts, 2 takes, 1 landed');
    expect(entries[0]!.location).toBe(WATER);
    expect(entries[0]!.description).toContain('“quoted” & <b>bold</b>');
    expect(new Set(entries.map((e) => e.uid)).size).toBe(3);
    const quiet = new ICAL.Component(ICAL.parse(outingsCalendar(veil(all, GUARDED, 'metric', 'f'))) as string);
    const [only] = quiet.getAllSubcomponents('vevent');
    expect(['location', 'geo'].map((p) => only!.getFirstPropertyValue(p))).toEqual([null, null]);
  });

  it('both CSV are read by papaparse (RFC 4180): every entry that stands, every fish', () => {
    const rows = (text: string) => parse<Record<string, string>>(text.slice(1), { header: true, skipEmptyLines: true });
    const log = rows(eventsCsv(told));
    expect(log.errors).toEqual([]);
    expect(log.data).toHaveLength(3 * (events.length - 2));
    expect(log.data[3]).toMatchObject({
      kind: 'cast',
      run: RUN_NAME,
      x_m: '23.375',
      fly: SOMEBODYS,
      level_m: '0.2',
      tip_sink_rate_m_s: String(RIG.tip!.sinkRateMps),
    });
    const bare = at(0, { kind: 'rig', set: { ...RIG, tip: null } });
    const tipless = { ...outing(0), events: events.map((e) => (e.kind === 'rig' ? bare : e)) };
    expect(rows(eventsCsv(veil([tipless], TOLD, 'metric', 'f'))).data[3]).toMatchObject({
      tip: '',
      tip_sink_rate_m_s: '',
    });
    const fish = rows(fishCsv(told));
    expect(fish.errors).toEqual([]);
    expect(fish.data).toHaveLength(3);
    expect(fish.data[0]).toMatchObject({
      species: 'sea trout',
      length_m: '0.45',
      hook: RIG.fly.hook,
      condition: CONDITION,
    });
    expect([Number(fish.data[0]!.lat_deg), Number(fish.data[0]!.lon_deg)]).toEqual([
      expect.closeTo(LAT, 2),
      expect.closeTo(LON, 2),
    ]);
    expect(log.meta.fields).toEqual([...COLUMNS.filter((c) => c !== 'event' && c !== 'undoes'), 'lat_deg', 'lon_deg']);
    const quiet = rows(eventsCsv(veil(all, GUARDED, 'metric', 'f')));
    expect(quiet.meta.fields).not.toEqual(expect.arrayContaining(['x_m']));
    expect(quiet.data).toHaveLength(3 * (events.length - 2));
  });

  it('names of tackle that give the place or a person away are found; what is told is no secret', () => {
    expect(hintsOf(all[0]!, { names: false })).toEqual([SOMEBODYS, HINT]);
    expect(hintsOf(all[0]!, { names: true })).toEqual([SOMEBODYS]);
    const csv = eventsCsv(veil(all, GUARDED, 'metric', 'f'));
    expect(csv).toContain('a rod,');
    expect(csv).toContain(RIG.head.name);
  });

  it('outings are told apart by nothing that could be guessed from their day and water', () => {
    const uids = (file: string) => veil(all, GUARDED, 'metric', file).outings.map((o) => o.uid);
    expect(uids('one')).toEqual(['one-1', 'one-2', 'one-3']);
    expect(uids('two')).not.toEqual(uids('one'));
  });

  it('JSON holds the same counts', () => {
    const file = JSON.parse(outingsJson(told)) as {
      outings: { tally: { casts: number }; entries: unknown[]; fish: unknown[] }[];
    };
    expect(file.outings.map((o) => [o.tally.casts, o.entries.length, o.fish.length])).toEqual(
      Array(3).fill([3, 12, 1]),
    );
  });

  it('the page is whole in itself: it escapes what people wrote, and asks for nothing from anywhere', () => {
    const page = outingsPage(told, 'metric');
    expect(page).toContain('“quoted” &amp; &lt;b&gt;bold&lt;/b&gt;');
    expect(page).not.toMatch(/<(script|img|link|iframe)|url\(|https?:/i);
    expect(page).toContain("default-src 'none'");
    const doc = new DOMParser().parseFromString(
      page
        .replace('<!doctype html>', '')
        .replace(/<meta[^>]*>/g, '')
        .replaceAll('<br>', ''),
      'text/xml',
    );
    expect(doc.getElementsByTagName('svg')).toHaveLength(3);
    expect(doc.getElementsByTagName('circle')).toHaveLength(3 * 2);
    expect(doc.getElementsByTagName('tr').length).toBeGreaterThan(3 * 5);
  });

  it('runs that are not named are numbered, the same run by the same number', () => {
    const elsewhere = (minutes: number, body: EventBody, runId: string) => ({ ...at(minutes, body), runId });
    const two = {
      ...outing(0),
      events: [
        ...events,
        elsewhere(61, { kind: 'run start', runName: 'Another' }, 'another'),
        elsewhere(62, { kind: 'cast', plan }, 'another'),
        elsewhere(63, { kind: 'run end' }, 'another'),
        at(64, { kind: 'run start', runName: RUN_NAME }),
        at(65, { kind: 'cast', plan }),
      ],
    };
    const runs = (privacy: Privacy) => veil([two], privacy, 'metric', 'f').outings[0]!.visits.map((v) => v.run);
    expect(runs(GUARDED)).toEqual(['run 1', 'run 2', 'run 1']);
    expect(runs(TOLD)).toEqual([RUN_NAME, 'Another', RUN_NAME]);
  });

  it('an outing that ended as it began takes a minute of the calendar', () => {
    const brief = { ...outing(0), outing: { ...outing(0).outing, endedAt: START } };
    const calendar = new ICAL.Component(
      ICAL.parse(outingsCalendar(veil([{ ...brief, events: [] }], TOLD, 'metric', 'f'))) as string,
    );
    const [only] = calendar.getAllSubcomponents('vevent').map((c) => new ICAL.Event(c));
    expect(only!.endDate.toJSDate().getTime() - only!.startDate.toJSDate().getTime()).toBe(60_000);
  });

  it('a take of a day that was written down afterwards has its day, and no hour', () => {
    const byHand = [
      at(0, { kind: 'run start', runName: RUN_NAME }),
      at(1, { kind: 'estimate', casts: 80, takes: 0, minutes: 60, timed: false, fly: null, water: null }),
      take(2, 'landed'),
      at(60, { kind: 'run end' }),
    ];
    const whole = outingsGeoJSON(veil([{ ...outing(0), events: byHand }], TOLD, 'metric', 'f'));
    expect(features(whole).flatMap((f) => f.properties!.time ?? [])).toEqual(['2026-05-04']);
  });

  it('of one run only, what happened on it', () => {
    const other = at(70, { kind: 'cast', plan }) as LogEvent;
    const two = {
      ...outing(0),
      events: [...events, { ...other, runId: 'another' }, { ...take(71, 'landed'), runId: 'another' }],
    };
    const one = veil([two], TOLD, 'metric', 'f', RUN_ID).outings[0]!;
    expect([one.tally.casts, one.fish.length, one.takes.length]).toEqual([3, 1, 3]);
    expect(one.rows.every((r) => r.run === RUN_NAME)).toBe(true);
    expect(veil([two], TOLD, 'metric', 'f').outings[0]!.tally.casts).toBe(4);
  });
});

describe('the file that is shared', () => {
  const nameOf = (outings: SharedOuting[], format: ShareFormat = 'json') =>
    sharedFile(veil(outings, TOLD, 'metric', 'f'), format, 'metric').name;

  it('is called by its days, and no more', () => {
    expect(nameOf([outing(0)])).toBe('wanderung-outing-2026-05-04.json');
    expect(nameOf([outing(2), outing(0), outing(1)])).toBe('wanderung-outings-2026-05-04-to-2026-05-06.json');
    expect(nameOf([outing(0), outing(0)])).toBe('wanderung-outings-2026-05-04.json');
    expect(nameOf([])).toBe('wanderung-outings-none.json');
  });

  it.each(Object.keys(SHARE_FORMATS) as ShareFormat[])(
    '%s: has its ending, its type, and begins as such a file does',
    (format) => {
      const { name, type, text } = sharedFile(veil(all, TOLD, 'metric', 'f'), format, 'metric');
      const { ending, type: expected } = SHARE_FORMATS[format];
      expect([name.endsWith(`.${ending}`), type]).toEqual([true, expected]);
      const begins = {
        html: '<!doctype html>',
        csv: '\ufeff',
        'fish.csv': '\ufeff',
        ics: 'BEGIN:VCALENDAR',
        gpx: '<?xml',
      };
      expect(text.startsWith(begins[ending as keyof typeof begins] ?? '{')).toBe(true);
    },
  );
});
