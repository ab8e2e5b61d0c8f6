import { normal, seeded } from '../maths';
import type { ColourReading } from './forecast';
import type { HydroPoint } from './hydrograph';
import type { River } from './kinds';
import { HOUR_MS } from '../units';

/** A river made up for trying forecasts: a mass balance of sediment, quite unlike the forecast's own model. */
export interface TrialRiver {
  readonly series: readonly HydroPoint[];
  /** The true visibility each hour, m. */
  readonly truth: readonly number[];
  readonly startAt: number;
}

export const START = Date.UTC(2025, 1, 1);

/** Of each kind: rain storms a day and their size, seasonal melt, how fast it drains, h; supply and settling of silt; clear water. */
const MAKE: Record<
  River['kind'],
  {
    storms: number;
    size: number;
    melt: number;
    drains: number;
    supply: number;
    settleH: number;
    clearC: number;
    turnover?: true;
  }
> = {
  spate: { storms: 0.16, size: 5, melt: 0, drains: 22, supply: 14, settleH: 20, clearC: 1.1 },
  lowland: { storms: 0.14, size: 1.4, melt: 0, drains: 80, supply: 10, settleH: 60, clearC: 2.4 },
  spring: { storms: 0.1, size: 0.35, melt: 0, drains: 200, supply: 6, settleH: 16, clearC: 1 },
  snowmelt: { storms: 0.06, size: 1, melt: 2.5, drains: 30, supply: 9, settleH: 12, clearC: 1.4 },
  'below a dam': { storms: 0, size: 0, melt: 0, drains: 10, supply: 5, settleH: 14, clearC: 1.3, turnover: true },
};

/** Hourly flow and truth over some months. */
export function makeRiver(river: River, seed: number, days: number): TrialRiver {
  const rand = seeded(seed);
  const m = MAKE[river.kind];
  const vary = (spread: number) => Math.exp(spread * normal(rand));
  const [supply, settleH, drains] = [m.supply * vary(0.4), m.settleH * vary(0.35), m.drains * vary(0.3)];
  const clearC = m.clearC * vary(0.25) * (river.peaty ? 1.5 : 1);
  const base = 8 * vary(0.5);
  const steady = 0.2 * vary(0.4); // what flow alone carries
  let [soil, stream, bank, silt, drift, release] = [0, 0, 1, 0, 0, 1];
  const flows: number[] = [];
  const truth: number[] = [];
  let rain = 0;
  for (let h = 0; h < 24 * days; h++) {
    if (rand() < m.storms / 24) rain += m.size * vary(0.6);
    const falls = rain * 0.25;
    rain -= falls;
    // Two reservoirs in a row.
    soil += falls - soil / 5;
    stream += soil / 5 - stream / drains;
    const season = Math.max(0, Math.sin((Math.PI * (h / 24 - 40)) / 140));
    const melt = m.melt * season * (1 + 0.3 * Math.sin((2 * Math.PI * (h - 18)) / 24));
    if (m.turnover && rand() < 1 / 90) release = 0.6 + 1.2 * rand();
    const q = base * (1 + stream + melt) * (m.turnover ? release : 1);
    const before = flows.at(-1) ?? q;
    flows.push(q);
    const rise = Math.max(0, q / before - 1);
    const washed = bank * (1 - Math.exp(-6 * rise));
    bank += (1 - bank) / (24 * 12) - washed;
    silt += supply * washed - silt / settleH;
    drift += -drift / (24 * 3) + 0.2 * Math.sqrt(2 / (24 * 3)) * normal(rand);
    const turn = m.turnover ? 3 * Math.exp(-(((h / 24 - 0.75 * days) / 12) ** 2)) : 0;
    const carried = silt + steady * Math.max(0, q / base - 1) ** 1.1 + turn;
    truth.push((4.8 / (clearC + 0.9 * Math.max(0, carried))) * Math.exp(drift) * 0.8);
  }
  const series = flows.map((q, h): HydroPoint => {
    const flowM3s = q * Math.exp(0.01 * normal(rand));
    return { at: START + h * HOUR_MS, flowM3s, stageM: 0.3 * flowM3s ** 0.4 };
  });
  return { series, truth, startAt: START };
}

/** So deep the toes are still seen from where one stands, m. */
const STANDS_M = 1;

/** Readings by day, at random, as an angler makes them: ±15 %, and no more than "at least" where the toes were still seen. */
export function readRiver(r: TrialRiver, seed: number, count: number, untilH: number): ColourReading[] {
  const rand = seeded(seed);
  return Array.from({ length: count }, () => {
    const day = Math.floor((rand() * untilH) / 24);
    const h = Math.min(untilH - 1, day * 24 + 7 + Math.floor(12 * rand()));
    const seenM = r.truth[h]! * Math.exp(0.15 * normal(rand));
    const atLeast = seenM > STANDS_M && rand() < 0.6;
    return { at: r.startAt + h * HOUR_MS, visibilityM: atLeast ? STANDS_M : seenM, atLeast };
  }).sort((a, b) => a.at - b.at);
}
