import type { Run, Wind } from '../water';
import type { Means, Shoulder } from './means';

type Bank = Run['bank'];

/**
 * The shoulder from which the wind blows the line away from the body: the upstream one in an upstream wind, and the other
 * way round (common practice, no source). Null where there is no wind along the river.
 *
 * @param bank the bank one stands on, facing downstream; facing the river from the left bank, upstream is to the right
 */
export function shoulderFor(wind: Wind | null | undefined, bank: Bank): Shoulder | null {
  if (!wind) return null;
  const towardsUpstream = wind.from === 'downstream';
  if (!towardsUpstream && wind.from !== 'upstream') return null;
  return towardsUpstream === (bank === 'left') ? 'right' : 'left';
}

/** What a wind leaves of one's longest cast: thrown into one's face, or over the shoulder that it blows onto (assumed). */
const LEFT_OF_CAST = { light: 1, fresh: 0.75, strong: 0.5 } as const;

/** Whether the wind blows line and hook onto the shoulder one casts over. */
const ontoCaster = (wind: Wind | null | undefined, bank: Bank, { shoulders }: Pick<Means, 'shoulders'>): boolean => {
  const asked = shoulderFor(wind, bank);
  return asked !== null && !shoulders.includes(asked);
};

/**
 * What an angler can do in today's wind: shorter casts where it blows into the cast, or line and hook onto the caster. All that is
 * worked out of a run on a day goes by these.
 *
 * @example meansInWind({ ...ANY_MEANS, shoulders: ['right'] }, { from: 'upstream', force: 'strong' }, 'left').longestM // 11
 */
export function meansInWind<M extends Means>(means: M, wind: Wind | null | undefined, bank: Bank): M {
  if (!wind || !(wind.from === 'across' || ontoCaster(wind, bank, means))) return means;
  return { ...means, longestM: LEFT_OF_CAST[wind.force] * means.longestM };
}

/** What the wind of a day asks of who casts. */
export interface WindAsks {
  readonly from: Wind['from'];
  /** Over which one would cast with line and hook blown away from the body; null: either. */
  readonly shoulder: Shoulder | null;
  /** It blows line and hook onto who does not cast over that one. */
  readonly ontoYou: boolean;
}

/** What the wind asks for; null where it asks for nothing. @example windAsks({ from: 'upstream', force: 'fresh' }, 'left', ANY_MEANS) */
export function windAsks(wind: Wind | null | undefined, bank: Bank, means: Pick<Means, 'shoulders'>): WindAsks | null {
  if (!wind) return null;
  const shoulder = shoulderFor(wind, bank);
  if (!shoulder && wind.force === 'light') return null;
  return { from: wind.from, shoulder, ontoYou: ontoCaster(wind, bank, means) };
}
