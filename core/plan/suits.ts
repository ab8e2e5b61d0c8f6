import type { WeatherHour } from '../gauge/weather';
import { meanOf } from '../maths';
import { type Lying, runLight } from '../sight/runLight';
import type { Run } from '../water/run';
import { HOUR_MS } from '../units';
import { COLD_C } from '../water/warmth';
import type { HourOfDay } from './hours';
import { windOnRun } from './wind';

/** How a run lies to sun and wind. */
export const lyingOf = (run: Run): Lying => ({
  bearingDeg: run.bearingDeg,
  bank: run.bank,
  ...(run.trees ? { trees: run.trees } : null),
  widthM: run.sections.reduce((sum, s) => sum + s.points.at(-1)!.yM - s.points[0]!.yM, 0) / run.sections.length,
});

/** From so much cloud on the sun throws no shade and no glare. */
export const OVERCAST = 0.75;

/** What speaks for a run at an hour, and how much (weights assumed, the directions common practice): shade and broken water under a
 * high sun, the tailout at dusk, the sun on it in cold water and a thin inside about noon, which warms first; at low water a bar from
 * which one reaches the far bank; against it glare and wind. */
const WEIGHTS = { shade: 1, broken: 0.3, tailout: 0.5, warmed: 0.3, inside: 0.2, bar: 0.3, glare: -0.3 } as const;
const WIND = { light: 0, fresh: -0.5, strong: -1.5 } as const;

/** A run ends in a tailout where its last section is no deeper than so much of its deepest (assumed). */
const TAIL_SHARE = 0.6;
function shallowsOut({ sections }: Run): boolean {
  const depths = sections.map((s) => Math.max(...s.points.map((p) => p.depthM)));
  return depths.at(-1)! <= TAIL_SHARE * Math.max(...depths);
}

/** Water that is waded without a thought, m; where so much of the width from one's own bank is no deeper there is a bar (assumed). */
const [WADED_M, BAR_SHARE] = [0.7, 0.3];
/** So near to noon water has the sun's warmth, h; so low against normal the bar lies open, m (assumed). */
const [ABOUT_NOON_H, LOW_M] = [2, -0.1];
/** Whether it shelves from one's own bank: thin water inside, and what is deep beyond its middle. */
function shelves({ sections }: Run): boolean {
  const share = meanOf(sections, ({ points }) => {
    const [from, to] = [points[0]!.yM, points.at(-1)!.yM];
    const deep = points.find((p) => p.depthM > WADED_M);
    const deepest = points.reduce((a, b) => (b.depthM > a.depthM ? b : a));
    const beyond = deepest.yM - from > (to - from) / 2;
    return beyond && deep ? (deep.yM - from) / (to - from) : 0;
  });
  return share >= BAR_SHARE;
}

/**
 * How a run suits an hour of a day, beside the others of its water: 0 is any, more is better, a storm in the face −1.5.
 *
 * @param weather of about that hour; not said: bright and still
 * @param noonAt when the sun is highest, ms UTC: after it low light is dusk
 * @param levelM against normal; null: not known
 */
export function suitsAt(
  run: Run,
  hour: HourOfDay,
  weather: WeatherHour | undefined,
  noonAt: number,
  levelM: number | null = null,
): number {
  const lying = lyingOf(run);
  const broken = run.features.some((f) => f.kind === 'riffle');
  const sunny = hour.sunDeg > 0 && (weather?.cloud ?? 0) < OVERCAST;
  const { shade, glare } = runLight(lying, { altitudeDeg: sunny ? hour.sunDeg : 0, azimuthDeg: hour.azimuthDeg });
  const high = sunny && (hour.light === 'sun' || hour.light === 'high sun');
  const dusk = hour.at > noonAt && (hour.light === 'low sun' || hour.light === 'twilight');
  const cold = hour.tempC !== null && hour.tempC < COLD_C;
  return (
    (high && !cold ? WEIGHTS.shade * shade + (broken ? WEIGHTS.broken : 0) : 0) +
    (sunny && cold ? WEIGHTS.warmed * (1 - shade) : 0) +
    (cold && Math.abs(hour.at - noonAt) <= ABOUT_NOON_H * HOUR_MS && shelves(run) ? WEIGHTS.inside : 0) +
    (levelM !== null && levelM <= LOW_M && shelves(run) ? WEIGHTS.bar : 0) +
    (dusk && shallowsOut(run) ? WEIGHTS.tailout : 0) +
    (glare ? WEIGHTS.glare : 0) +
    (weather ? WIND[windOnRun(lying, weather).wind.force] : 0)
  );
}
