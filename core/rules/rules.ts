import type { SunDay } from '../sight';
import type { KitItem } from '../tackle';
// not the barrel: this weighs on the first screen
import { isWeighted } from '../tackle/families';
import { fliesOf, type Rig } from '../tackle/rig';
import { format, MINUTE_MS, type UnitSystem } from '../units';
import { COLD_WADING_C, STOP_FISHING_C, WARM_WATER_C } from '../water/warmth';

/** The rules of a water as its user entered them; the authority's current text always decides. Where none were entered (null) nothing
 * is barred by them. */
export interface WaterRules {
  readonly maxFlies: 1 | 2 | 3;
  readonly barbless: boolean;
  readonly noAddedWeight: boolean;
  /** First and last day of the season, MM-DD; null is open all year. */
  readonly season: { readonly from: string; readonly to: string } | null;
  /** Hours of fishing: from so many minutes before sunrise to so many after sunset; not said: at any hour. */
  readonly hours?: { readonly beforeSunriseMin: number; readonly afterSunsetMin: number };
  /** Runs of this water that are closed, by id. */
  readonly closedRuns?: readonly string[];
  /** No scent on flies. */
  readonly noScent?: boolean;
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
export function checkSeason(rules: WaterRules | null, monthDay: string): Breach[] {
  const season = rules?.season;
  if (!season) return [];
  const inside =
    season.from <= season.to
      ? monthDay >= season.from && monthDay <= season.to
      : monthDay >= season.from || monthDay <= season.to;
  if (inside) return [];
  const says = `Closed: the season runs from ${monthDayText(season.from)} to ${monthDayText(season.to)}.`;
  return [{ rule: 'season', says }];
}

/** Whether one may fish at a moment by the hours of the water; not known where the sun is not. @example checkHours(rules, noon, sun) // [] */
export function checkHours(rules: WaterRules | null, at: number, sun: SunDay | null): Breach[] {
  const hours = rules?.hours;
  if (!hours || !sun || sun.sunrise === null || sun.sunset === null) return [];
  const { sunrise, sunset } = sun;
  const [from, to] = [sunrise - hours.beforeSunriseMin * MINUTE_MS, sunset + hours.afterSunsetMin * MINUTE_MS];
  if (at >= from && at <= to) return [];
  return [{ rule: 'hours', says: `Closed at this hour: fishing is from ${hoursText(hours)}.` }];
}

const off = (min: number, side: string, of: string): string => (min === 0 ? of : `${min} min ${side} ${of}`);
/** @example hoursText({ beforeSunriseMin: 60, afterSunsetMin: 0 }) // '60 min before sunrise to sunset' */
export const hoursText = (h: NonNullable<WaterRules['hours']>): string =>
  `${off(h.beforeSunriseMin, 'before', 'sunrise')} to ${off(h.afterSunsetMin, 'after', 'sunset')}`;

/** Whether a run of the water is closed. */
export const checkRun = (rules: WaterRules | null, runId: string): Breach[] =>
  rules?.closedRuns?.includes(runId) ? [{ rule: 'closedRuns', says: 'This reach is closed.' }] : [];

/** Everything that closes a water, or a run of it, at a moment: season, hours, reach. */
export const closedNow = (
  rules: WaterRules | null,
  o: { readonly at: number; readonly monthDay: string; readonly sun: SunDay | null; readonly runId: string | null },
): Breach[] => [
  ...checkSeason(rules, o.monthDay),
  ...checkHours(rules, o.at, o.sun),
  ...(o.runId === null ? [] : checkRun(rules, o.runId)),
];

const COUNTS = { 1: 'one fly is', 2: 'two flies are', 3: 'three flies are' } as const;

/** Checks what is tied on against the rules. @example checkRig(rules, rig) // [] */
export function checkRig(rules: WaterRules | null, rig: Rig): Breach[] {
  const out: Breach[] = [];
  if (!rules) return out;
  const flies = fliesOf(rig);
  if (flies.length > rules.maxFlies)
    out.push({ rule: 'maxFlies', says: `Only ${COUNTS[rules.maxFlies]} allowed here.` });
  if (rules.barbless && flies.some((f) => !f.barbless))
    out.push({ rule: 'barbless', says: 'Hooks must be barbless here.' });
  if (rules.noAddedWeight && flies.some(isWeighted))
    out.push({ rule: 'noAddedWeight', says: 'Weighted flies are not allowed here.' });
  else if (rules.noAddedWeight && rig.shot)
    out.push({ rule: 'noAddedWeight', says: 'Shot on the leader is not allowed here.' });
  if (rules.noScent && flies.some((f) => f.scented))
    out.push({ rule: 'noScent', says: 'Scented flies are not allowed here.' });
  return out;
}

/** What the rules say against a thing wherever it is chosen, in a few words; null when they allow it.
 * @example notAllowed(rules, barbed) // 'not allowed here: barbed' */
export function notAllowed(rules: WaterRules | null, item: KitItem): string | null {
  if (!rules) return null;
  if (item.type === 'shot') return rules.noAddedWeight ? 'not allowed here: added weight' : null;
  if (item.type !== 'fly') return null;
  if (rules.barbless && !item.barbless) return 'not allowed here: barbed';
  if (rules.noScent && item.scented) return 'not allowed here: scented';
  return rules.noAddedWeight && isWeighted(item) ? 'not allowed here: weighted' : null;
}

/** What the rules say against a whole rig, its first breach; null when they allow it. */
export const rigNotAllowed = (rules: WaterRules | null, rig: Rig): string | null =>
  checkRig(rules, rig)[0]?.says ?? null;

/** Why no further fly may be tied on; null where one may. */
export const noMoreFlies = (rules: WaterRules | null, rig: Pick<Rig, 'fly' | 'droppers'>): string | null =>
  rules && fliesOf(rig).length >= rules.maxFlies ? `Only ${COUNTS[rules.maxFlies]} allowed here.` : null;

/** Water as warm as this is not fished, °C: the limit of all, or the water’s own where that is lower. */
export const stopsAtC = (closesAtC: number | null): number => Math.min(STOP_FISHING_C, closesAtC ?? STOP_FISHING_C);
/** Shallower than this nobody goes under, m (assumed: the ankle). */
const ANKLE_M = 0.15;

export interface Caution {
  readonly level: 'stop' | 'care';
  readonly says: string;
}

/** What cold water asks of one who stands so deep in it, in units of one's own; null on the bank, and where it is not cold or not known.
 * @example coldWading(5, 0.6, 'metric') // 'Water of 5.0 °C takes your strength …' */
export const coldWading = (tempC: number | null, depthM: number, units: UnitSystem): string | null =>
  tempC !== null && tempC < COLD_WADING_C && depthM > ANKLE_M
    ? `Water of ${format('temperature', tempC, units)} takes your strength within minutes of going in: vest on, staff in hand.`
    : null;

/** So far above normal a river is in spate, m (assumed). */
const SPATE_M = 0.4;

/** What high water asks, on the bank too; null below. @example highWater(0.8) // 'High water: stay back …' */
export const highWater = (levelM: number): string | null =>
  levelM >= SPATE_M
    ? 'High water: stay back from the edge, banks give way; do not cross, and look upstream for what drifts down.'
    : null;

/** What the water's temperature and trend call for. @example waterCautions(21, 'steady', null)[0].level // 'stop' */
export function waterCautions(
  tempC: number | null,
  trend: 'rising' | 'falling' | 'steady',
  closesAtC: number | null,
): Caution[] {
  const out: Caution[] = [];
  if (tempC !== null) {
    if (tempC >= stopsAtC(closesAtC))
      out.push({ level: 'stop', says: 'The water is too warm: fish that are played now may die. Stop fishing.' });
    else if (tempC >= WARM_WATER_C)
      out.push({
        level: 'care',
        says: 'Warm water: fish the early hours, land fish fast, stop when it passes the limit.',
      });
  }
  if (trend === 'rising')
    out.push({ level: 'care', says: 'The river is rising: cross only what you can come back over.' });
  return out;
}
