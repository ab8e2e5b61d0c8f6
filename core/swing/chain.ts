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
const perRestLength = f64(MAX_NODES);
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
/** Where a node begins to be wetted, m below the surface (negative: above), and one over how far on it is immersed. */
const wetFrom = f64(MAX_NODES);
const perWet = f64(MAX_NODES);

// Frozen for a step.
export const waterU = f64(MAX_NODES);
export const waterV = f64(MAX_NODES);
export const bedDepth = f64(MAX_NODES);
const wetN = f64(MAX_NODES);
const wetA = f64(MAX_NODES);
const bedGrip = f64(MAX_NODES);
/** How far a node pressed into the bed when the last step ended, m; 0 where it did not. */
const sunk = f64(MAX_NODES);
const broken = new Uint8Array(MAX_NODES);

// Newton's system: of each node its residual and block, then what is found for it and the block's inverse; of each link
// its tension (an unknown of its own), that in the last linearisation, its stiffness along and across, its direction.
const residual = f64(MAX3);
const block = f64(6 * MAX_NODES);
const pull = f64(MAX_NODES);
const pull1 = f64(MAX_NODES);
const pullAt = f64(MAX_NODES);
const along = f64(MAX_NODES);
const across = f64(MAX_NODES);
const direction = f64(MAX3);
const histV = f64(MAX3);
const histA = f64(MAX3);

const EA_N = 500; // stiff enough for strains of a few per mille in ordinary swings
const MOST_STRAIN = 0.002; // aimed at where the pull is more than ordinary
const SMOOTH_N = 0.05; // pull over which a link goes from slack to pulling
const SKIN = 0.006; // m: line changes from weight to buoyancy over this height above the surface
const MENISCUS = 0.004; // m: surface tension is fully used when the line hangs this deep
const BREAK = 0.015; // m: deeper than this the surface has closed over the line
const HELD_STIFFNESS = 60; // N/m a metre: line that may not leave the surface
const BED_SHARE = 0.1; // stiffness of the bed a node, N/m, for each newton of EA
const BED_SKIN = 0.002; // m: over which the bed takes hold
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
let give = 0; // stiffness of the rod's tip, N/m, in which the first link is hung; 0: it gives nothing
/** T − EA·e − soft/T = 0 is the law of a link: pulls like a spring, and hardly at all when slack. */
const soft = (SMOOTH_N / 2) ** 2;
const LEAST_OF_LAW = 0.1; // share of a stretched spring's tension below which a link's own is not let
const LEAST_PULL = 0.1; // share of its tension that a link keeps in one Newton step, when it goes slack
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
  /** Stiffness of the rod's tip, N/m; 0: it gives nothing. */
  readonly tipStiffnessNpm: number;
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
  bed = BED_SHARE * EA;
  give = s.tipStiffnessNpm;
  for (const a of [r, v, r1, v1, r2, v2, bodyMass, bodyWeightWater, bodyWeightAir, bodyDrag, wetN, wetA, bedGrip, sunk])
    a.fill(0);
  pull1.fill(SMOOTH_N / 2);
  broken.fill(0);
  wetFrom.fill(-SKIN);
  perWet.fill(PER_SKIN);
}

/** A node with something that stands out of the water is wetted over its height: the share of a ball under water at a draught s
 * of its diameter is s²·(3 − 2s), which is how weight goes over to buoyancy here (spherical cap). */
export function wettedOver(i: number, fromM: number, heightM: number): void {
  wetFrom[i] = fromM;
  perWet[i] = 1 / heightM;
}

export const lastNode = () => n;

/** Gathers links and bodies into the nodes; call after links change. */
export function lump(): void {
  for (let i = 1; i <= n; i++) {
    perRestLength[i] = 1 / restLength[i]!;
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
  pull1.fill(SMOOTH_N / 2);
  r1.set(r);
  r2.set(r);
  v1.set(v);
  v2.set(v);
}

/** Shifts nodes from `i` on by one place outwards, making room for a new node i and link i. */
export function insertNode(i: number, fraction: number): void {
  if (n + 2 > MAX_NODES) throw new RangeError('line: too long for the chain');
  for (const a of [linkMass, linkWeightAir, linkWeightWater, linkDiameter, linkHold]) a.copyWithin(i + 1, i, n + 1);
  for (const a of [bodyMass, bodyWeightWater, bodyWeightAir, bodyDrag, wetN, wetA, sunk, wetFrom, perWet]) {
    a.copyWithin(i + 1, i, n + 1);
    a[i] = 0;
  }
  wettedOver(i, -SKIN, SKIN);
  broken.copyWithin(i + 1, i, n + 1);
  restLength.copyWithin(i + 1, i, n + 1);
  pull1.copyWithin(i + 1, i, n + 1);
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
  for (const a of [restLength, pull1, linkMass, linkWeightAir, linkWeightWater, linkDiameter, linkHold])
    a.copyWithin(i, i + 1, n + 1);
  for (const a of [bodyMass, bodyWeightWater, bodyWeightAir, bodyDrag, wetN, wetA, sunk, wetFrom, perWet])
    a.copyWithin(i, i + 1, n + 1);
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
  for (let i = 1; i <= n; i++) pull[i] = pull1[i]!;
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
    // What lay on the bed is foreseen on it: from above or deep inside, the kink of contact costs iterations.
    if (sunk[i]! > 0) r[k + 2] = bedDepth[i]! + sunk[i]!;
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
    const d = sunk[i]!;
    const press = bedPush(d);
    bedGrip[i] = press > 0 ? (friction * press) / (hypot(v1[k]!, v1[k + 1]!) + 0.03) : 0;
  }
}

/**
 * One Newton step, in four sweeps over the chain: links, nodes, elimination, substitution.
 *
 * Tensions are unknowns of their own beside the places, tied to the stretch of their link by T − EA·e − soft/T = 0
 * (an interior-point form, after Wright, Primal-Dual Interior-Point Methods, 1997): a link that goes slack or comes
 * tight is then found in one or two steps, where Newton on T(e) runs to and fro over the kink.
 *
 * The matrix is symmetric: blocks B on the diagonal, and beside it −K with K = kg·1 + (kt − kg)·t·tᵀ of the link.
 *
 * @returns the largest move, m, before it is scaled by `damp`
 */
function newtonStep(damp: number): number {
  linearLinks();
  linearNodes();
  eliminate();
  return substitute(damp);
}

/** Direction, tension and stiffness of every link. */
function linearLinks(): void {
  const stiffness = EA; // numbers of the module are read once: the engine would look them up each time
  const last = n;
  let ofLink = give > 0 ? Math.min(stiffness, give * restLength[1]!) : stiffness; // the first hangs in the rod's tip
  let x = r[0]!;
  let y = r[1]!;
  let z = r[2]!;
  for (let i = 1; i <= last; i++) {
    const k = 3 * i;
    const dx = r[k]! - x;
    const dy = r[k + 1]! - y;
    const dz = r[k + 2]! - z;
    x = r[k]!;
    y = r[k + 1]!;
    z = r[k + 2]!;
    const len = sqrt(dx * dx + dy * dy + dz * dz + TINY);
    const perLen = 1 / len;
    const perRest = perRestLength[i]!;
    const e = ofLink * (len * perRest - 1);
    const p = max(pull[i]!, LEAST_OF_LAW * e);
    const square = p * p;
    const per = 1 / (square + soft);
    pullAt[i] = p - (p * (square - soft) - e * square) * per;
    along[i] = ofLink * square * per * perRest;
    ofLink = stiffness;
    across[i] = p * perLen;
    direction[k] = dx * perLen;
    direction[k + 1] = dy * perLen;
    direction[k + 2] = dz * perLen;
  }
}

/** Residual (inertia and drag minus forces) and diagonal block of every node. */
function linearNodes(): void {
  const perStep = alpha;
  const last = n;
  let tx = direction[3]!;
  let ty = direction[4]!;
  let tz = direction[5]!;
  let T = pullAt[1]!;
  let kg = across[1]!;
  let d1 = along[1]! - kg;
  for (let i = 1; i <= last; i++) {
    const k = 3 * i;
    const o = 6 * i;
    // The link outwards; nothing beyond the last node.
    const nx = i < last ? direction[k + 3]! : 0;
    const ny = i < last ? direction[k + 4]! : 0;
    const nz = i < last ? direction[k + 5]! : 0;
    const nT = i < last ? pullAt[i + 1]! : 0;
    const nkg = i < last ? across[i + 1]! : 0;
    const d2 = i < last ? along[i + 1]! - nkg : 0;
    const m = mass[i]!;
    const vx = perStep * r[k]! + histV[k]!;
    const vy = perStep * r[k + 1]! + histV[k + 1]!;
    const vz = perStep * r[k + 2]! + histV[k + 2]!;
    const grip = bedGrip[i]!;
    let ra = m * (perStep * vx + histA[k]!) + grip * vx + T * tx - nT * nx;
    let rb = m * (perStep * vy + histA[k + 1]!) + grip * vy + T * ty - nT * ny;
    let rc = m * (perStep * vz + histA[k + 2]!) + T * tz - nT * nz;
    const stiff = perStep * perStep * m + kg + nkg;
    let b00 = stiff + perStep * grip + d1 * tx * tx + d2 * nx * nx;
    let b11 = stiff + perStep * grip + d1 * ty * ty + d2 * ny * ny;
    let b22 = stiff + d1 * tz * tz + d2 * nz * nz;
    let b01 = d1 * tx * ty + d2 * nx * ny;
    let b02 = d1 * tx * tz + d2 * nx * nz;
    let b12 = d1 * ty * tz + d2 * ny * nz;

    // Drag, with the central tangent.
    let sx = tx + nx;
    let sy = ty + ny;
    let sz = tz + nz;
    const perSum = 1 / sqrt(sx * sx + sy * sy + sz * sz + TINY);
    sx *= perSum;
    sy *= perSum;
    sz *= perSum;
    const wx = vx - waterU[i]!;
    const wy = vy - waterV[i]!;
    const slip = wx * sx + wy * sy + vz * sz;
    const ax = wx - slip * sx;
    const ay = wy - slip * sy;
    const az = vz - slip * sz;
    const broadside = sqrt(ax * ax + ay * ay + az * az + TINY);
    const iso = wetN[i]! * broadside;
    const cA = wetA[i]! * abs(slip);
    const slide = cA * slip;
    ra += iso * ax + slide * sx;
    rb += iso * ay + slide * sy;
    rc += iso * az + slide * sz;
    const turn = perStep * (2 * cA - iso);
    const p = (perStep * wetN[i]!) / broadside;
    b00 += perStep * iso + p * ax * ax + turn * sx * sx;
    b11 += perStep * iso + p * ay * ay + turn * sy * sy;
    b22 += perStep * iso + p * az * az + turn * sz * sz;
    b01 += p * ax * ay + turn * sx * sy;
    b02 += p * ax * az + turn * sx * sz;
    b12 += p * ay * az + turn * sy * sz;
    // Bodies: ½ρ·CdA·|w|·w.
    const cB = bodyDrag[i]!;
    if (cB > 0) {
      const speed = sqrt(wx * wx + wy * wy + vz * vz + TINY);
      const f = cB * speed;
      const g = (perStep * cB) / speed;
      ra += f * wx;
      rb += f * wy;
      rc += f * vz;
      b00 += perStep * f + g * wx * wx;
      b11 += perStep * f + g * wy * wy;
      b22 += perStep * f + g * vz * vz;
      b01 += g * wx * wy;
      b02 += g * wx * vz;
      b12 += g * wy * vz;
    }
    upAndDown(i, r[k + 2]!);
    residual[k] = ra;
    residual[k + 1] = rb;
    residual[k + 2] = rc - vertical[0]!;
    block[o] = b00;
    block[o + 1] = b01;
    block[o + 2] = b02;
    block[o + 3] = b11;
    block[o + 4] = b12;
    block[o + 5] = b22 + vertical[1]!;
    tx = nx;
    ty = ny;
    tz = nz;
    T = nT;
    kg = nkg;
    d1 = d2;
  }
}

/** What the bed gives against a node that has sunk into it by d, N. */
const bedPush = (d: number): number => (d < BED_SKIN ? (bed * d * d) / (2 * BED_SKIN) : bed * (d - BED_SKIN / 2));

const vertical = f64(2); // not two numbers of the module: those would be boxed at every write

/** Force down on node i at depth z, and how fast it falls with depth, into `vertical`: weight, from air to
 * water over the skin; the surface's hold; the bed. */
function upAndDown(i: number, z: number): void {
  const per = perWet[i]!;
  const sk = (z - wetFrom[i]!) * per;
  let f = weightAir[i]!;
  let k = 0;
  if (sk >= 1) f = weightWater[i]!;
  else if (sk > 0) {
    const dw = weightWater[i]! - f;
    f += dw * sk * sk * (3 - 2 * sk);
    k = -6 * dw * sk * (1 - sk) * per;
  }
  const h = hold[i]!;
  if (h > 0 && z > 0) {
    if (held) {
      f -= HELD_STIFFNESS * h * z;
      k += HELD_STIFFNESS * h;
    } else if (broken[i] === 0) {
      const s = z / MENISCUS;
      if (s >= 1) f -= h;
      else {
        f -= h * s * s * (3 - 2 * s);
        k += (h * 6 * s * (1 - s)) / MENISCUS;
      }
    }
  }
  const into = bottom ? z - bedDepth[i]! : 0;
  if (into > 0) {
    f -= bedPush(into);
    k += into < BED_SKIN ? (bed * into) / BED_SKIN : bed;
  }
  vertical[0] = f;
  vertical[1] = k;
}

/** From the rod outwards: takes each node out of the next, B −= K·Q·K and R −= K·p, with Q the inverse of its block and
 * p what is found for it. */
function eliminate(): void {
  const last = n;
  let q00 = 0;
  let q01 = 0;
  let q02 = 0;
  let q11 = 0;
  let q12 = 0;
  let q22 = 0;
  let pa = 0;
  let pb = 0;
  let pc = 0;
  for (let i = 1; i <= last; i++) {
    const k = 3 * i;
    const o = 6 * i;
    let ra = residual[k]!;
    let rb = residual[k + 1]!;
    let rc = residual[k + 2]!;
    let b00 = block[o]!;
    let b01 = block[o + 1]!;
    let b02 = block[o + 2]!;
    let b11 = block[o + 3]!;
    let b12 = block[o + 4]!;
    let b22 = block[o + 5]!;
    if (i > 1) {
      const tx = direction[k]!;
      const ty = direction[k + 1]!;
      const tz = direction[k + 2]!;
      const kg = across[i]!;
      const d = along[i]! - kg;
      const hx = q00 * tx + q01 * ty + q02 * tz;
      const hy = q01 * tx + q11 * ty + q12 * tz;
      const hz = q02 * tx + q12 * ty + q22 * tz;
      const kk = kg * kg;
      // K·Q·K = kg²·Q + kg·d·(t·hᵀ + h·tᵀ) + d²·(t·h)·t·tᵀ, the last two as one product of t with w.
      const half = 0.5 * d * d * (tx * hx + ty * hy + tz * hz);
      const wx = kg * d * hx + half * tx;
      const wy = kg * d * hy + half * ty;
      const wz = kg * d * hz + half * tz;
      b00 -= kk * q00 + 2 * tx * wx;
      b11 -= kk * q11 + 2 * ty * wy;
      b22 -= kk * q22 + 2 * tz * wz;
      b01 -= kk * q01 + tx * wy + ty * wx;
      b02 -= kk * q02 + tx * wz + tz * wx;
      b12 -= kk * q12 + ty * wz + tz * wy;
      const tp = d * (tx * pa + ty * pb + tz * pc);
      ra -= kg * pa + tp * tx;
      rb -= kg * pb + tp * ty;
      rc -= kg * pc + tp * tz;
    }
    const c00 = b11 * b22 - b12 * b12;
    const c01 = b02 * b12 - b01 * b22;
    const c02 = b01 * b12 - b02 * b11;
    const det = 1 / (b00 * c00 + b01 * c01 + b02 * c02);
    q00 = det * c00;
    q01 = det * c01;
    q02 = det * c02;
    q11 = det * (b00 * b22 - b02 * b02);
    q12 = det * (b01 * b02 - b00 * b12);
    q22 = det * (b00 * b11 - b01 * b01);
    pa = -(q00 * ra + q01 * rb + q02 * rc);
    pb = -(q01 * ra + q11 * rb + q12 * rc);
    pc = -(q02 * ra + q12 * rb + q22 * rc);
    residual[k] = pa;
    residual[k + 1] = pb;
    residual[k + 2] = pc;
    block[o] = q00;
    block[o + 1] = q01;
    block[o + 2] = q02;
    block[o + 3] = q11;
    block[o + 4] = q12;
    block[o + 5] = q22;
  }
}

/** Back substitution, the capped update of `r`, and of the tensions by it; returns the largest move. */
function substitute(damp: number): number {
  const last = n;
  let largest = 0;
  // Move of the node outwards as found, and as it was made.
  let x = 0;
  let y = 0;
  let z = 0;
  let mx = 0;
  let my = 0;
  let mz = 0;
  for (let i = last; i >= 1; i--) {
    const k = 3 * i;
    let px = residual[k]!;
    let py = residual[k + 1]!;
    let pz = residual[k + 2]!;
    if (i < last) {
      const kg = across[i + 1]!;
      const tx = direction[k + 3]!;
      const ty = direction[k + 4]!;
      const tz = direction[k + 5]!;
      const d = (along[i + 1]! - kg) * (tx * x + ty * y + tz * z);
      const ux = kg * x + d * tx;
      const uy = kg * y + d * ty;
      const uz = kg * z + d * tz;
      const o = 6 * i;
      const q01 = block[o + 1]!;
      const q02 = block[o + 2]!;
      const q12 = block[o + 4]!;
      px += block[o]! * ux + q01 * uy + q02 * uz;
      py += q01 * ux + block[o + 3]! * uy + q12 * uz;
      pz += q02 * ux + q12 * uy + block[o + 5]! * uz;
    }
    x = px;
    y = py;
    z = pz;
    const move = sqrt(x * x + y * y + z * z);
    if (move > largest) largest = move;
    const f = damp * (move > MOVE_CAP ? MOVE_CAP / move : 1);
    px *= f;
    py *= f;
    pz *= f;
    if (i < last) pullFollows(i + 1, mx - px, my - py, mz - pz);
    mx = px;
    my = py;
    mz = pz;
    r[k] = r[k]! + px;
    r[k + 1] = r[k + 1]! + py;
    r[k + 2] = r[k + 2]! + pz;
  }
  pullFollows(1, mx, my, mz);
  return largest;
}

/** The tension of link i after its ends have moved apart by a vector, by the last linearisation; it stays above 0. */
function pullFollows(i: number, x: number, y: number, z: number): void {
  const k = 3 * i;
  const next = pullAt[i]! + along[i]! * (direction[k]! * x + direction[k + 1]! * y + direction[k + 2]! * z);
  pull[i] = max(next, LEAST_PULL * pull[i]!);
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
  const perStep = alpha;
  const last = n;
  for (let i = 1; i <= last; i++) {
    pull1[i] = pull[i]!;
    sunk[i] = bottom ? max(0, r[3 * i + 2]! - bedDepth[i]!) : 0;
  }
  const end = 3 * (last + 1);
  for (let k = 0; k < end; k++) {
    const speed = k < 3 ? 0 : perStep * r[k]! + histV[k]!;
    v[k] = speed;
    r2[k] = r1[k]!;
    r1[k] = r[k]!;
    v2[k] = v1[k]!;
    v1[k] = speed;
  }
}

/** Tension in link i, N. */
export const tension = (i: number): number => pull[i]!;

/** Strain of link i: negative when slack. */
function linkStrain(i: number): number {
  const k = 3 * i;
  const dx = r[k]! - r[k - 3]!;
  const dy = r[k + 1]! - r[k - 2]!;
  const dz = r[k + 2]! - r[k - 1]!;
  return sqrt(dx * dx + dy * dy + dz * dz) / restLength[i]! - 1;
}

/** Strain of the link that is stretched most; what the rod's tip gives is none. */
export function largestStrain(): number {
  let most = 0;
  for (let i = give > 0 ? 2 : 1; i <= n; i++) most = max(most, linkStrain(i));
  return most;
}
