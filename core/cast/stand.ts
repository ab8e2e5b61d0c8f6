import { clamp, degrees, radians, roundTo } from '../maths';
import type { FishLie } from '../lies';
import { isMonoRig, leaderLengthM, type Rig } from '../tackle';
import { type Channel, rowAt } from '../water';
import { footing } from './footing';
import { ANY_MEANS, longestCast, type Means } from './means';
import { type Opening, PLAIN_OPENING } from './opening';
import { CAST_ANGLE_DEG, type CastPlan, REACH, type Way } from './plan';
import { LEAST_OUT_M, presented } from './presentation';

/** The fly should cross the lie about this far from the dangle, degrees. */
const CROSS_DEG = 40;
/** A swing from a steep cast crosses it so much later than it lands, degrees. */
const SWUNG_DEG = 15;
/** A mono rig is cast with no more out than this, m. */
const MONO_SHORTEST_M = 4;

/** Of a head on two hands all but so much must be out of the tip-top before it flies (common practice, no source), m. */
const IN_THE_ROD_M = 1;

/** Shortest cast with this rig, m: leader and tip, and a rod's length of a line or nearly all of a head on two hands; of a mono rig
 * some of the leader. */
export function shortestCast(rig: Rig): number {
  if (isMonoRig(rig)) return MONO_SHORTEST_M;
  const { head, rod, leader, tip } = rig;
  const of = rod.hands === 2 && head.shape !== 'taper' ? Math.max(1, head.lengthM - IN_THE_ROD_M) : 1;
  return Math.ceil(2 * Math.max(6, leaderLengthM(leader) + (tip?.lengthM ?? 0) + of)) / 2;
}

/** Where a way of showing the fly places it: on an arc that crosses the lie so far from the dangle, degrees; so many metres
 * upstream of the lie, the seconds it sinks in the current added; hanging at it; or swept to and fro there, straight below the
 * rod (common practice, no source). */
type Placing = { readonly crossDeg: number } | { readonly aboveM: number; readonly sinkS: number } | 'hangs' | 'sweeps';

const PLACING: Record<Way, Placing> = {
  swing: { crossDeg: CROSS_DEG },
  'swing and strip': { crossDeg: CROSS_DEG },
  'timed rise': { crossDeg: 55 },
  strip: { aboveM: 0, sinkS: 4 },
  'towed by the bow': { aboveM: 2, sinkS: 5 },
  'upstream strip': { aboveM: 3, sinkS: 2 },
  'dead drift': { aboveM: 0, sinkS: 6 },
  'tight drift': { aboveM: 1, sinkS: 2 },
  'dip and draw': 'hangs',
  'sweep the hang': 'sweeps',
  'lift at the end': { crossDeg: 25 },
};
/** An arc that would have to be crossed wider than 75° cannot be reached from there: so far across, as a share of the line. */
const WIDEST = Math.sin(radians(75));
/** A fly hangs no further across than this, as a share of the line. */
const NEARLY = 0.95;
/** The fly lands so far from the other bank, m. */
const EDGE_M = 0.5;
/** Line hung below one to be swept, as a share of the longest cast. */
const SWEPT_SHARE = 0.6;
/** Off the bank one steps in so far, where one can, m; moved by less than the other the cast stays as it is laid out. */
const STEP_IN_M = 1;
const SETTLED_M = 0.3;
/** With the fly hanging at the lie the cast goes a little past it, m. */
const PAST_M = 1.5;

/** Why a lie, by its number, cannot be reached from where one can stand; how far across it is, m. */
export interface OutOfReach {
  readonly rank: number;
  readonly why: 'too far' | 'too near the head';
  readonly acrossM: number;
}

export interface Stand {
  readonly plan: CastPlan;
  /** Why the lie cannot be reached from where one can stand; null when it can. */
  readonly outOfReach: OutOfReach | null;
}

/**
 * Where to stand and how to cast so that the fly comes to a lie the way that is asked for: for arcs upstream of it, the cast
 * long enough to cross it about 40° from the dangle; for upstream casts below it; to hang a fly above it. From the bank if
 * it can be, else waded as far out as it takes and is safe, and squarer where it is too far for that.
 *
 * @param opening the angle and mend a swing begins with; other ways have their own
 * @param means what the angler can do: no longer cast, no deeper water
 */
export function standFor(
  lie: FishLie,
  c: Channel,
  rig: Rig,
  lies: readonly FishLie[] = [],
  opening: Opening = PLAIN_OPENING,
  way: Way = 'swing',
  means: Means = ANY_MEANS,
): Stand {
  const reach = REACH * rig.rod.lengthM;
  const longest = Math.max(longestCast(means, rig), shortestCast(rig)) + reach;
  const shortest = shortestCast(rig) + reach;
  const placing = way === 'swing' ? { crossDeg: Math.min(CROSS_DEG, opening.angleDeg - SWUNG_DEG) } : PLACING[way];
  const base: CastPlan = presented(
    { xM: 0, yM: 0, outM: 0, angleDeg: opening.angleDeg, mendM: opening.mendM, rod: 'follow' },
    way,
  );
  const cast = way === 'swing' ? { ...base, angleDeg: opening.angleDeg, mendM: opening.mendM } : base;
  const a = radians(cast.angleDeg);
  const steep = Math.sin(typeof placing === 'object' && 'crossDeg' in placing ? radians(placing.crossDeg) : a);
  // Out from the bank as far as it takes, where one can stand; what is swept hangs below the rod.
  const wanted = placing === 'sweeps' ? lie.yM : lie.yM - longest * steep;
  const lands = typeof placing === 'object' && 'aboveM' in placing;
  const aboutX = Math.max(0, lie.xM - (lands ? longest * Math.cos(a) : 0.75 * longest));
  /** Where one may stand at x, so far out at the most. */
  const feetAt = (xM: number, mostM = Infinity) =>
    footing(c, lies, xM, Math.min(mostM, Math.max(c.edgeNear[rowAt(c, xM)]! + STEP_IN_M, wanted)), means);
  const slack = Math.abs(cast.mendM);

  /** The cast made from so far out: where along the run one stands for it, and how far across it can be. */
  const madeFrom = (yM: number) => {
    const across = Math.max(0, lie.yM - yM);
    /** How far below the stand a fly of that much line is when it is that far across. */
    const below = (line: number, most: number) =>
      Math.sqrt(Math.max(1, line ** 2 - Math.min(across, most * line) ** 2));
    let swung: number;
    let xM: number;
    let mostM = WIDEST * longest;
    let { angleDeg } = cast;
    if (placing === 'sweeps') {
      swung = clamp(SWEPT_SHARE * longest, shortest, longest);
      xM = lie.xM - swung;
      mostM = 2 * reach;
    } else if (placing === 'hangs') {
      swung = clamp(across / Math.max(0.2, steep), shortest, longest);
      xM = lie.xM - below(swung, NEARLY) + PAST_M;
      mostM = NEARLY * longest;
    } else if ('crossDeg' in placing) {
      // No longer than the river is wide at that angle, as long as the arc still crosses the lie.
      const room = (c.edgeFar[rowAt(c, lie.xM)]! - EDGE_M - yM) / Math.sin(a) + slack;
      swung = clamp(across / steep, shortest, Math.min(longest, Math.max(room, across / WIDEST)));
      xM = lie.xM - below(swung, WIDEST);
    } else {
      swung = clamp(across / steep + slack, shortest, longest + slack);
      // A lane nearer than the shortest cast is reached by casting further up.
      const up = goesUp(cast) && swung - slack > across / steep;
      const upDeg = up ? 180 - Math.round(degrees(Math.asin(across / (swung - slack)))) : cast.angleDeg;
      angleDeg = Math.min(CAST_ANGLE_DEG.most, upDeg);
      // The fly is stripped past the lie, not only to it: of a short cast little is left to strip.
      const stripped = Math.max(1, swung - reach - LEAST_OUT_M);
      const aboveM = goesUp(cast) ? Math.min(placing.aboveM, stripped / 2) : placing.aboveM;
      xM = lie.xM - aboveM - placing.sinkS * lie.speedMps - (swung - slack) * Math.cos(radians(angleDeg));
    }
    const asSet = { ...cast, angleDeg, xM: Math.max(0, roundTo(2, xM)), yM, outM: roundTo(2, swung - reach) };
    const fitted = inWater(asSet, c, reach, shortestCast(rig));
    // Turned up the river it lands further up: one stands so much lower.
    const moved = goesUp(asSet) && fitted !== asSet ? reachAlong(asSet, reach) - reachAlong(fitted, reach) : 0;
    const placed = moved === 0 ? fitted : { ...fitted, xM: Math.max(0, roundTo(2, fitted.xM + moved)) };
    return { placed, xM, mostM };
  };

  // The bank is another one where one stands than where one thought to stand: what does not fit there is laid out from there.
  let made = madeFrom(feetAt(aboutX));
  const feet = feetAt(made.placed.xM, made.placed.yM);
  if (feet < made.placed.yM - SETTLED_M) made = madeFrom(feet);
  const { placed, xM, mostM } = made;
  const plan = { ...placed, yM: feetAt(placed.xM, placed.yM) };
  const across = Math.max(0, lie.yM - plan.yM);
  const short = across - mostM;
  const early = plan.xM - xM;
  return {
    plan,
    outOfReach:
      short > lie.widthM / 2 + 0.5
        ? { rank: lie.rank, why: 'too far', acrossM: across }
        : early > lie.lengthM / 2 + 2
          ? { rank: lie.rank, why: 'too near the head', acrossM: across }
          : null,
  };
}

/** A cast that goes up the river, not only a little up of square. */
const goesUp = ({ angleDeg }: Pick<CastPlan, 'angleDeg'>): boolean => angleDeg >= 120;

/** How far down the river from the angler a fly lands, m. */
const reachAlong = (p: CastPlan, reach: number): number =>
  (reach + p.outM - Math.abs(p.mendM)) * Math.cos(radians(p.angleDeg));

/** The same turned down the river until the fly lands in the water; one that goes up it turned further up, and shorter where that
 * is not enough. */
function inWater(plan: CastPlan, c: Channel, reach: number, shortestM: number): CastPlan {
  const slack = Math.abs(plan.mendM);
  const flies = reach + plan.outM - slack;
  const a = radians(plan.angleDeg);
  const room = c.edgeFar[rowAt(c, plan.xM + flies * Math.cos(a))]! - EDGE_M - plan.yM;
  if (room >= flies * Math.sin(a)) return plan;
  const steepest = Math.floor(degrees(Math.asin(Math.max(0, room / flies))));
  if (!goesUp(plan)) return { ...plan, angleDeg: Math.max(CAST_ANGLE_DEG.least, steepest) };
  const angleDeg = Math.min(CAST_ANGLE_DEG.most, 180 - steepest);
  const fits = Math.max(0, room) / Math.sin(radians(angleDeg)) - reach + slack;
  return { ...plan, angleDeg, outM: Math.max(shortestM, Math.min(plan.outM, Math.floor(2 * fits) / 2)) };
}

/** The plan of standFor. */
export const castAt = (...asked: Parameters<typeof standFor>): CastPlan => standFor(...asked).plan;

/** A cast to begin with where no lie was found: a third down the run, a metre in where one can stand there. */
export const plainCast = (
  run: { readonly lengthM: number },
  c: Channel,
  opening: Opening = PLAIN_OPENING,
  means: Means = ANY_MEANS,
): CastPlan => {
  const xM = Math.round(run.lengthM / 3);
  const yM = footing(c, [], xM, c.edgeNear[rowAt(c, xM)]! + STEP_IN_M, means);
  return { xM, yM, outM: 12, angleDeg: opening.angleDeg, mendM: opening.mendM, rod: 'follow' };
};

/** The cast to begin with: for a lie, or a plain one where there is none. */
export const openingCast = (
  lie: FishLie | null | undefined,
  run: { readonly lengthM: number },
  c: Channel,
  rig: Rig,
  lies: readonly FishLie[],
  opening: Opening = PLAIN_OPENING,
  means: Means = ANY_MEANS,
): CastPlan => (lie ? castAt(lie, c, rig, lies, opening, 'swing', means) : plainCast(run, c, opening, means));

/** Line out that reaches the far side of what holds, from where one stands, m. */
export function farSide(lies: readonly FishLie[], plan: CastPlan, rig: Rig, means: Means = ANY_MEANS): number {
  const across = Math.max(2, ...lies.map((l) => Math.abs(l.yM - plan.yM) + l.widthM / 2));
  const line = across / Math.sin(radians(plan.angleDeg)) - REACH * rig.rod.lengthM;
  return Math.max(shortestCast(rig), Math.min(longestCast(means, rig), Math.round(2 * line) / 2));
}

/** Nearer than this to where the bank was drawn, or behind it, one is by the bank, m. */
const BY_BANK_M = 0.5;
export const byBank = (yM: number): boolean => yM < BY_BANK_M;
