import type { Schools } from '../answer/schools';
import type { GaugePoint } from '../gauge/points';
import type { Visit } from '../logbook';
import { interpolate, sumOf } from '../maths';
import { type Place, sunDay } from '../sight';
import { HOUR_MS } from '../units';
import { outOfWater } from './dam';
import { dayHours, type HoursAsk } from './hours';
import type { Span } from './spans';

/** What one's own log says of the hours that are called the best: takes and time within them and outside. */
export interface HoursRecord {
  readonly inside: { readonly takes: number; readonly hours: number };
  readonly outside: { readonly takes: number; readonly hours: number };
}

/** With fewer takes nothing is said. */
const ENOUGH_TAKES = 8;
/** Between two values further apart a temperature is not known, h. */
const LONGEST_GAP_H = 12;

/** The water's temperature as the gauge told it; null: of a time that it did not. */
function toldC(points: readonly GaugePoint[], at: number): number | null {
  const after = points.findIndex((p) => p.at >= at);
  const [a, b] = [points[after - 1], points[after]];
  if (!a || !b || b.at - a.at > LONGEST_GAP_H * HOUR_MS) return null;
  return interpolate([a.at, b.at], [a.tempC, b.tempC], at);
}

/**
 * What would have been called the best hours on each day that one was out, by the water as the gauge told it, held against one's own
 * takes. The sky of those days is not kept: it is taken as not said. A stay counts as inside where half of it was.
 *
 * @param points of the gauge, oldest first
 * @returns null with too few takes
 */
export function hoursRecord(
  place: Place,
  water: { readonly rules: HoursAsk['rules']; readonly releases?: readonly Span[] },
  visits: readonly Visit[],
  points: readonly GaugePoint[],
  chosen: Schools['hours'] | null,
): HoursRecord | null {
  const known = points.filter((p) => Number.isFinite(p.tempC));
  const windowsOn = new Map<number, ReturnType<typeof dayHours>['windows']>();
  const bestOn = (dayStart: number) => {
    const has = windowsOn.get(dayStart);
    if (has) return has;
    const noon = toldC(known, dayStart + 12 * HOUR_MS);
    const { windows } = dayHours({
      at: { ...place, sun: sunDay(dayStart, place.latDeg, place.lonDeg) },
      ...{ dayStart, rules: water.rules, outOfWater: outOfWater(dayStart, water.releases), sky: null },
      tempAt: noon === null ? null : (at) => toldC(known, at) ?? noon,
      ...(chosen ? { chosen } : null),
    });
    windowsOn.set(dayStart, windows);
    return windows;
  };
  const stays = visits
    .filter((v) => v.timed && v.toAt > v.fromAt)
    .map((v) => {
      const windows = bestOn(new Date(v.fromAt).setHours(0, 0, 0, 0));
      const within = sumOf(windows, (w) => Math.max(0, Math.min(w.toAt, v.toAt) - Math.max(w.fromAt, v.fromAt)));
      return { takes: v.takes, ms: v.toAt - v.fromAt, inside: within >= (v.toAt - v.fromAt) / 2 };
    });
  if (sumOf(stays, (s) => s.takes) < ENOUGH_TAKES) return null;
  const of = (inside: boolean) => {
    const own = stays.filter((s) => s.inside === inside);
    return { takes: sumOf(own, (s) => s.takes), hours: sumOf(own, (s) => s.ms) / HOUR_MS };
  };
  return { inside: of(true), outside: of(false) };
}
