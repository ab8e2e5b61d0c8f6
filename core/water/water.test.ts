import fc from 'fast-check';
import { day } from '../testing/fixtures';
import { buildChannel } from './channel';
import { clarity } from './clarity';
import { froude } from './froude';
import { sample, sampleWater, placeOfShare } from './grid';
import { levelAtGauge } from './inForce';
import { legDepthM } from './leg';
import { floatCoefficient, profileFactor } from './profile';
import type { Reading } from './reading';
import type { Run } from './run';
import { across, river } from './runs.testing';
import { sectionAt } from './sections';

/** A section by its points: from the bank, and how deep. */
const cut = (xM: number, ...points: [number, number][]) => ({
  xM,
  points: points.map(([yM, depthM]) => ({ yM, depthM })),
});
const run = river(
  [
    cut(0, [0, 0], [8, 0.6], [16, 0.9], [20, 0]),
    cut(30, [0, 0], [10, 1.2], [15, 1.8], [22, 0]),
    cut(60, [0, 0], [12, 0.7], [24, 0]),
  ],
  1,
);
const reading = (o: Partial<Reading>): Reading => day({ visibilityM: 1, waterTempC: 10, ...o });
const flowThrough = (c: ReturnType<typeof buildChannel>, i: number) => {
  let q = 0;
  for (let j = 0; j < c.ny; j++) q += c.u[i * c.ny + j]! * c.h[i * c.ny + j]! * c.dy;
  return q;
};

describe('vertical profile (Rantz and others 1982, USGS WSP 2175: mean at 0.6 of the depth, or of 0.2 and 0.8)', () => {
  it.each([
    [1 / 6, 1.00144, 1.00813],
    [1 / 7, 1.00264, 1.00756],
  ])('power law m = %f', (m, at06, mean0208) => {
    const f = (z: number) => profileFactor({ type: 'power', m }, z, 1);
    expect(f(0.6)).toBeCloseTo(at06, 5);
    expect((f(0.2) + f(0.8)) / 2).toBeCloseTo(mean0208, 5);
  });

  it('log law stays within 2.5 % of both rules', () => {
    for (const z0 of [0.002, 0.01, 0.03]) {
      const f = (z: number) => profileFactor({ type: 'log', z0 }, z, 1);
      expect(Math.abs(f(0.6) - 1)).toBeLessThan(0.025);
      expect(Math.abs((f(0.2) + f(0.8)) / 2 - 1)).toBeLessThan(0.025);
    }
  });

  it.each([0.3, 1, 3])('log law in %s m of water: its mean over the depth is the mean speed (quadrature)', (depth) => {
    const n = 20_000;
    const speeds = Array.from({ length: n }, (_, i) =>
      profileFactor({ type: 'log', z0: 0.01 }, ((i + 0.5) / n) * depth, depth),
    );
    expect(speeds.reduce((a, b) => a + b) / n).toBeCloseTo(1, 3);
    // At the height e·z0 over the bed the logarithm is one (von Kármán's law of the wall).
    expect(profileFactor({ type: 'log', z0: 0.01 }, depth - Math.E * 0.01, depth)).toBeCloseTo(
      1 / (Math.log(depth / 0.01) - 1 + 0.01 / depth),
      9,
    );
  });

  it('turns a float into the mean of its vertical within 0.84 to 0.90 (Rantz 1982)', () => {
    for (const depth of [0.2, 1, 2, 3, 8]) {
      expect(floatCoefficient(depth)).toBeGreaterThan(0.84);
      expect(floatCoefficient(depth)).toBeLessThan(0.9);
    }
    expect(floatCoefficient(0.8)).toBeCloseTo(0.857, 3);
    expect(floatCoefficient(4)).toBeCloseTo(0.875, 3);
  });
});

describe('a section', () => {
  it('worked by hand: a triangle 20 m wide and 1 m deep, raised by 20 cm at bank slope 0.15', () => {
    const s = across(0, 20, 0, 1, 0);
    expect(sectionAt(s, 0)).toEqual({ widthM: 20, areaM2: 10, meanDepthM: 0.5 });
    const up = sectionAt(s, 0.2); // banks go on at the least slope, 0.15: 1.333 m more on each side
    expect(up.widthM).toBeCloseTo(20 + 2 * (0.2 / 0.15), 6);
    expect(up.areaM2).toBeCloseTo(10 + 20 * 0.2 + 0.2 * (0.2 / 0.15), 6);
    expect(sectionAt(s, -1.1).areaM2).toBe(0);
  });
});

describe('a look into the grid', () => {
  it('is straight in both ways between its cells, and held at its edges', () => {
    const [nx, ny] = [4, 3];
    const of = (by: (i: number, j: number) => number) =>
      Float32Array.from({ length: nx * ny }, (_, k) => by(Math.floor(k / ny), k % ny));
    const g = {
      ...{ nx, ny, x0: 10, y0: -1, dx: 2, dy: 0.5 },
      ...{ u: of((i, j) => 1 + 2 * i * i + j), v: of((i, j) => i - j * j), h: of((i, j) => 3 + i * j) },
    };
    const at = (x: number, y: number) => {
      sampleWater(g, x, y);
      return { ...sample };
    };
    expect(at(12, -0.5)).toEqual({ u: 4, v: 0, h: 4 });
    // Half way from the second to the third row, a quarter from the second to the third cell.
    expect(at(13, -0.375)).toEqual({ u: 7.25, v: -0.25, h: 4.875 });
    expect(at(0, -9)).toEqual({ u: 1, v: 0, h: 3 });
    expect(at(99, 9)).toEqual({ u: 21, v: -1, h: 9 });
  });
});

describe('the channel', () => {
  it.each([
    ['faster than three metres a second', 1.5, 3.2, true],
    ['deep and quick', 1.5, 2.4, false],
    ['knee deep and shooting', 0.55, 2.6, true],
    ['thin and shooting, as riffles do', 0.35, 2.2, false],
    ['at a stroll', 0.55, 0.8, false],
  ])('cannot be: %s', (_, depthM, meanMps, impossible) => {
    const even = river(
      [0, 30, 60].map((x) => across(x, 20, depthM, depthM, depthM, depthM)),
      meanMps / 0.86,
    );
    expect(buildChannel(even, null).impossible).toBe(impossible);
  });

  it('passes the measured surface speed through the place it was measured at', () => {
    const c = buildChannel(run, reading({ speed: { surfaceMps: 1.1, xM: 30, yM: 15 } }));
    sampleWater(c, 30, 15);
    expect(sample.u * (1 + 1 / 6)).toBeCloseTo(1.1, 2);
    expect(c.speedFrom).toBe('today');
  });

  it('follows Manning across a row: U ∝ h^(2/3)', () => {
    const c = buildChannel(run, reading({}));
    sampleWater(c, 30, 5);
    const [u1, h1] = [sample.u, sample.h];
    sampleWater(c, 30, 15);
    expect(sample.u / u1).toBeCloseTo(Math.pow(sample.h / h1, 2 / 3), 3);
  });

  it('carries the same flow through every row, rises with the level, mirrors with the banks (properties)', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.3, max: 0.8, noNaN: true }), (level) => {
        const c = buildChannel(run, reading({ levelM: level }), { dx: 3, dy: 0.5 });
        for (let i = 0; i < c.nx; i += 4) expect(flowThrough(c, i) / c.flowM3s).toBeCloseTo(1, 3);
        expect(Math.min(...c.h)).toBeGreaterThanOrEqual(0);
        const higher = buildChannel(run, reading({ levelM: level + 0.1 }), { dx: 3, dy: 0.5 });
        expect(higher.flowM3s).toBeGreaterThan(c.flowM3s);
      }),
      { seed: 7, numRuns: 25 },
    );
    const mirror: Run = {
      ...run,
      sections: run.sections.map((s) => ({
        xM: s.xM,
        points: [...s.points].reverse().map((p) => ({ yM: -p.yM, depthM: p.depthM })),
      })),
      speed: { surfaceMps: 1, xM: 30, yM: -15 },
    };
    const a = buildChannel(run, null);
    const b = buildChannel(mirror, null);
    expect(b.flowM3s).toBeCloseTo(a.flowM3s, 6);
    sampleWater(a, 20, 6);
    const [u, v, h] = [sample.u, sample.v, sample.h];
    sampleWater(b, 20, -6);
    expect(sample.u).toBeCloseTo(u, 2);
    expect(sample.v).toBeCloseTo(-v, 2);
    expect(sample.h).toBeCloseTo(h, 2);
  });

  it('slows the water behind a boulder and keeps the flow', () => {
    const boulder = { id: 'b', kind: 'boulder' as const, xM: 28, yM: 10, lengthM: 1.5, widthM: 1.5 };
    const free = buildChannel(run, null);
    const c = buildChannel({ ...run, features: [boulder] }, null);
    sampleWater(free, 30, 10);
    const before = sample.u;
    sampleWater(c, 30, 10);
    expect(sample.u).toBeLessThan(0.6 * before);
    expect(flowThrough(c, 30)).toBeCloseTo(c.flowM3s, 3);
  });

  it('lets streamlines spread where the river widens', () => {
    const c = buildChannel(run, null);
    const half = (i: number) => placeOfShare(c, c.share, i, 0.9) - placeOfShare(c, c.share, i, 0.1);
    expect(half(60)).toBeGreaterThan(half(0));
  });

  it('refuses a run that would be dry, and one with a single section', () => {
    expect(() => buildChannel(run, reading({ levelM: -3 }))).toThrow('dry');
    expect(() => buildChannel({ ...run, sections: run.sections.slice(0, 1) }, null)).toThrow('sections');
  });
});

describe('words and numbers of the bank', () => {
  it('Froude number by hand: 1 m/s in 1 m', () => {
    expect(froude(1, 1)).toBeCloseTo(0.3193, 4);
  });

  it('takes two feet of visibility as dirty, a hand as mud, more than three feet as fair (common practice, no source)', () => {
    expect([0.08, 0.6, 0.8, 1, 3].map(clarity)).toEqual(['mud', 'dirty', 'stained', 'green', 'clear']);
  });

  it('reads the toes off the leg', () => {
    expect(legDepthM('knee', 1.8)).toBeCloseTo(0.513, 3);
    expect(() => legDepthM('hip', 3)).toThrow('heightM');
  });
});

describe('the level that a gauge tells', () => {
  it.each([
    [{ stageM: 1.236 }, 1, 0.24],
    [{ stageM: 0.9 }, 1, -0.1],
    [{ stageM: NaN }, 1, null],
    [{ stageM: 1.2 }, null, null],
    [null, 1, null],
  ])('%j at a normal of %s m is %s m', (gauge, normalStageM, levelM) => {
    expect(levelAtGauge(gauge, normalStageM)).toBe(levelM);
  });
});
