/** What the day is for. */
export const GOALS = ['any', 'one big fish', 'numbers', 'action for a beginner'] as const;
export type Goal = (typeof GOALS)[number];

/** The best of the bag; the smallest change from what is on; the best with just what is on. */
export const ASKS = ['best', 'change', 'only this'] as const;
export type Ask = (typeof ASKS)[number];
