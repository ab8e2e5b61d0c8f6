import { interpolate } from '../maths';
import type { Viewing } from '../sight/seen';
import type { OwnLeeway } from './leeway';
import { likestOf, MIGRANTS, type Quarry, type Studied } from './suitability';
import type { BandBy, DepthSchool } from './types';

/** What of the day says how far a willing fish comes to a fly. */
export interface WillingDay {
  readonly quarry: Quarry;
  readonly temp: number;
  /** How far down one sees, m. */
  readonly vis: number;
  /** High sun on the water. */
  readonly bright: boolean;
  readonly dusk: boolean;
  /** Fished before today. */
  readonly pressed: boolean;
  readonly own?: OwnLeeway;
}

/**
 * How far a willing fish comes to a fly, and how it wants it. Distances are half-way: a fly that passes so far off is shown half as
 * well as one before its nose; they are no limits.
 */
export interface Willing {
  /** By whose row they go, and how far from it by one’s own takes. */
  readonly of: Studied;
  readonly own: OwnLeeway;
  /** Up, m: to a fly that fishes by the school of depth in use; to a wet one, or one that wakes, whatever the school. */
  readonly upM: number;
  readonly highUpM: number;
  /** Down, and to either side, m. */
  readonly downM: number;
  readonly sideM: number;
  /** So high above the bed it holds its nose, where there is the water for it, m. */
  readonly noseM: number;
  /** Across the current a fly that goes so fast is shown half as well as a slow one, m/s. */
  readonly crossMps: number;
  /** What a fly loses that comes head to the current, 0 to 1: the less it is seen, the more its side counts. */
  readonly headOn: number;
  /** A touch of the bed ends it (upper to middle); else now and then one is right. */
  readonly touchSpoils: boolean;
  readonly view: Omit<Viewing, 'depthM' | 'shaded'>;
  /** By which school, and what of the day moves it. */
  readonly by: BandBy;
}

/** What of a day shortens or lengthens the way that fish come up. */
export type WillingMove =
  | 'cold'
  | 'warm water'
  | 'heat'
  | 'murk'
  | 'clear water'
  | 'high sun'
  | 'low light'
  | 'pressed'
  | 'own takes higher'
  | 'own takes lower';

/** How far they come up and hold, m: brown trout a short way, travellers further (that order is common practice, no source; the
 * metres are assumed). */
const UP_M: Record<Studied, number> = {
  'brown trout': 0.6,
  'rainbow trout': 0.7,
  steelhead: 1,
  'sea trout': 1,
};
const NOSE_M = { resident: 0.15, migrant: 0.25 } as const;
/** By the school that fishes near the bed they come up so much of it, and take what is under them. */
const NEAR_BED = { up: 0.85, downM: 0.25 } as const;
const UPPER_DOWN_M = 0.12;
/** To the side they come less far than up, and not beyond what they make out; what moves near by they feel (assumed). */
const SIDE = 0.8;
const SEEN_SIDE = 0.6;
const LEAST_SIDE_M = 0.3;

/** What lengthens or shortens the way that they come up, as factors: directions of the trade (common practice, no source), sizes
 * assumed; smooth, so that a tenth of a degree turns nothing over. */
const MOVES: readonly {
  readonly by: (d: WillingDay) => number;
  readonly less: WillingMove;
  readonly more: WillingMove;
}[] = [
  {
    by: ({ temp }) => interpolate([2, 5, 8, 11, 14, 18, 22], [0.35, 0.55, 0.85, 1, 1.12, 1.12, 1], temp),
    less: 'cold',
    more: 'warm water',
  },
  { by: ({ temp }) => interpolate([18, 22], [1, 0.8], temp), less: 'heat', more: 'heat' },
  {
    by: ({ vis }) => interpolate([0.1, 0.3, 0.6, 1.2, 2.5], [0.45, 0.7, 0.85, 1, 1.15], vis),
    less: 'murk',
    more: 'clear water',
  },
  { by: ({ bright, dusk }) => (bright ? 0.8 : dusk ? 1.25 : 1), less: 'high sun', more: 'low light' },
  { by: ({ pressed }) => (pressed ? 0.85 : 1), less: 'pressed', more: 'pressed' },
  { by: ({ own }) => own?.up ?? 1, less: 'own takes lower', more: 'own takes higher' },
];
/** A factor that is nearer to 1 than this is not told. */
const TOLD = 0.1;

/** How fast across a fly may go, m/s: slower in the cold and where little is seen (common practice, no source). */
const crossOf = ({ temp, vis }: WillingDay): number =>
  interpolate([4, 6, 8, 12], [0.46, 0.52, 0.62, 0.7], temp) *
  interpolate([0.3, 0.6, 1, 1.6, 2.2], [0.7, 0.8, 1, 1, 1.3], vis);

/** How the fish of a day come to a fly, and by which school it is fished for them. */
export function willingOf(d: WillingDay, school: DepthSchool, view: Willing['view']): Willing {
  const { own = {} } = d;
  const moved = MOVES.map((m) => ({ ...m, times: m.by(d) }));
  const highUpM = UP_M[likestOf(d.quarry)] * moved.reduce((product, m) => product * m.times, 1);
  const near = school === 'near the bed';
  const told = moved.flatMap((m) => (m.times < 1 - TOLD ? [m.less] : m.times > 1 + TOLD ? [m.more] : []));
  return {
    ...{ of: likestOf(d.quarry), own },
    upM: near ? NEAR_BED.up * highUpM : highUpM,
    highUpM,
    downM: near ? NEAR_BED.downM : UPPER_DOWN_M,
    sideM: (own.aside ?? 1) * Math.max(LEAST_SIDE_M, Math.min((SIDE * highUpM) / (own.up ?? 1), SEEN_SIDE * d.vis)),
    noseM: MIGRANTS.has(d.quarry) ? NOSE_M.migrant : NOSE_M.resident,
    crossMps: (own.across ?? 1) * crossOf(d),
    headOn: (own.headOn ?? 1) * interpolate([0.3, 0.6, 1.5], [0.3, 0.2, 0.05], d.vis),
    touchSpoils: !near,
    view,
    by: { school, moved: told },
  };
}

/** Of thin water a nose is no higher than this share of it. */
const NOSE_SHARE = 0.3;
/** How deep a fish holds its nose, m. */
export const noseDepthM = ({ noseM }: Pick<Willing, 'noseM'>, depthM: number): number =>
  depthM - Math.min(noseM, NOSE_SHARE * depthM);
