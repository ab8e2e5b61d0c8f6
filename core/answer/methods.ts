import type { Way } from '../cast';
import { FLY_FAMILIES, type FlyItem, isWetFly, itemsOf, motionOfFly, profileOf, skates } from '../tackle';
import { format, type UnitSystem } from '../units';
import type { Situation } from './situation';

/** How well a fly serves a method, 0 (not at all) to 1. */
type Serves = (fly: FlyItem) => number;

const streamer: Serves = (fly) => (skates(fly) || profileOf(fly) === 'sparse' ? 0 : isWetFly(fly) ? 0.7 : 1);
const jigs = (fly: FlyItem) => motionOfFly(fly) === 'jigs';

/** Ways to fish a run, each with the flies that it wants and how they are shown (handbook of the trade). */
export const METHODS = {
  'soft hackles on the swing': {
    ways: ['swing'],
    serves: (fly) => (skates(fly) ? 0 : profileOf(fly) === 'sparse' ? 1 : isWetFly(fly) ? 0.6 : 0),
  },
  'streamer on the swing': { ways: ['swing'], serves: streamer },
  strip: { ways: ['strip'], serves: (fly) => (isWetFly(fly) ? 0 : streamer(fly)) },
  upstream: {
    ways: ['upstream strip'],
    serves: (fly) => (skates(fly) ? 0 : profileOf(fly) === 'sparse' ? 0.8 : 1),
  },
  'drift or float': {
    ways: ['dead drift', 'tight drift'],
    serves: (fly) => (skates(fly) ? 0 : isWetFly(fly) || FLY_FAMILIES[fly.family].usual.lengthM < 0.04 ? 1 : 0.6),
  },
  'dip and draw': {
    ways: ['dip and draw'],
    serves: (fly) => streamer(fly) * (jigs(fly) ? 1 : 0.9),
  },
  hang: { ways: ['sweep the hang'], serves: streamer },
  'wake fly': {
    ways: ['swing'],
    serves: (fly) => (skates(fly) ? 1 : fly.weight === 'buoyant' ? 0.5 : 0),
  },
} as const satisfies Record<string, { readonly ways: readonly Way[]; readonly serves: Serves }>;
export type Method = keyof typeof METHODS;
export const METHOD_NAMES = Object.keys(METHODS) as Method[];

/** Something read that speaks for or against methods. */
interface Sign {
  readonly when: (s: Situation) => boolean;
  readonly says: (s: Situation, u: UnitSystem) => string;
  readonly votes: Partial<Record<Method, number>>;
}

const sees = (what: Situation['seen'][number]) => (s: Situation) => s.seen.includes(what);
const depth = (s: Situation, u: UnitSystem) => format('depth', s.depthM, u);
const speed = (s: Situation, u: UnitSystem) => format('speed', s.speedMps, u);
const sight = (s: Situation, u: UnitSystem) => format('depth', s.visibilityM, u);
const temp = (s: Situation, u: UnitSystem) => format('temperature', s.tempC, u);

/** One to three feet: soft-hackle water (common practice, no source), m. */
const SOFT_M = [0.3, 1] as const;
const STROLL_MPS = [0.2, 0.9] as const;
/** What is slower just swings a streamer. */
const STROLL_FROM_MPS = 0.35;
const WALK_FROM_MPS = 0.65;
/** A current that hardly swings a fly. */
const CREEPS_MPS = 0.25;

/** How a current swings a streamer. */
function swungBy(mps: number): string {
  if (mps < STROLL_FROM_MPS) return 'slow: the current just swings a streamer';
  return `${mps < WALK_FROM_MPS ? 'a stroll' : 'a walking pace'}: the current swings a streamer well`;
}

/** What speaks for what, in points: 3 is a strong reason, 1 a hint (weights are choices; directions: handbook of the trade). */
export const SIGNS: readonly Sign[] = [
  {
    when: (s) => s.depthM >= SOFT_M[0] && s.depthM <= SOFT_M[1] && s.texture === 'rippled' && !s.slack,
    says: (s, u) => `${depth(s, u)} deep and rippled: soft-hackle water`,
    votes: { 'soft hackles on the swing': 2 },
  },
  {
    when: (s) => s.depthM > SOFT_M[1] && s.speedMps >= STROLL_MPS[0] && s.speedMps <= STROLL_MPS[1],
    says: (s, u) => `${depth(s, u)} deep at ${speed(s, u)}, ${swungBy(s.speedMps)}`,
    votes: { 'streamer on the swing': 3, strip: 1 },
  },
  {
    when: (s) => s.depthM >= 0.6 && s.depthM <= SOFT_M[1] && s.speedMps >= STROLL_MPS[0],
    says: (s, u) => `${depth(s, u)} of water, enough to swing a streamer`,
    votes: { 'streamer on the swing': 1 },
  },
  {
    when: (s) => s.slack,
    says: (s, u) => `${depth(s, u)} deep and hardly any current (${speed(s, u)}): nothing swings there`,
    votes: {
      'dip and draw': 4,
      strip: 3,
      'streamer on the swing': -5,
      'soft hackles on the swing': -5,
      'wake fly': -4,
      'drift or float': -3,
      upstream: -2,
      hang: -5,
    },
  },
  {
    when: (s) => !s.slack && s.speedMps < CREEPS_MPS,
    says: (s, u) => `it creeps (${speed(s, u)}): drawn by hand rather than swung`,
    votes: { strip: 2, 'streamer on the swing': -1 },
  },
  {
    when: (s) => !s.slack && s.speedMps >= STROLL_MPS[0],
    says: (s, u) => `it flows at ${speed(s, u)}: the current works the fly`,
    votes: { 'dip and draw': -4 },
  },
  {
    when: (s) => s.small,
    says: () => 'a small stream: worked up, from below the fish',
    votes: { upstream: 4, 'streamer on the swing': -1, strip: -1, hang: -1 },
  },
  {
    when: (s) => s.skinny,
    says: (s, u) => `${depth(s, u)} of water over stones: only the pockets fish`,
    votes: { upstream: 2, strip: -1, 'dip and draw': -2 },
  },
  {
    when: (s) => s.dirty && !s.mud,
    says: (s, u) => `${sight(s, u)} of sight: low, slow and dark`,
    votes: {
      'streamer on the swing': 3,
      'soft hackles on the swing': -2,
      'wake fly': -4,
      upstream: -2,
      'drift or float': -1,
    },
  },
  {
    when: (s) => s.mud,
    says: (s, u) => `${sight(s, u)} of sight is mud: a fish must be hit on the nose`,
    votes: {
      'streamer on the swing': 3,
      hang: 1,
      'soft hackles on the swing': -4,
      'wake fly': -6,
      upstream: -3,
      'drift or float': -2,
    },
  },
  {
    when: (s) => s.clear && s.reading.levelM <= 0 && !s.slack,
    says: (s, u) => `${s.low ? 'low and clear' : 'clear'} (${sight(s, u)} of sight)`,
    votes: { 'soft hackles on the swing': 1, upstream: 1, 'drift or float': 1 },
  },
  {
    when: (s) => s.cold,
    says: (s, u) => `cold water (${temp(s, u)}): fish move little and slowly`,
    votes: {
      'streamer on the swing': 2,
      hang: 1,
      strip: -1,
      upstream: -2,
      'soft hackles on the swing': -2,
      'wake fly': -5,
    },
  },
  {
    when: (s) => s.warm && s.dusk && !s.dirty && s.visibilityM >= 1.2,
    says: (s, u) => `warm, clear and soft light (${temp(s, u)}): the fly may ride up to the surface`,
    votes: { 'wake fly': 6, 'soft hackles on the swing': 1, 'streamer on the swing': -1 },
  },
  {
    when: (s) => !(s.warm && s.dusk && !s.dirty && s.visibilityM >= 1.2),
    says: () => 'not the hour for a waking fly',
    votes: { 'wake fly': -3 },
  },
  {
    when: (s) => s.migrant,
    says: (s) => `${s.quarry} rest and follow seams: a fly of some size, swung evenly over the water`,
    votes: {
      'streamer on the swing': 2,
      hang: 1,
      strip: -1,
      upstream: -3,
      'soft hackles on the swing': -1,
      'drift or float': -1,
    },
  },
  {
    when: (s) => s.quarry === 'brown trout' && s.wood,
    says: () => 'brown trout by wood and cover',
    votes: { 'streamer on the swing': 1, strip: 1 },
  },
  {
    when: sees('rises'),
    says: () => 'rising fish',
    votes: { 'soft hackles on the swing': 2, 'wake fly': 1, 'streamer on the swing': -1 },
  },
  {
    when: (s) => s.seen.includes('hatch') && !s.seen.includes('rises'),
    says: () => 'insects about but few rises',
    votes: { 'soft hackles on the swing': 4, 'streamer on the swing': -1 },
  },
  {
    when: (s) => s.seen.includes('hatch') && s.seen.includes('rises'),
    says: () => 'a hatch on the water',
    votes: { 'soft hackles on the swing': 3 },
  },
  { when: sees('fry'), says: () => 'fry about', votes: { 'streamer on the swing': 2, strip: 2 } },
  {
    when: sees('crayfish'),
    says: () => 'crayfish on the bed',
    votes: { 'streamer on the swing': 2, strip: 4, 'dip and draw': 1, 'soft hackles on the swing': -1, 'wake fly': -3 },
  },
  {
    when: sees('refusals'),
    says: () => 'fish that look and refuse',
    votes: { 'drift or float': 6, 'streamer on the swing': -2, strip: -2, 'soft hackles on the swing': -1 },
  },
  {
    when: sees('party ahead'),
    says: () => 'somebody fished it just now: show them something else',
    votes: { upstream: 2, 'drift or float': 2, 'soft hackles on the swing': 2, 'streamer on the swing': -2, strip: 1 },
  },
  {
    when: sees('juveniles'),
    says: () => 'young fish pluck at what is small',
    votes: { 'streamer on the swing': 1, 'soft hackles on the swing': -2, 'drift or float': -2 },
  },
  {
    when: sees('footprints'),
    says: () => 'fished before you',
    votes: { upstream: 1, 'drift or float': 1 },
  },
  {
    when: (s) => s.goal === 'one big fish',
    says: () => 'you want one big fish',
    votes: { 'streamer on the swing': 2, strip: 1, 'soft hackles on the swing': -2, 'drift or float': -1 },
  },
  {
    when: (s) => s.goal === 'numbers',
    says: () => 'you want many',
    votes: { 'soft hackles on the swing': 2, 'drift or float': 1 },
  },
  {
    when: (s) => s.goal === 'action for a beginner',
    says: () => 'action for a beginner',
    votes: { 'soft hackles on the swing': 2, 'drift or float': 2, upstream: -2, hang: -1 },
  },
  {
    when: (s) => s.speedMps > 0.8 && s.depthM >= 1,
    says: (s, u) => `a strong tongue (${speed(s, u)}) that carries the line`,
    votes: { hang: 2 },
  },
  {
    when: (s) => s.texture === 'flat' && !s.slack,
    says: () => 'flat water: nothing breaks the surface',
    votes: { 'soft hackles on the swing': -1, strip: 1 },
  },
  {
    when: (s) => s.speedMps > 1.1,
    says: (s, u) => `fast water (${speed(s, u)})`,
    votes: { 'soft hackles on the swing': -1, strip: -2, 'drift or float': -1, upstream: -1 },
  },
];

/** A method with what speaks for it. */
export interface MethodVote {
  readonly method: Method;
  readonly points: number;
  /** No fly of the bag serves it. */
  readonly noFly: boolean;
}

const pointsOf = (s: Situation, method: Method): number =>
  SIGNS.reduce((sum, sign) => sum + (sign.when(s) ? (sign.votes[method] ?? 0) : 0), 0);

/** Whether the bag holds a fly for it. */
const served = (s: Situation, method: Method): boolean =>
  itemsOf(s.kit, 'fly').some((f) => f.count !== 0 && METHODS[method].serves(f) >= 0.5);

/** Methods by what speaks for them, the best first; equals as the table has them. */
export const methodsFor = (s: Situation): MethodVote[] =>
  METHOD_NAMES.map((method) => ({ method, points: pointsOf(s, method), noFly: !served(s, method) })).sort(
    (a, b) => b.points - a.points,
  );

/** What speaks for a method, against another: the strongest first. */
export const signsFor = (s: Situation, method: Method, against: Method | null): readonly Sign[] => {
  const lead = (sign: Sign) => (sign.votes[method] ?? 0) - (against ? (sign.votes[against] ?? 0) : 0);
  const speaks = SIGNS.filter((sign) => sign.when(s) && (sign.votes[method] ?? 0) > 0);
  const leads = SIGNS.filter((sign) => sign.when(s) && lead(sign) > 0);
  return (leads.length > 0 ? leads : speaks).sort((a, b) => lead(b) - lead(a));
};

/** A reason that speaks so strongly against a method that one is told, points. */
const STRONGLY = -3;

/** What speaks strongly against a method, the strongest first. */
export const signsAgainst = (s: Situation, method: Method): readonly Sign[] => {
  const points = (sign: Sign) => sign.votes[method] ?? 0;
  return SIGNS.filter((sign) => points(sign) <= STRONGLY && sign.when(s)).sort((a, b) => points(a) - points(b));
};
