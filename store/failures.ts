import { SilentError } from './storage';

/** Why a store fails, in the user's terms, and what to do about it. */
const CAUSES = {
  full: 'this device has no room left. Free some (photos, other sites’ data), then try again',
  forbidden: 'this browser forbids it (a private window, or storing is blocked for this site). Allow it, or export',
  closed: 'the browser closed the store. Try again; if that does not help, export and reload the page',
  silent: 'the browser’s store does not answer. Close other tabs of this page, then try again',
  newer: 'a part of the program didn’t load. Reload the page: a new version may be here',
  busy: 'another tab of this page holds the store. Close other tabs, then try again',
} as const;
export type Cause = keyof typeof CAUSES;

/** What browsers say, by name or in words, when they mean one of the causes. */
const SIGNS: readonly (readonly [Cause, RegExp])[] = [
  ['newer', /AsyncRequireError|Loading module/i],
  ['full', /quota|no space|not enough|full disk|disk (is )?full|no room/i],
  ['busy', /TimeoutError|AbortError.*lock|signal timed out/i],
  [
    'forbidden',
    /SecurityError|denied|insecure|forbidden|not allowed|is not defined|API missing|without user|mutation/i,
  ],
  ['closed', /clos(ed|ing)|InvalidState|connection|UnknownError|backing store|deleted/i],
];

/** @param room how full the store is, if the browser says: AsyncStorage reports a full disk without words */
export function causeOf(error: unknown, room: { usage?: number; quota?: number } | null): Cause | null {
  if (error instanceof SilentError) return 'silent';
  const said = error instanceof Error ? `${error.name}: ${error.message}` : String(error);
  const sign = SIGNS.find(([, words]) => words.test(said));
  if (sign) return sign[0];
  return room?.quota && room.usage && room.usage > 0.95 * room.quota ? 'full' : null;
}

export function wordCause(cause: Cause | null, error: unknown): string {
  if (cause) return CAUSES[cause];
  return `the browser says “${(error as Error)?.message || 'no'}”. Try again; if that does not help, export`;
}
