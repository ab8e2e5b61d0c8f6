/**
 * What an answer is weighed by, in one place. A set-up's worth is the share of the willing fish that it finds, times how well fly and tackle
 * serve, times how much the water speaks for the method. All choices, with why.
 */
export const WEIGHTS = {
  /** A point for a method (methods.ts) counts as a half more or less: two points more than double it. */
  methodPoint: 0.4,
  /** The lightest that reaches: what sinks takes away by its length and sink rate, m²/s (10 ft of a fast tip are 0.39). */
  sinks: 0.3,
  /** The same in low clear water, where line and splash are seen. */
  sinksInSight: 1,
  /** A lie that is further down the list counts by its score; this share of it where fish may wait to spawn. */
  staged: 0.5,
  /** The fly's colour, size, food and sight (flies.ts) count with this power. */
  fly: 1,
  /** Rod and balance (rigs.ts) count with this power. */
  tackle: 1,
  /** A unit of tangling (tackle/consequences.ts) takes away so much: two flies must earn their place. */
  tangle: 0.02,
  /** So much is gained by a second fly that is seen, too, at another depth. */
  secondFly: 0.08,
} as const;

/** A lie is served when the fly passes as wanted in so many of ten swings; with fewer than that it is given up. */
export const SERVED_OF_TEN = 7;
export const GIVEN_UP_OF_TEN = 4;

/** Worth so much of another it is as good. */
export const AS_GOOD = 0.95;
