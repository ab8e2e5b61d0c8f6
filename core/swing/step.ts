/** One implicit step of the chain (docs/swing.md): variable-step BDF2. Implicit in Newton: link tension with its geometric
 * stiffness, drag, and the change of weight to buoyancy in the millimetres where the line passes the surface. Frozen for a step at
 * the predicted place: the water's speed, the bed's depth, wetness for drag. */
import * as chain from './chain';

// Bound once, as in swing.ts.
const { bedDepth, bedPush, bodyDrag, broken, drag, dragAlong, dragNormal, mass, nodeDiameter, pull, pull1 } = chain;
const { perRestLength, r, r1, r2, state, steady, stiff, still, sunk, v, v1, v2, waterU, waterV, weight } = chain;
const { hypot, max, min, pow, sqrt } = Math;

const histV = new Float64Array(r.length);
const histA = new Float64Array(r.length);

const AIR_DRAG = 0.0012; // density of air over that of water
const VISCOSITY = 1.3e-6; // m²/s, water of 10 °C; it enters only the Reynolds-dependent drag, to the power 2/3

/** Prepares a step of length h after one of length hPrev: history terms and the predicted place of every node.
 * `second` chooses BDF2, otherwise backward Euler. */
export function predict(h: number, hPrev: number, second: boolean): void {
  const place = r;
  const x1 = r1;
  const x2 = r2;
  const u1 = v1;
  const u2 = v2;
  const speeds = histV;
  const accelerations = histA;
  const weights = weight;
  const shut = broken;
  const tension = pull;
  const tension1 = pull1;
  const { last, skin, meniscus } = state;
  const w = h / hPrev;
  state.alpha = (second ? (1 + 2 * w) / (1 + w) : 1) / h;
  const c1 = (second ? -(1 + w) : -1) / h;
  const c2 = (second ? (w * w) / (1 + w) : 0) / h;
  for (let k = 3; k < 3 * (last + 1); k++) {
    speeds[k] = c1 * x1[k]! + c2 * x2[k]!;
    accelerations[k] = c1 * u1[k]! + c2 * u2[k]!;
    place[k] = x1[k]! + h * u1[k]!;
  }
  for (let i = 1; i <= last; i++) {
    const k = 3 * i + 2;
    const z = x1[k]!;
    tension[i] = tension1[i]!;
    // What the surface holds stays at its height: to foresee it in the air or drowned costs iterations.
    if (weights[k]! > 0 && shut[i] === 0 && z > -skin && z < meniscus) place[k] = z;
  }
}

/** Fixes wetness, grip on the bed and drag coefficients at the predicted place (waterU, waterV, bedDepth are set). */
export function freeze(): void {
  const place = r;
  const speed1 = v1;
  const speeds = histV;
  const accelerations = histA;
  const masses = mass;
  const across = dragNormal;
  const along = dragAlong;
  const body = bodyDrag;
  const into = sunk;
  const shut = broken;
  const u = waterU;
  const w = waterV;
  const bed = bedDepth;
  const drags = drag;
  const inertia = stiff;
  const fixed = steady;
  const slip = still;
  const { last, alpha, cn, friction, reDependent, skin, closes } = state;
  for (let i = 1; i <= last; i++) {
    const k = 3 * i;
    const deep = into[i]!;
    // What lay on the bed is foreseen on it: from above or deep inside, the kink of contact costs iterations.
    if (deep > 0) place[k + 2] = bed[i]! + deep;
    const z = place[k + 2]!;
    if (z > closes) shut[i] = 1;
    else if (z < 0.001) shut[i] = 0;
    const s = (z + skin) / skin;
    const wet = s <= 0 ? AIR_DRAG : s >= 0.5 ? 1 : AIR_DRAG + (1 - AIR_DRAG) * 2 * s;
    drags[k] = wet * (reDependent ? dragCoefficient(i) : cn) * across[i]!;
    drags[k + 1] = wet * along[i]!;
    drags[k + 2] = body[i]!;
    const grip = deep > 0 ? (friction * bedPush(deep)) / (sqrt(speed1[k]! ** 2 + speed1[k + 1]! ** 2) + 0.03) : 0;
    const m = masses[i]!;
    const hx = speeds[k]!;
    const hy = speeds[k + 1]!;
    const hz = speeds[k + 2]!;
    inertia[2 * i] = alpha * (alpha * m + grip);
    inertia[2 * i + 1] = alpha * alpha * m;
    fixed[k] = m * (alpha * hx + accelerations[k]!) + grip * hx;
    fixed[k + 1] = m * (alpha * hy + accelerations[k + 1]!) + grip * hy;
    fixed[k + 2] = m * (alpha * hz + accelerations[k + 2]!);
    slip[k] = hx - u[i]!;
    slip[k + 1] = hy - w[i]!;
    slip[k + 2] = hz;
  }
}

/** White, Viscous Fluid Flow: Cn = 1 + 10·Re^(−2/3), held between Re 1 and 2·10^5. */
function dragCoefficient(i: number): number {
  const k = 3 * i;
  const slip = hypot(v1[k]! - waterU[i]!, v1[k + 1]! - waterV[i]!, v1[k + 2]!);
  return 1 + 10 * pow(min(2e5, max(1, (slip * nodeDiameter[i]!) / VISCOSITY)), -2 / 3);
}

/** Takes the converged place as the new present. */
export function accept(): void {
  const place = r;
  const speed = v;
  const speeds = histV;
  const x1 = r1;
  const x2 = r2;
  const u1 = v1;
  const u2 = v2;
  const into = sunk;
  const bed = bedDepth;
  const tension = pull;
  const tension1 = pull1;
  const { last, alpha, bottom } = state;
  for (let i = 1; i <= last; i++) {
    tension1[i] = tension[i]!;
    const deep = bottom ? place[3 * i + 2]! - bed[i]! : 0;
    into[i] = deep > 0 ? deep : 0;
  }
  const end = 3 * (last + 1);
  for (let k = 0; k < end; k++) {
    const now = k < 3 ? 0 : alpha * place[k]! + speeds[k]!;
    speed[k] = now;
    x2[k] = x1[k]!;
    x1[k] = place[k]!;
    u2[k] = u1[k]!;
    u1[k] = now;
  }
}

/** Strain of the link that is stretched most; what the rod's tip gives is none. */
export function largestStrain(): number {
  const place = r;
  const perRest = perRestLength;
  let most = 0;
  for (let i = state.tipStiffness > 0 ? 2 : 1; i <= state.last; i++) {
    const k = 3 * i;
    const dx = place[k]! - place[k - 3]!;
    const dy = place[k + 1]! - place[k - 2]!;
    const dz = place[k + 2]! - place[k - 1]!;
    const strain = sqrt(dx * dx + dy * dy + dz * dz) * perRest[i]! - 1;
    if (strain > most) most = strain;
  }
  return most;
}
