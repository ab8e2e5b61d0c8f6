import { whyNotCast } from '../cast';
import type { HoldingCell } from '../lies';
import { type Ground, shownFlies, type ShownFly } from '../showing';
import type { SwingResult } from '../swing';
import { type CastChoice, choiceOfCast, coarseSwing, groundFor } from './casts';
import { shared, within } from '../maths/work';
import { keptOver, ratesAt } from './rates';
import { castsFrom, type CoverRequest, type Passed, type Row, ruleFor, standsAlong, workFor } from './stands';
import { signOf, type Work } from './work';

/** The casts that a run offers to a rig, each simulated, and those of the rule of thumb in their order. */
export interface Covering {
  readonly ground: Ground<HoldingCell>;
  readonly weights: Float64Array;
  readonly work: Work;
  readonly flies: readonly ShownFly[];
  readonly casts: readonly CastChoice[];
  readonly rule: readonly CastChoice[];
  /** What of the showings in the water as it was read is left over the doubt of the readings, 0 to 1. */
  readonly kept: number;
}

/** Swings are simulated at so many stands along the run at the most: between them a swing goes as at the nearest. In a sketch at so
 * many. */
export const MOST_STATIONS = 10;
const SKETCHED = 3;

interface Swum {
  readonly of: Passed & Row;
  readonly swing: SwingResult;
}
const sameRow = (a: Row, b: Row): boolean => a.pass === b.pass && a.length === b.length && a.turnDeg === b.turnDeg;
/** So many stands, and casts of the rule, are looked at between two moments at which the work can be ended. */
const STANDS_AT_ONCE = 4;
const RULED_AT_ONCE = 16;
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
 * @param kept what of the showings is left over the doubt of the readings, where that is known; else it is worked out
 * @yields the share done, 0 to 1
 * @throws RangeError when the visibility is not above 0
 */
export function* coveringOf(q: CoverRequest, kept?: number): Generator<number, Covering, undefined> {
  const offered = yield* within(swumAt(q, MOST_STATIONS, ruleFor(q)), 0, SWUM_SHARE);
  const left = kept ?? (yield* shared(keptOf(q), SWUM_SHARE, 1 - SWUM_SHARE, 20));
  yield 1;
  return { ...offered, kept: left };
}
const SWUM_SHARE = 0.9;

/** The same by a few swings, without the rule of thumb and in the water as it was read: sooner, for comparing. */
export function* sketchOf(q: CoverRequest): Generator<number, Covering, undefined> {
  return { ...(yield* swumAt(q, SKETCHED, [])), kept: 1 };
}

function* keptOf(q: CoverRequest): Generator<void, number, undefined> {
  return yield* keptOver(q, yield* ratesAt(q, 'middle'));
}

function* swumAt(
  q: CoverRequest,
  stations: number,
  byRule: readonly Passed[],
): Generator<number, Omit<Covering, 'kept'>, undefined> {
  const ground = groundFor(q);
  const work = workFor(q);
  const along = standsAlong(q);
  const each = Math.max(1, Math.ceil(along.length / stations));
  const at = along.filter((_, i) => i % each === 0);
  const parts = at.length + 2; // a part of the work is each stand's swings, all that is cast like them, and the rule
  const swum: Swum[][] = [];
  for (const [i, xM] of at.entries()) {
    const here: Swum[] = [];
    let made = 0;
    for (const of of castsFrom(q, xM)) {
      const swing = coarseSwing(q, of.plan);
      if (swing) here.push({ of, swing });
      yield (i + ++made / 100) / parts;
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
    const moved = { alongM: cast.plan.xM - plan.xM, outM: cast.plan.yM - plan.yM };
    return choiceOfCast(q, ground, flies, work, cast, known.swing, moved);
  };
  const casts: CastChoice[] = [];
  for (const [i, xM] of along.entries()) {
    for (const cast of castsFrom(q, xM)) {
      const gone = goneLike(cast, (of) => (sameRow(cast, of) ? 0 : Infinity));
      if (gone) casts.push(gone);
    }
    if (i % STANDS_AT_ONCE === 0) yield (at.length + i / along.length) / parts;
  }
  const rule: CastChoice[] = [];
  for (const [i, cast] of byRule.entries()) {
    const gone = goneLike(cast, (of) =>
      of.turnDeg !== 0 ? Infinity : Math.abs(of.plan.outM - cast.plan.outM) + Math.abs(of.plan.yM - cast.plan.yM),
    );
    if (gone) rule.push(gone);
    if (i % RULED_AT_ONCE === 0) yield (at.length + 1 + i / byRule.length) / parts;
  }
  for (const plan of q.special) {
    const swing = coarseSwing(q, plan);
    const choice = swing && choiceOfCast(q, ground, flies, { times: 1 }, { plan, pass: 1 }, swing);
    if (choice) casts.push({ ...choice, special: true });
  }
  return {
    ...{ ground, work, flies, rule },
    weights: Float64Array.from(ground.places, (c) => c.weight),
    casts: casts.filter((c) => c.cells.length > 0).sort((a, b) => signOf(work) * (a.plan.xM - b.plan.xM)),
  };
}
