import { radians } from '../maths';
import type { HangWork, Rod, Schedule, SwingCase } from '../swing';
// not the barrel: this is no engine
import { together, valueAt } from '../swing/schedule';
import { mendMotion } from './mend';
import type { CastPlan, Hands, Way } from './plan';

interface Presentation {
  /** When and what, in an angler's words. */
  readonly says: string;
  readonly cast: Partial<CastPlan>;
  readonly hands: Omit<Hands, 'way'>;
  /** What of the hands is worth setting. */
  readonly sets: readonly ('count' | 'pull' | 'feed' | 'walk')[];
}

const STILL: Omit<Hands, 'way'> = { countS: 0, pullM: 0, pullMps: 0.5, restS: 0.5, feedM: 0, walkM: 0 };

/** The ways to show a fly, with what one starts from (common practice, no source). */
export const PRESENTATIONS: Record<Way, Presentation> = {
  swing: {
    says: 'Across or down and tight, round to the dangle. Walking down with it takes tension out.',
    cast: { angleDeg: 65, mendM: 0, rod: 'follow' },
    hands: STILL,
    sets: ['feed', 'walk'],
  },
  'timed rise': {
    says: 'Short cast, mend and a step, let it sink on slack, then come tight: the fly begins to rise at the fish.',
    cast: { angleDeg: 75, mendM: 1.5, rod: 'still' },
    hands: { ...STILL, countS: 4, feedM: 0.5, walkM: 1.5 },
    sets: ['count', 'feed', 'walk'],
  },
  strip: {
    says: 'Square or a little up, count it down, strip with rests. Pause before lifting: fish follow and take then.',
    cast: { angleDeg: 100, mendM: 0, rod: 'follow' },
    hands: { ...STILL, countS: 4, pullM: 0.25, pullMps: 0.6, restS: 0.7 },
    sets: ['count', 'pull', 'walk'],
  },
  'towed by the bow': {
    says: 'Quarter upstream and let the line’s bow run ahead and tow the fly; short strips as it crosses the tongue.',
    cast: { angleDeg: 135, mendM: -1.5, rod: 'lead' },
    hands: { ...STILL, countS: 5, pullM: 0.12, pullMps: 0.3, restS: 1 },
    sets: ['count', 'pull'],
  },
  'upstream strip': {
    says: 'Up the river and back a little faster than the current: a new side for fish that have seen the swing.',
    cast: { angleDeg: 145, mendM: 0, rod: 'follow' },
    hands: { ...STILL, countS: 2, pullM: 0.4, pullMps: 1.4, restS: 0.1 },
    sets: ['count', 'pull'],
  },
  'dead drift': {
    says: 'Slack line and more of it fed, so that the fly goes with the current; it swings when the slack is used up.',
    cast: { angleDeg: 105, mendM: 2, rod: 'follow' },
    hands: { ...STILL, countS: 10, feedM: 4 },
    sets: ['count', 'feed'],
  },
  'dip and draw': {
    says: 'From the head of a slack pool a long cast down, rod tip under water; let it sink, then draw it up past you.',
    cast: { angleDeg: 20, mendM: 0, rod: 'follow', tipUnder: true },
    hands: { ...STILL, countS: 12, pullM: 0.3, pullMps: 0.25, restS: 0.4 },
    sets: ['count', 'pull'],
  },
  'sweep the hang': {
    says: 'Once it hangs in the tongue, move the rod tip across and back, slide line out to drop back, draw again.',
    cast: { angleDeg: 45, mendM: 0, rod: 'still' },
    hands: { ...STILL, feedM: 1 },
    sets: ['feed'],
  },
  'lift at the end': {
    says: 'Feed slack with the tip downstream so that the fly gets below you, then lift it over the shelf as a hatching insect rises.',
    cast: { angleDeg: 60, mendM: 2, rod: 'still' },
    hands: { ...STILL, countS: 9, feedM: 1 },
    sets: ['count', 'feed'],
  },
};

/** A cast changed to another way of showing the fly, with the settings that way starts from. */
export const presented = (plan: CastPlan, way: Way): CastPlan => {
  const { cast, hands } = PRESENTATIONS[way];
  const { mendAtS: _at, mendBy: _by, tipUnder: _tip, hands: _hands, ...kept } = plan;
  return { ...kept, ...cast, ...(way === 'swing' ? null : { hands: { way, ...hands } }) };
};

/** Whether the way itself says what the rod does. */
export const ownsTheRod = ({ way }: Hands): boolean => way === 'sweep the hang' || way === 'lift at the end';

export const handsOf = (plan: CastPlan): Hands => plan.hands ?? { way: 'swing', ...STILL };

/** Height of the rod's tip over the water, or its depth under it, m. */
const TIP_HEIGHT_M = 0.6;
const TIP_UNDER_M = 0.3;
const STILL_DEG = 60;
const TURN_DEG_S = 30;
const LEAD_DEG = 25;
const WALK_MPS = 0.6;
/** So far one steps at once while the fly sinks; the rest goes step by step through the swing, a step every so often. */
export const SINKING_STEPS_M = 1.5;
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
/** Nothing is stripped in beyond this, m. */
export const LEAST_OUT_M = 4;
const AFTER_DANGLE_S = 8;
const LONGEST_S = 180;
/** Slow enough for the fly to follow the rod's tip across. */
const SWEEP_S = 8;
const LIFT_S = 4;

export interface Frame {
  /** Distance of the rod's tip from the angler, m. */
  readonly reachM: number;
  readonly side: 1 | -1;
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
  const lineOut = together(lineSchedule(p, h), mend?.lineOut ?? []);
  const end = lineOut[lineOut.length - 1]?.[0] ?? 0;
  const hangWork = hangWorkOf(p, h, f);
  return {
    rod: rodOf(p, h, f),
    cast: {
      angleDeg: p.angleDeg,
      slackM: atLanding ? Math.abs(p.mendM) : 0,
      bow: direction,
      side: f.side,
      drifts: true,
    },
    ...(mend ? { sway: mend.sway } : null),
    lineOut,
    ...(hangWork ? { hangWork } : null),
    ...(h.way === 'dead drift'
      ? { fishesFromS: SOAKED_S }
      : // Stripped back with the current it is never held against it: it fishes from when the hand begins.
        h.way === 'dip and draw' || h.way === 'upstream strip'
        ? { fishesFromS: h.countS }
        : null),
    tEndS: h.pullM > 0 ? Math.min(LONGEST_S, end + 2) : LONGEST_S,
    afterDangleS: h.pullM > 0 ? LONGEST_S : AFTER_DANGLE_S,
  };
}

function lineSchedule(p: CastPlan, h: Hands): [number, number][] {
  if (h.way === 'sweep the hang') return [];
  const out: [number, number][] = [];
  let t = h.countS;
  let m = 0;
  if (h.feedM > 0) {
    out.push([0, 0], [Math.max(h.countS, h.feedM / FEED_MPS), h.feedM]);
    m = h.feedM;
  }
  if (h.pullM <= 0) return out;
  while (p.outM + m - h.pullM >= LEAST_OUT_M && t < LONGEST_S) {
    out.push([t, m]);
    t += h.pullM / h.pullMps;
    m -= h.pullM;
    out.push([t, m]);
    t += h.restS;
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

const heightOf = (p: CastPlan): number => (p.tipUnder ? TIP_UNDER_M : -TIP_HEIGHT_M);
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
