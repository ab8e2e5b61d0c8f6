import type { FlyItem, Rig } from '../tackle';

/** The rules of a water as its user entered them; the authority's current text always decides. */
export interface WaterRules {
  readonly maxFlies: 1 | 2 | 3;
  readonly barbless: boolean;
  readonly noAddedWeight: boolean;
  /** First and last day of the season, MM-DD; null is open all year. */
  readonly season: { readonly from: string; readonly to: string } | null;
  /** Water temperature at which it closes, °C, or null. */
  readonly closesAtC: number | null;
  /** What else must be kept in mind, in the user's words. */
  readonly text: string;
  /** Where it was read and when (ISO date). */
  readonly source: string;
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** @example monthDayText('04-01') // '1 Apr' */
export const monthDayText = (md: string): string =>
  `${Number(md.slice(3))} ${MONTHS[Number(md.slice(0, 2)) - 1] ?? '?'}`;

export interface Breach {
  readonly rule: keyof WaterRules;
  readonly says: string;
}

/** Whether the water is open on a day (MM-DD). @example checkSeason(rules, '09-20') // [] */
export function checkSeason({ season }: WaterRules, monthDay: string): Breach[] {
  if (!season) return [];
  const inside =
    season.from <= season.to
      ? monthDay >= season.from && monthDay <= season.to
      : monthDay >= season.from || monthDay <= season.to;
  if (inside) return [];
  const says = `Closed: the season runs from ${monthDayText(season.from)} to ${monthDayText(season.to)}.`;
  return [{ rule: 'season', says }];
}

/** Checks what is tied on against the rules. @example checkRig(rules, rig) // [] */
export function checkRig(rules: WaterRules, rig: Rig): Breach[] {
  const out: Breach[] = [];
  const flies = rig.dropper ? [rig.fly, rig.dropper] : [rig.fly];
  if (flies.length > rules.maxFlies) out.push({ rule: 'maxFlies', says: 'Only one fly is allowed here.' });
  if (rules.barbless && flies.some((f) => !f.barbless))
    out.push({ rule: 'barbless', says: 'Hooks must be barbless here.' });
  if (rules.noAddedWeight && flies.some((f) => f.weight !== 'none' && f.weight !== 'buoyant'))
    out.push({ rule: 'noAddedWeight', says: 'Weighted flies are not allowed here.' });
  else if (rules.noAddedWeight && rig.shot)
    out.push({ rule: 'noAddedWeight', says: 'Shot on the leader is not allowed here.' });
  return out;
}

/** What the rules say against a fly, in a few words; null when they allow it.
 * @example notAllowed(rules, barbed) // 'not allowed: hooks must be barbless here.' */
export function notAllowed(rules: WaterRules | null, fly: FlyItem): string | null {
  if (!rules) return null;
  if (rules.barbless && !fly.barbless) return 'not allowed here: barbed';
  return rules.noAddedWeight && fly.weight !== 'none' && fly.weight !== 'buoyant' ? 'not allowed here: weighted' : null;
}

/** Stop fishing at 20 °C (68 °F) and above; many agencies close near 22.8 °C (73 °F) (from memory). */
export const STOP_FISHING_C = 20;
const WARM_C = 18;
/** Below about 15 °C cold shock is a danger. */
const COLD_SHOCK_C = 15;

export interface Caution {
  readonly level: 'stop' | 'care';
  readonly says: string;
}

/** What the water's temperature and trend call for. @example waterCautions(21, 'steady', null)[0].level // 'stop' */
export function waterCautions(
  tempC: number | null,
  trend: 'rising' | 'falling' | 'steady',
  closesAtC: number | null,
): Caution[] {
  const out: Caution[] = [];
  if (tempC !== null) {
    const limit = Math.min(STOP_FISHING_C, closesAtC ?? STOP_FISHING_C);
    if (tempC >= limit)
      out.push({ level: 'stop', says: 'The water is too warm: fish that are played now may die. Stop fishing.' });
    else if (tempC >= WARM_C)
      out.push({
        level: 'care',
        says: 'Warm water: fish the early hours, land fish fast, stop when it passes the limit.',
      });
    if (tempC < COLD_SHOCK_C)
      out.push({
        level: 'care',
        says: 'Cold water takes your breath and strength in minutes: wear the vest, wade with a staff.',
      });
  }
  if (trend === 'rising')
    out.push({ level: 'care', says: 'The river is rising: cross only what you can come back over.' });
  return out;
}
