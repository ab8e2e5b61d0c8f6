import type { RoundKind } from './played';
import type { VariableName } from './variables';

/** Lessons in the order of a first season. */
export const LESSON_NAMES = [
  ...(['wading', 'boots', 'stick', 'mends', 'leading', 'line hand', 'strike', 'release'] as const),
  ...(['rise', 'strips', 'two flies', 'wood', 'storms'] as const),
] as const;
export type LessonName = (typeof LESSON_NAMES)[number];

/** What shows the same by the engine, and the round that practises it. */
export const LESSONS: Readonly<Record<LessonName, { readonly simulated?: VariableName; readonly round?: RoundKind }>> =
  {
    wading: { round: 'stand' },
    boots: { round: 'depth' },
    stick: { round: 'speed' },
    mends: { simulated: 'mend', round: 'change' },
    leading: { simulated: 'rod', round: 'moment' },
    'line hand': {},
    strike: {},
    release: {},
    rise: { round: 'moment' },
    strips: { round: 'fly' },
    'two flies': {},
    wood: { round: 'stand' },
    storms: { round: 'day' },
  };
