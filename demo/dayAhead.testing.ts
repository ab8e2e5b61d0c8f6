import { dayAhead, USUAL_WALK_MIN } from '@/core/plan/ahead';
import { outOfWater } from '@/core/plan/dam';
import type { DayLength } from '@/core/plan/dayLength';
import { planDay } from '@/core/plan/day';
import { proposeStops } from '@/core/plan/propose';
import { temperatureCourse } from '@/core/plan/temperature';
import { checkSeason } from '@/core/rules';
import { HOUR_MS } from '@/core/units';
import type { Water } from '@/store/records';
import { gaugeOf } from './river/gauge';
import { riverOf } from './river/river';
import { foretold } from './river/weather';
import { STATIONS } from './stations';
import { RUNS } from './waters';

/** The evening before, when tomorrow is planned, h before midnight; so far back a gauge is looked at, h. */
const [PLANNED_H, PAST_H] = [4, 96];

/** A river runs through a year of water once. */
const RIVERS = new Map(STATIONS.map((s) => [s.id, riverOf(s)]));

/** Tomorrow on a water of the demo, planned the evening before; beside it what the river will truly do. */
export function tomorrowOn(water: Water, dayStart: number, length: DayLength) {
  const station = STATIONS.find((s) => s.id === water.stationId)!;
  const river = RIVERS.get(station.id)!;
  const gauge = gaugeOf(station, station.faults, river);
  const now = dayStart - PLANNED_H * HOUR_MS;
  const points = Array.from({ length: PAST_H + 1 }, (_, i) => gauge(now - (PAST_H - i) * HOUR_MS)).flatMap(
    (p) => p ?? [],
  );
  const weather = foretold(station.climate, station.lonDeg, now, 24 + PLANNED_H);
  const runs = RUNS.filter((r) => r.waterId === water.id);
  const { ask, ...told } = dayAhead({
    ...{ place: { latDeg: station.latDeg, lonDeg: station.lonDeg }, dayStart, water, runs, points, weather, length },
    ...{ colours: [], levels: [], heardAt: now, sky: null, chosen: null, walkMin: USUAL_WALK_MIN, backMin: null },
  });
  const day = { ...ask, notBefore: now };
  return {
    ...told,
    sun: told.sun!,
    ...{ tempAt: temperatureCourse(points, weather), river, plan: planDay(day, proposeStops(day), null) },
    closed: checkSeason(water.rules, new Date(dayStart).toISOString().slice(5, 10))[0] ?? null,
  };
}

/** What is wrong with a planned day, by name; nothing where it is as a guide would plan it. */
export function faultsOf({ plan, hours, sun }: ReturnType<typeof tomorrowOn>, water: Water): string[] {
  const runs = plan.legs.filter((l) => l.kind === 'run');
  const codes = plan.cautions.map((c) => c.code);
  const fishedMs = runs.reduce((sum, l) => sum + l.toAt - l.fromAt, 0);
  const roadMs = plan.legs
    .filter((l) => l.kind === 'drive' || l.kind === 'back')
    .reduce((s, l) => s + l.toAt - l.fromAt, 0);
  const wet = outOfWater(hours.hours[0]?.at ?? 0, water.releases);
  const barred = hours.hours.filter((h) => h.barred !== null && h.barred.code !== 'dam release');
  return [
    runs.length > 0 && plan.legs.find((l) => l.kind === 'walk back')!.toAt > (sun.lastLight ?? Infinity) && 'dark',
    runs.some((l) => l.fromAt < (sun.firstLight ?? 0)) && 'before light',
    runs.some((l) => wet.some((w) => l.fromAt < w.toAt && l.toAt > w.fromAt)) && 'in a release',
    runs.some((l) => barred.some((h) => h.at >= l.fromAt && h.at + HOUR_MS / 2 <= l.toAt)) && 'closed hour',
    runs.length > 0 && roadMs > fishedMs && !codes.includes('more road than water') && 'more road than water, not said',
  ].filter((fault): fault is string => fault !== false);
}

/** Of the best hours the middle, hours after midnight by the sun; null: they are not the warmest. */
export function warmestBySun({ hours, sun }: ReturnType<typeof tomorrowOn>): number | null {
  const [best] = hours.windows;
  if (hours.school !== 'warmest hours' || !best || hours.windows.length > 1) return null;
  return ((best.fromAt + best.toAt) / 2 - sun.noon) / HOUR_MS + 12;
}
