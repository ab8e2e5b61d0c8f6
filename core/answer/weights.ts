/**
 * What an answer is weighed by, in one place. A set-up's worth is the mean over the lies of how near its fly comes to what is
 * wanted over the doubt of the readings, times how well the fly serves, times how well the method suits, for as long as is left to fish. All choices, with why.
 */
export const WEIGHTS = {
  /** A point for a method (methods.ts) counts as a half more or less: two points more than double it. */
  methodPoint: 0.4,
  /** The lightest that reaches: what sinks takes away by its length and sink rate, m²/s (10 ft of a fast tip are 0.39). */
  sinks: 0.3,
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
  /** A minute of changing takes such a share of the hour or so that one spends at a run: of two alike the one that is on stays on. */
  minute: 1 / 60,
  /** A cast that is one thing away from the plain one (a mend more, a step more, a turn) loses so much: a tip does it at every
   * cast, hands do not. */
  fuss: 0.03,
  /** With a timed rise the fly must come up at the fish: where it does not, so much is lost. */
  rise: 0.4,
  /** Of two alike the one that passes more side-on: head to the current loses up to so much. */
  sideOn: 0.05,
} as const;

/** A lie is served when the fly passes as wanted in so many of ten swings; with fewer than that it is given up. */
export const SERVED_OF_TEN = 7;
export const GIVEN_UP_OF_TEN = 4;

/** How often a fly passes as wanted where it is well fished: a wide band is hit more often than the lowest third, which says
 * nothing of where fish want it. Methods are compared by what they reach of this. */
export const USUAL = { wakes: 0.95, wet: 0.9, 'upper to middle': 0.8, 'near the bed': 0.55 } as const;
