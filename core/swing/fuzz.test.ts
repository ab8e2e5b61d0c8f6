import fc from 'fast-check';
import { buoyantWeight, sinkingWeight } from '../tackle';
import { INCH_M } from '../units';
import { sample, sampleWater, type WaterGrid } from '../water';
import { NUMERICS } from './cut';
import { runSwing } from './swing';
import type { LineSection, Rod, SwingCase, SwingResult } from './types';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Water that changes over x and y: a channel with a trough, a bar, slack and fast places. */
const water = fc
  .record({ u: num(0, 2), depth: num(0.2, 3), rough: num(0, 0.4), seed: fc.nat(1000), friction: num(0, 0.6) })
  .map(({ u, depth, rough, seed, friction }) => {
    const nx = 14;
    const ny = 12;
    const cell = (i: number, j: number, k: number) => 1 + rough * Math.sin(1 + seed + 3 * i + 7 * j + 11 * k);
    const fill = (f: (i: number, j: number) => number) =>
      Float32Array.from({ length: nx * ny }, (_, k) => f(Math.floor(k / ny), k % ny));
    const grid: WaterGrid = {
      x0: -20,
      dx: 4,
      nx,
      y0: -22,
      dy: 4,
      ny,
      u: fill((i, j) => u * cell(i, j, 1)),
      v: fill((i, j) => 0.2 * u * (cell(i, j, 2) - 1)),
      h: fill((i, j) => depth * cell(i, j, 3)),
    };
    return {
      grid,
      profile: { type: 'power', m: 1 / 6 } as const,
      rho: 1000,
      bottom: true,
      bedFriction: friction,
    };
  });

/** A rod tip that moves at up to 3 m/s, in the air or under water. */
const rod: fc.Arbitrary<Rod> = fc.oneof(
  fc
    .record({ r: num(0, 4), z: num(-3, 0.15), leadDeg: num(-40, 40), rateDegS: num(1, 40) })
    .map((f) => ({ follow: { x0: 0, y0: 0, ...f } })),
  fc
    .array(fc.tuple(num(1, 6), num(-1.5, 1.5), num(-1.5, 1.5), num(-1, 0.15)), { minLength: 1, maxLength: 5 })
    .map((steps) => {
      let t = 0;
      return { path: steps.map(([dt, x, y, z], i) => [i ? (t += dt) : 0, x, y, z] as const) };
    }),
);

const line = fc
  .record({
    head: num(5, 16),
    headDensity: fc.constantFrom(0.88, 0.88, 1.1),
    tipM: fc.constantFrom(0, 1.5, 3, 4.5),
    ips: num(1, 9),
    leaderM: num(0.6, 4),
    tippet: num(0.12e-3, 0.4e-3),
  })
  .map((o): LineSection[] => [
    {
      kind: o.headDensity < 1 ? 'float' : 'sink',
      lengthM: o.head,
      diameterM: 1.4e-3,
      weightNpm: buoyantWeight(o.headDensity, 1.4e-3),
    },
    ...(o.tipM > 0
      ? [{ kind: 'sink', lengthM: o.tipM, diameterM: 1e-3, weightNpm: sinkingWeight(o.ips * INCH_M, 1e-3) } as const]
      : []),
    { kind: 'leader', lengthM: o.leaderM, diameterM: o.tippet, weightNpm: buoyantWeight(1.14, o.tippet) },
  ]);

const body = fc
  .record({ dry: num(2e-5, 3e-3), wet: num(-0.1, 0.9), area: num(1e-5, 6e-4) })
  .map(({ dry, wet, area }) => ({ massKg: dry, massInWaterKg: dry * wet, dragAreaM2: area }));

const legal: fc.Arbitrary<SwingCase> = fc.record({
  water,
  rod,
  line,
  bodies: fc
    .tuple(body, fc.option(body))
    .map(([fly, second]) => [{ fromEndM: 0, ...fly }, ...(second ? [{ fromEndM: 0.5, ...second }] : [])]),
  cast: fc.record({ angleDeg: num(0, 170), slackM: num(0, 3), side: fc.constantFrom(1, -1) }),
  drag: fc.record({ cn: num(0.8, 1.6), cf: num(0.002, 0.03), reDependent: fc.boolean() }),
  floatRule: fc.constantFrom('clean', 'free', 'held'),
  tEndS: fc.constant(25),
  lies: fc.constant([{ xM: 8, yM: 8 }]),
  lineOut: fc.option(
    fc.array(fc.tuple(num(0.5, 4), num(-0.6, 0.6)), { maxLength: 8 }).map((moves) => {
      let t = 0;
      let out = 0;
      return moves.map(([dt, m]) => [(t += dt), (out += m)] as const);
    }),
    { nil: undefined },
  ),
  keepLineS: fc.constant(1),
  mends: fc.array(fc.record({ t: num(0, 10), slackM: num(0, 2), direction: fc.constantFrom(1, -1) }), { maxLength: 1 }),
});

/** How far any part of the line is below the bed under it, m. */
function deepestUnderBed(c: SwingCase, r: SwingResult): number {
  let worst = -Infinity;
  for (const { xyz } of r.lines) {
    for (let k = 3; k < xyz.length; k += 3) {
      sampleWater(c.water.grid, xyz[k]!, xyz[k + 1]!);
      worst = Math.max(worst, xyz[k + 2]! - sample.h);
    }
  }
  return worst;
}

const RUNS = Number(process.env.FUZZ_RUNS ?? 3000);

describe('random but legal swings', () => {
  it('never NaN, never a centimetre through the bed, never stretched by 0.5 %, always end (3,000 cases, fewer where faults are planted)', () => {
    fc.assert(
      fc.property(legal, (c) => {
        const r = runSwing(c, NUMERICS.screen);
        expect(r.series.every(Number.isFinite)).toBe(true);
        expect(r.rows).toBe(251);
        expect(r.maxStrain).toBeLessThan(0.005);
        expect(deepestUnderBed(c, r)).toBeLessThan(0.01);
      }),
      { seed: 11, numRuns: RUNS },
    );
  });
});

describe('swings that cannot be', () => {
  const [plain] = fc.sample(legal, { numRuns: 1, seed: 3 }) as [SwingCase];
  const fly = plain.bodies[0]!;
  const tip = (...path: [number, number, number, number][]) => ({ rod: { path } });
  it.each<[string, Partial<SwingCase>]>([
    ['line', { line: [] }],
    ['line[0].length_m', { line: [{ ...plain.line[0]!, lengthM: 0 }] }],
    ['line[0].d_mm', { line: [{ ...plain.line[0]!, diameterM: 0.02 }] }],
    ['fly', { bodies: [] }],
    ['bodies[0].fromEndM', { bodies: [{ ...fly, fromEndM: 99 }] }],
    ['bodies[0].massInWaterKg', { bodies: [{ ...fly, massInWaterKg: 2 * fly.massKg }] }],
    ['bodies[0].dragAreaM2', { bodies: [{ ...fly, dragAreaM2: 0 }] }],
    ['cast.angle_deg', { cast: { angleDeg: NaN, slackM: 0, side: 1 } }],
    ['cast.slack_m', { cast: { angleDeg: 60, slackM: 40, side: 1 } }],
    ['cast.angle_deg', { cast: { angleDeg: 181, slackM: 0, side: 1 } }],
    ['num.t_end', { tEndS: 0 }],
    ['water.rho', { water: { ...plain.water, rho: 1 } }],
    ...(['u', 'v', 'h'] as const).map((of): [string, Partial<SwingCase>] => [
      'water',
      { water: { ...plain.water, grid: { ...plain.water.grid, [of]: plain.water.grid[of].with(5, NaN) } } },
    ]),
    ...[
      [0, 0],
      [5, 0],
      [1, -0.01],
      [1, 0.5],
      [-1, 0],
    ].map(([cn, cf]): [string, Partial<SwingCase>] => ['drag', { drag: { cn: cn!, cf: cf!, reDependent: false } }]),
    ['rod.path', { rod: { path: [] } }],
    ['rod.path[1]', tip([0, 0, 0, 0], [-1, 0, 0, 0])],
    ['rod.path', tip([0, 0, 0, 0], [0.1, 9, 0, 0])],
    ['rod.follow.r', { rod: { follow: { x0: 0, y0: 0, r: -1, z: 0, leadDeg: 0, rateDegS: 10 } } }],
    ['lineOut[0]', { lineOut: [[0, NaN]] }],
    [
      'lineOut',
      {
        lineOut: [
          [0, 0],
          [0.1, -3],
        ],
      },
    ],
    ['mends[0].slackM', { mends: [{ t: 1, slackM: -1, direction: -1 }] }],
  ])('are refused by the name of the field: %s', (field, change) => {
    expect(() => runSwing({ ...plain, ...change })).toThrow(new RegExp(`^${field.replace(/[[\].]/g, '\\$&')}: `));
  });
});
