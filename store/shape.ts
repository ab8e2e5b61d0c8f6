import Joi from 'joi';

/** A schema that names every field of an interface, no more and no less. (Joi's own strict typing knows no read-only lists.) */
export const shape = <T>(keys: Readonly<Record<keyof T, Joi.Schema>>) => Joi.object<T>(keys);

/** What tells a thing from others: part of its key, so no slash, and no name that every object has. */
export const id = Joi.string()
  .min(1)
  .max(80)
  .custom((value: string, helpers) => (value.includes('/') || value in {} ? helpers.error('id.taken') : value))
  .messages({ 'id.taken': '{{#label}} may hold no slash and be no word like "constructor"' })
  .required();
export const name = Joi.string().trim().min(1).max(80).required();
export const text = (max = 2000) => Joi.string().allow('').max(max).required();
export const within = (low: number, high: number) => Joi.number().min(low).max(high).required();
export const time = within(0, 4e12);
export const oneOf = (values: readonly string[]) =>
  Joi.string()
    .valid(...values)
    .required();
export const orNull = (s: Joi.Schema) => s.allow(null);
