/** How often the holding water is shown the fly before it is left: trout inclined to chase show within two casts (common
 * practice, no source). */
export const PATIENCES = [1, 2, 4] as const;
export type Patience = (typeof PATIENCES)[number];

/** Nobody plans more for one run, minutes. */
export const MOST_MINUTES = 180;
/** Until it is said. */
export const USUAL_TIME = { minutes: 60, patience: 2 } as const satisfies { minutes: number; patience: Patience };
/** The time for a run with so much patience as a school has: who stays shows each water twice as often as who searches. */
export const usualTime = (stays: boolean): { readonly minutes: number; readonly patience: Patience } =>
  stays ? { ...USUAL_TIME, patience: 4 } : USUAL_TIME;
/** To the next run, until it is said, minutes (assumed). */
export const WALK_MIN = 10;
