import { distance } from 'fastest-levenshtein';
import { FOOT_M, INCH_M, own } from '@/core/units';
import { type UnitSystem } from '@/words/units';

type Kind = 'date' | 'clock' | 'hours' | 'count' | 'number' | 'text' | 'notes';

interface FieldEntry {
  readonly label: string;
  readonly kind: Kind;
  /** What such a column is called, the usual first; lower case. */
  readonly called: readonly string[];
  /** Units that it may be in, each with what makes SI of it; the first of each system is usual there. */
  readonly units?: Readonly<Record<string, (v: number) => number>>;
  readonly usual?: Readonly<Record<UnitSystem, string>>;
  /** What can be true, SI. */
  readonly within?: readonly [number, number];
}

const lengths = {
  cm: (v: number) => v / 100,
  m: (v: number) => v,
  mm: (v: number) => v / 1000,
  in: (v: number) => v * INCH_M,
  ft: (v: number) => v * FOOT_M,
};

/** What a column of a sheet can be. */
const FIELDS = {
  date: { label: 'date', kind: 'date', called: ['date', 'day', 'when', 'datum', 'tag', 'fished on', 'time utc'] },
  water: {
    label: 'water',
    kind: 'text',
    called: ['water', 'river', 'stream', 'venue', 'gewässer', 'fluss', 'creek', 'burn'],
  },
  run: {
    label: 'run or pool',
    kind: 'text',
    called: ['run', 'pool', 'spot', 'place', 'stretch', 'beat', 'where', 'location', 'stelle', 'strecke'],
  },
  from: {
    label: 'from',
    kind: 'clock',
    called: ['from', 'start', 'begin', 'start time', 'time in', 'began', 'von', 'beginn'],
  },
  to: {
    label: 'to',
    kind: 'clock',
    called: ['to', 'end', 'until', 'finish', 'end time', 'time out', 'stop', 'bis', 'ende'],
  },
  hours: {
    label: 'hours',
    kind: 'hours',
    called: ['hours', 'hrs', 'duration', 'time fished', 'hours fished', 'effort', 'stunden', 'dauer'],
    within: [0, 24],
  },
  casts: {
    label: 'casts',
    kind: 'count',
    called: ['casts', 'number of casts', 'no of casts', 'casts made', 'würfe'],
    within: [0, 2000],
  },
  takes: {
    label: 'takes',
    kind: 'count',
    called: ['takes', 'bites', 'pulls', 'hits', 'strikes', 'contacts', 'plucks', 'bisse'],
    within: [0, 500],
  },
  landed: {
    label: 'fish landed',
    kind: 'count',
    called: [
      'landed',
      'caught',
      'fish',
      'catch',
      'number of fish',
      'fish caught',
      'total',
      'number',
      'count',
      'gefangen',
      'fang',
      'fische',
    ],
    within: [0, 200],
  },
  lost: {
    label: 'fish lost',
    kind: 'count',
    called: ['lost', 'fish lost', 'dropped', 'came off', 'verloren'],
    within: [0, 200],
  },
  species: {
    label: 'species',
    kind: 'text',
    called: ['species', 'kind of fish', 'what fish', 'type of fish', 'fischart', 'art', 'fish'],
  },
  length: {
    ...{
      label: 'length of fish',
      kind: 'number',
      called: ['length', 'size', 'fish length', 'long', 'länge', 'grösse', 'größe'],
    },
    ...{ units: lengths, usual: { metric: 'cm', imperial: 'in' }, within: [0.03, 2] },
  },
  fly: { label: 'fly', kind: 'text', called: ['fly', 'flies', 'pattern', 'fly used', 'bait', 'fliege', 'muster'] },
  colour: { label: 'colour of the fly', kind: 'text', called: ['fly colour', 'fly color', 'colour', 'color', 'farbe'] },
  level: {
    ...{
      label: 'level',
      kind: 'number',
      called: ['level', 'water level', 'gauge', 'height', 'stage', 'pegel', 'wasserstand'],
    },
    ...{
      units: { cm: lengths.cm, m: lengths.m, in: lengths.in, ft: lengths.ft },
      usual: { metric: 'cm', imperial: 'in' },
      within: [-5, 5],
    },
  },
  visibility: {
    ...{
      label: 'how far one sees',
      kind: 'number',
      called: ['visibility', 'clarity', 'vis', 'seen to', 'sicht', 'sichttiefe', 'water clarity'],
    },
    ...{
      units: { cm: lengths.cm, m: lengths.m, in: lengths.in, ft: lengths.ft },
      usual: { metric: 'cm', imperial: 'ft' },
      within: [0.02, 15],
    },
  },
  temperature: {
    ...{
      label: 'water temperature',
      kind: 'number',
      called: ['water temperature', 'water temp', 'temperature', 'temp', 'wassertemperatur', 'wt'],
    },
    ...{
      units: { '°C': (v: number) => v, '°F': (v: number) => (v - 32) / 1.8 },
      usual: { metric: '°C', imperial: '°F' },
      within: [-1, 35],
    },
  },
  sky: { label: 'sky', kind: 'text', called: ['sky', 'weather', 'conditions', 'light', 'cloud', 'wetter', 'himmel'] },
  notes: {
    label: 'notes',
    kind: 'notes',
    called: [
      'notes',
      'note',
      'comments',
      'comment',
      'remarks',
      'remark',
      'memo',
      'notizen',
      'bemerkung',
      'bemerkungen',
    ],
  },
} as const satisfies Record<string, FieldEntry>;
export type Field = keyof typeof FIELDS;
export const FIELD_NAMES = Object.keys(FIELDS) as Field[];
export const entryOf = (field: Field): FieldEntry => FIELDS[field];

/** What a column is taken for; null: left out. Notes may be several columns, anything else is one. */
export interface Matched {
  readonly field: Field | null;
  readonly unit: string | null;
}

const plain = (heading: string): string =>
  heading
    .toLowerCase()
    .replace(/\(.*?\)|\[.*?\]/g, ' ')
    .replace(/[^\p{L}]+/gu, ' ')
    .trim();

/** Less alike than this is another word. */
const ALIKE = 0.72;

/** How well a heading names a field, 0 to 1: the same words, the same among others, or nearly so spelt. */
function likeness(heading: string, called: readonly string[]): number {
  const h = plain(heading);
  if (h === '') return 0;
  const words = h.split(' ');
  return Math.max(
    ...called.map((name, i) => {
      const rank = 0.002 * i; // the usual name before the rarer
      const parts = name.split(' ');
      if (parts.every((p) => words.includes(p))) return 0.9 - 0.03 * (words.length - parts.length) - rank;
      const close = 1 - distance(h, name) / Math.max(h.length, name.length);
      return close >= ALIKE && name.length > 3 ? 0.8 * close : 0;
    }),
  );
}

/** "in" comes last: it is a preposition, too. */
const UNIT_WORDS: readonly (readonly [RegExp, string])[] = [
  [/(^|[^\p{L}])f($|[^\p{L}])|fahrenheit/iu, '°F'],
  [/(^|[^\p{L}])c($|[^\p{L}])|celsius|centigrade/iu, '°C'],
  [/(^|[^\p{L}])mm($|[^\p{L}])|millimet/iu, 'mm'],
  [/(^|[^\p{L}])cm($|[^\p{L}])|centimet/iu, 'cm'],
  [/(^|[^\p{L}])m($|[^\p{L}])|\bmet(re|er)s?\b/iu, 'm'],
  [/(^|[^\p{L}])ft($|[^\p{L}])|feet|foot|['′]/iu, 'ft'],
  [/(^|[^\p{L}])ins?($|[^\p{L}])|inch|["″]/iu, 'in'],
];
/** The unit that a text names, of those that a field may be in. */
export const unitIn = (text: string, field: Field): string | null =>
  UNIT_WORDS.find(([words, unit]) => unit in (entryOf(field).units ?? {}) && words.test(text))?.[1] ?? null;

/** A number as people write it: decimal comma, thousands, a unit behind; null for what is none. */
export function readNumber(text: string): number | null {
  const t = text
    .trim()
    .replace('−', '-')
    .replace(/^(?:ca\.?|about|approx\.?|~|≈)\s*/i, '')
    .replace(/\s*(?:°?\s?[cf]|mm|cm|m|in|ins|inch|inches|ft|feet|foot|"|″|'|′)\.?$/i, '');
  if (!/^[+-]?[\d.,\s’]+$/.test(t) || !/\d/.test(t)) return null;
  const lone = /^([+-]?\d+)[.,](\d+)$/.exec(t);
  const n = lone
    ? Number(`${lone[1]}.${lone[2]}`)
    : Number(
        t
          .replace(/[\s’]/g, '')
          .replace(/[.,](?=\d{3}(\D|$))/g, '')
          .replace(',', '.'),
      );
  return Number.isFinite(n) ? n : null;
}

/** Whether a column of numbers can be what its heading says: "fish" may be how many, or which. */
function canHold(field: Field, cells: readonly string[]): boolean {
  const { kind } = entryOf(field);
  if (kind !== 'count' && kind !== 'number') return true;
  const filled = cells.filter((c) => c !== '');
  return filled.filter((c) => readNumber(c.split(/[;/&]|,\s/)[0]!) !== null).length >= 0.5 * filled.length;
}

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN;

/** The unit of a column: what its heading or its cells name, what alone its values can be in, or what is usual. */
export function guessUnit(field: Field, heading: string, cells: readonly string[], system: UnitSystem): string | null {
  const { units, usual, within } = entryOf(field);
  if (!units || !usual || !within) return null;
  // In brackets, or behind the first word.
  const behind =
    /[([](.*?)[)\]]/.exec(heading)?.[1] ??
    heading
      .split(/[\s_,]/)
      .slice(1)
      .join(' ');
  const named = unitIn(behind, field);
  if (named) return named;
  const told = cells.map((c) => /[^\d.,\s+−-]+$/.exec(c)?.[0] ?? '').find((u) => unitIn(u, field));
  if (told) return unitIn(told, field);
  const middle = median(cells.map(readNumber).filter((v) => v !== null));
  const fits = (unit: string) => {
    const si = units[unit]!(middle);
    return si >= within[0] && si <= within[1];
  };
  if (field === 'temperature' && middle > 35) return '°F';
  if (field === 'length' && middle < 2) return 'm';
  if (field === 'length' && middle > 120) return 'mm';
  if (field === 'visibility' && system === 'metric' && middle < 8) return 'm';
  const own = usual[system];
  return Number.isNaN(middle) || fits(own) ? own : (Object.keys(units).find(fits) ?? own);
}

/**
 * What each column is taken for, by likeness of its heading; what was chosen for such a heading before comes first. Columns
 * that name nothing are notes where they hold words, and left out where they hold numbers.
 */
export function matchColumns(
  headings: readonly string[],
  cellsOf: (column: number) => readonly string[],
  system: UnitSystem,
  before: Readonly<Record<string, Matched>>,
): Matched[] {
  const taken = new Set<Field>();
  const out: (Matched | undefined)[] = headings.map((h) => {
    const known = own(before, h);
    if (!known || (known.field && !Object.hasOwn(FIELDS, known.field))) return undefined;
    if (known.field && known.field !== 'notes' && taken.has(known.field)) return undefined;
    if (known.field) taken.add(known.field);
    return known;
  });
  const pairs = headings
    .flatMap((h, column) => FIELD_NAMES.map((field) => ({ column, field, like: likeness(h, entryOf(field).called) })))
    .filter((p) => p.like > 0 && canHold(p.field, cellsOf(p.column)))
    .sort((a, b) => b.like - a.like);
  for (const { column, field } of pairs) {
    if (out[column] || (field !== 'notes' && taken.has(field))) continue;
    taken.add(field);
    out[column] = { field, unit: guessUnit(field, headings[column]!, cellsOf(column), system) };
  }
  return out.map((m, column) => {
    if (m) return m;
    const cells = cellsOf(column).filter((c) => c !== '');
    const words = cells.filter((c) => /\p{L}{3}/u.test(c)).length;
    return { field: words > 0.5 * cells.length && cells.length > 0 ? 'notes' : null, unit: null };
  });
}
