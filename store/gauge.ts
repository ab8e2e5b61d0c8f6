import { queryOptions, useQuery } from '@tanstack/react-query';
import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { GaugePoint, WeatherHour } from '@/core/gauge';
import type { Place } from '@/core/sight/place';
import { BASE } from './base';
import { hasRoom } from './copy';
import { openDatabase } from './open';
import { DAY_MS, HOUR_MS } from '@/core/units';

/** The gauge as last heard: from the station now, or kept from before. */
export interface GaugeReport {
  readonly points: readonly GaugePoint[];
  /** When these values were fetched, and up to when they were asked for, ms UTC. */
  readonly fetchedAt: number;
  readonly to?: number;
  /** Why they are not fresh, or null. */
  readonly stale: string | null;
}

export interface Station {
  readonly id: string;
  readonly name: string;
  readonly latDeg: number;
  readonly lonDeg: number;
  readonly normalStageM: number;
}

const API = process.env.EXPO_PUBLIC_API ?? '';
const TIMEOUT_MS = 8_000;
const kept = () => createAsyncStorage('wanderung-gauge');

/** Forgets what was heard of every place. */
export const forgetHeard = (): Promise<void> => kept().clear();

/** JSON has no NaN: what was not measured comes back as it was. */
const revived = (key: string, value: unknown): unknown => (value === null && key !== 'stale' ? NaN : value);
/** What was heard last; null where nothing was, or nothing that can be read. */
const heard = <T>(key: string): Promise<T | null> =>
  kept()
    .getItem(key)
    .then((text) => (text === null ? null : (JSON.parse(text, revived) as T)))
    .catch(() => null);

/**
 * What is sent now, kept for the next time without a signal; else what was heard last, and why it is old.
 *
 * @param isNew whether what was heard last need not be asked for again
 */
async function newestOf<T extends { readonly stale: string | null }>(
  key: string,
  words: { readonly none: string; readonly to: string },
  ask: () => Promise<T>,
  isNew?: (last: T) => boolean,
): Promise<T> {
  if (isNew) {
    const last = await heard<T>(key);
    if (last && isNew(last)) return last;
  }
  try {
    const report = await ask();
    if (await hasRoom()) await kept().setItem(key, JSON.stringify(report));
    return report;
  } catch (error) {
    const last = await heard<T>(key);
    const why = error instanceof RangeError ? error.message : `there is no connection to ${words.to}`;
    if (last === null) throw new RangeError(`${words.none}: ${why}, and no earlier level is stored.`);
    return { ...last, stale: why };
  }
}

async function get(path: string): Promise<Response> {
  const r = await fetch(API + path, { signal: AbortSignal.timeout(TIMEOUT_MS) });
  if (!r.ok) {
    const said = (await r.json().catch(() => null)) as { error?: string } | null;
    throw new RangeError(said?.error ?? `the station answered ${r.status}`);
  }
  return r;
}

/** What of a gauge is asked for: so many days up to a moment, every so many hours. */
interface Span {
  readonly days: number;
  readonly stepH: number;
}
/** The last days hour by hour, and the last year more coarsely: what a river's colour is learned from. */
const LATELY: Span = { days: 7, stepH: 1 };
const YEAR: Span = { days: 360, stepH: 6 };

/** Reads the text that a station sends; a year of it would hold up the page for long. Throws RangeError for what is no gauge's. */
type ReadFeed = (text: string) => Promise<readonly GaugePoint[]>;

async function fetchGauge(stationId: string, to: number, { days, stepH }: Span): Promise<string> {
  const from = new Date(to - days * DAY_MS).toISOString();
  const r = await get(
    `${BASE}/api/stations/${encodeURIComponent(stationId)}/waterml?from=${from}&to=${new Date(to).toISOString()}&step=${stepH}`,
  );
  return r.text();
}

/** A water's station may be a file of the user's. */
const FILE = 'file:';
export const stationOfFile = (id: string): string => FILE + id;
export const fileOfStation = (stationId: string | null): string | null =>
  stationId?.startsWith(FILE) ? stationId.slice(FILE.length) : null;

const number = (value: number | null | undefined): number => value ?? NaN;
/** What a kept file says of the days that are asked for. */
async function filePoints(id: string, to: number, { days }: Span): Promise<readonly GaugePoint[]> {
  const file = (await openDatabase().db.all('feed')).find((f) => f.id === id);
  if (!file) throw new RangeError('its file is no longer here: import it again');
  return file.values
    .filter(([at]) => at > to - days * DAY_MS && at <= to)
    .map(([at, stageM, flowM3s, tempC, rainMm]) => ({
      ...{ at, stageM: number(stageM), flowM3s: number(flowM3s), tempC: number(tempC) },
      ...(rainMm === null || rainMm === undefined ? null : { rainMm }),
    }));
}

/** The last seven days up to `to`, ms UTC on a whole hour; without a signal the last values that were heard. */
export const gaugeLately = (stationId: string | null, to: number, read: ReadFeed) =>
  reportOf(stationId, to, LATELY, 'last', read);

/** The last year up to `to`, every six hours; without a signal as it was heard last. One that was heard in the last quarter of an
 * hour does, over a reload too: reading it is work. */
export function gaugeYear(stationId: string | null, to: number, read: ReadFeed) {
  const until = Math.floor(to / (6 * HOUR_MS)) * 6 * HOUR_MS;
  const isNew = (last: GaugeReport) =>
    last.to === until && last.fetchedAt <= Date.now() && last.fetchedAt > Date.now() - STALE_MS;
  return reportOf(stationId, until, YEAR, 'year', read, isNew);
}
const STALE_MS = HOUR_MS / 4;

const reportOf = (
  stationId: string | null,
  to: number,
  span: Span,
  name: string,
  read: ReadFeed,
  isNew?: (last: GaugeReport) => boolean,
) =>
  queryOptions<GaugeReport | null>({
    queryKey: ['gauge', name, stationId, to],
    enabled: stationId !== null,
    staleTime: STALE_MS,
    queryFn: async () => {
      if (!stationId) return null;
      const file = fileOfStation(stationId);
      if (file !== null) {
        const points = await filePoints(file, to, span);
        if (points.length === 0) throw new RangeError('No level: the gauge’s file ends before these days.');
        return { points, fetchedAt: to, stale: null };
      }
      const ask = async () => {
        const points = await read(await fetchGauge(stationId, to, span));
        return { points, fetchedAt: Date.now(), to, stale: null };
      };
      return newestOf<GaugeReport>(`${name}/${stationId}`, { none: 'No level', to: 'the station' }, ask, isNew);
    },
  });

/** Weather that is foretold for a place, and when. */
export interface WeatherReport {
  readonly issuedAt: number;
  readonly hours: readonly WeatherHour[];
  /** Where it comes from, in words. */
  readonly from: string;
  /** Why it is not fresh, or null. */
  readonly stale: string | null;
}

/** The simulated weather of the next three days at a place; without a signal as it was heard last. Null: none is asked for. */
export function weatherAt(at: Place | null, now: number) {
  const from = Math.floor(now / HOUR_MS) * HOUR_MS;
  const place = at && `${at.latDeg.toFixed(2)}/${at.lonDeg.toFixed(2)}`;
  return queryOptions<WeatherReport>({
    queryKey: ['weather', place, from],
    enabled: at !== null,
    staleTime: HOUR_MS / 2,
    retry: false,
    queryFn: () =>
      newestOf<WeatherReport>(`weather/${place}`, { none: 'No weather', to: 'the weather service' }, async () => {
        const path = `${BASE}/api/weather?lat=${at!.latDeg.toFixed(4)}&lon=${at!.lonDeg.toFixed(4)}&from=${new Date(from).toISOString()}`;
        const { checkWeather } = await import('./parsers');
        return { ...checkWeather(await (await get(path)).json()), from: 'a simulated service', stale: null };
      }),
  });
}

/** Simulated stations that the server knows; none without a signal, and where they are not offered. */
export function useStations(offered: boolean) {
  return useQuery<Station[]>({
    queryKey: ['stations'],
    enabled: offered,
    queryFn: async () => {
      const { checkStations } = await import('./parsers');
      return checkStations(await (await get(`${BASE}/api/stations`)).json());
    },
  });
}

/** Whether the server was started with the demo data. */
export async function startedForDemo(): Promise<boolean> {
  try {
    return ((await (await get(`${BASE}/api/start`)).json()) as { demo?: boolean }).demo === true;
  } catch {
    return false;
  }
}
