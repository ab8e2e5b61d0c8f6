import { act, renderHook } from '@testing-library/react';
import { useZoom } from './useZoom';

const zoom = (lengthM = 80) => {
  const { result } = renderHook(() => useZoom(lengthM));
  return {
    now: () => result.current,
    does: (what: (z: ReturnType<typeof useZoom>) => void) => act(() => what(result.current)),
  };
};
const spanOf = ({ from, to }: { from: number; to: number }) => [from, to];

describe('going close to a part of a run', () => {
  it('by a tap: twice as close about a place, never over either end, and back to the whole', () => {
    const { now, does } = zoom();
    expect(now()).toMatchObject({ from: 0, to: 80, zoomed: false, canCloser: true });
    does((z) => z.closer(60));
    expect(spanOf(now())).toEqual([40, 80]);
    does((z) => z.closer(50));
    expect(spanOf(now())).toEqual([40, 60]);
    for (let i = 0; i < 5; i++) does((z) => z.closer(0));
    expect(spanOf(now())).toEqual([0, 8]);
    expect(now()).toMatchObject({ canCloser: false, zoomed: true });
    does((z) => z.whole());
    expect(spanOf(now())).toEqual([0, 80]);
  });

  it('by two fingers: what was between them stays there, and pushed along it moves the other way', () => {
    const { now, does } = zoom();
    does((z) => z.gestures.onPinch(2, 30, 30));
    const { from, to } = now();
    expect(to - from).toBeCloseTo(40, 6);
    expect((30 - from) / (to - from)).toBeCloseTo(30 / 80, 6); // as far down the sheet as before
    does((z) => z.gestures.onPinch(1, 30, 35));
    expect(now().from).toBeCloseTo(from - 5, 6);
    does((z) => z.gestures.onPinch(0.1, 30, 30));
    expect(spanOf(now())).toEqual([0, 80]);
  });

  it('by two taps: close, and back', () => {
    const { now, does } = zoom();
    does((z) => z.gestures.onDouble(40));
    expect(now().to - now().from).toBeCloseTo(80 / 3, 6);
    does((z) => z.gestures.onDouble(10));
    expect(now().zoomed).toBe(false);
  });

  it('a run shorter than the closest view is shown whole', () => {
    const { now, does } = zoom(6);
    does((z) => z.closer(3));
    expect(spanOf(now())).toEqual([0, 6]);
    expect(now().canCloser).toBe(false);
  });
});
