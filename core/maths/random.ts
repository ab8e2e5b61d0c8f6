/** A small seeded generator (mulberry32): the same seed gives the same numbers everywhere. Returns 0 ≤ x < 1. */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** One normal deviate (Box–Muller). */
export const normal = (rand: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - rand())) * Math.cos(2 * Math.PI * rand());

/** Things in an order that chance makes. @param rand 0 to 1, as of seeded() */
export const shuffled = <T>(of: readonly T[], rand: () => number): T[] =>
  of
    .map((t) => [rand(), t] as const)
    .sort((a, b) => a[0] - b[0])
    .map(([, t]) => t);
