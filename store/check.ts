import type { LogEvent } from '@/core/logbook';
import type { RecordKind, Records } from './records';
import type { Envelope } from './envelopes';
import { type EventVersions, migrate, migrateEvent, versionOf } from './migrations';

import type { Station } from './gauge';
import { eventSchema } from './eventSchemas';
import { explain, RECORD_SCHEMAS, stationsSchema } from './schemas';

/** A record that its schema allows. Throws RangeError that says what is wrong and where. */
export function checkRecord<K extends RecordKind>(kind: K, data: unknown, where: string = kind): Records[K] {
  const { value, error } = RECORD_SCHEMAS[kind].validate(data, { abortEarly: false, convert: false });
  if (error) throw new RangeError(explain(error, where));
  return value as Records[K];
}

/** An envelope of any version, brought up to date and checked. */
export function checkEnvelope<K extends RecordKind>(kind: K, value: unknown, where: string = kind): Envelope<K> {
  const e = value as Partial<Envelope<K>> | null;
  if (typeof e !== 'object' || e === null || typeof e.v !== 'number' || typeof e.data !== 'object' || e.data === null)
    throw new RangeError(`${where}: not a record`);
  const data = checkRecord(kind, migrate(kind, e.v, e.data as unknown as Record<string, unknown>), where);
  return { v: versionOf(kind), savedAt: typeof e.savedAt === 'number' ? e.savedAt : 0, data };
}

/**
 * Events of this version that their schema allows. Throws RangeError that says which is wrong, and where.
 *
 * @param before how many events of the list stand before these
 */
export function checkEvents(value: unknown, where = 'log', before = 0): LogEvent[] {
  if (!Array.isArray(value)) throw new RangeError(`${where}: not a list of events`);
  value.forEach((event, i) => {
    const { error } = eventSchema.validate(event, { convert: false });
    if (error) throw new RangeError(explain(error, `${where}, event ${before + i + 1}`));
  });
  return value as LogEvent[];
}

/** A list of events of any version, brought up to date and checked: with its versions, or bare as it once was. */
export function openEventList(value: unknown, where = 'log', before = 0): LogEvent[] {
  const { versions, events } = Array.isArray(value)
    ? { versions: null, events: value as unknown }
    : ((value ?? {}) as { versions?: EventVersions; events?: unknown });
  if (!Array.isArray(events)) throw new RangeError(`${where}: not a list of events`);
  if (versions === undefined) throw new RangeError(`${where}: does not say its versions`);
  const now = events.map((event: unknown, i) => {
    if (typeof event !== 'object' || event === null)
      throw new RangeError(`${where}, event ${before + i + 1}: not an event`);
    try {
      return migrateEvent(versions, event as Record<string, unknown>);
    } catch (error) {
      if (error instanceof RangeError) throw error;
      throw new RangeError(`${where}, event ${before + i + 1}: is damaged`);
    }
  });
  return checkEvents(now, where, before);
}

/** The server's list of stations. Throws RangeError that says what is wrong with it. */
export function checkStations(value: unknown): Station[] {
  const { value: stations, error } = stationsSchema.validate(value, { convert: false });
  if (error) throw new RangeError(explain(error, 'stations'));
  return stations as Station[];
}
