import { FLY_COLOURS, type FlyColour } from '@/core/tackle';
import { type Sky, SKIES } from '@/core/water';
import { throughNight } from '@/core/logbook/byHand';
import { readClock, readDate, readHours } from './dates';
import { entryOf, type Field, type Matched, readNumber, unitIn } from './fields';
import type { Sheet } from './table';
import { cellKey, type DateOrder, type Fault, type RowValues } from './terms';
import { DAY_MS } from '@/core/units';

export interface ReadRow {
  readonly line: number;
  /** What it says; null where a fault stands in it. */
  readonly values: RowValues | null;
  readonly faults: readonly Fault[];
  /** Its date, water or run is that of the row above. */
  readonly asAbove: boolean;
}

export interface Reading {
  readonly columns: readonly Matched[];
  readonly order: DateOrder;
  /** Cells as they were mended, by line and column. */
  readonly mended: ReadonlyMap<string, string>;
  /** The last moment that can have been fished, ms UTC. */
  readonly now: number;
}

/** Several lengths in a cell: by semicolon, slash, plus, "and", or a comma with a space behind it. */
const LIST = /\s*[;/+&]\s*|,\s+|\s+and\s+/;
/** Words that say that a cell is empty. */
const NOTHING = /^(-+|–|—|n\/?a|none|nil|null|\?|\.)$/i;
const NAME_LONGEST = 80;

/** The sky that words speak of (common practice, no source); null where they speak of another thing. */
const SKY_WORDS: readonly (readonly [RegExp, Sky])[] = [
  [/dusk|dark|night|evening/i, 'dusk'],
  [/broken|part|mixed|some cloud|showers|changeable/i, 'broken'],
  [/overcast|cloud|grey|gray|dull|rain|drizzle|mist|fog|snow|bedeckt|bewölkt/i, 'overcast'],
  [/bright|sun|clear|blue|fine|sonnig/i, 'bright'],
];
const skyOf = (text: string): Sky | null =>
  SKIES.find((s) => s === text.toLowerCase()) ?? SKY_WORDS.find(([words]) => words.test(text))?.[1] ?? null;

/** The colour that words name: of two, the pair where that is one, otherwise the first that is named. */
export function colourOf(text: string): FlyColour | null {
  const t = text.toLowerCase();
  if (/black/.test(t) && /blue/.test(t)) return 'black and blue';
  const named = FLY_COLOURS.map((c) => ({ c, at: t.search(new RegExp(`\\b${c}\\b`)) })).filter((x) => x.at >= 0);
  return named.sort((a, b) => a.at - b.at)[0]?.c ?? null;
}

interface Faulty {
  readonly fault: string;
}

/** A number in SI within what can be; what is wrong with it otherwise. */
function siOf(cell: string, field: Field, unit: string | null): number | Faulty {
  const { units, within, label, kind } = entryOf(field);
  const n = kind === 'hours' ? readHours(cell) : readNumber(cell);
  if (n === null) return { fault: `“${cell}” is no ${kind === 'hours' ? 'number of hours' : 'number'}` };
  if (kind === 'count' && !Number.isInteger(n)) return { fault: `${label}: ${n} is not a whole number` };
  const own = units ? (unitIn(cell, field) ?? unit ?? '') : '';
  const si = units?.[own] ? units[own]!(n) : n;
  const [low, high] = within ?? [-Infinity, Infinity];
  if (si < low || si > high) return { fault: `${label}: ${cell}${units ? ` in ${own}` : ''} cannot be` };
  return si;
}

/** Reads rows one after the other: a cell that was merged with the one above is empty, and as that one. */
export function* readRows(sheet: Sheet, by: Reading): Generator<ReadRow, void, undefined> {
  const columnOf = (field: Field) => by.columns.findIndex((c) => c.field === field);
  const at = {
    ...{ date: columnOf('date'), water: columnOf('water'), run: columnOf('run') },
    notes: by.columns.flatMap((c, i) => (c.field === 'notes' ? [i] : [])),
  };
  let above: { dayAt: number; water: string; run: string } | null = null;

  for (const row of sheet.rows) {
    const cell = (column: number): string => {
      const text = column < 0 ? '' : (by.mended.get(cellKey(row.line, column)) ?? row.cells[column] ?? '').trim();
      return NOTHING.test(text) ? '' : text;
    };
    const faults: Fault[] = [];
    const asAbove = cell(at.date) === '' && above !== null;
    const read = readRow(cell, faults, above);
    if (read) above = { dayAt: read.dayAt, water: read.water, run: read.run };
    yield { line: row.line, values: faults.length > 0 ? null : read, faults, asAbove };
  }

  function readRow(cell: (column: number) => string, faults: Fault[], last: typeof above): RowValues | null {
    const wrong = (column: number, says: string) => void faults.push({ column, says });
    const text = (field: Field): string => {
      const t = cell(columnOf(field));
      if (t.length > NAME_LONGEST) wrong(columnOf(field), `longer than ${NAME_LONGEST} letters`);
      return t;
    };
    const number = (field: Field): number | null => {
      const column = columnOf(field);
      const t = cell(column);
      if (t === '') return null;
      const v = siOf(t, field, by.columns[column]!.unit);
      if (typeof v === 'number') return v;
      wrong(column, v.fault);
      return null;
    };
    const clock = (field: Field): number | null => {
      const t = cell(columnOf(field));
      const v = t === '' ? null : readClock(t);
      if (t !== '' && v === null) wrong(columnOf(field), `“${t}” is no time of day`);
      return v;
    };
    const date = cell(at.date);
    const dayAt = date === '' ? (last?.dayAt ?? null) : readDate(date, by.order);
    if (dayAt === null) wrong(Math.max(0, at.date), date === '' ? 'no date' : `“${date}” is no date, ${by.order}`);
    else if (dayAt > by.now + DAY_MS) wrong(at.date, `${date} has not come yet`);

    const lengths = columnOf('length');
    const lengthsM = cell(lengths)
      .split(LIST)
      .filter((t) => t !== '')
      .flatMap((t) => {
        const v = siOf(t, 'length', by.columns[lengths]!.unit);
        if (typeof v === 'number') return [v];
        wrong(lengths, v.fault);
        return [];
      });
    const [fromMin, toMin] = [clock('from'), clock('to')];
    if (fromMin !== null && toMin !== null && toMin < fromMin && !throughNight(fromMin, toMin))
      wrong(columnOf('to'), 'it ends before it begins');
    const fly = text('fly');
    const [sky, colour] = [text('sky'), text('colour')];
    // What fits no word of ours is kept as a note: nothing that was written is lost.
    const kept = [sky && !skyOf(sky) ? `sky: ${sky}` : '', colour && !colourOf(colour) ? `colour: ${colour}` : ''];
    const notes = [
      ...at.notes.map((i) => (cell(i) && at.notes.length > 1 ? `${sheet.headings[i]}: ${cell(i)}` : cell(i))),
      ...kept,
    ];
    const values = {
      ...{ fromMin, toMin, hours: number('hours'), casts: number('casts'), takes: number('takes') },
      ...{ landed: number('landed'), lost: number('lost'), species: text('species'), lengthsM, fly },
      ...{ colour: colourOf(colour || fly), levelM: number('level'), visibilityM: number('visibility') },
      ...{ waterTempC: number('temperature'), sky: sky ? skyOf(sky) : null },
      notes: notes.filter(Boolean).join('\n'),
    };
    if (dayAt === null) return null;
    const merged = date === '' && last !== null;
    return {
      ...values,
      dayAt,
      water: text('water') || (merged ? last.water : ''),
      run: text('run') || (merged ? last.run : ''),
    };
  }
}
