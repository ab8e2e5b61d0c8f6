import { joined } from './joinedGauge';
import { type Feed, type GaugeSeries, MEASURED, type Property, SI_UNITS } from '@/core/gauge/feed';
import { own } from '@/core/units/own';
import { GAUGE_UNITS, propertyNamed } from './gaugeTerms';
import { readClock, readDate } from './sheet/dates';
import { readSheet, type Sheet } from './sheet/table';
import { DATE_ORDERS, type DateOrder } from './sheet/terms';

/** What a column of a gauge's table is taken for. */
export type Column =
  { readonly as: 'date' | 'time of day' | 'nothing' } | { readonly as: Property; readonly unit: string };

/** How a gauge's table is read: each column, and what comes first in its dates. */
export interface Reading {
  readonly columns: readonly Column[];
  readonly order: DateOrder;
  /** Times without a zone by the clock of the reader, or by UTC. */
  readonly clock: 'local' | 'UTC';
}

/** As many rows as fifteen years of quarters of an hour. */
const MOST_ROWS = 550_000;
const USUAL_UNIT: Readonly<Record<Property, string>> = {
  stage: 'm',
  discharge: 'm³/s',
  temperature: '°C',
  rainfall: 'mm',
};
/** So many cells of a column are looked at to tell what it is. */
const LOOKED_AT = 40;
const DAYS_LOOKED_AT = 60;
const MOSTLY = 0.6;
const numeric = (cell: string): boolean => numberIn(cell) !== null;
const mostly = (cells: readonly string[], are: (cell: string) => boolean): boolean =>
  cells.filter(are).length > MOSTLY * cells.length;

/** A number with a point or a comma; codes for "none" and words are none. */
export function numberIn(cell: string): number | null {
  const t = cell.replace(/[\s']/g, '');
  if (!/^[+-]?(\d+([.,]\d+)?|[.,]\d+)(e[+-]?\d+)?$/i.test(t)) return null;
  return Number(t.replace(',', '.'));
}

/** The table of a gauge's file: lines of remarks ("# …") and of formats ("5s 15s 20d") are left out. */
export function gaugeSheet(text: string): Sheet {
  const lines = text.replace(/^\ufeff/, '').split(/\r\n|\n|\r/);
  const sheet = readSheet(lines.filter((l) => !l.startsWith('#')).join('\n'), MOST_ROWS);
  const [first] = sheet.rows;
  return first && first.cells.every((c) => c === '' || /^\d+[sdn]$/.test(c))
    ? { ...sheet, rows: sheet.rows.slice(1) }
    : sheet;
}

const isDate = (cell: string): boolean =>
  DATE_ORDERS.some((order) => momentIn(cell, '', (date) => readDate(date, order), 'UTC') !== null);

/** In which order dates are written: the one in which most can be read; of several the one in which they lie closest, since a gauge
 * tells day after day. */
function orderOf(cells: readonly string[]): DateOrder {
  const distinct = [...new Set(cells)].filter(Boolean).slice(0, DAYS_LOOKED_AT);
  const tried = DATE_ORDERS.map((order) => {
    const days = distinct.flatMap((t) => readDate(t, order) ?? []);
    return { order, unread: distinct.length - days.length, span: Math.max(...days) - Math.min(...days) };
  });
  return tried.reduce((a, b) => (b.unread < a.unread || (b.unread === a.unread && b.span < a.span) ? b : a)).order;
}

/** What the columns of a gauge's table may be, by their headings and their cells. */
export function guessColumns({ headings, rows }: Sheet): Reading {
  const sample = rows.slice(0, LOOKED_AT);
  const cells = (c: number) => sample.map((r) => r.cells[c]!).filter((t) => t !== '');
  const taken = new Set<string>();
  const guesses = headings.map((h, c): Column => {
    const filled = cells(c);
    // A gauge's number is as long as a spreadsheet's day: of numbers a heading has to say that they are dates.
    const mayDate = /date|time|datum|zeit|day|jour/i.test(h) || !filled.every(numeric);
    const once = <T extends Column>(column: T): Column =>
      taken.has(column.as) ? { as: 'nothing' } : (taken.add(column.as), column);
    if (mayDate && mostly(filled, isDate)) return once({ as: 'date' });
    const isClock = (t: string) => readClock(t) !== null && (t.includes(':') || /^(time|uhrzeit|hour|heure)/i.test(h));
    if (mostly(filled, isClock)) return once({ as: 'time of day' });
    const named = propertyNamed(h);
    if (named && filled.some(numeric))
      return once({ as: named.property, unit: named.unit ?? USUAL_UNIT[named.property] });
    return { as: 'nothing' };
  });
  const dates = guesses.findIndex((g) => g.as === 'date');
  const order = orderOf(dates < 0 ? [] : rows.map((r) => r.cells[dates]!.replace(TIME, '')));
  // A column may name the zone of all times.
  const utc = headings.some((_, c) => cells(c).length > 0 && cells(c).every((t) => /^(utc|gmt|z)$/i.test(t)));
  return { columns: guesses, order, clock: utc ? 'UTC' : 'local' };
}

/** A time of day behind a date. */
const TIME = /[T ](\d{1,2}:\d\d)(:\d\d)?(\.\d+)?(\s*[ap]\.?m\.?)?$/i;

/** The days of dates, each looked up once: a gauge's file says each some hundred times. */
function dayReader(order: DateOrder): (date: string) => number | null {
  const known = new Map<string, number | null>();
  return (date) => {
    let day = known.get(date);
    if (day === undefined) known.set(date, (day = readDate(date, order)));
    return day;
  };
}

/** A moment of a cell of a date and one of a time of day; times that name their zone are by it. */
function momentIn(
  date: string,
  time: string,
  dayOf: (date: string) => number | null,
  clock: Reading['clock'],
): number | null {
  const iso = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d(\.\d+)?)?\s*(Z|[+-]\d\d:?\d\d)$/i.exec(date);
  if (iso) {
    const at = Date.parse(date.replace(' ', 'T').replace(/\s/g, ''));
    return Number.isNaN(at) ? null : at;
  }
  const day = dayOf(date.replace(TIME, ''));
  if (day === null) return null;
  const within = time || (TIME.exec(date)?.[0] ?? '').replace(/^[T ]/, '');
  const minutes = within === '' ? 0 : readClock(within.replace(/^(\d{1,2}:\d\d):\d\d(\.\d+)?/, '$1'));
  if (minutes === null) return null;
  const d = new Date(day);
  return clock === 'UTC'
    ? Date.UTC(d.getFullYear(), d.getMonth(), d.getDate(), 0, minutes)
    : new Date(d.getFullYear(), d.getMonth(), d.getDate(), 0, minutes).getTime();
}

/**
 * The gauge in a table, read as it was chosen.
 *
 * @param now ms UTC; not given, no time is in the future
 * @throws RangeError that says what is missing and what to do
 */
export function readGaugeTable({ rows }: Sheet, { columns, order, clock }: Reading, now?: number): Feed {
  const dateAt = columns.findIndex((c) => c.as === 'date');
  const timeAt = columns.findIndex((c) => c.as === 'time of day');
  if (dateAt < 0) throw new RangeError('no column holds the date: choose which one does');
  const used = columns.flatMap((c, at) => ((MEASURED as readonly string[]).includes(c.as) ? [{ at, column: c }] : []));
  if (!used.some(({ column }) => column.as === 'stage' || column.as === 'discharge'))
    throw new RangeError('no column holds the level or the flow: choose which one does, and its unit');
  const series = used.map(({ at, column }) => {
    const { as: property, unit } = column as Extract<Column, { unit: string }>;
    const toSi = own(GAUGE_UNITS[property], unit);
    if (!toSi) throw new RangeError(`the unit "${unit}" is none of ${property}`);
    return { at, toSi, property, points: [] as { at: number; value: number }[] };
  });
  const dayOf = dayReader(order);
  const bad: number[] = [];
  for (const { line, cells } of rows) {
    const moment = momentIn(cells[dateAt]!, timeAt < 0 ? '' : cells[timeAt]!, dayOf, clock);
    if (moment === null) {
      bad.push(line);
      continue;
    }
    for (const s of series) {
      const value = numberIn(cells[s.at]!);
      if (value !== null) s.points.push({ at: moment, value: s.toSi(value) });
    }
  }
  if (bad.length === rows.length)
    throw new RangeError('no date in that column could be read: choose what comes first, day or month');
  const feed = joined(
    series.map(({ property, points }): GaugeSeries => ({ property, unit: SI_UNITS[property], points })),
    now,
  );
  return bad.length === 0
    ? feed
    : {
        ...feed,
        said: [...feed.said, { code: 'no date', rows: bad.length, firstRow: bad[0]! }],
      };
}
