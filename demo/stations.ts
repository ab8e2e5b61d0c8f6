import { type Faults, gaugeOf } from './river/gauge';
import { normalStage, type RiverHour, type RiverModel, riverOf } from './river/river';
import type { Climate } from './river/weather';

/** A simulated station on a river: where it stands, what its river is, and how well it measures. */
export interface Station extends RiverModel {
  readonly id: string;
  readonly name: string;
  readonly latDeg: number;
  readonly faults: Faults;
}

/** One coast, one weather; its valleys differ by a degree or two and get their rain alike. */
const COAST: Climate = { seed: 11, meanC: 9.3, yearC: 5, dayC: 3, frontsPerDay: 0.34, frontMm: 7, windMps: 2.6 };
const WELL_KEPT: Faults = { noiseM: 0.002, gapsPerMonth: 0.7, stuckPerMonth: 0, silentPerMonth: 0 };
const NO_DAM = { dam: null, snowShare: 0, colderC: 0, flour: 0 } as const;

/** Simulated gauge stations of the invented coast. Coordinates place the light, not a real river. */
export const STATIONS: readonly Station[] = [
  {
    id: 'sorrelvane-ford',
    name: 'Sorrelvane at the Ford',
    ...{ latDeg: 57.4, lonDeg: -5.2, climate: COAST, faults: WELL_KEPT },
    ...{ areaKm2: 330, normalFlowM3s: 9, ratingA: 0.28, ratingB: 0.45 },
    ...{ soilMm: 120, quickH: 7, slowH: 700, slowShare: 0.45, springsM3s: 3, ...NO_DAM },
    ...{ clearC: 1.5, peatC: 0, supply: 62, settleH: 30, warmsH: 30 },
  },
  {
    id: 'talluquin-narrows',
    name: 'Talluquin at the Narrows',
    ...{ latDeg: 57.1, lonDeg: -5.0, climate: { ...COAST, meanC: 8.4 }, faults: WELL_KEPT },
    ...{ areaKm2: 900, normalFlowM3s: 26, ratingA: 0.24, ratingB: 0.43 },
    ...{ soilMm: 170, quickH: 16, slowH: 1000, slowShare: 0.5, springsM3s: 9, ...NO_DAM, snowShare: 0.3, colderC: 5 },
    ...{ clearC: 1.6, peatC: 0, supply: 50, settleH: 44, flour: 3, warmsH: 60 },
  },
  {
    id: 'pimmeril-bridge',
    name: 'Pimmeril at the Bridge',
    ...{ latDeg: 57.5, lonDeg: -5.3, climate: COAST, faults: { ...WELL_KEPT, noiseM: 0.001 } },
    ...{ areaKm2: 48, normalFlowM3s: 1.3, ratingA: 0.42, ratingB: 0.4 },
    ...{ soilMm: 100, quickH: 3.5, slowH: 600, slowShare: 0.5, springsM3s: 0.4, ...NO_DAM },
    ...{ clearC: 1.1, peatC: 2, supply: 60, settleH: 18, warmsH: 14 },
  },
  {
    id: 'ondrelle-dam',
    name: 'Ondrelle below the dam',
    ...{ latDeg: 57.0, lonDeg: -4.7, climate: { ...COAST, meanC: 8 }, faults: WELL_KEPT },
    ...{ areaKm2: 600, normalFlowM3s: 17, ratingA: 0.26, ratingB: 0.43 },
    ...{ soilMm: 170, quickH: 14, slowH: 1000, slowShare: 0.5, springsM3s: 4, snowShare: 0.3, colderC: 5, flour: 0 },
    dam: {
      least: 0.5,
      most: 1.9,
      runs: [
        [7, 10],
        [17, 21],
      ],
      holdsH: 700,
      turnsDay: 300,
    },
    ...{ clearC: 1.3, peatC: 0, supply: 5, settleH: 14, warmsH: 60 },
  },
  {
    // Melting ice above it, and a station that nobody looks after.
    id: 'uskerrin-icefoot',
    name: 'Uskerrin at the Icefoot',
    ...{ latDeg: 57.2, lonDeg: -4.5, climate: { ...COAST, meanC: 6.5 } },
    faults: { noiseM: 0.006, gapsPerMonth: 6, stuckPerMonth: 2, silentPerMonth: 1 },
    ...{ areaKm2: 300, normalFlowM3s: 6, ratingA: 0.3, ratingB: 0.45 },
    ...{
      soilMm: 90,
      quickH: 6,
      slowH: 500,
      slowShare: 0.4,
      springsM3s: 0.5,
      dam: null,
      snowShare: 0.8,
      colderC: 6,
      flour: 14,
    },
    ...{ clearC: 1.2, peatC: 0, supply: 10, settleH: 14, warmsH: 24 },
  },
];

/** A station's river and what it sends of it, each run through once. */
const made = new Map<string, { river: (at: number) => RiverHour; gauge: ReturnType<typeof gaugeOf> }>();
export function stationNamed(id: string) {
  const station = STATIONS.find((s) => s.id === id);
  if (!station) return null;
  let running = made.get(id);
  if (!running) {
    const river = riverOf(station);
    made.set(id, (running = { river, gauge: gaugeOf(station, station.faults, river) }));
  }
  return { station, normalStageM: normalStage(station), ...running };
}

/** The weather of the coast, for a place. */
export const climateAt = (latDeg: number, lonDeg: number): Climate =>
  STATIONS.reduce((a, b) =>
    Math.hypot(b.latDeg - latDeg, b.lonDeg - lonDeg) < Math.hypot(a.latDeg - latDeg, a.lonDeg - lonDeg) ? b : a,
  ).climate;
