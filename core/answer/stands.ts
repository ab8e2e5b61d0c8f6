import { isRight, type Risk, type Tried, type Verdict } from '../advice';
import { oddsDrawn, tryOut } from '../advice/trial';
import { type CastPlan, handsOf, PLAIN_OPENING } from '../cast';
import { standFor } from '../cast/stand';
import { type Beat, beatFor } from '../cover/beat';
import { USUAL_TIME } from '../cover/patience';
import { shownAt } from '../cover/shownAt';
import { clamp } from '../maths';
import type { FishLie } from '../lies';
import { shared } from '../maths/work';
import { rideOf } from '../showing';
import { NUMERICS } from '../swing';
import { fliesOf, itemsOf, type RodItem } from '../tackle';
import { fish, type Fished, MOST_LIES, patienceOf } from './fished';
import { type Method, METHODS } from './methods';
import { takesDown } from './fits';
import { refitted, type Setup, tipsOf } from './rigs';
import { type Bench, byWeight } from './setupWorth';
import { HOPELESS, ownCast } from './ownCast';
import { widestAngles } from './ways';
import { ownCasts } from './waysIn';
import { GIVEN_UP_OF_TEN, SERVED_OF_TEN } from './weights';

/** The cast that shows the fly best at a lie. */
export interface Stand extends Tried {
  readonly lie: FishLie;
  /** It is no cast of the way that the run is fished in, but one of its own. */
  readonly special?: true;
  /** In how many of ten swings within the doubt of the readings the fish of the lie are well shown the fly; not said: not worked out. */
  readonly chance?: number;
  /** What puts it at risk; told with the chance. */
  readonly risk?: Risk | null;
}

/** Casts by how sure they are, the surest first; those that are not known last. */
export const surestFirst = (stands: readonly Stand[]): Stand[] =>
  [...stands].sort((a, b) => (b.chance ?? 0) - (a.chance ?? 0));

/** Why a set-up does not serve a lie: what its best cast does there as the water was read, or that it is right too seldom. */
export type Because =
  | 'out of reach'
  | 'beyond the rod'
  | 'short of it'
  | 'not fishing'
  | 'wood'
  | 'redd'
  | 'on the bed'
  | 'line on the bed'
  | 'too deep'
  | 'too shallow'
  /** The fly rides on the surface. */
  | 'wakes'
  | 'too fast'
  | 'seldom';

/** A lie that is left. */
export interface GivenUp {
  readonly lie: FishLie;
  readonly because: Because;
  /** A tip of the bag that takes the fly down further, or less far, where that is what is wrong; null: none does. */
  readonly tip: string | null;
}

/** A set-up with how it is fished: the run from end to end, and what it does at each lie. */
export interface Served extends Fished {
  /** The lies that it was tried at. */
  readonly of: readonly FishLie[];
  /** One cast a lie, in the order of the work. */
  readonly stands: readonly Stand[];
  /** Lies that it does not serve: too seldom right, or out of its reach. */
  readonly givesUp: readonly GivenUp[];
  /** The casts of the hour, in their order. */
  readonly beat: Beat;
  /** The first of them, at the lie that it shows best; null where there is none. */
  readonly begin: Stand | null;
}

/** Of the casts of the way so many are swum in full at a lie, and over the doubt of the readings until one is sure. */
const SWUM = 2;
const opening = (way: CastPlan, turnDeg: number) => ({
  ...PLAIN_OPENING,
  angleDeg: clamp(way.angleDeg + turnDeg, ...widestAngles(handsOf(way).way)),
  mendM: way.mendM,
});
/** Casts of their own begin at the angle of the way, and squarer. */
const STARTS_DEG = [0, 20] as const;
/** The cast that is laid out for a lie by itself. */
const laidOut = ({ s }: Bench, { setup, way }: Pick<Fished, 'setup' | 'way'>, lie: FishLie, turnDeg = 0) =>
  standFor(lie, s.channel, setup.rig, s.lies, opening(way, turnDeg), handsOf(way).way, s.means);

/** The casts that are laid out for the best lies, by a coarse chain: a first thought. */
export const firstCasts = (b: Bench, setup: Setup, way: CastPlan): Stand[] =>
  byWeight(b.s)
    .slice(0, FIRST_LIES)
    .flatMap((lie) => {
      const { plan } = laidOut(b, { setup, way }, lie);
      const tried = tryOut(b.s.channel, lie, { rig: setup.rig, plan, means: b.s.means }, NUMERICS.coarse);
      return tried ? [{ ...tried, lie }] : [];
    });
const FIRST_LIES = 4;

/** Of casts, the best first, those that are another cast than the ones before: from elsewhere, or another length. */
const apart = (plans: readonly CastPlan[]): CastPlan[] =>
  plans.reduce<CastPlan[]>(
    (kept, p) =>
      kept.some((k) => Math.abs(k.xM - p.xM) < APART.alongM && Math.abs(k.outM - p.outM) < APART.lineM)
        ? kept
        : [...kept, p],
    [],
  );
const APART = { alongM: 4, lineM: 1.5 } as const;

/** What a set-up does at one lie: by the best of its way's casts in full; where that is not sure, by one of its own. */
function* standAt(b: Bench, f: Fished, lie: FishLie): Generator<void, Stand | null, undefined> {
  const { s } = b;
  const swum = (plan: CastPlan, special?: true): Stand | null => {
    const tried = tryOut(s.channel, lie, { rig: f.setup.rig, plan, means: s.means }, NUMERICS.full);
    return tried && { ...tried, lie, ...(special ? { special } : null) };
  };
  const better = (a: Stand | null, c: Stand | null) => ((c?.verdict.showing ?? 0) > (a?.verdict.showing ?? -1) ? c : a);
  /** It with its chance, where that is more than another's. */
  const surer = function* (stand: Stand | null, than: Stand | null): Generator<void, Stand | null, undefined> {
    if (!stand) return than;
    const hopes = stand.verdict.showing > HOPELESS;
    const odds = hopes ? yield* oddsDrawn(s.channel, lie, stand, { toBeat: than?.chance ?? -1 }) : null;
    return odds || !than ? { ...stand, chance: odds?.ofTen ?? 0, risk: odds?.risk ?? null } : than;
  };
  const planned = apart(
    f.covering.casts
      .map((cast) => ({ cast, by: shownAt(f.covering, cast, lie) }))
      .filter((x) => x.by > 0)
      .sort((a, c) => c.by - a.by - LONGER * (c.cast.plan.outM - a.cast.plan.outM))
      .map((x) => x.cast.plan),
  ).slice(0, SWUM);
  let best: Stand | null = null;
  let found: Stand | null = null;
  for (const plan of planned) {
    const tried = swum(plan);
    best = better(best, tried);
    found = yield* surer(tried, found);
    yield;
    if ((found?.chance ?? 0) >= SERVED_OF_TEN) break;
  }
  if ((found?.chance ?? 0) >= SERVED_OF_TEN) return found;
  const plan = yield* ownCast(b, f.setup, lie, [
    ...(best ? [best.plan] : []),
    ...STARTS_DEG.map((turn) => laidOut(b, f, lie, turn).plan),
  ]);
  const own = plan && swum(plan, true);
  yield;
  return yield* surer(own, found);
}
/** Of two alike the shorter: a metre more of line must show so much more. */
const LONGER = 0.01;
/** A set-up as it is told: the run from end to end with the casts of their own that pay, and what it does at each lie. */
export function* served(b: Bench, f: Fished): Generator<number, Served, undefined> {
  const of = byWeight(b.s).slice(0, MOST_LIES);
  const found: Stand[] = [];
  for (const [i, lie] of of.entries()) {
    const stand = yield* shared(standAt(b, f, lie), (AT_LIES * i) / of.length, AT_LIES / of.length, 60);
    if (stand) found.push(stand);
  }
  const special = ownCasts(found);
  const whole = special.length > 0 ? yield* shared(fish(b, f.setup, f.way, special), AT_LIES, 1 - AT_LIES, 80) : f;
  const at = (lie: FishLie) => found.find((t) => t.lie === lie) ?? null;
  const beat = beatFor(whole.covering, USUAL_TIME.minutes, patienceOf(b));
  const left = of.filter((l) => (at(l)?.chance ?? 0) < GIVEN_UP_OF_TEN);
  const givesUp: GivenUp[] = [];
  for (const lie of left) {
    const stand = at(lie);
    const because = becauseOf(b, f, lie, stand);
    const tip = yield* shared(tipFor(b, f, lie, because, stand?.plan), 1, 0, 1);
    givesUp.push({ lie, because, tip });
  }
  const begin = yield* shared(beginning(b, f, beat, of, left), 1, 0, 1);
  return {
    ...whole,
    of,
    begin,
    stands: inOrder(found, f.setup.method),
    ...{ givesUp, beat },
  };
}
const AT_LIES = 0.85;

/** The first cast of a beat, judged at the lie that it shows best, or at the nearest of those that are fished. */
function* beginning(
  { s }: Bench,
  f: Fished,
  { casts: [first] }: Beat,
  all: readonly FishLie[],
  left: readonly FishLie[],
): Generator<void, Stand | null, undefined> {
  if (!first) return null;
  const fished = all.filter((l) => !left.includes(l) || shownAt(f.covering, first, l) > 0);
  const lies = fished.length > 0 ? fished : all;
  const away = (l: FishLie) => Math.hypot(l.xM - first.plan.xM, l.yM - first.plan.yM);
  const [lie] = [...lies].sort(
    (a, c) => shownAt(f.covering, first, c) - shownAt(f.covering, first, a) || away(a) - away(c),
  );
  const tried = tryOut(s.channel, lie!, { rig: f.setup.rig, plan: first.plan, means: s.means }, NUMERICS.full);
  return tried && { ...tried, lie: lie!, chance: (yield* oddsDrawn(s.channel, lie!, tried))?.ofTen ?? 0 };
}

/** Why the fly does not come to a lie: it is out of reach, out of this rod's only, or the swing ends short of it. */
function farFrom(b: Bench, f: Fished, lie: FishLie): Because {
  const reaches = (rod: RodItem) =>
    laidOut(b, { ...f, setup: { ...f.setup, rig: { ...f.setup.rig, rod } } }, lie).outOfReach === null;
  if (reaches(f.setup.rig.rod)) return 'short of it';
  return itemsOf(b.s.kit, 'rod').some((r) => !r.aside && reaches(r)) ? 'beyond the rod' : 'out of reach';
}

/** The next tip of the bag on which the lie is well shown the fly, where depth is what is wrong; null: none is found. */
function* tipFor(
  b: Bench,
  f: Fished,
  lie: FishLie,
  because: Because,
  own: CastPlan | undefined,
): Generator<void, string | null, undefined> {
  const by = because === 'too shallow' ? 1 : because === 'too deep' || because === 'on the bed' ? -1 : 0;
  const here = takesDown(f.setup.rig.tip);
  const others = tipsOf(b.s, f.setup.method)
    .filter((t) => t && by * (takesDown(t) - here) > 0)
    .sort((a, c) => by * (takesDown(a) - takesDown(c)));
  for (const tip of others) {
    const setup = refitted(b.s, f.setup, { tip });
    if (!setup) continue;
    const plans = [...(own ? [own] : []), ...STARTS_DEG.map((turn) => laidOut(b, { ...f, setup }, lie, turn).plan)];
    const does = plans.some((plan) => {
      const tried = tryOut(b.s.channel, lie, { rig: setup.rig, plan, means: b.s.means }, NUMERICS.coarse);
      return tried && isRight(tried.verdict);
    });
    if (does) return tip!.name;
    yield;
  }
  return null;
}

/** What a fly that does not fish for lying on the bed is told as. */
const LYING: Partial<Record<Verdict['idle'] & string, Because>> = { bed: 'on the bed', line: 'line on the bed' };

/** Why a cast does not serve its lie, as the water was read; null is none at all. */
export function becauseOf(b: Bench, f: Fished, lie: FishLie, stand: Stand | null): Because {
  if (!stand) return farFrom(b, f, lie);
  const { fit, idle, wood, redd, tooFast, pass, place } = stand.verdict;
  const { method, rig } = f.setup;
  const high = method === 'wake fly' || rideOf(fliesOf(rig)[place]!) === 'wakes' ? 'wakes' : 'too shallow';
  if (wood) return 'wood';
  if (redd) return 'redd';
  if (fit === 'not reached') {
    const because = farFrom(b, f, lie);
    // It could come there, but is swept past beside the lie before it has sunk.
    return because === 'short of it' && pass.depthM < stand.verdict.lie.band.topM ? high : because;
  }
  if (fit === 'not fishing') return (idle && LYING[idle]) ?? fit;
  if (fit !== 'right') return fit === 'too shallow' ? high : fit;
  return tooFast ? 'too fast' : 'seldom';
}

/** Head down when the fly swings, tail up when casts go upstream; the near lie before the far one from about one stand. */
export function inOrder(stands: readonly Stand[], method: Method): Stand[] {
  const sign = METHODS[method].ways[0] === 'upstream strip' ? -1 : 1;
  const step = (x: Stand) => Math.round(x.plan.xM / TOGETHER_M);
  return [...stands].sort((a, c) => sign * (step(a) - step(c)) || a.lie.yM - c.lie.yM);
}
const TOGETHER_M = 3;
