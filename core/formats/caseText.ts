import type Joi from 'joi';

/**
 * A command's case as text (JSON), checked by its schema.
 *
 * @throws RangeError that names the field and what is wrong with it
 */
export function readCase(text: string, schema: Joi.Schema) {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    throw new RangeError(`case: not JSON (${(error as Error).message})`);
  }
  const { value, error } = schema.validate(raw, { convert: false });
  if (error) throw new RangeError(error.message.replaceAll('"', ''));
  return value;
}

/** A time of a case, ms UTC. Without a zone it is UTC: the same on every machine. */
export const moment = (iso: string): number =>
  Date.parse(/(Z|[+-]\d\d:?\d\d)$/.test(iso) || !iso.includes('T') ? iso : `${iso}Z`);
