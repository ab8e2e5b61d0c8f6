import { flume, type SwingCase } from '@/core/swing';
import { buoyantWeight, sinkingWeight } from '@/core/tackle';
import { INCH_M } from '@/core/units';

const DIAMETER_MM: Record<number, number> = { 1.5: 1.3, 3: 1.15, 5: 1.05, 7: 1.0, 9: 1.0 };

interface Spread {
  readonly u?: number;
  readonly ips?: number;
  readonly feet?: number;
  readonly angleDeg?: number;
  readonly slackM?: number;
  readonly outM?: number;
  readonly depthM?: number;
  readonly lead?: boolean;
  readonly follow?: boolean;
}

function swingCase(o: Spread, floatRule: SwingCase['floatRule']): SwingCase {
  const { u = 0.9, ips = 7, feet = 10, angleDeg = 75, slackM = 0, outM = 18, depthM = 2 } = o;
  const d = DIAMETER_MM[ips]! / 1000;
  const tipM = feet * 0.3048;
  return {
    water: flume({ u, kind: 'surface', depth: depthM, profile: { type: 'power', m: 1 / 6 } }),
    rod: o.follow ? { follow: { x0: 0, y0: 0, r: 3, z: -0.5, leadDeg: 0, rateDegS: 30 } } : { path: [[0, 0, 0, -0.5]] },
    line: [
      { kind: 'float', lengthM: outM - tipM - 1.2, diameterM: 1.28e-3, weightNpm: buoyantWeight(0.88, 1.28e-3) },
      { kind: 'sink', lengthM: tipM, diameterM: d, weightNpm: sinkingWeight(ips * INCH_M, d) },
      { kind: 'leader', lengthM: 1.2, diameterM: 0.25e-3, weightNpm: buoyantWeight(1.14, 0.25e-3) },
    ],
    bodies: [
      o.lead
        ? { fromEndM: 0, massInWaterKg: 1.2e-3, massKg: 1.5e-3, dragAreaM2: 2e-4 }
        : { fromEndM: 0, massInWaterKg: 0.2e-3, massKg: 0.4e-3, dragAreaM2: 2e-4 },
    ],
    cast: { angleDeg, slackM, side: 1 },
    drag: { cn: 1.1, cf: 0.015, reDependent: false },
    floatRule,
    tEndS: 120,
    afterDangleS: 20,
    lies: [],
  };
}

/** A spread of eighteen swings: nine settings, clean line and dirty. */
export const SPREAD: readonly SwingCase[] = (['clean', 'free'] as const).flatMap((rule) =>
  [
    {},
    { u: 0.5 },
    { u: 1.3, angleDeg: 60 },
    { ips: 3 },
    { ips: 5, feet: 15, outM: 22 },
    { angleDeg: 45 },
    { slackM: 2, angleDeg: 90 },
    { lead: true, depthM: 1 },
    { follow: true, u: 0.7 },
  ].map((o) => swingCase(o, rule)),
);
