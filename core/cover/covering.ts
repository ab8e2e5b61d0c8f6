import { barredBy } from '../advice';
import { type CastPlan, whyNotCast } from '../cast';
import { caseOnRun } from '../cast/case';
import { type HoldingCell, holdingWater } from '../lies';
import { dayEffects } from '../lies/score';
import { roundTo } from '../maths';
import { unlessRefused } from '../refusal';
import { type Ground, groundOf, shownFlies, showingsOf, type ShownFly } from '../showing';
import { type Draw, drawn, NUMERICS, runSwing, type SwingResult } from '../swing';
import { COL, flyAt, HZ, rowOf, WIDTH } from '../swing/series';
import type { Channel } from '../water';
import type { Choice } from './gain';
import { castSeconds } from './pace';
import { castsFrom, type CoverRequest, type Passed, type Row, ruleFor, standsAlong, workFor } from './stands';
import { signOf, type Work } from './work';

/** A cast that can be made, with what it shows the flies to. */
export interface CastChoice extends Choice, Passed {
  readonly cells: Uint16Array;
  readonly by: Float32Array;
  /** The point fly's way while it fishes, [x, y] in m. */
  readonly path: readonly (readonly [number, number])[];
  /** It is no cast of the way, but one of its own. */
  readonly special?: true;
}

/** The casts that a run offers to a rig, each simulated, and those of the rule of thumb in their order. */
export interface Covering {
  readonly ground: Ground<HoldingCell>;
  readonly weights: Float64Array;
  readonly work: Work;
  readonly flies: readonly ShownFly[];
  readonly casts: readonly CastChoice[];
  readonly rule: readonly CastChoice[];
}

/** Swings are simulated at so many stands along the run at the most: between them a swing goes as at the nearest. In a sketch at so
 * many. */
export const MOST_STATIONS = 10;
const SKETCHED = 3;

/** A second of the fly’s way at a time is enough to draw. */
function wayOf(r: SwingResult): [number, number][] {
  if (!r.fishing) return [];
  const out: [number, number][] = [];
  for (let row = rowOf(r, r.fishing.fromS); row <= rowOf(r, r.fishing.toS); row += HZ) {
    const { xM, yM } = flyAt(r, row);
    out.push([roundTo(10, xM), roundTo(10, yM)]);
  }
  return out;
}

/** The same swing so much further down and out. */
function movedBy(r: SwingResult, alongM: number, outM: number): SwingResult {
  if (alongM === 0 && outM === 0) return r;
  const shifted = (series: Float64Array) => {
    const out = series.slice();
    for (let o = 0; o < out.length; o += WIDTH) {
      out[o + COL.x]! += alongM;
      out[o + COL.y]! += outM;
    }
    return out;
  };
  return { ...r, series: shifted(r.series), others: r.others.map((t) => ({ ...t, series: shifted(t.series) })) };
}

const grounds = new WeakMap<Channel, Map<string, Ground<HoldingCell>>>();

type GroundRequest = Pick<CoverRequest, 'run' | 'channel' | 'reading' | 'options'>;
const groundKey = ({ reading, options }: GroundRequest): string => JSON.stringify([reading, options]);

/** The holding water of a request, as ground that flies are shown to; worked out once for a channel. */
export function groundFor(q: GroundRequest): Ground<HoldingCell> {
  const { run, channel, reading, options } = q;
  const known = grounds.get(channel);
  const ground = known?.get(groundKey(q));
  if (ground) return ground;
  const { willing } = dayEffects(run, channel, reading, options);
  return keepGround(q, groundOf(holdingWater(run, channel, reading, options), willing));
}

/** Keeps the ground of a request, e.g. the same fish in other water. */
export function keepGround(q: GroundRequest, ground: Ground<HoldingCell>): Ground<HoldingCell> {
  grounds.set(q.channel, (grounds.get(q.channel) ?? new Map<string, Ground<HoldingCell>>()).set(groundKey(q), ground));
  return ground;
}

/** A swing of a cast by the coarse chain, in the water as it was read or as it was drawn; null where it cannot be made. */
export const coarseSwing = ({ channel, rig }: CoverRequest, plan: CastPlan, draw?: Draw): SwingResult | null =>
  unlessRefused(() => {
    const swing = { ...caseOnRun(channel, rig, plan, []), keepLineS: 0, afterDangleS: 0 };
    return runSwing(draw ? drawn(swing, draw) : swing, NUMERICS.coarse);
  });

/** What a cast that was swum, in water so many times as deep, shows the flies to; null where one of them swims through wood or over a redd. */
export function choiceOfCast(
  { channel }: CoverRequest,
  ground: Ground<HoldingCell>,
  flies: readonly ShownFly[],
  { times }: Pick<Work, 'times'>,
  { plan, pass }: Passed,
  r: SwingResult,
  depthTimes = 1,
): CastChoice | null {
  if (barredBy(r, channel.features)) return null;
  const { places, by } = showingsOf(r, ground, flies, depthTimes);
  return { plan, pass, path: wayOf(r), cells: places, by, seconds: times * castSeconds(r, plan.outM), times };
}

interface Swum {
  readonly of: Passed & Row;
  readonly swing: SwingResult;
}
const sameRow = (a: Row, b: Row): boolean => a.pass === b.pass && a.length === b.length && a.turnDeg === b.turnDeg;
/** Casts that differ by more, metres of line and of the stand out, are not taken for each other. */
const ALIKE = 4;
/** The index of the nearest of some numbers. */
const nearest = (all: readonly number[], to: number): number =>
  all.reduce((best, v, i) => (Math.abs(v - to) < Math.abs(all[best]! - to) ? i : best), 0);

/**
 * The casts that a run offers to a rig: those of its way from every stand, those of their own, and those of the rule of thumb, which
 * are among them. A swing of the coarse chain every few steps; between them it goes as at the nearest stand, over the water that is
 * there.
 *
 * @yields the share done, 0 to 1
 * @throws RangeError when the visibility is not above 0
 */
export function* coveringOf(q: CoverRequest): Generator<number, Covering, undefined> {
  return yield* swumAt(q, MOST_STATIONS, ruleFor(q));
}

/** The same by a few swings and without the rule of thumb: sooner, for comparing. */
export const sketchOf = (q: CoverRequest): Generator<number, Covering, undefined> => swumAt(q, SKETCHED, []);

function* swumAt(q: CoverRequest, stations: number, byRule: readonly Passed[]): Generator<number, Covering, undefined> {
  const ground = groundFor(q);
  const work = workFor(q);
  const along = standsAlong(q);
  const each = Math.max(1, Math.ceil(along.length / stations));
  const at = along.filter((_, i) => i % each === 0);
  const swum: Swum[][] = [];
  for (const [i, xM] of at.entries()) {
    const here: Swum[] = [];
    let made = 0;
    for (const of of castsFrom(q, xM)) {
      const swing = coarseSwing(q, of.plan);
      if (swing) here.push({ of, swing });
      yield (i + ++made / 100) / (at.length + 1);
    }
    swum.push(here);
  }
  const flies = shownFlies(q.rig, castsFrom(q, 0)[0]!.plan, ground.willing);
  /** A cast as the most like it at the nearest stand goes, over the water that is there. */
  const goneLike = (cast: Passed, unlike: (of: Row & Passed) => number): CastChoice | null => {
    const near = swum[nearest(at, cast.plan.xM)]!;
    const known = near.reduce<Swum | null>((a, b) => (a && unlike(a.of) <= unlike(b.of) ? a : b), null);
    if (!known || unlike(known.of) > ALIKE || whyNotCast(q.channel, q.rig, cast.plan)) return null;
    const { plan } = known.of;
    const moved = movedBy(known.swing, cast.plan.xM - plan.xM, cast.plan.yM - plan.yM);
    return choiceOfCast(q, ground, flies, work, cast, moved);
  };
  const casts = along
    .flatMap((xM) => castsFrom(q, xM))
    .flatMap((cast) => goneLike(cast, (of) => (sameRow(cast, of) ? 0 : Infinity)) ?? []);
  const rule = byRule.flatMap(
    (cast) =>
      goneLike(cast, (of) =>
        of.turnDeg !== 0 ? Infinity : Math.abs(of.plan.outM - cast.plan.outM) + Math.abs(of.plan.yM - cast.plan.yM),
      ) ?? [],
  );
  for (const plan of q.special) {
    const swing = coarseSwing(q, plan);
    const choice = swing && choiceOfCast(q, ground, flies, { times: 1 }, { plan, pass: 1 }, swing);
    if (choice) casts.push({ ...choice, special: true });
  }
  yield 1;
  return {
    ...{ ground, work, flies, rule },
    weights: Float64Array.from(ground.places, (c) => c.weight),
    casts: casts.filter((c) => c.cells.length > 0).sort((a, b) => signOf(work) * (a.plan.xM - b.plan.xM)),
  };
}
