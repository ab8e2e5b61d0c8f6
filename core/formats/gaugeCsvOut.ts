import type { GaugePoint } from '../gauge/points';

const HEADINGS = ['time_utc', 'stage_m', 'discharge_m3s', 'water_temperature_c', 'rain_mm'];
const cell = (value: number | undefined, digits: number): string =>
  value !== undefined && Number.isFinite(value) ? value.toFixed(digits) : '';

/** A gauge as CSV (RFC 4180), in SI: times and numbers, none of which needs a quote. */
export const writeGaugeCsv = (points: readonly GaugePoint[]): string =>
  [
    HEADINGS,
    ...points.map((p) => [
      new Date(p.at).toISOString(),
      ...[cell(p.stageM, 3), cell(p.flowM3s, 3), cell(p.tempC, 1), cell(p.rainMm, 1)],
    ]),
  ]
    .map((row) => `${row.join(',')}\r\n`)
    .join('');
