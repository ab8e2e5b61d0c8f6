/**
 * An independent planar model for the tests: rigid links with angles as coordinates (Lagrange's equations with a full
 * mass matrix), each link's drag taken at its middle, integrated by the extrapolation code ODEX (Hairer, Nørsett &
 * Wanner, Solving Ordinary Differential Equations I). It shares nothing with the engine but the physics.
 */
interface OdexSolver {
  absoluteTolerance: number;
  relativeTolerance: number;
  maxSteps: number;
  solve(f: (x: number, y: number[]) => number[], x: number, y: number[], end: number): { y: number[]; outcome: number };
}
// The package's own types are written for an older compiler.
// eslint-disable-next-line @typescript-eslint/no-require-imports
const { Solver } = require('odex') as { Solver: new (n: number) => OdexSolver };

export interface PlanarLink {
  readonly lengthM: number;
  readonly diameterM: number;
  /** With the water it carries along, kg. */
  readonly massKg: number;
  /** Force on the link along the second axis (its weight in water, where that axis points down), N. */
  readonly weightN: number;
}

export interface PlanarCase {
  readonly links: readonly PlanarLink[];
  /** At the end: mass with the water carried, kg; weight, N; Cd·A, m². */
  readonly fly: { readonly massKg: number; readonly weightN: number; readonly dragAreaM2: number };
  /** Uniform stream along the first axis, m/s. */
  readonly u: number;
  readonly cn: number;
  readonly cf: number;
  /** Angle of all links at the start, from the first axis, rad. */
  readonly angle: number;
}

const RHO = 1000;

/** Place of the fly, [first axis, second axis], at each of the times (s, growing). */
export function planarFly(c: PlanarCase, times: readonly number[]): [number, number][] {
  const n = c.links.length;
  const l = c.links.map((k) => k.lengthM);
  // Half of each link's mass at either end.
  const mass = l.map((_, i) => (c.links[i]!.massKg + (c.links[i + 1]?.massKg ?? 0)) / 2);
  mass[n - 1] = mass[n - 1]! + c.fly.massKg;
  const beyond = mass.map((_, i) => mass.slice(i).reduce((a, b) => a + b, 0));

  const rhs = (_t: number, y: number[]): number[] => {
    const th = y.slice(0, n);
    const w = y.slice(n);
    const q = new Array<number>(n).fill(0);
    /** Adds a force at a point that moves with links 0..i−1 wholly and link i by `share`. */
    const push = (fx: number, fz: number, i: number, share: number) => {
      for (let j = 0; j <= i; j++) {
        const arm = l[j]! * (j === i ? share : 1);
        q[j] = q[j]! + arm * (-Math.sin(th[j]!) * fx + Math.cos(th[j]!) * fz);
      }
    };
    let vx = 0;
    let vz = 0;
    for (let i = 0; i < n; i++) {
      const [tx, tz] = [Math.cos(th[i]!), Math.sin(th[i]!)];
      const half = 0.5 * l[i]! * w[i]!;
      const [mx, mz] = [vx - half * tz - c.u, vz + half * tx];
      const along = mx * tx + mz * tz;
      const across = -mx * tz + mz * tx;
      const { diameterM: d, lengthM, weightN } = c.links[i]!;
      const fa = -0.5 * RHO * Math.PI * c.cf * d * lengthM * Math.abs(along) * along;
      const fn = -0.5 * RHO * c.cn * d * lengthM * Math.abs(across) * across;
      push(fa * tx - fn * tz, fa * tz + fn * tx + weightN, i, 0.5);
      vx -= l[i]! * w[i]! * tz;
      vz += l[i]! * w[i]! * tx;
    }
    const slip = Math.hypot(vx - c.u, vz);
    const k = 0.5 * RHO * c.fly.dragAreaM2 * slip;
    push(-k * (vx - c.u), -k * vz + c.fly.weightN, n - 1, 1);
    const m: number[][] = [];
    for (let j = 0; j < n; j++) {
      const row = new Array<number>(n);
      for (let i = 0; i < n; i++) {
        const shared = l[j]! * l[i]! * beyond[Math.max(i, j)]!;
        row[i] = shared * Math.cos(th[j]! - th[i]!);
        q[j] = q[j]! - shared * Math.sin(th[j]! - th[i]!) * w[i]! ** 2;
      }
      m.push(row);
    }
    return [...w, ...solveLinear(m, q)];
  };

  let y: number[] = [...l.map(() => c.angle), ...l.map(() => 0)];
  let t = 0;
  return times.map((end) => {
    const s = new Solver(2 * n);
    s.absoluteTolerance = 1e-6;
    s.relativeTolerance = 1e-6;
    s.maxSteps = 200_000;
    const r = s.solve(rhs, t, y, end);
    if (r.outcome !== 0) throw new Error(`planar: did not integrate to ${end} s`);
    y = r.y;
    t = end;
    return l.reduce<[number, number]>(
      ([x, z], len, i) => [x + len * Math.cos(y[i]!), z + len * Math.sin(y[i]!)],
      [0, 0],
    );
  });
}

function solveLinear(a: number[][], b: number[]): number[] {
  const n = b.length;
  for (let k = 0; k < n; k++) {
    let p = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(a[i]![k]!) > Math.abs(a[p]![k]!)) p = i;
    [a[k], a[p]] = [a[p]!, a[k]!];
    [b[k], b[p]] = [b[p]!, b[k]!];
    for (let i = k + 1; i < n; i++) {
      const f = a[i]![k]! / a[k]![k]!;
      for (let j = k; j < n; j++) a[i]![j] = a[i]![j]! - f * a[k]![j]!;
      b[i] = b[i]! - f * b[k]!;
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let j = i + 1; j < n; j++) b[i] = b[i]! - a[i]![j]! * b[j]!;
    b[i] = b[i]! / a[i]![i]!;
  }
  return b;
}
