import { NUMERICS } from './cut';
import { flume } from './flume';
import { bulky, float, leader, sink } from './lines.testing';
import { flyAt, WIDTH } from './series';
import { runSwing } from './swing';
import type { SwingCase, SwingResult } from './types';

const POWER = { type: 'power', m: 1 / 6 } as const;
const water = (u: number, depth: number) =>
  flume({ u, kind: 'surface', depth, profile: POWER, bottom: true, bedFriction: 0.3 });

/** A clean line with ten feet of tip, 18 m out, over water that is never touched. */
const PLAIN: SwingCase = {
  water: water(0.9, 20),
  rod: { path: [[0, 0, 0, -0.5]] },
  line: [float(13.752), sink(7), leader()],
  bodies: [bulky],
  cast: { angleDeg: 75, slackM: 0, side: 1 },
  drag: { cn: 1.1, cf: 0.015, reDependent: false },
  floatRule: 'clean',
  tEndS: 60,
  afterDangleS: 10,
  lies: [],
};
const drifting = (angleDeg: number, slackM: number) => ({ cast: { angleDeg, slackM, side: 1, drifts: true } }) as const;
const soft = { massInWaterKg: 0.02e-3, massKg: 0.05e-3, dragAreaM2: 2e-5 };
const FOLLOW = { x0: 0, y0: 0, r: 3, z: -0.3, leadDeg: 10, rateDegS: 30, walk: [[0, 0] as const, [6, 4] as const] };

/** What is cast, by what is hard to compute in it. */
const CASES: Readonly<Record<string, SwingCase>> = {
  'held up': { ...PLAIN, floatRule: 'held' },
  clean: PLAIN,
  'dragged under': { ...PLAIN, floatRule: 'free' },
  slack: { ...PLAIN, ...drifting(110, 2) },
  'a rod that follows, walking': { ...PLAIN, rod: { follow: FOLLOW } },
  'on the bed': { ...PLAIN, water: water(0.7, 0.5) },
  'all of it sinks': { ...PLAIN, line: [sink(3, 14), leader()], water: water(0.7, 2) },
  'two soft hackles': {
    ...PLAIN,
    line: [float(12), leader(2.7)],
    bodies: [
      { fromEndM: 0, ...soft },
      { fromEndM: 0.9, isFly: true, ...soft },
    ],
  },
  mended: { ...PLAIN, mends: [{ t: 3, slackM: 2, direction: -1 }] },
  'fed and stripped': {
    ...PLAIN,
    lineOut: [
      [2, 0],
      [4, 1.5],
      [8, 1.5],
      [8.4, 0.9],
      [10, 0.9],
      [10.4, 0.3],
    ],
  },
};

describe('the chain’s own errors', () => {
  const FINEST = { ...NUMERICS.fine, tipLinkM: 0.15, leaderLinkM: 0.15, maxStepS: 0.05, acceptM: 1e-4 };

  /** How far apart two swings have the fly in depth, in the mean over all they share, m. */
  const apartM = (a: SwingResult, b: SwingResult) => {
    const rows = Math.min(a.rows, b.rows);
    let sum = 0;
    for (let i = 0; i < rows; i++) sum += Math.abs(flyAt(a, i).depthM - flyAt(b, i).depthM);
    return sum / rows;
  };

  // Against links and steps several times finer: what docs/swing.md tells of its numerics.
  it.each([
    ['held up', 1.2, 11.5, 0.01],
    ['clean', 1.2, 18, 0.01],
    ['dragged under', 1.2, 9, 0.01],
    ['slack', 0.8, 18, 0.01],
    ['a rod that follows, walking', 1.8, 11, 0.08],
    ['on the bed', 0.3, 0.3, 0.005],
    ['all of it sinks', 0.8, 4, 0.01],
    ['two soft hackles', 3, 3, 0.003],
    ['mended', 1.6, 11, 0.01],
    ['fed and stripped', 0.6, 11, 0.05],
  ])('%s: deepest to %s %% in full, to %s %% coarsely', (name, fullPct, coarsePct, apart) => {
    const c = CASES[name]!;
    const finest = runSwing(c, FINEST);
    const full = runSwing(c);
    const off = (r: SwingResult) => 100 * Math.abs(r.maxDepthM / finest.maxDepthM - 1);
    expect(off(full)).toBeLessThan(fullPct);
    expect(off(runSwing(c, NUMERICS.coarse))).toBeLessThan(coarsePct);
    expect(apartM(full, finest)).toBeLessThan(apart);
  });
});

describe('the work of a swing', () => {
  // Counts, not times: a tenth more than they are. What makes the steps smaller or Newton run to and fro is seen here.
  it.each([
    ['held up', 65, 182, 50, 130],
    ['clean', 65, 178, 55, 145],
    ['dragged under', 84, 260, 53, 143],
    ['slack', 112, 419, 100, 299],
    ['a rod that follows, walking', 105, 350, 67, 166],
    ['on the bed', 74, 245, 47, 138],
    ['all of it sinks', 226, 800, 47, 120],
    ['two soft hackles', 55, 176, 41, 108],
    ['mended', 136, 447, 96, 264],
    ['fed and stripped', 162, 628, 96, 284],
  ])('%s: no more than %s steps and %s iterations in full, %s and %s coarsely', (name, ...most) => {
    const [full, coarse] = [runSwing(CASES[name]!), runSwing(CASES[name]!, NUMERICS.coarse)];
    [full.steps, full.newtons, coarse.steps, coarse.newtons].forEach((n, k) => expect(n).toBeLessThanOrEqual(most[k]!));
  });
});

describe('the river’s own axes', () => {
  /** The same swing on a river that runs at another angle to the axes. */
  const turned = (deg: number, bottom: boolean): SwingCase => {
    const [cos, sin] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
    const turn = (x: number, y: number) => [cos * x - sin * y, sin * x + cos * y] as const;
    const there = ([t, x, y, z]: readonly [number, number, number, number]) => [t, ...turn(x, y), z] as const;
    const [xM, yM] = turn(12, 6);
    const straight = { ...water(0.9, bottom ? 0.8 : 3), bottom };
    const u = straight.grid.u[0]!;
    return {
      ...PLAIN,
      ...drifting(70 + deg, 1),
      water: { ...straight, grid: { ...straight.grid, u: Float32Array.of(u * cos), v: Float32Array.of(u * sin) } },
      rod: { path: ([[0, 0, 0, -0.5], [4, 0, 0, -0.5], [9, 1, 2, -0.3]] as const).map(there) }, // prettier-ignore
      sway: ([[0, 0, 0, 0], [6, 0, 0, 0], [7, -1, 0.5, -1], [8, 0, 0, 0]] as const).map(there), // prettier-ignore
      bodies: [bulky, { ...bulky, massInWaterKg: 0.05e-3, massKg: 0.1e-3, fromEndM: 0.7, isFly: true }],
      drag: { ...PLAIN.drag, reDependent: true },
      mends: [{ t: 3, slackM: 1, direction: -1 }],
      lineOut: [[6, 0], [8, 1], [12, 1], [12.5, 0.4]], // prettier-ignore
      tEndS: 25,
      afterDangleS: undefined,
      lies: [{ xM, yM }],
    };
  };

  it.each([
    [25, true],
    [-40, false],
    [90, true],
  ])('turned by %s° with its current, cast and rod it is the same swing (bed: %s)', (deg, bottom) => {
    const [a, b] = [runSwing(turned(0, bottom)), runSwing(turned(deg, bottom))];
    const [cos, sin] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
    expect(b.rows).toBe(a.rows);
    [[a, b] as const, [a.others[0]!, b.others[0]!] as const].forEach(([straight, other]) => {
      let sum = 0;
      for (let i = 0; i < a.rows; i++) {
        const [p, q] = [flyAt(straight, i), flyAt(other, i)];
        const off = [
          cos * p.xM - sin * p.yM - q.xM,
          sin * p.xM + cos * p.yM - q.yM,
          cos * p.vxMps - sin * p.vyMps - q.vxMps,
          sin * p.vxMps + cos * p.vyMps - q.vyMps,
          p.depthM - q.depthM,
          p.vzMps - q.vzMps,
          (p.axisDeg - q.axisDeg) / 10,
          (p.tipTensionN - q.tipTensionN) / 10,
        ];
        sum += Math.max(...off.map(Math.abs));
      }
      // A rounding may make one step another, and a jerk of the line tells of it: in the mean three centimetres, or three a second.
      expect(sum / a.rows).toBeLessThan(0.03);
    });
    expect(b.lies[0]!.missM).toBeCloseTo(a.lies[0]!.missM, 1);
    expect(b.tightAtFlyS).toBeCloseTo(a.tightAtFlyS!, 0);
    expect(b.flyOnBedS).toBeCloseTo(a.flyOnBedS, 0);
    expect(a.flyOnBedS > 1).toBe(bottom);
  });

  it('to the other bank every row is the same, its y and its speed across the other way', () => {
    const [here, over] = ([1, -1] as const).map((side) => runSwing({ ...CASES.slack!, cast: { ...CASES.slack!.cast, side } })); // prettier-ignore
    const mirrored = here!.series.map((x, k) => ([2, 5].includes(k % WIDTH) ? -x : x));
    expect(Math.max(...mirrored.map((x, k) => Math.abs(x - over!.series[k]!)))).toBeLessThan(1e-6);
  });
});
