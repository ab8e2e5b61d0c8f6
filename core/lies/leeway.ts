/** How far off what it wants a fly may be and still be taken: above the fish, to its side, in its speed across, and with its head to the
 * current instead of its side. */
export const LEEWAYS = ['up', 'aside', 'across', 'headOn'] as const;
export type Leeway = (typeof LEEWAYS)[number];
/** So many times as much as is assumed, by one’s own takes; what is not named is as assumed. */
export type OwnLeeway = Readonly<Partial<Record<Leeway, number>>>;
/** Nobody’s fish allow so much less, or more, than is assumed. */
export const LEEWAY_TIMES = { least: 0.4, most: 2.5 } as const;
