import type { River } from '../colour/kinds';
import type { GaugePoint } from '../gauge/points';
import { DAY_MS, format, MINUTE_MS, type UnitSystem } from '../units';
import { minuteOfDay, clockText, type Span, spanOn } from './spans';

/** What to beware of below a dam, before anything else; null where there is none. */
export function damCaution(river: River | undefined, releases: readonly Span[] | undefined): string | null {
  if (releases && releases.length > 0)
    return `Dam releases ${releases.map((s) => `${clockText(s.fromMin)} to ${clockText(s.toMin)}`).join(', ')}, as you entered them: be out of the water before, and for an hour after. Hours change without notice. A siren, or water that rises without rain, means out at once.`;
  return river?.kind === 'below a dam'
    ? 'Below a dam the water rises without rain and without warning. Ask for the release hours and enter them under Rules, Edit.'
    : null;
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
    .flatMap((day) => (releases ?? []).map((span) => spanOn(day, span)))
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

/** When nobody is in the water on a day: its releases and the hour after. */
export const outOfWater = (dayStart: number, releases: readonly Span[] | undefined) =>
  releasesOn(dayStart, releases).map(({ fromAt, clearAt }) => ({ fromAt, toAt: clearAt }));

/** A release that begins sooner is told before anything else, minutes. */
export const SOON_MIN = 60;

const clockOf = (at: number): string => clockText(minuteOfDay(at));
const inWords = (min: number): string =>
  min < 60 ? `${min} min` : `${Math.floor(min / 60)} h${min % 60 > 0 ? ` ${min % 60} min` : ''}`;

/** What a release means now. @example releaseWords(release, now) // 'Dam release at 07:00, in 25 min: be out of the water before.' */
export function releaseWords({ fromAt, toAt, clearAt }: Release, now: number): string {
  if (now >= toAt)
    return `Dam release ended at ${clockOf(toAt)}, still coming down: stay out until ${clockOf(clearAt)}.`;
  if (now >= fromAt) return `Dam release until ${clockOf(toAt)}: stay out of the water until ${clockOf(clearAt)}.`;
  const min = Math.max(1, Math.ceil((fromAt - now) / MINUTE_MS));
  return `Dam release at ${clockOf(fromAt)}, in ${inWords(min)}: be out of the water before.`;
}

/** A lake that turns over sends water so much warmer within days, and keeps to autumn: months from, to, in the north (common practice). */
const [WARMER_C, FROM_MONTH, TO_MONTH] = [1.5, 8, 11];

/**
 * The sign of a lake that turned over above: below a dam, in autumn, water that has grown warmer by itself; in words, or null.
 *
 * @param points of the gauge, oldest first; @param latDeg by which autumn is told; null: not known, then nothing is told
 */
export function turnoverSign(
  river: River | undefined,
  points: readonly GaugePoint[],
  latDeg: number | null,
  units: UnitSystem,
): string | null {
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
  return `The water is warmer than some days ago, ${format('temperature', now, units)} after ${format('temperature', before, units)}, without the air’s doing: the lake may have turned over. It then sends coloured water for a week or two, which no rain and no level tells; and it wakes the fish.`;
}
