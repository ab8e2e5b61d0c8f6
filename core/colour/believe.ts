import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { cholesky } from '../maths/cholesky';

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
  const K = seen.map((a, i) => seen.map((b, j) => (j <= i ? k(a, b) : 0)));
  K.forEach((row, i) => row.forEach((v, j) => j < i && (K[j]![i] = v)));
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

type Rows = readonly (readonly number[])[];

/** Posterior of the readings' own moments for given sites, in the form that bears sites of no weight (Rasmussen & Williams 3.6). */
function solve(K: Rows, tau: readonly number[], nu: readonly number[]) {
  const root = tau.map(Math.sqrt);
  const lower = K.map((row, i) => row.slice(0, i + 1).map((v, j) => root[i]! * root[j]! * v + (i === j ? 1 : 0)));
  const B = cholesky(lower);
  // (K + S⁻¹)⁻¹·v = S½·B⁻¹·S½·v, and Σ = K − K·S½·B⁻¹·S½·K.
  const times = (v: readonly number[]) => B.solve(v.map((x, i) => root[i]! * x)).map((x, i) => root[i]! * x);
  const pulled = times(K.map((row) => dot(row, nu)));
  const weights = nu.map((v, i) => v - pulled[i]!);
  const mean = K.map((row) => dot(row, weights));
  const reduce = (across: readonly number[]) => dot(across, times(across));
  const variance = (i: number) => K[i]![i]! - reduce(K[i]!); // dear: only of what is asked
  return { weights, mean, variance, reduce };
}

function evidenceOf(K: Rows, seen: readonly Observed[], centre: readonly number[], noise: number): number {
  const of = seen.map((o, i) => (o.atLeast ? -1 : i)).filter((i) => i >= 0);
  if (of.length === 0) return 0;
  const M = cholesky(of.map((i) => of.map((j) => K[i]![j]! + (i === j ? noise ** 2 : 0))));
  const r = of.map((i) => seen[i]!.y - centre[i]!);
  return -0.5 * (dot(r, M.solve(r)) + M.logDet + of.length * Math.log(2 * Math.PI));
}
