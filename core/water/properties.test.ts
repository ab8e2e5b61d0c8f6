import fc from 'fast-check';
import { day as plainDay } from '../testing/fixtures';
import { buildChannel } from './channel';
import { acrossAt } from './picture';
import type { Reading } from './reading';
import type { Run } from './run';
import { river } from './runs.testing';
import type { Section } from './sections';
import { FEATURE_KINDS, featureFactor } from './features';
import { placeOfShare } from './grid';
import { flowLines, streamline } from './streamlines';
import { depthTints } from './tints';

/** A smooth invented bed, so that it can be cut into as many sections as one likes. */
const bed = (x: number, part: number) =>
  (0.9 + 0.4 * Math.sin(x / 17)) * 4 * part * (1 - part) * (1 + 0.4 * (part - 0.5));
const widthAt = (x: number) => 20 + 3 * Math.sin(x / 23);
const cut = (x: number, points: number): Section => ({
  xM: x,
  points: Array.from({ length: points }, (_, i) => {
    const part = i / (points - 1);
    return { yM: part * widthAt(x), depthM: bed(x, part) };
  }),
});
const runOf = (sections: number, points = 9): Run =>
  river(
    Array.from({ length: sections }, (_, i) => cut((80 * i) / (sections - 1), points)),
    0.8,
    { lengthM: 80, bed: 'gravel', bearingDeg: 0, speed: { surfaceMps: 0.8, xM: 40, yM: 10 } },
  );
const day = (levelM: number): Reading => plainDay({ levelM, visibilityM: 1, waterTempC: 10 });
const level = fc.double({ min: -0.15, max: 0.9, noNaN: true });

describe('the channel, for any level (properties)', () => {
  const run = runOf(5);

  it('never has negative depth or speed, and no water outside its edges', () => {
    fc.assert(
      fc.property(level, (l) => {
        const c = buildChannel(run, day(l));
        expect(Math.min(...c.h, ...c.u)).toBeGreaterThanOrEqual(0);
        const outside = [...c.h].filter((_, k) => {
          const [i, j] = [Math.floor(k / c.ny), k % c.ny];
          const y = c.y0 + j * c.dy;
          return y < c.edgeNear[i]! || y > c.edgeFar[i]!;
        });
        expect(outside.length).toBeGreaterThan(0);
        expect(Math.max(...outside)).toBe(0);
      }),
      { seed: 3, numRuns: 15 },
    );
  });

  it('is wider, deeper and carries more when it is higher', () => {
    fc.assert(
      fc.property(level, (l) => {
        const a = buildChannel(run, day(l));
        const b = buildChannel(run, day(l + 0.05));
        expect(b.flowM3s).toBeGreaterThan(a.flowM3s);
        expect(Math.max(...b.h)).toBeGreaterThan(Math.max(...a.h));
        expect(b.edgeFar[40]! - b.edgeNear[40]!).toBeGreaterThan(a.edgeFar[40]! - a.edgeNear[40]!);
      }),
      { seed: 4, numRuns: 20 },
    );
  });

  it('has streamlines that never cross and stay in the water', () => {
    fc.assert(
      fc.property(level, (l) => {
        const c = buildChannel(run, day(l));
        const lines = flowLines(c, 8);
        for (let i = 0; i < c.nx; i += 5)
          for (let n = 0; n < lines.length; n++) {
            const y = lines[n]![i]![1];
            expect(y).toBeGreaterThanOrEqual(c.edgeNear[i]! - c.dy);
            expect(y).toBeLessThanOrEqual(c.edgeFar[i]! + c.dy);
            if (n > 0) expect(y).toBeGreaterThan(lines[n - 1]![i]![1]);
          }
      }),
      { seed: 5, numRuns: 10 },
    );
  });
});

describe('more sections', () => {
  it('converge: three, then ten sections come ever nearer to thirty', () => {
    const fine = buildChannel(runOf(30), day(0));
    const off = (n: number) => {
      const c = buildChannel(runOf(n), day(0));
      let sum = 0;
      for (let x = 5; x < 80; x += 5) {
        const a = acrossAt(c, x);
        const b = acrossAt(fine, x);
        sum += a.reduce((s, p, i) => s + Math.abs(p.depthM - b[i]!.depthM), 0) / a.length;
      }
      return sum;
    };
    expect(off(10)).toBeLessThan(0.5 * off(3));
  });
});

describe('what draws the run', () => {
  const c = buildChannel(runOf(5), day(0));

  it('cuts across from edge to edge', () => {
    const across = acrossAt(c, 40);
    expect(across[0]!.depthM).toBeCloseTo(0, 1);
    expect(across[across.length - 1]!.yM).toBeCloseTo(c.edgeFar[Math.round(40 / c.dx)]!, 1);
    expect(Math.max(...across.map((p) => p.depthM))).toBeGreaterThan(0.3);
  });

  it('tints only where it is that deep', () => {
    for (const tint of depthTints(c)) expect(tint.fromM).toBeLessThan(Math.max(...c.h));
    expect(depthTints(c).map((t) => t.fromM)).toContain(0.3);
  });

  it('follows one share of the flow along a streamline', () => {
    const line = streamline(c, 0.5);
    expect(line).toHaveLength(c.nx);
    expect(line[20]![1]).toBeCloseTo(placeOfShare(c, c.share, 20, 0.5), 9);
  });
});

describe('next to what stands in the water', () => {
  it.each(FEATURE_KINDS)('%s: the speed changes without a jump, over it and at its ends', (kind) => {
    const f = { id: 'f', kind, xM: 0, yM: 0, lengthM: 4, widthM: 4 };
    const step = 0.02;
    const jumps: number[] = [];
    for (let x = -12; x < 14; x += 0.31)
      for (let y = -8; y < 8; y += 0.31) {
        const here = featureFactor([f], x, y);
        jumps.push(featureFactor([f], x + step, y) - here, featureFactor([f], x, y + step) - here);
      }
    // No more than a sixth of the speed in a hand's breadth.
    expect(Math.max(...jumps.map(Math.abs))).toBeLessThan(0.04);
  });
});
