import { type Feature, FEATURES } from './kinds';
import { DAY_MS, HOUR_MS } from '../units';

/** One value of a gauge; flow or, where there is none, level. */
export interface HydroPoint {
  /** ms UTC */
  readonly at: number;
  readonly stageM: number | null;
  readonly flowM3s: number | null;
  readonly rainMm?: number;
}

/** Rises are forgotten with these times, h. */
const MEMORY_H = { hours: 8, day: 26, days: 80, season: 480 } as const;
/** The gauge's noise is smoothed away over so long, h; what rises less than this an hour is none. */
const SMOOTH_H = 2;
const LEAST_RISE = 0.004;
/** A season's rises rinse a river by so much. */
const RINSED_BY = 1.5;

/** What is remembered of the flow at a moment. */
interface Memory {
  readonly at: number;
  /** Logarithm of the smoothed flow, and of the rises since, forgotten at their rates. */
  readonly q: number;
  readonly hours: number;
  readonly day: number;
  readonly days: number;
  readonly season: number;
}

/** The memory of a gauge along its series, and the features of any moment. */
export interface Hydrograph {
  readonly points: readonly Memory[];
  /** Logarithm of the middling flow. */
  readonly middle: number;
  /** The gauge's noise is smoothed away over so long, h. */
  readonly smoothH: number;
}

const forget = (value: number, hours: number, rate: number): number => value * Math.exp(-hours / rate);

function next(m: Memory, at: number, raw: number, smoothH: number): Memory {
  const h = Math.max(1e-6, (at - m.at) / HOUR_MS);
  const q = m.q + (raw - m.q) * (1 - Math.exp(-h / smoothH));
  const rise = Math.max(0, q - m.q - LEAST_RISE * Math.min(h, 1));
  return {
    at,
    q,
    hours: forget(m.hours, h, MEMORY_H.hours) + rise,
    day: forget(m.day, h, MEMORY_H.day) + rise,
    days: forget(m.days, h, MEMORY_H.days) + rise,
    season: forget(m.season, h, MEMORY_H.season) + rise,
  };
}

/** A level says how the flow goes: about with its power of 2.5 over its lowest (Leopold & Maddock 1953, depth ∝ Q^0.40). */
const STAGE_POWER = 2.5;

/** Logarithms of the flow of a series, from flow where there is one throughout, else from the level over its lowest. */
function logs(series: readonly HydroPoint[]): { at: number; q: number }[] {
  const flows = series.filter((p) => p.flowM3s !== null && p.flowM3s > 0);
  if (flows.length >= series.length / 2) return flows.map((p) => ({ at: p.at, q: Math.log(p.flowM3s!) }));
  const staged = series.filter((p) => p.stageM !== null);
  const least = Math.min(...staged.map((p) => p.stageM!));
  return staged.map((p) => ({ at: p.at, q: STAGE_POWER * Math.log(Math.max(0.02, p.stageM! - least + 0.3)) }));
}

/**
 * Goes through a gauge's series once.
 *
 * @param series oldest first; steps may differ and have gaps
 * @param smoothH over which the gauge's noise is smoothed away, h
 * @throws RangeError where it has no value
 */
export function readHydrograph(series: readonly HydroPoint[], smoothH = SMOOTH_H): Hydrograph {
  const all = logs(series);
  const [first] = all;
  if (!first) throw new RangeError('series: has neither a flow nor a level');
  const points: Memory[] = [{ at: first.at, q: first.q, hours: 0, day: 0, days: 0, season: 0.5 }];
  for (const p of all.slice(1)) points.push(next(points.at(-1)!, p.at, p.q, smoothH));
  const sorted = points.map((p) => p.q).sort((a, b) => a - b);
  return { points, middle: sorted[Math.floor(sorted.length / 2)]!, smoothH };
}

/** Which value is the last at a moment, or before it. */
function lastAt({ points }: Hydrograph, at: number): number {
  let [low, high] = [0, points.length - 1];
  while (low < high) {
    const mid = Math.ceil((low + high) / 2);
    if (points[mid]!.at <= at) low = mid;
    else high = mid - 1;
  }
  return low;
}

/** The memory at a moment: of the last value before it, forgotten since. */
function memoryAt(g: Hydrograph, at: number): Memory {
  const last = g.points[lastAt(g, at)]!;
  const h = Math.max(0, (at - last.at) / HOUR_MS);
  return {
    at,
    q: last.q,
    hours: forget(last.hours, h, MEMORY_H.hours),
    day: forget(last.day, h, MEMORY_H.day),
    days: forget(last.days, h, MEMORY_H.days),
    season: forget(last.season, h, MEMORY_H.season),
  };
}

/** Silt beside what dims clear water anyway: a rise by an e-th brings so many times that, and the logarithm of the visibility goes
 * with the logarithm of the sum (y = 4.8/(c0 + k·NTU); the figure is assumed). */
const SILT = 5;
const silted = (risen: number): number => Math.log1p(SILT * risen);

/** A value for each of FEATURES at a moment. */
export function featuresAt(g: Hydrograph, at: number): number[] {
  const m = memoryAt(g, at);
  const year = (2 * Math.PI * (at / DAY_MS)) / 365.25;
  const of: Record<Feature, number> = {
    flow: m.q - g.middle,
    hours: silted(m.hours),
    day: silted(m.day),
    days: silted(m.days),
    rinsed: silted(m.day) * (1 - Math.exp(-Math.max(0, m.season - m.day) / RINSED_BY)),
    winter: Math.cos(year),
    spring: Math.sin(year),
  };
  return FEATURES.map((f) => of[f]);
}

/** Logarithm of the flow at a moment: between two values on the straight line from one to the other. */
export function flowAt(g: Hydrograph, at: number): number {
  const i = lastAt(g, at);
  const [before, after] = [g.points[i]!, g.points[i + 1]];
  if (!after || at <= before.at) return before.q;
  return before.q + ((at - before.at) / (after.at - before.at)) * (after.q - before.q);
}

/** The same gauge, gone on with: values after its last, as logarithms of the flow. */
export function continued(g: Hydrograph, future: readonly { readonly at: number; readonly q: number }[]): Hydrograph {
  const points = [g.points.at(-1)!];
  for (const p of future) points.push(next(points.at(-1)!, p.at, p.q, g.smoothH));
  return { ...g, points };
}
