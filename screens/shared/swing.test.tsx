import { act, renderHook } from '@testing-library/react';
import type { CastRequest } from '@/core/cast';
import type { SwingResult } from '@/core/swing';
import { simulate } from '@/workers/river';
import { useSwing } from './useSwing';

jest.mock('@/workers/river', () => ({ simulate: jest.fn() }));

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('the swing under a hand that drags', () => {
  /** Requests are told apart by how far the cast goes; what a worker was asked is answered by hand, in any order. */
  const begun = (active = true) => {
    const asked: number[] = [];
    const answers = new Map<number, { back: (r: SwingResult) => void; fails: (e: Error) => void }>();
    jest.mocked(simulate).mockImplementation(
      ({ plan }: CastRequest) =>
        new Promise((back, fails) => {
          asked.push(plan.outM);
          answers.set(plan.outM, { back, fails });
        }),
    );
    const request = (outM: number) => ({ plan: { outM } }) as CastRequest;
    const hook = renderHook(({ outM, on }) => useSwing(outM, on), { initialProps: { outM: request(1), on: active } });
    return {
      asked,
      drag: (outM: number, on = true) => hook.rerender({ outM: request(outM), on }),
      back: (outM: number) => act(async () => answers.get(outM)!.back({ deepestM: outM } as unknown as SwingResult)),
      fails: (outM: number) => act(async () => answers.get(outM)!.fails(new Error('too long'))),
      frame: () => act(async () => jest.advanceTimersByTime(17)),
      shown: () => hook.result.current.simulated?.request.plan.outM ?? null,
      error: () => hook.result.current.error,
    };
  };

  it('two are worked out at once; of the rest only the newest waits', async () => {
    const h = begun();
    for (const outM of [2, 3, 4, 5]) h.drag(outM);
    expect(h.asked).toEqual([1, 2]);
    await h.back(1);
    expect([h.shown(), h.asked]).toEqual([1, [1, 2, 5]]);
    await h.frame();
    await h.back(5);
    await h.frame();
    await h.back(2);
    await h.frame();
    expect(h.shown()).toBe(5); // what comes back late is left out
  });

  it('two that come within one frame are drawn in two', async () => {
    const h = begun();
    h.drag(2);
    await h.back(1);
    await h.back(2);
    expect(h.shown()).toBe(1);
    await h.frame();
    expect(h.shown()).toBe(2);
    h.drag(3);
    await h.back(3);
    expect(h.shown()).toBe(2);
    await h.frame();
    expect(h.shown()).toBe(3);
    await h.frame();
    h.drag(4);
    await h.back(4);
    expect(h.shown()).toBe(4); // nothing waits where a frame is free
  });

  it('a cast that cannot be made says why until another can; out of sight nothing is asked', async () => {
    const h = begun(false);
    expect(h.asked).toEqual([]);
    h.drag(2);
    await h.fails(2);
    expect([h.error(), h.shown()]).toEqual(['too long', null]);
    await h.frame();
    h.drag(3);
    await h.back(3);
    expect([h.error(), h.shown()]).toEqual([null, 3]);
  });
});
