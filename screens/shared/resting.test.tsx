import { act, renderHook } from '@testing-library/react';
import { useResting } from './useResting';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('a value under a moving hand', () => {
  const begun = () => {
    const store = jest.fn<void, [number]>();
    const hook = renderHook(({ stored }) => useResting(stored, store), { initialProps: { stored: 1 } });
    const set = (value: number) => act(() => hook.result.current.set(value));
    return { ...hook, store, set, now: () => hook.result.current };
  };

  it('shows at once, and is stored once, when the hand rests', () => {
    const { now, set, store } = begun();
    set(2);
    act(() => void jest.advanceTimersByTime(200));
    set(3);
    expect(now()).toMatchObject({ value: 3, moving: true });
    act(() => void jest.advanceTimersByTime(200));
    expect(store).not.toHaveBeenCalled();
    act(() => void jest.advanceTimersByTime(200));
    expect(store.mock.calls).toEqual([[3]]);
    expect(now()).toMatchObject({ value: 3, moving: false });
  });

  it('a late confirmation does not overwrite what was set since; what others store does, once the hand rests', () => {
    const { now, set, rerender, store } = begun();
    set(2);
    act(() => void jest.advanceTimersByTime(400));
    set(3);
    rerender({ stored: 2 });
    expect(now().value).toBe(3);
    act(() => void jest.advanceTimersByTime(400));
    rerender({ stored: 3 });
    rerender({ stored: 7 });
    expect(now().value).toBe(7);
    expect(store.mock.calls).toEqual([[2], [3]]);
  });

  it('is stored at once when the movement is ended or the screen goes, and not when it is forgotten', () => {
    const { now, set, store, unmount } = begun();
    set(2);
    act(() => now().settle());
    expect(store.mock.calls).toEqual([[2]]);
    act(() => void jest.advanceTimersByTime(400));
    set(3);
    act(() => now().forget());
    expect(now().value).toBe(1);
    act(() => void jest.advanceTimersByTime(400));
    set(4);
    unmount();
    expect(store.mock.calls).toEqual([[2], [4]]);
  });
});
