import type { Way } from '../cast';
import { FLY_FAMILIES, type FlyItem, isWetFly, itemsOf, motionOfFly, profileOf, skates } from '../tackle';
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

/** What is read for or against methods. */
export type SignCode =
  | 'rippled'
  | 'swings well'
  | 'enough to swing'
  | 'slack'
  | 'creeps'
  | 'works the fly'
  | 'small stream'
  | 'pockets'
  | 'dirty'
  | 'mud'
  | 'clear'
  | 'cold'
  | 'up to the surface'
  | 'not for waking'
  | 'travellers'
  | 'brown trout by wood'
  | 'rises'
  | 'few rises'
  | 'hatch'
  | 'fry'
  | 'crayfish'
  | 'refusals'
  | 'party ahead'
  | 'juveniles'
  | 'footprints'
  | 'one big fish'
  | 'numbers'
  | 'beginner'
  | 'strong tongue'
  | 'flat'
  | 'fast';

/** Something read that speaks for or against methods. */
interface Sign {
  readonly when: (s: Situation) => boolean;
  readonly code: SignCode;
  readonly votes: Partial<Record<Method, number>>;
}

const sees = (what: Situation['seen'][number]) => (s: Situation) => s.seen.includes(what);
/** One to three feet: soft-hackle water (common practice, no source), m. */
const SOFT_M = [0.3, 0.9] as const;
const STROLL_MPS = [0.2, 0.9] as const;
/** A current that hardly swings a fly. */
const CREEPS_MPS = 0.25;

/** Sea trout come to what wakes once it is dark, others from dusk on (common practice, no source): the sun lower than so, degrees. */
const DARK_DEG = -4;
/** Water and light for what wakes. */
const wakes = (s: Situation): boolean =>
  s.warm && s.dusk && !s.dirty && s.visibilityM >= 1.2 && (s.quarry !== 'sea trout' || s.sunDeg < DARK_DEG);

/** What speaks for what, in points: 3 is a strong reason, 1 a hint (weights are choices; directions: handbook of the trade). */
export const SIGNS: readonly Sign[] = [
  {
    when: (s) => s.depthM >= SOFT_M[0] && s.depthM <= SOFT_M[1] && s.texture === 'rippled' && !s.slack,
    code: 'rippled',
    votes: { 'soft hackles on the swing': 2 },
  },
  {
    when: (s) => s.depthM > SOFT_M[1] && s.speedMps >= STROLL_MPS[0] && s.speedMps <= STROLL_MPS[1],
    code: 'swings well',
    votes: { 'streamer on the swing': 3, strip: 1 },
  },
  {
    when: (s) => s.depthM >= 0.6 && s.depthM <= SOFT_M[1] && s.speedMps >= STROLL_MPS[0],
    code: 'enough to swing',
    votes: { 'streamer on the swing': 1 },
  },
  {
    when: (s) => s.slack,
    code: 'slack',
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
    code: 'creeps',
    votes: { strip: 2, 'streamer on the swing': -1 },
  },
  {
    when: (s) => !s.slack && s.speedMps >= STROLL_MPS[0],
    code: 'works the fly',
    votes: { 'dip and draw': -4 },
  },
  {
    when: (s) => s.small,
    code: 'small stream',
    votes: { upstream: 4, 'streamer on the swing': -1, strip: -1, hang: -1 },
  },
  {
    when: (s) => s.skinny,
    code: 'pockets',
    votes: { upstream: 4, strip: -2, 'streamer on the swing': -1, 'dip and draw': -2 },
  },
  {
    when: (s) => s.dirty && !s.mud,
    code: 'dirty',
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
    code: 'mud',
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
    code: 'clear',
    votes: { 'soft hackles on the swing': 1, upstream: 1, 'drift or float': 1 },
  },
  {
    when: (s) => s.cold,
    code: 'cold',
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
    when: wakes,
    code: 'up to the surface',
    votes: { 'wake fly': 6, 'soft hackles on the swing': 1, 'streamer on the swing': -1 },
  },
  {
    when: (s) => !wakes(s),
    code: 'not for waking',
    votes: { 'wake fly': -3 },
  },
  {
    when: (s) => s.migrant,
    code: 'travellers',
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
    code: 'brown trout by wood',
    votes: { 'streamer on the swing': 1, strip: 1 },
  },
  {
    when: sees('rises'),
    code: 'rises',
    votes: { 'soft hackles on the swing': 2, 'wake fly': 1, 'streamer on the swing': -1 },
  },
  {
    when: (s) => s.seen.includes('hatch') && !s.seen.includes('rises'),
    code: 'few rises',
    votes: { 'soft hackles on the swing': 4, 'streamer on the swing': -1 },
  },
  {
    when: (s) => s.seen.includes('hatch') && s.seen.includes('rises'),
    code: 'hatch',
    votes: { 'soft hackles on the swing': 3 },
  },
  { when: sees('fry'), code: 'fry', votes: { 'streamer on the swing': 2, strip: 2 } },
  {
    when: sees('crayfish'),
    code: 'crayfish',
    votes: { 'streamer on the swing': 2, strip: 4, 'dip and draw': 1, 'soft hackles on the swing': -1, 'wake fly': -3 },
  },
  {
    when: sees('refusals'),
    code: 'refusals',
    votes: { 'drift or float': 6, 'streamer on the swing': -2, strip: -2, 'soft hackles on the swing': -1 },
  },
  {
    when: sees('party ahead'),
    code: 'party ahead',
    votes: { upstream: 2, 'drift or float': 2, 'soft hackles on the swing': 2, 'streamer on the swing': -2, strip: 1 },
  },
  {
    when: sees('juveniles'),
    code: 'juveniles',
    votes: { 'streamer on the swing': 1, 'soft hackles on the swing': -2, 'drift or float': -2 },
  },
  {
    when: sees('footprints'),
    code: 'footprints',
    votes: { upstream: 1, 'drift or float': 1 },
  },
  {
    when: (s) => s.goal === 'one big fish',
    code: 'one big fish',
    votes: { 'streamer on the swing': 2, strip: 1, 'soft hackles on the swing': -2, 'drift or float': -1 },
  },
  {
    when: (s) => s.goal === 'numbers',
    code: 'numbers',
    votes: { 'soft hackles on the swing': 2, 'drift or float': 1 },
  },
  {
    when: (s) => s.goal === 'action for a beginner',
    code: 'beginner',
    votes: { 'soft hackles on the swing': 2, 'drift or float': 2, upstream: -2, hang: -1 },
  },
  {
    when: (s) => s.speedMps > 0.8 && s.depthM >= 1,
    code: 'strong tongue',
    votes: { hang: 2 },
  },
  {
    when: (s) => s.texture === 'flat' && !s.slack,
    code: 'flat',
    votes: { 'soft hackles on the swing': -1, strip: 1 },
  },
  {
    when: (s) => s.speedMps > 1.1,
    code: 'fast',
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

/** A sign with the figures of the water that it is read off: m, m/s and °C. */
export interface SignFact extends Pick<Situation, 'depthM' | 'speedMps' | 'visibilityM' | 'tempC' | 'quarry' | 'low'> {
  readonly sign: SignCode;
}
export const signFact = (
  { depthM, speedMps, visibilityM, tempC, quarry, low }: Situation,
  { code }: Pick<Sign, 'code'>,
): SignFact => ({ sign: code, depthM, speedMps, visibilityM, tempC, quarry, low });
