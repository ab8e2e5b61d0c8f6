import Joi from 'joi';
import { flume, type LineSection, SERIES_COLUMNS, type SwingCase, type SwingResult } from '@/core/swing';
import { buoyantWeight, sinkingWeight } from '@/core/tackle';
import { FOOT_M, G, GRAIN_KG, INCH_M } from '@/core/units';
import { readCase } from './caseText';

const num = (min: number, max: number) => Joi.number().min(min).max(max);
const list = Joi.array().items(Joi.number().required()).min(1).max(2000).required();

const section = Joi.object({
  type: Joi.string().valid('float', 'sink', 'leader').required(),
  length_m: num(0.01, 100).required(),
  d_mm: num(0.05, 10).required(),
  ips: num(0, 30),
  gpf: num(-100, 400),
  w_N_m: num(-2, 2),
  rel_density: num(0.1, 25),
})
  .xor('ips', 'gpf', 'w_N_m', 'rel_density')
  .required();

const schema = Joi.object({
  water: Joi.object({
    rho: num(900, 1100).default(1000),
    u: Joi.alternatives(num(-10, 10), Joi.object({ y: list, u: list })).required(),
    u_kind: Joi.string().valid('surface', 'mean').default('surface'),
    depth: Joi.alternatives(num(0.01, 500), Joi.object({ y: list, h: list })).required(),
    profile: Joi.alternatives()
      .conditional('.type', {
        switch: [
          { is: 'power', then: Joi.object({ type: Joi.any(), m: num(0, 1).default(1 / 6) }) },
          { is: 'log', then: Joi.object({ type: Joi.any(), z0: num(1e-6, 1).default(0.01) }) },
          { is: 'uniform', then: Joi.object({ type: Joi.any() }) },
        ],
        otherwise: Joi.object({ type: Joi.valid('power', 'log', 'uniform').required() }).unknown(),
      })
      .default({ type: 'power', m: 1 / 6 }),
    bottom: Joi.boolean().default(true),
    bed_friction: num(0, 5).default(0),
  }).required(),
  rod: Joi.object({
    path: Joi.array().items(Joi.array().items(Joi.number().required()).length(4).required()).min(1).max(2000),
    follow: Joi.object({
      x0: Joi.number().default(0),
      y0: Joi.number().default(0),
      r: num(0, 10).required(),
      z: num(-10, 5).default(-0.5),
      lead_deg: num(-180, 180).default(0),
      rate_deg_s: num(0, 1000).default(30),
    }),
  })
    .xor('path', 'follow')
    .required(),
  line: Joi.array().items(section).min(1).max(20).required(),
  fly: Joi.object({
    mass_in_water_g: num(-10, 100).required(),
    mass_g: num(0, 100).required(),
    CdA_cm2: num(0.001, 100).required(),
  }).required(),
  cast: Joi.object({ angle_deg: num(-180, 180).required(), slack_m: num(0, 50).default(0) }).required(),
  drag: Joi.object({
    Cdn: num(0.01, 5).default(1.1),
    Cf: num(0, 0.5).default(0.015),
    re_dependent: Joi.boolean().default(false),
  }).default({ Cdn: 1.1, Cf: 0.015, re_dependent: false }),
  lies: Joi.array()
    .items(Joi.object({ x: Joi.number().required(), y: Joi.number().required() }).unknown())
    .default([]),
  num: Joi.object({
    float_mode: Joi.string().valid('clean', 'free', 'held').default('clean'),
    t_end: num(0.1, 600).default(90),
  })
    .unknown()
    .default({ float_mode: 'clean', t_end: 90 }),
}).required();

interface RawSection {
  type: LineSection['kind'];
  length_m: number;
  d_mm: number;
  ips?: number;
  gpf?: number;
  w_N_m?: number;
  rel_density?: number;
}

/** Submerged weight of a section, N/m. A catalogue rate uses the case's own Cn; grains a foot are weight in air. */
function weightOf(s: RawSection, rho: number, cn: number): number {
  const d = s.d_mm / 1000;
  if (s.ips !== undefined) return sinkingWeight(s.ips * INCH_M, d, rho) * (cn / 1.1);
  if (s.w_N_m !== undefined) return s.w_N_m;
  if (s.rel_density !== undefined) return buoyantWeight(s.rel_density, d, rho);
  return ((s.gpf! * GRAIN_KG) / FOOT_M - rho * (Math.PI / 4) * d * d) * G;
}

/**
 * A case as text (JSON, docs/formats.md) made into one for the engine.
 *
 * @throws RangeError that names the field and what is wrong with it
 */
export function readSwingCase(text: string): SwingCase {
  const { water, rod, line, fly, cast, drag, lies, num: n } = readCase(text, schema);
  const table = (t: number | { y: number[]; u?: number[]; h?: number[] }, key: 'u' | 'h', field: string) => {
    if (typeof t === 'number') return t;
    const values = t[key]!;
    if (values.length !== t.y.length) throw new RangeError(`${field}: needs as many values as places`);
    t.y.forEach((y, i) => {
      if (i > 0 && y <= t.y[i - 1]!) throw new RangeError(`${field}.y[${i}]: places must ascend`);
    });
    return { y: t.y, values };
  };
  rod.path?.forEach((p: number[], i: number) => {
    if (i > 0 && p[0]! <= rod.path[i - 1][0]) throw new RangeError(`rod.path[${i}]: times must ascend`);
  });
  const f = rod.follow;
  return {
    water: flume({
      u: table(water.u, 'u', 'water.u'),
      kind: water.u_kind,
      depth: table(water.depth, 'h', 'water.depth'),
      profile: water.profile,
      rho: water.rho,
      bottom: water.bottom,
      bedFriction: water.bed_friction,
    }),
    rod: f
      ? { follow: { x0: f.x0, y0: f.y0, r: f.r, z: f.z, leadDeg: f.lead_deg, rateDegS: f.rate_deg_s } }
      : { path: rod.path },
    line: line.map((s: RawSection) => ({
      kind: s.type,
      lengthM: s.length_m,
      diameterM: s.d_mm / 1000,
      weightNpm: weightOf(s, water.rho, drag.Cdn),
    })),
    bodies: [
      {
        fromEndM: 0,
        massInWaterKg: fly.mass_in_water_g / 1000,
        massKg: fly.mass_g / 1000,
        dragAreaM2: fly.CdA_cm2 / 1e4,
      },
    ],
    cast: { angleDeg: Math.abs(cast.angle_deg), slackM: cast.slack_m, side: cast.angle_deg < 0 ? -1 : 1 },
    drag: { cn: drag.Cdn, cf: drag.Cf, reDependent: drag.re_dependent },
    floatRule: n.float_mode,
    tEndS: n.t_end,
    lies: lies.map((l: { x: number; y: number }) => ({ xM: l.x, yM: l.y })),
  };
}

/** A result in the names and units of docs/formats.md. */
export function swingResultJson(r: SwingResult): object {
  const pass = (p: SwingResult['atBearing']['45']) =>
    p && { t: p.t, depth: p.depthM, cross_speed: p.crossSpeedMps, axis_deg: p.axisDeg };
  const columns = SERIES_COLUMNS.length;
  return {
    summary: {
      t_tension_rod_s: r.tightAtRodS,
      t_tension_fly_s: r.tightAtFlyS,
      max_depth_m: r.maxDepthM,
      t_max_depth_s: r.maxDepthS,
      t_dangle_s: r.dangleS,
      dangle_depth_m: r.dangleDepthM,
      mean_cross_speed_m_s: r.meanCrossSpeedMps,
      max_cross_speed_m_s: r.maxCrossSpeedMps,
      fly_on_bed_s: r.flyOnBedS,
      any_on_bed_s: r.anyOnBedS,
      depth_at_bearing: Object.fromEntries(Object.entries(r.atBearing).map(([k, p]) => [k, pass(p)])),
      lies: r.lies.map((l) => ({ depth: l.depthM, t: l.t, miss_m: l.missM })),
    },
    columns: SERIES_COLUMNS,
    series: Array.from({ length: r.rows }, (_, i) => Array.from(r.series.slice(columns * i, columns * (i + 1)))),
  };
}
