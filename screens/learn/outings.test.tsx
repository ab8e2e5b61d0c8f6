import { EMPTY_TALLY, type Visit } from '@/core/logbook';
import type { RowValues } from '@/formats/sheet/terms';
import { ALL_OUTINGS, type OutingRow, tallyText, wanted } from './outings';
import { rowText } from './SheetRows';
import { emptyStay, rememberedStay } from './StayFields';
import { atClock, clock, nearestClock } from '../shared/time';

const visit = (runName: string): Visit => ({
  ...{ runId: null, runName, fromAt: 0, toAt: 1, casts: 0, byHand: 0, takes: 0, landed: 0 },
  ...{ levelM: null, visibilityM: null, timed: true },
});
const row = (id: string, year: number, waterId: string, runs: string[], notes: string[]): OutingRow => ({
  outing: { id, waterId, startedAt: new Date(year, 5, 1).getTime(), endedAt: null, notes: notes[0] ?? '' },
  water: `the ${waterId}`,
  log: {
    tally: EMPTY_TALLY,
    exposures: [],
    fish: [],
    visits: runs.map(visit),
    spots: [],
    passings: [],
    notes: notes.slice(1),
  },
});
const rows = [
  row('a', 2024, 'upper', ['Weir'], ['Cold, north wind', 'sea trout, coloured']),
  row('b', 2025, 'upper', ['Weir', 'Bridge'], ['Warm']),
  row('c', 2025, 'lower', ['Weir'], []),
];
const ids = (f: Partial<typeof ALL_OUTINGS>) => wanted(rows, { ...ALL_OUTINGS, ...f }).map((r) => r.outing.id);

describe('outings one looks for', () => {
  it('by year, water and run', () => {
    expect(ids({})).toEqual(['a', 'b', 'c']);
    expect(ids({ year: 2025 })).toEqual(['b', 'c']);
    expect(ids({ waterId: 'upper', run: 'Bridge' })).toEqual(['b']);
    expect(ids({ year: 2024, waterId: 'lower' })).toEqual([]);
  });

  it('by words in notes, fish, runs and waters: each must stand somewhere', () => {
    expect(ids({ words: 'WIND' })).toEqual(['a']);
    expect(ids({ words: 'trout weir' })).toEqual(['a']);
    expect(ids({ words: 'lower weir' })).toEqual(['c']);
    expect(ids({ words: 'bridge cold' })).toEqual([]);
    expect(ids({ words: '  ' })).toEqual(['a', 'b', 'c']);
  });

  it('say what they came to, and what of it is a guess', () => {
    const say = (t: object) => tallyText({ tally: { ...EMPTY_TALLY, ...t } });
    expect(say({ casts: 143, takes: 3, landed: 1 })).toBe('143 casts, 3 takes, 1 landed');
    expect(say({ casts: 1, takes: 1 })).toBe('1 cast, 1 take');
    expect(say({ casts: 120, byHand: 120 })).toBe('about 120 casts, 0 takes');
    expect(say({ minutes: 200, takes: 2 })).toBe('3.5 h, 2 takes');
    expect(say({})).toBe('casts not known, 0 takes');
  });
});

describe('times of day', () => {
  const day = new Date(2026, 4, 4, 15).getTime();
  it.each([
    ['7:05', '07:05'],
    ['07.30', '07:30'],
    ['23:59', '23:59'],
  ])('%s', (text, said) => {
    const at = atClock(day, text)!;
    expect(clock(at)).toBe(said);
    expect(new Date(at).getDate()).toBe(4);
  });
  it.each([
    ['23:50', '00:10', 20],
    ['00:10', '23:50', -20],
    ['12:00', '12:30', 30],
  ])('of %s, %s is the one %s minutes away', (of, text, minutes) => {
    const from = atClock(day, of)!;
    expect((nearestClock(from, text)! - from) / 60_000).toBe(minutes);
    expect(nearestClock(from, 'late')).toBeNull();
  });
  it.each(['24:00', '7', '7:60', 'noon', ''])('%j is none', (text) => expect(atClock(day, text)).toBeNull());
});

describe('a stay by hand', () => {
  const day = new Date(2024, 4, 4).getTime();
  const draft = { ...emptyStay('k', '7:30'), to: '10:00', runName: ' Weir ', casts: 100, takes: 1 };
  const fish = { species: 'char', lengthM: 0.3 };

  it('has its hours, and no fewer takes than fish', () => {
    const stay = rememberedStay({ ...draft, fish: [fish, fish] }, day, []);
    expect(stay).toMatchObject({ runName: 'Weir', casts: 100, takes: 2, minutes: 150, fly: null });
    expect(stay!.fromAt).toBe(new Date(2024, 4, 4, 7, 30).getTime());
    expect(stay!.landed).toHaveLength(2);
  });

  it('through the night it ends on the next day', () => {
    const night = rememberedStay({ ...draft, from: '21:30', to: '1:30' }, day, [])!;
    expect(night.minutes).toBe(240);
    expect(new Date(night.toAt).getDate()).toBe(5);
  });

  it('is none before its hours are told, or where they run backwards', () => {
    expect(rememberedStay({ ...draft, to: '' }, day, [])).toBeNull();
    expect(rememberedStay({ ...draft, to: '7:00' }, day, [])).toBeNull();
    expect(rememberedStay({ ...draft, from: '14:00', to: '9:00' }, day, [])).toBeNull();
    expect(rememberedStay({ ...draft, runName: ' ' }, day, [])!.runName).toBe('somewhere');
  });
});

describe('a row of a sheet in words', () => {
  const values: RowValues = {
    ...{ dayAt: 0, water: 'W', run: 'Weir', fromMin: 450, toMin: 605, hours: null, casts: 120, takes: 4, landed: 2 },
    ...{ lost: 1, species: 'char', lengthsM: [0.3, 0.325], fly: 'zonker', colour: 'black', levelM: 0.1 },
    ...{ visibilityM: 0.8, waterTempC: 8, sky: 'overcast', notes: 'one\ntwo' },
  };
  it('says all that it says', () => {
    expect(rowText(values, 'metric')).toBe(
      'W, Weir · 7:30 to 10:05 · about 120 casts · 4 takes · 2 char of 30.0 cm, 32.5 cm · 1 lost · zonker: black · level +10 cm · visibility 0.80 m · 8.0 °C · overcast · “one; two”',
    );
  });
  it('and nothing that it does not', () => {
    const bare: RowValues = {
      ...values,
      ...{ run: '', fromMin: null, toMin: null, casts: null, takes: null, landed: null, lost: null, species: '' },
      ...{
        lengthsM: [],
        fly: '',
        colour: null,
        levelM: null,
        visibilityM: null,
        waterTempC: null,
        sky: null,
        notes: '',
      },
    };
    expect(rowText(bare, 'metric')).toBe('W · no fish');
  });
});
