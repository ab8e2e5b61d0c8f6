import type { GaugePoint } from './points';
import { DAY_MS, HOUR_MS } from '../units';

export const MEASURED = ['stage', 'discharge', 'temperature', 'rainfall'] as const;
export type Property = (typeof MEASURED)[number];
export const SI_UNITS: Readonly<Record<Property, string>> = {
  stage: 'm',
  discharge: 'm3/s',
  temperature: 'Cel',
  rainfall: 'mm',
};

/** One measured property over time, in SI. */
export interface GaugeSeries {
  readonly property: Property;
  readonly unit: string;
  readonly points: readonly { readonly at: number; readonly value: number }[];
}

/** A gauge as it was read from a feed or a file. */
export interface Feed {
  /** Oldest first, each moment once. */
  readonly points: readonly GaugePoint[];
  /** What was wrong with it and what was done. */
  readonly said: readonly FeedNote[];
}

/** What was wrong with a gauge’s values and what was done; moments in ms UTC. */
export type FeedNote =
  | ({ readonly code: 'misdated' } & Misdated)
  | { readonly code: 'impossible'; readonly values: number }
  | { readonly code: 'older'; readonly keptDays: number }
  | { readonly code: 'no date'; readonly rows: number; readonly firstRow: number };

/** Values that are left out for their time. */
interface Misdated {
  readonly values: number;
  readonly from: number;
  readonly to: number;
  readonly toCome: boolean;
}

/** Why a gauge’s values are of no use. */
export type NoFeed = ({ readonly code: 'only misdated' } & Misdated) | { readonly code: 'no river' | 'no values' };

/** Nothing of use is in a feed. */
export class FeedRefusal extends RangeError {
  constructor(readonly why: NoFeed) {
    super(why.code);
    this.name = 'FeedRefusal';
  }
}

/** What no river and no sky does; such values are a failed instrument or a code for "none" (-999). */
const CAN_BE: Readonly<Record<Property, readonly [number, number]>> = {
  stage: [-20, 100],
  discharge: [0, 400_000],
  temperature: [-2, 45],
  rainfall: [0, 300],
};
const FIELD = { stage: 'stageM', discharge: 'flowM3s', temperature: 'tempC', rainfall: 'rainMm' } as const;
/** A clock that is wrong by a time zone is no fault; before 1970 nothing is stored. */
const [AHEAD_MS, EARLIEST] = [2 * DAY_MS, 0];
/** The past that is kept: fully for so long, coarser before. */
const [FINE_D, FINE_STEP, COARSE_STEP, KEPT_D] = [30, HOUR_MS, 6 * HOUR_MS, 400];

/**
 * Joins the series of a gauge by time: sorted, each moment once (the last word counts), impossible values left out, hour by hour
 * for the last month and every six hours for the year before it. What is dated after `now`, or before gauges told anything by
 * the hour, is left out: one such value would else push all others out of what is kept.
 *
 * @param now ms UTC; not given, no time is in the future
 * @throws FeedRefusal where nothing of use is left
 */
export function joinSeries(series: readonly GaugeSeries[], now = Infinity): Feed {
  const byTime = new Map<number, { -readonly [K in keyof GaugePoint]: GaugePoint[K] }>();
  let [out, total] = [0, 0];
  const misdated = new Set<number>();
  for (const { property, points } of series) {
    const [least, most] = CAN_BE[property];
    for (const { at, value } of points) {
      total++;
      if (at > now + AHEAD_MS || at < EARLIEST) {
        misdated.add(at);
        continue;
      }
      if (!(value >= least && value <= most)) {
        out++;
        continue;
      }
      let p = byTime.get(at);
      if (!p) byTime.set(at, (p = { at, stageM: NaN, flowM3s: NaN, tempC: NaN }));
      p[FIELD[property]] = value;
    }
  }
  const all = [...byTime.values()].sort((a, b) => a.at - b.at);
  const last = all.at(-1);
  if (!last || !all.some((p) => Number.isFinite(p.stageM) || p.flowM3s > 0))
    throw new FeedRefusal(
      misdated.size > 0
        ? { code: 'only misdated', ...misdatedOf(misdated, now) }
        : { code: total > 0 ? 'no river' : 'no values' },
    );
  const kept = all.filter((p) => p.at > last.at - KEPT_D * DAY_MS);
  const fineFrom = Math.floor((last.at - FINE_D * DAY_MS) / COARSE_STEP) * COARSE_STEP;
  const points = [
    ...thinned(
      kept.filter((p) => p.at <= fineFrom),
      COARSE_STEP,
    ),
    ...thinned(
      kept.filter((p) => p.at > fineFrom),
      FINE_STEP,
    ),
  ];
  const said: FeedNote[] = [
    ...(misdated.size > 0 ? [{ code: 'misdated' as const, ...misdatedOf(misdated, now) }] : []),
    ...(out > 0 ? [{ code: 'impossible' as const, values: out }] : []),
    ...(kept.length < all.length ? [{ code: 'older' as const, keptDays: KEPT_D }] : []),
  ];
  return { points, said };
}

const misdatedOf = (moments: ReadonlySet<number>, now: number): Misdated => {
  const [from, to] = [Math.min(...moments), Math.max(...moments)];
  return { values: moments.size, from, to, toCome: from > now };
};

/** Means over steps: of what is known in each; rain is summed. */
function thinned(points: readonly GaugePoint[], stepMs: number): GaugePoint[] {
  const out: GaugePoint[] = [];
  for (let i = 0; i < points.length;) {
    const step = Math.ceil(points[i]!.at / stepMs);
    let j = i;
    while (j < points.length && Math.ceil(points[j]!.at / stepMs) === step) j++;
    const cell = points.slice(i, j);
    i = j;
    if (cell.length === 1) {
      out.push(cell[0]!);
      continue;
    }
    const mean = (of: (p: GaugePoint) => number) => {
      const known = cell.map(of).filter(Number.isFinite);
      return known.length > 0 ? known.reduce((sum, v) => sum + v, 0) / known.length : NaN;
    };
    const rain = cell.flatMap((p) => (p.rainMm === undefined ? [] : [p.rainMm]));
    out.push({
      at: step * stepMs,
      stageM: mean((p) => p.stageM),
      flowM3s: mean((p) => p.flowM3s),
      tempC: mean((p) => p.tempC),
      ...(rain.length > 0 ? { rainMm: rain.reduce((sum, mm) => sum + mm, 0) } : null),
    });
  }
  return out;
}

/** A level to the millimetre that stays the same for so long is a stuck float, h; silent and with a gap from so long on, h. */
const [STUCK_H, SILENT_H, GAP_H] = [18, 6, 12];
/** A lake-like level of few digits stays the same without being stuck: steps of this and less count, m. */
const FINE_M = 0.005;

/** The last moment at which the level still moved, where it has not moved by a millimetre since for long; null where it has. */
function stuckSince(points: readonly GaugePoint[]): number | null {
  const levels = points.filter((p) => Number.isFinite(p.stageM));
  const steps = levels
    .slice(1)
    .map((p, i) => Math.abs(p.stageM - levels[i]!.stageM))
    .filter((d) => d > 1e-6);
  const top = levels.at(-1);
  if (!top || steps.length === 0 || Math.min(...steps) > FINE_M) return null;
  const since = [...levels].reverse().find((p) => p.stageM !== top.stageM);
  return since && (top.at - since.at) / HOUR_MS > STUCK_H ? since.at : null;
}

/** A gauge without the days at its end at which it seems to be stuck: what it says then is not of the river. */
export function withoutStuck(points: readonly GaugePoint[]): readonly GaugePoint[] {
  const since = stuckSince(points);
  return since === null ? points : points.filter((p) => p.at <= since);
}

/** What speaks against a gauge’s last days, hours. */
export interface GaugeDoubt {
  readonly code: 'silent' | 'stuck' | 'gaps';
  readonly hours: number;
}

/**
 * What speaks against a gauge's last days: silent, stuck, with gaps; the worst first.
 *
 * @param now ms UTC
 */
export function gaugeDoubts(points: readonly GaugePoint[], now: number): GaugeDoubt[] {
  const last = points.at(-1);
  if (!last) return [];
  const out: GaugeDoubt[] = [];
  const silentH = Math.floor((now - last.at) / HOUR_MS);
  if (silentH >= SILENT_H) out.push({ code: 'silent', hours: silentH });
  const levels = points.filter((p) => Number.isFinite(p.stageM));
  const since = stuckSince(points);
  if (since !== null) out.push({ code: 'stuck', hours: Math.floor((levels.at(-1)!.at - since) / HOUR_MS) });
  const lately = levels.filter((p) => p.at > last.at - 7 * DAY_MS);
  const missingH = lately.slice(1).reduce((sum, p, i) => {
    const h = (p.at - lately[i]!.at) / HOUR_MS;
    return h >= GAP_H ? sum + h : sum;
  }, 0);
  if (missingH > 0) out.push({ code: 'gaps', hours: missingH });
  return out;
}
