import { isOut, releaseAhead, SOON_MIN } from '@/core/plan/dam';
import type { Water } from '@/store/records';
import { useNow } from './useNow';
import { MINUTE_MS } from '@/core/units';
import { releaseWords } from '@/words/dam';

/** The dam release that is on or comes next. */
interface ReleaseNow {
  /** When it is and how long until then, in words. */
  readonly says: string;
  /** On, or still coming down: nobody is in the water. */
  readonly out: boolean;
  /** Out, or within the hour: told before anything else. */
  readonly urgent: boolean;
  /** How long until it, in whole five minutes, 0 while it is on. */
  readonly minutesUntil: number;
}

/** The dam release that concerns one on a water now, counted down by the minute; null where none is known within a day. */
export function useRelease(water: Pick<Water, 'releases'> | null | undefined): ReleaseNow | null {
  const now = useNow(MINUTE_MS / 4);
  const release = releaseAhead(water?.releases, now);
  if (!release) return null;
  const out = isOut(release, now);
  const urgent = out || release.fromAt - now < SOON_MIN * MINUTE_MS;
  return {
    says: releaseWords(release, now),
    out,
    urgent,
    minutesUntil: Math.max(0, 5 * Math.floor((release.fromAt - now) / (5 * MINUTE_MS))),
  };
}
