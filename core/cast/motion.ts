import { radians } from '../maths';
import type { HangWork, Rod, Schedule, SwingCase } from '../swing';
// not the barrel: this is no engine
import { together, valueAt } from '../swing/schedule';
import { mendMotion } from './mend';
import type { CastPlan, Hands, Rhythm } from './plan';
import { dipOf, handsOf, LEAST_OUT_M, SINKING_STEPS_M } from './presentation';

/** Height of the rod's tip over the water, m. */
const TIP_HEIGHT_M = 0.6;
const STILL_DEG = 60;
const TURN_DEG_S = 30;
const LEAD_DEG = 25;
const WALK_MPS = 0.6;
const STEP_M = 0.75;
const STEP_EVERY_S = 2.5;
/** A rod held high: so much of its reach over the water; lowered into the swing between these moments, s. */
const HIGH_SHARE = 0.75;
const LOWERED_FROM_S = 4;
const LOWERED_TO_S = 12;
/** A fly that drifts is wet and shows after so long, s. */
const SOAKED_S = 2;
/** A line hangs within this of straight down; a lift begins a little before, as the fly swings up over the shelf. */
const HANGS_DEG = 8;
const LIFT_DEG = 15;
/** Line slides out no faster than this, m/s. */
const FEED_MPS = 1;
const AFTER_DANGLE_S = 8;
const LONGEST_S = 180;
/** Slow enough for the fly to follow the rod's tip across. */
const SWEEP_S = 8;
const LIFT_S = 4;

export interface Frame {
  /** Distance of the rod's tip from the angler, m. */
  readonly reachM: number;
  readonly side: 1 | -1;
  /** Pace of the current where the fly lands, m/s. */
  readonly currentMps: number;
}

type Motion = Pick<
  SwingCase,
  'rod' | 'cast' | 'lineOut' | 'sway' | 'hangWork' | 'fishesFromS' | 'tEndS' | 'afterDangleS'
>;

/** What rod, hands and feet do over the seconds of a cast, as the engine takes it. */
export function motionOf(p: CastPlan, f: Frame): Motion {
  const h = handsOf(p);
  const atLanding = !p.mendAtS;
  const direction = p.mendM < 0 ? 1 : -1;
  const mend =
    atLanding || p.mendM === 0
      ? null
      : mendMotion({ atS: p.mendAtS!, mendM: p.mendM, by: p.mendBy ?? 'lift', reachM: f.reachM });
  const lineOut = together(lineSchedule(p, h, f), mend?.lineOut ?? []);
  const end = lineOut[lineOut.length - 1]?.[0] ?? 0;
  const hangWork = hangWorkOf(p, h, f);
  const sway = h.way === 'tight drift' ? twitches(h, end) : mend?.sway;
  // Taken in, it is fished to the last pull; given back it ends as a swing does.
  const takesIn = h.pullM > 0 && h.rhythm !== 'given back';
  return {
    rod: rodOf(p, h, f),
    cast: {
      angleDeg: p.angleDeg,
      slackM: atLanding ? Math.abs(p.mendM) : 0,
      bow: direction,
      side: f.side,
      drifts: true,
    },
    ...(sway ? { sway } : null),
    lineOut,
    ...(hangWork ? { hangWork } : null),
    ...(h.way === 'dead drift'
      ? { fishesFromS: SOAKED_S }
      : // Drawn back or led with the current it is never held against it: it fishes from when the hand begins.
        h.way === 'dip and draw' || h.way === 'upstream strip' || h.way === 'tight drift'
        ? { fishesFromS: h.countS }
        : null),
    tEndS: takesIn || h.way === 'tight drift' ? Math.min(LONGEST_S, end + 2) : LONGEST_S,
    afterDangleS: takesIn ? LONGEST_S : AFTER_DANGLE_S,
  };
}

/** Pulls of each rhythm, as shares of the pull and of the rest that are set (assumed; long, short and pauses: common practice, no
 * source). */
const PULLS: Record<Rhythm, readonly { readonly pull: number; readonly rest: number }[]> = {
  even: [{ pull: 1, rest: 1 }],
  'given back': [{ pull: 1, rest: 1 }],
  varied: [
    { pull: 1.5, rest: 1 },
    { pull: 0.5, rest: 0.5 },
    { pull: 0.5, rest: 2 },
  ],
};

/** Line taken in as a tight drift comes by: as much as leaves none slack between a rod that leads at the pace of the current and
 * a fly that goes with it; none is paid out. */
function ledIn(p: CastPlan, h: Hands, { reachM, currentMps }: Frame): [number, number][] {
  const whole = reachM + p.outM;
  const across = whole * Math.sin(radians(p.angleDeg));
  const from = whole * Math.cos(radians(p.angleDeg));
  const pace = Math.max(LEAST_PACE_MPS, currentMps);
  // Down to where it is as far off as when it landed.
  const lastS = Math.min(LONGEST_S, Math.max(h.countS + 1, (2 * Math.max(0, -from)) / pace));
  const out: [number, number][] = [];
  for (let t = 0; t < lastS + LED_EVERY_S; t += LED_EVERY_S)
    out.push([t, Math.min(0, Math.hypot(from + pace * Math.min(t, lastS), across) - whole)]);
  return out;
}
const LEAST_PACE_MPS = 0.05;
const LED_EVERY_S = 0.5;

/** The rod's tip lifted and lowered again, as often as the hands say. */
function twitches(h: Hands, untilS: number): [number, number, number, number][] {
  const out: [number, number, number, number][] = [[0, 0, 0, 0]];
  const liftS = h.pullM / h.pullMps;
  if (h.pullM > 0)
    for (let t = h.countS + h.restS; t + 2 * liftS < untilS; t += 2 * liftS + h.restS)
      out.push([t, 0, 0, 0], [t + liftS, 0, 0, -h.pullM], [t + 2 * liftS, 0, 0, 0]);
  return out;
}

function lineSchedule(p: CastPlan, h: Hands, f: Frame): [number, number][] {
  if (h.way === 'sweep the hang') return [];
  if (h.way === 'tight drift') return ledIn(p, h, f);
  const out: [number, number][] = [];
  let t = h.countS;
  let m = 0;
  const move = (by: number) => {
    out.push([t, m]);
    t += Math.abs(by) / h.pullMps;
    m += by;
    out.push([t, m]);
  };
  if (h.feedM > 0) {
    out.push([0, 0], [Math.max(h.countS, h.feedM / FEED_MPS), h.feedM]);
    m = h.feedM;
  }
  if (h.pullM <= 0) return out;
  const rhythm = h.rhythm ?? 'even';
  const pulls = PULLS[rhythm];
  for (let n = 0; t < LONGEST_S; n++) {
    const { pull, rest } = pulls[n % pulls.length]!;
    if (p.outM + m - pull * h.pullM < LEAST_OUT_M) break;
    move(-pull * h.pullM);
    if (rhythm === 'given back') move(pull * h.pullM);
    t += rest * h.restS;
  }
  return out;
}

/** Where the angler is, [s, m down from the stand]: a step or two while the fly sinks, more of them one by one through the
 * swing. */
function walkOf({ walkM }: Hands): Schedule {
  if (walkM <= 0) return [];
  const atOnce = Math.min(walkM, SINKING_STEPS_M);
  const out: [number, number][] = [
    [0, 0],
    [atOnce / WALK_MPS, atOnce],
  ];
  for (let m = atOnce; m < walkM - 1e-6;) {
    const [t] = out[out.length - 1]!;
    const next = Math.min(walkM, m + STEP_M);
    out.push([t + STEP_EVERY_S - (next - m) / WALK_MPS, m], [t + STEP_EVERY_S, next]);
    m = next;
  }
  return out;
}

/** The rod tip at a bearing, after what the angler has walked. */
const tipOf =
  (p: CastPlan, f: Frame) =>
  (t: number, bearingDeg: number, z: number, walked = 0, reachM = f.reachM) => {
    const b = radians(bearingDeg);
    return [t, p.xM + walked + reachM * Math.cos(b), p.yM + f.side * reachM * Math.sin(b), z] as const;
  };

const heightOf = (p: CastPlan): number => dipOf(p) || -TIP_HEIGHT_M;
const stillDeg = (p: CastPlan): number => Math.min(p.angleDeg, STILL_DEG);

/** What is done when the fly has come round: lift it, or take it across and back. */
function hangWorkOf(p: CastPlan, h: Hands, f: Frame): HangWork | null {
  const tip = tipOf(p, f);
  const z = heightOf(p);
  if (h.way === 'sweep the hang')
    return {
      bearingDeg: HANGS_DEG,
      orTouch: true,
      rod: [1, 2, 3].map((k) => tip(k * SWEEP_S, k % 2 ? -10 : stillDeg(p), z)),
      lineOut:
        h.feedM > 0
          ? [
              [SWEEP_S, 0],
              [1.5 * SWEEP_S, h.feedM],
              [2 * SWEEP_S, h.feedM],
              [3 * SWEEP_S, 0],
            ]
          : [],
    };
  if (h.way === 'lift at the end')
    return {
      bearingDeg: LIFT_DEG,
      orTouch: true,
      rod: [tip(LIFT_S, 20, -0.9 * f.reachM, 0, 0.5 * f.reachM)],
      lineOut: [],
    };
  return null;
}

function rodOf(p: CastPlan, h: Hands, f: Frame): Rod {
  const tip = tipOf(p, f);
  const z = heightOf(p);
  const walk = walkOf(h);
  // Fed slack goes out with the tip downstream, so that the flies get below before it comes tight.
  if (h.way === 'lift at the end') return { path: [tip(0, 20, z)] };
  const high = -HIGH_SHARE * f.reachM;
  const heights: Schedule =
    p.tip === 'high'
      ? [[0, high]]
      : p.tip === 'lowered'
        ? [
            [0, high],
            [LOWERED_FROM_S, high],
            [LOWERED_TO_S, z],
          ]
        : [];
  if (p.rod === 'still' || h.way === 'sweep the hang') {
    const times = [...new Set([0, ...walk.map(([t]) => t), ...heights.map(([t]) => t)])].sort((a, b) => a - b);
    return {
      path: times.map((t) => tip(t, stillDeg(p), heights.length > 0 ? valueAt(heights, t) : z, valueAt(walk, t))),
    };
  }
  return {
    follow: {
      x0: p.xM,
      y0: p.yM,
      r: f.reachM,
      z,
      leadDeg: p.rod === 'lead' ? LEAD_DEG : 0,
      rateDegS: TURN_DEG_S,
      ...(walk.length > 0 ? { walk } : null),
      ...(heights.length > 0 ? { heights } : null),
    },
  };
}
