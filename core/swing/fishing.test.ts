import { flumeCase } from '../practice/curve';
import { INCH_M } from '../units';
import { profileFactor, type WaterGrid } from '../water';
import { handsDoneS } from './fishing';
import { flume } from './flume';
import { runSwing } from './swing';
import { flyAt, rowOf } from './series';
import type { SwingCase, SwingResult } from './types';

/** The flume with other depths across. */
const withDepths = (g: WaterGrid, y: readonly number[], h: readonly number[]): WaterGrid => {
  const wide = flume({
    u: g.u[0]! * profileFactor(POWER, 0, 1),
    kind: 'surface',
    depth: { y, values: h },
    profile: POWER,
  });
  return wide.grid;
};
const POWER = { type: 'power', m: 1 / 6 } as const;

/** A cast that lies down with the water's own speed, as on a river. */
const drifting = (o: Parameters<typeof flumeCase>[0], more: Partial<SwingCase> = {}): SwingCase => {
  const c = flumeCase(o);
  return { ...c, ...more, cast: { ...c.cast, drifts: true } };
};
const swing = (o: Parameters<typeof flumeCase>[0], more: Partial<SwingCase> = {}) => runSwing(drifting(o, more));
const bearingDeg = (r: SwingResult, tS: number) => {
  const f = flyAt(r, Math.round(10 * tS));
  return (Math.atan2(f.yM, f.xM) * 180) / Math.PI;
};

describe('coming tight', () => {
  it('is at once for a straight cast down and across, and later with every metre of slack', () => {
    const tight = [0, 0.5, 1, 2, 3].map((slackM) => swing({ angleDeg: 60, slackM }).fishing!.fromS);
    expect(tight[0]).toBeLessThan(1);
    tight.forEach((t, i) => i > 0 && expect(t).toBeGreaterThan(tight[i - 1]! + 0.3));
    expect(tight[4]).toBeGreaterThan(2);
  });

  it.each([1, 2, 3])('comes no later than the fly, drifting, has used up %s m of slack (by hand)', (slackM) => {
    // Cast square over even water: fly and line go down together; at the latest the line is straight when the fly is as far
    // from the rod as the line is long: √((L−S)² + (u·t)²) = L.
    const u = 0.9;
    const latest = Math.sqrt(18 ** 2 - (18 - slackM) ** 2) / u;
    const { fishing } = swing({ u, angleDeg: 90, slackM, depthM: 4 });
    expect(fishing!.fromS).toBeLessThan(latest);
    expect(fishing!.fromS).toBeGreaterThan(0.25 * latest);
  });

  it('drifts with the surface until then, and is slower than it afterwards', () => {
    const r = swing({ u: 0.9, angleDeg: 90, slackM: 2, depthM: 4, tipM: 0 });
    expect(flyAt(r, 10).vxMps).toBeGreaterThan(0.8);
    expect(flyAt(r, Math.round(10 * r.fishing!.fromS) + 80).vxMps).toBeLessThan(0.75);
  });

  it('a soft hackle on a light floating line comes tight, too', () => {
    const r = swing({ u: 0.5, angleDeg: 40, tipM: 0, fly: 'softHackle', outM: 9, depthM: 1 });
    expect(r.fishing!.fromS).toBeLessThan(4);
  });

  it('an upstream mend and line that is fed make it later, a downstream mend sooner', () => {
    const at = (o: Parameters<typeof flumeCase>[0], more: Partial<SwingCase> = {}) => swing(o, more).fishing!.fromS;
    const base = { angleDeg: 75, slackM: 1 };
    expect(at({ ...base, bow: 1 })).toBeLessThan(at(base));
    const fed = { lineOut: [[0, 0] as const, [3, 3] as const] };
    expect(at(base, fed)).toBeGreaterThan(at(base) + 1);
  });
});

describe('the part that fishes', () => {
  it('lasts 15 to 40 s for casts of the trade (general knowledge, no source)', () => {
    for (const angleDeg of [45, 60, 75, 90])
      for (const u of [0.6, 0.9]) {
        const { fromS, toS, ends } = swing({ u, angleDeg, depthM: 3 }).fishing!;
        expect(toS - fromS).toBeGreaterThan(12);
        expect(toS - fromS).toBeLessThan(50);
        expect(['slow', 'hang']).toContain(ends);
      }
  });

  it('ends near the hang: never on a fly that still crosses, never before it has come round', () => {
    const r = swing({ angleDeg: 75, depthM: 3 });
    expect(bearingDeg(r, r.fishing!.toS)).toBeLessThan(20);
    const after = flyAt(r, Math.round(10 * r.fishing!.toS) + 10);
    expect(Math.abs(after.vyMps)).toBeLessThan(0.12);
  });

  it('ends when the fly has come to drag on the bed, and not at a brush', () => {
    // A bar half way round, two seconds wide or half a second.
    const over = (bar: number) => {
      const y = [0, 6, 6.01, 6 + bar, 6.01 + bar, 20];
      const h = [3, 3, 0.35, 0.35, 3, 3];
      const c = flumeCase({ angleDeg: 75 });
      return drifting({ angleDeg: 75 }, { water: { ...c.water, grid: withDepths(c.water.grid, y, h) } });
    };
    const brush = runSwing(over(0.3));
    const drag = runSwing(over(4));
    expect(brush.fishing!.ends).not.toBe('bed');
    expect(brush.fishing!.touches).toBeGreaterThan(0);
    expect(drag.fishing!.ends).toBe('bed');
    expect(drag.fishing!.toS).toBeLessThan(brush.fishing!.toS);
    expect(drag.fishing!.toS).toBeCloseTo(drag.dragsS!, 1);
  });

  it('is none where the fly lies on the bed before it is under control', () => {
    const c = swing({ depthM: 0.25, u: 0.4, slackM: 4, fly: 'leadEye', angleDeg: 110 });
    expect(c.dragsS).not.toBeNull();
    expect(c.fishing === null || c.fishing.fromS < c.dragsS!).toBe(true);
    expect(swing({ depthM: 0.12, u: 0.2, slackM: 4, fly: 'leadEye', angleDeg: 110 }).fishing).toBeNull();
  });

  it('tells depth, speed and touches of that part alone', () => {
    const r = swing({ angleDeg: 75, depthM: 3 });
    const f = r.fishing!;
    const rows = Array.from({ length: r.rows }, (_, i) => flyAt(r, i)).filter((m) => m.tS >= f.fromS && m.tS <= f.toS);
    expect(f.maxDepthM).toBeCloseTo(Math.max(...rows.map((m) => m.depthM)), 9);
    expect(f.maxCrossSpeedMps).toBeCloseTo(Math.max(...rows.map((m) => Math.abs(m.vyMps))), 9);
    const across = Math.abs(rows[rows.length - 1]!.yM - rows[0]!.yM);
    expect(f.meanCrossSpeedMps).toBeCloseTo(across / (f.toS - f.fromS), 2);
    expect(f.touches).toBe(0);
  });

  it('ends where the fly stands still, though the current runs askew and it hangs far from straight downstream', () => {
    const water = flume({ u: 0.45, kind: 'surface', depth: 3, profile: POWER });
    water.grid.v.fill(0.3);
    const r = runSwing(drifting({ angleDeg: 60 }, { water }));
    const { ends, toS } = r.fishing!;
    expect(ends).toBe('slow');
    expect(Math.abs(bearingDeg(r, toS))).toBeGreaterThan(20);
    const [a, b] = [flyAt(r, rowOf(r, toS - 5)), flyAt(r, rowOf(r, toS))];
    expect(Math.hypot(b.xM - a.xM, b.yM - a.yM)).toBeLessThan(0.1);
    const [c, d] = [flyAt(r, rowOf(r, toS - 5.2)), flyAt(r, rowOf(r, toS - 0.2))];
    expect(Math.hypot(d.xM - c.xM, d.yM - c.yM)).toBeGreaterThanOrEqual(0.1);
  });

  it('ends where the fly hardly moves any more on a line that nearly hangs: in the slack by the bank, and not before the hands are done', () => {
    const slack = (more: Partial<SwingCase> = {}, y = [0, 3, 6, 20]) => {
      const u = { y, values: [0.05, 0.1, 0.6, 0.8] };
      return drifting({ angleDeg: 75 }, { water: flume({ u, kind: 'surface', depth: 3, profile: POWER }), ...more });
    };
    const r = runSwing(slack());
    const wayM = (tS: number, of = r) => {
      const [a, b] = [flyAt(of, rowOf(of, tS - 0.5)), flyAt(of, rowOf(of, tS + 0.5))];
      return Math.hypot(b.xM - a.xM, b.yM - a.yM);
    };
    const { ends, toS } = r.fishing!;
    expect(ends).toBe('slow');
    expect(r.dangleS === null || r.dangleS > toS).toBe(true);
    // Over a second it goes less than a decimetre for the first time, or comes within 20° of hanging for the first time.
    expect(wayM(toS)).toBeLessThan(0.1);
    expect(bearingDeg(r, toS)).toBeLessThan(20);
    expect(wayM(toS - 0.2) >= 0.1 || bearingDeg(r, toS - 0.2) >= 20).toBe(true);
    // Slack as wide as the cast: it creeps from far out on, and fishes until it nearly hangs.
    const wide = runSwing(slack({ tEndS: 300 }, [0, 11, 13, 20]));
    const creeps = Array.from({ length: wide.rows }, (_, i) => i / 10).find((t) => t > 5 && wayM(t, wide) < 0.1)!;
    expect(bearingDeg(wide, creeps)).toBeGreaterThan(25);
    expect(wide.fishing!.toS).toBeGreaterThan(creeps + 5);
    const worked = runSwing(slack({ lineOut: [[toS, 0], [toS + 5, 0.5]] })); // prettier-ignore
    expect(worked.fishing!.toS).toBeGreaterThanOrEqual(toS + 5);
  });

  it('may end once hands and rod have done what they do, whichever is last (by hand)', () => {
    const c = flumeCase();
    const still = (...path: [number, number, number, number][]) => ({ rod: { path } });
    expect(handsDoneS(c)).toBe(0);
    expect(handsDoneS({ ...c, ...still([7, 0, 0, -0.5]) })).toBe(0); // held there, whatever its time
    expect(handsDoneS({ ...c, ...still([0, 0, 0, -0.5], [7, 1, 0, -0.5]) })).toBe(7);
    expect(handsDoneS({ ...c, ...still([0, 0, 0, -0.5], [7, 1, 0, -0.5]), lineOut: [[2, 0], [9, 1]] })).toBe(9); // prettier-ignore
    expect(handsDoneS({ ...flumeCase({ rod: 'follow' }), lineOut: [[3, 1]] })).toBe(3); // prettier-ignore
  });

  it('goes on while the hands work the fly at the hang', () => {
    const r = swing({ angleDeg: 30 }, { lineOut: [[50, 0] as const, [60, -4] as const], afterDangleS: 60 });
    expect(r.fishing!.toS).toBeGreaterThanOrEqual(60);
    expect(swing({ angleDeg: 30 }).fishing!.toS).toBeLessThan(50);
  });
});

describe('a pull of the line', () => {
  it('is no jerk: the rod and the line give (10 N and more were numerics)', () => {
    const pulls = Array.from(
      { length: 16 },
      (_, i) => [3 + Math.ceil(i / 2) * 1 - (i % 2 ? 0.6 : 0), -0.25 * Math.ceil(i / 2)] as const,
    );
    const most = (tipStiffnessNpm?: number) => {
      const r = swing({ angleDeg: 90 }, { lineOut: pulls.sort((a, b) => a[0] - b[0]), tipStiffnessNpm });
      return Math.max(...Array.from({ length: r.rows }, (_, i) => flyAt(r, i).tipTensionN));
    };
    expect(most(30)).toBeLessThan(3);
    expect(most(30)).toBeGreaterThan(0.3);
  });
});

describe('leading, following and still rods, the fly at the same bearing', () => {
  const at = (rod: 'still' | 'follow' | 'lead', bearing: number) => {
    const r = swing({ rod, angleDeg: 75, depthM: 4 });
    const rows = Array.from({ length: r.rows }, (_, i) => flyAt(r, i));
    return { ...rows.find((m) => bearingDeg(r, m.tS) <= bearing)!, r };
  };
  it.each([30, 20])('at %s° a leading rod shows it more side-on and faster than a following one', (bearing) => {
    const [lead, follow, still] = [at('lead', bearing), at('follow', bearing), at('still', bearing)];
    expect(lead.axisDeg).toBeGreaterThan(follow.axisDeg + 1);
    expect(Math.abs(lead.vyMps)).toBeGreaterThan(Math.abs(follow.vyMps));
    // Held still it is as broadside there, and sooner over.
    expect(Math.abs(still.axisDeg - lead.axisDeg)).toBeLessThan(5);
    expect(still.r.fishing!.toS).toBeLessThan(lead.r.fishing!.toS - 5);
  });
});

describe('work at the hang', () => {
  // As a sweep of the hang: the rod goes over and back, a metre is let out and drawn in again.
  const work = {
    ...{ bearingDeg: 15, orTouch: false },
    rod: [
      [2, 2, 2, -0.5],
      [5, 2, -2, -0.5],
    ] as const,
    lineOut: [
      [3, 0],
      [4, 1],
      [7, 0],
    ] as const,
  };
  const plain = swing({ u: 0.7, depthM: 1.4, tipM: 0 }, { afterDangleS: 6 });
  const worked = swing({ u: 0.7, depthM: 1.4, tipM: 0 }, { afterDangleS: 6, hangWork: work });

  it('begins when the fly has come round, and the swing goes on until all of it is done', () => {
    expect(plain.hangWorkS).toBeNull();
    const at = worked.hangWorkS!;
    expect(bearingDeg(worked, at - 0.5)).toBeGreaterThan(15);
    expect(bearingDeg(worked, at + 0.2)).toBeLessThan(15.5);
    // Its last movement is seven seconds later; six more are shown, or six after it hangs again.
    const done = Math.max(at + 7, worked.dangleS!);
    expect(Math.abs(worked.rows / 10 - done - 6)).toBeLessThan(0.5);
    expect(plain.rows / 10).toBeLessThan(plain.dangleS! + 6.5);
  });

  it('moves the fly as nothing else does there, and lets it drop back by what is let out', () => {
    const f = (r: SwingResult, afterS: number) => flyAt(r, Math.round(10 * (worked.hangWorkS! + afterS)));
    expect(Math.abs(f(worked, 5.5).yM - f(plain, 5.5).yM)).toBeGreaterThan(0.5);
    expect(f(worked, 4.2).xM - f(worked, 2.8).xM).toBeGreaterThan(0.3);
  });

  it('is not begun while the line is slack, and is begun by a touch where that is asked for', () => {
    const touching = (orTouch: boolean, depthM = 0.9) =>
      swing({ u: 0.5, depthM }, { afterDangleS: 6, hangWork: { ...work, bearingDeg: 5, orTouch } });
    const touched = touching(true);
    expect(touched.hangWorkS!).toBeLessThan(touching(false).hangWorkS ?? Infinity);
    expect(flyAt(touched, Math.round(10 * touched.hangWorkS!)).depthM).toBeGreaterThan(0.85);
    // Where the bed is out of reach, to ask for it changes nothing.
    expect(touching(true, 4).hangWorkS).toBe(touching(false, 4).hangWorkS);
  });
});

describe('rows of a swing', () => {
  it('are those of a moment, held at both ends', () => {
    expect([-3, 0, 1.26, 4.04, 99].map((t) => rowOf({ series: new Float64Array(0), rows: 50 }, t))).toEqual([
      0, 0, 13, 40, 49,
    ]);
  });
});

describe('the nearest pass', () => {
  it('is found between the moments that are recorded, a tenth of a second apart', () => {
    const c = drifting({ angleDeg: 70 });
    const plain = runSwing(c);
    const places = [20, 45, 80].map((row) => {
      const [a, b] = [flyAt(plain, row), flyAt(plain, row + 1)];
      return { row, xM: (a.xM + b.xM) / 2, yM: (a.yM + b.yM) / 2, depthM: (a.depthM + b.depthM) / 2, a, b };
    });
    const { lies } = runSwing({ ...c, lies: places.map(({ xM, yM }) => ({ xM, yM })) });
    places.forEach((p, i) => {
      const apart = Math.hypot(p.b.xM - p.a.xM, p.b.yM - p.a.yM);
      expect(apart).toBeGreaterThan(0.01);
      expect(lies[i]!.missM).toBeLessThan(0.01 * apart);
      expect(lies[i]!.t).toBeCloseTo((p.row + 0.5) / 10, 2);
      expect(lies[i]!.depthM).toBeCloseTo(p.depthM, 4);
    });
    // A place off its way: no row is nearer, and the sides of the miss make it up.
    const off = { xM: places[1]!.xM + 0.4, yM: places[1]!.yM + 0.7 };
    const [pass] = runSwing({ ...c, lies: [off] }).lies;
    const rows = Array.from({ length: plain.rows }, (_, i) => flyAt(plain, i));
    const nearest = Math.min(...rows.map((f) => Math.hypot(f.xM - off.xM, f.yM - off.yM)));
    expect(pass!.missM).toBeLessThanOrEqual(nearest + 1e-9);
    expect(pass!.missM).toBeGreaterThan(nearest - 0.05);
  });

  it('of the last lie ends a swing that is made for a search, two metres on; what passed until then is the same', () => {
    const c = drifting({ angleDeg: 70 });
    const whole = runSwing(c);
    const early = flyAt(whole, 45);
    const ended = (lies: SwingCase['lies']) => runSwing({ ...c, lies, stopPastLies: true });
    const short = ended([early]);
    expect(short.rows).toBeLessThan(whole.rows - 20);
    const { xM, yM } = flyAt(short, short.rows - 1);
    expect(Math.hypot(xM - early.xM, yM - early.yM)).toBeGreaterThan(2);
    expect(Math.hypot(xM - early.xM, yM - early.yM)).toBeLessThan(3);
    expect(short.lies[0]!.missM).toBeCloseTo(runSwing({ ...c, lies: [early] }).lies[0]!.missM, 9);
    // As long as one of them lies ahead it goes on; and to its end where there is none.
    expect(ended([early, flyAt(whole, 80)]).rows).toBeGreaterThan(short.rows + 20);
    expect(ended([]).rows).toBe(whole.rows);
  });
});

describe('what is told of a whole swing', () => {
  it('its fly where it first comes within 45, 30, 20 and 10° of hanging', () => {
    const r = swing({ angleDeg: 75 });
    for (const deg of [45, 30, 20, 10] as const) {
      const pass = r.atBearing[deg]!;
      const f = flyAt(r, rowOf(r, pass.t));
      expect(bearingDeg(r, pass.t)).toBeLessThanOrEqual(deg);
      expect(bearingDeg(r, pass.t - 0.1)).toBeGreaterThan(deg);
      expect(pass).toMatchObject({ depthM: f.depthM, riseMps: -f.vzMps, crossSpeedMps: Math.abs(f.vyMps) });
    }
    expect(swing({ angleDeg: 75 }, { tEndS: 3 }).atBearing['10']).toBeNull();
  });

  it('its fastest way across, from when the rod feels it to where it hangs', () => {
    const r = swing({ angleDeg: 70 });
    const across = Array.from({ length: r.rows }, (_, i) => Math.abs(flyAt(r, i).vyMps));
    const [from, to] = [Math.round(10 * r.tightAtRodS!), Math.round(10 * r.dangleS!)];
    expect(r.maxCrossSpeedMps).toBeCloseTo(Math.max(...across.slice(from, to + 1)), 9);
  });

  it('how the fly lies to the current, as its last link does: square to it at first, straight at the hang', () => {
    const r = swing({ angleDeg: 70 }, { keepLineS: 1 });
    const axes = r.lines.flatMap(({ t, xyz }) => {
      if (t < 2 || t > r.dangleS!) return [];
      const axis = [-6, -5, -4].map((k) => xyz.at(k)! - xyz.at(k + 3)!);
      const byLine = (Math.acos(-axis[0]! / Math.hypot(...axis)) * 180) / Math.PI;
      return [[flyAt(r, Math.round(10 * t)).axisDeg, byLine] as const];
    });
    expect(axes.length).toBeGreaterThan(5);
    for (const [told, byLine] of axes) expect(told).toBeCloseTo(byLine, 0);
    expect(axes[0]![0]).toBeGreaterThan(axes.at(-1)![0] + 20);
  });

  it('how long any of it lies on the bed: as long as the fly, and longer where the line does; never where there is none', () => {
    const shallow = swing({ u: 0.4, depthM: 0.5, fly: 'leadEye' });
    expect(shallow.flyOnBedS).toBeGreaterThan(1);
    expect(shallow.anyOnBedS).toBeGreaterThanOrEqual(shallow.flyOnBedS - 0.2);
    expect(shallow.anyOnBedS).toBeLessThanOrEqual(shallow.rows / 10);
    expect(swing({ u: 0.9, depthM: 4 }).anyOnBedS).toBe(0);
    const c = drifting({ u: 0.4, depthM: 0.5, fly: 'leadEye' });
    expect(runSwing({ ...c, water: { ...c.water, bottom: false } }).anyOnBedS).toBe(0);
  });

  it('from when on a metre of line lies on the bed, as its shapes show it: on a tip under a fly that floats, not on a lighter one', () => {
    const thin = (rate: number) =>
      drifting({ u: 0.5, depthM: 0.5, rateMps: rate * INCH_M }, { keepLineS: 0.5, tEndS: 40 });
    const floats = { ...thin(7).bodies[0]!, massInWaterKg: -1e-3 };
    const r = runSwing({ ...thin(7), bodies: [floats] });
    expect(r.dragsS).toBeNull();
    const lying = r.lines.map(({ t, xyz }) => {
      let m = 0;
      for (let k = 3; k < xyz.length - 3; k += 3)
        if (xyz[k + 2]! > 0.49) m += Math.hypot(xyz[k]! - xyz[k - 3]!, xyz[k + 1]! - xyz[k - 2]!);
      return { t, m };
    });
    const from = lying.find((l) => l.t >= r.fishing!.fromS && l.m >= 1)!.t;
    expect(Math.abs(r.lineDragsS! - from)).toBeLessThan(1);
    lying.filter((l) => l.t > from + 1 && l.t < from + 7).forEach((l) => expect(l.m).toBeGreaterThan(0.8));
    expect(runSwing({ ...thin(1.5), bodies: [floats] }).lineDragsS).toBeNull();
    expect(runSwing({ ...thin(7), bodies: [floats], tEndS: r.fishing!.fromS + 6 }).lineDragsS).toBeNull(); // not long enough
    // A swing that is left once its lie is past tells the same.
    const { xM, yM } = flyAt(r, rowOf(r, r.lineDragsS! + 2));
    const left = runSwing({ ...thin(7), bodies: [floats], lies: [{ xM, yM }], stopPastLies: true });
    expect(left.rows).toBeLessThan(r.rows);
    expect(left.lineDragsS).toBe(r.lineDragsS);
  });

  it('when it comes to rest on the bed: soon after it has sunk to it on slack, and never where the current drags it on', () => {
    const onSlack = (u: number, friction: number) => {
      const c = flumeCase({ u, depthM: 0.6, fly: 'leadEye', angleDeg: 110, slackM: 5 });
      return runSwing({ ...c, water: { ...c.water, bedFriction: friction }, afterDangleS: undefined, tEndS: 40 });
    };
    const rests = onSlack(0.1, 0.6);
    const { tS } = Array.from({ length: rests.rows }, (_, i) => flyAt(rests, i)).find((f) => f.depthM > 0.59)!;
    expect(rests.groundedS!).toBeGreaterThanOrEqual(tS);
    expect(rests.groundedS!).toBeLessThan(tS + 3);
    const lying = [0, 1, 2, 3].map((s) => flyAt(rests, rowOf(rests, rests.groundedS! + s)));
    lying.forEach((f) => expect(Math.hypot(f.vxMps, f.vyMps)).toBeLessThan(0.05));
    const dragged = onSlack(0.7, 0.02);
    expect(dragged.dragsS).not.toBeNull();
    expect(dragged.groundedS).toBeNull();
    expect(runSwing(flumeCase({ u: 0.05, depthM: 20, tipM: 0, fly: 'bulky' })).groundedS).toBeNull(); // slow, but on no bed
  });

  it('a mend that is made later leaves the line as it was until then', () => {
    const at = (mends?: SwingCase['mends']) => swing({ angleDeg: 70 }, { mends, keepLineS: 0.5 });
    const [plain, mended] = [at(), at([{ t: 3, slackM: 1.5, direction: -1 }])];
    const off = (tS: number) => {
      const [a, b] = [plain, mended].map((r) => r.lines.find((l) => Math.abs(l.t - tS) < 0.01)!.xyz);
      return Math.max(...Array.from(a!, (v, k) => Math.abs(v - b![k]!)));
    };
    expect(off(2.5)).toBeLessThan(0.01);
    expect(off(3.5)).toBeGreaterThan(0.2);
  });
});
