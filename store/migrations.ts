import type { RecordKind } from './records';

type Old = Record<string, unknown>;
type Migration = (old: Old) => Old;

/** What turns a record of version n into version n + 1, in order; a kind's version is one more than their number.
 * Steps are never changed once data of their kind exist: old data always opens. */
export const MIGRATIONS: Record<RecordKind, readonly Migration[]> = {
  water: [],
  run: [],
  kit: [],
  reading: [
    // 1 → 2: a visibility could not be a lower bound yet, and the temperature's name did not say of what.
    ({ temperatureC = null, ...rest }) => ({ ...rest, atLeast: false, waterTempC: temperatureC }),
  ],
  outing: [],
  settings: [],
  session: [],
};

export const versionOf = (kind: RecordKind): number => MIGRATIONS[kind].length + 1;

/** Brings data of an older version up to date. Throws RangeError when it is newer than this program. */
export function migrate(kind: RecordKind, version: number, data: Old): Old {
  const now = versionOf(kind);
  if (!Number.isInteger(version) || version < 1) throw new RangeError(`${kind}: version ${version} does not exist`);
  if (version > now)
    throw new RangeError(`${kind}: written by a newer version of the program (${version}, this one knows ${now})`);
  return MIGRATIONS[kind].slice(version - 1).reduce((d, step) => step(d), data);
}
