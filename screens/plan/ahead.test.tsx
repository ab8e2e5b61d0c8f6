import { water as waterOf } from '@/store/records.testing';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { TextDecoder, TextEncoder } from 'node:util';
import type { ColourRequest } from '@/workers/river';
import { writeWaterML } from '@/formats/waterml';
import { OPEN, RIG, RUN } from '@/core/testing/fixtures';
import { sent } from '@/demo/river/gauge';
import { foretold } from '@/demo/river/weather';
import { climateAt, stationNamed } from '@/demo/stations';
import { put } from '@/store/changes';
import { ofSession } from '@/store/hooks';
import { createGaugeFiles } from '@/store/gaugeFiles';
import { openDatabase } from '@/store/open';
import type { Water } from '@/store/records';
import { DayScreen } from './DayScreen';
import { PackScreen } from './PackScreen';
import { WaterForm } from './WaterForm';
import { dayOf } from '../shared/time';
import { press, show } from '../shown.testing';

/** What no journey shows of Plan's pages, on an in-memory store, against the simulated stations, the workers' functions called in the same thread. */
const mockRouter = { push: jest.fn(), navigate: jest.fn(), replace: jest.fn() };
jest.mock('expo-router', () => ({ useRouter: () => mockRouter, useIsFocused: () => true }));
jest.mock('@/workers/river', () => {
  const { forecastColour, plainForecast } = jest.requireActual('@/core/colour');
  return {
    colourAt: async (q: ColourRequest) =>
      forecastColour(q.river, q.series, q.readings, q.ask, q.rainAhead).map(plainForecast),
    colourRecordOf: async () => null,
    clearingOf: async () => null,
  };
});
jest.mock('@/workers/gauge', () => {
  const { readGaugeText } = jest.requireActual('@/formats/gaugeFeed');
  return { readGauge: async (text: string) => readGaugeText(text).points };
});
const mockFiles: { api: unknown } = { api: null };
jest.mock('@/workers/files', () => ({ filesWorker: () => mockFiles.api }));
const mockPicked: { file: Blob | null } = { file: null };
const mockDownload = jest.fn();
jest.mock('../shared/files', () => ({
  ...jest.requireActual('../shared/files'),
  pickFile: async () => mockPicked.file,
  download: (...a: unknown[]) => mockDownload(...a),
}));

// A page has these, the test's does not.
Object.assign(globalThis, { TextDecoder, TextEncoder });
const NOW = new Date(2026, 8, 10, 4, 30).getTime();
jest.useFakeTimers({
  now: NOW,
  doNotFake: [
    'setTimeout',
    'setInterval',
    'clearTimeout',
    'clearInterval',
    'queueMicrotask',
    'nextTick',
    'performance',
    'setImmediate',
    'requestAnimationFrame',
    'cancelAnimationFrame',
  ],
});
AbortSignal.timeout ??= () => new AbortController().signal;

const series = (
  property: 'stage' | 'discharge' | 'temperature' | 'rainfall',
  unit: string,
  points: { at: number; value: number }[],
) => ({
  ...{ property, unit },
  points: points.filter((p) => Number.isFinite(p.value)),
});
/** The server's answers, without the server. */
function serve(url: string) {
  const { pathname, searchParams } = new URL(url, 'http://here');
  const from = Date.parse(searchParams.get('from') ?? '');
  const answer = (body: string) => ({
    ok: true,
    text: async () => body,
    json: async () => JSON.parse(body) as unknown,
  });
  if (pathname === '/api/weather') {
    const lon = Number(searchParams.get('lon'));
    return answer(JSON.stringify({ issuedAt: from, hours: foretold(climateAt(57, lon), lon, from, 72) }));
  }
  const id = /^\/api\/stations\/([^/]+)\/waterml$/.exec(pathname)?.[1];
  if (!id) return answer('[]');
  const { station, gauge } = stationNamed(id)!;
  const step = Number(searchParams.get('step')) * 3_600_000;
  const points = sent(gauge, from, Date.parse(searchParams.get('to')!), step);
  const of = (value: (p: (typeof points)[number]) => number) => points.map((p) => ({ at: p.at, value: value(p) }));
  return answer(
    writeWaterML(station, [
      series(
        'stage',
        'm',
        of((p) => p.stageM),
      ),
      series(
        'discharge',
        'm3/s',
        of((p) => p.flowM3s),
      ),
      series(
        'temperature',
        'Cel',
        of((p) => p.tempC),
      ),
      series(
        'rainfall',
        'mm',
        of((p) => p.rainMm),
      ),
    ]),
  );
}
const fetchMock = jest.fn();
globalThis.fetch = fetchMock as unknown as typeof fetch;

const rules: Water['rules'] = { ...OPEN, maxFlies: 2, source: 'a board' };
const water = (id: string, stationId: string | null, change: Partial<Water> = {}): Water =>
  waterOf({
    ...{ id, name: `The ${id}`, latDeg: 57.4, lonDeg: -5.2, stationId, normalStageM: 0.75, driveMin: 40, rules },
    ...{ river: { kind: 'spate', peaty: false } },
    ...change,
  });
const run = (id: string, waterId: string) => ({ ...RUN, id, waterId, name: `Run ${id}`, lengthM: 40 });

const { db } = openDatabase();
async function filled(
  waters: readonly Water[],
  runs = [run('a', waters[0]!.id), run('b', waters[0]!.id)],
): Promise<void> {
  await db.clear();
  for (const change of [
    ...waters.map((w) => put('water', w)),
    ...runs.map((r) => put('run', r)),
    ...[RIG.rod, RIG.head, RIG.leader, RIG.fly].map((k) => put('kit', k)),
    ofSession({ waterId: waters[0]!.id }),
  ])
    await db.commit(change);
}

const text = () => document.body.textContent ?? '';
beforeEach(() => {
  fetchMock.mockReset().mockImplementation(async (url: string) => serve(url));
  mockDownload.mockReset();
});
afterEach(cleanup);

describe('the day by the clock', () => {
  it('warns of the dam, says nothing of the colour of a day far off, and leaves a note and a calendar', async () => {
    await filled([
      water('tail', 'ondrelle-dam', {
        releases: [{ fromMin: 300, toMin: 1200 }],
        river: { kind: 'below a dam', peaty: false },
      }),
    ]);
    show(<DayScreen />);
    // No hour is left beside the dam's: nothing is proposed, and what one adds oneself is warned of.
    await screen.findByText(/^No hours to fish that day/, {}, { timeout: 20_000 });
    press('Add a run or a break');
    press(/^Run a, /);
    await screen.findByText(/Dam release 05:00 to 20:00, while you are at Run a/);
    press('Show the note');
    expect(screen.getByLabelText('The note').textContent).toMatch(/^Fishing the The tail, Thu 10 Sept?, alone\./);
    expect(text()).toContain('no hard wading');
    fireEvent.click(screen.getByRole('radio', { name: 'with somebody' }));
    expect(screen.getByLabelText('The note').textContent).not.toContain('alone');
    press(/^To your calendar/);
    press('Save the day as a file');
    await waitFor(() => expect(mockDownload).toHaveBeenCalled());
    const [guarded, , told] = mockDownload.mock.calls.pop() as string[];
    expect(guarded).toBe('wanderung-day-2026-09-10.ics');
    expect(told).not.toMatch(/tail|Run a|GEO|LOCATION/i);
    press(/^To your calendar/);
    fireEvent.click(
      within(screen.getByRole('radiogroup', { name: 'Names of water and runs' })).getByRole('radio', { name: 'told' }),
    );
    press('Save the day as a file');
    await waitFor(() => expect(mockDownload).toHaveBeenCalled());
    const [name, type, body] = mockDownload.mock.calls[0] as string[];
    expect([name, type]).toEqual(['wanderung-day-2026-09-10-the-tail.ics', 'text/calendar']);
    expect(body).toContain('SUMMARY:Fish Run');
  });

  it('is as long as one wants, and proposes nothing on a closed day', async () => {
    await filled([water('ford', 'sorrelvane-ford')]);
    await db.commit(ofSession({ day: dayOf(Date.now() + 86_400_000) }));
    show(<DayScreen />);
    const minutes = async (length: string) => {
      fireEvent.click(await screen.findByRole('radio', { name: length }, { timeout: 20_000 }));
      return [...text().matchAll(/(\d+) min(?=[^,])/g)].reduce((sum, m) => sum + Number(m[1]), 0);
    };
    const whole = await minutes('whole day');
    expect(whole).toBeGreaterThan(0);
    expect(await minutes('half day')).toBeLessThanOrEqual(whole);
    expect((await db.all('settings'))[0]?.dayLength).toBe('half day');
    cleanup();
    const shut = { ...rules, season: { from: '12-30', to: '12-31' } };
    await filled([water('shut', 'sorrelvane-ford', { rules: shut })]);
    show(<DayScreen />);
    await screen.findByText(/^Closed that day/, {}, { timeout: 20_000 });
    expect(text()).not.toMatch(/Home at/);
    expect(screen.queryByRole('button', { name: 'Show the note' })).toBeNull();
  });

  it('says what is missing: no water, no run', async () => {
    await db.clear();
    show(<DayScreen />);
    await screen.findByText('No water yet');
    cleanup();
    await filled([water('brook', null)], []);
    show(<DayScreen />);
    await screen.findByText('No run yet', {}, { timeout: 20_000 });
  });
});

describe('what to pack', () => {
  it('keeps what is ticked, and says that only floating lines are owned where the water may be dirty', async () => {
    await filled([water('brook', 'sorrelvane-ford')]);
    // The fixture's tip is not owned, so nothing sinks; a reading of yesterday says how dirty it is.
    await db.commit(
      put('reading', {
        ...{ id: 'r', runId: 'a', at: NOW - 12 * 3_600_000, levelM: 0.4, visibilityM: 0.2, atLeast: false },
        ...{ colour: 'brown soup', speed: null, waterTempC: 11, sky: 'overcast' },
      }),
    );
    show(<PackScreen />);
    const net = await screen.findByRole('checkbox', { name: /^Net of soft mesh/ }, { timeout: 20_000 });
    expect(text()).toMatch(
      /only floating lines, and dirty water \(0\.61 m visibility or less\) is (more than )?\d+ in 10/,
    );
    const left = () => Number(/(\d+) of \d+ left to pack/.exec(text())![1]);
    const before = left();
    fireEvent.click(net);
    await waitFor(() => expect(left()).toBe(before - 1));
    cleanup();
    // Without a signal, too.
    fetchMock.mockRejectedValue(new TypeError('no network'));
    show(<PackScreen />);
    const again = await screen.findByRole('checkbox', { name: /^Net of soft mesh/ }, { timeout: 20_000 });
    expect(again.getAttribute('aria-checked')).toBe('true');
    press('Untick all');
    await waitFor(() =>
      expect(screen.getByRole('checkbox', { name: /^Net of soft mesh/ }).getAttribute('aria-checked')).toBe('false'),
    );
  });
});

describe('a gauge out of a file', () => {
  it('says what is wrong with a file that is none', async () => {
    const files = createGaugeFiles(Date.now);
    mockFiles.api = { openGauge: files.open, previewGauge: files.preview };
    mockPicked.file = Object.assign(new Blob(['<a']), {
      name: 'x.xml',
      arrayBuffer: async () => new TextEncoder().encode('<a').buffer,
    });
    await filled([water('brook', null)]);
    show(<WaterForm start={water('brook', null)} isNew={false} />);
    press(/^A gauge’s file/);
    await screen.findByText(/not XML/);
  });
});
