import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** A reading of what is to be learned: a value with noise, or "at least" so much. */
export interface Observed {
  readonly x: readonly number[];
  /** Days since some day. */
  readonly day: number;
  readonly y: number;
  readonly atLeast: boolean;
}

/** What is taken for granted: by how much each weight and what is left over may vary. */
export interface Scales {
  /** Spread of the weights against what is believed. */
  readonly weights: number;
  /** Spread of what no feature explains, that lasts for days, and for weeks. */
  readonly days: number;
  readonly weeks: number;
  /** Spread of a reading. */
  readonly noise: number;
}

export interface Prior {
  readonly mean: readonly number[];
  readonly spread: readonly number[];
}

/** How long what is left over lasts. */
const DAYS = 2.5;
const WEEKS = 35;
const SWEEPS = 10;
const DAMP = 0.8;

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, v, i) => sum + v * b[i]!, 0);

/** Covariance of what is learned at two moments (Rasmussen & Williams, Gaussian Processes, 2006, 2.7 and 4.2; from memory). */
const kernel = (prior: Prior, s: Scales) => (a: Pick<Observed, 'x' | 'day'>, b: Pick<Observed, 'x' | 'day'>) => {
  const apart = Math.abs(a.day - b.day);
  const line = a.x.reduce((sum, v, i) => sum + v * b.x[i]! * (s.weights * prior.spread[i]!) ** 2, 0);
  return line + s.days ** 2 * Math.exp(-apart / DAYS) + s.weeks ** 2 * Math.exp(-apart / WEEKS);
};

export interface Belief {
  /** Mean and variance at a moment. */
  readonly at: (x: readonly number[], day: number) => { readonly mean: number; readonly variance: number };
  /** Logarithm of how well what was measured fits. */
  readonly evidence: number;
}

/**
 * What readings teach: a line in the features with what is left over as two Ornstein–Uhlenbeck processes, exact for values,
 * by expectation propagation (Minka 2001; from memory) for "at least".
 */
export function learn(prior: Prior, s: Scales, seen: readonly Observed[]): Belief {
  const k = kernel(prior, s);
  const n = seen.length;
  if (n === 0)
    return {
      at: (x, day) => ({ mean: dot(prior.mean, x), variance: k({ x, day }, { x, day }) }),
      evidence: 0,
    };
  const K = Matrix.zeros(n, n);
  for (let i = 0; i < n; i++)
    for (let j = i; j < n; j++) {
      const v = k(seen[i]!, seen[j]!);
      K.set(i, j, v);
      K.set(j, i, v);
    }
  const centre = seen.map((o) => dot(prior.mean, o.x));
  // Each reading as a Gaussian of its own: precision and precision × value, against what was believed.
  const tau = seen.map((o) => (o.atLeast ? 1e-4 : 1 / s.noise ** 2));
  const nu = seen.map((o, i) => (o.atLeast ? 0 : (o.y - centre[i]!) / s.noise ** 2));
  const censored = seen.some((o) => o.atLeast);
  let solved = solve(K, tau, nu);
  for (let sweep = 0; censored && sweep < SWEEPS; sweep++) {
    seen.forEach((o, i) => {
      if (!o.atLeast) return;
      const variance = Math.max(1e-9, solved.variance(i));
      const cavityPrecision = Math.max(1e-6, 1 / variance - tau[i]!);
      const cavity = 1 / cavityPrecision;
      const mean = cavity * (solved.mean[i]! / variance - nu[i]!);
      const spread = Math.sqrt(cavity + s.noise ** 2);
      const z = (mean - (o.y - centre[i]!)) / spread;
      const ratio = Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI) / Math.max(1e-12, normalCdf(z, 0, 1));
      const tiltedMean = mean + (cavity * ratio) / spread;
      const tilted = Math.max(1e-9, cavity - (cavity / spread) ** 2 * ratio * (z + ratio));
      const toTau = Math.max(1e-6, 1 / tilted - cavityPrecision);
      const toNu = tiltedMean / tilted - mean * cavityPrecision;
      tau[i] = (1 - DAMP) * tau[i]! + DAMP * toTau;
      nu[i] = (1 - DAMP) * nu[i]! + DAMP * toNu;
    });
    solved = solve(K, tau, nu);
  }
  return {
    at: (x, day) => {
      const here = { x, day };
      const across = seen.map((o) => k(here, o));
      const { weights, reduce } = solved;
      return {
        mean: dot(prior.mean, x) + across.reduce((sum, v, i) => sum + v * weights[i]!, 0),
        variance: Math.max(1e-6, k(here, here) - reduce(across)),
      };
    },
    evidence: evidenceOf(K, seen, centre, s.noise),
  };
}

/** Posterior of the readings' own moments for given sites, in the form that bears sites of no weight (Rasmussen & Williams 3.6). */
function solve(K: Matrix, tau: readonly number[], nu: readonly number[]) {
  const n = tau.length;
  const root = tau.map(Math.sqrt);
  const B = Matrix.eye(n, n);
  for (let i = 0; i < n; i++)
    for (let j = i; j < n; j++) {
      const v = B.get(i, j) + root[i]! * root[j]! * K.get(i, j);
      B.set(i, j, v);
      B.set(j, i, v); // to the last digit, or it counts as not symmetric
    }
  const chol = new CholeskyDecomposition(B);
  const inverse = (column: readonly number[]) =>
    chol.solve(Matrix.columnVector(column as number[])).to1DArray() as number[];
  // (K + S⁻¹)⁻¹·v = S½·B⁻¹·S½·v, and Σ = K − K·S½·B⁻¹·S½·K.
  const times = (v: readonly number[]) => inverse(v.map((x, i) => root[i]! * x)).map((x, i) => root[i]! * x);
  const pulled = times(K.mmul(Matrix.columnVector(nu as number[])).to1DArray());
  const weights = nu.map((v, i) => v - pulled[i]!);
  const mean = K.mmul(Matrix.columnVector(weights)).to1DArray() as number[];
  const reduce = (across: readonly number[]) => {
    const t = times(across);
    return across.reduce((sum, v, i) => sum + v * t[i]!, 0);
  };
  const variance = (i: number) => K.get(i, i) - reduce(K.getRow(i)); // dear: only of what is asked
  return { weights, mean, variance, reduce };
}

function evidenceOf(K: Matrix, seen: readonly Observed[], centre: readonly number[], noise: number): number {
  const of = seen.map((o, i) => (o.atLeast ? -1 : i)).filter((i) => i >= 0);
  if (of.length === 0) return 0;
  const M = K.selection(of, of);
  for (let i = 0; i < of.length; i++) M.set(i, i, M.get(i, i) + noise ** 2);
  const chol = new CholeskyDecomposition(M);
  const r = of.map((i) => seen[i]!.y - centre[i]!);
  const solved = chol.solve(Matrix.columnVector(r)).to1DArray();
  const logDet = 2 * chol.lowerTriangularMatrix.diagonal().reduce((sum, v) => sum + Math.log(v), 0);
  return -0.5 * (r.reduce((sum, v, i) => sum + v * solved[i]!, 0) + logDet + of.length * Math.log(2 * Math.PI));
}
