import fc from 'fast-check';
import { interpolate } from '../maths';
import { whole } from '../testing/fixtures';
import { type Profile, profileFactor, sample, sampleWater } from '../water';
import { cutLine, NUMERICS } from './cut';
import { type Doubt, swingBand } from './ensemble';
import { flume } from './flume';
import { bowAmplitude, landedLine } from './landing';
import { bulky, float, leader, sink } from './lines.testing';
import { runSwing } from './swing';
import type { Body, SwingCase, SwingResult } from './types';

const leadEye: Body = { fromEndM: 0, massInWaterKg: 1.2e-3, massKg: 1.5e-3, dragAreaM2: 2e-4 };

/** A clean line on 1.5 m of water, 16 m out, square-ish cast. */
function cast(o: Partial<SwingCase> = {}, u = 0.8, depth = 1.5): SwingCase {
  return {
    water: flume({ u, kind: 'surface', depth, profile: { type: 'power', m: 1 / 6 } }),
    rod: { path: [[0, 0, 0, -0.5]] },
    line: [float(11.75), sink(5), leader()],
    bodies: [bulky],
    cast: { angleDeg: 70, slackM: 0, side: 1 },
    drag: { cn: 1.1, cf: 0.015, reDependent: false },
    floatRule: 'clean',
    tEndS: 90,
    afterDangleS: 20,
    lies: [],
    ...o,
  };
}
const go = (o: Partial<SwingCase> = {}, u?: number, depth?: number): SwingResult => runSwing(cast(o, u, depth));

describe('what anglers know (common practice, no source, unless one is named)', () => {
  it('a heavier fly fishes deeper, and an unweighted bulky one lifts the tip', () => {
    expect(go({ bodies: [leadEye] }).maxDepthM).toBeGreaterThan(go().maxDepthM);
    const speck: Body = { fromEndM: 0, massInWaterKg: 1e-6, massKg: 2e-6, dragAreaM2: 2e-6 };
    expect(go({ bodies: [speck] }).maxDepthM).toBeGreaterThan(go().maxDepthM);
  });

  it('slower water lets it sink more', () => {
    expect(go({}, 0.5).maxDepthM).toBeGreaterThan(go({}, 1).maxDepthM);
  });

  it('a cast further upstream sinks it more', () => {
    const at = (angleDeg: number) => go({ cast: { angleDeg, slackM: 0, side: 1 } }).maxDepthM;
    expect(at(100)).toBeGreaterThan(at(70));
    expect(at(70)).toBeGreaterThan(at(40));
  });

  it('slack at landing sinks it more and comes tight later', () => {
    const tight = go();
    const slack = go({ cast: { angleDeg: 70, slackM: 2, side: 1 } });
    expect(slack.maxDepthM).toBeGreaterThan(tight.maxDepthM);
    expect(slack.tightAtFlyS!).toBeGreaterThan(tight.tightAtFlyS!);
  });

  it('the deepest point comes in the first half of the swing with a clean line', () => {
    const r = go();
    expect(r.maxDepthS).toBeLessThan(0.5 * r.dangleS!);
    expect(r.dangleDepthM).toBeLessThan(r.maxDepthM);
  });

  it('a dirty line hangs deeper on the dangle by a third to twice (Keller 1998; Vella, Lee & Kim 2006)', () => {
    const ratio = go({ floatRule: 'free' }).dangleDepthM / go().dangleDepthM;
    expect(ratio).toBeGreaterThan(1.2);
    expect(ratio).toBeLessThan(2.2);
  });

  it('a held line and a clean one agree while the pull is small', () => {
    const light = { line: [float(11.75), sink(1.5, 3.048, 1.3e-3), leader()] };
    const held = go({ ...light, floatRule: 'held' });
    const clean = go({ ...light, floatRule: 'clean' });
    expect(clean.maxDepthM / held.maxDepthM).toBeCloseTo(1, 1);
  });

  it('a narrower angle is slower across and less side-on', () => {
    const narrow = go({ cast: { angleDeg: 35, slackM: 0, side: 1 } });
    const wide = go({ cast: { angleDeg: 90, slackM: 0, side: 1 } });
    expect(narrow.meanCrossSpeedMps).toBeLessThan(wide.meanCrossSpeedMps);
    const early = (r: SwingResult) => r.series[9 * 40 + 7]!;
    expect(early(narrow)).toBeLessThan(early(wide));
  });

  it('speed across is in proportion to the current', () => {
    const ratio = go({}, 1).meanCrossSpeedMps / go({}, 0.5).meanCrossSpeedMps;
    expect(ratio).toBeGreaterThan(1.7);
    expect(ratio).toBeLessThan(2.2);
  });

  it('too heavy a tip grounds on the shallow inside, and says when', () => {
    const shelf = flume({
      u: { y: [0, 8, 20], values: [0.2, 0.7, 0.8] },
      kind: 'surface',
      depth: { y: [0, 8, 20], values: [0.2, 0.8, 2] },
      profile: { type: 'power', m: 1 / 6 },
      bedFriction: 0.5,
    });
    const heavy = runSwing({ ...cast({ line: [float(11.75), sink(9), leader()], bodies: [leadEye] }), water: shelf });
    const light = runSwing({ ...cast({ line: [float(11.75), sink(1.5, 3.048, 1.3e-3), leader()] }), water: shelf });
    expect(heavy.firstTouchS).not.toBeNull();
    expect(heavy.dragsS).not.toBeNull();
    expect(Math.abs(heavy.dragsS! - heavy.firstTouchS!)).toBeLessThan(0.5); // this one stays down from its first touch
    expect(light.dragsS ?? Infinity).toBeGreaterThan(heavy.dragsS! + 5);
    expect(heavy.lastTouchS!).toBeGreaterThanOrEqual(heavy.firstTouchS!);
  });

  it('walking down while it sinks gains depth', () => {
    const walking = go({
      rod: {
        path: [
          [0, 0, 0, -0.5],
          [4, 2.5, 0, -0.5],
        ],
      },
    });
    expect(walking.maxDepthM).toBeGreaterThan(go().maxDepthM);
  });

  it('feeding line into the drift gains depth, stripping loses it', () => {
    const fed = go({
      lineOut: [
        [1, 0],
        [4, 2],
      ],
    });
    const stripped = go({
      lineOut: [
        [1, 0],
        [6, -4],
      ],
    });
    expect(fed.maxDepthM).toBeGreaterThan(go().maxDepthM);
    expect(stripped.maxDepthM).toBeLessThan(go().maxDepthM);
  });

  it('drag that depends on the Reynolds number slows the sinking of fine line', () => {
    const fine = {
      line: [float(11.75), sink(5), leader(3, 0.12e-3)],
      bodies: [{ ...bulky, massInWaterKg: 0.04e-3, massKg: 0.07e-3, dragAreaM2: 0.5e-4 }],
    };
    const plain = go(fine);
    const re = go({ ...fine, drag: { cn: 1.1, cf: 0.015, reDependent: true } });
    expect(re.maxDepthM).toBeLessThan(plain.maxDepthM);
  });
});

describe('the band of doubt', () => {
  const c = { ...cast(), lies: [{ xM: 12, yM: 8 }] };
  const plain = runSwing(c, NUMERICS.screen);
  const doubt: Doubt = { speed: 0.16, depth: 0.12, line: 0, seed: 4, members: 24 };
  const band = (d: Doubt) => whole(swingBand(c, plain, d)).value;

  it('lies round the plain swing, is the same each time, and widens with the doubt', () => {
    const wide = band(doubt);
    const i = Math.round(plain.maxDepthS * 10);
    expect(wide.low[i]!).toBeLessThan(plain.maxDepthM);
    expect(wide.high[i]!).toBeGreaterThan(plain.maxDepthM * 0.95);
    expect(wide.lies[0]!.low).toBeLessThan(wide.lies[0]!.high);
    expect(band(doubt)).toEqual(wide);
    const narrow = band({ ...doubt, speed: 0.04, depth: 0.02 });
    expect(narrow.high[i]! - narrow.low[i]!).toBeLessThan(wide.high[i]! - wide.low[i]!);
  });

  it('names the doubt that matters', () => {
    expect(band({ ...doubt, depth: 0.001 }).cause).toBe('speed');
    expect(band({ ...doubt, speed: 0.001, depth: 0.001, line: 0.5, members: 30 }).cause).toBe('line');
  });

  it('gives its share after every swing, so that it can be stopped between two', () => {
    expect(whole(swingBand(c, plain, doubt)).shares).toHaveLength(24);
  });
});

describe('cutting the line', () => {
  it('keeps every section’s length, and no link is empty (property)', () => {
    const lengths = fc.double({ min: 0.3, max: 25, noNaN: true });
    fc.assert(
      fc.property(
        lengths,
        fc.double({ min: 0.5, max: 9, noNaN: true }),
        fc.double({ min: 0.3, max: 6, noNaN: true }),
        (a, b, c) => {
          const line = [float(a), sink(5, b), leader(c)];
          for (const num of Object.values(NUMERICS)) {
            const links = cutLine(line, num);
            line.forEach((s, i) => {
              const sum = links.filter((l) => l.section === i).reduce((t, l) => t + l.lengthM, 0);
              expect(sum).toBeCloseTo(s.lengthM, 6);
            });
            expect(Math.min(...links.map((l) => l.lengthM))).toBeGreaterThan(0.01);
          }
        },
      ),
    );
  });

  it('has no link longer than 0.8 m in the two metres next to the rod', () => {
    const links = cutLine([float(20), sink(5), leader()], NUMERICS.full);
    let s = 0;
    for (const l of links) {
      if (s + l.lengthM > 2.01) break;
      expect(l.lengthM).toBeLessThanOrEqual(0.81);
      s += l.lengthM;
    }
    expect(s).toBeGreaterThan(1);
  });
});

describe('the landed line', () => {
  const line = [float(10), sink(5, 3), leader(1)];
  const at = Float64Array.from({ length: 141 }, (_, i) => i / 10);
  const length = (xyz: Float64Array) => {
    let s = 0;
    for (let k = 3; k < xyz.length; k += 3)
      s += Math.hypot(xyz[k]! - xyz[k - 3]!, xyz[k + 1]! - xyz[k - 2]!, xyz[k + 2]! - xyz[k - 1]!);
    return s;
  };

  it('is as long as the line, slack or not, and slack brings the fly nearer by as much', () => {
    for (const slack of [0, 1, 3]) {
      const xyz = landedLine(at, line, [0, 0, -0.5], [0.5, Math.sqrt(0.75)], slack);
      expect(length(xyz)).toBeCloseTo(14, 1);
      const range = Math.hypot(xyz[420]!, xyz[421]!);
      expect(range).toBeCloseTo(14 - slack - 0.2071, 1);
    }
  });

  it('bows upstream on either side of the river', () => {
    for (const side of [1, -1]) {
      const xyz = landedLine(at, line, [0, 0, 0], [Math.cos(1.2), side * Math.sin(1.2)], 2);
      const middle = 3 * 50;
      const straight = (xyz[middle + 1]! / Math.sin(1.2)) * side * Math.cos(1.2);
      expect(xyz[middle]!).toBeLessThan(straight);
    }
  });

  it('a half sine of the found amplitude has the length asked for', () => {
    const a = bowAmplitude(8, 10);
    let s = 0;
    for (let i = 0; i < 5000; i++) {
      const y = (k: number) => a * Math.sin((Math.PI * k) / 5000);
      s += Math.hypot(8 / 5000, y(i + 1) - y(i));
    }
    expect(s).toBeCloseTo(10, 2);
    expect(bowAmplitude(8, 8)).toBe(0);
    expect(bowAmplitude(8, 7)).toBe(0); // a line that does not reach has no bow
  });
});

describe('the water under the line', () => {
  it('is looked up bilinearly and held at the edges', () => {
    const w = flume({
      u: { y: [0, 10], values: [0, 1] },
      kind: 'mean',
      depth: { y: [0, 10], values: [1, 3] },
      profile: { type: 'uniform' },
    });
    sampleWater(w.grid, 3, 5);
    expect([sample.u, sample.h]).toEqual([expect.closeTo(0.5, 5), expect.closeTo(2, 5)]);
    sampleWater(w.grid, 0, -4);
    expect(sample.h).toBeCloseTo(1, 5);
    sampleWater(w.grid, 0, 40);
    expect(sample.u).toBeCloseTo(1, 5);
  });

  it.each([
    { type: 'power', m: 1 / 6 },
    { type: 'power', m: 1 / 7 },
    { type: 'log', z0: 0.01 },
    { type: 'uniform' },
  ] as Profile[])('profile $type keeps its mean', (profile) => {
    let mean = 0;
    const n = 20_000;
    for (let i = 0; i < n; i++) mean += profileFactor(profile, ((i + 0.5) / n) * 1.5, 1.5) / n;
    expect(mean).toBeCloseTo(1, 2);
    expect(profileFactor(profile, 0, 1.5)).toBeGreaterThanOrEqual(1);
  });

  it('tables must ascend', () => {
    expect(interpolate([0, 1], [2, 4], 0.25)).toBe(2.5);
    expect(() => interpolate([], [], 1)).toThrow('table');
    expect(() => interpolate([0, 0, 0], [1, 2, 3], 0.5)).not.toThrow();
  });
});
