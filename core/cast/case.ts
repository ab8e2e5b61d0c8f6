import { type Numerics, runSwing, type SwingCase, type SwingResult } from '../swing';
import { LINE_CN, type Rig, rigBodies, rigLine } from '../tackle';
import { type Channel, type PlanPoint, profileFactor, rowAt, sample, sampleWater } from '../water';
import { type CastPlan, type CastRequest, REACH } from './plan';
import { motionOf } from './presentation';

/** To which side the cast goes: away from the nearer bank, unless it is said to go inwards. */
function sideOf(c: Channel, p: CastPlan): 1 | -1 {
  const i = rowAt(c, p.xM);
  const away = p.yM <= (c.edgeNear[i]! + c.edgeFar[i]!) / 2;
  return away !== (p.inwards ?? false) ? 1 : -1;
}

/** Speed of the surface half way down the line as it hangs, m/s. */
function surfaceBelow(c: Channel, xM: number, yM: number): number {
  sampleWater(c, xM, yM);
  return sample.u * profileFactor(c.profile, 0, sample.h);
}

/**
 * A cast on the run as a case for the swing.
 *
 * @throws RangeError when the cast is too short for the leader (see rigLine) or outside the angles that can be cast
 */
export function caseOnRun(c: Channel, rig: Rig, p: CastPlan, lies: readonly PlanPoint[]): SwingCase {
  const side = sideOf(c, p);
  const reachM = REACH * rig.rod.lengthM;
  const middle = (p.outM / 2) * Math.SQRT1_2;
  const surfaceMps = surfaceBelow(c, p.xM + middle, p.yM + side * middle);
  return {
    water: { grid: c, profile: c.profile, rho: 1000, bottom: true, bedFriction: 0.3 },
    line: rigLine(rig, p.outM),
    bodies: rigBodies(rig),
    ...motionOf(p, { reachM, side, surfaceMps }),
    drag: { cn: LINE_CN, cf: 0.015, reDependent: false },
    floatRule: rig.lineClean ? 'clean' : 'free',
    lies,
    keepLineS: 0.5,
  };
}

/** Simulates one cast on the run. */
export const swingOnRun = (q: CastRequest, num?: Numerics): SwingResult =>
  runSwing(caseOnRun(q.channel, q.rig, q.plan, q.lies), num);
