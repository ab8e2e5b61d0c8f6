import { radians } from '../maths';
import { Refusal } from '../refusal';
import { profileFactor, type WaterGrid } from '../water';
import { LONGEST_S } from './recorder';
import type { Rod, SwingCase } from './types';

/** What no hand does, m/s. */
const FASTEST_TIP_MPS = 15;
const FASTEST_STRIP_MPS = 5;
/** Share of its broadside drag that a line on its way round turns into pull. */
const BROADSIDE = 0.05;

/** Throws a Refusal naming the field when a case is not one that can be cast. */
export function checkCase(c: SwingCase): void {
  const need = (ok: boolean, field: string, what: string) => {
    if (!ok) throw new Refusal({ code: 'no case', field, must: what });
  };
  need(c.line.length > 0, 'line', 'needs at least one section');
  c.line.forEach((l, i) => {
    need(l.lengthM > 0 && l.lengthM <= 100, `line[${i}].length_m`, 'must be above 0 and at most 100 m');
    need(l.diameterM > 5e-5 && l.diameterM < 0.01, `line[${i}].d_mm`, 'must be between 0.05 and 10 mm');
    need(Math.abs(l.weightNpm) < 2, `line[${i}]`, 'weighs more than 2 N a metre in water');
  });
  const total = c.line.reduce((s, l) => s + l.lengthM, 0);
  need(total >= 1, 'line', 'needs at least one metre');
  need(c.bodies.length > 0, 'fly', 'is missing');
  c.bodies.forEach((b, i) => {
    need(b.fromEndM >= 0 && b.fromEndM < total, `bodies[${i}].fromEndM`, 'must lie on the line');
    need(b.massKg >= 0 && b.massKg < 0.1, `bodies[${i}].massKg`, 'must be between 0 and 100 g');
    need(b.massInWaterKg > -0.01 && b.massInWaterKg <= b.massKg + 1e-9, `bodies[${i}].massInWaterKg`, 'is too large');
    need(b.heightM === undefined || (b.heightM > 0 && b.heightM < 0.1), `bodies[${i}].heightM`, 'must be up to 10 cm');
    need(b.dragAreaM2 > 0 && b.dragAreaM2 < 0.01, `bodies[${i}].dragAreaM2`, 'must be between 0 and 100 cm²');
  });
  need(Number.isFinite(c.cast.angleDeg) && Math.abs(c.cast.angleDeg) <= 180, 'cast.angle_deg', 'must be 0 to 180');
  need(c.cast.slackM >= 0 && c.cast.slackM < 0.6 * total, 'cast.slack_m', 'must be less than 0.6 of the line');
  need(c.tEndS > 0 && c.tEndS <= LONGEST_S, 'num.t_end', `must be above 0 and at most ${LONGEST_S} s`);
  need(c.water.rho > 900 && c.water.rho < 1100, 'water.rho', 'must be between 900 and 1100 kg/m³');
  need(Number.isFinite(fastestWater(c.water.grid)), 'water', 'has gaps');
  if ('path' in c.rod) {
    need(c.rod.path.length > 0, 'rod.path', 'needs at least one point');
    needSchedule('rod.path', c.rod.path, need);
    need(fastestTip(c.rod) <= FASTEST_TIP_MPS, 'rod.path', `moves faster than ${FASTEST_TIP_MPS} m/s`);
  } else {
    const f = c.rod.follow;
    need([f.x0, f.y0, f.r, f.z, f.leadDeg, f.rateDegS].every(Number.isFinite), 'rod.follow', 'needs six numbers');
    needSchedule('rod.follow.walk', f.walk ?? [], need);
    need(f.r >= 0 && f.r <= 8, 'rod.follow.r', 'must be between 0 and 8 m');
    need(f.rateDegS >= 0 && f.rateDegS <= 180, 'rod.follow.rate_deg_s', 'must be between 0 and 180');
  }
  needSchedule('lineOut', c.lineOut ?? [], need);
  const strips = fastest(c.lineOut ?? [], (a, b) => Math.abs(b[1] - a[1]));
  need(strips <= FASTEST_STRIP_MPS, 'lineOut', `changes faster than ${FASTEST_STRIP_MPS} m/s`);
  needSchedule('sway', c.sway ?? [], need);
  need(fastest(c.sway ?? [], apart) <= FASTEST_TIP_MPS, 'sway', `moves faster than ${FASTEST_TIP_MPS} m/s`);
  c.mends?.forEach((m, i) => {
    need(
      m.t >= 0 && m.slackM >= 0 && m.slackM < 0.6 * total,
      `mends[${i}].slackM`,
      'must be less than 0.6 of the line',
    );
  });
  need(c.drag.cn > 0 && c.drag.cn < 5 && c.drag.cf >= 0 && c.drag.cf < 0.5, 'drag', 'is out of range');
}

function needSchedule(
  field: string,
  rows: readonly (readonly number[])[],
  need: (ok: boolean, field: string, what: string) => void,
): void {
  rows.forEach((row, i) => {
    need(row.every(Number.isFinite), `${field}[${i}]`, 'needs numbers');
    need(i === 0 || row[0]! >= rows[i - 1]![0]!, `${field}[${i}]`, 'must not be earlier than the one before');
  });
}

/** Searches swing hundreds of times in the same water: each grid is looked through once. */
const seen = new WeakMap<WaterGrid, number>();

/** Fastest depth-mean current of a grid, m/s; NaN when it has gaps. */
function fastestWater(g: WaterGrid): number {
  const known = seen.get(g);
  if (known !== undefined) return known;
  let most = 0;
  for (let k = 0; k < g.u.length; k++) {
    const speed = Math.hypot(g.u[k]!, g.v[k]!);
    most = Number.isFinite(speed) && Number.isFinite(g.h[k]!) ? Math.max(most, speed) : NaN;
  }
  seen.set(g, most);
  return most;
}

/** About the strongest pull a swing can come to, N: all of the line drawn through the water, along itself, as fast as
 * current, rod and hand together. */
export function strongestPull(c: SwingCase): number {
  const u = fastestWater(c.water.grid) * profileFactor(c.water.profile, 0, 1);
  const speed =
    u + fastestTip(c.rod) + fastest(c.sway ?? [], apart) + fastest(c.lineOut ?? [], (a, b) => Math.abs(b[1] - a[1]));
  const skin = c.line.reduce((s, l) => s + l.diameterM * l.lengthM, 0);
  const area = (Math.PI * c.drag.cf + BROADSIDE * c.drag.cn) * skin + c.bodies.reduce((s, b) => s + b.dragAreaM2, 0);
  return 0.5 * c.water.rho * speed ** 2 * area;
}

function fastestTip(rod: Rod): number {
  if ('follow' in rod) return rod.follow.r * radians(rod.follow.rateDegS);
  return fastest(rod.path, apart);
}

type Moment = readonly [number, number, number, number];
const apart = (a: Moment, b: Moment): number => Math.hypot(b[1] - a[1], b[2] - a[2], b[3] - a[3]);

/** Largest distance over time between neighbours of a schedule whose first column is time. */
function fastest<T extends readonly [number, ...number[]]>(
  rows: readonly T[],
  distance: (a: T, b: T) => number,
): number {
  let most = 0;
  for (let i = 1; i < rows.length; i++) {
    const dt = rows[i]![0] - rows[i - 1]![0];
    if (dt > 1e-6) most = Math.max(most, distance(rows[i - 1]!, rows[i]!) / dt);
  }
  return most;
}
