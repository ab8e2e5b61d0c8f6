import { type Risk, rideOf, type Trial, type Tried } from '../advice';
import { type Odds, oddsOf, tryOut } from '../advice/trial';
import {
  CAST_ANGLE_DEG,
  type CastPlan,
  doubtOf,
  handsOf,
  openingOf,
  shortestCast,
  standFor,
  wadeTo,
  type Way,
} from '../cast';
import { type FishLie, riding } from '../lies';
import { clamp, roundTo } from '../maths';
import { draws, NUMERICS } from '../swing';
import { flyBody, flySinkRate, type Rig } from '../tackle';
import { rowAt } from '../water';
import { type Method, METHODS } from './methods';
import type { Setup } from './rigs';
import type { Schools } from './schools';
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

/** Upstream mends that each school would lay in, m, the first first. */
const MENDS: Record<Schools['mends'], readonly number[]> = {
  'mend for depth': [0, 1, 2, 3],
  'one and a step': [1],
  'keep it straight': [0],
  'set once': [0, 1],
};
const WAKE_DEG = 60;
/** One mend and a step: so far down while it sinks, m. */
const STEP_M = 1.5;
/** Short and sure: no longer than this where it will do, m. */
const SHORT_M = 15;

/** The mend that a school begins with: the rule's, or the nearest of its own. */
const nearest = (all: readonly number[], to: number): number =>
  all.reduce((best, m) => (Math.abs(m - to) < Math.abs(best - to) ? m : best));

/** How a cast at a lie departs from the plain one: what is moved to put the fly before it. */
interface Aim {
  /** Which of the method's ways. */
  readonly way: Way;
  readonly angleDeg: number;
  readonly mendM: number;
  readonly walkM: number;
  /** Stand so far further down, m; cast so much longer, m. */
  readonly downM: number;
  readonly longerM: number;
  /** Counts are so many times as long. */
  readonly count: number;
  /** How many moves from the plain one. */
  readonly moves: number;
}

/** Ways to show the fly: the method's own, and those of the school in use. */
function waysOf(s: Situation, method: Method): readonly Way[] {
  if (method !== 'streamer on the swing') return METHODS[method].ways;
  return [
    ...METHODS[method].ways,
    ...(s.school.mends === 'one and a step' ? (['timed rise'] as const) : []),
    ...(s.school.bow === 'use it' ? (['towed by the bow'] as const) : []),
  ];
}

/** What served best at a lie so far, by method, rod and line: the same cast is likely for the next tip and fly. */
export type Hints = Map<string, Aim>;

/** The cast one begins with at a lie, by the rule of the trade: of every way of the method. */
function plainAims(s: Situation, { method, rig }: Setup): Aim[] {
  const soft = method === 'soft hackles on the swing';
  const rule = openingOf(s.reading, rig, s.school.depth);
  const step = s.school.mends === 'one and a step' && !soft;
  return waysOf(s, method).map((way): Aim => {
    const still = { way, walkM: step ? STEP_M : 0, downM: 0, longerM: 0, count: 1, moves: 0 };
    if (method === 'wake fly') return { ...still, angleDeg: WAKE_DEG, mendM: 0, walkM: 0 };
    if (way !== 'swing') return { ...still, angleDeg: 0, mendM: 0, walkM: 0 };
    return { ...still, angleDeg: rule.angleDeg, mendM: nearest(MENDS[s.school.mends], rule.mendM) };
  });
}

/** Angles of a swing, degrees: soft hackles are not swung square, nor is anything where fish must be given time to find it. */
const ANGLES = { swing: [35, 125], murk: [35, 80], soft: [30, 60], other: [-30, 30] } as const;

/** The plan behind an aim; null where the lie cannot be reached so. */
function planOf(s: Situation, { rig, method }: Setup, lie: FishLie, aim: Aim): CastPlan | null {
  const swings = aim.way === 'swing';
  const [least, most] =
    ANGLES[!swings ? 'other' : method === 'soft hackles on the swing' ? 'soft' : s.dirty ? 'murk' : 'swing'];
  if (aim.angleDeg < least || aim.angleDeg > most) return null;
  const opening = swings ? { angleDeg: aim.angleDeg, mendM: aim.mendM, says: '' } : undefined;
  const short = { ...s.means, longestM: Math.min(SHORT_M, s.means.longestM) };
  for (const means of s.school.distance === 'short and sure' ? [short, s.means] : [s.means]) {
    const { plan, outOfReach } = standFor(lie, s.channel, rig, s.lies, opening, aim.way, means);
    if (outOfReach !== null) continue;
    const xM = roundTo(2, clamp(plan.xM + aim.downM, 0, s.run.lengthM));
    const outM = roundTo(
      2,
      clamp(
        plan.outM + aim.longerM,
        shortestCast(rig),
        Math.max(aim.longerM > 0 ? s.means.longestM : means.longestM, shortestCast(rig)),
      ),
    );
    const bankM = s.channel.edgeNear[rowAt(s.channel, xM)]! + 1;
    if (aim.downM !== 0 && plan.yM > Math.max(bankM, wadeTo(s.channel, s.lies, xM, s.means))) return null;
    if (aim.walkM > 0 && wadeTo(s.channel, s.lies, xM + aim.walkM, s.means) < plan.yM - 0.5) return null;
    const moved = { ...plan, xM, outM };
    if (swings) return aim.walkM > 0 ? { ...moved, hands: { ...handsOf(plan), walkM: aim.walkM } } : moved;
    const hands = handsOf(plan);
    const countS = hands.pullM > 0 ? Math.max(hands.countS, sinksS(rig, lie)) : hands.countS;
    return {
      ...moved,
      angleDeg: clamp(plan.angleDeg + aim.angleDeg, CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most),
      hands: { ...hands, countS: clamp(Math.round(aim.count * countS), 0, LONGEST_COUNT_S) },
    };
  }
  return null;
}

/** Count until a fly is down in the middle of the band, by the rates at which line, tip and fly sink: with none, as a fly does, s. */
function sinksS(rig: Rig, lie: FishLie): number {
  const { band } = riding(lie, rideOf(rig.fly));
  const line = Math.max(rig.tip?.sinkRateMps ?? 0, rig.head.sinkRatesMps.at(-1)!);
  const rate = Math.max(LEAST_SINK_MPS, line, flySinkRate(flyBody(rig.fly)));
  return (band.topM + band.bottomM) / 2 / rate;
}
const LEAST_SINK_MPS = 0.05;
const LONGEST_COUNT_S = 40;

/** What a guide would alter, by how the fly passed: one thing at a time. */
function movesFrom(s: Situation, aim: Aim, { verdict: v }: Tried): Aim[] {
  const mends = MENDS[s.school.mends];
  const by = (part: Partial<Aim>): Aim => ({ ...aim, ...part, moves: aim.moves + 1 });
  const mend = (m: number) => (mends.includes(aim.mendM + m) ? [by({ mendM: aim.mendM + m })] : []);
  const turn = (deg: number) => by({ angleDeg: aim.angleDeg + deg });
  const walk = aim.walkM < MOST_WALK_M ? [by({ walkM: aim.walkM + STEP_M })] : [];
  const swings = aim.way === 'swing';
  const deeper = swings ? [...mend(1), turn(10), ...walk] : [by({ count: 1.5 * aim.count }), turn(10)];
  const higher = swings ? [...mend(-1), turn(-10)] : [by({ count: 0.6 * aim.count }), turn(-10)];
  const slower = swings ? [turn(-10), ...walk] : [];
  if (v.wood) return [by({ longerM: aim.longerM - 2 }), turn(-10), by({ downM: aim.downM + 3 })];
  switch (v.fit) {
    case 'not reached':
      return [
        by({ downM: aim.downM - v.pass.alongM }),
        by({ longerM: aim.longerM - Math.sign(v.pass.acrossM) * Math.min(4, Math.abs(v.pass.acrossM)) }),
        turn(v.pass.acrossM < 0 ? 10 : -10),
      ];
    case 'not fishing':
      if (v.idle === 'bed') return higher;
      return v.idle === 'landing'
        ? [by({ longerM: aim.longerM + 2 }), by({ downM: aim.downM - 3 }), turn(10)]
        : [by({ downM: aim.downM + 3 }), by({ longerM: aim.longerM - 2 }), ...walk];
    case 'on the bed':
    case 'too deep':
      return v.tooFast ? [...slower, ...higher] : higher;
    case 'too shallow':
      return v.tooFast ? [...walk, ...mend(1), turn(-10)] : deeper;
    case 'right':
      if (v.tooFast) return slower;
      return v.pass.depthM < (v.lie.band.topM + v.lie.band.bottomM) / 2 ? deeper : higher;
  }
}
const MOST_WALK_M = 3;

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
  const waiting = [...(hint ? [hint] : []), ...plain, ...(tries < THOROUGH ? [] : plain.flatMap(turned))];
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
    const tried = tryOut(s.channel, { lie, sideOn: false }, trialOf(s, setup.rig, plan), NUMERICS.coarse);
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
/** With so many tries a swing is begun from other angles, too: one start may lead nowhere. */
const THOROUGH = 12;
const turned = (aim: Aim): Aim[] =>
  aim.way === 'swing' ? [-20, 20].map((by) => ({ ...aim, angleDeg: aim.angleDeg + by, moves: 1 })) : [];

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
  let best: Stand | null = null;
  for (const tried of swum.sort((x, y) => wrong(x) - wrong(y)).slice(0, FINALISTS)) {
    const odds =
      tried.miss > HOPELESS ? NEVER : oddsOf(s.channel, wanted, tried, draws(doubtOf(s.channel, SEARCHED_BY)));
    yield;
    if (!odds) continue;
    const stand = withOdds(tried, odds);
    if (!best || esteem(stand) > esteem(best)) best = stand;
    if (stand.chance! >= SURE_OF_TEN) break;
  }
  return best;
}
