import { costBetween, type Trial } from '../advice';
import { ANY_CAST, type CastPlan, handsOf } from '../cast';
import type { CoverRequest } from '../cover/stands'; // not the barrel: this is asked of every set-up
import type { FishLie } from '../lies';
import { type Look, lookIn } from '../sight';
import { profileOf, type Rig, tangling } from '../tackle';
import { type Method, type MethodVote, methodsFor } from './methods';
import type { Setup } from './rigs';
import type { Situation } from './situation';
import { WEIGHTS } from './weights';

/** Better by more than what chance gives: a fiftieth. */
export const isBetter = (worth: number, than: number): boolean => worth > 1.02 * than;

/** What a lie counts for among others. */
export const weightOf = (l: FishLie): number => l.score * (l.staged ? WEIGHTS.staged : 1);

/** The lies by their weight, the best first. */
export const byWeight = (s: Situation): FishLie[] => [...s.lies].sort((a, b) => weightOf(b) - weightOf(a));

/** What a method is worth beside the first, by its points. */
export const methodFactor = (votes: readonly MethodVote[], method: Method): number => {
  const best = Math.max(...votes.map((v) => v.points));
  return Math.exp(WEIGHTS.methodPoint * (votes.find((v) => v.method === method)!.points - best));
};

/** The light and water that flies are looked at in: at the middle of the depth. Throws RangeError where nothing is seen. */
export const lookFor = (s: Situation): Look =>
  lookIn({
    colour: s.reading.colour,
    visibilityM: s.visibilityM,
    sky: s.reading.sky,
    depthM: Math.max(0.1, s.depthM / 2),
    sunDeg: Math.max(0, s.sunDeg),
  });

/** All that a search needs besides the situation, worked out once. */
export interface Bench {
  readonly s: Situation;
  readonly look: Look;
  readonly votes: readonly MethodVote[];
}

export const benchOf = (s: Situation): Bench => ({ s, look: lookFor(s), votes: methodsFor(s) });

/** What the cover of a run asks of a set-up that is fished in a way. */
export const coverRequest = (
  { s }: Bench,
  rig: Rig,
  way: CastPlan,
  special: readonly CastPlan[] = [],
): CoverRequest => ({
  ...{ run: s.run, channel: s.channel, lies: s.lies, reading: s.reading, options: s.options },
  ...{
    means: isShort(rig, way) ? { ...s.means, longestM: Math.min(SHORT_M, s.means.longestM) } : s.means,
    rig,
    way,
    special,
  },
  ...(s.school.distance === 'far' && { far: true }),
});
/** Soft hackles, under a raised rod, and casts up a stream are fished short: so much line at the most (common practice, no source), m. */
const SHORT_M = 11;
const isShort = (rig: Rig, way: CastPlan): boolean =>
  profileOf(rig.fly) === 'sparse' || handsOf(way).way === 'upstream strip';

/** Seconds from what is tied on to another rig; 0 where nothing is. */
export const costOf = ({ tiedOn, rigged, means }: Situation, rig: Rig): number => {
  if (!tiedOn) return 0;
  const from: Trial = { rig: tiedOn, plan: ANY_CAST, rigged, means };
  return costBetween(from, { rig, plan: ANY_CAST });
};

/** What a set-up is worth apart from where its fly goes: by method, fly and tackle. */
export function priorOf({ votes }: Bench, { method, rig, merit, fits }: Setup): number {
  const two = rig.droppers.length > 0 ? WEIGHTS.secondFly - WEIGHTS.tangle * tangling(rig) : 0;
  return methodFactor(votes, method) * merit ** WEIGHTS.fly * fits ** WEIGHTS.tackle * (1 + two);
}

/** What it is worth with a share of the run's willing fish found. */
export const worthOf = (b: Bench, setup: Setup, found: number): number => priorOf(b, setup) * found;
