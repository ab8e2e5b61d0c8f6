import type Joi from 'joi';
import { parseJson } from './json';

/**
 * A command's case as text (JSON), checked by its schema.
 *
 * @throws RangeError that names the field and what is wrong with it
 */
export function readCase(text: string, schema: Joi.Schema) {
  let raw: unknown;
  try {
    raw = parseJson(text);
  } catch (error) {
    throw new RangeError(`case: ${(error as Error).message}`);
  }
  const { value, error } = schema.validate(raw, { convert: false });
  if (error) throw new RangeError(error.message.replaceAll('"', ''));
  return value;
}

/** Whether there is such a day. @example isDay('2026-02-31') // false */
export function isDay(day: string): boolean {
  const at = Date.parse(`${day}T00:00Z`);
  return Number.isFinite(at) && new Date(at).toISOString().slice(0, 10) === day;
}

/**
 * A time of a case, ms UTC. Without a zone it is UTC: the same on every machine.
 *
 * @param field where it stands. @throws RangeError that names the field, for a day that no calendar has
 */
export function moment(iso: string, field = 'at'): number {
  const [day] = iso.split('T');
  if (/^\d{4}-\d\d-\d\d$/.test(day!) && !isDay(day!)) throw new RangeError(`${field}: there is no ${day}`);
  return Date.parse(/(Z|[+-]\d\d:?\d\d)$/.test(iso) || !iso.includes('T') ? iso : `${iso}Z`);
}
