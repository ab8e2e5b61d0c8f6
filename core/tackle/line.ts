import { Refusal } from '../refusal';
import type { Body, LineSection } from '../swing';
import { INCH_M } from '../units';
import { floatBody } from './float';
import { flyBody } from './flies';
import type { RunningItem } from './kit';
import { leaderLine } from './leader';
import type { Rig, Shot } from './rig';
import {
  buoyantWeight,
  FLOATER_DENSITY,
  floaterDiameterM,
  LEADER_DENSITY,
  sinkerDiameterM,
  SPHERE_CD,
} from './standards';

/** Drag coefficient with which a catalogue sink rate is turned into weight; the swing uses the same. */
export const LINE_CN = 1.1;
const RUNNING_DIAMETER_M = 0.9e-3;
const INTERMEDIATE_MPS = 1.5 * INCH_M;
/** A cast is never shorter than this, however long the leader, m. */
const SHORTEST_M = 2;
/** Beyond the leader at least so much line is out, m. */
const BEYOND_LEADER_M = 0.5;

/** Submerged weight a metre of line that sinks level at v_s: w = ½ρ·Cn·d·v_s², N/m.
 * @example sinkingWeight(0.1778, 0.001) // 0.01739 for 7 ips */
export const sinkingWeight = (sinkRateMps: number, diameterM: number, rho = 1000): number =>
  0.5 * rho * LINE_CN * diameterM * sinkRateMps ** 2;

function dense(lengthM: number, sinkRateMps: number, diameterM = sinkerDiameterM(sinkRateMps / INCH_M)): LineSection {
  return { kind: 'sink', lengthM, diameterM, weightNpm: sinkingWeight(sinkRateMps, diameterM) };
}

const floating = (lengthM: number, diameterM: number): LineSection => ({
  kind: 'float',
  lengthM,
  diameterM,
  weightNpm: buoyantWeight(FLOATER_DENSITY, diameterM),
});

/** Running line; mono lies on the surface as long as it is held there, and sinks otherwise. */
function runningLine(item: RunningItem | undefined, lengthM: number): LineSection {
  const diameterM = item?.diameterM ?? RUNNING_DIAMETER_M;
  switch (item?.kind ?? 'floating') {
    case 'floating':
      return floating(lengthM, diameterM);
    case 'intermediate':
      return dense(lengthM, INTERMEDIATE_MPS, diameterM);
    case 'mono':
      return { kind: 'float', lengthM, diameterM, weightNpm: buoyantWeight(LEADER_DENSITY.nylon, diameterM) };
  }
}

/** Length of a head as it is now, m. */
export const headLengthM = ({ head }: Pick<Rig, 'head'>): number => Math.max(1, head.lengthM - (head.cutBackM ?? 0));

/**
 * The line between rod tip and fly with `outM` metres out, from the rod outwards.
 *
 * @param outM line from rod tip to fly, m; what is out beyond leader, tip and head is running line. Of a mono rig's leader
 * only what is out
 * @returns sections that add up to outM. Throws RangeError when outM does not reach past the leader (2.5 m of a long one).
 */
export function rigLine(rig: Rig, outM: number): LineSection[] {
  const { tip } = rig;
  const leader = leaderLine(rig.leader).reverse();
  const leaderM = leader.reduce((sum, s) => sum + s.lengthM, 0);
  if (!(outM > Math.min(leaderM, SHORTEST_M) + BEYOND_LEADER_M))
    throw new Refusal({ code: 'no cast', why: { code: 'shorter than leader' } });
  let left = outM;
  const take = (want: number) => {
    const got = Math.min(left, want);
    left -= got;
    return got;
  };
  const inwards: LineSection[] = [];
  for (const s of leader) if (left > 0.05) inwards.push({ ...s, lengthM: take(s.lengthM) });
  if (tip && left > 0.05) {
    const m = take(tip.lengthM);
    inwards.push(tip.sinkRateMps > 0 ? dense(m, tip.sinkRateMps) : floating(m, floaterDiameterM(rig.rod.lineNumber)));
  }
  if (left > 0.05) inwards.push(...headLine(rig, take(headLengthM(rig))).reverse());
  if (left > 0.05) inwards.push(runningLine(rig.running, left));
  else inwards[inwards.length - 1] = stretch(inwards[inwards.length - 1]!, left);
  return inwards.reverse();
}

/** The `outM` outermost metres of a head, from the rod outwards. */
function headLine({ head, rod }: Rig, outM: number): LineSection[] {
  // A short head carries its mass in a few metres: its diameter follows from mass and density.
  const d =
    head.shape === 'taper'
      ? floaterDiameterM(rod.lineNumber)
      : Math.sqrt((4 * head.massKg) / (Math.PI * FLOATER_DENSITY * 1000 * head.lengthM));
  const partM = head.lengthM / head.sinkRatesMps.length;
  let from = head.cutBackM ?? 0; // from the whole head's front
  const end = from + outM;
  const out: LineSection[] = [];
  [...head.sinkRatesMps].reverse().forEach((rate, i) => {
    const m = Math.min(end, (i + 1) * partM) - from;
    if (m <= 1e-9) return;
    from += m;
    out.push(rate > 0 ? dense(m, rate) : floating(m, d));
  });
  return out.reverse();
}

const stretch = (s: LineSection, by: number): LineSection => ({ ...s, lengthM: s.lengthM + by });

/** Density of lead over water (from memory). */
const LEAD_DENSITY = 11.3;

/** Split shot as a body on the line. @example shotBody({ massKg: 4e-4, aboveFlyM: 0 }).massInWaterKg // 0.000365 */
function shotBody({ massKg, aboveFlyM }: Shot): Body {
  const radius = Math.cbrt((3 * massKg) / (4 * Math.PI * LEAD_DENSITY * 1000));
  return {
    fromEndM: aboveFlyM,
    massKg,
    massInWaterKg: massKg * (1 - 1 / LEAD_DENSITY),
    dragAreaM2: SPHERE_CD * Math.PI * radius ** 2,
  };
}

/** What hangs on the line: point fly, the other flies in their order, shot, float. */
export function rigBodies(rig: Rig): Body[] {
  const flies: Body[] = [
    { fromEndM: 0, isFly: true, ...flyBody(rig.fly) },
    ...rig.droppers.map((d): Body => ({ fromEndM: d.aboveM, isFly: true, ...flyBody(d.fly) })),
  ];
  const bodies = rig.shot ? [...flies, shotBody(rig.shot)] : flies;
  if (!rig.float) return bodies;
  const { item, aboveM } = rig.float;
  const load = bodies.filter((b) => b.fromEndM < aboveM).reduce((sum, b) => sum + b.massInWaterKg, 0);
  return [...bodies, floatBody(item, aboveM, Math.max(0, load))];
}
