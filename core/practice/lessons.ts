import type { VariableName } from './variables';

/** Lessons in the order of a first season. */
export const LESSON_NAMES = [
  ...(['wading', 'boots', 'stick', 'mends', 'leading', 'line hand', 'strike', 'release'] as const),
  ...(['rise', 'strips', 'two flies', 'wood', 'storms'] as const),
] as const;
export type LessonName = (typeof LESSON_NAMES)[number];

/** What shows the same by the engine. */
export const SIMULATED: Partial<Readonly<Record<LessonName, VariableName>>> = { mends: 'mend', leading: 'rod' };
