import type { Body, LineSection } from '../swing';
import { G, INCH_M } from '../units';
import { flyBody } from './flies';
import type { Rig, Shot } from './rig';
import { FLOATER_DENSITY, floaterDiameterM, LEADER_DENSITY, sinkerDiameterM } from './standards';

/** Drag coefficient with which a catalogue sink rate is turned into weight; the swing uses the same. */
export const LINE_CN = 1.1;
const RUNNING_DIAMETER_M = 0.9e-3;
/** Where a second fly hangs, m above the point: 3 ft, soft hackles 3 to 4 ft, streamers 15 to 20 in (practice). */
export const DROPPER_ABOVE_M = 0.9;

const area = (d: number) => (Math.PI / 4) * d * d;

/** Submerged weight a metre of line that sinks level at v_s: w = ½ρ·Cn·d·v_s², N/m.
 * @example sinkingWeight(0.1778, 0.001) // 0.01739 for 7 ips */
export const sinkingWeight = (sinkRateMps: number, diameterM: number, rho = 1000): number =>
  0.5 * rho * LINE_CN * diameterM * sinkRateMps ** 2;

/** Submerged weight a metre at a relative density; negative floats, N/m. */
export const buoyantWeight = (density: number, diameterM: number, rho = 1000): number =>
  (density - 1) * rho * area(diameterM) * G;

function dense(kind: 'sink', lengthM: number, sinkRateMps: number): LineSection {
  const diameterM = sinkerDiameterM(sinkRateMps / INCH_M);
  return { kind, lengthM, diameterM, weightNpm: sinkingWeight(sinkRateMps, diameterM) };
}

const floating = (lengthM: number, diameterM: number): LineSection => ({
  kind: 'float',
  lengthM,
  diameterM,
  weightNpm: buoyantWeight(FLOATER_DENSITY, diameterM),
});

/**
 * The line between rod tip and fly with `outM` metres out, from the rod outwards.
 *
 * @param outM line from rod tip to fly, m; what is out beyond leader, tip and head is running line
 * @returns sections that add up to outM. Throws RangeError when outM does not reach past the leader.
 */
export function rigLine(rig: Rig, outM: number): LineSection[] {
  const { leader, tip, head } = rig;
  if (!(outM > leader.lengthM + 0.5)) throw new RangeError('outM: the cast is shorter than the leader');
  const leaderSection: LineSection = {
    kind: 'leader',
    lengthM: leader.lengthM,
    diameterM: leader.diameterM,
    weightNpm: buoyantWeight(LEADER_DENSITY[leader.material], leader.diameterM),
  };
  let left = outM - leader.lengthM;
  const take = (want: number) => {
    const got = Math.min(left, want);
    left -= got;
    return got;
  };
  const inwards: LineSection[] = [leaderSection];
  if (tip) {
    const m = take(tip.lengthM);
    inwards.push(
      tip.sinkRateMps > 0 ? dense('sink', m, tip.sinkRateMps) : floating(m, floaterDiameterM(rig.rod.lineNumber)),
    );
  }
  if (left > 0.05) {
    const m = take(head.lengthM);
    // A short head carries its mass in a few metres: its diameter follows from mass and density.
    const d =
      head.shape === 'taper'
        ? floaterDiameterM(rig.rod.lineNumber)
        : Math.sqrt((4 * head.massKg) / (Math.PI * FLOATER_DENSITY * 1000 * head.lengthM));
    const part = (length: number, rate: number) => (rate > 0 ? dense('sink', length, rate) : floating(length, d));
    const front = Math.min(m, head.frontSinkRateMps === undefined ? 0 : head.lengthM / 2);
    if (front > 0) inwards.push(part(front, head.frontSinkRateMps!));
    if (m - front > 0) inwards.push(part(m - front, head.sinkRateMps));
  }
  if (left > 0.05) inwards.push(floating(left, RUNNING_DIAMETER_M));
  else inwards[inwards.length - 1] = stretch(inwards[inwards.length - 1]!, left);
  return inwards.reverse();
}

const stretch = (s: LineSection, by: number): LineSection => ({ ...s, lengthM: s.lengthM + by });

/** Density of lead over water; drag of a sphere (Hoerner 1965; from memory). */
const LEAD_DENSITY = 11.3;
const SPHERE_CD = 0.45;

/** Split shot as a body on the line. @example shotBody({ massKg: 4e-4, aboveFlyM: 0 }).massInWaterKg // 0.000365 */
export function shotBody({ massKg, aboveFlyM }: Shot): Body {
  const radius = Math.cbrt((3 * massKg) / (4 * Math.PI * LEAD_DENSITY * 1000));
  return {
    fromEndM: aboveFlyM,
    massKg,
    massInWaterKg: massKg * (1 - 1 / LEAD_DENSITY),
    dragAreaM2: SPHERE_CD * Math.PI * radius ** 2,
  };
}

/** What hangs on the line: point fly, second fly, shot. */
export function rigBodies(rig: Rig): Body[] {
  const bodies: Body[] = [{ fromEndM: 0, ...flyBody(rig.fly) }];
  if (rig.dropper)
    bodies.push({ fromEndM: Math.min(DROPPER_ABOVE_M, 0.8 * rig.leader.lengthM), ...flyBody(rig.dropper) });
  if (rig.shot) bodies.push(shotBody(rig.shot));
  return bodies;
}
