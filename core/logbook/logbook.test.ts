import fc from 'fast-check';
import { PLAN } from '@/core/testing/fixtures';
import { parse } from 'papaparse';
import { logToCsv } from '@/formats/csv';
import { type FlyItem, level, type Rig } from '../tackle';
import type { Reading } from '../water';
import type { LogEvent } from './events';
import { addTallies, EMPTY_TALLY, fold } from './fold';
import { standing } from './standing';
import { eventText } from '@/words/log';

const fly = (colour: FlyItem['colour']): FlyItem => ({
  type: 'fly',
  id: colour,
  name: `${colour} "strip", 6 cm`,
  family: 'rabbit strip',
  colour,
  lengthM: 0.06,
  hook: '4',
  weight: 'none',
  barbless: true,
});
const rig = (colour: FlyItem['colour']): Rig => ({
  rod: { type: 'rod', id: 'r', name: 'rod', lengthM: 3.3, hands: 2, lineNumber: 7 },
  head: { type: 'head', id: 'h', name: 'head', shape: 'short', lengthM: 7, massKg: 0.03, sinkRatesMps: [0] },
  tip: { type: 'tip', id: 't', name: '10 ft', lengthM: 3.05, sinkRateMps: 0.18 },
  leader: { type: 'leader', id: 'l', name: '4 ft', pieces: level(1.2, 2.5e-4, 'nylon') },
  fly: fly(colour),
  droppers: [],
  lineClean: true,
});
const reading: Reading = {
  id: 'q',
  runId: 'run',
  at: 0,
  levelM: 0.12,
  visibilityM: 0.5,
  atLeast: false,
  colour: 'grey-brown',
  speed: null,
  waterTempC: 9,
  sky: 'overcast',
};
let n = 0;
type Body = LogEvent extends infer E
  ? E extends LogEvent
    ? Omit<E, 'id' | 'at' | 'runId' | 'xM' | 'yM' | 'rig'>
    : never
  : never;
const ev = (body: Body, rigKey: string | null = 'a'): LogEvent =>
  ({ id: `e${++n}`, at: n * 60_000, runId: 'run', xM: 1, yM: 2, rig: rigKey, ...body }) as LogEvent;
const cast = (rigKey = 'a') => ev({ kind: 'cast', plan: PLAN }, rigKey);
const take = (what: 'pluck' | 'roll' | 'landed', juvenile = false, rigKey = 'a') =>
  ev({ kind: 'take', where: 'mid-swing', sign: 'felt', what, juvenile, fish: null }, rigKey);

describe('a dry out of the same bag', () => {
  const onDry = { kind: 'take', where: null, sign: 'seen', juvenile: false, fish: null, on: 'Dry, hook 14' } as const;

  it('stands under no fly of the rig, in no rate, and not where it was taken on the swing; its fish is landed all the same', () => {
    const streamer = [ev({ kind: 'rig', set: rig('black') }), cast(), cast(), take('pluck')];
    const both = [...streamer, ev({ kind: 'rise' }), ev({ ...onDry, what: 'landed' }), ev({ ...onDry, what: 'pluck' })];
    const [without, with_] = [fold(streamer), fold(both)];
    expect(with_.exposures).toEqual(without.exposures);
    expect(with_.tally).toMatchObject({ casts: 2, takes: 1, onOthers: 2, rises: 1, landed: 1, hooked: 0, signs: 0 });
    expect(with_.fish.map((f) => f.fly)).toEqual([{ name: 'Dry, hook 14', hook: '', colour: null }]);
    // What is counted since a take goes on: the streamer was not taken.
    expect(with_.castsSinceTake).toBe(without.castsSinceTake);
    // A juvenile, or a fish that only followed, is that on a dry, too.
    const seen = fold([ev({ ...onDry, what: 'roll' }), ev({ ...onDry, what: 'pluck', juvenile: true })]).tally;
    expect(seen).toMatchObject({ onOthers: 0, signs: 1, juveniles: 1 });
    expect(eventText(ev({ ...onDry, what: 'pluck' }), 'metric')).toBe('Take: pluck on Dry, hook 14');
    expect(eventText(ev({ kind: 'rise' }), 'metric')).toBe('A fish rose');
    const log = { waterName: 'W', outingId: 'o', runNames: new Map<string, string>(), events: both };
    const rows = parse<Record<string, string>>(logToCsv([log]), { header: true }).data;
    expect(rows.filter((r) => r['kind'] === 'take').map((r) => [r['fly'], r['fly_colour']])).toEqual([
      ['black "strip", 6 cm', 'black'],
      ['Dry, hook 14', ''],
      ['Dry, hook 14', ''],
    ]);
  });
});

describe('fold of events against a hand count', () => {
  const undone = cast();
  const events: LogEvent[] = [
    ev({ kind: 'run start', runName: 'Test' }),
    ev({ kind: 'rig', set: rig('black') }),
    ev({ kind: 'reading', reading }),
    cast(),
    cast(),
    undone,
    ev({ kind: 'undo', undoes: undone.id }),
    ev({ kind: 'fouled' }),
    take('pluck'),
    take('landed', true),
    take('roll'),
    ev({ kind: 'rig', set: rig('olive') }, 'b'),
    cast('b'),
    ev({ kind: 'bed' }, 'b'),
    take('landed', false, 'b'),
    cast('b'),
  ];
  // Folded in each test, so that each stands by itself.
  const folded = () => fold(events);

  it('counts casts, takes and fish', () => {
    // Two casts on black less one fouled, two on olive; the undone cast never was.
    const f = folded();
    expect(f.tally).toMatchObject({
      casts: 3,
      fouled: 1,
      takes: 2,
      signs: 1,
      hooked: 1,
      landed: 1,
      juveniles: 1,
      bedTouches: 1,
    });
    expect(f.fish).toHaveLength(1);
    expect(f.castsSinceTake).toBe(1);
    expect(f.castsSinceChange).toBe(2);
    expect(f.rig?.fly.colour).toBe('olive');
  });

  it('knows of a fish on which fly and at which level it came', () => {
    const [one] = folded().fish;
    expect(one).toMatchObject({
      fly: { name: 'olive "strip", 6 cm', hook: '4', colour: 'olive' },
      levelM: 0.12,
      take: { what: 'landed' },
    });
  });

  it('counts a cast for the rig that it says it was made with, whatever was tied on meanwhile', () => {
    const back = [
      ev({ kind: 'rig', set: rig('black') }),
      ev({ kind: 'rig', set: rig('olive') }, 'b'),
      cast('a'),
      cast('b'),
    ];
    expect(fold(back).exposures.map((e) => [e.shown.colour, e.casts])).toEqual([
      ['black', 1],
      ['olive', 1],
    ]);
  });

  it('keeps evidence apart by fly and water', () => {
    const like = { family: 'rabbit strip', water: 'dirty', season: 'Dec–Feb' };
    expect(folded().exposures).toMatchObject([
      { shown: { ...like, colour: 'black' }, casts: 1, takes: 1 },
      { shown: { ...like, colour: 'olive' }, casts: 2, takes: 1 },
    ]);
  });

  it.each([
    ['2026-02-28T23:59:00Z', 'Dec–Feb'],
    ['2026-03-01T00:00:00Z', 'Mar–May'],
    ['2026-05-31T12:00:00Z', 'Mar–May'],
    ['2026-06-01T12:00:00Z', 'Jun–Aug'],
    ['2026-11-30T12:00:00Z', 'Sep–Nov'],
    ['2026-12-01T12:00:00Z', 'Dec–Feb'],
  ])('keeps it apart by the quarter of the year: %s is %s', (at, season) => {
    expect(fold([{ ...cast(), at: Date.parse(at) }]).exposures[0]!.shown.season).toBe(season);
  });

  it('a cast with two flies shows both, and a take counts for the fly that was taken', () => {
    const two: Rig = {
      ...rig('black'),
      droppers: [{ fly: fly('orange'), way: 'ring', aboveM: 0.9, armM: 0.15 }],
    };
    const took = (place?: number) => ({ ...take('pluck'), ...(place === undefined ? null : { place }) });
    const day = [
      ev({ kind: 'rig', set: two }),
      cast(),
      cast(),
      took(1),
      took(1),
      took(0),
      took(),
      cast(),
      ev({ kind: 'fouled' }),
    ];
    expect(fold(day).exposures.map((e) => [e.shown.colour, e.casts, e.takes])).toEqual([
      ['black', 2, 2],
      ['orange', 2, 2],
    ]);
    expect(fold(day).tally).toMatchObject({ casts: 2, takes: 4, fouled: 1 });
    // Two alike are one to choose between.
    const alike = [
      ev({ kind: 'rig', set: { ...two, droppers: [{ ...two.droppers[0]!, fly: fly('black') }] } }),
      cast(),
    ];
    expect(fold(alike).exposures.map((e) => [e.shown.colour, e.casts])).toEqual([['black', 1]]);
  });

  it('a day that runs into another quarter counts in both', () => {
    const late = { ...cast(), at: Date.parse('2026-02-28T23:50:00Z') };
    const later = { ...cast(), at: Date.parse('2026-03-01T00:10:00Z') };
    expect(fold([late, later]).exposures.map((e) => [e.shown.season, e.casts])).toEqual([
      ['Dec–Feb', 1],
      ['Mar–May', 1],
    ]);
  });

  it('counts what each kind of event says, and the minutes from first to last', () => {
    const day = [cast(), ev({ kind: 'hang-up' }), ev({ kind: 'fly lost' }), ev({ kind: 'bed' }), cast(), take('pluck')];
    const { tally, fish, castsSinceTake, hungSinceChange } = fold(day);
    expect(hungSinceChange).toBe(2);
    expect(fold([...day, ev({ kind: 'rig', set: rig('olive') }, 'b')]).hungSinceChange).toBe(0);
    expect(tally).toEqual({ ...EMPTY_TALLY, casts: 2, hangUps: 1, fliesLost: 1, bedTouches: 1, takes: 1, minutes: 5 });
    expect(fish).toEqual([]);
    expect(castsSinceTake).toBe(0);
    expect(fold([cast()]).tally.minutes).toBe(0);
    expect(fold([]).tally).toEqual(EMPTY_TALLY);
  });

  it.each([
    ['pluck', { takes: 1 }],
    ['thump', { takes: 1 }],
    ['stop', { takes: 1 }],
    ['follow', { signs: 1 }],
    ['roll', { signs: 1 }],
    ['hooked', { takes: 1, hooked: 1 }],
    ['lost', { takes: 1, hooked: 1 }],
    ['landed', { takes: 1, hooked: 1, landed: 1 }],
  ] as const)('a %s counts as %j, a juvenile’s as nothing but a juvenile', (what, counts) => {
    const one = (juvenile: boolean) =>
      fold([ev({ kind: 'take', where: null, sign: null, what, juvenile, fish: null })]);
    expect(one(false).tally).toEqual({ ...EMPTY_TALLY, ...counts });
    expect(one(true).tally).toEqual({ ...EMPTY_TALLY, juveniles: 1 });
    expect(one(false).fish).toHaveLength(what === 'landed' ? 1 : 0);
  });

  it('notes what was not noted: casts before any rig or reading', () => {
    expect(fold([cast()]).exposures).toEqual([
      {
        shown: { way: 'swing', hour: expect.any(String), season: 'Dec–Feb', moon: expect.any(String) },
        casts: 1,
        takes: 0,
      },
    ]);
    expect(fold([]).rig).toBeNull();
    expect(fold([]).reading).toBeNull();
  });

  it('a fouled fly takes one cast off both counts since, and none where none was made', () => {
    const f = fold([ev({ kind: 'fouled' }), cast(), cast(), ev({ kind: 'fouled' })]);
    expect(f).toMatchObject({ tally: { casts: 1, fouled: 1 }, castsSinceTake: 1, castsSinceChange: 1 });
  });

  it('takes a fouled cast off the cell it was counted in, whatever was tied on since', () => {
    const after = [
      ev({ kind: 'rig', set: rig('black') }),
      cast(),
      ev({ kind: 'rig', set: rig('olive') }, 'b'),
      cast('b'),
    ];
    const { exposures, castsSinceChange } = fold([...after, ev({ kind: 'fouled' }, 'b'), ev({ kind: 'fouled' }, 'b')]);
    expect(exposures.map((e) => [e.shown.colour, e.casts])).toEqual([
      ['black', 0],
      ['olive', 0],
    ]);
    expect(castsSinceChange).toBe(0);
  });

  it('counts every cast and take in one cell, in any order of events (property)', () => {
    const one = fc.constantFrom(
      () => cast(),
      () => take('pluck'),
      () => take('landed', true),
      () => take('roll'),
      () => ev({ kind: 'fouled' }),
      () => ev({ kind: 'rig', set: rig('olive') }, 'b'),
      () => ev({ kind: 'rig', set: rig('black') }),
      () => ev({ kind: 'reading', reading: { ...reading, visibilityM: 2 } }),
      () => ev({ kind: 'reading', reading }),
    );
    fc.assert(
      fc.property(fc.array(one, { maxLength: 60 }), fc.array(fc.nat(59), { maxLength: 8 }), (makers, undone) => {
        const made = makers.map((m) => m());
        const undos = undone.flatMap((k) => (made[k] ? [ev({ kind: 'undo', undoes: made[k].id })] : []));
        const { tally, exposures } = fold([...made, ...undos]);
        const sum = (of: 'casts' | 'takes') => exposures.reduce((a, e) => a + e[of], 0);
        expect(sum('casts')).toBe(tally.casts);
        expect(sum('takes')).toBe(tally.takes);
        expect(exposures.every((e) => e.casts >= 0)).toBe(true);
      }),
      { seed: 5, numRuns: 300 },
    );
  });

  it('can undo an undo', () => {
    const a = cast();
    const u = ev({ kind: 'undo', undoes: a.id });
    const uu = ev({ kind: 'undo', undoes: u.id });
    expect(standing([a, u])).toEqual([]);
    expect(standing([a, u, uu])).toEqual([a]);
  });

  it('adds up over outings', () => {
    const { tally } = folded();
    expect(addTallies(tally, EMPTY_TALLY)).toEqual(tally);
    expect(addTallies(tally, tally).casts).toBe(6);
  });

  it('writes CSV that another reader gets back, rig and conditions on every row (RFC 4180)', () => {
    const csv = logToCsv([{ waterName: 'A, B', outingId: 'o1', runNames: new Map([['run', 'Test']]), events }]);
    expect(csv).toContain('\r\n');
    const back = parse<Record<string, string>>(csv, { header: true });
    expect(back.errors).toEqual([]);
    expect(back.data).toHaveLength(events.length);
    const row = back.data[12]!;
    expect(row).toMatchObject({
      water: 'A, B',
      kind: 'cast',
      fly: 'olive "strip", 6 cm',
      water_colour: 'grey-brown',
      visibility_m: '0.5',
      line_out_m: '12',
      tip_sink_rate_m_s: '0.18',
    });
  });

  // What spreadsheets run: OWASP, "CSV Injection" (from memory): = + - @ tab, carriage return, line feed, full-width forms.
  it.each(['=1+1', '+1', '-1+1', '@A1', '\t=1', '\r=1', '\n=1', '＝1', '＋1', '－1', '＠A1'])(
    'does not let a note become a formula: %j',
    (text) => {
      const events = [{ ...ev({ kind: 'note', text }), yM: -3.5 }];
      const csv = logToCsv([{ waterName: 'w', outingId: 'o', runNames: new Map(), events }]);
      const row = parse<Record<string, string>>(csv, { header: true }).data[0]!;
      expect(row.text).toBe(`'${text}`);
      expect(row.y_m).toBe('-3.5'); // a number stays one
    },
  );

  it('says that it is UTF-8, and times with their zone (ISO 8601)', () => {
    const csv = logToCsv([
      { waterName: 'Süd', outingId: 'o', runNames: new Map(), events: [ev({ kind: 'note', text: 'n' })] },
    ]);
    expect([...new TextEncoder().encode(csv.slice(0, 1))]).toEqual([0xef, 0xbb, 0xbf]);
    expect(csv).toMatch(/,\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z,/);
  });
});
