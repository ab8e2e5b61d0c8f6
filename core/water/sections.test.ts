import { across } from './runs.testing';
import { between, depthAt, depthOn, edges, endsAt, sectionAt, withBanks } from './sections';

const v = across(0, 20, 0, 1, 0);
/** A wall at one side, a beach at the other, read to the water's edge at neither. */
const odd = {
  xM: 5,
  points: [
    { yM: 2, depthM: 0.2 },
    { yM: 3, depthM: 4.2 },
    { yM: 13, depthM: 0.5 },
  ],
};

describe('a section as a line of the bed (by hand)', () => {
  it('goes on above the water at the slope of its last metres: 15 hundredths at least, three at most', () => {
    // 1 in 10 is flatter than 0.15: three metres up lie 20 m out.
    expect(withBanks(v)).toEqual({ y: [-20, 0, 10, 20, 40], d: [-3, 0, 1, 0, -3] });
    // 4 in 1 is steeper than 3: (3 + 0.2) / 3; on the other side 3.7 in 10: (3 + 0.5) / 0.37.
    const b = withBanks(odd);
    expect(b.y[0]).toBeCloseTo(2 - 3.2 / 3, 9);
    expect(b.y[4]).toBeCloseTo(13 + 3.5 / 0.37, 9);
    expect(b.d).toEqual([-3, 0.2, 4.2, 0.5, -3]);
  });

  it('is straight between its points, and level beyond its ends', () => {
    const b = withBanks(v);
    expect([0, 5, 10, 15, -10, 30].map((y) => depthOn(b, y))).toEqual([0, 0.5, 1, 0.5, -1.5, -1.5]);
    expect([depthOn(b, -99), depthOn(b, 99)]).toEqual([-3, -3]);
  });

  it('has its edges where the bed crosses the level, and none when it is dry', () => {
    const b = withBanks(v);
    expect(edges(b, 0)).toEqual([0, 20]);
    expect(edges(b, -0.5)).toEqual([5, 15]);
    const [near, far] = edges(b, 0.3)!;
    expect(near).toBeCloseTo(-2, 9);
    expect(far).toBeCloseTo(22, 9);
    expect(edges(b, -1.1)).toBeNull();
    expect(endsAt([b, b], -0.5)).toEqual([
      [5, 15],
      [5, 15],
    ]);
    expect(() => endsAt([b], -2)).toThrow('the run would be dry');
  });

  it('has the area of its triangle, at any level', () => {
    expect(sectionAt(v, 0)).toEqual({ widthM: 20, areaM2: 10, meanDepthM: 0.5 });
    expect(sectionAt(v, -0.5)).toEqual({ widthM: 10, areaM2: 2.5, meanDepthM: 0.25 });
    // 0.3 m higher: two beaches of 2 m more, a trapezium in between.
    const high = sectionAt(v, 0.3);
    expect(high.widthM).toBeCloseTo(24, 9);
    expect(high.areaM2).toBeCloseTo(10 + 0.3 * 20 + 2 * 0.3, 9);
    expect(sectionAt(v, -2)).toEqual({ widthM: 0, areaM2: 0, meanDepthM: 0 });
  });
});

describe('between two sections', () => {
  // A triangle 20 m wide and 1 m deep at 5 m, one 30 m wide and 3 m deep at 45 m.
  const wide = across(45, 30, 0, 3, 0);
  const two = [{ ...v, xM: 5 }, wide];

  it('the nearer counts more; before the first and after the last it alone', () => {
    expect([0, 5, 15, 25, 45, 60].map((x) => between(two, x))).toEqual([
      { a: 0, b: 0, f: 0 },
      { a: 0, b: 0, f: 0 },
      { a: 0, b: 1, f: 0.25 },
      { a: 0, b: 1, f: 0.5 },
      { a: 0, b: 1, f: 1 },
      { a: 0, b: 1, f: 1 },
    ]);
    expect(between([...two, { ...wide, xM: 85 }], 55)).toEqual({ a: 1, b: 2, f: 0.25 });
  });

  it('the bed blends at equal parts of the width (by hand)', () => {
    const banks = two.map(withBanks);
    const at = (x: number, y: number) => depthAt(two, banks, 0, x, y);
    // A quarter of the way it is 22.5 m wide and 1.5 m deep in the middle; 0.75 half way out to it.
    expect([at(15, 11.25), at(15, 11.25 / 2), at(15, 22.4)]).toEqual([
      expect.closeTo(1.5, 9),
      expect.closeTo(0.75, 9),
      expect.closeTo((1.5 * 0.1) / 11.25, 9),
    ]);
    expect([at(15, 22.6), at(15, -0.1), at(0, 10), at(60, 15)]).toEqual([0, 0, 1, 3]);
  });
});
