import { type Climate, sunHour, wander, weatherOf, yearDay, yearWave } from './weather';
import { DAY_MS, HOUR_MS } from '@/core/units';

/** A dam above the station: what it lets through, and when its lake turns over. */
export interface Dam {
  /** Of normal flow: kept at all hours, and let through by day. */
  readonly least: number;
  readonly most: number;
  /** Hours of the day by the sun between which it runs its turbines on weekdays. */
  readonly runs: readonly (readonly [number, number])[];
  /** Hours of normal flow that the lake holds before it spills. */
  readonly holdsH: number;
  /** Day of the year about which the lake turns over. */
  readonly turnsDay: number;
}

/** A river above its station. */
export interface RiverModel {
  readonly climate: Climate;
  readonly lonDeg: number;
  readonly areaKm2: number;
  /** Level = a·Q^b, m on the staff; normal is the level at the normal flow, m³/s. */
  readonly normalFlowM3s: number;
  readonly ratingA: number;
  readonly ratingB: number;
  /** Water that the soil holds, mm; how long water takes through the ground's quick way (twice) and its slow one, h; share of the slow one. */
  readonly soilMm: number;
  readonly quickH: number;
  readonly slowH: number;
  readonly slowShare: number;
  /** Springs that give the same all year, m³/s. */
  readonly springsM3s: number;
  /** Share of the land that lies where snow stays, and by how much it is colder there, °C. */
  readonly snowShare: number;
  readonly colderC: number;
  readonly dam: Dam | null;
  /** Light lost in its clear water, 1/m; what peat adds; silt that its banks give, how long it takes to settle, h; flour of melting ice. */
  readonly clearC: number;
  readonly peatC: number;
  readonly supply: number;
  readonly settleH: number;
  readonly flour: number;
  /** How slowly its water follows the air, h. */
  readonly warmsH: number;
}

/** A river's truth hour by hour; nobody on its bank sees it but by readings. */
export interface RiverHour {
  readonly at: number;
  readonly flowM3s: number;
  readonly tempC: number;
  readonly rainMm: number;
  readonly airTempC: number;
  /** How deep toes are seen, m. */
  readonly visibilityM: number;
}

/** Level of a flow on the staff, m. */
export const stageOf = (m: RiverModel, flowM3s: number): number => m.ratingA * Math.pow(flowM3s, m.ratingB);
/** Level that counts as normal, m. */
export const normalStage = (m: RiverModel): number => stageOf(m, m.normalFlowM3s);

/** A year of water begins in September (UTC), and is run up to from July, so that no hour hangs on the window that was asked for. */
const BEGINS_MONTH = 8;
const RUN_UP_D = 62;
/** Degree-days: snow that melts in an hour and degree above 0 °C, mm (Martinec 1975: 3.5 to 6 mm a day and degree, from memory). */
const MELT_MM = 4 / 24;
/** How recharge grows with the soil's water (the beta of HBV: Bergström 1976, from memory). */
const BETA = 2;
/** One mm in an hour off one km² is so much flow, m³/s. */
const M3S_PER_MM = 1 / 3.6;

/** Share of what falls that falls as rain. */
const rainShare = (airC: number): number => Math.min(1, Math.max(0, airC / 2));

function runYear(m: RiverModel, year: number): RiverHour[] {
  const startAt = Date.UTC(year, BEGINS_MONTH, 1) - RUN_UP_D * DAY_MS;
  const hours = (Date.UTC(year + 1, BEGINS_MONTH, 1) - startAt) / HOUR_MS;
  const weather = weatherOf(m.climate);
  const drifts = wander(m.climate.seed + 9, 90);
  let [soil, quick, routed, slow, snow, lake] = [0.6 * m.soilMm, 0, 0, 0, 0, 0.7];
  let [bank, silt, peat, water, before, released] = [0.7, 0, 0, 8, m.normalFlowM3s, m.normalFlowM3s];
  // So that summer begins with the ground's water and not from nothing.
  slow = (m.normalFlowM3s / (m.areaKm2 * M3S_PER_MM)) * m.slowH * 0.8;
  const out: RiverHour[] = [];
  const kept = RUN_UP_D * 24;
  for (let h = 0; h < hours; h++) {
    const at = startAt + h * HOUR_MS;
    const w = weather(at, m.lonDeg);
    const upC = w.airTempC - m.colderC;
    const upRain = w.rainMm * rainShare(upC);
    const melt = Math.min(snow, MELT_MM * Math.max(0, upC));
    snow += w.rainMm - upRain - melt;
    const liquid = (1 - m.snowShare) * w.rainMm + m.snowShare * (upRain + melt);
    const recharge = liquid * (soil / m.soilMm) ** BETA;
    const dried = (0.05 + 0.05 * yearWave(at, 190)) * (soil / m.soilMm);
    soil = Math.min(m.soilMm, Math.max(0.1 * m.soilMm, soil + liquid - recharge - dried));
    quick += recharge * (1 - m.slowShare);
    routed += quick / m.quickH;
    quick -= quick / m.quickH;
    const runs = routed / m.quickH;
    routed -= runs;
    slow += recharge * m.slowShare;
    const seeps = slow / m.slowH;
    slow -= seeps;
    const natural = Math.max(0.05 * m.normalFlowM3s, m.springsM3s + (runs + seeps) * m.areaKm2 * M3S_PER_MM);
    const flowM3s = m.dam ? (released += (letThrough(m, m.dam, at, lake) - released) * 0.6) : natural;
    if (m.dam) lake = Math.min(1.2, Math.max(0, lake + (natural - flowM3s) / (m.normalFlowM3s * m.dam.holdsH)));

    const over = Math.max(0, flowM3s / m.normalFlowM3s - 1.2);
    const rise = m.dam ? 0 : Math.max(0, Math.log(flowM3s / before));
    const torn = bank * (1 - Math.exp(-0.02 * over - 3 * rise * Math.min(1, over)));
    bank += (1 - bank) / (24 * 14) - torn;
    silt += m.supply * torn - silt / m.settleH;
    peat += (Math.min(1, recharge / 0.6) - peat) / 36;
    const turned = m.dam ? turnover(m.dam, at) : 0;
    const dimC =
      m.clearC + m.peatC * (0.5 + peat) + 0.9 * (silt + 0.5 * over + m.flour * m.snowShare * melt + 2.5 * turned);
    before = flowM3s;

    const cold = m.snowShare > 0 && liquid > 0 ? (3 * m.snowShare * melt) / (melt + 0.4) : 0;
    const follows = w.airTempC + 0.6 * (1 - w.cloud) * Math.max(0, yearWave(at, 172) + 0.6) - cold;
    water += (follows - water) / m.warmsH + 0.12 * (1 - w.cloud) * daylight(at, m.lonDeg);
    const tempC = m.dam ? lakeC(m, at, turned) : water;
    if (h < kept) continue;
    out.push({
      at,
      flowM3s,
      rainMm: w.rainMm,
      airTempC: w.airTempC,
      tempC: Math.max(0.2, tempC),
      visibilityM: Math.max(0.05, (4.8 / dimC) * 0.8 * Math.exp(0.12 * drifts(at))),
    });
  }
  return out;
}

/** How much the sun adds and the night takes, −0.5 to 0.5. */
const daylight = (at: number, lonDeg: number): number =>
  0.5 * Math.cos((2 * Math.PI * (sunHour(at, lonDeg) - 14)) / 24) * (0.6 + 0.4 * yearWave(at, 172));

function letThrough(m: RiverModel, dam: Dam, at: number, lake: number): number {
  const hour = sunHour(at, m.lonDeg);
  const weekday = ![0, 6].includes(new Date(at).getUTCDay());
  const running = weekday && lake > 0.25 && dam.runs.some(([from, to]) => hour >= from && hour < to);
  const spills = Math.max(0, lake - 1) * 8;
  return m.normalFlowM3s * ((running ? dam.most : dam.least) + spills);
}

/** The lake turned over so much, 0 to 1: all at once, then it clears over a fortnight. */
function turnover(dam: Dam, at: number): number {
  const sinceD = yearDay(at) - dam.turnsDay;
  return sinceD < 0 ? 0 : Math.exp(-sinceD / 9);
}

/** Water from the foot of a lake: icy in summer, late to cool; where it turns over, as warm as its top was. */
const lakeC = (m: RiverModel, at: number, turned: number): number =>
  m.climate.meanC - 2.5 + 2 * yearWave(at, 285) + 3 * turned;

/** A river as a function of time: each year of water is run through once, and kept. */
export function riverOf(m: RiverModel): (at: number) => RiverHour {
  const years = new Map<number, RiverHour[]>();
  return (at) => {
    const d = new Date(at);
    const year = d.getUTCMonth() >= BEGINS_MONTH ? d.getUTCFullYear() : d.getUTCFullYear() - 1;
    let hours = years.get(year);
    if (!hours) years.set(year, (hours = runYear(m, year)));
    const h = (at - Date.UTC(year, BEGINS_MONTH, 1)) / HOUR_MS;
    const i = Math.floor(h);
    const [a, b] = [hours[i]!, hours[Math.min(hours.length - 1, i + 1)]!];
    const mid = (of: 'flowM3s' | 'tempC' | 'airTempC' | 'visibilityM') => a[of] + (b[of] - a[of]) * (h - i);
    return {
      at,
      rainMm: a.rainMm,
      flowM3s: mid('flowM3s'),
      tempC: mid('tempC'),
      airTempC: mid('airTempC'),
      visibilityM: mid('visibilityM'),
    };
  };
}
