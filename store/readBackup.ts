import { parseJson } from '@/core/formats/json';
import type { LogEvent } from '@/core/logbook';
import { type Backup, BACKUP_FORMAT, BACKUP_VERSION } from './backup';
import { withNew } from './changes';
import { checkEnvelope, openEventList } from './check';
import type { Envelope } from './envelopes';
import { EVENT_VERSIONS, type EventVersions } from './migrations';
import { LATER_KINDS, RECORD_KINDS, type RecordKind } from './records';
import { DAY_MS } from '@/core/units';

/** Largest file that is read, in characters: some two hundred thousand events an outing's notes included. */
export const LARGEST_FILE = 200e6;
export const TOO_LARGE = `This file is larger than ${LARGEST_FILE / 1e6} MB, the most that is read here.`;
/** A clock that is wrong by a time zone is no fault. */
const AHEAD_MS = 2 * DAY_MS;
/** Events that are checked between two words of progress. */
const SLICE = 500;

/** A backup that was read, and what had to be put right in it, in words. */
export interface ReadBackup {
  readonly backup: Backup;
  readonly repaired: readonly string[];
}

function parse(text: string): Partial<Backup> & { readonly version: number } {
  if (text.length > LARGEST_FILE) throw new RangeError(TOO_LARGE);
  let raw: Partial<Backup> | null;
  try {
    raw = parseJson(text) as Partial<Backup> | null;
  } catch (error) {
    throw new RangeError(`It cannot be read: ${(error as Error).message}. Choose another copy of it.`);
  }
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
      `${where}: its time, ${new Date(at).toISOString().slice(0, 10)}, has not come yet. Put it right in the file.`,
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
  const twice = raw.length - byId.size;
  if (twice > 0) repaired.push(`${several(twice, kind)} stood twice in the file; the later saved was taken.`);
  return [...byId.values()];
}

/** What belongs to something that is not in the file. It is kept: what it belongs to may be here already. */
function tellOrphans(records: Record<RecordKind, Envelope[]>, repaired: string[]): void {
  const ids = (kind: RecordKind) => new Set(records[kind].map((e) => e.data.id));
  const tell = <K extends RecordKind>(kind: K, of: RecordKind, owner: (r: Envelope<K>['data']) => string) => {
    const known = ids(of);
    const lost = records[kind].filter((e) => !known.has(owner(e.data as Envelope<K>['data'])));
    if (lost.length > 0)
      repaired.push(`${several(lost.length, kind)} without its ${of} in the file: kept all the same.`);
  };
  tell('run', 'water', (r) => r.waterId);
  tell('outing', 'water', (o) => o.waterId);
  tell('reading', 'run', (r) => r.runId);
  tell('report', 'water', (r) => r.waterId);
  tell('trip', 'water', (t) => t.waterId);
}

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
    const where = `logs[${i}]`;
    const l = (typeof log === 'object' ? log : null) as {
      outingId?: unknown;
      events?: unknown;
      versions?: EventVersions;
    } | null;
    const outingId = l?.outingId;
    if (typeof outingId !== 'string' || !outings.has(outingId))
      throw new RangeError(`${where}: its outing "${String(outingId)}" is not among the records`);
    if (!Array.isArray(l?.events)) throw new RangeError(`${where}: not a list of events`);
    const all: unknown[] = l.events;
    const events: LogEvent[] = [];
    for (let from = 0; from < Math.max(1, all.length); from += SLICE) {
      const part = all.slice(from, from + SLICE);
      events.push(...openEventList(version === 1 ? part : { ...l, events: part }, where, from));
      yield (i + from / Math.max(1, all.length)) / raw.length;
    }
    events.forEach((e, n) => checkTime(e.at, now, `${where}, event ${n + 1}`));
    const before = logs.get(outingId);
    if (before) joined++;
    const once = withNew(before ?? [], events);
    twice += (before?.length ?? 0) + events.length - once.length;
    logs.set(outingId, before ? once.sort((a, b) => a.at - b.at) : once);
  }
  if (joined > 0) repaired.push(`${several(joined, 'outing')} had more than one log; they were joined.`);
  if (twice > 0)
    repaired.push(`${several(twice, 'log entry').replace('entrys', 'entries')} stood twice; counted once.`);
  return logs;
}

/**
 * Reads and checks a backup, saying its share done. Nothing is stored by it.
 *
 * @param now ms since 1970
 * @throws RangeError that says what is wrong, where, and what to do
 */
export function* readingBackup(text: string, now: number): Generator<number, ReadBackup, undefined> {
  const raw = parse(text);
  if (typeof raw.records !== 'object' || raw.records === null || Array.isArray(raw.records))
    throw new RangeError('records: missing, so there is nothing to bring in. Choose another copy of the file.');
  const repaired: string[] = [];
  const records = {} as Record<RecordKind, Envelope[]>;
  for (const kind of RECORD_KINDS) {
    records[kind] = readKind(kind, raw.records[kind], now, repaired);
    yield 0;
  }
  const unknown = Object.keys(raw.records).filter((k) => !(RECORD_KINDS as readonly string[]).includes(k));
  if (unknown.length > 0)
    repaired.push(`Left out, because this version does not know it: ${unknown.slice(0, 5).join(', ')}.`);
  tellOrphans(records, repaired);
  const rawLogs: unknown = raw.logs ?? [];
  if (!Array.isArray(rawLogs)) throw new RangeError('logs: not a list');
  if (raw.logs === undefined && records.outing.length > 0) repaired.push('The file has outings, but no logs of them.');
  const outings = new Set(records.outing.map((o) => o.data.id));
  const read = yield* readLogs(rawLogs, raw.version, outings, now, repaired);
  const logs = [...read].map(([outingId, events]) => ({ outingId, versions: EVENT_VERSIONS, events }));
  const backup = {
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    exportedAt: String(raw.exportedAt),
    records,
    logs,
  } as const;
  return { backup, repaired };
}

/** Reads and checks a backup in one go. Throws RangeError that says what is wrong and where. */
export function readBackup(text: string, now: number): ReadBackup {
  const work = readingBackup(text, now);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
