import { parseJson } from '@/formats/json';
import type { LogEvent } from '@/core/logbook';
import {
  type AllRecords,
  type Backup,
  BACKUP_FORMAT,
  BACKUP_VERSION,
  type BackupSource,
  DAMAGED_BEGIN,
  FILE_END,
  LOGS_BEGIN,
  sourceOf,
} from './backup';
import { withNew } from './changes';
import { checkEnvelope, openEventList } from './check';
import type { OutingEvents } from './database';
import type { Envelope } from './envelopes';
import { type Breathe, Ended, linesOf, textOf } from './lines';
import { EVENT_VERSIONS, type EventVersions } from './migrations';
import { LATER_KINDS, RECORD_KINDS, type RecordKind } from './records';
import { DAY_MS, own } from '@/core/units';

/** Largest file that is read at once, in characters: one that another program wrote or laid out anew. */
export const LARGEST_FILE = 200e6;
export const TOO_LARGE = `This file is larger than ${LARGEST_FILE / 1e6} MB, the limit for files that another program wrote or changed. Import the export as it was saved.`;
/** A clock that is wrong by a time zone is no fault. */
const AHEAD_MS = 2 * DAY_MS;
/** Events that are checked between two words of progress. */
const SLICE = 500;

type Raw = Partial<Backup> & { readonly version: number };

function parse(text: string): Raw {
  if (text.length > LARGEST_FILE) throw new RangeError(TOO_LARGE);
  return checkHead(parsed(text, 1));
}

/** The JSON of a text that begins in this line of a file. */
function parsed(text: string, line: number): unknown {
  try {
    return parseJson(text, line);
  } catch (error) {
    throw new RangeError(`The file can’t be read: ${(error as Error).message}. Choose another copy of it.`);
  }
}

function checkHead(value: unknown): Raw {
  const raw = value as Partial<Backup> | null;
  if (typeof raw !== 'object' || raw === null || raw.format !== BACKUP_FORMAT)
    throw new RangeError(`This is JSON, but not a backup of this program: its "format" is not "${BACKUP_FORMAT}".`);
  const { version } = raw;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    throw new RangeError(
      'The backup does not say its version, so it cannot be read safely. Choose another copy of it.',
    );
  if (version > BACKUP_VERSION)
    throw new RangeError(`The backup's version ${version} is not known here; update the program first.`);
  return { ...raw, version };
}

const several = (n: number, one: string) => (n === 1 ? `one ${one}` : `${n} ${one}s`);

/** Refuses a time that has not come yet: counts and rates would be wrong for years. */
function checkTime(at: number | null, now: number, where: string): void {
  if (at !== null && at > now + AHEAD_MS)
    throw new RangeError(
      `${where}: its time, ${new Date(at).toISOString().slice(0, 10)}, has not come yet. Correct it in the file.`,
    );
}

/** The records of one kind, each once. */
function readKind<K extends RecordKind>(kind: K, raw: unknown, now: number, repaired: string[]): Envelope<K>[] {
  if (raw === undefined) {
    if (!(LATER_KINDS as readonly string[]).includes(kind))
      repaired.push(`The file has no list "${kind}"; none were read.`);
    return [];
  }
  if (!Array.isArray(raw)) throw new RangeError(`records.${kind}: not a list`);
  const byId = new Map<string, Envelope<K>>();
  raw.forEach((e, i) => {
    const where = `records.${kind}[${i}]`;
    const read = checkEnvelope(kind, e, where);
    if ('startedAt' in read.data) checkTime(read.data.startedAt, now, where);
    if ('at' in read.data) checkTime(read.data.at, now, where);
    const envelope = { ...read, savedAt: Math.min(read.savedAt, now) };
    const other = byId.get(read.data.id);
    if (!other || other.savedAt < envelope.savedAt) byId.set(read.data.id, envelope);
  });
  const undated = [...byId.values()].filter((e) => !(e.savedAt > 0)).length;
  if (undated > 0)
    repaired.push(`${several(undated, kind)} without the time of saving: where one is here already, that stays.`);
  const twice = raw.length - byId.size;
  if (twice > 0) repaired.push(`${several(twice, kind)} stood twice in the file; the later one was used.`);
  return [...byId.values()];
}

/** What belongs to something that is not in the file. It is kept: what it belongs to may be here already. */
function tellOrphans(records: Record<RecordKind, Envelope[]>, repaired: string[]): void {
  const ids = (kind: RecordKind) => new Set(records[kind].map((e) => e.data.id));
  const tell = <K extends RecordKind>(kind: K, of: RecordKind, owner: (r: Envelope<K>['data']) => string) => {
    const known = ids(of);
    const lost = records[kind].filter((e) => !known.has(owner(e.data as Envelope<K>['data'])));
    if (lost.length > 0)
      repaired.push(`${several(lost.length, kind)} without its ${of} in the file: imported all the same.`);
  };
  tell('run', 'water', (r) => r.waterId);
  tell('outing', 'water', (o) => o.waterId);
  tell('reading', 'run', (r) => r.runId);
  tell('report', 'water', (r) => r.waterId);
  tell('trip', 'water', (t) => t.waterId);
}

/** A log in a file, checked. Says the share of it that is done. */
function* readLog(
  log: unknown,
  where: string,
  version: number,
  outings: ReadonlySet<string>,
  now: number,
): Generator<number, OutingEvents, undefined> {
  const l = (typeof log === 'object' ? log : null) as {
    outingId?: unknown;
    events?: unknown;
    versions?: EventVersions;
  } | null;
  const outingId = l?.outingId;
  if (typeof outingId !== 'string' || !outings.has(outingId))
    throw new RangeError(
      `${where}: its outing ${typeof outingId === 'string' ? `"${outingId}"` : '(none is named)'} is not among the records`,
    );
  if (!Array.isArray(l?.events)) throw new RangeError(`${where}: not a list of events`);
  const all: unknown[] = l.events;
  const events: LogEvent[] = [];
  for (let from = 0; from < Math.max(1, all.length); from += SLICE) {
    const part = all.slice(from, from + SLICE);
    events.push(...openEventList(version === 1 ? part : { ...l, events: part }, where, from));
    yield from / Math.max(1, all.length);
  }
  events.forEach((e, n) => checkTime(e.at, now, `${where}, event ${n + 1}`));
  return { outingId, events };
}

/** What stands in two logs, or twice, in words. */
const twiceWords = (joined: number, twice: number): string[] => [
  ...(joined > 0 ? [`${several(joined, 'outing')} had more than one log; they were joined.`] : []),
  ...(twice > 0 ? [`${several(twice, 'log entry').replace('entrys', 'entries')} stood twice; counted once.`] : []),
];

/** The logs, one for an outing and each event once, in order of time. Says the share of events that are read. */
function* readLogs(
  raw: readonly unknown[],
  version: number,
  outings: ReadonlySet<string>,
  now: number,
  repaired: string[],
): Generator<number, Map<string, LogEvent[]>, undefined> {
  const logs = new Map<string, LogEvent[]>();
  let joined = 0;
  let twice = 0;
  for (const [i, log] of raw.entries()) {
    const work = readLog(log, `logs[${i}]`, version, outings, now);
    let step = work.next();
    for (; !step.done; step = work.next()) yield (i + step.value) / raw.length;
    const { outingId, events } = step.value;
    const before = logs.get(outingId);
    if (before) joined++;
    const once = withNew(before ?? [], events);
    twice += (before?.length ?? 0) + events.length - once.length;
    logs.set(outingId, before ? once.sort((a, b) => a.at - b.at) : once);
  }
  repaired.push(...twiceWords(joined, twice));
  return logs;
}

/** The records of a file, each once. */
function* readRecords(raw: Raw, now: number, repaired: string[]): Generator<number, AllRecords, undefined> {
  if (typeof raw.records !== 'object' || raw.records === null || Array.isArray(raw.records))
    throw new RangeError('records: missing, so there is nothing to import. Choose another copy of the file.');
  const records = {} as AllRecords;
  for (const kind of RECORD_KINDS) {
    records[kind] = readKind(kind, own(raw.records as Record<string, unknown>, kind), now, repaired);
    yield 0;
  }
  const unknown = Object.keys(raw.records).filter((k) => !(RECORD_KINDS as readonly string[]).includes(k));
  if (unknown.length > 0)
    repaired.push(`Left out, because this version does not know it: ${unknown.slice(0, 5).join(', ')}.`);
  tellOrphans(records, repaired);
  return records;
}

const damagedWords = (n: number): string[] =>
  n === 0
    ? []
    : [
        `${several(n, 'record')} in this file ${n === 1 ? 'was' : 'were'} damaged when it was written, and left out here. The file still holds ${n === 1 ? 'it' : 'them'}.`,
      ];

/** Reads and checks a backup, saying its share done. Throws RangeError that says what is wrong, where, and what to do. */
export function* readingBackup(
  text: string,
  now: number,
): Generator<number, { backup: Backup; repaired: string[] }, undefined> {
  const raw = parse(text);
  const repaired: string[] = [];
  const records = yield* readRecords(raw, now, repaired);
  const rawLogs: unknown = raw.logs ?? [];
  if (!Array.isArray(rawLogs)) throw new RangeError('logs: not a list');
  if (raw.logs === undefined && records.outing.length > 0) repaired.push('The file has outings, but no logs of them.');
  const outings = new Set(records.outing.map((o) => o.data.id));
  const read = yield* readLogs(rawLogs, raw.version, outings, now, repaired);
  if (Array.isArray(raw.damaged)) repaired.push(...damagedWords(raw.damaged.length));
  const logs = [...read].map(([outingId, events]) => ({ outingId, versions: EVENT_VERSIONS, events }));
  const { format, version } = { format: BACKUP_FORMAT, version: BACKUP_VERSION } as const;
  return { backup: { format, version, exportedAt: String(raw.exportedAt), records, logs }, repaired };
}

export function drained<T>(work: Generator<unknown, T, undefined>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** A backup, and what had to be put right in it, in words: all of that is known once its logs have been read. */
export interface ReadSource extends BackupSource {
  readonly repaired: readonly string[];
}

/** A file that is laid out otherwise than this program does. */
export class OtherLayout extends Error {}

/**
 * A backup that is laid out as this program does, of any length: a log is read and checked when it is asked for.
 *
 * @param now ms since 1970
 * @throws RangeError that says what is wrong, where, and what to do; OtherLayout, also while logs are read
 */
export async function readByLines(file: Blob, now: number, breathe: Breathe): Promise<ReadSource> {
  const head: string[] = [];
  let size = 0;
  let isBegun = false;
  for await (const [line] of linesOf(file, breathe)) {
    if (head.length === 0 && !/^\{"format":"wanderung-backup",.*"records":\{$/.test(line)) throw new OtherLayout();
    if ((isBegun = line === LOGS_BEGIN)) break;
    head.push(line);
    size += line.length;
    if (size > LARGEST_FILE) throw new RangeError(TOO_LARGE);
  }
  if (!isBegun) throw new OtherLayout(); // cut off: told with its place
  const raw = checkHead(parsed(`${head.join('\n')}\n}}`, 1));
  const repaired: string[] = [];
  const records = drained(readRecords(raw, now, repaired));
  const outings = new Set(records.outing.map((o) => o.data.id));

  async function* logs(): AsyncGenerator<OutingEvents> {
    const done = new Set<string>();
    let part: 'records' | 'logs' | 'damaged' | 'end' = 'records';
    let damaged = 0;
    let twice = 0;
    let last = 0;
    for await (const [line, number] of linesOf(file, breathe)) {
      last = number;
      if (line === LOGS_BEGIN) part = 'logs';
      else if (line === DAMAGED_BEGIN) part = 'damaged';
      else if (line === FILE_END) part = 'end';
      else if (part === 'damaged' && line !== '') damaged++;
      else if (part === 'logs' && line !== '') {
        const value = parsed(line.replace(/,$/, ''), number);
        const { outingId, events } = drained(readLog(value, `logs[${done.size}]`, raw.version, outings, now));
        // Two logs of one outing are joined: for that all of them are wanted at once.
        if (done.has(outingId)) throw new OtherLayout();
        done.add(outingId);
        const once = withNew([], events);
        twice += events.length - once.length;
        yield { outingId, events: once };
      }
    }
    if (part !== 'end') throw new RangeError(`The file is cut off behind line ${last}. Choose another copy of it.`);
    tellOnce(repaired, twiceWords(0, twice));
    tellOnce(repaired, damagedWords(damaged));
  }
  return { records, repaired, logs };
}

/** Logs may be read more than once. */
function tellOnce(repaired: string[], words: readonly string[]): void {
  repaired.push(...words.filter((w) => !repaired.includes(w)));
}

/** A backup that is laid out in any way, all of it at once. */
export async function readWhole(file: Blob, now: number, breathe: Breathe): Promise<ReadSource> {
  if (file.size > LARGEST_FILE) throw new RangeError(TOO_LARGE);
  const work = readingBackup(await textOf(file, LARGEST_FILE, TOO_LARGE, breathe), now);
  for (;;) {
    const step = work.next();
    if (step.done) return { ...sourceOf(step.value.backup), repaired: step.value.repaired };
    if (!(await breathe(step.value))) throw new Ended();
  }
}
