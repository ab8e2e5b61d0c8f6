import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { writeWaterML } from '@/core/formats/waterml';
import { startedForDemo, useGauge } from './gauge';
import { createQueryClient } from './hooks';

const HOUR = 3_600_000;
const NOW = Date.UTC(2026, 8, 10, 12);
const feed = (level: number) =>
  writeWaterML({ id: 's', name: 'S' }, [
    {
      property: 'stage',
      unit: 'm',
      points: [
        { at: NOW - HOUR, value: level },
        { at: NOW, value: level + 0.1 },
      ],
    },
    { property: 'discharge', unit: 'm3/s', points: [{ at: NOW, value: 12 }] },
    { property: 'temperature', unit: 'Cel', points: [{ at: NOW, value: 9 }] },
  ]);

function Page({ station }: { station: string | null }) {
  const g = useGauge(station, NOW);
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
    await shows(/error: No level: there is no connection to the station, and none was heard before/);
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

  it('is not asked where no station is set', async () => {
    render(<App station={null} />);
    await shows(/nothing/);
    expect(fetchMock).not.toHaveBeenCalled();
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
