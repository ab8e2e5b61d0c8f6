import { parse } from 'papaparse';
import type { KitItem, LeaderPiece } from '@/core/tackle';
import { csvOf, RUNS } from './csv';

type Cell = string | number | boolean;
interface Column {
  readonly field: string;
  readonly write: (value: never) => Cell;
  /** What a cell says; what it cannot read it leaves as it is, for the check to name. */
  readonly read: (cell: string) => unknown;
}

const text = (field: string): Column => ({ field, write: (v: string) => v, read: (cell) => cell });
const number = (field: string): Column => ({
  field,
  write: (v: number) => v,
  read: (cell) => (Number.isFinite(Number(cell.replace(',', '.'))) ? Number(cell.replace(',', '.')) : cell),
});
const YES: ReadonlyMap<string, boolean> = new Map([
  ['true', true],
  ['yes', true],
  ['1', true],
  ['false', false],
  ['no', false],
  ['0', false],
]);
const yesNo = (field: string): Column => ({
  field,
  write: (v: boolean) => (v ? 'yes' : 'no'),
  read: (cell) => YES.get(cell.toLowerCase()) ?? cell,
});
const BETWEEN = ' | ';
const list = <T>(field: string, write: (v: T) => string, read: (part: string) => unknown): Column => ({
  field,
  write: (v: readonly T[]) => v.map(write).join(BETWEEN),
  read: (cell) => cell.split('|').map((p) => read(p.trim())),
});
const asNumber = (s: string | undefined): unknown =>
  s !== undefined && s !== '' && Number.isFinite(Number(s)) ? Number(s) : s;

/** A piece of a leader in one cell: part, length in m, diameter in m (or from-to), material, strength in N where it is known. */
const pieceText = (p: LeaderPiece): string =>
  [
    p.part,
    p.lengthM,
    p.toDiameterM === undefined ? p.diameterM : `${p.diameterM}>${p.toDiameterM}`,
    p.material,
    ...(p.strengthN === undefined ? [] : [p.strengthN]),
  ].join(' ');
function pieceOf(cell: string): unknown {
  const [part, lengthM, d = '', material, strengthN] = cell.split(/\s+/);
  const [from, to] = d.split('>');
  return {
    part,
    lengthM: asNumber(lengthM),
    diameterM: asNumber(from),
    ...(to === undefined ? null : { toDiameterM: asNumber(to) }),
    material,
    ...(strengthN === undefined ? null : { strengthN: asNumber(strengthN) }),
  };
}

/** Columns of the file and what of an item each holds; SI units, as the names say. */
const COLUMNS: Readonly<Record<string, Column>> = {
  type: text('type'),
  name: text('name'),
  id: text('id'),
  aside: yesNo('aside'),
  low: yesNo('low'),
  count: number('count'),
  length_m: number('lengthM'),
  diameter_m: number('diameterM'),
  mass_kg: number('massKg'),
  family: text('family'),
  called: text('called'),
  colour: text('colour'),
  other_colours: list<{ colour: string; share: number }>(
    'also',
    (c) => `${c.colour} ${c.share}`,
    (p) => ({ colour: p.replace(/\s+\S+$/, ''), share: asNumber(/\S+$/.exec(p)?.[0]) }),
  ),
  flash: yesNo('flash'),
  hook: text('hook'),
  hook_up: yesNo('hookUp'),
  barbless: yesNo('barbless'),
  weight: text('weight'),
  bead_m: number('beadM'),
  profile: text('profile'),
  motion: text('motion'),
  scented: yesNo('scented'),
  hands: number('hands'),
  switch: yesNo('switch'),
  line_number: number('lineNumber'),
  window_kg: list<number>('windowKg', String, asNumber),
  shape: text('shape'),
  sink_rates_m_s: list<number>('sinkRatesMps', String, asNumber),
  cut_back_m: number('cutBackM'),
  kind: text('kind'),
  sink_rate_m_s: number('sinkRateMps'),
  tapered: yesNo('tapered'),
  pieces: list<LeaderPiece>('pieces', pieceText, pieceOf),
  nicked: yesNo('nicked'),
  material: text('material'),
  strength_n: number('strengthN'),
};
const NAMES = Object.keys(COLUMNS);

/** The bag as CSV (RFC 4180, UTF-8 with a byte-order mark), one row a thing. */
export function kitToCsv(kit: readonly KitItem[]): string {
  const data = kit.map((item) => {
    const of = item as unknown as Record<string, never>;
    return Object.fromEntries(
      NAMES.map((name) => [
        name,
        of[COLUMNS[name]!.field] === undefined ? '' : COLUMNS[name]!.write(of[COLUMNS[name]!.field]!),
      ]),
    );
  });
  return csvOf(NAMES, data);
}

/** One row as it was read, not checked yet. */
interface KitRow {
  /** As a spreadsheet counts them: the first after the headings is 2. */
  readonly row: number;
  readonly item: Readonly<Record<string, unknown>>;
}

/** A cell that would have been run as a formula was kept text by an apostrophe. */
const bare = (cell: string): string => (cell.startsWith("'") && RUNS.test(cell.slice(1)) ? cell.slice(1) : cell);

/**
 * Reads a bag from CSV, any separator, columns in any order; a row without an id is a new thing.
 *
 * @throws RangeError where the headings have no type or no name, or there is no row
 */
export function kitRows(csv: string, newId: () => string): KitRow[] {
  const { data, meta } = parse<Record<string, string>>(csv.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  for (const name of ['type', 'name'])
    if (!meta.fields?.includes(name))
      throw new RangeError(`the headings have no column "${name}": the first row names the columns`);
  if (data.length === 0) throw new RangeError('there are no rows below the headings');
  return data.map((cells, i) => {
    const item: Record<string, unknown> = {};
    for (const name of NAMES) {
      const cell = bare((cells[name] ?? '').trim());
      if (cell !== '') item[COLUMNS[name]!.field] = COLUMNS[name]!.read(cell);
    }
    // A hook may be said to have no size; a spreadsheet leaves the cell empty.
    if (item['type'] === 'fly') item['hook'] ??= '';
    item['id'] ??= newId();
    return { row: i + 2, item };
  });
}
