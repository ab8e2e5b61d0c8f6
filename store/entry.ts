/** A stored string, or how it goes on: its seal and what follows after so many characters of what stood there before. */
export type Entry = readonly [key: string, keep: number, tail: string];
const SEAL = 8;
/** How a list of events ends. */
const ENDS = ']}';

/** How one string goes on from another: only where it is a longer list of the same events, else whole. */
export function entryOf(key: string, before: string | undefined, now: string): Entry {
  const keep = before ? before.length - ENDS.length : 0;
  const longer = keep > SEAL && now.length > keep && now.slice(SEAL, keep) === before!.slice(SEAL, keep);
  return longer ? [key, keep, now.slice(0, SEAL) + now.slice(keep)] : [key, 0, now];
}
export const goOn = (before: string, [, keep, tail]: Entry): string =>
  keep === 0 ? tail : tail.slice(0, SEAL) + before.slice(SEAL, keep) + tail.slice(SEAL);
