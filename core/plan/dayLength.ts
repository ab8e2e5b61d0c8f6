/** How long one wants to be on the water. */
export const DAY_LENGTHS = ['whole day', 'half day', 'evening', 'best hours'] as const;
export type DayLength = (typeof DAY_LENGTHS)[number];

/** What one says of a day’s sky. */
export const SKIES_SAID = ['not said', 'bright', 'cloud'] as const;
export type SkySaid = (typeof SKIES_SAID)[number];
