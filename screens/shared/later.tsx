import { later } from '@/ui';

/** What several rooms share and is not needed at first. */
export const CaughtHere = later(
  () => import('../read/CaughtHere'),
  (m) => m.CaughtHere,
);

export const ShareSheet = later(
  () => import('./ShareSheet'),
  (m) => m.ShareSheet,
);
