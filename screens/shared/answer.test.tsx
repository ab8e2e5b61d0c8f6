import { act, renderHook, waitFor } from '@testing-library/react';
import type { Answer, AskedOn } from '@/core/answer';
import { day, RIG, RUN } from '@/core/testing/fixtures';
import { put } from '@/store/changes';
import { openDatabase } from '@/store/open';
import { answerRun, firstThoughtOf } from '@/workers/river';
import { Shell } from '../shown.testing';
import type { RunReady } from './RunGate';
import { useAnswer } from './useAnswer';

jest.mock('@/workers/river', () => ({ answerRun: jest.fn(), firstThoughtOf: jest.fn() }));

/** A run that is ready, its water told apart by its lies. */
const ready = (of: string, waterTempC = 10) =>
  ({
    ...{ run: RUN, water: null, today: { reading: day({ waterTempC }), source: 'read today', fresh: true } },
    survey: { channel: {}, lies: [of], of },
  }) as unknown as RunReady;

beforeEach(async () => {
  const { db } = openDatabase();
  await db.clear();
  await db.commit(...[RIG.rod, RIG.head, RIG.leader, RIG.fly].map((item) => put('kit', item)));
});

describe('an answer on a screen', () => {
  it('is of the water that is in sight: a new reading asks again once its water is there', async () => {
    const asked: string[] = [];
    jest.mocked(firstThoughtOf).mockResolvedValue(null as never);
    jest.mocked(answerRun).mockImplementation(async ({ lies }: AskedOn) => {
      asked.push(String(lies[0]));
      return { why: [`of ${String(lies[0])}`] } as unknown as Answer;
    });
    const hook = renderHook(({ now }) => useAnswer(now, 'best'), {
      initialProps: { now: ready('old water') },
      wrapper: Shell,
    });
    const told = () => hook.result.current.answer?.why[0];
    await waitFor(() => expect([told(), hook.result.current.settled]).toEqual(['of old water', true]));
    // The reading is new, its water is still being rebuilt; then it is there.
    act(() => hook.rerender({ now: ready('old water', 5) }));
    act(() => hook.rerender({ now: ready('new water', 5) }));
    await waitFor(() => expect([told(), hook.result.current.settled]).toEqual(['of new water', true]));
    expect(asked.at(-1)).toBe('new water');
    // What is asked again is not worked out again.
    const times = asked.length;
    act(() => hook.rerender({ now: ready('old water') }));
    await waitFor(() => expect(told()).toBe('of old water'));
    expect(asked).toHaveLength(times);
  });

  it('that is kept needs no first thought; one that is worked out has one, for as long as it is not there', async () => {
    jest
      .mocked(firstThoughtOf)
      .mockReset()
      .mockResolvedValue({ stands: [] } as never);
    jest.mocked(answerRun).mockResolvedValue({ why: ['kept'] } as unknown as Answer);
    const hook = renderHook(({ now }) => useAnswer(now, 'best'), {
      initialProps: { now: ready('a kept one') },
      wrapper: Shell,
    });
    const now = () => hook.result.current;
    await waitFor(() => expect([now().answer?.why, now().settled]).toEqual([['kept'], true]));
    expect(firstThoughtOf).not.toHaveBeenCalled();
    let done = (_: Answer) => {};
    jest.mocked(answerRun).mockImplementation((_q, _asked, { onShare } = {}) => {
      onShare!(0.25);
      return new Promise((resolve) => (done = resolve));
    });
    act(() => hook.rerender({ now: ready('water to work out') }));
    await waitFor(() => expect([now().share, now().settled]).toEqual([0.25, false]));
    // The answer before stays in sight; where none is, there is the thought.
    expect(now().first).toBeNull();
    const other = renderHook(() => useAnswer(ready('water with nothing before'), 'best'), { wrapper: Shell });
    await waitFor(() => expect(other.result.current.first).toEqual({ stands: [] }));
    act(() => done({ why: ['worked out'] } as unknown as Answer));
    await waitFor(() => expect(other.result.current).toMatchObject({ first: null, answer: { why: ['worked out'] } }));
  });
});
