import type { GaugePoint } from '@/core/gauge/points';

/** What a station sends, the air beside the river. */
export interface StationPoint extends GaugePoint {
  readonly airTempC?: number;
}

const HEADINGS = ['time_utc', 'stage_m', 'discharge_m3s', 'water_temperature_c', 'rain_mm', 'air_temperature_c'];
const cell = (value: number | undefined, digits: number): string =>
  Number.isFinite(value) ? value!.toFixed(digits) : '';

/** A gauge as CSV (RFC 4180), in SI: times and numbers, none of which needs a quote. */
export const writeGaugeCsv = (points: readonly StationPoint[]): string =>
  [
    HEADINGS,
    ...points.map((p) => [
      new Date(p.at).toISOString(),
      ...[cell(p.stageM, 3), cell(p.flowM3s, 3), cell(p.tempC, 1), cell(p.rainMm, 1), cell(p.airTempC, 1)],
    ]),
  ]
    .map((row) => `${row.join(',')}\r\n`)
    .join('');
