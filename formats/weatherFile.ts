import type { WeatherHour } from '@/core/gauge/weather';
import { several } from '@/words/counting';
import { numberIn } from './gaugeCsv';
import { parseJson } from './json';
import { readSheet } from './sheet/table';

type Measured = Exclude<keyof WeatherHour, 'at'>;

/** How the columns of a forecast are known, by words in their headings; units by others, metric where none stands. */
const COLUMNS: Readonly<Record<Measured, { readonly called: RegExp; readonly name: string }>> = {
  windFromDeg: { called: /wind.*(dir|from|deg)/i, name: 'wind_from_deg' },
  windMps: { called: /wind/i, name: 'wind_mps' },
  rainMm: { called: /rain|precip/i, name: 'rain_mm' },
  airTempC: { called: /air|temp/i, name: 'air_c' },
  cloud: { called: /cloud|sky/i, name: 'cloud_pct' },
};
const MEASURED = Object.keys(COLUMNS) as Measured[];
const TIME = /^(time|date|valid)/i;
/** What turns a number under such a heading into SI (miles, knots: international mile and nautical mile). */
const FACTORS: readonly (readonly [Measured, RegExp, (v: number) => number])[] = [
  ['windMps', /km/i, (v) => v / 3.6],
  ['windMps', /mph|mi/i, (v) => (v * 1609.344) / 3600],
  ['windMps', /kn|kt/i, (v) => (v * 1852) / 3600],
  ['airTempC', /(_|\b|°)f\b|fahrenheit/i, (v) => (v - 32) / 1.8],
  ['rainMm', /(_|\b)in(ch(es)?)?\b/i, (v) => 25.4 * v],
  ['cloud', /pct|%|percent/i, (v) => v / 100],
];
/** What an hour of weather can be; beyond it a line is left out. */
const LIMITS: Readonly<Record<Measured, readonly [number, number]>> = {
  windFromDeg: [0, 360],
  windMps: [0, 120],
  rainMm: [0, 500],
  airTempC: [-60, 60],
  cloud: [0, 1],
};
const MOST_HOURS = 1000;

interface WeatherFile {
  /** Oldest first, each hour once. */
  readonly hours: readonly WeatherHour[];
  /** What was left out, and why, in words. */
  readonly said: readonly string[];
}

const number = (cell: unknown): number => numberIn(String(cell ?? '').replace('−', '-')) ?? NaN;
/** ms UTC or ISO 8601; without a zone by the reader's clock. */
const moment = (cell: unknown): number =>
  typeof cell === 'number'
    ? cell
    : Date.parse(
        String(cell ?? '')
          .trim()
          .replace(/^(\d{4}-\d\d-\d\d) (?=\d)/, '$1T'),
      );

/** Rows of values by heading, out of a table or a list of objects. */
function rowsOf(text: string): { headings: readonly string[]; rows: readonly (readonly unknown[])[] } {
  if (!/^\s*[[{]/.test(text)) {
    const { headings, rows } = readSheet(text);
    return { headings, rows: rows.map((r) => r.cells) };
  }
  const data = parseJson(text);
  const list = Array.isArray(data) ? data : (data as { readonly hours?: unknown } | null)?.hours;
  if (!Array.isArray(list) || list.length === 0 || typeof list[0] !== 'object' || list[0] === null)
    throw new RangeError('The file has no list of hours: JSON must be a list, or hold one under "hours".');
  const headings = Object.keys(list[0]);
  return {
    headings,
    rows: (list as Record<string, unknown>[]).map((o) => headings.map((h) => (Object.hasOwn(o ?? {}, h) ? o[h] : ''))),
  };
}

/** The column of a thing, each column once: wind's direction before its speed. */
function columnsOf(headings: readonly string[]): { time: number; of: Readonly<Record<Measured, number>> } {
  const time = headings.findIndex((h) => TIME.test(h.trim()) || h === 'at');
  const taken = new Set([time]);
  const of = Object.fromEntries(
    MEASURED.map((m) => {
      const at = headings.findIndex((h, i) => !taken.has(i) && (h === m || COLUMNS[m].called.test(h)));
      taken.add(at);
      return [m, at];
    }),
  ) as Record<Measured, number>;
  const missing = [...(time < 0 ? ['time'] : []), ...MEASURED.filter((m) => of[m] < 0).map((m) => COLUMNS[m].name)];
  if (missing.length > 0)
    throw new RangeError(
      `The file has no column for ${missing.join(', ')}. A forecast needs time, ${MEASURED.map((m) => COLUMNS[m].name).join(', ')}.`,
    );
  return { time, of };
}

/**
 * A forecast of the weather, hour by hour, out of a table (CSV) or JSON of any service (docs/formats.md).
 *
 * @throws RangeError in words, for a file that is none
 * @example readWeather('time,air_c,rain_mm,cloud_pct,wind_mps,wind_from_deg\n2026-11-30T09:00Z,4,0.2,80,5,230').hours[0].cloud // 0.8
 */
export function readWeather(text: string): WeatherFile {
  const { headings, rows } = rowsOf(text.replace(/^\ufeff/, ''));
  const { time, of } = columnsOf(headings);
  const shares = rows.map((r) => number(r[of.cloud])).filter(Number.isFinite);
  const asPercent = Math.max(0, ...shares) > 1;
  const si = (m: Measured, v: number): number => {
    const heading = headings[of[m]]!;
    if (m === 'cloud') return asPercent ? v / 100 : v;
    const by = FACTORS.find(([name, unit]) => name === m && heading !== m && unit.test(heading));
    return by ? by[2](v) : v;
  };
  const byHour = new Map<number, WeatherHour>();
  let bad = 0;
  for (const row of rows) {
    const at = moment(row[time]);
    const values = MEASURED.map((m) => [m, si(m, number(row[of[m]]))] as const);
    const fits = Number.isFinite(at) && values.every(([m, v]) => v >= LIMITS[m][0] && v <= LIMITS[m][1]);
    if (fits) byHour.set(at, { at, ...(Object.fromEntries(values) as Record<Measured, number>) });
    else bad++;
  }
  const hours = [...byHour.values()].sort((a, b) => a.at - b.at).slice(0, MOST_HOURS);
  if (hours.length === 0) throw new RangeError('None of the file’s lines has a time and weather that can be read.');
  const said = bad > 0 ? [`${several(bad, 'line')} left out: a time or a value there cannot be read`] : [];
  return { hours, said };
}
