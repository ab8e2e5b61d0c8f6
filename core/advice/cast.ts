import { runSwing, type Numerics, type Rod, type SwingCase, type SwingResult } from '../swing';
import { LINE_CN, rigBodies, rigLine, type Rig } from '../tackle';
import { PROFILE, type Channel } from '../water';
import { REACH, type CastPlan, type CastRequest } from './plan';

/** Height of the rod's tip over the water, m. */
const TIP_HEIGHT_M = 0.6;
const STILL_DEG = 60;
const TURN_DEG_S = 30;
const LEAD_DEG = 25;
const AFTER_DANGLE_S = 8;
const LONGEST_S = 180;

/** To which side the cast goes: away from the nearer bank. */
function sideOf(c: Channel, p: CastPlan): 1 | -1 {
  const i = Math.min(c.nx - 1, Math.max(0, Math.round((p.xM - c.x0) / c.dx)));
  return p.yM <= (c.edgeNear[i]! + c.edgeFar[i]!) / 2 ? 1 : -1;
}

/**
 * A cast on the run as a case for the swing.
 *
 * @throws RangeError when the cast is too short for the leader (see rigLine) or outside the angles that can be cast
 */
export function caseOnRun(c: Channel, rig: Rig, p: CastPlan, lies: readonly { x: number; y: number }[]): SwingCase {
  const side = sideOf(c, p);
  const reach = REACH * rig.rod.lengthM;
  const still = (Math.min(p.angleDeg, STILL_DEG) * Math.PI) / 180;
  const rod: Rod =
    p.rod === 'still'
      ? { path: [[0, p.xM + reach * Math.cos(still), p.yM + side * reach * Math.sin(still), -TIP_HEIGHT_M]] }
      : {
          follow: {
            x0: p.xM,
            y0: p.yM,
            r: reach,
            z: -TIP_HEIGHT_M,
            leadDeg: p.rod === 'lead' ? LEAD_DEG : 0,
            rateDegS: TURN_DEG_S,
          },
        };
  return {
    water: { grid: c, profile: PROFILE, rho: 1000, bottom: true, bedFriction: 0.3 },
    rod,
    line: rigLine(rig, p.outM),
    bodies: rigBodies(rig),
    cast: { angleDeg: p.angleDeg, slackM: p.mendM, side },
    drag: { cn: LINE_CN, cf: 0.015, reDependent: false },
    floatRule: rig.lineClean ? 'clean' : 'free',
    tEndS: LONGEST_S,
    afterDangleS: AFTER_DANGLE_S,
    lies,
    keepLineS: 0.5,
  };
}

/** Simulates one cast on the run. */
export const swingOnRun = (q: CastRequest, num?: Numerics): SwingResult =>
  runSwing(caseOnRun(q.channel, q.rig, q.plan, q.lies), num);
