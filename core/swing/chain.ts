/**
 * The chain: lumped masses joined by links, one implicit step at a time.
 *
 * Everything lives in module-level typed arrays and a few small top-level functions, because that is what the
 * JavaScript engine keeps compiled; one chain is alive at a time and `resetChain` starts it afresh, so results do not
 * depend on what ran before. Nothing is allocated within a step.
 *
 * Method (docs/swing.md): variable-step BDF2 with Newton on a block-tridiagonal system. Implicit in Newton: link
 * tension with its geometric stiffness, drag, and the change of weight to buoyancy in the millimetres where the line
 * passes the surface. Frozen for a step at the predicted place: the water's speed, the bed's depth, wetness for drag.
 */
export const MAX_NODES = 400;
const MAX3 = 3 * MAX_NODES;
const f64 = (n: number) => new Float64Array(n);
const { sqrt, abs, hypot, pow, min, max, PI } = Math;

/** Positions and velocities now and one and two steps back, node 0 at the rod tip. */
export const r = f64(MAX3);
export const v = f64(MAX3);
export const r1 = f64(MAX3);
export const v1 = f64(MAX3);
const r2 = f64(MAX3);
const v2 = f64(MAX3);

/** Rest length of link i (between nodes i−1 and i), and what a metre of it weighs and drags. */
export const restLength = f64(MAX_NODES);
export const linkMass = f64(MAX_NODES);
export const linkWeightAir = f64(MAX_NODES);
export const linkWeightWater = f64(MAX_NODES);
export const linkDiameter = f64(MAX_NODES);
/** Upward pull that surface tension can give a metre of this link, N/m (0 for line that does not float). */
export const linkHold = f64(MAX_NODES);
/** Compact bodies at nodes: mass, weight in water and in air, ½ρ·Cd·A. */
export const bodyMass = f64(MAX_NODES);
export const bodyWeightWater = f64(MAX_NODES);
export const bodyWeightAir = f64(MAX_NODES);
export const bodyDrag = f64(MAX_NODES);

// Lumped at nodes, half a link from each side.
const mass = f64(MAX_NODES);
const weightAir = f64(MAX_NODES);
const weightWater = f64(MAX_NODES);
const dragNormal = f64(MAX_NODES);
const dragAlong = f64(MAX_NODES);
const nodeDiameter = f64(MAX_NODES);
const hold = f64(MAX_NODES);

// Frozen for a step.
export const waterU = f64(MAX_NODES);
export const waterV = f64(MAX_NODES);
export const bedDepth = f64(MAX_NODES);
const wetN = f64(MAX_NODES);
const wetA = f64(MAX_NODES);
const bedGrip = f64(MAX_NODES);
const broken = new Uint8Array(MAX_NODES);

// Newton's system.
const upper = f64(9 * MAX_NODES);
const rhs = f64(MAX3);
const histV = f64(MAX3);
const histA = f64(MAX3);

const EA_N = 500; // stiff enough for strains of a few per mille in ordinary swings
const MOST_STRAIN = 0.002; // aimed at where the pull is more than ordinary
const SMOOTH_N = 0.05; // pull over which a link goes from slack to pulling
const SKIN = 0.006; // m: line changes from weight to buoyancy over this height above the surface
const MENISCUS = 0.004; // m: surface tension is fully used when the line hangs this deep
const BREAK = 0.015; // m: deeper than this the surface has closed over the line
const HELD_STIFFNESS = 60; // N/m a metre: line that may not leave the surface
const BED_SHARE = 0.3; // stiffness of the bed a node, N/m, for each newton of EA
const PER_SKIN = 1 / SKIN;
const TINY = 1e-20; // keeps roots and quotients finite
const AIR_DRAG = 0.0012; // density of air over that of water
const LEFT = 0.3; // of what is accepted: estimate of the moves still to come that may be left out
const MOVE_CAP = 0.3; // m: largest move of one node in one Newton step
export const MAX_NEWTON = 12;
const VISCOSITY = 1.3e-6; // m²/s, water of 10 °C; it enters only the Reynolds-dependent drag, to the power 2/3

let n = 0; // last node
let alpha = 0;
let cn = 1.1;
let cf = 0.015;
let reDependent = false;
let held = false;
let rhoHalf = 500;
let friction = 0;
let bottom = true;
let acceptM = 1e-3;
let EA = EA_N;
let smooth = SMOOTH_N / EA_N;
let bed = BED_SHARE * EA_N;

export interface ChainSettings {
  readonly nodes: number;
  readonly cn: number;
  readonly cf: number;
  readonly reDependent: boolean;
  readonly held: boolean;
  readonly rho: number;
  readonly bottom: boolean;
  readonly bedFriction: number;
  /** Largest move of the last Newton step, m. */
  readonly acceptM: number;
  /** The strongest pull to be expected, N: the line is made stiff enough for it. */
  readonly pullN: number;
}

/** Starts a new chain: link and body arrays and `r` must be filled by the caller afterwards. */
export function resetChain(s: ChainSettings): void {
  n = s.nodes - 1;
  cn = s.cn;
  cf = s.cf;
  reDependent = s.reDependent;
  held = s.held;
  rhoHalf = s.rho / 2;
  bottom = s.bottom;
  friction = s.bedFriction;
  acceptM = s.acceptM;
  EA = max(EA_N, s.pullN / MOST_STRAIN);
  smooth = SMOOTH_N / EA;
  bed = BED_SHARE * EA;
  for (const a of [r, v, r1, v1, r2, v2, bodyMass, bodyWeightWater, bodyWeightAir, bodyDrag, wetN, wetA, bedGrip])
    a.fill(0);
  broken.fill(0);
}

export const lastNode = () => n;

/** Gathers links and bodies into the nodes; call after links change. */
export function lump(): void {
  for (let i = 1; i <= n; i++) {
    const a = 0.5 * restLength[i]!;
    const b = i < n ? 0.5 * restLength[i + 1]! : 0;
    const j = i < n ? i + 1 : i;
    mass[i] = a * linkMass[i]! + b * linkMass[j]! + bodyMass[i]!;
    weightAir[i] = a * linkWeightAir[i]! + b * linkWeightAir[j]! + bodyWeightAir[i]!;
    weightWater[i] = a * linkWeightWater[i]! + b * linkWeightWater[j]! + bodyWeightWater[i]!;
    hold[i] = a * linkHold[i]! + b * linkHold[j]!;
    const area = a * linkDiameter[i]! + b * linkDiameter[j]!;
    nodeDiameter[i] = area / (a + b);
    dragNormal[i] = rhoHalf * area;
    dragAlong[i] = rhoHalf * PI * cf * area;
  }
}

/** After a jump in the line's shape (landing, a mend, a link more or less) the next step starts from rest history. */
export function copyHistory(): void {
  r1.set(r);
  r2.set(r);
  v1.set(v);
  v2.set(v);
}

/** Shifts nodes from `i` on by one place outwards, making room for a new node i and link i. */
export function insertNode(i: number, fraction: number): void {
  if (n + 2 > MAX_NODES) throw new RangeError('line: too long for the chain');
  for (const a of [linkMass, linkWeightAir, linkWeightWater, linkDiameter, linkHold]) a.copyWithin(i + 1, i, n + 1);
  for (const a of [bodyMass, bodyWeightWater, bodyWeightAir, bodyDrag, wetN, wetA]) {
    a.copyWithin(i + 1, i, n + 1);
    a[i] = 0;
  }
  broken.copyWithin(i + 1, i, n + 1);
  restLength.copyWithin(i + 1, i, n + 1);
  const whole = restLength[i]!;
  restLength[i] = whole * fraction;
  restLength[i + 1] = whole * (1 - fraction);
  for (const a of [r, v, r1, v1, r2, v2]) {
    a.copyWithin(3 * (i + 1), 3 * i, 3 * (n + 1));
    for (let k = 0; k < 3; k++) {
      const before = a[3 * (i - 1) + k]!;
      a[3 * i + k] = before + fraction * (a[3 * (i + 1) + k]! - before);
    }
  }
  n++;
  lump();
}

/** Takes node i out; its two links become one. */
export function removeNode(i: number): void {
  restLength[i + 1] = restLength[i + 1]! + restLength[i]!;
  for (const a of [restLength, linkMass, linkWeightAir, linkWeightWater, linkDiameter, linkHold])
    a.copyWithin(i, i + 1, n + 1);
  for (const a of [bodyMass, bodyWeightWater, bodyWeightAir, bodyDrag, wetN, wetA]) a.copyWithin(i, i + 1, n + 1);
  broken.copyWithin(i, i + 1, n + 1);
  for (const a of [r, v, r1, v1, r2, v2]) a.copyWithin(3 * i, 3 * (i + 1), 3 * (n + 1));
  n--;
  lump();
}

/** Prepares a step of length h after one of length hPrev: history terms and the predicted place of every node.
 * Returns α, the factor from position to velocity. `second` chooses BDF2, otherwise backward Euler. */
export function predict(h: number, hPrev: number, second: boolean): void {
  const w = h / hPrev;
  const c0 = second ? (1 + 2 * w) / (1 + w) : 1;
  const c1 = second ? -(1 + w) : -1;
  const c2 = second ? (w * w) / (1 + w) : 0;
  alpha = c0 / h;
  for (let k = 3; k < 3 * (n + 1); k++) {
    histV[k] = (c1 * r1[k]! + c2 * r2[k]!) / h;
    histA[k] = (c1 * v1[k]! + c2 * v2[k]!) / h;
    r[k] = r1[k]! + h * v1[k]!;
  }
  // What the surface holds stays at its height: to foresee it in the air or drowned costs iterations.
  for (let i = 1; i <= n; i++) {
    const z = r1[3 * i + 2]!;
    if (hold[i]! > 0 && broken[i] === 0 && z > -SKIN && z < MENISCUS) r[3 * i + 2] = z;
  }
}

/** Fixes wetness, grip on the bed and drag coefficients at the predicted place (waterU, waterV, bedDepth are set). */
export function freeze(): void {
  for (let i = 1; i <= n; i++) {
    const k = 3 * i;
    const z = r[k + 2]!;
    if (z > BREAK) broken[i] = 1;
    else if (z < 0.001) broken[i] = 0;
    const s = (z + SKIN) / SKIN;
    const wet = s <= 0 ? AIR_DRAG : s >= 0.5 ? 1 : AIR_DRAG + (1 - AIR_DRAG) * 2 * s;
    let c = cn;
    if (reDependent) {
      // White, Viscous Fluid Flow: Cn = 1 + 10·Re^(−2/3), held between Re 1 and 2·10^5.
      const slip = hypot(v1[k]! - waterU[i]!, v1[k + 1]! - waterV[i]!, v1[k + 2]!);
      const re = min(2e5, max(1, (slip * nodeDiameter[i]!) / VISCOSITY));
      c = 1 + 10 * pow(re, -2 / 3);
    }
    wetN[i] = wet * c * dragNormal[i]!;
    wetA[i] = wet * dragAlong[i]!;
    const press = bottom ? bed * (r1[k + 2]! - bedDepth[i]!) : 0;
    bedGrip[i] = press > 0 ? (friction * press) / (hypot(v1[k]!, v1[k + 1]!) + 0.03) : 0;
  }
}

/** One Newton step: assembles residual and Jacobian node by node, eliminates in the same sweep, substitutes back.
 * Returns the largest move, m, before it is scaled by `damp`. */
function newtonStep(damp: number): number {
  // Link i: unit vector (tx,ty,tz), tension T, stiffness along kt and across kg.
  let dx = r[3]! - r[0]!;
  let dy = r[4]! - r[1]!;
  let dz = r[5]! - r[2]!;
  let len = sqrt(dx * dx + dy * dy + dz * dz + TINY);
  let perLen = 1 / len;
  let e = len / restLength[1]! - 1;
  let q = sqrt(e * e + smooth * smooth);
  let T = 0.5 * EA * (e + q);
  let kt = T / (q * restLength[1]!);
  let kg = T * perLen;
  let tx = dx * perLen;
  let ty = dy * perLen;
  let tz = dz * perLen;

  for (let i = 1; i <= n; i++) {
    const k = 3 * i;
    const x = r[k]!;
    const y = r[k + 1]!;
    const z = r[k + 2]!;
    let nx = 0;
    let ny = 0;
    let nz = 0;
    let nT = 0;
    let nkt = 0;
    let nkg = 0;
    if (i < n) {
      dx = r[k + 3]! - x;
      dy = r[k + 4]! - y;
      dz = r[k + 5]! - z;
      len = sqrt(dx * dx + dy * dy + dz * dz + TINY);
      perLen = 1 / len;
      e = len / restLength[i + 1]! - 1;
      q = sqrt(e * e + smooth * smooth);
      nT = 0.5 * EA * (e + q);
      nkt = nT / (q * restLength[i + 1]!);
      nkg = nT * perLen;
      nx = dx * perLen;
      ny = dy * perLen;
      nz = dz * perLen;
    }
    // Central tangent for drag.
    let sx = tx + nx;
    let sy = ty + ny;
    let sz = tz + nz;
    const perSum = 1 / sqrt(sx * sx + sy * sy + sz * sz + TINY);
    sx *= perSum;
    sy *= perSum;
    sz *= perSum;

    const vx = alpha * x + histV[k]!;
    const vy = alpha * y + histV[k + 1]!;
    const vz = alpha * z + histV[k + 2]!;
    const wx = vx - waterU[i]!;
    const wy = vy - waterV[i]!;
    const wz = vz;
    const along = wx * sx + wy * sy + wz * sz;
    const ax = wx - along * sx;
    const ay = wy - along * sy;
    const az = wz - along * sz;
    const across = sqrt(ax * ax + ay * ay + az * az + TINY);
    const cN = wetN[i]!;
    const cA = wetA[i]! * abs(along);
    const isoN = cN * across;
    const m = mass[i]!;
    // Bodies: ½ρ·CdA·|w| and its derivative's second part.
    let cB = bodyDrag[i]!;
    let g = 0;
    if (cB > 0) {
      const speed = sqrt(wx * wx + wy * wy + wz * wz + TINY);
      g = cB / speed;
      cB *= speed;
    }

    // Weight, from air to water over the skin; the surface's hold; the bed.
    const sk = (z + SKIN) * PER_SKIN;
    let phi = 1;
    let dphi = 0;
    if (sk <= 0) phi = 0;
    else if (sk < 1) {
      phi = sk * sk * (3 - 2 * sk);
      dphi = 6 * sk * (1 - sk) * PER_SKIN;
    }
    const dw = weightWater[i]! - weightAir[i]!;
    let fz = weightAir[i]! + dw * phi;
    let kz = -dw * dphi;
    if (hold[i]! > 0 && z > 0) {
      if (held) {
        fz -= HELD_STIFFNESS * hold[i]! * z;
        kz += HELD_STIFFNESS * hold[i]!;
      } else if (broken[i] === 0) {
        const s = z / MENISCUS;
        if (s >= 1) fz -= hold[i]!;
        else {
          fz -= hold[i]! * s * s * (3 - 2 * s);
          kz += (hold[i]! * 6 * s * (1 - s)) / MENISCUS;
        }
      }
    }
    if (bottom && z > bedDepth[i]!) {
      fz -= bed * (z - bedDepth[i]!);
      kz += bed;
    }
    const grip = bedGrip[i]!;
    const slide = cA * along;

    // Residual (inertia minus forces).
    let ra = m * (alpha * vx + histA[k]!) + isoN * ax + slide * sx + cB * wx + grip * vx;
    let rb = m * (alpha * vy + histA[k + 1]!) + isoN * ay + slide * sy + cB * wy + grip * vy;
    let rc = m * (alpha * vz + histA[k + 2]!) + isoN * az + slide * sz + cB * wz - fz;
    ra += T * tx - nT * nx;
    rb += T * ty - nT * ny;
    rc += T * tz - nT * nz;

    // Diagonal block.
    const p = cN / across;
    const al2 = 2 * cA - isoN;
    const iso = m * alpha * alpha + alpha * (isoN + cB);
    const d1 = kt - kg;
    const d2 = nkt - nkg;
    let b00 = iso + alpha * (p * ax * ax + g * wx * wx + al2 * sx * sx + grip) + kg + nkg + d1 * tx * tx + d2 * nx * nx;
    let b11 = iso + alpha * (p * ay * ay + g * wy * wy + al2 * sy * sy + grip) + kg + nkg + d1 * ty * ty + d2 * ny * ny;
    let b22 = iso + alpha * (p * az * az + g * wz * wz + al2 * sz * sz) + kg + nkg + d1 * tz * tz + d2 * nz * nz + kz;
    let b01 = alpha * (p * ax * ay + g * wx * wy + al2 * sx * sy) + d1 * tx * ty + d2 * nx * ny;
    let b02 = alpha * (p * ax * az + g * wx * wz + al2 * sx * sz) + d1 * tx * tz + d2 * nx * nz;
    let b12 = alpha * (p * ay * az + g * wy * wz + al2 * sy * sz) + d1 * ty * tz + d2 * ny * nz;
    // Link i joins this node to the one before: take out A·(what was eliminated there). A = −K_i, symmetric.
    let b10 = b01;
    let b20 = b02;
    let b21 = b12;
    if (i > 1) {
      const a00 = -(kg + d1 * tx * tx);
      const a11 = -(kg + d1 * ty * ty);
      const a22 = -(kg + d1 * tz * tz);
      const a01 = -d1 * tx * ty;
      const a02 = -d1 * tx * tz;
      const a12 = -d1 * ty * tz;
      const o = 9 * (i - 1);
      const u0 = upper[o]!;
      const u1 = upper[o + 1]!;
      const u2 = upper[o + 2]!;
      const u3 = upper[o + 3]!;
      const u4 = upper[o + 4]!;
      const u5 = upper[o + 5]!;
      const u6 = upper[o + 6]!;
      const u7 = upper[o + 7]!;
      const u8 = upper[o + 8]!;
      b00 -= a00 * u0 + a01 * u3 + a02 * u6;
      b01 -= a00 * u1 + a01 * u4 + a02 * u7;
      b02 -= a00 * u2 + a01 * u5 + a02 * u8;
      b10 -= a01 * u0 + a11 * u3 + a12 * u6;
      b11 -= a01 * u1 + a11 * u4 + a12 * u7;
      b12 -= a01 * u2 + a11 * u5 + a12 * u8;
      b20 -= a02 * u0 + a12 * u3 + a22 * u6;
      b21 -= a02 * u1 + a12 * u4 + a22 * u7;
      b22 -= a02 * u2 + a12 * u5 + a22 * u8;
      const pa = rhs[k - 3]!;
      const pb = rhs[k - 2]!;
      const pc = rhs[k - 1]!;
      ra += a00 * pa + a01 * pb + a02 * pc;
      rb += a01 * pa + a11 * pb + a12 * pc;
      rc += a02 * pa + a12 * pb + a22 * pc;
    }
    // Inverse of the 3×3 block. rhs holds −x with x the eliminated unknown; signs below follow dr = −B⁻¹·(R + …).
    const i00 = b11 * b22 - b12 * b21;
    const i01 = b02 * b21 - b01 * b22;
    const i02 = b01 * b12 - b02 * b11;
    const i10 = b12 * b20 - b10 * b22;
    const i11 = b00 * b22 - b02 * b20;
    const i12 = b02 * b10 - b00 * b12;
    const i20 = b10 * b21 - b11 * b20;
    const i21 = b01 * b20 - b00 * b21;
    const i22 = b00 * b11 - b01 * b10;
    const det = 1 / (b00 * i00 + b01 * i10 + b02 * i20);
    rhs[k] = -det * (i00 * ra + i01 * rb + i02 * rc);
    rhs[k + 1] = -det * (i10 * ra + i11 * rb + i12 * rc);
    rhs[k + 2] = -det * (i20 * ra + i21 * rb + i22 * rc);
    if (i < n) {
      const c00 = -(nkg + d2 * nx * nx);
      const c11 = -(nkg + d2 * ny * ny);
      const c22 = -(nkg + d2 * nz * nz);
      const c01 = -d2 * nx * ny;
      const c02 = -d2 * nx * nz;
      const c12 = -d2 * ny * nz;
      const o = 9 * i;
      upper[o] = det * (i00 * c00 + i01 * c01 + i02 * c02);
      upper[o + 1] = det * (i00 * c01 + i01 * c11 + i02 * c12);
      upper[o + 2] = det * (i00 * c02 + i01 * c12 + i02 * c22);
      upper[o + 3] = det * (i10 * c00 + i11 * c01 + i12 * c02);
      upper[o + 4] = det * (i10 * c01 + i11 * c11 + i12 * c12);
      upper[o + 5] = det * (i10 * c02 + i11 * c12 + i12 * c22);
      upper[o + 6] = det * (i20 * c00 + i21 * c01 + i22 * c02);
      upper[o + 7] = det * (i20 * c01 + i21 * c11 + i22 * c12);
      upper[o + 8] = det * (i20 * c02 + i21 * c12 + i22 * c22);
    }
    T = nT;
    kt = nkt;
    kg = nkg;
    tx = nx;
    ty = ny;
    tz = nz;
  }
  return substitute(damp);
}

/** Back substitution and the capped update of `r`; returns the largest move. */
function substitute(damp: number): number {
  let largest = 0;
  let px = 0;
  let py = 0;
  let pz = 0;
  for (let i = n; i >= 1; i--) {
    const k = 3 * i;
    let x = rhs[k]!;
    let y = rhs[k + 1]!;
    let z = rhs[k + 2]!;
    if (i < n) {
      const o = 9 * i;
      x -= upper[o]! * px + upper[o + 1]! * py + upper[o + 2]! * pz;
      y -= upper[o + 3]! * px + upper[o + 4]! * py + upper[o + 5]! * pz;
      z -= upper[o + 6]! * px + upper[o + 7]! * py + upper[o + 8]! * pz;
    }
    px = x;
    py = y;
    pz = z;
    const move = sqrt(x * x + y * y + z * z);
    if (move > largest) largest = move;
    const f = damp * (move > MOVE_CAP ? MOVE_CAP / move : 1);
    r[k] = r[k]! + f * x;
    r[k + 1] = r[k + 1]! + f * y;
    r[k + 2] = r[k + 2]! + f * z;
  }
  return largest;
}

/** Newton to convergence; returns the number of iterations, negative when it did not converge. */
export function solve(): number {
  let before = Infinity;
  let stuck = 0;
  let damp = 1;
  for (let it = 1; it <= MAX_NEWTON; it++) {
    const move = newtonStep(damp);
    if (!(move < 1e6)) return -it;
    if (move < acceptM) return it;
    // Moves shrink by a steady factor near the end: accept when what is left to move is small enough already.
    const shrink = move / before;
    if (it > 1 && shrink < 0.3 && (move * shrink) / (1 - shrink) < LEFT * acceptM) return it;
    // To and fro over a kink (surface, slack link): half a move gets off it, or the step is too long.
    damp = 1;
    if (it > 2 && shrink > 0.9) {
      if (++stuck > 2) return -it;
      damp = 0.5;
    }
    before = move;
  }
  return -MAX_NEWTON;
}

/** Takes the converged place as the new present. */
export function accept(): void {
  for (let k = 3; k < 3 * (n + 1); k++) v[k] = alpha * r[k]! + histV[k]!;
  const end = 3 * (n + 1);
  for (let k = 0; k < end; k++) {
    r2[k] = r1[k]!;
    r1[k] = r[k]!;
    v2[k] = v1[k]!;
    v1[k] = v[k]!;
  }
}

/** Tension in link i, N. */
export function tension(i: number): number {
  const e = linkStrain(i);
  return 0.5 * EA * (e + sqrt(e * e + smooth * smooth));
}

/** Strain of link i: negative when slack. */
export function linkStrain(i: number): number {
  const k = 3 * i;
  const dx = r[k]! - r[k - 3]!;
  const dy = r[k + 1]! - r[k - 2]!;
  const dz = r[k + 2]! - r[k - 1]!;
  return sqrt(dx * dx + dy * dy + dz * dz) / restLength[i]! - 1;
}
