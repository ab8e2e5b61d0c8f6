import type { SunDay } from '../sight';
import type { KitItem } from '../tackle';
// not the barrel: this weighs on the first screen
import { isWeighted } from '../tackle/families';
import { fliesOf, type Rig } from '../tackle/rig';
import { MINUTE_MS } from '../units';
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

/** A rule that is broken, with what it says. */
export type Breach =
  | { readonly rule: 'season'; readonly from: string; readonly to: string }
  | { readonly rule: 'hours'; readonly hours: NonNullable<WaterRules['hours']> }
  | { readonly rule: 'closedRuns' | 'barbless' | 'noScent' }
  | { readonly rule: 'maxFlies'; readonly most: WaterRules['maxFlies'] }
  | { readonly rule: 'noAddedWeight'; readonly on: 'fly' | 'leader' };

/** Whether the water is open on a day (MM-DD). @example checkSeason(rules, '09-20') // [] */
export function checkSeason(rules: WaterRules | null, monthDay: string): Breach[] {
  const season = rules?.season;
  if (!season) return [];
  const inside =
    season.from <= season.to
      ? monthDay >= season.from && monthDay <= season.to
      : monthDay >= season.from || monthDay <= season.to;
  return inside ? [] : [{ rule: 'season', ...season }];
}

/** Whether one may fish at a moment by the hours of the water; not known where the sun is not. @example checkHours(rules, noon, sun) // [] */
export function checkHours(rules: WaterRules | null, at: number, sun: SunDay | null): Breach[] {
  const hours = rules?.hours;
  if (!hours || !sun || sun.sunrise === null || sun.sunset === null) return [];
  const { sunrise, sunset } = sun;
  const [from, to] = [sunrise - hours.beforeSunriseMin * MINUTE_MS, sunset + hours.afterSunsetMin * MINUTE_MS];
  if (at >= from && at <= to) return [];
  return [{ rule: 'hours', hours }];
}

/** Whether a run of the water is closed. */
export const checkRun = (rules: WaterRules | null, runId: string): Breach[] =>
  rules?.closedRuns?.includes(runId) ? [{ rule: 'closedRuns' }] : [];

/** Everything that closes a water, or a run of it, at a moment: season, hours, reach. */
export const closedNow = (
  rules: WaterRules | null,
  o: { readonly at: number; readonly monthDay: string; readonly sun: SunDay | null; readonly runId: string | null },
): Breach[] => [
  ...checkSeason(rules, o.monthDay),
  ...checkHours(rules, o.at, o.sun),
  ...(o.runId === null ? [] : checkRun(rules, o.runId)),
];

/** Checks what is tied on against the rules. @example checkRig(rules, rig) // [] */
export function checkRig(rules: WaterRules | null, rig: Rig): Breach[] {
  const out: Breach[] = [];
  if (!rules) return out;
  const flies = fliesOf(rig);
  if (flies.length > rules.maxFlies) out.push({ rule: 'maxFlies', most: rules.maxFlies });
  if (rules.barbless && flies.some((f) => !f.barbless)) out.push({ rule: 'barbless' });
  if (rules.noAddedWeight && flies.some(isWeighted)) out.push({ rule: 'noAddedWeight', on: 'fly' });
  else if (rules.noAddedWeight && rig.shot) out.push({ rule: 'noAddedWeight', on: 'leader' });
  if (rules.noScent && flies.some((f) => f.scented)) out.push({ rule: 'noScent' });
  return out;
}

/** What of a thing the rules do not allow. */
export type Bar = 'added weight' | 'barbed' | 'scented' | 'weighted';

/** What of a thing the rules do not allow, wherever it is chosen; null when they allow it. @example notAllowed(rules, barbed) // 'barbed' */
export function notAllowed(rules: WaterRules | null, item: KitItem): Bar | null {
  if (!rules) return null;
  if (item.type === 'shot') return rules.noAddedWeight ? 'added weight' : null;
  if (item.type !== 'fly') return null;
  if (rules.barbless && !item.barbless) return 'barbed';
  if (rules.noScent && item.scented) return 'scented';
  return rules.noAddedWeight && isWeighted(item) ? 'weighted' : null;
}

/** What the rules say against a whole rig, its first breach; null when they allow it. */
export const rigNotAllowed = (rules: WaterRules | null, rig: Rig): Breach | null => checkRig(rules, rig)[0] ?? null;

/** Why no further fly may be tied on; null where one may. */
export const noMoreFlies = (rules: WaterRules | null, rig: Pick<Rig, 'fly' | 'droppers'>): Breach | null =>
  rules && fliesOf(rig).length >= rules.maxFlies ? { rule: 'maxFlies', most: rules.maxFlies } : null;

/** Water as warm as this is not fished, °C: the limit of all, or the water’s own where that is lower. */
export const stopsAtC = (closesAtC: number | null): number => Math.min(STOP_FISHING_C, closesAtC ?? STOP_FISHING_C);
/** Shallower than this nobody goes under, m (assumed: the ankle). */
const ANKLE_M = 0.15;

/** What the water of a day asks for. `stop`: do not fish. */
export type WaterCaution =
  | { readonly level: 'stop'; readonly code: 'too warm' }
  | { readonly level: 'care'; readonly code: 'warm' | 'rising' | 'high water' }
  | { readonly level: 'care'; readonly code: 'cold wading'; readonly tempC: number };

/** What cold water asks of one who stands so deep in it; null on the bank, and where it is not cold or not known. */
export const coldWading = (tempC: number | null, depthM: number): WaterCaution | null =>
  tempC !== null && tempC < COLD_WADING_C && depthM > ANKLE_M ? { level: 'care', code: 'cold wading', tempC } : null;

/** So far above normal a river is in spate, m (assumed). */
const SPATE_M = 0.4;

/** What high water asks, on the bank too; null below. */
export const highWater = (levelM: number): WaterCaution | null =>
  levelM >= SPATE_M ? { level: 'care', code: 'high water' } : null;

/** What the water's temperature and trend call for. @example waterCautions(21, 'steady', null)[0].level // 'stop' */
export function waterCautions(
  tempC: number | null,
  trend: 'rising' | 'falling' | 'steady',
  closesAtC: number | null,
): WaterCaution[] {
  const out: WaterCaution[] = [];
  if (tempC !== null) {
    if (tempC >= stopsAtC(closesAtC)) out.push({ level: 'stop', code: 'too warm' });
    else if (tempC >= WARM_WATER_C) out.push({ level: 'care', code: 'warm' });
  }
  if (trend === 'rising') out.push({ level: 'care', code: 'rising' });
  return out;
}
