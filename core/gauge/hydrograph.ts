import { normal, seeded } from '../maths';

/** A simulated gauge station: what its river does is a pure function of time. */
export interface StationModel {
  readonly id: string;
  readonly name: string;
  readonly latDeg: number;
  readonly lonDeg: number;
  readonly seed: number;
  /** Flow between freshets in mid-season, m³/s, and how much of it the season swings (0 to 1, most in winter). */
  readonly baseFlowM3s: number;
  readonly seasonalShare: number;
  /** Freshets a day on average, and their median rise over base flow. */
  readonly freshetsPerDay: number;
  readonly freshetRise: number;
  readonly recessionH: number;
  /** Level = a·Q^b, m on the staff; normal is the level at base flow. */
  readonly ratingA: number;
  readonly ratingB: number;
  /** Water temperature: yearly mean and swing, daily swing, °C. */
  readonly meanTempC: number;
  readonly yearSwingC: number;
  readonly daySwingC: number;
}

export interface GaugePoint {
  /** ms UTC */
  readonly at: number;
  readonly flowM3s: number;
  /** Level on the staff, m. */
  readonly stageM: number;
  readonly tempC: number;
}

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const MEMORY_DAYS = 20;
const RISE_H = 7;

/** Share of the freshets' water over base flow at a time: 0 between freshets. Sharp rise, exponential recession. */
export function freshetShare(m: StationModel, at: number): number {
  const today = Math.floor(at / DAY);
  let sum = 0;
  for (let d = today - MEMORY_DAYS; d <= today; d++) {
    const rand = seeded(m.seed * 7919 + d);
    const season = 1 + 0.5 * Math.cos((2 * Math.PI * (dayOfYear(d) - 330)) / 365);
    if (rand() > m.freshetsPerDay * season) continue;
    const start = d * DAY + rand() * DAY;
    const size = m.freshetRise * Math.exp(0.6 * normal(rand));
    const h = (at - start) / HOUR;
    if (h > 0) sum += size * (1 - Math.exp(-h / RISE_H)) * Math.exp(-h / m.recessionH);
  }
  return sum;
}

const dayOfYear = (day: number) => day % 365.25;

/** The station at one moment. @example gaugeAt(model, Date.UTC(2026, 8, 1)).flowM3s */
export function gaugeAt(m: StationModel, at: number): GaugePoint {
  const d = at / DAY;
  const year = Math.cos((2 * Math.PI * (dayOfYear(d) - 15)) / 365.25); // +1 in mid-January
  const base = m.baseFlowM3s * (1 + m.seasonalShare * year);
  const flowM3s = base * (1 + freshetShare(m, at));
  const hour = (((at / HOUR + m.lonDeg / 15) % 24) + 24) % 24;
  const weather = 1.2 * Math.sin(d / 2.3 + m.seed) * Math.cos(d / 5.1);
  const tempC = Math.max(
    0.2,
    m.meanTempC -
      m.yearSwingC * Math.cos((2 * Math.PI * (dayOfYear(d) - 30)) / 365.25) +
      weather +
      (m.daySwingC / 2) * Math.cos((2 * Math.PI * (hour - 17)) / 24),
  );
  return { at, flowM3s, stageM: m.ratingA * Math.pow(flowM3s, m.ratingB), tempC };
}

/** Staff level at base flow, m: what "normal" means for the station. */
export const normalStage = (m: StationModel): number => m.ratingA * Math.pow(m.baseFlowM3s, m.ratingB);

/** Hourly points from `from` to `to` (ms UTC). Throws RangeError when that is more than 400 days or backwards. */
export function gaugeSeries(m: StationModel, from: number, to: number, stepMs = HOUR): GaugePoint[] {
  if (!(to >= from)) throw new RangeError('to: must not be before from');
  if (to - from > 400 * DAY) throw new RangeError('from: at most 400 days at once');
  const out: GaugePoint[] = [];
  for (let t = Math.ceil(from / stepMs) * stepMs; t <= to; t += stepMs) out.push(gaugeAt(m, t));
  return out;
}

/** Rising, falling or steady over the last six hours, by 3 cm. */
export function trend(points: readonly GaugePoint[]): 'rising' | 'falling' | 'steady' {
  const last = points[points.length - 1];
  if (!last) return 'steady';
  const before = [...points].reverse().find((p) => p.at <= last.at - 6 * HOUR) ?? points[0]!;
  const change = last.stageM - before.stageM;
  return change > 0.03 ? 'rising' : change < -0.03 ? 'falling' : 'steady';
}
