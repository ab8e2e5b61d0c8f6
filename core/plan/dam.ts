import type { River } from '../colour/kinds';
import type { GaugePoint } from '../gauge/points';
import { DAY_MS, MINUTE_MS } from '../units';
import { holdsOn, type Span, spanOn } from './spans';

/** What is known of a dam above. */
export interface Dam {
  /** Its hours on a day. */
  readonly releases: readonly Span[];
  /** Some were entered, for that day or another. */
  readonly entered: boolean;
}
/** What is known of a dam above for a day; null where there is none. @param dayStart first moment of the local day, ms UTC */
export function damAbove(
  river: River | undefined,
  releases: readonly Span[] | undefined,
  dayStart: number,
): Dam | null {
  const all = releases ?? [];
  if (all.length === 0 && river?.kind !== 'below a dam') return null;
  return { releases: all.filter((span) => holdsOn(span, dayStart)), entered: all.length > 0 };
}

/** A release is still coming down so long after it ends, minutes (assumed). */
const STILL_COMING_MIN = 60;

/** A release of a day: from when to when, and from when the water is clear of it again, ms UTC. */
export interface Release {
  readonly fromAt: number;
  readonly toAt: number;
  readonly clearAt: number;
}

/** The releases that touch a day, the first first; one that began the evening before among them. @param dayStart first moment of the local day */
export function releasesOn(dayStart: number, releases: readonly Span[] | undefined): Release[] {
  const days = [new Date(dayStart - DAY_MS / 2).setHours(0, 0, 0, 0), dayStart];
  return days
    .flatMap((day) => (releases ?? []).filter((span) => holdsOn(span, day)).map((span) => spanOn(day, span)))
    .map(({ fromAt, toAt }) => ({ fromAt, toAt, clearAt: toAt + STILL_COMING_MIN * MINUTE_MS }))
    .filter((r) => r.clearAt > dayStart)
    .sort((a, b) => a.fromAt - b.fromAt);
}

/** The release that is on or still coming down, else the next within a day; null where there is none. */
export function releaseAhead(releases: readonly Span[] | undefined, now: number): Release | null {
  const today = new Date(now).setHours(0, 0, 0, 0);
  const tomorrow = new Date(now).setHours(24, 0, 0, 0);
  return [...releasesOn(today, releases), ...releasesOn(tomorrow, releases)].find((r) => r.clearAt > now) ?? null;
}

/** Nobody is in the water. @example isOut(release, release.fromAt) // true */
export const isOut = ({ fromAt, clearAt }: Release, now: number): boolean => now >= fromAt && now < clearAt;

/** One is out so long before a release begins, minutes (assumed: clocks and gates are not that exact). */
const OUT_BEFORE_MIN = 15;

/** When nobody is in the water on a day: its releases, a little before, and the hour after. */
export const outOfWater = (dayStart: number, releases: readonly Span[] | undefined) =>
  releasesOn(dayStart, releases).map(({ fromAt, clearAt }) => ({
    ...{ fromAt: fromAt - OUT_BEFORE_MIN * MINUTE_MS, toAt: clearAt },
  }));

/** A release that begins sooner is told before anything else, minutes. */
export const SOON_MIN = 60;

/** A lake that turns over sends water so much warmer within days, and keeps to autumn: months from, to, in the north (common practice). */
const [WARMER_C, FROM_MONTH, TO_MONTH] = [1.5, 8, 11];

/** How much warmer the water is than some days ago, °C. */
export interface Turnover {
  readonly nowC: number;
  readonly beforeC: number;
}

/**
 * The sign of a lake that turned over above: below a dam, in autumn, water that has grown warmer by itself; or null.
 *
 * @param points of the gauge, oldest first; @param latDeg by which autumn is told; null: not known, then nothing is told
 */
export function turnoverSign(
  river: River | undefined,
  points: readonly GaugePoint[],
  latDeg: number | null,
): Turnover | null {
  const last = points.at(-1);
  if (river?.kind !== 'below a dam' || !last || latDeg === null) return null;
  const month = (new Date(last.at).getUTCMonth() + (latDeg < 0 ? 6 : 0)) % 12;
  if (month < FROM_MONTH || month > TO_MONTH) return null;
  const mean = (from: number, to: number) => {
    const temps = points.filter((p) => p.at > last.at - from && p.at <= last.at - to && Number.isFinite(p.tempC));
    return temps.length > 0 ? temps.reduce((sum, p) => sum + p.tempC, 0) / temps.length : null;
  };
  const [now, before] = [mean(DAY_MS, 0), mean(7 * DAY_MS, 3 * DAY_MS)];
  if (now === null || before === null || now - before < WARMER_C) return null;
  return { nowC: now, beforeC: before };
}
