import { isWhole, seal, unseal } from './seal';
import { type Entry, goOn } from './entry';
import { NOTHING } from './view';

/** Files that only grow at their end, as far as a second copy needs them. */
export interface CopyFiles {
  list(): Promise<string[]>;
  /** In bytes; 0 where there is none. */
  size(name: string): Promise<number>;
  /**
   * Adds bytes at the end of a file, which is made where there is none.
   *
   * @returns its size then; null when they do not fit, with `spareBytes` beside them: then the file is as it was
   */
  append(name: string, bytes: Uint8Array, spareBytes: number): Promise<number | null>;
  read(name: string, from: number, to: number): Promise<Uint8Array>;
  remove(name: string): Promise<void>;
}

/** So much room must be left beside what is written: a store moves more than that about when it tidies itself up. */
const SPARE_BYTES = 4e6;
/** The journal is put together anew when it is longer than this, and than what it goes on from. */
const LONGEST_JOURNAL = 8e6;
const SLICE_BYTES = 1e6;
/** A place in which bytes of a line stand. */
type Place = readonly [file: string, from: number, to: number];
/** What one transaction wrote, by its number. */
interface Written {
  readonly serial: number;
  readonly at: readonly (readonly [key: string, isWhole: boolean, place: Place])[];
}

/**
 * What became of an addition. `no room`: nothing was added, and nothing must be stored now; `behind`: added, but something is
 * missing before it; `long`: added, and it is worth gathering anew.
 */
export type Appended = 'done' | 'no room' | 'behind' | 'long';

const encoder = new TextEncoder();
const decoder = new TextDecoder();
const line = (of: unknown): string => `${seal(JSON.stringify(of))}\n`;
/** Entries of a transaction; a line that was cut short, by whichever page, ends before them. */
const entryLines = (serial: number, entries: readonly Entry[]): string =>
  `\n${entries.map((e) => line([serial, ...e])).join('')}`;
/** The end of a transaction, with how many entries before it are its own. */
const endOf = (serial: number, entries: number): string => line([serial, entries]);
const NEWLINE = 10;

const nameOf = (kind: 'base' | 'journal', n: number): string => `${kind}-${String(n).padStart(6, '0')}`;
const numberOf = (file: string): number => Number(file.slice(-6));

/**
 * The second copy of a key-value store, in files that only grow (docs/reliability.md). A `journal` holds what was
 * written, a line an entry and a line that ends each transaction; a `base` holds all there was when its journal began.
 * Every line is sealed: one that was cut short ends nothing, so its transaction does not count.
 */
export function createSecondCopy(files: CopyFiles) {
  /** The number of the last transaction in the newest journal; null where that cannot be told. */
  let last: number | null | undefined;

  const named = async (kind: 'base' | 'journal') => (await files.list()).filter((f) => f.startsWith(kind)).sort();
  const newest = async () => Math.max(0, ...(await files.list()).map(numberOf));

  /** The lines of a file from the first on, each with its place; those whose seal is broken are left out. */
  async function* lines(file: string): AsyncGenerator<{ value: readonly unknown[]; place: Place }> {
    const size = await files.size(file);
    let rest = new Uint8Array(0);
    for (let from = 0; from < size; from += SLICE_BYTES) {
      const bytes = await files.read(file, from, Math.min(size, from + SLICE_BYTES));
      const start = from - rest.length;
      const all = new Uint8Array(rest.length + bytes.length);
      all.set(rest);
      all.set(bytes, rest.length);
      let begin = 0;
      for (let end = all.indexOf(NEWLINE); end >= 0; end = all.indexOf(NEWLINE, begin)) {
        const value = opened(all.subarray(begin, end));
        if (value) yield { value, place: [file, start + begin, start + end] };
        begin = end + 1;
      }
      rest = all.slice(begin);
    }
  }
  function opened(bytes: Uint8Array): readonly unknown[] | null {
    try {
      const { value, intact } = unseal(decoder.decode(bytes));
      return intact && Array.isArray(value) ? (value as unknown[]) : null;
    } catch {
      return null;
    }
  }

  /** The transactions of a file that were written to their ends. */
  async function writtenIn(file: string): Promise<Written[]> {
    const out: Written[] = [];
    let at: Written['at'][number][] = [];
    for await (const { value, place } of lines(file)) {
      const [serial, key, keep] = value as [number, string | number, number];
      if (typeof key === 'string') at.push([key, keep === 0, place]);
      else {
        out.push({ serial, at: key > 0 ? at.slice(-key) : [] });
        at = [];
      }
    }
    return out;
  }

  /** What counts of all that was written. */
  async function standing(): Promise<{ serial: number; at: Map<string, Place[]>; isWhole: boolean }> {
    let base: Written | undefined;
    let from = 0;
    for (const file of (await named('base')).reverse())
      if ((base = (await writtenIn(file)).at(-1))) {
        from = numberOf(file);
        break;
      }
    const all: Written[] = base ? [base] : [];
    let isWhole = base !== undefined;
    for (const file of (await named('journal')).filter((f) => numberOf(f) >= from))
      for (const next of await writtenIn(file)) {
        if (all.length === 0) isWhole = next.serial <= 1;
        // One that is done over again was not stored the first time; a journal begins with the last that was.
        const stored = next.at.length > 0 ? next.serial - 1 : next.serial;
        while (all.length > (base ? 1 : 0) && all.at(-1)!.serial > stored) all.pop();
        all.push(next);
      }
    const at = new Map<string, Place[]>();
    for (const w of all)
      for (const [key, whole, place] of w.at)
        if (whole) at.set(key, [place]);
        else at.get(key)?.push(place);
    return { serial: Math.max(0, ...all.map((w) => w.serial)), at, isWhole };
  }

  /** Values, in slices. @param withNothing those that were removed, too */
  async function* valuesOf(
    at: ReadonlyMap<string, readonly Place[]>,
    withNothing = false,
  ): AsyncGenerator<[string, string][]> {
    let slice: [string, string][] = [];
    let size = 0;
    for (const [key, places] of at) {
      const value = (await valueAt(places)) ?? (withNothing ? NOTHING : null);
      if (value === null) continue;
      slice.push([key, value]);
      size += value.length;
      if (size < SLICE_BYTES) continue;
      yield slice;
      slice = [];
      size = 0;
    }
    if (slice.length > 0) yield slice;
  }

  /** What was read last: places are mostly asked for one behind another. */
  let block: { file: string; from: number; bytes: Uint8Array } | null = null;
  async function bytesAt([file, from, to]: Place): Promise<Uint8Array> {
    if (block?.file !== file || from < block.from || to > block.from + block.bytes.length) {
      const end = Math.min(await files.size(file), Math.max(to, from + SLICE_BYTES));
      block = { file, from, bytes: await files.read(file, from, end) };
    }
    return block.bytes.subarray(from - block.from, to - block.from);
  }

  async function valueAt(places: readonly Place[]): Promise<string | null> {
    let value: string | null = null;
    for (const place of places) {
      const [, ...entry] = opened(await bytesAt(place)) as [number, ...Entry];
      const next = goOn(value ?? '', entry);
      if (isWhole(next)) value = next;
    }
    return value === NOTHING ? null : value;
  }

  /** The number of the transaction that a file ends with; null where it does not end with a whole one. */
  async function lastOf(file: string): Promise<number | null> {
    const size = await files.size(file);
    const end = decoder.decode(await files.read(file, Math.max(0, size - 64), size));
    const value = end.endsWith('\n') ? opened(encoder.encode(end.trimEnd().split('\n').pop())) : null;
    return value?.length === 2 ? (value[0] as number) : null;
  }

  /** Whether the newest journal goes on from a whole base, or from the beginning. */
  async function isBegun(n: number): Promise<boolean> {
    const all = await files.list();
    if (all.includes(nameOf('base', n))) return (await lastOf(nameOf('base', n))) !== null;
    for await (const { value } of lines(nameOf('journal', n))) return (value[0] as number) <= 1;
    return true;
  }

  return {
    /**
     * Adds what is about to be stored.
     *
     * @param before the number of the transaction before it
     */
    async append(before: number, serial: number, entries: readonly Entry[]): Promise<Appended> {
      const n = await newest();
      const file = nameOf('journal', n);
      const isFirst = last === undefined;
      // Another tab may have gone on with it.
      if (last === undefined || (last ?? before) < before) last = (await files.size(file)) > 0 ? await lastOf(file) : 0;
      const bytes = encoder.encode(entryLines(serial, entries) + endOf(serial, entries.length));
      const size = await files.append(file, bytes, SPARE_BYTES);
      if (size === null) return 'no room';
      const isBehind = last === null || last < before || (isFirst && !(await isBegun(n)));
      last = serial;
      if (isBehind) return 'behind';
      return size > LONGEST_JOURNAL && size > (await files.size(nameOf('base', n))) ? 'long' : 'done';
    },

    /** Whether there is room for more, without writing any. */
    hasRoom: async (): Promise<boolean> =>
      (await files.append(nameOf('journal', await newest()), new Uint8Array(0), SPARE_BYTES)) !== null,

    /** Begins a new journal, while nothing else is written. Returns whether there was room. */
    async turn(serial: number): Promise<boolean> {
      last = serial;
      const journal = nameOf('journal', (await newest()) + 1);
      return (await files.append(journal, encoder.encode(endOf(serial, 0)), SPARE_BYTES)) !== null;
    },

    /**
     * Gathers all that is stored, for the newest journal to go on from; what came before goes. What is written meanwhile
     * is in the journal, and counts over it.
     *
     * @param stored all that is stored, in slices, as it stands while it is read
     * @returns whether there was room
     */
    async gather(serial: number, stored: AsyncIterable<readonly (readonly [string, string])[]>): Promise<boolean> {
      const n = await newest();
      const base = nameOf('base', n);
      await files.remove(base);
      let known: Map<string, Place[]> | undefined;
      let entries = 0;
      const add = async (text: string) => (await files.append(base, encoder.encode(text), SPARE_BYTES)) !== null;
      for await (const slice of stored) {
        let text = '';
        for (const [key, value] of slice) {
          if (value === NOTHING) continue;
          // What is damaged in the store may be whole here.
          const mine = isWhole(value) ? null : await valueAt((known ??= (await standing()).at).get(key) ?? []);
          text += line([serial, key, 0, mine ?? value]);
          entries++;
        }
        if (text && !(await add(text))) {
          await files.remove(base);
          return false;
        }
      }
      if (!(await add(endOf(serial, entries)))) return false;
      for (const file of await files.list()) if (numberOf(file) < n) await files.remove(file);
      return true;
    },

    /** Adds entries of a transaction that is ended by `end`. Returns whether there was room. */
    async add(serial: number, entries: readonly Entry[]): Promise<boolean> {
      const bytes = encoder.encode(entryLines(serial, entries));
      return (await files.append(nameOf('journal', await newest()), bytes, SPARE_BYTES)) !== null;
    },
    /** Ends a transaction of so many entries; of none: what came after the one of that number does not count. */
    async end(serial: number, entries: number): Promise<boolean> {
      const bytes = encoder.encode(endOf(serial, entries));
      if ((await files.append(nameOf('journal', await newest()), bytes, SPARE_BYTES)) === null) return false;
      last = serial;
      return true;
    },

    /** What it holds: the number of its last transaction, whether it goes back to the beginning, and the values. */
    async open() {
      const { serial, at, isWhole } = await standing();
      return { serial, isWhole, values: () => valuesOf(at) };
    },

    /** What the last transaction wrote. */
    async last() {
      const at = new Map<string, Place[]>();
      for (const [key, , place] of (await writtenIn(nameOf('journal', await newest()))).at(-1)?.at ?? [])
        at.set(key, [place]);
      return { values: () => valuesOf(at, true) };
    },

    /** One value; null where there is none that is whole. */
    value: async (key: string): Promise<string | null> => valueAt((await standing()).at.get(key) ?? []),
  };
}
export type SecondCopy = ReturnType<typeof createSecondCopy>;
