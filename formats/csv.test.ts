import { parse } from 'papaparse';
import type { EventBody, LogEvent } from '@/core/logbook';
import { day, PLAN, RIG } from '@/core/testing/fixtures';
import { COLUMNS, logToCsv, rowsOf } from './csv';

const START = Date.parse('2026-05-04T08:30:00Z');
let n = 0;
const event = (body: EventBody, more: Partial<LogEvent> = {}): LogEvent =>
  ({
    ...{ id: `e${++n}`, at: START + n * 60_000, runId: 'weir', xM: 3, yM: 1.5, rig: null },
    ...body,
    ...more,
  }) as LogEvent;
const log = (...events: LogEvent[]) => ({
  ...{ waterName: 'Talluquin', outingId: 'o1', runNames: new Map([['weir', 'Weir']]) },
  events,
});
/** What an entry says of its own: the columns that a bare note at the same place has not, and those that differ. */
function own(body: EventBody): object {
  const [row, bare] = rowsOf(log(event(body), event({ kind: 'bed' })));
  const shared = ['event', 'kind', 'time_utc', ...Object.keys(bare!)];
  return Object.fromEntries(Object.entries(row!).filter(([k]) => !shared.includes(k)));
}
const hands = (way: string) => ({ way }) as never;

describe('the log as CSV', () => {
  it('says of every entry which, when and where; a run of which no name is known by its id, what has no place without', () => {
    const rows = rowsOf(
      log(
        event({ kind: 'bed' }, { id: 'a', at: START }),
        event({ kind: 'bed' }, { runId: 'far' }),
        event({ kind: 'bed' }, { runId: null, xM: null, yM: null }),
      ),
    );
    expect(rows[0]).toEqual({
      ...{ outing: 'o1', water: 'Talluquin', event: 'a', kind: 'bed', time_utc: '2026-05-04T08:30:00.000Z' },
      ...{ run: 'Weir', x_m: 3, y_m: 1.5 },
    });
    expect(rows[1]).toMatchObject({ run: 'far' });
    expect(rows[2]).toMatchObject({ run: '', x_m: '', y_m: '' });
  });

  const fish = { species: 'sea trout', lengthM: 0.45, sex: null, condition: 'silver', origin: null };
  const remembered = { levelM: 0.1, visibilityM: 0.8, waterTempC: 9, sky: 'broken' } as const;
  const nothing = { levelM: null, visibilityM: null, waterTempC: null, sky: null };
  const estimate = { kind: 'estimate', casts: 80, takes: 2, minutes: 90, timed: true, fly: null, water: null } as const;
  const take = { kind: 'take', where: null, sign: null, what: 'pluck', juvenile: false, fish: null } as const;
  const outing = { outingId: 'o2', waterId: 'w', startedAt: 0, endedAt: null, notes: '' };

  it.each<[string, EventBody, object]>([
    ['a cast', { kind: 'cast', plan: PLAN }, { line_out_m: 12, cast_angle_deg: 60, mend_m: 0, way: 'swing' }],
    ['a step', { kind: 'step', byM: 2 }, { step_m: 2 }],
    ['going on', { kind: 'go', how: 'fan', lie: null }, { text: 'fan' }],
    ['going on to a lie', { kind: 'go', how: 'skip', lie: 3 }, { text: 'skip 3' }],
    ['another way', { kind: 'way', hands: hands('upstream strip') }, { way: 'upstream strip' }],
    ['the planned way again', { kind: 'way', hands: null }, { way: 'as planned' }],
    ['a trial of a fly', { kind: 'trial', flyId: 'f2', hands: null, block: 10 }, { text: 'f2', way: '' }],
    [
      'of a way',
      { kind: 'trial', flyId: null, hands: hands('timed rise'), block: 10 },
      { text: '', way: 'timed rise' },
    ],
    ['a rest', { kind: 'rest', minutes: 5 }, { minutes: 5 }],
    ['a note', { kind: 'note', text: 'kingfisher' }, { text: 'kingfisher' }],
    [
      'a take of which little is known',
      take,
      {
        ...{ take: 'pluck', take_where: '', take_sign: '', juvenile: false, fish_species: '', fish_length_m: '' },
        ...{ fly_place: '', text: '' },
      },
    ],
    [
      'a fish',
      { ...take, what: 'landed', where: 'dangle', sign: 'felt', juvenile: true, place: 1, fish: fish as never },
      {
        ...{ take: 'landed', take_where: 'dangle', take_sign: 'felt', juvenile: true, fish_species: 'sea trout' },
        ...{ fish_length_m: 0.45, fly_place: 1, text: 'silver' },
      },
    ],
    ['what is remembered', estimate, { casts: 80, takes: 2, minutes: 90 }],
    ['hardly', { ...estimate, casts: null, minutes: null }, { casts: '', takes: 2, minutes: '' }],
    [
      'with fly and water',
      { ...estimate, fly: { name: 'tube', colour: 'black', family: 'tube' as never }, water: remembered },
      {
        ...{ casts: 80, takes: 2, minutes: 90, fly: 'tube', fly_colour: 'black', fly_family: 'tube' },
        ...{ level_m: 0.1, visibility_m: 0.8, water_temp_c: 9, sky: 'broken' },
      },
    ],
    [
      'with a fly by its name alone',
      { ...estimate, fly: { name: 'tube', colour: null, family: null }, water: nothing },
      {
        ...{ casts: 80, takes: 2, minutes: 90, fly: 'tube', fly_colour: '', fly_family: '' },
        ...{ level_m: '', visibility_m: '', water_temp_c: '', sky: '' },
      },
    ],
    ['taken back', { kind: 'undo', undoes: 'e7' }, { undoes: 'e7' }],
    [
      'entered again',
      { kind: 'amend', to: event({ kind: 'rest', minutes: 7 }, { id: 'e8' }) as never },
      { text: 'rest', minutes: 7, undoes: 'e8' },
    ],
    ['moved away', { kind: 'split', ids: ['a', 'b'], outing }, { text: '2 entries, o2' }],
    ['joined', { kind: 'join', ids: ['a'], outing }, { text: '1 entries, o2' }],
  ])('%s', (_, body, says) => expect(own(body)).toEqual(says));

  it('spells out the rig and the water in force', () => {
    const bare = { ...RIG, tip: null };
    const full: typeof RIG = {
      ...RIG,
      droppers: ['teal', 'dun'].map((name) => ({ fly: { ...RIG.fly, name } })) as never,
      float: { item: { name: 'cork' } } as never,
      shot: { massKg: 0.0005 } as never,
    };
    const rows = rowsOf(
      log(
        event({ kind: 'rig', set: bare }, { rig: 'a' }),
        event({ kind: 'rig', set: full }, { rig: 'b' }),
        event({ kind: 'bed' }, { rig: 'a' }),
        event({ kind: 'reading', reading: day({ levelM: 0.2, waterTempC: null }) }, { rig: 'b' }),
        event({ kind: 'reading', reading: day({ speed: { surfaceMps: 0.7, xM: 1, yM: 1 } }) }, { rig: 'unheard of' }),
        event({ kind: 'bed' }),
      ),
    );
    const none = { tip: '', tip_sink_rate_m_s: '', dropper: '', float: '', shot_kg: '' };
    const tied = { ...{ rod: 'two-hander', head: 'short head', leader: '4 ft', fly: 'black strip' } };
    const strip = { fly_family: 'rabbit strip', fly_colour: 'black', fly_length_m: 0.06 };
    expect(rows[2]).toMatchObject({ ...tied, ...strip, ...none });
    expect(rows[2]).not.toHaveProperty('level_m');
    expect(rows[3]).toMatchObject({
      ...{ tip: '10 ft fast', tip_sink_rate_m_s: 0.127, dropper: 'teal + dun', float: 'cork', shot_kg: 0.0005 },
      ...{ level_m: 0.2, visibility_m: 1.2, water_colour: 'green', surface_speed_m_s: '', water_temp_c: '' },
    });
    expect(rows[4]).not.toHaveProperty('rod');
    expect(rows[5]).toMatchObject({ surface_speed_m_s: 0.7, water_temp_c: 11, sky: 'broken' });
    expect(rows[5]).not.toHaveProperty('rod');
  });

  it('is one table of all outings, a row an entry, read by papaparse (RFC 4180)', () => {
    const words = event({ kind: 'note', text: '=1+1, “so”\nit was' });
    const text = logToCsv([log(words), log(event({ kind: 'bed' }), event({ kind: 'run end' }))]);
    const { data, errors, meta } = parse<Record<string, string>>(text.slice(1), { header: true });
    expect([text.codePointAt(0), errors, meta.fields, data.length]).toEqual([0xfeff, [], [...COLUMNS], 3]);
    expect(data[0]!.text).toBe('’=1+1, “so”\nit was'.replace('’', "'"));
  });
});
