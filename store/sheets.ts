import { guessOrder } from '@/formats/sheet/dates';
import { matchColumns, type Matched } from '@/formats/sheet/fields';
import { outingsOf, type SheetOuting } from '@/formats/sheet/outings';
import { readRows } from '@/formats/sheet/rows';
import { readSheet, type Sheet } from '@/formats/sheet/table';
import { type DateOrder, type Fault, NEW_WATER, type RowValues } from '@/formats/sheet/terms';
import { decodeText } from '@/formats/text';
import { fold } from '@/core/logbook';
import { own } from '@/core/units';
import { type Backup, BACKUP_FORMAT, BACKUP_VERSION } from './backup';
import { checkEvents, checkRecord } from './check';
import type { Database } from './database';
import { EVENT_VERSIONS, versionOf } from './migrations';
import { type Outing, outingOf, RECORD_KINDS, type RecordKind, type Water } from './records';
import { type UnitSystem } from '@/words/units';

/** A sheet that was read, and what its columns are taken for. */
export interface SheetOffer {
  readonly headings: readonly string[];
  /** The first cells of each column that hold something. */
  readonly samples: readonly (readonly string[])[];
  readonly rows: number;
  readonly columns: readonly Matched[];
  readonly order: DateOrder;
  /** Whether its dates can be read in that order only. */
  readonly orderSure: boolean;
  /** Not UTF-8: read as Western European, as older spreadsheets write. */
  readonly western: boolean;
}

export interface SheetChoices {
  readonly columns: readonly Matched[];
  readonly order: DateOrder;
  readonly mended: readonly (readonly [string, string])[];
  /** Which water each name stands for, by name in lower case: one that is here, or NEW_WATER. */
  readonly waters: Readonly<Record<string, string>>;
  /** The water of rows that name none; a new water is like it. */
  readonly waterId: string;
  readonly castsAnHour: number | null;
}

export interface SheetPreview {
  /** Rows that can be read, the first of them, and those that cannot, the first of them. */
  readonly good: number;
  readonly shown: readonly { readonly line: number; readonly values: RowValues }[];
  readonly bad: number;
  readonly faulty: readonly {
    readonly line: number;
    readonly faults: readonly Fault[];
    readonly cells: readonly string[];
  }[];
  readonly asAbove: number;
  /** Names of waters in the sheet with what they stand for. */
  readonly waters: readonly { readonly name: string; readonly is: string; readonly rows: number }[];
  readonly outings: number;
  /** Days of a water that are logged here already: they stay as they are. */
  readonly here: number;
  readonly casts: number;
  readonly landed: number;
}

const [SHOWN, FAULTY, SAMPLES] = [40, 100, 3];
const LARGEST_SHEET = 30e6;

/** The text of a sheet: UTF-8 or what its mark says; otherwise Windows 1252, which older spreadsheets write. */
export function textOf(bytes: Uint8Array): { text: string; western: boolean } {
  try {
    return { text: decodeText(bytes), western: false };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), western: true };
  }
}

const dayKey = (waterId: string, at: number): string => `${waterId}|${new Date(at).toDateString()}`;

/** Sheets of other people’s logs: read, shown what they would become, made outings of. Holds the sheet that was read last. */
export function createSheets(db: Database, now: () => number) {
  let sheet: Sheet | null = null;
  const need = (): Sheet => {
    if (!sheet) throw new RangeError('Choose the file again.');
    return sheet;
  };

  const waterOf = (waters: readonly Water[], name: string, { waters: chosen, waterId }: SheetChoices): string => {
    if (name === '') return waterId;
    const key = name.toLowerCase();
    return own(chosen, key) ?? waters.find((w) => w.name.toLowerCase() === key)?.id ?? NEW_WATER;
  };
  /** Always the same id for the same name. */
  const newWaterId = (name: string): string => `sheet-water-${encodeURIComponent(name.toLowerCase()).slice(0, 60)}`;

  async function made(choices: SheetChoices) {
    const whole = need();
    const [waters, runs, outings] = [await db.all('water'), await db.all('run'), await db.all('outing')];
    const mended = new Map(choices.mended);
    const rows = [...readRows(whole, { ...choices, mended, now: now() })];
    const good = rows.flatMap((r) => (r.values ? [{ line: r.line, values: r.values }] : []));
    const named = new Map<string, { name: string; is: string; rows: number }>();
    for (const { values } of good) {
      const key = values.water.toLowerCase();
      const known = named.get(key) ?? { name: values.water, is: waterOf(waters, values.water, choices), rows: 0 };
      named.set(key, { ...known, rows: known.rows + 1 });
    }
    const idOf = (name: string): string => {
      const { is } = named.get(name.toLowerCase())!;
      return is === NEW_WATER ? newWaterId(name) : is;
    };
    const all = outingsOf(
      good.map((g) => g.values),
      {
        waterId: idOf,
        runId: (waterId, name) =>
          runs.find((r) => r.waterId === waterId && r.name.toLowerCase() === name.toLowerCase())?.id ?? null,
        castsAnHour: choices.castsAnHour,
      },
    );
    const days = new Set(outings.map((o) => dayKey(o.waterId, o.startedAt)));
    const fresh = all.filter(({ outing }) => !days.has(dayKey(outing.waterId, outing.startedAt)));
    return { rows, good, named: [...named.values()], all, fresh, waters };
  }

  return {
    /** Reads a sheet and says what its columns may be. Throws RangeError that says what is wrong with it. */
    async read(file: Blob, system: UnitSystem, before: Readonly<Record<string, Matched>>): Promise<SheetOffer> {
      if (file.size > LARGEST_SHEET)
        throw new RangeError(`This file is larger than ${LARGEST_SHEET / 1e6} MB, the most that is read here.`);
      const bytes = await file.arrayBuffer().catch(() => {
        throw new RangeError('This file can’t be opened: it may have been moved or changed. Choose it again.');
      });
      const { text, western } = textOf(new Uint8Array(bytes));
      if (text.startsWith('PK'))
        throw new RangeError('This is the spreadsheet program’s own file. Save it as CSV there, and choose that.');
      const read = readSheet(text);
      const cellsOf = (column: number) => read.rows.map((r) => r.cells[column]!);
      const columns = matchColumns(read.headings, cellsOf, system, before);
      const date = columns.findIndex((c) => c.field === 'date');
      const { order, sure } = guessOrder(
        date < 0 ? [] : cellsOf(date),
        system === 'metric' ? 'day first' : 'month first',
      );
      sheet = read;
      return {
        ...{ headings: read.headings, rows: read.rows.length, columns, order, orderSure: sure, western },
        samples: read.headings.map((_, i) =>
          cellsOf(i)
            .filter((c) => c !== '')
            .slice(0, SAMPLES),
        ),
      };
    },

    /** What the sheet would become; nothing is stored. */
    async preview(choices: SheetChoices): Promise<SheetPreview> {
      const { rows, good, named, all, fresh } = await made(choices);
      const faulty = rows.filter((r) => r.faults.length > 0);
      const cells = new Map(need().rows.map((r) => [r.line, r.cells]));
      const tallies = fresh.map((o) => fold(o.events).tally);
      return {
        ...{ good: good.length, shown: good.slice(0, SHOWN), bad: faulty.length },
        faulty: faulty.slice(0, FAULTY).map((r) => ({ line: r.line, faults: r.faults, cells: cells.get(r.line)! })),
        asAbove: rows.filter((r) => r.values && r.asAbove).length,
        waters: named.filter((n) => n.name !== ''),
        ...{ outings: fresh.length, here: all.length - fresh.length },
        casts: tallies.reduce((sum, t) => sum + t.casts, 0),
        landed: tallies.reduce((sum, t) => sum + t.landed, 0),
      };
    },

    /** What the sheet comes to, ready to be merged with what is here. @throws RangeError where that is nothing */
    async backup(choices: SheetChoices): Promise<Backup> {
      const { fresh, named, waters } = await made(choices);
      if (fresh.length === 0) throw new RangeError('Every day in the file is in your log already.');
      const like = waters.find((w) => w.id === choices.waterId);
      if (!like) throw new RangeError('Choose the water first.');
      const added = named
        .filter((n) => n.is === NEW_WATER)
        .map(({ name }): Water => ({
          ...like,
          ...{ id: newWaterId(name), name, stationId: null, normalStageM: null },
          character: `from a sheet; its place is that of ${like.name}`.slice(0, 80),
        }));
      return backupOf(added, fresh, now());
    },
  };
}

function backupOf(waters: readonly Water[], outings: readonly SheetOuting[], now: number): Backup {
  const records = Object.fromEntries(RECORD_KINDS.map((kind) => [kind, []])) as unknown as Backup['records'];
  const put = <K extends RecordKind>(kind: K, data: Water | Outing) =>
    records[kind].push({ v: versionOf(kind), savedAt: now, data: checkRecord(kind, data) } as never);
  waters.forEach((w) => put('water', w));
  outings.forEach(({ outing }) => put('outing', outingOf(outing)));
  const logs = outings.map(({ outing, events }) => ({
    outingId: outing.outingId,
    versions: EVENT_VERSIONS,
    events: checkEvents(events, outing.outingId),
  }));
  return { format: BACKUP_FORMAT, version: BACKUP_VERSION, exportedAt: new Date(now).toISOString(), records, logs };
}
