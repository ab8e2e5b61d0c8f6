import type { RecordKind, Records } from './records';
import { versionOf } from './migrations';
import { seal, unseal } from './seal';

/** A record as it is stored and exported: with its version and the time at which it was saved, ms since 1970. */
export interface Envelope<K extends RecordKind = RecordKind> {
  readonly v: number;
  readonly savedAt: number;
  readonly data: Records[K];
}

export const recordKey = (kind: RecordKind, id: string) => `${kind}/${id}`;

export const sealRecord = (kind: RecordKind, data: Records[RecordKind], savedAt: number): string =>
  seal(JSON.stringify({ v: versionOf(kind), savedAt, data }));

/** Opens a record of any version. Throws RangeError or SyntaxError when it is damaged. */
export async function openRecord<K extends RecordKind>(kind: K, stored: string): Promise<Envelope<K>> {
  const { value, intact } = unseal(stored);
  const e = value as Envelope<K>;
  if (intact && e.v === versionOf(kind)) return e;
  const { checkEnvelope } = await import('./parsers');
  return checkEnvelope(kind, value);
}
