import type { FishLie } from '../lies';
import { runSwing, type LiePass, type Numerics, type Rod, type SwingCase, type SwingResult } from '../swing';
import { LINE_CN, rigBodies, rigLine, type Rig } from '../tackle';
import { PROFILE, type Channel } from '../water';

export const ROD_WAYS = ['still', 'follow', 'lead'] as const;
/** Still: the rod holds its place. Follow: it points down the line. Lead: it stays ahead of the fly. */
export type RodWay = (typeof ROD_WAYS)[number];

/** Where one stands and what one does with a cast. Angles from straight downstream. */
export interface CastPlan {
  readonly xM: number;
  readonly yM: number;
  readonly outM: number;
  readonly angleDeg: number;
  /** Slack laid in by an upstream mend at landing, m. */
  readonly mendM: number;
  readonly rod: RodWay;
}

/** Share of the rod's length that reaches out from the angler, and height of its tip over the water, m. */
const REACH = 0.8;
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

export interface CastRequest {
  readonly channel: Channel;
  readonly rig: Rig;
  readonly plan: CastPlan;
  readonly lies: readonly FishLie[];
}

/** Simulates one cast on the run. */
export const swingOnRun = (q: CastRequest, num?: Numerics): SwingResult =>
  runSwing(caseOnRun(q.channel, q.rig, q.plan, q.lies), num);

export type Fit = 'right' | 'too shallow' | 'too deep' | 'on the bed' | 'not reached';

/** What a swing does at one lie. */
export interface Verdict {
  readonly lie: FishLie;
  readonly pass: LiePass;
  readonly fit: Fit;
  /** How far outside the wanted band, m (0 inside). */
  readonly byM: number;
  readonly tooFast: boolean;
}

/** A pass counts when it comes within half the lie's width and this much, m. */
const NEAR_M = 1;

/**
 * Judges the fly's pass at each lie against the band and speed wanted there.
 *
 * @example judge(result, lies)[0].fit // 'too shallow', with byM 0.2
 */
export function judge(result: SwingResult, lies: readonly FishLie[]): Verdict[] {
  return lies.map((lie, i) => {
    const pass = result.lies[i];
    if (!pass) throw new RangeError('lies: not the lies that were simulated');
    const { topM, bottomM } = lie.band;
    const tooFast = pass.crossSpeedMps > lie.crossSpeedMps;
    const verdict = (fit: Fit, byM: number): Verdict => ({ lie, pass, fit, byM, tooFast });
    if (pass.missM > Math.max(lie.widthM, lie.lengthM) / 2 + NEAR_M) return verdict('not reached', pass.missM);
    if (pass.depthM > lie.depthM - 0.03) return verdict('on the bed', pass.depthM - bottomM);
    if (pass.depthM < topM) return verdict('too shallow', topM - pass.depthM);
    if (pass.depthM > bottomM) return verdict('too deep', pass.depthM - bottomM);
    return verdict('right', 0);
  });
}
