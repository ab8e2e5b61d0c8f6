import { buildChannel, type Channel, coarseCut, flowLines, type Reading, type Run } from '../water';
import { type DepthTint, depthTints } from '../water/tints';
import { findLies } from './find';
import { sureOf } from './sure';
import type { FishLie, LieOptions } from './types';

/** A run as it is today: the field, where fish hold in it, and what draws it. */
export interface Survey {
  readonly channel: Channel;
  readonly lies: readonly FishLie[];
  readonly tints: readonly DepthTint[];
  readonly flow: readonly (readonly (readonly [number, number])[])[];
}

const FLOW_LINES = 12;
/** A lie that is found again in fewer of the runs as they may be is a chance of this one drawing. */
const LEAST_TIMES = 2;

/** The lies that stand when the readings move, ranked anew. */
const real = (lies: readonly FishLie[]): FishLie[] =>
  lies
    .filter(({ guess, foundAgain }) => guess || foundAgain!.times >= LEAST_TIMES)
    .map((l, n) => ({ ...l, rank: n + 1 }));

/** A field and what draws it. */
export const drawnOf = (channel: Channel): Omit<Survey, 'lies'> => ({
  channel,
  tints: depthTints(channel),
  flow: flowLines(channel, FLOW_LINES),
});

/** Everything the run sheet shows. @throws RangeError when the run cannot be rebuilt (see buildChannel) */
export function survey(run: Run, reading: Reading | null, options: LieOptions): Survey {
  const channel = buildChannel(run, reading);
  const lies = sureOf(run, channel, reading, options, findLies(run, channel, reading, options));
  return { ...drawnOf(channel), lies: real(lies) };
}

/** The same, half as fine and without how sure it is: quick enough to follow a slider. */
export function coarseSurvey(run: Run, reading: Reading | null, options: LieOptions): Survey {
  const channel = buildChannel(run, reading, coarseCut(run));
  return { ...drawnOf(channel), lies: findLies(run, channel, reading, options) };
}
