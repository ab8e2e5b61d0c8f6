import type { RecordKind } from './records';
import { RECORD_SCHEMAS } from './schemas';

/** What a schema finds wrong with a form's values, by the path of the field; empty when nothing is. */
export function faultsOf(kind: RecordKind, values: unknown): Record<string, string> {
  const { error } = RECORD_SCHEMAS[kind].validate(values, { abortEarly: false, convert: false });
  return Object.fromEntries((error?.details ?? []).map((d) => [d.path.join('.'), d.message.replaceAll('"', '')]));
}
