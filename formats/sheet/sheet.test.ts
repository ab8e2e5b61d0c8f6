import fc from 'fast-check';
import { fold } from '@/core/logbook';
import { guessOrder, readClock, readDate, readHours } from './dates';
import { guessUnit, matchColumns, readNumber } from './fields';
import { outingsOf } from './outings';
import { colourOf, type ReadRow, readRows } from './rows';
import { cellKey } from './terms';
import { readSheet } from './table';

const NOW = new Date(2026, 5, 1).getTime();
const day = (y: number, m: number, d: number) => new Date(y, m - 1, d).getTime();
const clockOf = (at: number) => new Date(at).toTimeString().slice(0, 5);

/** Reads a sheet as the program does by itself, nothing chosen by hand. */
function read(text: string, system: 'metric' | 'imperial' = 'metric', mended = new Map<string, string>()) {
  const sheet = readSheet(text);
  const cellsOf = (i: number) => sheet.rows.map((r) => r.cells[i]!);
  const columns = matchColumns(sheet.headings, cellsOf, system, {});
  const date = columns.findIndex((c) => c.field === 'date');
  const { order } = guessOrder(cellsOf(date), system === 'metric' ? 'day first' : 'month first');
  const rows = [...readRows(sheet, { columns, order, mended, now: NOW })];
  const values = rows.flatMap((r) => r.values ?? []);
  const outings = outingsOf(values, { waterId: (n) => `id of ${n}`, runId: () => null, castsAnHour: 40 });
  return { sheet, columns, order, rows, values, outings, folds: outings.map((o) => fold(o.events)) };
}
const faultsOf = (rows: readonly ReadRow[]) => rows.flatMap((r) => r.faults.map((f) => `${r.line}: ${f.says}`));

describe('spreadsheets of five keepers with habits of their own (invented)', () => {
  it('one writes semicolons, decimal commas and the day first, in German', () => {
    const { columns, order, values, folds, rows } = read(
      [
        'Datum;Gewässer;Stelle;von;bis;Würfe;Fang;Länge (cm);Fliege;Wassertemperatur;Pegel;Bemerkungen',
        '03.04.2019;Talluquin;Stelle 3;07:30;11:15;180;1;47,5;schwarzer Zonker, black;8,5;12;"früh; Nebel"',
        '17.04.2019;Talluquin;;16:00;19:30;150;0;;orange;9,0;-5;',
      ].join('\r\n'),
    );
    expect(faultsOf(rows)).toEqual([]);
    expect(columns.map((c) => c.field)).toEqual([
      ...['date', 'water', 'run', 'from', 'to', 'casts', 'landed', 'length', 'fly', 'temperature', 'level', 'notes'],
    ]);
    expect(order).toBe('day first');
    expect(values[0]).toMatchObject({
      ...{ dayAt: day(2019, 4, 3), casts: 180, landed: 1, lengthsM: [0.475], colour: 'black', waterTempC: 8.5 },
      ...{ levelM: 0.12, notes: 'früh; Nebel', fromMin: 450, toMin: 675 },
    });
    expect(values[1]).toMatchObject({ dayAt: day(2019, 4, 17), landed: 0, colour: 'orange', levelM: -0.05, run: '' });
    expect(folds.map((f) => f.tally.landed)).toEqual([1, 0]);
    expect(folds[0]!.exposures).toMatchObject([{ shown: { colour: 'black' }, how: 'by hand', casts: 180, takes: 1 }]);
  });

  it('one counts in inches and Fahrenheit, the month first, with a title above and several fish in a cell', () => {
    const { order, values, folds, rows, outings } = read(
      [
        'My fishing log,,,,,,',
        ',,,,,,',
        'Date,River,Hours Fished,Bites,Fish Caught,Length,Water Temp',
        '4/3/2018,Merrowick,3.5,6,2,"14, 17",48',
        '4/21/2018,Merrowick,2:30,2,0,,52',
        'Total,,6,8,2,,',
      ].join('\n'),
      'imperial',
    );
    expect(order).toBe('month first');
    expect(faultsOf(rows)).toEqual(['6: “Total” is no date, month first']);
    expect(values[0]!.dayAt).toBe(day(2018, 4, 3));
    expect(values[0]!.lengthsM.map((v) => Math.round(1000 * v))).toEqual([356, 432]);
    expect(values[0]!.waterTempC).toBeCloseTo(8.89, 2);
    expect(values[1]!.hours).toBe(2.5);
    expect(folds[0]!.tally).toMatchObject({ casts: 140, byHand: 140, takes: 6, landed: 2, minutes: 210 });
    expect(clockOf(outings[0]!.outing.startedAt)).toBe('12:00');
  });

  it('one merges the cells of a day and writes a row for each fish', () => {
    const { rows, folds, outings } = read(
      [
        'Day\tPool\tSpecies\tSize\tFly used\tNotes\tMood',
        '2020-05-02\tWeir\tsea trout\t52\tpurple tube\train all day\tgood',
        '\t\tbrown trout\t31\tpurple tube\t\t',
        '\tBridge\tsea trout\t44\tblack and blue tube\tlate\t',
        '2020-05-09\tWeir\t\t\tblack\tnothing\tbad',
      ].join('\n'),
    );
    expect(faultsOf(rows)).toEqual([]);
    expect(rows.map((r) => r.asAbove)).toEqual([false, true, true, false]);
    expect(outings).toHaveLength(2);
    expect(folds.map((f) => f.tally.landed)).toEqual([3, 0]);
    expect(folds[0]!.fish.map((c) => [c.take.fish!.species, c.take.fish!.lengthM, c.fly!.colour])).toEqual([
      ['sea trout', 0.52, 'purple'],
      ['brown trout', 0.31, 'purple'],
      ['sea trout', 0.44, 'black and blue'],
    ]);
    expect(folds[0]!.visits.map((v) => [v.runName, v.landed])).toEqual([
      ['Weir', 2],
      ['Bridge', 1],
    ]);
    // Casts are not known: nothing of it counts in a rate.
    expect(folds[0]!.exposures.every((e) => e.how === 'casts not known' && e.casts === 0)).toBe(true);
    expect(outings[0]!.outing.notes).toBe('Notes: rain all day\nMood: good\nNotes: late');
  });

  it('one fills the day’s casts down beside every fish: they are counted once', () => {
    const repeated = read(
      [
        'date,water,casts,species,length',
        '12 May 2021,Quinnerel,200,sea trout,45',
        '12 May 2021,Quinnerel,200,brown trout,28',
        '12 May 2021,Quinnerel,200,sea trout,50',
      ].join('\n'),
    );
    expect(repeated.folds[0]!.tally).toMatchObject({ casts: 200, takes: 3, landed: 3 });
    // One row that counts several fish is no row of one fish, nor are casts that differ from row to row.
    const mixed = (first: string, second: string) =>
      read(`date,water,casts,caught,length\n1.5.2021,Q,${first}\n1.5.2021,Q,${second}`).folds[0]!.tally.casts;
    expect([mixed('200,1,45', '200,1,50'), mixed('200,2,45', '200,1,50'), mixed('100,1,45', '200,1,50')]).toEqual([
      ...[200, 400, 300],
    ]);
    // Where rows tell of stretches of the day, casts add up.
    const parts = read(
      ['date,water,casts,caught', '12 May 2021,Quinnerel,100,1', '12 May 2021,Quinnerel,100,0'].join('\n'),
    );
    expect(parts.folds[0]!.tally).toMatchObject({ casts: 200, landed: 1 });
  });

  it('one writes words, years of two digits, times in pm and blanks as dashes', () => {
    const sheet = [
      'When|Venue|Start time|Finish|Clarity|Conditions|Remarks',
      'Sat 4th May 19|Quinnerel|5 pm|9:30 PM|0,6|drizzle|-',
      'Sun 5th May 19|Quinnerel|—|n/a|60 cm|weird light|lost two',
    ].join('\n');
    // One cell says its unit, so the column is in centimetres; the other, in metres, is asked about.
    expect(faultsOf(read(sheet).rows)).toEqual(['2: how far one sees: 0,6 in cm cannot be']);
    const { rows, values } = read(sheet, 'metric', new Map([[cellKey(2, 4), '0,6 m']]));
    expect(faultsOf(rows)).toEqual([]);
    expect(values[0]).toMatchObject({
      dayAt: day(2019, 5, 4),
      fromMin: 17 * 60,
      toMin: 21 * 60 + 30,
      sky: 'overcast',
      notes: '',
    });
    expect(values[1]).toMatchObject({ fromMin: null, toMin: null, sky: null, notes: 'lost two\nsky: weird light' });
    expect(values.map((v) => v.visibilityM)).toEqual([0.6, 0.6]);
  });
});

describe('a day on several runs', () => {
  const day3 = ['A,14:00,16:00,,40', 'B,9:00,,1.5,30', 'C,,,,20', 'D,,,0.5,'].map((r) => `1.6.2020,W,${r}`).join('\n');
  const several = () => read(`date,water,pool,from,to,hours,casts\n${day3}`);

  it('has its runs by the clock, whatever their order in the sheet, each after the one before where none is said', () => {
    const visits = several().folds[0]!.visits.map((v) => [
      v.runName,
      clockOf(v.fromAt),
      clockOf(v.toAt),
      v.timed,
      v.casts,
    ]);
    expect(visits).toEqual([
      ['B', '09:00', '10:30', true, 30],
      ['C', '10:30', '10:30', false, 20],
      ['D', '10:30', '11:00', false, 20], // half an hour at forty casts an hour
      ['A', '14:00', '16:00', true, 40],
    ]);
  });

  it('has entries of their own ids, in order', () => {
    const { outing, events } = several().outings[0]!;
    expect(events.map((e) => e.id)).toEqual(events.map((_, i) => `${outing.outingId}-${i + 1}`));
    expect(events.map((e) => e.at)).toEqual(events.map((e) => e.at).sort((a, b) => a - b));
  });

  it('with long notes keeps all of them, in pieces that a log takes', () => {
    const long = Array.from({ length: 900 }, (_, i) => String(i)).join(' and ');
    const { outing, events } = read(`date,water,casts,notes\n1.6.2020,W,9,${long}`).outings[0]!;
    const more = events.filter((e) => e.kind === 'note');
    expect(more.length).toBe(Math.ceil(long.length / 2000) - 1);
    expect([outing.notes, ...more.map((e) => e.text)].join('')).toBe(long);
    expect(more.map((e) => e.id)).toEqual(more.map((_, i) => `${outing.outingId}-n${i + 1}`));
    expect(read('date,water,casts,notes\n1.6.2020,W,9,brief').outings[0]!.events.some((e) => e.kind === 'note')).toBe(
      false,
    );
  });

  it('on one run in two stretches is there from the first hour to the last; what only one row says is known', () => {
    const { folds, outings } = read(
      'date,water,from,to,casts,level\n1.6.2020,W,9:00,10:00,30,\n1.6.2020,W,14:00,16:00,40,12\n1.6.2020,W,,,5,',
    );
    const [visit] = folds[0]!.visits;
    expect([visit!.fromAt, visit!.toAt].map(clockOf)).toEqual(['09:00', '16:00']);
    expect(folds[0]!.tally.casts).toBe(75);
    expect(outings[0]!.events.flatMap((e) => (e.kind === 'estimate' ? [e.water!.levelM] : []))).toEqual([0.12]);
  });

  it('a merged cell of the day leaves what the row itself says of water and run', () => {
    const { values } = read('date,water,pool,casts\n1.6.2020,W,A,30\n,V,B,40\n,,,50\n2.6.2020,,,60');
    expect(values.map((v) => `${v.water}/${v.run}`)).toEqual(['W/A', 'V/B', 'V/B', '/']);
  });

  it('a stay whose end alone is said has no hours of its own', () => {
    const [visit] = read('date,water,to,casts\n1.6.2020,W,16:00,40').folds[0]!.visits;
    expect(visit).toMatchObject({ timed: false, casts: 40 });
  });
});

describe('a night on the river', () => {
  it('from the evening to the small hours is one outing, to the next day', () => {
    const { rows, outings, folds } = read(
      'date,water,from,to,casts\n1.6.2020,W,21:30,2:15,90\n2.6.2020,W,21:00,23:30,60\n3.6.2020,W,7:00,9:00,50',
    );
    expect(faultsOf(rows)).toEqual([]);
    const [first] = outings;
    expect(first!.outing.startedAt).toBe(day(2020, 6, 1) + 21.5 * 3_600_000);
    expect(first!.outing.endedAt).toBe(day(2020, 6, 2) + 2.25 * 3_600_000);
    expect(folds[0]!.tally).toMatchObject({ casts: 90, minutes: 285 });
    expect(outings).toHaveLength(3);
  });
});

describe('dates and numbers as people write them', () => {
  /** "what is written → the number that it is", by bars. */
  const pairs = (...lines: string[]) =>
    lines
      .join(' | ')
      .split(' | ')
      .map((pair): [string, number | null] => {
        const [text, value] = pair.split(' → ') as [string, string];
        return [text, value === 'null' ? null : Number(value)];
      });

  it.each([
    ['3.4.2019', 'day first', day(2019, 4, 3)],
    ['03/04/19', 'day first', day(2019, 4, 3)],
    ['3/4/2019', 'month first', day(2019, 3, 4)],
    ['Mar 4, 2019', 'day first', day(2019, 3, 4)],
    ['4 March 2019', 'month first', day(2019, 3, 4)],
    ['2019-03-04T08:00', 'day first', day(2019, 3, 4)],
    ['20190304', 'day first', day(2019, 3, 4)],
    ['43528', 'day first', day(2019, 3, 4)], // as spreadsheets count days from 1899-12-30
    ['Mon, 4th Sept 1998', 'day first', day(1998, 9, 4)],
  ] as const)('%s, %s', (text, order, at) => {
    expect(readDate(text, order)).toBe(at);
  });

  it.each(['31.2.2019', '13/13/2019', 'soon', '', '4.5', '99999999'])('%j is no date', (text) => {
    expect(readDate(text, 'day first')).toBeNull();
  });

  it('tells the order from days that cannot be months, and says when nothing tells it', () => {
    expect(guessOrder(['3/4/19', '17/4/19'], 'month first')).toEqual({ order: 'day first', sure: true });
    expect(guessOrder(['3/4/19', '4/17/19'], 'day first')).toEqual({ order: 'month first', sure: true });
    expect(guessOrder(['2019/3/4'], 'day first')).toEqual({ order: 'year first', sure: true });
    expect(guessOrder(['3/4/19', '', 'May'], 'month first')).toEqual({ order: 'month first', sure: false });
  });

  it('any day written in any order comes back (property)', () => {
    const days = fc.date({ min: new Date(1950, 0, 1), max: new Date(2049, 11, 31), noInvalidDate: true });
    fc.assert(
      fc.property(days, fc.constantFrom('.', '/', '-', ' '), (d, s) => {
        const [y, m, dd] = [d.getFullYear(), d.getMonth() + 1, d.getDate()];
        expect(readDate([dd, m, y].join(s), 'day first')).toBe(day(y, m, dd));
        expect(readDate([m, dd, y].join(s), 'month first')).toBe(day(y, m, dd));
        expect(readDate([y, m, dd].join(s), 'year first')).toBe(day(y, m, dd));
      }),
      { seed: 3 },
    );
  });

  it.each(
    pairs(
      '7 → 420 | 7:05 → 425 | 7.30 → 450 | 0730 → 450 | 19h30 → 1170 | 12 am → 0 | 12:15pm → 735',
      '24:00 → 1440 | 24:01 → null | 25:00 → null | 7:59 → 479 | 7:60 → null | 13 pm → null | 7:61 → null',
      'noon → null',
    ),
  )('time of day %j', (text, minutes) => {
    expect(readClock(text)).toBe(minutes);
  });

  it.each(
    pairs(
      '3.5 → 3.5 | 3,5 → 3.5 | 3:30 → 3.5 | 3h30 → 3.5 | 4 hrs → 4 | 3.5h → 3.5 | 2.5 hr → 2.5',
      '1.5 hour → 1.5 | 2,5 hours → 2.5 | 3,5 Std. → 3.5 | 3 hr 30 → 3.5 | 3 hour 30 m → 3.5',
      '3hours 30minutes → 3.5 | 3 h 15minute → 3.25 | 90 minutes → 1.5 | 15 minute → 0.25 | 45 mins → 0.75',
      '120m → 2 | 3.5 h. → 3.5 | hours → null | h 2.5 → null | 2.5 h late → null | 90 min → 1.5',
      'all day → null |  → null',
    ),
  )('hours %j', (text, hours) => {
    expect(readHours(text)).toBe(hours);
  });

  it.each(
    pairs(
      '1,5 → 1.5 | 1.200 → 1.2 | 12.345 → 12.345 | -1,200 → -1.2 | +0,125 → 0.125 | 1.234,5 → 1234.5',
      '1,234.5 → 1234.5 | 12 345 → 12345 | 47 cm → 47 | ~120 → 120 | −3 → -3 | 18" → 18 | two → null',
      ' → null | 3-4 → null',
    ),
  )('number %j', (text, n) => {
    expect(readNumber(text)).toBe(n);
  });

  it.each([
    ['length', 'Length (in)', ['14'], 'metric', 'in'],
    ['length', 'Length', ['14"', '17"'], 'metric', 'in'],
    ['length', 'length of fish', ['45', '52'], 'metric', 'cm'],
    ['length', 'length', ['14'], 'imperial', 'in'],
    ['length', 'length', ['0.45'], 'imperial', 'm'],
    ['length', 'length', ['450'], 'metric', 'mm'],
    ['temperature', 'temp of water', ['8'], 'metric', '°C'],
    ['temperature', 'temp of water', ['48'], 'metric', '°F'],
    ['temperature', 'Temp_F', ['8'], 'metric', '°F'],
    ['visibility', 'visibility in m', ['1'], 'imperial', 'm'],
    ['visibility', 'visibility in ft', ['3'], 'metric', 'ft'],
    ['casts', 'casts', ['3'], 'metric', null],
    ['length', 'length', ['100'], 'imperial', 'cm'], // 100 in would be 2.5 m
    ['length', 'length', ['1.9', 'big'], 'metric', 'm'],
    ['length', 'length', ['2'], 'metric', 'm'],
    ['length', 'length', ['3'], 'metric', 'cm'],
    ['length', 'length', ['1.5'], 'imperial', 'm'], // no fish of an inch and a half is written down
    ['length', 'length', ['2'], 'imperial', 'in'],
    ['visibility', 'clarity', ['1.5'], 'imperial', 'ft'],
    ['length', 'length', ['120'], 'metric', 'cm'],
    ['length', 'length', ['121'], 'metric', 'mm'],
    ['visibility', 'clarity', ['7.9'], 'metric', 'm'],
    ['visibility', 'clarity', ['8'], 'metric', 'cm'],
    ['visibility', 'clarity', ['60'], 'imperial', 'cm'], // 60 ft would be 18 m
    ['visibility', 'clarity', ['3'], 'imperial', 'ft'],
    ['temperature', 'temp', ['35'], 'metric', '°C'],
    ['temperature', 'temp', [], 'imperial', '°F'],
    ['level', 'level', ['low'], 'metric', 'cm'],
  ] as const)('%s under “%s” with %j, %s: %s', (field, heading, cells, system, unit) => {
    expect(guessUnit(field, heading, cells, system)).toBe(unit);
  });

  // The inch is 2.54 cm and the foot 30.48 cm, exactly (NIST Special Publication 811, B.8).
  it.each([
    ['length (cm)', '45', 'lengthsM', [0.45]],
    ['length (mm)', '450', 'lengthsM', [0.45]],
    ['length (m)', '0.45', 'lengthsM', [0.45]],
    ['length (in)', '18', 'lengthsM', [0.4572]],
    ['length (ft)', '1.5', 'lengthsM', [0.4572]],
    ['level (ft)', '2', 'levelM', 0.6096],
    ['level (in)', '-10', 'levelM', -0.254],
    ['clarity (ft)', '3', 'visibilityM', 0.9144],
    ['clarity (cm)', '60 in', 'visibilityM', 1.524],
    ['water temp (F)', '50', 'waterTempC', 10],
    ['water temp (C)', '50 F', 'waterTempC', 10],
  ] as const)('%s: %s in SI', (heading, cell, field, si) => {
    const { values, rows } = read(`date,${heading}\n1.5.2020,${cell}`);
    expect(faultsOf(rows)).toEqual([]);
    const got = values[0]![field];
    for (const [i, v] of [si].flat().entries()) expect([got].flat()[i]).toBeCloseTo(v, 9);
  });

  it('colours of flies, a pair before one of the two', () => {
    expect(['Black & Blue tube', 'orange/black', 'Blackened', 'olive', 'shrimp'].map(colourOf)).toEqual([
      ...['black and blue', 'orange', null, 'olive', null],
    ]);
  });
});

describe('columns', () => {
  const match = (headings: string[], cells: Record<string, string[]> = {}, before = {}) =>
    matchColumns(headings, (i) => cells[headings[i]!] ?? [], 'metric', before).map((c) => c.field);

  it('are known by like headings, each field once, misspelt too', () => {
    expect(match(['Dates', 'Rivers', 'No. of casts', 'Comments', 'Remarks', 'Tempereature'])).toEqual([
      ...['date', 'water', 'casts', 'notes', 'notes', 'temperature'],
    ]);
    expect(match(['date', 'date'])).toEqual(['date', null]);
    expect(match(['Dat'])).toEqual(['date']);
  });

  it('“fish” is how many where there are numbers, and which where there are words', () => {
    expect(match(['fish'], { fish: ['2', '0'] })).toEqual(['landed']);
    expect(match(['fish'], { fish: ['trout', 'char'] })).toEqual(['species']);
  });

  it('that name nothing are notes where they hold words, and left out where they hold numbers', () => {
    expect(match(['Moon', 'Fee'], { Moon: ['waxing', 'full'], Fee: ['12', '30'] })).toEqual(['notes', null]);
    expect(match(['Moon', 'Fee'], { Moon: ['waxing', '12'], Fee: ['', ''] })).toEqual([null, null]); // half are not most
  });

  it('are taken as they were chosen before', () => {
    const before = {
      Fee: { field: 'casts', unit: null },
      date: { field: null, unit: null },
      x: { field: 'no such', unit: null },
    };
    expect(match(['date', 'Fee', 'x'], { Fee: ['12'] }, before)).toEqual([null, 'casts', null]);
  });
});

describe('rows that cannot be', () => {
  const GOOD = '1.5.2020,W,7:00,9:00,100,45,80\n'.repeat(3);
  const rows = (cells: string, mended?: Map<string, string>) =>
    read(`date,water,from,to,casts,length,visibility\n${GOOD}${cells}`, 'metric', mended).rows[3]!;

  it.each([
    ['31.4.2020,W,,,,,', ['“31.4.2020” is no date, day first']],
    ['1.5.2099,W,,,,,', ['1.5.2099 has not come yet']],
    ['1.5.2020,W,9,8,,,', ['it ends before it begins']],
    ['1.5.2020,W,early,,,,', ['“early” is no time of day']],
    ['1.5.2020,W,,,many,,', ['“many” is no number']],
    ['1.5.2020,W,,,99999,,', ['casts: 99999 cannot be']],
    ['1.5.2020,W,,,1.5,,', ['casts: 1.5 is not a whole number']],
    ['1.5.2020,W,,,,big,', ['“big” is no number']],
    ['1.5.2020,W,,,,"45, big",', ['“big” is no number']],
    ['1.5.2020,W,,,,999,', ['length of fish: 999 in cm cannot be']],
    [`1.5.2020,${'x'.repeat(81)},,,,,`, ['longer than 80 letters']],
  ])('%s', (cells, says) => {
    expect(rows(cells).faults.map((f) => f.says)).toEqual(says);
    expect(rows(cells).values).toBeNull();
  });

  it('today is read, and tomorrow where a clock is ahead; the day after is not', () => {
    const on = (d: number) => rows(`${d}.6.2026,W,,,,,`).faults.map((f) => f.says);
    expect([on(1), on(2), on(3)]).toEqual([[], [], ['3.6.2026 has not come yet']]);
  });

  it('a column without a heading is called by its place', () => {
    expect(readSheet('date,,casts,\n1.5.2020,x,9,')).toMatchObject({ headings: ['date', 'column 2', 'casts'] });
    expect(readSheet('a title\n\ndate,casts\n1.5.2020,9\n ,\n2.5.2020,4').rows.map((r) => r.line)).toEqual([4, 6]);
  });

  it('are read once the cell is mended', () => {
    const mended = rows('31.4.2020,W,,,,,', new Map([[cellKey(5, 0), '30.4.2020']]));
    expect(mended.values).toMatchObject({ dayAt: day(2020, 4, 30) });
  });

  it.each([
    ['', /headings/],
    ['1,2,3\n4,5,6', /headings/],
    ['date~water~casts\n1.5.2020~W~3', /not divided into columns: cells must be separated by/],
    ['date,water', /no rows below/],
    ['date,water\n"1.5.2020,W', /line 2: a quotation mark/],
  ])('a file like %j is refused', (text, why) => {
    expect(() => readSheet(text)).toThrow(why);
  });

  it('whatever stands in the cells, every row is read or its fault named (property)', () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.constantFrom('1.5.2020', '12', '1,5', '"', ';', '=1+1', '-', '2020'),
    );
    fc.assert(
      fc.property(fc.array(fc.array(cell, { minLength: 5, maxLength: 5 }), { minLength: 1, maxLength: 6 }), (cells) => {
        const clean = (c: string) => `"${c.replaceAll('"', '""')}"`;
        const text = ['date,casts,length,sky,notes', ...cells.map((r) => r.map(clean).join(','))].join('\n');
        let result: ReturnType<typeof read>;
        try {
          result = read(text);
        } catch (error) {
          expect((error as Error).message).toMatch(/no rows below/);
          return;
        }
        for (const r of result.rows) expect((r.values === null) === r.faults.length > 0).toBe(true);
      }),
      { seed: 9, numRuns: 300 },
    );
  });
});

describe('a sheet brought in again', () => {
  const text = 'date,water,casts\n1.5.2020,W,100\n2.5.2020,W,50';
  it('has the same outings by id, and the same entries', () => {
    const more = read(`${text}\n3.5.2020,W,70`);
    expect(more.outings.slice(0, 2)).toEqual(read(text).outings);
    expect(new Set(more.outings.map((o) => o.outing.outingId)).size).toBe(3);
  });

  it('of ten thousand rows is read whole, at no more a row than one of a thousand', () => {
    const timed = (rows: number) => {
      const lines = Array.from({ length: rows }, (_, i) => {
        const d = new Date(1990, 0, 1 + i);
        return `${d.getDate()}.${d.getMonth() + 1}.${d.getFullYear()};W${i % 7};${i % 200};${i % 3};"note ${i}"`;
      });
      const started = performance.now();
      expect(read(['date;water;casts;landed;notes', ...lines].join('\n')).values).toHaveLength(rows);
      return (performance.now() - started) / rows;
    };
    timed(1000); // warm
    expect(timed(10_000)).toBeLessThan(5 * timed(1000));
  });
});
