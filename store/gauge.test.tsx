import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { readGaugeText } from '@/formats/gaugeFeed';
import { writeWaterML } from '@/formats/waterml';
import { seeded } from '@/core/maths';
import { put } from './changes';
import { fileOfStation, gaugeLately, gaugeYear, startedForDemo, stationOfFile, weatherAt } from './gauge';
import { createQueryClient } from './hooks';
import { openDatabase } from './open';
import { checkWeather } from './weatherCheck';
import { HOUR_MS } from '@/core/units';

const NOW = Date.UTC(2026, 8, 10, 12);
const feed = (level: number) =>
  writeWaterML({ id: 's', name: 'S' }, [
    {
      property: 'stage',
      unit: 'm',
      points: [
        { at: NOW - HOUR_MS, value: level },
        { at: NOW, value: level + 0.1 },
      ],
    },
    { property: 'discharge', unit: 'm3/s', points: [{ at: NOW, value: 12 }] },
    { property: 'temperature', unit: 'Cel', points: [{ at: NOW, value: 9 }] },
  ]);

function Page({ station }: { station: string | null }) {
  const g = useQuery(gaugeLately(station, NOW, async (text) => readGaugeText(text).points));
  const last = g.data?.points[g.data.points.length - 1];
  return (
    <p>
      {g.isError ? `error: ${g.error.message}` : ''}
      {last ? `level ${last.stageM.toFixed(2)} flow ${last.flowM3s} stale ${String(g.data?.stale)}` : 'nothing'}
      <button onClick={() => void g.refetch()}>again</button>
    </p>
  );
}
function App({ station }: { station: string | null }) {
  const [client] = useState(() => {
    const c = createQueryClient();
    c.setDefaultOptions({ queries: { ...c.getDefaultOptions().queries, retry: false } });
    return c;
  });
  return (
    <QueryClientProvider client={client}>
      <Page station={station} />
    </QueryClientProvider>
  );
}

const answer = (body: string, status = 200) => ({
  ok: status === 200,
  status,
  text: async () => body,
  json: async () => JSON.parse(body) as unknown,
});
const fetchMock = jest.fn();
beforeAll(() => {
  globalThis.fetch = fetchMock as unknown as typeof fetch;
  AbortSignal.timeout ??= () => new AbortController().signal;
});
beforeEach(() => fetchMock.mockReset());
afterEach(cleanup);
const shows = (text: RegExp) => waitFor(() => expect(screen.getByText(text)).toBeTruthy());

describe('the gauge', () => {
  it('asks for seven days up to the hour and reads what comes', async () => {
    fetchMock.mockResolvedValue(answer(feed(1)));
    render(<App station="a b" />);
    await shows(/level 1\.10 flow 12 stale null/);
    const url = String(fetchMock.mock.calls[0]![0]);
    expect(url).toContain('/api/stations/a%20b/waterml?from=2026-09-03T12:00:00.000Z&to=2026-09-10T12:00:00.000Z');
  });

  it('without a signal gives the last values heard, and says why they are old', async () => {
    fetchMock.mockResolvedValueOnce(answer(feed(2)));
    render(<App station="kept" />);
    await shows(/level 2\.10/);
    fetchMock.mockRejectedValue(new TypeError('Failed to fetch'));
    fireEvent.click(screen.getByText('again'));
    await shows(/level 2\.10 flow 12 stale there is no connection to the station/);
  });

  it('without a signal and nothing heard before says so', async () => {
    fetchMock.mockRejectedValue(new TypeError('Failed to fetch'));
    render(<App station="never" />);
    await shows(/error: No level: there is no connection to the station, and no earlier level is stored/);
  });

  it('passes on the station’s own words, and words for a damaged feed', async () => {
    fetchMock.mockResolvedValueOnce(answer('{"error":"There is no station \\"x\\"."}', 404));
    render(<App station="x" />);
    await shows(/There is no station/);
    cleanup();
    fetchMock.mockResolvedValueOnce(answer('<html>'));
    render(<App station="y" />);
    await shows(/error: No level: gauge feed: not XML/);
  });

  it('a year that was heard in the last quarter of an hour is not asked for again, over a reload too', async () => {
    const read = jest.fn(async (text: string) => readGaugeText(text).points);
    const opened = (to = NOW) => new QueryClient().fetchQuery(gaugeYear('y1', to, read));
    fetchMock.mockResolvedValue(answer(feed(3)));
    const clock = jest.spyOn(Date, 'now').mockReturnValue(NOW + 60_000);
    try {
      const first = (await opened())!;
      expect(first.points[0]!.tempC).toBeNaN();
      expect(await opened(NOW + HOUR_MS)).toEqual(first);
      expect(read).toHaveBeenCalledTimes(1);
      await opened(NOW + 6 * HOUR_MS); // another six hours
      expect(read).toHaveBeenCalledTimes(2);
      clock.mockReturnValue(NOW + 20 * 60_000);
      await opened(NOW + 6 * HOUR_MS);
      expect(read).toHaveBeenCalledTimes(3);
      clock.mockReturnValue(NOW); // a clock that was put back
      await opened(NOW + 6 * HOUR_MS);
      expect(read).toHaveBeenCalledTimes(4);
      clock.mockReturnValue(NOW + 20 * 60_000);
      fetchMock.mockRejectedValue(new TypeError('Failed to fetch'));
      expect(await opened(NOW + 6 * HOUR_MS)).toMatchObject({ stale: 'there is no connection to the station' });
    } finally {
      clock.mockRestore();
    }
  });

  it('is not asked where no station is set', async () => {
    render(<App station={null} />);
    await shows(/nothing/);
    expect(fetchMock).not.toHaveBeenCalled();
  });
});

describe('a gauge out of a file', () => {
  const HOURS = Array.from({ length: 24 * 9 }, (_, h) => NOW - (24 * 9 - 1 - h) * HOUR_MS);
  const { db } = openDatabase();

  it('is read from what is kept, for the days that are asked, without asking anybody', async () => {
    const values = HOURS.map((at, i) => [at, 1 + i / 1000, null, 9.5, 0.2] as const);
    await db.commit(put('feed', { id: 'f', name: 'levels.csv', importedAt: NOW, values }));
    render(<App station={stationOfFile('f')} />);
    await shows(/level 1\.22 flow NaN stale null/);
    expect(fetchMock).not.toHaveBeenCalled();
    expect(fileOfStation(stationOfFile('f'))).toBe('f');
    expect(fileOfStation('f')).toBeNull();
  });

  it('says that it ends before those days, or is no longer here', async () => {
    await db.commit(
      put('feed', { id: 'old', name: 'x', importedAt: NOW, values: [[NOW - 90 * 24 * HOUR_MS, 1, null, null, null]] }),
    );
    render(<App station={stationOfFile('old')} />);
    await shows(/file ends before these days/);
    cleanup();
    render(<App station={stationOfFile('gone')} />);
    await shows(/no longer here: import it again/);
  });
});

describe('the weather that is foretold', () => {
  const hours = (n: number, o: object = {}) =>
    Array.from({ length: n }, (_, h) => ({
      ...{ at: NOW + h * HOUR_MS, rainMm: 0.2, airTempC: 8, cloud: 0.5, windMps: 4, windFromDeg: 200 },
      ...o,
    }));
  const sky = (body: object) => answer(JSON.stringify({ issuedAt: NOW, hours: hours(73), simulated: true, ...body }));
  function Sky() {
    const w = useQuery(weatherAt({ latDeg: 57.1, lonDeg: -5 }, NOW + 20 * 60_000));
    return (
      <p>
        {w.isError ? `error: ${w.error.message}` : ''}
        {w.data ? `hours ${w.data.hours.length} stale ${String(w.data.stale)}` : 'nothing'}
        <button onClick={() => void w.refetch()}>again</button>
      </p>
    );
  }
  const page = () => (
    <QueryClientProvider client={createQueryClient()}>
      <Sky />
    </QueryClientProvider>
  );

  it('is asked for by place and hour; without a signal it is the last that was heard, said to be so', async () => {
    fetchMock.mockRejectedValueOnce(new TypeError('Failed to fetch'));
    render(page());
    await shows(/error: No weather: there is no connection to the weather service, and no earlier level is stored/);
    cleanup();
    fetchMock.mockResolvedValueOnce(sky({}));
    render(page());
    await shows(/hours 73 stale null/);
    expect(String(fetchMock.mock.lastCall![0])).toContain(
      '/api/weather?lat=57.1000&lon=-5.0000&from=2026-09-10T12:00:00.000Z',
    );
    fetchMock.mockRejectedValue(new TypeError('Failed to fetch'));
    fireEvent.click(screen.getByText('again'));
    await shows(/hours 73 stale there is no connection to the weather service/);
  });

  it.each([
    ['no hours', { hours: [] }, 'hours'],
    ['a cloud of eleven tenths', { hours: hours(3, { cloud: 1.1 }) }, 'cloud'],
    ['a wind of words', { hours: hours(3, { windMps: 'fresh' }) }, 'windMps'],
    ['no time', { issuedAt: null }, 'issuedAt'],
  ])('refuses %s in words', (_name, body, words) => {
    expect(() => checkWeather({ issuedAt: NOW, hours: hours(73), ...body })).toThrow(words);
    expect(() => checkWeather({ issuedAt: NOW, hours: hours(73), ...body })).toThrow(
      'the weather service sent what cannot be read',
    );
  });

  it('keeps to its bounds whatever is sent, by the thousand', () => {
    const rand = seeded(9);
    const whole = JSON.stringify({ issuedAt: NOW, hours: hours(4) });
    let [read, refused] = [0, 0];
    for (let n = 0; n < 1000; n++) {
      const at = Math.floor(rand() * whole.length);
      const text = whole.slice(0, at) + ['9', '-', '"', 'null', ''][Math.floor(5 * rand())]! + whole.slice(at + 1);
      let sent: unknown;
      try {
        sent = JSON.parse(text);
      } catch {
        continue;
      }
      try {
        const { hours: kept } = checkWeather(sent);
        read++;
        expect(kept.every((h) => h.cloud >= 0 && h.cloud <= 1 && h.rainMm >= 0 && Number.isFinite(h.windMps))).toBe(
          true,
        );
      } catch (error) {
        expect(error).toBeInstanceOf(RangeError);
        refused++;
      }
    }
    expect(read).toBeGreaterThan(50);
    expect(refused).toBeGreaterThan(50);
  });
});

describe('whether the server was started for the demo', () => {
  it.each([
    ['{"demo":true}', true],
    ['{"demo":false}', false],
    ['{}', false],
  ])('%s', async (body, want) => {
    fetchMock.mockResolvedValue(answer(body));
    expect(await startedForDemo()).toBe(want);
  });

  it('is no without a server', async () => {
    fetchMock.mockRejectedValue(new Error('gone'));
    expect(await startedForDemo()).toBe(false);
  });
});
