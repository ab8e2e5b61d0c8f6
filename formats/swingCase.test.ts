import { runSwing } from '@/core/swing';
import { withAt } from '@/core/testing/fixtures';
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

  it('puts every field in its place, and what is left out at what the format says', () => {
    const follow = { x0: 1, y0: 2, r: 3, z: -0.7, lead_deg: 20, rate_deg_s: 40 };
    const c = read({
      rod: { follow },
      cast: { angle_deg: -60, slack_m: 1.5 },
      drag: { Cdn: 1.2, Cf: 0.02, re_dependent: true },
      num: { float_mode: 'free', t_end: 12 },
    });
    expect(c).toMatchObject({
      rod: { follow: { x0: 1, y0: 2, r: 3, z: -0.7, leadDeg: 20, rateDegS: 40 } },
      cast: { angleDeg: 60, slackM: 1.5, side: -1 },
      ...{ drag: { cn: 1.2, cf: 0.02, reDependent: true }, floatRule: 'free', tEndS: 12, lies: [{ xM: 12, yM: 9 }] },
    });
    expect(c.bodies).toEqual([
      { fromEndM: 0, massInWaterKg: expect.closeTo(2e-4, 12), massKg: expect.closeTo(4e-4, 12), dragAreaM2: 2e-4 },
    ]);
    expect(c.line.map((l) => [l.kind, l.lengthM, l.diameterM])).toEqual([
      ['float', 13.75, expect.closeTo(0.00128, 12)],
      ['sink', 3.05, 0.001],
      ['leader', 1.2, 0.00025],
    ]);
    const plain = read({
      rod: { follow: { r: 3 } },
      cast: { angle_deg: 75 },
      drag: undefined,
      lies: undefined,
      num: undefined,
    });
    expect(plain).toMatchObject({
      rod: { follow: { x0: 0, y0: 0, r: 3, z: -0.5, leadDeg: 0, rateDegS: 30 } },
      cast: { angleDeg: 75, slackM: 0, side: 1 },
      ...{ drag: { cn: 1.1, cf: 0.015, reDependent: false }, floatRule: 'clean', tEndS: 90, lies: [] },
    });
  });

  it('a heavier tip by catalogue is heavier in the case’s own drag: w = Cn/1.1 of what sinks so fast', () => {
    const tip = (drag: object) => read({ drag }).line[1]!.weightNpm;
    expect(tip({ Cdn: 2.2 }) / tip({ Cdn: 1.1 })).toBeCloseTo(2, 9);
    // Nylon of 1.14 times the density of water, 0.25 mm: 0.14 · 1000 · π/4 · 0.00025² · g.
    expect(read({}).line[2]!.weightNpm).toBeCloseTo(0.14 * 1000 * (Math.PI / 4) * 0.00025 ** 2 * 9.80665, 9);
  });

  it('gives every result under its name', () => {
    const r = runSwing(read({ num: { float_mode: 'held', t_end: 20 } }));
    const { summary, columns, series } = swingResultJson(r) as {
      summary: Record<string, unknown>;
      columns: string[];
      series: number[][];
    };
    const at = (p: (typeof r.atBearing)['45']) =>
      p && { t: p.t, depth: p.depthM, cross_speed: p.crossSpeedMps, axis_deg: p.axisDeg };
    expect(summary).toEqual({
      ...{ t_tension_rod_s: r.tightAtRodS, t_tension_fly_s: r.tightAtFlyS, t_dangle_s: r.dangleS },
      ...{ max_depth_m: r.maxDepthM, t_max_depth_s: r.maxDepthS, dangle_depth_m: r.dangleDepthM },
      ...{ mean_cross_speed_m_s: r.meanCrossSpeedMps, max_cross_speed_m_s: r.maxCrossSpeedMps },
      ...{ fly_on_bed_s: r.flyOnBedS, any_on_bed_s: r.anyOnBedS },
      depth_at_bearing: Object.fromEntries(Object.entries(r.atBearing).map(([k, p]) => [k, at(p)])),
      lies: [{ depth: r.lies[0]!.depthM, t: r.lies[0]!.t, miss_m: r.lies[0]!.missM }],
    });
    expect(series).toHaveLength(r.rows);
    expect(series.flat()).toEqual([...r.series.slice(0, r.rows * columns.length)]);
  });

  it.each([
    ['water.rho', 900, 1100],
    ['water.u', -10, 10],
    ['water.depth', 0.01, 500],
    ['water.bed_friction', 0, 5],
    ['line.0.length_m', 0.01, 100],
    ['line.0.d_mm', 0.05, 10],
    ['line.0.rel_density', 0.1, 25],
    ['line.1.ips', 0, 30],
    ['fly.mass_in_water_g', -10, 100],
    ['fly.mass_g', 0, 100],
    ['fly.CdA_cm2', 0.001, 100],
    ['cast.angle_deg', -180, 180],
    ['cast.slack_m', 0, 50],
    ['drag.Cdn', 0.01, 5],
    ['drag.Cf', 0, 0.5],
    ['num.t_end', 0.1, 600],
  ])('%s goes from %d to %d', (path, least, most) => {
    const set = (value: number) => () => readSwingCase(JSON.stringify(withAt(base, path, value)));
    const beyond = (most - least) / 1000;
    for (const end of [least, most]) expect(set(end)).not.toThrow();
    for (const none of [least - beyond, most + beyond]) expect(set(none)).toThrow(path.replace(/\.(\d)/, '[$1]'));
  });

  it.each([
    [{ rod: { path: [[0, 0, 0]] } }, 'rod.path[0]'],
    [{ rod: {} }, 'rod'],
    [{ rod: { path: base.rod.path, follow: { r: 3 } } }, 'rod'],
    [{ line: [] }, 'line'],
    [{ line: [{ type: 'sink', length_m: 3, d_mm: 1, ips: 3, gpf: 40 }] }, 'line[0]'],
    [{ lies: [{ x: 1 }] }, 'lies[0].y'],
  ])('takes one way of saying a thing: %j', (change, where) => {
    expect(() => read(change)).toThrow(where);
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
    ['{', 'case: the JSON is cut off or damaged'],
    [JSON.stringify({ ...base, fly: undefined }), 'fly is required'],
    [JSON.stringify({ ...base, cast: { angle_deg: 'wide' } }), 'cast.angle_deg must be a number'],
    [JSON.stringify({ ...base, line: [{ type: 'sink', length_m: 3, d_mm: 1 }] }), 'line[0]'],
    [JSON.stringify({ ...base, water: { ...base.water, profile: { type: 'cubic' } } }), 'water.profile.type'],
    [JSON.stringify({ ...base, water: { ...base.water, u: { y: [0, 1], u: [1] } } }), 'water.u: needs as many'],
    [JSON.stringify({ ...base, water: { ...base.water, depth: { y: [1, 0], h: [1, 1] } } }), 'water.depth.y[1]'],
    [JSON.stringify({ ...base, water: { ...base.water, u: { y: [0, 4, 4], u: [1, 1, 1] } } }), 'water.u.y[2]: places'],
    [JSON.stringify({ ...base, cast: { angle_deg: '75' } }), 'cast.angle_deg must be a number'],
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
