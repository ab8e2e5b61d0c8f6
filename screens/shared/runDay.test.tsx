import { act, renderHook } from '@testing-library/react';
import { day, RUN } from '@/core/testing/fixtures';
import { readingLine } from '@/words/water';
import { put } from '@/store/changes';
import { openDatabase } from '@/store/open';
import { water } from '@/store/records.testing';
import { readGauge } from '@/workers/gauge';
import { Shell } from '../shown.testing';
import { useToday } from './useRunDay';
import { HOUR_MS } from '@/core/units';

jest.mock('@/workers/river', () => ({}));
jest.mock('@/workers/gauge', () => ({ readGauge: jest.fn() }));
/** What is forecast of the colour, and whether more is to come. */
const mockColour = { pending: false, forecast: { data: undefined as unknown } };
jest.mock('./useColour', () => ({ useColour: () => mockColour }));
const NOW = Date.UTC(2026, 8, 10, 12, 58);
jest.useFakeTimers({ now: NOW });
AbortSignal.timeout ??= () => new AbortController().signal;
const passes = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

const WATER = water({ stationId: 's', normalStageM: 1 });
const point = (stageM: number) => [{ at: Date.now(), stageM, flowM3s: 12, tempC: 9 }];
/** What the gauge says, when it says it. */
let says: (stageM: number) => void;

beforeEach(async () => {
  const { db } = openDatabase();
  await db.clear();
  Object.assign(mockColour, { pending: false, forecast: { data: undefined } });
  globalThis.fetch = jest.fn(async () => ({ ok: true, status: 200, text: async () => '' })) as unknown as typeof fetch;
  jest
    .mocked(readGauge)
    .mockImplementation(() => new Promise((resolve) => (says = (stageM) => resolve(point(stageM) as never))));
});

const today = () => {
  const hook = renderHook(() => useToday(RUN, WATER), { wrapper: Shell });
  return () => hook.result.current && [hook.result.current.reading.levelM, hook.result.current.source];
};

describe('the reading in force', () => {
  it('waits for what the gauge says, not for long, and goes by it when it says it', async () => {
    const now = today();
    await passes(300);
    expect(now()).toBeNull();
    await passes(600);
    expect(now()).toEqual([RUN.levelM, 'not read today; all of it is a guess']);
    await act(async () => says(1.25));
    await passes(0);
    expect(now()).toEqual([0.25, 'not read today; level from the gauge']);
    // The next hour's is on its way: what was heard holds until then.
    await passes(HOUR_MS / 10);
    expect(now()).toEqual([0.25, 'not read today; level from the gauge']);
    await act(async () => says(1.5));
    await passes(0);
    expect(now()).toEqual([0.5, 'not read today; level from the gauge']);
  });

  it('is of the gauge at once where that says it soon; one that was read today waits for nothing', async () => {
    const soon = today();
    await passes(50);
    expect(soon()).toBeNull();
    await act(async () => says(1.25));
    await passes(0);
    expect(soon()).toEqual([0.25, 'not read today; level from the gauge']);
    const { db } = openDatabase();
    await db.commit(put('reading', day({ id: 'q', runId: RUN.id, at: Date.now(), levelM: -0.1 })));
    const read = today();
    await passes(50);
    expect(read()).toEqual([-0.1, 'read today']);
  });

  it('takes what is forecast of the colour for what nobody read, marked as a guess, and waits for it a little', async () => {
    mockColour.pending = true;
    const hook = renderHook(() => useToday(RUN, WATER), { wrapper: Shell });
    await passes(50);
    await act(async () => says(1.25));
    await passes(500);
    expect(hook.result.current).toBeNull();
    Object.assign(mockColour, {
      pending: false,
      forecast: {
        data: [
          { at: Date.now() - HOUR_MS, medianM: 1.013 },
          { at: Date.now() + 8 * HOUR_MS, medianM: 3 },
        ],
      },
    });
    hook.rerender();
    await passes(0);
    expect(hook.result.current!.reading).toMatchObject({
      ...{ visibilityM: 1.01, levelM: 0.25, levelFrom: 'gauge' },
      guessed: ['visibility', 'colour', 'sky'],
    });
    expect(readingLine(hook.result.current!.reading, 'metric')).toBe(
      '+25 cm (gauge) · 9.0 °C · guess: visibility 1.01 m, green, broken',
    );
  });

  it('what is forecast does not come in time: a typical day, as a guess', async () => {
    mockColour.pending = true;
    const hook = renderHook(() => useToday(RUN, WATER), { wrapper: Shell });
    await passes(50);
    await act(async () => says(1.25));
    await passes(1600);
    expect(hook.result.current!.reading).toMatchObject({ visibilityM: 1.2, guessed: ['visibility', 'colour', 'sky'] });
  });
});
