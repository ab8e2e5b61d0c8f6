/** How long one wants to be on the water. */
export const DAY_LENGTHS = ['whole day', 'half day', 'best hours'] as const;
export type DayLength = (typeof DAY_LENGTHS)[number];
