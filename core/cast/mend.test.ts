import fc from 'fast-check';
import { flumeCase } from '../practice/curve';
import { runSwing, type SwingCase } from '../swing';
import { COL, HZ, WIDTH } from '../swing/series';
import { MEND_BYS, type MendBy, mendEffect, mendLaidS, mendMotion } from './mend';
import { together } from '../swing/schedule';

const AT_S = 3;
const REACH_M = 3.2;
/** Even water, a straight cast at 75°, a rod held still: tight from the first second. */
const base: SwingCase = { ...flumeCase({ floatRule: 'clean' }), tipStiffnessNpm: 30 };
const mended = (mendM: number, by: MendBy = 'lift', atS = AT_S) =>
  runSwing({ ...base, ...mendMotion({ atS, mendM, by, reachM: REACH_M }) });
const plain = runSwing(base);
const effect = (mendM: number, by: MendBy = 'lift', atS = AT_S) => mendEffect(mended(mendM, by, atS), atS, by, 0)!;
const fly = (r: ReturnType<typeof runSwing>, t: number, col: number) => r.series[WIDTH * Math.round(t * HZ) + col]!;

describe('a mend by the rod', () => {
  it('drags a tight fly over towards the rod ("set once"; common practice, no source)', () => {
    const did = effect(1.5);
    expect(did.draggedM).toBeGreaterThan(0.3);
    expect(did.draggedM).toBeLessThan(1.5);
    // The same by hand: how far it is from where it would be without a mend, at most.
    const times = Array.from({ length: 17 }, (_, i) => AT_S + i / HZ);
    const lift = mended(1.5);
    const by = Math.max(...times.map((t) => fly(plain, t, COL.y) - fly(lift, t, COL.y)));
    expect(by).toBeGreaterThan(0.2);
    expect(Math.abs(did.draggedM - by)).toBeLessThan(0.15);
  });

  it('then lets it sink ("mend for depth"; common practice, no source): deeper than with none', () => {
    expect(mended(1.5).maxDepthM).toBeGreaterThan(plain.maxDepthM * 1.2);
  });

  it('by a flick drags it further than by a soft lift, and a large one further than a small one', () => {
    expect(effect(1.5, 'flick').draggedM).toBeGreaterThan(effect(1.5, 'lift').draggedM);
    for (const by of MEND_BYS) expect(effect(3, by).draggedM).toBeGreaterThan(effect(0.5, by).draggedM);
  });

  it('laid in the air as the line lands drags nothing, for the same slack', () => {
    const laid = runSwing({ ...base, cast: { ...base.cast, slackM: 1.5, bow: -1 } });
    const early = mended(1.5, 'lift', 1);
    const across = (r: ReturnType<typeof runSwing>) => fly(r, 1, COL.y) - fly(r, mendLaidS(1, 'lift'), COL.y);
    expect(across(early)).toBeGreaterThan(across(laid) + 0.2);
  });

  it('lays the line upstream of where it would lie, or not so far up, as it is carried', () => {
    /** Where the line lies downstream, three metres across from the rod, two seconds after the mend began. */
    const lineX = (c: SwingCase) => {
      const { xyz } = runSwing({ ...c, keepLineS: 1 }).lines.find((l) => Math.abs(l.t - 5) < 0.2)!;
      let i = 1;
      while (xyz[3 * i + 1]! < 3) i++;
      const [a, b] = [xyz[3 * i - 2]!, xyz[3 * i + 1]!];
      return xyz[3 * i - 3]! + ((3 - a) / (b - a)) * (xyz[3 * i]! - xyz[3 * i - 3]!);
    };
    const x = lineX(base);
    const over = (mendM: number) => lineX({ ...base, ...mendMotion({ atS: 3, mendM, by: 'lift', reachM: REACH_M }) });
    expect(over(1.5)).toBeLessThan(x - 1);
    expect(over(-1.5)).toBeGreaterThan(over(1.5) + 1);
  });

  it('is told as the fly moved: drag beyond its own way, rise, and slack until the rod feels it again', () => {
    // By hand: crossing towards the rod at 0.2 m/s; from 1 s on pulled at 0.7 m/s for a second, up 0.3 m; slack from 2 to 6 s.
    const rows = 100;
    const series = new Float32Array(rows * WIDTH);
    for (let i = 0; i < rows; i++) {
      const t = i / HZ;
      const pulled = Math.min(1, Math.max(0, t - 1));
      series[WIDTH * i + COL.y] = 10 - 0.2 * t - 0.5 * pulled;
      series[WIDTH * i + COL.vy] = -0.2 - (t > 1 && t < 2 ? 0.5 : 0);
      series[WIDTH * i + COL.depth] = 0.8 - 0.3 * pulled;
      series[WIDTH * i + COL.tension] = t > 2 && t < 6 ? 0 : 0.2;
    }
    const made = { series, rows } as unknown as Parameters<typeof mendEffect>[0];
    const did = mendEffect(made, 1, 'lift', 0)!;
    expect(did.draggedM).toBeCloseTo(0.5, 2);
    expect(did.roseM).toBeCloseTo(0.3, 2);
    expect(did.slackUntilS).toBeCloseTo(6, 1);
    expect(mendEffect(made, 5, 'flick', 0)!.slackUntilS).toBeNull(); // a fifth of a second more
    expect(mendEffect(made, 8, 'lift', 0)).toMatchObject({ slackUntilS: null });
  });

  it('after the swing is over has done nothing', () => {
    expect(mendEffect(plain, plain.rows / HZ, 'lift', 0)).toBeNull();
  });

  it('moves no faster than a hand, comes back to where the rod is, and shakes out what it says (property)', () => {
    fc.assert(
      fc.property(
        fc.record({
          atS: fc.double({ min: 0, max: 20, noNaN: true }),
          mendM: fc.double({ min: -4, max: 4, noNaN: true }),
          by: fc.constantFrom(...MEND_BYS),
          reachM: fc.double({ min: 1.8, max: 3.6, noNaN: true }),
        }),
        (m) => {
          const { sway, lineOut } = mendMotion(m);
          expect(sway[0]!.slice(1)).toEqual([0, 0, 0]);
          expect(sway.at(-1)!.slice(1)).toEqual([0, 0, 0]);
          expect(lineOut.at(-1)![1]).toBe(Math.abs(m.mendM));
          for (const [path, most] of [
            [sway, 12],
            [lineOut, 3.001],
          ] as const)
            for (let i = 1; i < path.length; i++) {
              const dt = path[i]![0] - path[i - 1]![0];
              expect(dt).toBeGreaterThan(0);
              expect(Math.hypot(...path[i]!.slice(1).map((v, k) => v - path[i - 1]![k + 1]!)) / dt).toBeLessThan(most);
            }
          const over = sway.map((p) => p[1]);
          expect(Math.max(...over.map(Math.abs))).toBeLessThanOrEqual(0.8 * m.reachM + 1e-9);
          if (m.mendM > 0) expect(Math.min(...over)).toBeLessThan(0); // upstream
        },
      ),
      { seed: 5 },
    );
  });
});

describe('two schedules at once', () => {
  it('add up at every time of either', () => {
    const sum = together(
      [
        [0, 0],
        [2, 2],
      ],
      [
        [1, 0],
        [3, 3],
      ],
    );
    expect(sum).toEqual([
      [0, 0],
      [1, 1],
      [2, 3.5],
      [3, 5],
    ]);
  });

  it('one alone stays as it is', () => {
    expect(together([], [[1, 2]])).toEqual([[1, 2]]);
    expect(together([[1, 2]], [])).toEqual([[1, 2]]);
  });
});
