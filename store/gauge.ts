import { useQuery } from '@tanstack/react-query';
import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { GaugePoint } from '@/core/gauge';

/** The gauge as last heard: from the station now, or kept from before. */
export interface GaugeReport {
  readonly points: readonly GaugePoint[];
  /** When these values were fetched, ms UTC. */
  readonly fetchedAt: number;
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
const HOUR = 3_600_000;
const TIMEOUT_MS = 8_000;
const kept = () => createAsyncStorage('wanderung-gauge');

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

async function fetchGauge(stationId: string, to: number, { days, stepH }: Span): Promise<GaugePoint[]> {
  const from = new Date(to - days * 24 * HOUR).toISOString();
  const r = await get(
    `/api/stations/${encodeURIComponent(stationId)}/waterml?from=${from}&to=${new Date(to).toISOString()}&step=${stepH}`,
  );
  const { readWaterML } = await import('./parsers');
  const series = readWaterML(await r.text());
  const of = (property: string) =>
    new Map(series.find((s) => s.property === property)?.points.map((p) => [p.at, p.value]));
  const stage = of('stage');
  const flow = of('discharge');
  const temp = of('temperature');
  const points = [...stage].map(([at, stageM]) => ({
    at,
    stageM,
    flowM3s: flow.get(at) ?? NaN,
    tempC: temp.get(at) ?? NaN,
  }));
  if (points.length === 0) throw new RangeError('the station sent no levels for these days');
  return points;
}

/** The last seven days up to `to`, ms UTC on a whole hour; without a signal the last values that were heard. */
export const useGauge = (stationId: string | null, to: number) => useReport(stationId, to, LATELY, 'last');

/** The last year up to `to`, every six hours; without a signal as it was heard last. */
export const useGaugeYear = (stationId: string | null, to: number) =>
  useReport(stationId, Math.floor(to / (6 * HOUR)) * 6 * HOUR, YEAR, 'year');

function useReport(stationId: string | null, to: number, span: Span, name: string) {
  return useQuery<GaugeReport | null>({
    queryKey: ['gauge', name, stationId, to],
    enabled: stationId !== null,
    staleTime: HOUR / 4,
    queryFn: async () => {
      if (!stationId) return null;
      const key = `${name}/${stationId}`;
      try {
        const points = await fetchGauge(stationId, to, span);
        const report: GaugeReport = { points, fetchedAt: Date.now(), stale: null };
        await kept().setItem(key, JSON.stringify(report));
        return report;
      } catch (error) {
        const last = await kept()
          .getItem(key)
          .then((text) => (text === null ? null : (JSON.parse(text) as GaugeReport)))
          .catch(() => null); // unreadable is as good as none
        const why = error instanceof RangeError ? error.message : 'there is no connection to the station';
        if (last === null) throw new RangeError(`No level: ${why}, and none was heard before.`);
        return { ...last, stale: why };
      }
    },
  });
}

/** Stations the server knows; none without a signal. */
export function useStations() {
  return useQuery<Station[]>({
    queryKey: ['stations'],
    queryFn: async () => {
      const { checkStations } = await import('./parsers');
      return checkStations(await (await get('/api/stations')).json());
    },
  });
}

/** Whether the server was started with the demo data. */
export async function startedForDemo(): Promise<boolean> {
  try {
    return ((await (await get('/api/start')).json()) as { demo?: boolean }).demo === true;
  } catch {
    return false;
  }
}
