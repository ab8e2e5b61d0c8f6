/**
 * Newton on one step of the chain, in two sweeps: from the rod outwards each node is linearised together with the link
 * beyond it and taken out of the next node; on the way back the moves are put in.
 *
 * Tensions are unknowns of their own beside the places, tied to the stretch of their link by T − EA·e − soft/T = 0
 * (an interior-point form, after Wright, Primal-Dual Interior-Point Methods, 1997): a link that goes slack or comes
 * tight is then found in one or two steps, where Newton on T(e) runs to and fro over the kink.
 *
 * The matrix is symmetric: blocks B on the diagonal, and beside it −K with K = kg·1 + (kt − kg)·t·tᵀ of the link.
 */
import * as chain from './chain';
import * as tolerances from './tolerances';

// Bound once: the application's bundler makes a look-up in a table of every use of an import. What a sweep uses it binds once
// more, or the engine would look each array up at every use.
const { bedDepth, bedPush, bedStiffnessAt, broken, drag, perRestLength, perWet, pull, r, state, steady, stiff, still } =
  chain;
const { weight, wetFrom } = chain;
const { HELD_STIFFNESS, LEAST_OF_LAW, LEAST_PULL, LEFT, MAX_NEWTON, MOVE_CAP, SMOOTH_N, TINY } = tolerances;
const { abs, min, sqrt } = Math;

const EACH = 6;
/** Of link i at 6i, as it was linearised: tension, stiffness along it less that across, that across, direction. */
const links = new Float64Array(EACH * chain.MAX_NODES);
/** Of node i at 6i: the inverse of its block, 00, 01, 02, 11, 12, 22; and at 3i what is found for it. */
const inverse = new Float64Array(EACH * chain.MAX_NODES);
const found = new Float64Array(3 * chain.MAX_NODES);

/** T − EA·e − soft/T = 0 is the law of a link: pulls like a spring, and hardly at all when slack. */
const SOFT = (SMOOTH_N / 2) ** 2;

/** Linearises links and nodes at the present place and eliminates, from the rod outwards: B −= K·Q·K and R −= K·p, with Q the
 * inverse of the block before and p what is found for it. */
function outwards(): void {
  const place = r;
  const at = links;
  const inv = inverse;
  const out = found;
  const fixed = steady;
  const slip = still;
  const inertia = stiff;
  const drags = drag;
  const weights = weight;
  const perRest = perRestLength;
  const tension = pull;
  const from = wetFrom;
  const per = perWet;
  const bed = bedDepth;
  const { last, alpha, stiffness, held, bottom, tipStiffness, meniscus } = state;

  let ofLink = tipStiffness > 0 ? min(stiffness, tipStiffness / perRest[1]!) : stiffness; // the first hangs in the rod's tip
  let x = place[0]!;
  let y = place[1]!;
  let z = place[2]!;
  // The link inwards of the node: direction, tension, stiffness across, and along less across.
  let tx = 0;
  let ty = 0;
  let tz = 0;
  let T = 0;
  let kg = 0;
  let d1 = 0;
  // Of the node before: Q and p.
  let q00 = 0;
  let q01 = 0;
  let q02 = 0;
  let q11 = 0;
  let q12 = 0;
  let q22 = 0;
  let pa = 0;
  let pb = 0;
  let pc = 0;
  for (let i = 0; i <= last; i++) {
    const k = 3 * i;
    const o = EACH * i;
    // The link outwards; nothing beyond the last node.
    let nx = 0;
    let ny = 0;
    let nz = 0;
    let nT = 0;
    let nkg = 0;
    let d2 = 0;
    const zHere = z;
    const xHere = x;
    const yHere = y;
    if (i < last) {
      x = place[k + 3]!;
      y = place[k + 4]!;
      z = place[k + 5]!;
      const dx = x - xHere;
      const dy = y - yHere;
      const dz = z - zHere;
      const len = sqrt(dx * dx + dy * dy + dz * dz + TINY);
      const perLen = 1 / len;
      const perM = perRest[i + 1]!;
      const e = ofLink * (len * perM - 1);
      const own = tension[i + 1]!;
      const least = LEAST_OF_LAW * e;
      const p = own > least ? own : least;
      const square = p * p;
      const perLaw = 1 / (square + SOFT);
      nx = dx * perLen;
      ny = dy * perLen;
      nz = dz * perLen;
      nT = p - (p * (square - SOFT) - e * square) * perLaw;
      nkg = p * perLen;
      d2 = ofLink * square * perLaw * perM - nkg;
      ofLink = stiffness;
      at[o + 6] = nT;
      at[o + 7] = d2;
      at[o + 8] = nkg;
      at[o + 9] = nx;
      at[o + 10] = ny;
      at[o + 11] = nz;
    }
    if (i > 0) {
      // Inertia, grip on the bed, both links; and what the nodes before leave of it.
      const hx = q00 * tx + q01 * ty + q02 * tz;
      const hy = q01 * tx + q11 * ty + q12 * tz;
      const hz = q02 * tx + q12 * ty + q22 * tz;
      const left = T - d1 * (tx * pa + ty * pb + tz * pc);
      const heavy = inertia[2 * i]!;
      const heavyZ = inertia[2 * i + 1]!;
      let ra = heavy * xHere + fixed[k]! + left * tx - kg * pa - nT * nx;
      let rb = heavy * yHere + fixed[k + 1]! + left * ty - kg * pb - nT * ny;
      let rc = heavyZ * zHere + fixed[k + 2]! + left * tz - kg * pc - nT * nz;
      // K·Q·K = kg²·Q + kg·d·(t·hᵀ + h·tᵀ) + d²·(t·h)·t·tᵀ; with d·t·tᵀ of the link itself one product of t with e.
      const both = kg + nkg;
      const kk = kg * kg;
      const mix = kg * d1;
      const half = 0.5 * d1 * (1 - d1 * (tx * hx + ty * hy + tz * hz));
      const ex = half * tx - mix * hx;
      const ey = half * ty - mix * hy;
      const ez = half * tz - mix * hz;
      const mx = d2 * nx;
      const my = d2 * ny;
      let b00 = heavy + both - kk * q00 + 2 * tx * ex + mx * nx;
      let b11 = heavy + both - kk * q11 + 2 * ty * ey + my * ny;
      let b22 = heavyZ + both - kk * q22 + 2 * tz * ez + d2 * nz * nz;
      let b01 = tx * ey + ty * ex - kk * q01 + mx * ny;
      let b02 = tx * ez + tz * ex - kk * q02 + mx * nz;
      let b12 = ty * ez + tz * ey - kk * q12 + my * nz;

      // Drag, with the central tangent.
      let sx = tx + nx;
      let sy = ty + ny;
      let sz = tz + nz;
      const perSum = 1 / sqrt(sx * sx + sy * sy + sz * sz + TINY);
      sx *= perSum;
      sy *= perSum;
      sz *= perSum;
      const wx = alpha * xHere + slip[k]!;
      const wy = alpha * yHere + slip[k + 1]!;
      const wz = alpha * zHere + slip[k + 2]!;
      const slides = wx * sx + wy * sy + wz * sz;
      const ax = wx - slides * sx;
      const ay = wy - slides * sy;
      const az = wz - slides * sz;
      const broadside = sqrt(ax * ax + ay * ay + az * az + TINY);
      const cN = drags[k]!;
      const cA = drags[k + 1]! * abs(slides);
      const iso = cN * broadside;
      const slide = cA * slides;
      ra += iso * ax + slide * sx;
      rb += iso * ay + slide * sy;
      rc += iso * az + slide * sz;
      const turn = alpha * (2 * cA - iso);
      const p = (alpha * cN) / broadside;
      const alike = alpha * iso;
      const ux = p * ax;
      const uy = p * ay;
      const vx = turn * sx;
      const vy = turn * sy;
      b00 += alike + ux * ax + vx * sx;
      b11 += alike + uy * ay + vy * sy;
      b22 += alike + p * az * az + turn * sz * sz;
      b01 += ux * ay + vx * sy;
      b02 += ux * az + vx * sz;
      b12 += uy * az + vy * sz;
      // Bodies: ½ρ·CdA·|w|·w.
      const cB = drags[k + 2]!;
      if (cB > 0) {
        const speed = sqrt(wx * wx + wy * wy + wz * wz + TINY);
        const f = cB * speed;
        const g = (alpha * cB) / speed;
        ra += f * wx;
        rb += f * wy;
        rc += f * wz;
        b00 += alpha * f + g * wx * wx;
        b11 += alpha * f + g * wy * wy;
        b22 += alpha * f + g * wz * wz;
        b01 += g * wx * wy;
        b02 += g * wx * wz;
        b12 += g * wy * wz;
      }
      // Weight, from air to water over the skin; the surface's hold; the bed.
      const wet = (zHere - from[i]!) * per[i]!;
      if (wet >= 1) rc -= weights[k + 1]!;
      else {
        rc -= weights[k]!;
        if (wet > 0) {
          const loss = weights[k + 1]! - weights[k]!;
          rc -= loss * wet * wet * (3 - 2 * wet);
          b22 -= 6 * loss * wet * (1 - wet) * per[i]!;
        }
      }
      const hold = weights[k + 2]!;
      if (hold > 0 && zHere > 0) {
        if (held) {
          rc += HELD_STIFFNESS * hold * zHere;
          b22 += HELD_STIFFNESS * hold;
        } else if (broken[i] === 0) {
          const s = zHere / meniscus;
          if (s >= 1) rc += hold;
          else {
            rc += hold * s * s * (3 - 2 * s);
            b22 += (hold * 6 * s * (1 - s)) / meniscus;
          }
        }
      }
      const into = bottom ? zHere - bed[i]! : 0;
      if (into > 0) {
        rc += bedPush(into);
        b22 += bedStiffnessAt(into);
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
      out[k] = pa;
      out[k + 1] = pb;
      out[k + 2] = pc;
      inv[o] = q00;
      inv[o + 1] = q01;
      inv[o + 2] = q02;
      inv[o + 3] = q11;
      inv[o + 4] = q12;
      inv[o + 5] = q22;
    }
    tx = nx;
    ty = ny;
    tz = nz;
    T = nT;
    kg = nkg;
    d1 = d2;
  }
}

/**
 * Back substitution, the capped update of `r`, and of the tensions by it.
 *
 * @param damp share of the moves that is made
 * @returns the largest move, m, before it is damped
 */
function inwards(damp: number): number {
  const place = r;
  const at = links;
  const inv = inverse;
  const out = found;
  const tension = pull;
  const last = state.last;
  let largest = 0;
  // Move of the node outwards as found, and as it was made.
  let x = 0;
  let y = 0;
  let z = 0;
  let mx = 0;
  let my = 0;
  let mz = 0;
  for (let i = last; i >= 0; i--) {
    const k = 3 * i;
    const o = EACH * i;
    let px = 0;
    let py = 0;
    let pz = 0;
    if (i > 0) {
      px = out[k]!;
      py = out[k + 1]!;
      pz = out[k + 2]!;
      if (i < last) {
        const d = at[o + 7]!;
        const kg = at[o + 8]!;
        const tx = at[o + 9]!;
        const ty = at[o + 10]!;
        const tz = at[o + 11]!;
        const s = d * (tx * x + ty * y + tz * z);
        const ux = kg * x + s * tx;
        const uy = kg * y + s * ty;
        const uz = kg * z + s * tz;
        const q01 = inv[o + 1]!;
        const q02 = inv[o + 2]!;
        const q12 = inv[o + 4]!;
        px += inv[o]! * ux + q01 * uy + q02 * uz;
        py += q01 * ux + inv[o + 3]! * uy + q12 * uz;
        pz += q02 * ux + q12 * uy + inv[o + 5]! * uz;
      }
      x = px;
      y = py;
      z = pz;
      const square = x * x + y * y + z * z;
      let f = damp;
      if (square > largest) largest = square;
      if (square > MOVE_CAP * MOVE_CAP) f *= MOVE_CAP / sqrt(square);
      px *= f;
      py *= f;
      pz *= f;
      place[k] = place[k]! + px;
      place[k + 1] = place[k + 1]! + py;
      place[k + 2] = place[k + 2]! + pz;
    }
    if (i < last) {
      // The tension of the link outwards, by the same linearisation; it stays above 0.
      const apart = at[o + 9]! * (mx - px) + at[o + 10]! * (my - py) + at[o + 11]! * (mz - pz);
      const next = at[o + 6]! + (at[o + 7]! + at[o + 8]!) * apart;
      const least = LEAST_PULL * tension[i + 1]!;
      tension[i + 1] = next > least ? next : least;
    }
    mx = px;
    my = py;
    mz = pz;
  }
  return x === x ? sqrt(largest) : NaN; // what is no number anywhere is none at the first node
}

/** Newton to convergence from the predicted place; returns the number of iterations, negative when it did not converge. */
export function solve(): number {
  const { acceptM } = state;
  let before = Infinity;
  let stuck = 0;
  let damp = 1;
  for (let it = 1; it <= MAX_NEWTON; it++) {
    outwards();
    const move = inwards(damp);
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
