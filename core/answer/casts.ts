import type { Risk, Trial, Tried } from '../advice';
import { type Odds, oddsOf, tryOut } from '../advice/trial';
import { type CastPlan, doubtOf, handsOf } from '../cast';
import type { FishLie } from '../lies';
import { draws, NUMERICS } from '../swing';
import type { Rig } from '../tackle';
import { type Aim, movesFrom, plainAims, planOf } from './aims';
import type { Setup } from './rigs';
import type { Situation } from './situation';
import { WEIGHTS } from './weights';

/** A cast of a set-up at a lie, simulated. */
export interface Stand extends Tried {
  readonly lie: FishLie;
  /** By how many things it departs from the plain cast. */
  readonly moves: number;
  /** What puts it at risk; told with the chance. */
  readonly risk?: Risk | null;
  /** How near to what is wanted its swings come on the whole, 0 to 1; told with the chance. */
  readonly credit?: number;
}

/** Casts by how often they are right, the surest first; those that are not known last. */
export const surestFirst = (stands: readonly Stand[]): Stand[] =>
  [...stands].sort((a, b) => (b.chance ?? 0) - (a.chance ?? 0));

/** What served best at a lie so far, by method, rod and line: the same cast is likely for the next tip and fly. */
export type Hints = Map<string, Aim>;

/** The cast one would begin with at a lie, in full; null where it cannot be made. */
export function plainCast(s: Situation, setup: Setup, lie: FishLie): Tried | null {
  const [aim] = plainAims(s, setup);
  const plan = aim && planOf(s, setup, lie, aim);
  return plan ? tryOut(s.channel, { lie, sideOn: false }, trialOf(s, setup.rig, plan), NUMERICS.full) : null;
}

/** What is off the middle of the band is at risk, in units of being wrong; later casts are less plain. */
const OFF_MIDDLE = 0.5;
const LESS_PLAIN = 0.08;

const offMiddle = ({ verdict: { pass, lie } }: Tried): number => {
  const half = Math.max(0.02, (lie.band.bottomM - lie.band.topM) / 2);
  return Math.min(1, Math.abs(pass.depthM - (lie.band.topM + lie.band.bottomM) / 2) / half);
};

const trialOf = (s: Situation, rig: Rig, plan: CastPlan): Trial => ({ rig, plan, means: s.means });

/** Coarse swings that were made: of a set-up that goes on, the same casts are asked for again. */
const made = new WeakMap<Situation, WeakMap<Setup, Map<string, Tried | null>>>();

/** A cast by a coarse chain, from what was made where it is there. @param cast the plan as text */
function coarse(s: Situation, setup: Setup, lie: FishLie, plan: CastPlan, cast: string): Tried | null {
  const here = made.get(s) ?? new WeakMap<Setup, Map<string, Tried | null>>();
  const known = here.get(setup) ?? new Map<string, Tried | null>();
  made.set(s, here.set(setup, known));
  const key = `${lie.rank} ${cast}`;
  let tried = known.get(key);
  if (tried === undefined) {
    tried = tryOut(s.channel, { lie, sideOn: false }, trialOf(s, setup.rig, plan), NUMERICS.coarse);
    known.set(key, tried);
  }
  return tried;
}

/**
 * Casts of a set-up at a lie with a coarse chain, what serves best first: from the plain one on, each time what was best is
 * altered as its pass asks for, until one is right in the middle of the band or so many were tried. What served the rig before
 * is tried first.
 */
function* coarseCasts(
  s: Situation,
  setup: Setup,
  lie: FishLie,
  tries: number,
  hints: Hints,
): Generator<void, Stand[], undefined> {
  interface Found {
    readonly aim: Aim;
    readonly stand: Stand;
    readonly worth: number;
  }
  const found: Found[] = [];
  const known = new Set<string>();
  const open: Found[] = [];
  const key = `${setup.method} ${setup.rig.rod.id} ${setup.rig.head.id} ${lie.rank}`;
  const hint = hints.get(key);
  const plain = plainAims(s, setup);
  const waiting = [
    ...(hint ? [hint] : []),
    ...plain,
    ...TURNED.flatMap(([from, deg]) => (tries < from ? [] : plain.flatMap((aim) => turnedBy(aim, deg)))),
  ];
  for (let n = 0; n < tries;) {
    let aim = waiting.shift();
    if (!aim) {
      const next = open.sort((a, b) => a.worth - b.worth).shift();
      if (!next) break;
      waiting.push(...movesFrom(s, next.aim, next.stand));
      continue;
    }
    const plan = planOf(s, setup, lie, aim);
    const cast = JSON.stringify(plan);
    if (!plan || known.has(cast)) continue;
    known.add(cast);
    n++;
    const tried = coarse(s, setup, lie, plan, cast);
    yield;
    if (!tried) {
      // It lands up the bank, or wood stands in front: shorter, or further down.
      if (aim.moves < MOST_ESCAPES)
        waiting.push({ ...escaped(aim), longerM: aim.longerM - 2 }, { ...escaped(aim), angleDeg: aim.angleDeg - 10 });
      continue;
    }
    const worth = tried.miss + OFF_MIDDLE * offMiddle(tried) + LESS_PLAIN * aim.moves;
    const one = { aim, stand: { ...tried, lie, moves: aim.moves }, worth };
    found.push(one);
    open.push(one);
    if (tried.miss === 0 && offMiddle(tried) < MIDDLE) break;
  }
  found.sort((a, b) => a.worth - b.worth);
  if (found[0] && found[0].worth < HOPELESS) hints.set(key, found[0].aim);
  return found.map((f) => f.stand);
}
const MIDDLE = 0.4;
/** A cast that cannot be made is altered so many times. */
const MOST_ESCAPES = 3;
const escaped = (aim: Aim): Aim => ({ ...aim, moves: aim.moves + 1 });
/** From so many tries on a swing is begun from so many degrees to either side, too: one start may lead nowhere. */
const TURNED = [
  [12, 20],
  [24, 40],
] as const;
const turnedBy = (aim: Aim, deg: number): Aim[] =>
  aim.way === 'swing' ? [-deg, deg].map((by) => ({ ...aim, angleDeg: aim.angleDeg + by, moves: 1 })) : [];

/** The cast that serves a lie best, by a coarse chain; null where none can be made. */
export function* bestCast(...asked: Parameters<typeof coarseCasts>): Generator<void, Stand | null, undefined> {
  return (yield* coarseCasts(...asked))[0] ?? null;
}

/** How good a cast looks before its chance is known, 0 to 1. */
const promise = (t: Tried | null): number =>
  t === null ? 0 : t.miss === 0 ? 1 - 0.3 * offMiddle(t) : 0.6 * Math.exp(-t.miss / 3);

/** Slower than this a fly hardly rises, m/s. */
const RISES_MPS = 0.01;

/** What of a pass is left where it must be fussed for, is head to the current, or should rise at the fish and does not. */
function grace({ moves, verdict: { pass }, plan }: Stand): number {
  const side = 1 - WEIGHTS.sideOn * (1 - Math.min(1, pass.axisDeg / 90));
  const rise = handsOf(plan).way === 'timed rise' && pass.riseMps < RISES_MPS ? 1 - WEIGHTS.rise : 1;
  return (1 - WEIGHTS.fuss * moves) * side * rise;
}

/** What a cast with its chance is worth at its lie, 0 to 1. */
export const esteem = (stand: Stand | null): number => (stand ? likely(stand) * grace(stand) : 0);

/** Half by how often it is right, half by how near it comes; before that is known by what it promises. */
const likely = (stand: Stand): number =>
  stand.credit === undefined
    ? promise(stand)
    : ((stand.credit + stand.chance! / 10) / 2) * (stand.miss === 0 ? 1 : OFF_AS_READ);
/** A cast that is off with the water as it was read, however often it comes right otherwise. */
const OFF_AS_READ = 0.75;

/** So many casts are tried over the doubt of the readings before a lie is left with the best of them. */
const FINALISTS = 2;
/** Drawings by which casts are chosen. */
const SEARCHED_BY = 10;
const SURE_OF_TEN = 8;
/** So many of the coarse ones are swum in full: near the bed the coarse chain may be off by a finger. */
const SWUM = 6;
const isMiddle = (t: Stand): boolean => t.miss === 0 && offMiddle(t) < MIDDLE;
/** A cast that is off by so much with the water as it was read is not tried over its doubt: four hands, or on the bed. */
const HOPELESS = 4;
const NEVER: Odds = { ofTen: 0, risk: null, credit: 0 };

const withOdds = (stand: Stand, { ofTen, risk, credit }: Odds): Stand => ({ ...stand, chance: ofTen, risk, credit });

/** A cast that was chosen, with its chance as it is told: by drawings that it was not chosen by. */
export const told = (s: Situation, stand: Stand): Stand => {
  const odds = stand.chance ? oddsOf(s.channel, { lie: stand.lie, sideOn: false }, stand) : null;
  return odds ? withOdds(stand, odds) : stand;
};

/** The cast at a lie in full, with its chance over the doubt of the readings: of the best few the surest. */
export function* surestCast(...asked: Parameters<typeof coarseCasts>): Generator<void, Stand | null, undefined> {
  const [s, , lie] = asked;
  const wanted = { lie, sideOn: false };
  const swum: Stand[] = [];
  for (const trial of (yield* coarseCasts(...asked)).slice(0, SWUM)) {
    const tried = tryOut(s.channel, wanted, trial, NUMERICS.full);
    yield;
    if (tried) swum.push({ ...tried, lie, moves: trial.moves });
    if (swum.filter(isMiddle).length >= FINALISTS) break;
  }
  const wrong = (t: Stand) => t.miss + OFF_MIDDLE * offMiddle(t) + LESS_PLAIN * t.moves;
  return yield* surestOf(s, swum.sort((x, y) => wrong(x) - wrong(y)).slice(0, FINALISTS));
}

/** Of casts that were swum, the most promising first, the surest over the doubt of the readings. What can no longer become it is
 * not swum to the end. */
function* surestOf(s: Situation, swum: readonly Stand[]): Generator<void, Stand | null, undefined> {
  const all = draws(doubtOf(s.channel, SEARCHED_BY));
  let best: Stand | null = null;
  for (const tried of swum) {
    const before: Stand | null = best;
    const better = (odds: Odds) => before === null || esteem(withOdds(tried, odds)) > esteem(before);
    const odds =
      tried.miss > HOPELESS ? NEVER : oddsOf(s.channel, { lie: tried.lie, sideOn: false }, tried, all, better);
    yield;
    if (!odds || !better(odds)) continue;
    best = withOdds(tried, odds);
    if (best.chance! >= SURE_OF_TEN) break;
  }
  return best;
}

/** The cast of another rig at a lie made with this one; null where it cannot be made. */
export function* borrowed(s: Situation, rig: Rig, of: Stand): Generator<void, Stand | null, undefined> {
  const tried = tryOut(s.channel, { lie: of.lie, sideOn: false }, trialOf(s, rig, of.plan), NUMERICS.full);
  yield;
  return tried && (yield* surestOf(s, [{ ...tried, lie: of.lie, moves: of.moves }]));
}
