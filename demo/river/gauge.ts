import { normal, seeded } from '@/core/maths';
import type { GaugePoint } from '@/core/gauge';
import { type RiverHour, riverOf, type RiverModel, stageOf } from './river';
import { DAY_MS, HOUR_MS } from '@/core/units';

/** How well a station measures: the noise of its level, m, and what fails, times a month. */
export interface Faults {
  readonly noiseM: number;
  /** Some hours are missing; the level stays where it was for a day; nothing is sent for days. */
  readonly gapsPerMonth: number;
  readonly stuckPerMonth: number;
  readonly silentPerMonth: number;
}

interface Measured extends Required<GaugePoint> {
  readonly airTempC: number;
}

const MONTH_D = 30;
/** How long each failure lasts, h. */
const LASTS_H = { gap: 7, stuck: 22, silent: 70 } as const;

type Failure = keyof typeof LASTS_H;
/** When a failure that holds at a moment began; null where none does. */
function failing(seed: number, perMonth: number, kind: Failure, at: number): number | null {
  const back = Math.ceil(LASTS_H[kind] / 24);
  for (let day = Math.floor(at / DAY_MS); day >= Math.floor(at / DAY_MS) - back; day--) {
    const rand = seeded(seed * 6007 + day * 3 + Object.keys(LASTS_H).indexOf(kind));
    if (rand() > perMonth / MONTH_D) continue;
    const began = day * DAY_MS + rand() * DAY_MS;
    if (at >= began && at < began + LASTS_H[kind] * HOUR_MS) return began;
  }
  return null;
}

/** A station of a river, as a function of time: what it sends, NaN where an instrument failed; null where it sends nothing. */
export function gaugeOf(m: RiverModel, f: Faults, river = riverOf(m)): (at: number) => Measured | null {
  const seed = m.climate.seed + Math.round(m.areaKm2);
  const level = (r: RiverHour) => {
    const rand = seeded(seed + Math.floor(r.at / HOUR_MS));
    return stageOf(m, r.flowM3s) + f.noiseM * normal(rand);
  };
  return (at) => {
    if (failing(seed, f.silentPerMonth, 'silent', at) !== null) return null;
    const now = river(at);
    const missing = failing(seed, f.gapsPerMonth, 'gap', at) !== null;
    const since = failing(seed, f.stuckPerMonth, 'stuck', at);
    const stageM = missing ? NaN : Math.round(1000 * level(since === null ? now : river(since))) / 1000;
    return {
      at,
      stageM,
      rainMm: now.rainMm,
      airTempC: now.airTempC,
      // Stations do not measure a flow: they tell it from the level.
      flowM3s: Math.pow(Math.max(0.01, stageM) / m.ratingA, 1 / m.ratingB),
      tempC: missing ? NaN : now.tempC,
    };
  };
}

/** What a station sends from one time to another, every so many ms; the rain of each step is summed by the hour. */
export function sent(station: (at: number) => Measured | null, from: number, to: number, stepMs: number): Measured[] {
  const out: Measured[] = [];
  for (let at = Math.ceil(from / stepMs) * stepMs; at <= to; at += stepMs) {
    const now = station(at);
    if (!now) continue;
    let rainMm = 0;
    for (let t = at - stepMs + HOUR_MS; t <= at; t += HOUR_MS) rainMm += station(t)?.rainMm ?? 0;
    out.push({ ...now, rainMm });
  }
  return out;
}
