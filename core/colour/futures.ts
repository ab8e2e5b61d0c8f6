import { normal, seeded } from '../maths';
import { continued, flowAt, type Hydrograph, type HydroPoint } from './hydrograph';
import type { River } from './kinds';
import { type Rain, type RainBetween, rainSums } from './rain';
import { DAY_MS, HOUR_MS } from '../units';

/** A future is gone on with in steps of so long, and looked for from starts so far apart, h. */
const STEP_H = 3;
const START_EVERY_H = 6;
const FUTURES = 24;
/** As many of the past's as there are at the least; with fewer the river's kind goes on in its own way. */
const ENOUGH = 12;
/** Days of a dam that were told by the hour, with gaps no longer than this, h: so many are enough. */
const [ENOUGH_TOLD, HOURLY_H] = [3, 2];
/** Snow melts by day, and a dam goes by its clock. */
const BY_THE_HOUR: ReadonlySet<River['kind']> = new Set(['snowmelt', 'below a dam']);
/** So alike are two moments, by flow and by its change in a day (logarithms); by the rain that has fallen and is still on its way,
 * and that is foretold for the first day and the second (roots of mm: a forecast is the rougher the further off). */
const ALIKE = { flow: 0.6, change: 0.25, fallen: 1, first: 1, second: 1.6 } as const;
/** Rain is on its way to the gauge for so long, h. */
const ON_ITS_WAY_H = 12;

/** How a kind of river goes on of itself: recession, h; chance of a freshet a day; how large (logarithm); what a mm of rain raises
 * it by, once the first few have been drunk by the ground (assumed; its own past counts before it). */
const GOES_ON: Readonly<Record<River['kind'], { recessionH: number; perDay: number; rise: number; perMm: number }>> = {
  spate: { recessionH: 40, perDay: 0.12, rise: 1, perMm: 0.06 },
  lowland: { recessionH: 110, perDay: 0.08, rise: 0.6, perMm: 0.025 },
  spring: { recessionH: 200, perDay: 0.03, rise: 0.25, perMm: 0.006 },
  snowmelt: { recessionH: 60, perDay: 0.1, rise: 0.5, perMm: 0.03 },
  'below a dam': { recessionH: 80, perDay: 0.08, rise: 0.5, perMm: 0.005 },
};
const DRUNK_MM = 3;
/** How long a kind of river takes to fall, h. */
export const recessionOf = (river: River): number => GOES_ON[river.kind].recessionH;

/** Rain as it fell along the gauge, and as it is foretold. */
export interface Rains {
  readonly fell: RainBetween;
  readonly ahead: RainBetween;
}

/** Rain of a gauge's series and of the forecast; null where none is foretold. */
export const rainsOf = (series: readonly HydroPoint[], ahead: readonly Rain[]): Rains | null =>
  ahead.length === 0
    ? null
    : {
        fell: rainSums(series.flatMap(({ at, rainMm }) => (rainMm === undefined ? [] : [{ at, rainMm }]))),
        ahead: rainSums(ahead),
      };

const changeAt = (g: Hydrograph, at: number): number => flowAt(g, at) - flowAt(g, at - DAY_MS);

/**
 * Ways a river may go on after its last value: as it went on from moments like this one, else as its kind does. All are
 * equally likely.
 */
export function futures(g: Hydrograph, river: River, untilAt: number, rains: Rains | null = null): Hydrograph[] {
  const now = g.points.at(-1)!.at;
  if (untilAt <= now) return [g];
  const [q, change] = [flowAt(g, now), changeAt(g, now)];
  const times: number[] = [];
  const byClock = river.kind === 'below a dam';
  const stepMs = (byClock ? 1 : STEP_H) * HOUR_MS;
  for (let at = now + stepMs; at < untilAt + stepMs; at += stepMs) times.push(at);
  const starts: { at: number; apart: number }[] = [];
  const span = times.at(-1)! - now;
  const rained = rains && rainApart(rains, now, span);
  // Where water comes and goes by the hour of the day only the same hour of another day is like this one.
  const everyMs = (BY_THE_HOUR.has(river.kind) ? 24 : START_EVERY_H) * HOUR_MS;
  const begin = g.points[0]!.at + DAY_MS;
  for (let at = begin + ((now - begin) % everyMs); at + span <= now; at += everyMs)
    starts.push({
      at,
      apart: Math.hypot(
        (flowAt(g, at) - q) / ALIKE.flow,
        (changeAt(g, at) - change) / ALIKE.change,
        ...(rained ? rained(at) : []),
      ),
    });
  starts.sort((a, b) => a.apart - b.apart);
  // Of water that comes and goes within hours only days that were told by the hour say when.
  const told = byClock ? starts.filter(({ at }) => toldByTheHour(g, at, at + span)) : [];
  const hasTold = told.length >= ENOUGH_TOLD;
  const like = (hasTold ? told : starts.filter((s) => s.apart < 2)).slice(0, FUTURES);
  const past = like.map(({ at }) =>
    continued(
      g,
      times.map((t) => ({ at: t, q: q + flowAt(g, at + (t - now)) - flowAt(g, at) })),
    ),
  );
  if (hasTold || past.length >= ENOUGH) return past;
  return [...past, ...ofKind(g, river, times, stepMs / HOUR_MS, FUTURES - past.length, rains)];
}

/** Whether a gauge told a stretch of time by the hour. */
function toldByTheHour({ points }: Hydrograph, from: number, to: number): boolean {
  const first = points.findLastIndex((p) => p.at <= from);
  let before = points[first]?.at ?? -Infinity;
  for (let i = first + 1; before < to; i++) {
    const at = points[i]?.at ?? Infinity;
    if (at - before > HOURLY_H * HOUR_MS) return false;
    before = at;
  }
  return true;
}

/** How unlike the rain about a moment of the past was to that of now: fallen, and by day for as long as is asked. */
function rainApart({ fell, ahead }: Rains, now: number, span: number): (at: number) => number[] {
  const root = Math.sqrt;
  const days = ([0, DAY_MS] as const).filter((from) => from < span);
  const windows = days.map((from) => [from, Math.min(span, from + DAY_MS)] as const);
  const fallen = root(fell(now - ON_ITS_WAY_H * HOUR_MS, now));
  const foretold = windows.map(([from, to]) => root(ahead(now + from, now + to)));
  return (at) => [
    (root(fell(at - ON_ITS_WAY_H * HOUR_MS, at)) - fallen) / ALIKE.fallen,
    ...windows.map(
      ([from, to], i) => (root(fell(at + from, at + to)) - foretold[i]!) / (i === 0 ? ALIKE.first : ALIKE.second),
    ),
  ];
}

function ofKind(
  g: Hydrograph,
  river: River,
  times: readonly number[],
  stepH: number,
  count: number,
  rains: Rains | null,
): Hydrograph[] {
  const { recessionH, perDay, rise, perMm } = GOES_ON[river.kind];
  const rand = seeded(17);
  const last = g.points.at(-1)!;
  const comes = 1 - (2 / 3) ** (stepH / 3);
  return Array.from({ length: count }, () => {
    let q = last.q;
    // Nobody knows how wet the ground is, nor how far the forecast is off.
    const answers = perMm * Math.exp(0.6 * normal(rand));
    let drinks = DRUNK_MM;
    // Of what has fallen lately half has come down already (assumed).
    const onItsWay = rains ? rains.fell(last.at - ON_ITS_WAY_H * HOUR_MS, last.at) / 2 : 0;
    let risen = answers * Math.max(0, onItsWay - drinks);
    return continued(
      g,
      times.map((at) => {
        q += (Math.min(q, g.middle) - q) * (1 - Math.exp(-stepH / recessionH)) + 0.02 * normal(rand);
        if (rains) {
          const mm = rains.ahead(at - stepH * HOUR_MS, at);
          risen += answers * Math.max(0, mm - drinks);
          drinks = Math.max(0, drinks - mm);
        } else if (rand() < (perDay * stepH) / 24) risen = rise * Math.exp(0.5 * normal(rand));
        // A freshet rises over some nine hours.
        q += comes * risen;
        risen *= 1 - comes;
        return { at, q };
      }),
    );
  });
}
