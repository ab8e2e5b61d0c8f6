/**
 * The chain: lumped masses joined by links. Here is its state; a step of it stands in step.ts, its equations in newton.ts.
 *
 * Everything lives in typed arrays of the module, because that is what the JavaScript engine keeps compiled; one chain is
 * alive at a time and `resetChain` starts it afresh, so results do not depend on what ran before. Nothing is allocated
 * within a step. What belongs together lies in threes (of node i at 3i): fewer arrays are read faster.
 */
import { Refusal } from '../refusal';
import * as tolerances from './tolerances';

const { BED_SHARE, BED_SKIN, BLUR, CLOSES, EA_N, MENISCUS, MOST_STRAIN, SKIN, SMOOTH_N } = tolerances;

export const MAX_NODES = 400;
const MAX3 = 3 * MAX_NODES;
const f64 = (n: number) => new Float64Array(n);
const { max, PI } = Math;

/** Positions and velocities now and one and two steps back, node 0 at the rod tip. */
export const r = f64(MAX3);
export const v = f64(MAX3);
export const r1 = f64(MAX3);
export const v1 = f64(MAX3);
export const r2 = f64(MAX3);
export const v2 = f64(MAX3);

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

/** Lumped at nodes, half a link from each side: mass, drag across and along when wetted, diameter. */
export const mass = f64(MAX_NODES);
export const dragNormal = f64(MAX_NODES);
export const dragAlong = f64(MAX_NODES);
export const nodeDiameter = f64(MAX_NODES);
/** … weight in air and in water, and the most by which the surface holds it up, N. */
export const weight = f64(MAX3);
/** Where a node begins to be wetted, m below the surface (negative: above), and one over how far on it is immersed. */
export const wetFrom = f64(MAX_NODES);
export const perWet = f64(MAX_NODES);

/** How far a node pressed into the bed when the last step ended, m; 0 where it did not. */
export const sunk = f64(MAX_NODES);
/** Whether the surface has closed over a node. */
export const broken = new Uint8Array(MAX_NODES);
/** Tension of link i now and one step back, N. */
export const pull = f64(MAX_NODES);
export const pull1 = f64(MAX_NODES);

/** One over the rest length of link i. */
export const perRestLength = f64(MAX_NODES);

// Frozen for a step: the water and the bed at the predicted place; what Newton reads of node i: at 3i the forces that do not
// depend on its place, its speed through the water but for α times its place, and its drag across, along and as a body; at 2i
// what inertia and the bed's grip resist a metre of place, level and upright.
export const waterU = f64(MAX_NODES);
export const waterV = f64(MAX_NODES);
export const bedDepth = f64(MAX_NODES);
export const steady = f64(MAX3);
export const still = f64(MAX3);
export const drag = f64(MAX3);
export const stiff = f64(2 * MAX_NODES);

interface ChainSettings {
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

/** Of the chain that is alive: its settings, its last node, the stiffness EA of its line, that of its bed a node, and α. What may have
 * a fraction begins with one: else the engine would take it for a whole number, and make its code anew. */
export const state = {
  last: 0,
  cn: 1.1,
  cf: 0.015,
  reDependent: false,
  held: false,
  rhoHalf: 500,
  bottom: true,
  friction: 0.5,
  acceptM: 1e-3,
  stiffness: EA_N + 0.5,
  bed: BED_SHARE * EA_N + 0.5,
  tipStiffness: 0.5,
  /** The factor from place to velocity in this step, 1/s. */
  alpha: 0.5,
  /** As in tolerances.ts, rounded to what places are found to, m. */
  skin: 0.006,
  meniscus: 0.004,
  closes: 0.015,
};

/** Starts a new chain: link and body arrays and `r` must be filled by the caller afterwards. */
export function resetChain(s: ChainSettings): void {
  const stiffness = max(EA_N, s.pullN / MOST_STRAIN);
  // The surface is no sharper than places are found: else a coarse chain runs to and fro through it.
  const blur = max(1, (BLUR * s.acceptM) / MENISCUS);
  Object.assign(state, {
    last: s.nodes - 1,
    cn: s.cn,
    cf: s.cf,
    reDependent: s.reDependent,
    held: s.held,
    rhoHalf: s.rho / 2,
    bottom: s.bottom,
    friction: s.bedFriction,
    acceptM: s.acceptM,
    stiffness,
    bed: BED_SHARE * stiffness,
    tipStiffness: s.tipStiffnessNpm,
    skin: SKIN * blur,
    meniscus: MENISCUS * blur,
    closes: CLOSES * blur,
  });
  for (const a of [r, v, r1, v1, r2, v2, bodyMass, bodyWeightWater, bodyWeightAir, bodyDrag, sunk]) a.fill(0);
  pull1.fill(SMOOTH_N / 2);
  broken.fill(0);
  wetFrom.fill(-state.skin);
  perWet.fill(1 / state.skin);
}

/** A node with something that stands out of the water is wetted over its height: the share of a ball under water at a draught s
 * of its diameter is s²·(3 − 2s), which is how weight goes over to buoyancy here (spherical cap). */
export function wettedOver(i: number, fromM: number, heightM: number): void {
  wetFrom[i] = fromM;
  perWet[i] = 1 / heightM;
}

export const lastNode = () => state.last;

/** Gathers links and bodies into the nodes; call after links change. */
export function lump(): void {
  const { last: n, rhoHalf, cf } = state;
  for (let i = 1; i <= n; i++) {
    perRestLength[i] = 1 / restLength[i]!;
    const a = 0.5 * restLength[i]!;
    const b = i < n ? 0.5 * restLength[i + 1]! : 0;
    const j = i < n ? i + 1 : i;
    mass[i] = a * linkMass[i]! + b * linkMass[j]! + bodyMass[i]!;
    weight[3 * i] = a * linkWeightAir[i]! + b * linkWeightAir[j]! + bodyWeightAir[i]!;
    weight[3 * i + 1] = a * linkWeightWater[i]! + b * linkWeightWater[j]! + bodyWeightWater[i]!;
    weight[3 * i + 2] = a * linkHold[i]! + b * linkHold[j]!;
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
  const n = state.last;
  if (n + 2 > MAX_NODES) throw new Refusal({ code: 'no case', field: 'line', must: 'too long for the chain' });
  for (const a of [linkMass, linkWeightAir, linkWeightWater, linkDiameter, linkHold]) a.copyWithin(i + 1, i, n + 1);
  for (const a of [bodyMass, bodyWeightWater, bodyWeightAir, bodyDrag, sunk, wetFrom, perWet]) {
    a.copyWithin(i + 1, i, n + 1);
    a[i] = 0;
  }
  wettedOver(i, -state.skin, state.skin);
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
  state.last = n + 1;
  lump();
}

/** Takes node i out; its two links become one. */
export function removeNode(i: number): void {
  const n = state.last;
  restLength[i + 1] = restLength[i + 1]! + restLength[i]!;
  for (const a of [restLength, pull1, linkMass, linkWeightAir, linkWeightWater, linkDiameter, linkHold])
    a.copyWithin(i, i + 1, n + 1);
  for (const a of [bodyMass, bodyWeightWater, bodyWeightAir, bodyDrag, sunk, wetFrom, perWet])
    a.copyWithin(i, i + 1, n + 1);
  broken.copyWithin(i, i + 1, n + 1);
  for (const a of [r, v, r1, v1, r2, v2]) a.copyWithin(3 * i, 3 * (i + 1), 3 * (n + 1));
  state.last = n - 1;
  lump();
}

/** What the bed gives against a node that has sunk into it by d, N. */
export const bedPush = (d: number): number =>
  d < BED_SKIN ? (state.bed * d * d) / (2 * BED_SKIN) : state.bed * (d - BED_SKIN / 2);

/** … and how fast that grows, N/m. */
export const bedStiffnessAt = (d: number): number => (d < BED_SKIN ? (state.bed * d) / BED_SKIN : state.bed);
