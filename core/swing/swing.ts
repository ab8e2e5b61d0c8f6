import { isWithin, radians } from '../maths';
import { Refusal } from '../refusal';
import { G } from '../units';
import { sample, sampleWater } from '../water/grid';
import { fastProfile } from '../water/profile';
import * as chain from './chain';
import { checkCase, strongestPull } from './check';
import { cutAtBodies, cutLine, NUMERICS } from './cut';
import { handsDoneS } from './fishing';
import { landedLine, slopeOf } from './landing';
import * as newton from './newton';
import { type Recorder, recorder } from './recorder';
import { cornerTimes, moveTip, nextCorner, rodTipAt, swayTip } from './rod';
import { valueAt } from './schedule';
import * as stepping from './step';
import { summarise } from './summary';
import * as tolerances from './tolerances';
import type { HangWork, Numerics, SwingCase, SwingResult, SwingWater } from './types';

// Bound once: the application's bundler makes a look-up in a table of every use of an import.
const {
  bedDepth,
  bodyDrag,
  bodyMass,
  bodyWeightAir,
  bodyWeightWater,
  copyHistory,
  insertNode,
  lastNode,
  linkDiameter,
  linkHold,
  linkMass,
  linkWeightAir,
  linkWeightWater,
  lump,
  MAX_NODES,
  r,
  removeNode,
  resetChain,
  restLength,
  v,
  waterU,
  waterV,
  wettedOver,
} = chain;
const { accept, freeze, largestStrain, predict } = stepping;
const { solve } = newton;
const { CAREFUL_STEPS, FIRST_STEP_S, GROW, HANGING_STEP_S, MIN_STEP_S } = tolerances;
const { MOST_TOLERANT, ROUGH_BED_M, ROUGH_STEP_S, ROUGH_STRAIN } = tolerances;
const here = sample;
const readAt = sampleWater;

/** Pull of the surface on a clean floating line, N/m (up to 2γ = 0.14; Keller 1998; Vella, Lee & Kim 2006). */
const CLEAN_HOLD_N_M = 0.1;
/** Under the bed is looked for nearer to it than this, m. */
const NEAR_BED_M = 0.1;

/**
 * Simulates one swing, from landing to the end.
 *
 * @param c the case, SI (see types); lengths > 0, depths ≥ 0
 * @param num how fine the chain is cut (NUMERICS.full: about 2 %)
 * @returns events and the fly's series at 10 Hz
 * @throws Refusal naming the field, when the case is not one that can be cast; Error when it does not converge (3,000 random cases did)
 * @example runSwing(case).maxDepthM // 0.69 for 7 ips, 10 ft, 75°, 0.9 m/s and a bulky unweighted fly
 */
export function runSwing(c: SwingCase, num: Numerics = NUMERICS.full): SwingResult {
  checkCase(c);
  let bearing = c.cast.side * radians(c.cast.angleDeg - ('follow' in c.rod ? c.rod.follow.leadDeg : 0));
  const tip = Float64Array.from(rodTipAt(c.rod, 0, bearing));
  layOut(c, num, tip);
  const rec = recorder(c);
  const profile = fastProfile(c.water.profile);
  if (c.cast.drifts) goWithWater(c.water, profile, 1, lastNode());
  let t = 0;
  let h = FIRST_STEP_S;
  let hPrev = h;
  let fresh = 2; // backward Euler for the first steps
  let ceiling = Infinity; // steps stay below what failed for a while
  let careful = 0;
  let newtons = 0;
  let steps = 0;
  let maxStrain = 0;
  let mend = 0;
  const corners = cornerTimes(c);
  let hang: HangWork | null = null; // its times made the swing's own, once it has begun
  let hangS: number | null = null;
  const nominalLink = restLength[1]!;
  let end = c.tEndS;
  const tolerant = Math.min(MOST_TOLERANT, num.acceptM / NUMERICS.full.acceptM);

  while (t < end - 1e-9) {
    const longest = rec.dangleS() === null ? num.maxStepS : HANGING_STEP_S;
    const step = Math.min(h, longest, nextCorner(corners, t) - t, end - t);
    const turned = moveTip(hang ? { path: hang.rod } : c.rod, c.cast.side, t + step, step, bearing, tip);
    if (c.sway) swayTip(c.sway, t + step, tip);
    const lineChange =
      valueAt(c.lineOut, t + step) -
      valueAt(c.lineOut, t) +
      valueAt(hang?.lineOut, t + step) -
      valueAt(hang?.lineOut, t);
    const rest = restLength[1]!;
    restLength[1] = Math.max(0.02, rest + lineChange);
    if (lineChange !== 0) lump();
    predict(step, hPrev, fresh <= 0);
    r[0] = tip[0]!;
    r[1] = tip[1]!;
    r[2] = tip[2]!;
    readWater(c.water, profile);
    freeze();
    const its = solve();
    newtons += Math.abs(its);
    const strain = its < 0 ? Infinity : largestStrain();
    if (its < 0 || (step > ROUGH_STEP_S && (strain > ROUGH_STRAIN * tolerant || underBed(c.water)))) {
      restLength[1] = rest;
      h = 0.35 * step;
      ceiling = 0.7 * step;
      careful = CAREFUL_STEPS;
      fresh = Math.max(fresh, 1);
      if (h < MIN_STEP_S) throw new Error(`swing: did not converge at ${t.toFixed(2)} s`);
      continue;
    }
    steps++;
    bearing = turned; // only now: a step that is taken again must not have turned the rod
    rec.step(t, step);
    accept();
    t += step;
    hPrev = step;
    fresh--;
    maxStrain = Math.max(maxStrain, strain);
    if (its <= 3) h = Math.max(h, GROW * step);
    else if (its >= 5) h = 0.8 * step;
    else h = step;
    if (careful-- > 0) h = Math.min(h, ceiling);
    if (lineChange !== 0) keepRodLink(nominalLink);
    const due = c.mends?.[mend];
    if (due && t >= due.t - 1e-9) {
      layMend(c, due.slackM, due.direction, profile);
      mend++;
      h = FIRST_STEP_S;
      hPrev = h;
      fresh = 2;
    }
    if (c.hangWork && !hang && hasComeRound(c.hangWork, tip, rec)) {
      hangS = t;
      hang = beginning(c.hangWork, t, tip);
      corners.push(...[...hang.rod, ...hang.lineOut].map((p) => p[0]));
      corners.sort((a, b) => a - b);
    }
    if (c.stopPastLies && rec.pastLies()) break;
    const done = c.hangWork && !hang ? rec.groundedS() : (rec.dangleS() ?? rec.groundedS() ?? rec.dragsS());
    if (c.afterDangleS !== undefined && done !== null)
      end = Math.min(end, Math.max(done, hang ? lastTime(hang) : 0) + c.afterDangleS);
  }
  return summarise(
    c,
    rec,
    { maxStrain, steps, newtons, hangWorkS: hangS },
    Math.max(handsDoneS(c), hang ? lastTime(hang) : 0),
  );
}

/** Whether the fly has come round to where the work at the hang begins. */
function hasComeRound(w: HangWork, tip: Float64Array, rec: Recorder): boolean {
  if (rec.tightS() === null) return false;
  const k = 3 * lastNode();
  const dx = r[k]! - tip[0]!;
  const dy = r[k + 1]! - tip[1]!;
  return isWithin(Math.tan(radians(w.bearingDeg)), dx, dy) || (w.orTouch && rec.touched());
}

/** The same from time t and from where the rod tip is. */
const beginning = (w: HangWork, t: number, tip: Float64Array): HangWork => ({
  ...w,
  rod: [[t, tip[0]!, tip[1]!, tip[2]!], ...w.rod.map(([s, x, y, z]) => [t + s, x, y, z] as const)],
  lineOut: w.lineOut.map(([s, m]) => [t + s, m] as const),
});

const lastTime = (w: HangWork): number => Math.max(...[...w.rod, ...w.lineOut].map((p) => p[0]));

/** Whether a node has come to lie below the bed at its place (the step knew the bed at the predicted place only). */
function underBed(w: SwingWater): boolean {
  for (let i = 1; w.bottom && i <= lastNode(); i++) {
    const k = 3 * i;
    if (r[k + 2]! < bedDepth[i]! - NEAR_BED_M) continue;
    readAt(w.grid, r[k]!, r[k + 1]!);
    if (r[k + 2]! > here.h + ROUGH_BED_M) return true;
  }
  return false;
}

/** Cuts the line, fills the chain and lays it on the water. */
function layOut(c: SwingCase, num: Numerics, tip: Float64Array): void {
  const line = cutAtBodies(c.line, c.bodies, num);
  const links = cutLine(line, num);
  const nodes = links.length + 1;
  if (nodes + 40 > MAX_NODES)
    throw new Refusal({ code: 'no case', field: 'line', must: 'too long for these numerics' });
  resetChain({
    nodes,
    cn: c.drag.cn,
    cf: c.drag.cf,
    reDependent: c.drag.reDependent,
    held: c.floatRule === 'held',
    rho: c.water.rho,
    bottom: c.water.bottom,
    bedFriction: c.water.bedFriction,
    acceptM: num.acceptM,
    pullN: strongestPull(c),
    tipStiffnessNpm: c.tipStiffnessNpm ?? 0,
  });
  const at = new Float64Array(nodes);
  links.forEach((link, k) => {
    const i = k + 1;
    const s = line[link.section]!;
    const area = (Math.PI / 4) * s.diameterM ** 2;
    restLength[i] = link.lengthM;
    linkDiameter[i] = s.diameterM;
    linkWeightWater[i] = s.weightNpm;
    linkWeightAir[i] = s.weightNpm + c.water.rho * area * G;
    linkMass[i] = Math.max(0, linkWeightAir[i]! / G) + c.water.rho * area; // with the water it carries along
    linkHold[i] = s.kind !== 'float' ? 0 : c.floatRule === 'held' ? 1 : c.floatRule === 'clean' ? CLEAN_HOLD_N_M : 0;
    at[i] = at[i - 1]! + link.lengthM;
  });
  const total = at[nodes - 1]!;
  for (const b of c.bodies) {
    const i = nearestNode(at, total - b.fromEndM);
    bodyMass[i] = bodyMass[i]! + b.massKg + (b.massKg - b.massInWaterKg);
    bodyWeightWater[i] = bodyWeightWater[i]! + b.massInWaterKg * G;
    bodyWeightAir[i] = bodyWeightAir[i]! + b.massKg * G;
    bodyDrag[i] = bodyDrag[i]! + 0.5 * c.water.rho * b.dragAreaM2;
    if (b.heightM !== undefined) wettedOver(i, -b.heightM / 2, b.heightM);
  }
  const a = radians(c.cast.angleDeg);
  const dir: [number, number] = [Math.cos(a), c.cast.side * Math.sin(a)];
  r.set(landedLine(at, c.line, [tip[0]!, tip[1]!, tip[2]!], dir, c.cast.slackM, c.cast.bow));
  copyHistory();
  lump();
}

function nearestNode(at: Float64Array, s: number): number {
  let best = 1;
  for (let i = 1; i < at.length; i++) if (Math.abs(at[i]! - s) < Math.abs(at[best]! - s)) best = i;
  return best;
}

/** Water speed and bed at every node's predicted place. */
function readWater(w: SwingWater, profile: SpeedProfile): void {
  const place = r;
  const u = waterU;
  const v = waterV;
  const bed = bedDepth;
  const at = here;
  const { grid } = w;
  const last = lastNode();
  for (let i = 1; i <= last; i++) {
    const k = 3 * i;
    readAt(grid, place[k]!, place[k + 1]!);
    const f = profile(place[k + 2]!, at.h);
    u[i] = at.u * f;
    v[i] = at.v * f;
    bed[i] = at.h;
  }
}

type SpeedProfile = ReturnType<typeof fastProfile>;
/** What lies this far over the water or less goes with it, m. */
const AFLOAT_M = 0.001;

/** Gives what lies on the water, from one node to another, the speed of the water there. */
function goWithWater(w: SwingWater, profile: SpeedProfile, from: number, to: number): void {
  for (let i = from; i <= to; i++) {
    const k = 3 * i;
    if (r[k + 2]! < -AFLOAT_M) continue;
    readAt(w.grid, r[k]!, r[k + 1]!);
    const f = profile(0, here.h);
    v[k] = here.u * f;
    v[k + 1] = here.v * f;
  }
  copyHistory();
}

/** A mend: the floating line is picked up and laid in a bow; the length it uses comes off the reel through the guides. */
function layMend(c: SwingCase, slackM: number, direction: -1 | 1, profile: SpeedProfile): void {
  const n = lastNode();
  let last = 0;
  for (let i = 1; i <= n; i++) if (linkHold[i]! > 0 || c.floatRule === 'free') if (r[3 * i + 2]! < 0.05) last = i;
  if (c.line[0]!.kind !== 'float') last = 0;
  let floats = 0;
  for (let i = 1; i <= last; i++) floats += restLength[i]!;
  if (last < 2 || slackM <= 0) return;
  const ex = r[3 * last]! - r[0]!;
  const ey = r[3 * last + 1]! - r[1]!;
  const chord = Math.hypot(ex, ey);
  const slopeM = slopeOf(r[2]!, floats + slackM);
  const straight = Math.hypot(slopeM, r[2]!) + chord - slopeM;
  if (chord < 0.5 + slopeM || straight > floats + slackM) return;
  const grow = 1 + slackM / floats;
  const at = new Float64Array(last + 1);
  for (let i = 1; i <= last; i++) {
    restLength[i] = restLength[i]! * grow;
    at[i] = at[i - 1]! + restLength[i]!;
  }
  const floating = [{ ...c.line[0]!, lengthM: floats + slackM }];
  const slack = floats + slackM - straight;
  const laid = landedLine(at, floating, [r[0]!, r[1]!, r[2]!], [ex / chord, ey / chord], slack, direction);
  for (let i = 1; i < last; i++) for (let d = 0; d < 3; d++) r[3 * i + d] = laid[3 * i + d]!;
  v.fill(0, 0, 3 * last);
  lump();
  copyHistory();
  if (c.cast.drifts) goWithWater(c.water, profile, 1, last - 1);
}

/** Keeps the first link near its nominal length while line is taken in or fed. */
function keepRodLink(nominal: number): void {
  while (restLength[1]! < 0.4 * nominal && lastNode() > 3) removeNode(1);
  while (restLength[1]! > 1.7 * nominal) insertNode(1, 1 - nominal / restLength[1]!);
}
