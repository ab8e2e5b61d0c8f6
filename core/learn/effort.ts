/** What effort is counted by. */
export const EFFORTS = ['casts', 'water shown'] as const;
export type Effort = (typeof EFFORTS)[number];
