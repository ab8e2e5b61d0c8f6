import RAPIER from '@dimforge/rapier3d-compat';
import type { FlumeCast } from '@/core/practice';
import { flumeCase } from '@/core/practice/curve';
import { NUMERICS, type Numerics, runSwing, type SwingCase } from '@/core/swing';
import { cutLine } from '@/core/swing/cut';
import { INCH_M } from '@/core/units';
import { profileFactor, sample, sampleWater } from '@/core/water';

import { table, time } from './table';

/** Held floater, no bed: what a general engine can be asked without teaching it surface tension. */
const CASES: readonly SwingCase[] = (
  [
    {},
    { u: 0.5 },
    { u: 1.3, angleDeg: 60 },
    { rateMps: 3 * INCH_M },
    { angleDeg: 45 },
    { fly: 'leadEye' },
  ] as FlumeCast[]
).map((o) => ({ ...flumeCase({ ...o, depthM: 20, floatRule: 'held' }), tEndS: 20 }));

const G = 9.80665;

interface Setup {
  readonly dt: number;
  readonly iterations: number;
  readonly cut: 'full' | 'screen';
  /** Mass of each node over its true mass: light nodes on long ropes do not converge. */
  readonly massTimes: number;
}

/** Where the fly is, x, y and depth, at each of TIMES_S. */
type Track = (readonly [number, number, number])[];
const TIMES_S = [2, 4, 8, 12, 16];

/** The swing by rope joints between points; drag is implicit in each point's own velocity, as it must be at such steps. */
function ropeSwing(c: SwingCase, { dt, iterations, cut, massTimes }: Setup): Track {
  const links = cutLine(c.line, NUMERICS[cut]);
  const world = new RAPIER.World({ x: 0, y: 0, z: 0 });
  world.timestep = dt;
  world.integrationParameters.numSolverIterations = iterations;
  const rod = world.createRigidBody(RAPIER.RigidBodyDesc.fixed().setTranslation(0, 0, 0));
  const angle = (c.cast.angleDeg * Math.PI) / 180;
  const n = links.length;
  const nodes: RAPIER.RigidBody[] = [];
  const mass = new Float64Array(n);
  const weight = new Float64Array(n);
  const normal = new Float64Array(n);
  const along = new Float64Array(n);
  const held = new Uint8Array(n);
  let out = 0;
  const { rho } = c.water;
  links.forEach((l, i) => {
    for (const half of [i - 1, i]) {
      if (half < 0) continue;
      const s = c.line[l.section]!;
      const area = (Math.PI / 4) * s.diameterM ** 2;
      const m = l.lengthM / 2;
      mass[half] = mass[half]! + (s.weightNpm / G + 2 * rho * area) * m;
      weight[half] = weight[half]! + s.weightNpm * m;
      normal[half] = normal[half]! + 0.5 * rho * c.drag.cn * s.diameterM * m;
      along[half] = along[half]! + 0.5 * rho * Math.PI * c.drag.cf * s.diameterM * m;
      if (s.kind === 'float') held[half] = 1;
    }
  });
  const fly = c.bodies[0]!;
  mass[n - 1] = mass[n - 1]! + 2 * fly.massKg - fly.massInWaterKg;
  weight[n - 1] = weight[n - 1]! + fly.massInWaterKg * G;
  let before = rod;
  links.forEach((l, i) => {
    out += l.lengthM;
    const desc = RAPIER.RigidBodyDesc.dynamic()
      .setTranslation(out * Math.cos(angle), out * Math.sin(angle), 0)
      .setAdditionalMass(mass[i]! * massTimes)
      .lockRotations();
    if (held[i]) desc.enabledTranslations(true, true, false);
    const node = world.createRigidBody(desc);
    const zero = { x: 0, y: 0, z: 0 };
    world.createImpulseJoint(RAPIER.JointData.rope(l.lengthM, zero, zero), before, node, true);
    nodes.push(node);
    before = node;
  });
  const track: Track = [];
  for (let t = 0; track.length < TIMES_S.length; t += dt) {
    for (let i = 0; i < n; i++) {
      const p = nodes[i]!.translation();
      const a = i === 0 ? rod.translation() : nodes[i - 1]!.translation();
      const b = nodes[Math.min(n - 1, i + 1)]!.translation();
      const len = Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z) || 1;
      const tx = (b.x - a.x) / len;
      const ty = (b.y - a.y) / len;
      const tz = (b.z - a.z) / len;
      sampleWater(c.water.grid, p.x, p.y);
      const f = profileFactor(c.water.profile, p.z, sample.h);
      const v = nodes[i]!.linvel();
      let sx = v.x - sample.u * f;
      let sy = v.y - sample.v * f;
      let sz = v.z + (dt * weight[i]!) / (mass[i]! * massTimes);
      const s = sx * tx + sy * ty + sz * tz;
      const across = Math.hypot(sx - s * tx, sy - s * ty, sz - s * tz);
      const body = i === n - 1 ? 0.5 * rho * fly.dragAreaM2 * Math.hypot(sx, sy, sz) : 0;
      const m = mass[i]! * massTimes;
      const kn = 1 / (1 + (dt * (normal[i]! * across + body)) / m);
      const ka = 1 / (1 + (dt * (along[i]! * Math.abs(s) + body)) / m);
      sx = kn * (sx - s * tx) + ka * s * tx;
      sy = kn * (sy - s * ty) + ka * s * ty;
      sz = kn * (sz - s * tz) + ka * s * tz;
      nodes[i]!.setLinvel({ x: sx + sample.u * f, y: sy + sample.v * f, z: held[i] ? 0 : sz }, true);
    }
    world.step();
    const { x, y, z } = nodes[n - 1]!.translation();
    if (t + dt >= TIMES_S[track.length]! - 1e-9) track.push([x, y, z]);
  }
  world.free();
  return track;
}

const median = (v: readonly number[]) => [...v].sort((a, b) => a - b)[Math.floor(v.length / 2)]!;

const ourTrack = (c: SwingCase, num: Numerics): Track => {
  const { series } = runSwing(c, num);
  return TIMES_S.map((t) => [1, 2, 3].map((k) => series[9 * Math.round(10 * t) + k]!) as unknown as Track[0]);
};

/** Largest error of a swing, %: depths against the deepest of them, places against the line's length. */
function errorOf(c: SwingCase, got: Track, truth: Track): number {
  const deepest = Math.max(...truth.map((p) => p[2]));
  const lengthM = c.line.reduce((s, l) => s + l.lengthM, 0);
  const off = got.map((p, i) => {
    const q = truth[i]!;
    return Math.max(Math.abs(p[2] - q[2]) / deepest, Math.hypot(p[0] - q[0], p[1] - q[1]) / lengthM);
  });
  return 100 * Math.max(...off);
}

/** The same swings by a general 3D physics engine with rope joints, over its steps and iterations, against ours. */
export async function benchRapier(): Promise<void> {
  await RAPIER.init();
  const truth = CASES.map((c) => ourTrack(c, NUMERICS.fine));
  const error = (tracks: readonly Track[]) => median(CASES.map((c, i) => errorOf(c, tracks[i]!, truth[i]!)));
  const rows: [string, number, number, number][] = (['full', 'screen'] as const).map((name) => {
    const tracks = CASES.map((c) => ourTrack(c, NUMERICS[name])); // warm
    const ms = median(CASES.map((c) => time(7, () => void runSwing(c, NUMERICS[name])).median));
    return [`ours, ${name}`, ms, 1, error(tracks)];
  });
  const ours = rows[1]![1];
  rows[0]![2] = rows[0]![1] / ours;
  for (const massTimes of [1, 3, 5, 10])
    for (const cut of ['full', 'screen'] as const)
      for (const dt of [0.05, 0.02, 0.01])
        for (const iterations of [4, 16]) {
          const tracks: Track[] = [];
          const swing = (c: SwingCase) => tracks.push(ropeSwing(c, { dt, iterations, cut, massTimes }));
          const ms = median(CASES.map((c) => time(1, () => void swing(c)).median));
          rows.push([
            `ropes, ${cut} cut, mass ×${massTimes}, ${dt} s, ${iterations} its`,
            ms,
            ms / ours,
            error(tracks),
          ]);
        }
  table(
    `A general 3D engine with rope joints, ${CASES.length} cases with a held floater, 20 s`,
    ['set-up', 'median ms', 'over ours', 'error % median'],
    rows,
  );
  const ropes = rows.slice(2);
  const good = ropes.filter((r) => r[3] <= 5).sort((a, b) => a[1] - b[1])[0];
  const best = good ?? ropes.sort((a, b) => a[3] - b[3])[0]!;
  console.log(
    `${good ? 'Its fastest at 5 %' : 'None reaches 5 %; its best'}: ${best[0]}, ${best[2].toFixed(0)} times ours.`,
  );
}
