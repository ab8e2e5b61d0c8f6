import { buoyantWeight, sinkingWeight } from '../tackle';
import { INCH_M } from '../units';
import { NUMERICS } from './cut';
import { flume } from './flume';
import { planarFly, type PlanarLink } from './planar.testing';
import { runSwing } from './swing';
import type { Body, LineSection, SwingCase } from './types';

const RHO = 1000;
const G = 9.80665;
const CN = 1.1;
const CF = 0.015;
const fly: Body = { fromEndM: 0, massInWaterKg: 0.4e-3, massKg: 0.6e-3, dragAreaM2: 1e-4 };
const area = (d: number) => (Math.PI / 4) * d * d;

/** A section as the planar model's links: mass with the water that goes along. */
function linksOf(s: LineSection, count: number, weigh: boolean): PlanarLink[] {
  const lengthM = s.lengthM / count;
  const air = s.weightNpm / G + RHO * area(s.diameterM);
  return Array.from({ length: count }, () => ({
    lengthM,
    diameterM: s.diameterM,
    massKg: (air + RHO * area(s.diameterM)) * lengthM,
    weightN: weigh ? s.weightNpm * lengthM : 0,
  }));
}
const planarFlyBody = (weigh: boolean) => ({
  massKg: fly.massKg + fly.massKg - fly.massInWaterKg,
  weightN: weigh ? fly.massInWaterKg * G : 0,
  dragAreaM2: fly.dragAreaM2,
});

function swing(line: LineSection[], u: number, o: Partial<SwingCase>): SwingCase {
  return {
    water: { ...flume({ u, kind: 'mean', depth: 30, profile: { type: 'uniform' } }), bottom: false },
    rod: { path: [[0, 0, 0, 0]] },
    line,
    bodies: [fly],
    cast: { angleDeg: 0, slackM: 0, side: 1 },
    drag: { cn: CN, cf: CF, reDependent: false },
    floatRule: 'free',
    tEndS: 30,
    lies: [],
    ...o,
  };
}

describe('against an independent planar model (links, Lagrange’s equations, ODEX)', () => {
  it('a tight sinking line falls from the surface to its hanging shape at the same pace', () => {
    const d = 1e-3;
    const tip: LineSection = { kind: 'sink', lengthM: 4, diameterM: d, weightNpm: sinkingWeight(7 * INCH_M, d) };
    const times = [1, 2, 3, 5, 8, 12];
    const there = planarFly(
      { links: linksOf(tip, 16, true), fly: planarFlyBody(true), u: 0.5, cn: CN, cf: CF, angle: 0 },
      times,
    );
    const r = runSwing(swing([tip], 0.5, { tEndS: 12.5 }), NUMERICS.fine);
    times.forEach((t, i) => {
      const depth = r.series[9 * Math.round(10 * t) + 3]!;
      expect(Math.abs(depth - there[i]![1])).toBeLessThan(0.02 + 0.03 * there[i]![1]);
    });
    expect(there[5]![1]).toBeGreaterThan(1); // it has really fallen
  });

  it.each([75, 100])(
    'a line held at the surface swings round from %d° in the same time and along the same way',
    (deg) => {
      const d = 1.28e-3;
      const line: LineSection = { kind: 'float', lengthM: 12, diameterM: d, weightNpm: buoyantWeight(0.88, d) };
      const times = [2, 4, 8, 16, 28];
      const angle = (deg * Math.PI) / 180;
      const there = planarFly(
        { links: linksOf(line, 16, false), fly: planarFlyBody(false), u: 0.8, cn: CN, cf: CF, angle },
        times,
      );
      const weightless = { ...fly, massInWaterKg: 0, massKg: planarFlyBody(false).massKg / 2 };
      const c = swing([line], 0.8, {
        cast: { angleDeg: deg, slackM: 0, side: 1 },
        floatRule: 'held',
        bodies: [weightless],
      });
      const r = runSwing(c, NUMERICS.fine);
      times.forEach((t, i) => {
        const row = 9 * Math.round(10 * t);
        const apart = Math.hypot(r.series[row + 1]! - there[i]![0], r.series[row + 2]! - there[i]![1]);
        expect(apart).toBeLessThan(0.02 * 12);
      });
      expect(Math.abs(there[4]![1])).toBeLessThan(2); // it has really come round
    },
  );
});
