import fc from 'fast-check';
import { flyAt } from './series';
import { INCH_M } from '../units';
import { NUMERICS } from './cut';
import { flume } from './flume';
import { bulky, float, leader, sink, TIP_M } from './lines.testing';
import { runSwing } from './swing';
import type { Body, LineSection, SwingCase } from './types';

const speck: Body = { fromEndM: 0, massInWaterKg: 0, massKg: 1e-6, dragAreaM2: 1e-9 };

/** Depth of the fly at the end of the run. */
const settled = (c: SwingCase, num = NUMERICS.fine) => {
  const r = runSwing({ ...c, afterDangleS: undefined }, num);
  return r.series[9 * (r.rows - 1) + 3]!;
};

interface Set {
  u?: number;
  ips?: number;
  angle?: number;
  slack?: number;
  side?: 1 | -1;
  rule?: SwingCase['floatRule'];
  profile?: 'uniform' | 'power';
  depth?: number;
}
/** The case of the study: 18 m out, 10 ft tip, bulky unweighted fly. */
function cast(o: Set = {}): SwingCase {
  const { u = 0.9, ips = 7, angle = 75, slack = 0, side = 1, rule = 'held', profile = 'power', depth = 20 } = o;
  return {
    water: flume({
      u,
      kind: 'surface',
      depth,
      profile: profile === 'power' ? { type: 'power', m: 1 / 6 } : { type: 'uniform' },
    }),
    rod: { path: [[0, 0, 0, -0.5]] },
    line: [float(18 - TIP_M - 1.2), sink(ips), leader()],
    bodies: [bulky],
    cast: { angleDeg: angle, slackM: slack, side },
    drag: { cn: 1.1, cf: 0.015, reDependent: false },
    floatRule: rule,
    tEndS: 120,
    afterDangleS: 25,
    lies: [],
  };
}
/** Hangs a line from a point at the surface, straight below the rod, in a uniform stream. */
const hang = (line: LineSection[], body: Body, u: number, rule: SwingCase['floatRule'] = 'free'): SwingCase => ({
  ...cast({ u, profile: 'uniform', rule }),
  rod: { path: [[0, 0, 0, 0]] },
  line,
  bodies: [body],
  cast: { angleDeg: 0, slackM: 0, side: 1 },
  tEndS: 90,
});

describe('published statics', () => {
  it('a level line in still water sinks at its catalogue rate, v = √(2w/(ρ·Cn·d))', () => {
    const c: SwingCase = { ...hang([sink(7, 18, 1e-3)], speck, 0), tEndS: 4, afterDangleS: undefined, keepLineS: 1 };
    const r = runSwing(c, NUMERICS.fine);
    const middle = (k: number) => {
      const { xyz } = r.lines[k]!;
      return xyz[3 * Math.floor(xyz.length / 6) + 2]!;
    };
    expect(middle(3) - middle(2)).toBeCloseTo(7 * INCH_M, 3);
  });

  it('a heavy line hanging free lies at the critical angle: 10 ft of 7 ips in 1 m/s at 10.160°, 1.764 ft deep (Pode 1951; Berteaux 1976)', () => {
    const depth = settled(hang([sink(7)], speck, 1));
    expect(depth / 0.3048).toBeCloseTo(1.764, 2);
    expect((Math.asin(depth / TIP_M) * 180) / Math.PI).toBeCloseTo(10.16, 1);
  });

  it('hangs as computed: tip alone 0.5963 m, with leader and fly 0.5004 m in 0.9 m/s (worked from the towed-cable equations)', () => {
    expect(settled(hang([sink(7)], speck, 0.9))).toBeCloseTo(0.5963, 2);
    const g = 9.81 / 9.80665;
    const heavier = { ...leader(), weightNpm: leader().weightNpm * g };
    const c = hang([sink(7), heavier], { ...bulky, massInWaterKg: 0.2e-3 * g }, 0.9);
    expect(settled(c)).toBeCloseTo(0.5004, 2);
  });

  it('drags a dirty floater under: 0.9987 m with 12.19 m of it sunk (worked), and a clean one hardly', () => {
    const line = [float(25), sink(7), leader()];
    const c = { ...hang(line, bulky, 0.9), tEndS: 150, afterDangleS: undefined, keepLineS: 10 };
    const dirty = runSwing(c, { ...NUMERICS.fine, floatLinkM: 0.25, floatLinkMaxM: 0.4 });
    expect(dirty.series[9 * (dirty.rows - 1) + 3]).toBeCloseTo(0.9987, 2);
    const shape = dirty.lines[dirty.lines.length - 1]!.xyz;
    let under = 0;
    for (let k = 3; k < shape.length - 3; k += 3) {
      const x = shape[k]!;
      if (x < 25 && shape[k + 2]! > 0) under = Math.max(under, 25 - x);
    }
    expect(under).toBeGreaterThan(11);
    expect(under).toBeLessThan(13.5);
    expect(settled(hang(line, bulky, 0.9, 'clean'))).toBeLessThan(0.6);
  });

  it('a tethered drag body follows tan(θ/2) = tan(θ0/2)·exp(−U·t/L)', () => {
    const L = 18;
    const thread: LineSection = { kind: 'leader', lengthM: L, diameterM: 1e-4, weightNpm: 0 };
    const drogue: Body = { fromEndM: 0, massInWaterKg: 0, massKg: 1e-4, dragAreaM2: 50e-4 };
    const c: SwingCase = {
      ...hang([thread], drogue, 0.9),
      cast: { angleDeg: 75, slackM: 0, side: 1 },
      drag: { cn: 1e-4, cf: 0, reDependent: false },
      tEndS: 20,
    };
    const r = runSwing(c, NUMERICS.fine);
    for (const t of [5, 10, 20]) {
      const row = 9 * t * 10;
      const theta = (Math.atan2(r.series[row + 2]!, r.series[row + 1]!) * 180) / Math.PI;
      const want = (2 * Math.atan(Math.tan((37.5 * Math.PI) / 180) * Math.exp((-0.9 * t) / L)) * 180) / Math.PI;
      expect(Math.abs(theta - want)).toBeLessThan(0.4);
    }
  });

  it('a lead-eye fly on slack line falls at 0.34 m/s in still water (terminal speed of its weight and drag)', () => {
    const thread: LineSection = { kind: 'leader', lengthM: 6, diameterM: 1e-4, weightNpm: 0 };
    const fly: Body = { fromEndM: 0, massInWaterKg: 1.2e-3, massKg: 1.5e-3, dragAreaM2: 2e-4 };
    const c: SwingCase = {
      ...hang([thread], fly, 0),
      cast: { angleDeg: 90, slackM: 3, side: 1 },
      drag: { cn: 0.01, cf: 0, reDependent: false },
      tEndS: 3,
      afterDangleS: undefined,
    };
    const r = runSwing(c, NUMERICS.fine);
    const row = 9 * 15;
    expect(r.series[row + 6]).toBeCloseTo(Math.sqrt((2 * 1.2e-3 * 9.80665) / (1000 * 2e-4)), 2);
  });
});

describe('against an independent method: the steady towed cable integrated by Runge–Kutta', () => {
  /** Depth of each body below a point held at the surface; x downstream, z down; from the point fly upwards. */
  function towedDepths(line: readonly LineSection[], bodies: readonly Body[], u: number): number[] {
    const rho = 1000;
    let [px, pz, depth, at] = [0, 0, 0, 0];
    const above: number[] = []; // how much higher than the point each body hangs
    const hangOn = () =>
      bodies.forEach((b, i) => {
        if (above[i] !== undefined || b.fromEndM > at + 1e-9) return;
        above[i] = depth;
        px -= 0.5 * rho * b.dragAreaM2 * u * u;
        pz -= b.massInWaterKg * 9.80665;
      });
    for (const s of [...line].reverse()) {
      const force = (x: number, z: number): [number, number] => {
        const T = Math.hypot(x, z);
        const [tx, tz] = [x / T, z / T];
        const along = u * tx;
        const nx = u - along * tx;
        const nz = -along * tz;
        const n = Math.hypot(nx, nz);
        const cn = 0.5 * rho * 1.1 * s.diameterM * n;
        const ca = 0.5 * rho * Math.PI * 0.015 * s.diameterM * Math.abs(along) * along;
        return [-(cn * nx + ca * tx), -(cn * nz + ca * tz + s.weightNpm)];
      };
      const steps = 2000;
      const h = s.lengthM / steps;
      for (let i = 0; i < steps; i++) {
        hangOn();
        const k1 = force(px, pz);
        const k2 = force(px + (h / 2) * k1[0], pz + (h / 2) * k1[1]);
        const k3 = force(px + (h / 2) * k2[0], pz + (h / 2) * k2[1]);
        const k4 = force(px + h * k3[0], pz + h * k3[1]);
        const before = pz / Math.hypot(px, pz);
        px += (h / 6) * (k1[0] + 2 * k2[0] + 2 * k3[0] + k4[0]);
        pz += (h / 6) * (k1[1] + 2 * k2[1] + 2 * k3[1] + k4[1]);
        depth -= ((before + pz / Math.hypot(px, pz)) / 2) * h;
        at += h;
      }
    }
    return above.map((d) => depth - d);
  }
  const towedDepth = (line: LineSection[], body: Body, u: number) => towedDepths(line, [body], u)[0]!;

  it.each([
    ['a light fly above a heavy one, 0.5 m apart', 0.5, { ...bulky, massInWaterKg: 1.2e-3, massKg: 1.5e-3 }, bulky],
    ['a heavy fly above a light one, 0.7 m apart', 0.7, bulky, { ...bulky, massInWaterKg: 1.2e-3, massKg: 1.5e-3 }],
    [
      'two soft hackles, 0.95 m apart',
      0.95,
      { ...bulky, massInWaterKg: 4e-5, massKg: 7e-5, dragAreaM2: 5e-5 },
      { ...bulky, massInWaterKg: 4e-5, massKg: 7e-5, dragAreaM2: 5e-5 },
    ],
  ] as const)('%s: both hang as integrated', (_name, apart, point, above) => {
    const bodies = [point, { ...above, fromEndM: apart, isFly: true }];
    const line = [sink(5, TIP_M, 1.05e-3), leader()];
    const r = runSwing({ ...hang(line, point, 0.7), bodies, afterDangleS: undefined }, NUMERICS.fine);
    const [wantPoint, wantAbove] = towedDepths(line, bodies, 0.7);
    expect(flyAt(r, r.rows - 1).depthM / wantPoint!).toBeCloseTo(1, 1.7);
    expect(flyAt(r.others[0]!, r.rows - 1).depthM / wantAbove!).toBeCloseTo(1, 1.7);
    expect(Math.abs(wantPoint! - wantAbove!)).toBeGreaterThan(0.02);
  });

  it.each([
    ['5 ips, 15 ft, streamer, 0.6 m/s', [sink(5, 4.572, 1.05e-3), leader()], bulky, 0.6],
    [
      '9 ips, 5 ft, lead eyes, 1.3 m/s',
      [sink(9, 1.524, 1e-3), leader()],
      { ...bulky, massInWaterKg: 1.2e-3, massKg: 1.5e-3 },
      1.3,
    ],
    ['intermediate head and heavy tip, 0.8 m/s', [sink(1.5, 7, 1.3e-3), sink(7), leader()], bulky, 0.8],
  ] as const)('%s', (_name, line, body, u) => {
    const want = towedDepth([...line], body, u);
    const got = settled({ ...hang([...line], body, u), tEndS: 150 });
    expect(Math.abs(got / want - 1)).toBeLessThan(0.01);
  });
});

describe('what a careful study found (held floater; 18 m out, 75°, 0.9 m/s unless said)', () => {
  const within = (got: number, want: number) => expect(Math.abs(got - want)).toBeLessThan(0.05 * want + 0.02);
  it.each([
    [{ u: 0.4 }, 1.8],
    [{ u: 0.6 }, 1.1],
    [{}, 0.7],
    [{ u: 1.2 }, 0.5],
    [{ u: 1.5 }, 0.35],
    [{ angle: 30 }, 0.53],
    [{ angle: 45 }, 0.57],
    [{ angle: 60 }, 0.62],
    [{ angle: 90 }, 0.79],
  ] as [Set, number][])('deepest point of %j is %f m', (o, want) => within(runSwing(cast(o)).maxDepthM, want));

  it.each([
    [{ slack: 1 }, 0.84],
    [{ slack: 2 }, 0.99],
    [{ slack: 3 }, 1.14],
    [{ angle: 110 }, 0.95],
  ] as [Set, number][])('with slack or far upstream, %j: %f m within 8 %% and 3 cm', (o, want) => {
    expect(Math.abs(runSwing(cast(o)).maxDepthM - want)).toBeLessThan(0.08 * want + 0.03);
  });

  it('the dangle forgets the cast', () => {
    const depths = [{ angle: 30 }, { angle: 60 }, { angle: 90 }, { slack: 2 }].map(
      (o) => runSwing(cast(o)).dangleDepthM,
    );
    expect(Math.max(...depths) - Math.min(...depths)).toBeLessThan(0.01);
  });

  it('a leading rod leads to the same side to the end and is still there: the fly hangs below it as deep as below one that follows', () => {
    const hanging = (side: 1 | -1, leadDeg: number) => {
      const rod = { follow: { x0: 0, y0: 0, r: 4, z: -0.5, leadDeg, rateDegS: 30 } };
      return runSwing({ ...cast({ u: 0.6, side }), rod, afterDangleS: 20 });
    };
    expect(hanging(1, 30).dangleDepthM / hanging(1, 0).dangleDepthM).toBeCloseTo(1, 1);
    for (const side of [1, -1] as const) {
      const r = hanging(side, 30);
      const end = flyAt(r, r.rows - 1);
      expect(side * end.yM).toBeLessThan(-1.3); // below the tip, which points 30° past straight downstream
      expect(Math.abs(end.vyMps)).toBeLessThan(0.05);
    }
  });

  it('swings in about 1.6·L/U, and a following rod is slower across', () => {
    const still = runSwing(cast());
    expect(Math.abs(still.dangleS! / ((1.6 * 18) / 0.9) - 1)).toBeLessThan(0.1);
    const rod = { follow: { x0: 0, y0: 0, r: 4, z: -0.5, leadDeg: 0, rateDegS: 30 } };
    const following = runSwing({ ...cast(), rod });
    expect(following.meanCrossSpeedMps / still.meanCrossSpeedMps).toBeCloseTo(0.84, 1);
  });

  it.each([
    [{}, 0.01, 0.06],
    [{ rule: 'clean' }, 0.05, 0.1],
    [{ slack: 2 }, 0.05, 0.1],
  ] as [Set, number, number][])('converges, %j: full within %f and screen within %f of fine', (o, full, screen) => {
    const fine = runSwing(cast(o), NUMERICS.fine).maxDepthM;
    expect(Math.abs(runSwing(cast(o), NUMERICS.full).maxDepthM / fine - 1)).toBeLessThan(full);
    expect(Math.abs(runSwing(cast(o), NUMERICS.screen).maxDepthM / fine - 1)).toBeLessThan(screen);
  });
});

describe('properties', () => {
  const anyCast = fc.record({
    u: fc.double({ min: 0.2, max: 1.6, noNaN: true }),
    ips: fc.constantFrom(1.5, 3, 5, 7, 9),
    angle: fc.integer({ min: 10, max: 130 }),
    slack: fc.double({ min: 0, max: 3, noNaN: true }),
    rule: fc.constantFrom('clean' as const, 'free' as const, 'held' as const),
    depth: fc.double({ min: 0.3, max: 3, noNaN: true }),
  });

  it('never NaN, never through the bed by a centimetre, never stretched by 0.5 %, always ends', () => {
    fc.assert(
      fc.property(anyCast, (o) => {
        const r = runSwing({ ...cast(o), tEndS: 60 }, NUMERICS.screen);
        expect(r.series.every(Number.isFinite)).toBe(true);
        expect(r.maxDepthM).toBeLessThan(o.depth + 0.01);
        expect(r.maxStrain).toBeLessThan(0.005);
      }),
      { seed: 5, numRuns: 150 },
    );
  });

  it('is the same to the other bank', () => {
    fc.assert(
      fc.property(anyCast, (o) => {
        const a = runSwing({ ...cast({ ...o, side: 1 }), tEndS: 30 }, NUMERICS.screen);
        const b = runSwing({ ...cast({ ...o, side: -1 }), tEndS: 30 }, NUMERICS.screen);
        expect(b.maxDepthM).toBeCloseTo(a.maxDepthM, 9);
        expect(b.landing.yM).toBeCloseTo(-a.landing.yM, 9);
      }),
      { seed: 6, numRuns: 15 },
    );
  });

  it('more tip is never shallower', () => {
    let before = 0;
    for (const ips of [1.5, 3, 5, 7, 9]) {
      const d = runSwing(cast({ ips })).maxDepthM;
      expect(d).toBeGreaterThan(before);
      before = d;
    }
  });

  it('gives the same answer whatever ran before', () => {
    const a = runSwing(cast());
    runSwing(cast({ angle: 110, slack: 3, rule: 'free' }));
    expect(runSwing(cast()).series).toEqual(a.series);
  });

  it.each([
    ['line[0].length_m', { line: [{ ...float(1), lengthM: -1 }] }],
    ['fly', { bodies: [] }],
    ['cast.slack_m', { cast: { angleDeg: 60, slackM: 30, side: 1 as const } }],
    ['num.t_end', { tEndS: 0 }],
  ])('refuses %s by name', (field, change) => {
    expect(() => runSwing({ ...cast(), ...change })).toThrow(field);
  });
});

describe('control', () => {
  it('strips shorten the line and feeding lengthens it', () => {
    const base = { ...cast({ rule: 'clean' }), tEndS: 40, afterDangleS: undefined };
    const range = (c: SwingCase) => {
      const r = runSwing(c);
      return Math.hypot(r.series[9 * (r.rows - 1) + 1]!, r.series[9 * (r.rows - 1) + 2]!);
    };
    const still = range(base);
    const stripped = range({
      ...base,
      lineOut: [
        [5, 0],
        [15, -4],
      ],
    });
    const fed = range({
      ...base,
      lineOut: [
        [5, 0],
        [8, 2],
      ],
    });
    expect(still - stripped).toBeCloseTo(4, 0);
    expect(fed - still).toBeCloseTo(2, 0);
  });

  it('an upstream mend after landing lets the fly sink deeper, about as one at landing does', () => {
    const plain = runSwing(cast({ rule: 'clean' })).maxDepthM;
    const mended = runSwing({ ...cast({ rule: 'clean' }), mends: [{ t: 0.5, slackM: 2, direction: -1 }] }).maxDepthM;
    expect(mended).toBeGreaterThan(plain + 0.1);
  });

  it('reports a dropper apart from the point fly, and higher', () => {
    const r = runSwing({ ...cast(), bodies: [bulky, { ...bulky, fromEndM: 0.8, isFly: true }] });
    const second = r.others[0]!;
    expect(second.rows).toBe(r.rows);
    const [point, above] = [flyAt(r, r.rows - 1), flyAt(second, r.rows - 1)];
    // At the dangle it hangs 0.8 m up the leader: upstream of the point by nearly that, and shallower.
    expect(Math.hypot(point.xM - above.xM, point.yM - above.yM, point.depthM - above.depthM)).toBeCloseTo(0.8, 1);
    expect(above.depthM).toBeGreaterThan(0.1);
    expect(above.depthM).toBeLessThan(point.depthM);
  });
});

describe('a float (Archimedes; the spherical cap)', () => {
  // A ball of 16 mm and 0.6 g displaces 2.145 g when it is quite under.
  const D = 0.016;
  const VOLUME_KG = 1000 * (Math.PI / 6) * D ** 3;
  const MASS_KG = 0.6e-3;
  const ball = (fromEndM: number): Body => ({
    fromEndM,
    massKg: MASS_KG,
    massInWaterKg: MASS_KG - VOLUME_KG,
    dragAreaM2: 5e-5,
    heightM: D,
  });
  const fly = (kg: number): Body => ({ ...bulky, massInWaterKg: kg, massKg: kg + 2e-4 });
  const thread: LineSection = { kind: 'leader', lengthM: 3, diameterM: 1e-4, weightNpm: 0 };
  /** Cast on still water, slack, and left to settle. */
  const still = (loadKg: number, aboveM = 0.9) =>
    runSwing(
      {
        ...hang([float(6), thread], fly(loadKg), 0.0001, 'clean'),
        bodies: [fly(loadKg), ball(aboveM)],
        rod: { path: [[0, 0, 0, -0.3]] },
        cast: { angleDeg: 90, slackM: 1.5, side: 1 },
        tEndS: 60,
        afterDangleS: undefined,
      },
      NUMERICS.fine,
    );

  it.each([0.2e-3, 0.5e-3, 1.2e-3])('lies as deep in still water as its load of %d kg asks, by hand', (loadKg) => {
    const r = still(loadKg);
    const middle = flyAt(r.others[0]!, r.rows - 1).depthM;
    // s²·(3 − 2s) of the ball is under water at a draught of s diameters: so much displaces its mass and the load.
    const s = (middle + D / 2) / D;
    expect(s * s * (3 - 2 * s)).toBeCloseTo((MASS_KG + loadKg) / VOLUME_KG, 1.7);
    // The fly hangs straight below, by what is between them.
    expect(flyAt(r, r.rows - 1).depthM - middle).toBeCloseTo(0.9, 2);
  });

  it('is dragged under by more than it carries, and then the fly goes deeper than it was set', () => {
    const r = still(2.2e-3);
    expect(flyAt(r.others[0]!, r.rows - 1).depthM).toBeGreaterThan(0.3);
    expect(flyAt(r, r.rows - 1).depthM).toBeGreaterThan(1.2);
  });

  it('holds the fly no deeper than it is set, and shallower in a current that streams it out', () => {
    const deep = (aboveM: number) => {
      const r = still(0.5e-3, aboveM);
      return flyAt(r, r.rows - 1).depthM;
    };
    expect(deep(0.5)).toBeCloseTo(0.5, 1.5);
    expect(deep(1.5)).toBeCloseTo(1.5, 1.5);
    const held = runSwing({
      ...hang([float(6), thread], fly(0.5e-3), 0.6, 'clean'),
      bodies: [fly(0.5e-3), ball(0.9)],
    });
    expect(flyAt(held, held.rows - 1).depthM).toBeLessThan(0.5);
  });

  it('is refused where it could not be', () => {
    const c = hang([float(6), thread], bulky, 0.5);
    expect(() => runSwing({ ...c, bodies: [bulky, { ...ball(0.9), heightM: 0.2 }] })).toThrow('bodies[1].heightM');
  });
});
