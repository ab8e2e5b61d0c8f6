import { later } from '@/ui';

/** What several rooms share and is not needed at first. */
export const proofs = () => import('./proofs');
export const Rates = later(proofs, (m) => m.Rates);
export const CaughtHere = later(proofs, (m) => m.CaughtHere);

export const ShareSheet = later(
  () => import('./ShareSheet'),
  (m) => m.ShareSheet,
);
