import type { LessonName } from '@/core/practice/lessons';

/** Titles of the lessons; what they say comes once one is opened (lessons.ts). */
export const LESSON_TITLES: Readonly<Record<LessonName, string>> = {
  wading: 'Wading, and being swept',
  boots: 'Visibility by your boots',
  stick: 'Timing a stick',
  mends: 'Mends, by two schools',
  leading: 'Leading, following, holding still',
  'line hand': 'The line hand',
  strike: 'Striking, by method',
  release: 'Landing and release',
  rise: 'The timed rise',
  strips: 'Strips and pauses',
  'two flies': 'Two flies on one leader',
  wood: 'Casting and landing near wood',
  storms: 'Storms, dams and rising water',
};
