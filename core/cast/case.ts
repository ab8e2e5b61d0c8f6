import { radians } from '../maths';
import { Refusal } from '../refusal';
import { type Numerics, runSwing, type SwingCase, type SwingResult } from '../swing';
import { LINE_CN, type Rig, rigBodies, rigLine } from '../tackle';
import { type Channel, type PlanPoint, waterAt } from '../water';
import { whyNotCast } from './castable';
import { type CastPlan, type CastRequest, REACH } from './plan';
import { motionOf } from './motion';
import { sideOf } from './side';

/** What the rod's tip, the hand and the stretch of the line give together, N/m: assumed, between a bent rod (1) and a rod
 * that points at the fly (100). It takes the jerk out of a pull, and changes nothing in an even swing. */
const TIP_STIFFNESS_NPM = 30;

/**
 * A cast on the run as a case for the swing.
 *
 * @throws Refusal when the cast is too short for the leader (see rigLine) or outside the angles that can be cast, or lands where it
 * cannot (see whyNotCast)
 */
export function caseOnRun(c: Channel, rig: Rig, p: CastPlan, lies: readonly PlanPoint[]): SwingCase {
  const why = whyNotCast(c, rig, p);
  if (why) throw new Refusal({ code: 'no cast', why });
  const side = sideOf(c, p);
  const reachM = REACH * rig.rod.lengthM;
  return {
    water: { grid: c, profile: c.profile, rho: 1000, bottom: true, bedFriction: 0.3 },
    line: rigLine(rig, p.outM),
    bodies: rigBodies(rig),
    ...motionOf(p, { reachM, side, currentMps: paceAt(c, p, reachM, side) }),
    drag: { cn: LINE_CN, cf: 0.015, reDependent: false },
    tipStiffnessNpm: TIP_STIFFNESS_NPM,
    floatRule: rig.lineClean ? 'clean' : 'free',
    lies,
    keepLineS: 0.5,
  };
}

/** Pace of the current where a cast lands, m/s. */
function paceAt(c: Channel, p: CastPlan, reachM: number, side: 1 | -1): number {
  const a = radians(p.angleDeg);
  const out = reachM + p.outM;
  return waterAt(c, p.xM + out * Math.cos(a), p.yM + side * out * Math.sin(a)).speedMps;
}

/** Simulates one cast on the run. */
export const swingOnRun = (q: CastRequest, num?: Numerics): SwingResult =>
  runSwing(caseOnRun(q.channel, q.rig, q.plan, q.lies), num);
