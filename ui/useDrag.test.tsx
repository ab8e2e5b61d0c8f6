import { renderHook } from '@testing-library/react';
import { useDrag } from './useDrag';

type Handlers = Record<'onPointerDown' | 'onPointerMove' | 'onPointerUp', (e: object) => void>;
const at = (pointerId: number, clientX: number, clientY: number) => ({
  ...{ pointerId, clientX, clientY, buttons: 1 },
  currentTarget: {
    setPointerCapture: () => undefined,
    getBoundingClientRect: () => ({ left: 0, top: 0, width: 200, height: 100 }),
  },
});

describe('dragging', () => {
  it('one finger drags; a second one pinches instead, until both are lifted', () => {
    const [move, start, end, pinch] = [jest.fn(), jest.fn(), jest.fn(), jest.fn()];
    const { result } = renderHook(() => useDrag(move, start, end, pinch));
    const on = result.current as Handlers;
    on.onPointerDown(at(1, 50, 50));
    on.onPointerMove(at(1, 60, 50));
    expect(start).toHaveBeenCalledWith({ x: 0.25, y: 0.5 });
    expect(move).toHaveBeenCalledWith({ x: 0.3, y: 0.5 });
    on.onPointerUp(at(1, 60, 50));
    expect(end).toHaveBeenCalledTimes(1);

    on.onPointerDown(at(1, 80, 50));
    on.onPointerDown(at(2, 120, 50));
    on.onPointerMove(at(2, 160, 50));
    const [times, before, now] = pinch.mock.calls[0]!;
    expect(times).toBeCloseTo(2, 6);
    expect(before.x).toBeCloseTo(0.5, 6);
    expect(now.x).toBeCloseTo(0.6, 6);
    on.onPointerUp(at(2, 160, 50));
    on.onPointerMove(at(1, 90, 50)); // the finger that is left does not drag
    on.onPointerUp(at(1, 90, 50));
    expect(move).toHaveBeenCalledTimes(1);
    expect(end).toHaveBeenCalledTimes(1);
    on.onPointerDown(at(3, 10, 10));
    expect(start).toHaveBeenLastCalledWith({ x: 0.05, y: 0.1 });
  });
});
