import type { River } from '../colour/kinds';
import type { GaugePoint } from '../gauge/points';
import { format, type UnitSystem } from '../units';
import { type Span, spansText } from './spans';

/** What to beware of below a dam, before anything else; null where there is none. */
export function damCaution(river: River | undefined, releases: readonly Span[] | undefined): string | null {
  if (releases && releases.length > 0)
    return `A dam above lets water through, ${spansText(releases)} as you entered it: be out of the water before, and for an hour after. Hours change without a word; a siren, or water that rises without rain, means out at once.`;
  return river?.kind === 'below a dam'
    ? 'Below a dam water rises without rain and without warning: ask when it is let through, and enter the hours under Rules, Edit.'
    : null;
}

const DAY = 86_400_000;
/** A lake that turns over sends water so much warmer within days, and keeps to autumn: months from, to, in the north (common practice). */
const [WARMER_C, FROM_MONTH, TO_MONTH] = [1.5, 8, 11];

/**
 * The sign of a lake that turned over above: below a dam, in autumn, water that has grown warmer by itself; in words, or null.
 *
 * @param points of the gauge, oldest first; @param latDeg by which autumn is told
 */
export function turnoverSign(
  river: River | undefined,
  points: readonly GaugePoint[],
  latDeg: number,
  units: UnitSystem,
): string | null {
  const last = points.at(-1);
  if (river?.kind !== 'below a dam' || !last) return null;
  const month = (new Date(last.at).getUTCMonth() + (latDeg < 0 ? 6 : 0)) % 12;
  if (month < FROM_MONTH || month > TO_MONTH) return null;
  const mean = (from: number, to: number) => {
    const temps = points.filter((p) => p.at > last.at - from && p.at <= last.at - to && Number.isFinite(p.tempC));
    return temps.length > 0 ? temps.reduce((sum, p) => sum + p.tempC, 0) / temps.length : null;
  };
  const [now, before] = [mean(DAY, 0), mean(7 * DAY, 3 * DAY)];
  if (now === null || before === null || now - before < WARMER_C) return null;
  return `The water is warmer than some days ago, ${format('temperature', now, units)} after ${format('temperature', before, units)}, without the air’s doing: the lake may have turned over. It then sends coloured water for a week or two, which no rain and no level tells; and it wakes the fish.`;
}
