import fc from 'fast-check';
import { pathOf, plane } from './plane';

describe('the plane of the run sheet', () => {
  const window = { fromM: 0, toM: 60, nearM: -2, farM: 24 };

  it('lets the river flow down the screen, the true left bank at the right hand', () => {
    const left = plane('left', window, 390, 400);
    expect(left.px(50, 0)[1]).toBeGreaterThan(left.px(10, 0)[1]);
    // Described from the left bank, y = 0 is that bank: at the right of the screen.
    expect(left.px(0, 0)[0]).toBeGreaterThan(left.px(0, 20)[0]);
    const right = plane('right', window, 390, 400);
    expect(right.px(0, 0)[0]).toBeLessThan(right.px(0, 20)[0]);
  });

  it('has one scale both ways, and goes there and back (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('left' as const, 'right' as const),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: -2, max: 24, noNaN: true }),
        (bank, x, y) => {
          const p = plane(bank, window, 390, 400);
          const [px, py] = p.px(x, y);
          expect(p.m(px, py).xM).toBeCloseTo(x, 6);
          expect(p.m(px, py).yM).toBeCloseTo(y, 6);
          expect(Math.abs(p.px(x + 1, y)[1] - py)).toBeCloseTo(p.scale, 6);
          expect(Math.abs(p.px(x, y + 1)[0] - px)).toBeCloseTo(p.scale, 6);
        },
      ),
    );
  });

  it('draws a creek wider than it is, as far as there is room, goes there and back, and leaves a wide run alone', () => {
    const creek = { fromM: 0, toM: 90, nearM: 0, farM: 10 };
    const p = plane('left', creek, 390, 400, 3);
    expect(p.across / p.scale).toBeCloseTo(3, 6);
    const [px, py] = p.px(40, 7);
    expect(p.m(px, py).xM).toBeCloseTo(40, 6);
    expect(p.m(px, py).yM).toBeCloseTo(7, 6);
    expect(Math.abs(p.px(40, 8)[0] - px)).toBeCloseTo(p.across, 6);
    // No wider than the sheet: both banks stay in sight.
    const close = plane('left', { ...creek, toM: 12 }, 390, 400, 3);
    expect(10 * close.across).toBeLessThanOrEqual(390 + 1e-6);
    const wide = plane('left', { ...creek, farM: 100 }, 390, 400, 3);
    expect(wide.across).toBe(wide.scale);
  });

  it('writes paths', () => {
    expect(
      pathOf(
        [
          [0, 0],
          [1.26, 2],
        ],
        true,
      ),
    ).toBe('M0.0 0.0L1.3 2.0Z');
  });
});
