/**
 * Seconds from landing until the line hangs straight below a rod, by the rule t ≈ 1.6·L/U; a third more when the rod
 * follows. Good to about a fifth for casts of 60° and more (docs/swing.md); it only sets when a sweep of the hang begins
 * and how long to look ahead. Everything shown is simulated.
 *
 * @param lengthM rod and line, m; @param speedMps surface current, m/s
 */
export const timeToDangle = (lengthM: number, speedMps: number, rod: 'fixed' | 'following'): number =>
  ((rod === 'fixed' ? 1.6 : 2.1) * lengthM) / Math.max(0.1, speedMps);
