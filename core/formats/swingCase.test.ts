import { runSwing } from '../swing';
import { readSwingCase, swingResultJson } from './swingCase';

const base = {
  water: {
    rho: 1000,
    u: 0.9,
    u_kind: 'surface',
    depth: 2.0,
    profile: { type: 'power', m: 0.1667 },
    bottom: true,
    bed_friction: 0,
  },
  rod: { path: [[0, 0, 0, -0.5]] },
  line: [
    { type: 'float', length_m: 13.75, d_mm: 1.28, rel_density: 0.88 },
    { type: 'sink', length_m: 3.05, d_mm: 1.0, ips: 7 },
    { type: 'leader', length_m: 1.2, d_mm: 0.25, rel_density: 1.14 },
  ],
  fly: { mass_in_water_g: 0.2, mass_g: 0.4, CdA_cm2: 2.0 },
  cast: { angle_deg: 75, slack_m: 0 },
  drag: { Cdn: 1.1, Cf: 0.015, re_dependent: false },
  lies: [{ x: 12, y: 9 }],
  num: { float_mode: 'held', t_end: 60 },
};
const read = (change: object) => readSwingCase(JSON.stringify({ ...base, ...change }));

describe('a swing from a file', () => {
  it('gives the study’s deepest point, in the names of the format', () => {
    const out = JSON.parse(JSON.stringify(swingResultJson(runSwing(read({})))));
    expect(out.summary.max_depth_m).toBeCloseTo(0.69, 1);
    expect(out.columns).toEqual(['t', 'x', 'y', 'depth', 'vx', 'vy', 'vz', 'axis_angle_deg', 'tip_tension_N']);
    expect(out.series).toHaveLength(601);
    expect(out.series[10][0]).toBeCloseTo(1, 9);
    expect(out.summary.lies[0].miss_m).toBeGreaterThan(0);
    expect(out.summary.depth_at_bearing['30'].depth).toBeGreaterThan(0.4);
  });

  it('takes each way of giving weight: 100 grains a foot of 1.7 mm line weigh 0.186 N/m in water', () => {
    const c = read({ line: [...base.line.slice(0, 1), { type: 'sink', length_m: 3, d_mm: 1.7, gpf: 100 }] });
    // 100 · 64.79891 mg / 0.3048 m = 21.26 g/m in air, less 2.27 g/m of water.
    expect(c.line[1]!.weightNpm).toBeCloseTo((0.02126 - 0.00227) * 9.80665, 3);
    expect(read({ line: [{ type: 'sink', length_m: 5, d_mm: 1, w_N_m: 0.02 }] }).line[0]!.weightNpm).toBe(0.02);
  });

  it('reads tables across the river', () => {
    const c = read({ water: { ...base.water, u: { y: [0, 10], u: [0, 1] }, depth: { y: [0, 10], h: [0.5, 2] } } });
    const { grid } = c.water;
    expect(grid.h[grid.ny - 1]).toBe(2);
    expect(grid.h[50]).toBeCloseTo(1.25, 5);
  });

  it.each([
    ['{', 'case: not JSON'],
    [JSON.stringify({ ...base, fly: undefined }), 'fly is required'],
    [JSON.stringify({ ...base, cast: { angle_deg: 'wide' } }), 'cast.angle_deg must be a number'],
    [JSON.stringify({ ...base, line: [{ type: 'sink', length_m: 3, d_mm: 1 }] }), 'line[0]'],
    [JSON.stringify({ ...base, water: { ...base.water, profile: { type: 'cubic' } } }), 'water.profile.type'],
    [JSON.stringify({ ...base, water: { ...base.water, u: { y: [0, 1], u: [1] } } }), 'water.u: needs as many'],
    [JSON.stringify({ ...base, water: { ...base.water, depth: { y: [1, 0], h: [1, 1] } } }), 'water.depth.y[1]'],
    [
      JSON.stringify({
        ...base,
        rod: {
          path: [
            [1, 0, 0, 0],
            [0, 0, 0, 0],
          ],
        },
      }),
      'rod.path[1]: times',
    ],
    [JSON.stringify({ ...base, num: { float_mode: 'sticky', t_end: 9 } }), 'num.float_mode'],
  ])('refuses bad input by the field’s name: %#', (text, message) => {
    expect(() => readSwingCase(text)).toThrow(message);
  });
});
