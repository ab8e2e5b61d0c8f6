/** Kinds of rivers that colour and clear in their own ways. */
export const RIVER_KINDS = ['spate', 'lowland', 'spring', 'snowmelt', 'below a dam'] as const;
export interface River {
  readonly kind: (typeof RIVER_KINDS)[number];
  /** Stained by peat. */
  readonly peaty: boolean;
}

/** What moves the clarity, in the order of the features: the flow over its middle (logarithm), rises of the last hours, the last
 * day, the last days, rises that came after others (the river is rinsed), and the season. */
export const FEATURES = ['flow', 'hours', 'day', 'days', 'rinsed', 'winter', 'spring'] as const;
export type Feature = (typeof FEATURES)[number];

/** What is believed of a river before it was ever read: its visibility at middling flow, and by how much each feature moves the
 * logarithm of it (mean and spread; common practice turned into numbers, no source). */
export interface Belief {
  readonly visibilityM: number;
  readonly of: Readonly<Record<Feature, readonly [number, number]>>;
}
const SEASON = { winter: [0, 0.15], spring: [0, 0.15] } as const;

export const BELIEFS: Readonly<Record<River['kind'], Belief>> = {
  spate: {
    visibilityM: 1.6,
    of: {
      flow: [-0.15, 0.25],
      hours: [-0.25, 0.2],
      day: [-0.35, 0.25],
      days: [-0.25, 0.2],
      rinsed: [0.1, 0.15],
      ...SEASON,
    },
  },
  lowland: {
    visibilityM: 0.9,
    of: {
      flow: [-0.3, 0.3],
      hours: [-0.15, 0.15],
      day: [-0.3, 0.25],
      days: [-0.35, 0.25],
      rinsed: [0.1, 0.15],
      ...SEASON,
    },
  },
  spring: {
    visibilityM: 2.2,
    of: {
      flow: [-0.15, 0.25],
      hours: [-0.15, 0.15],
      day: [-0.2, 0.2],
      days: [-0.15, 0.2],
      rinsed: [0.05, 0.1],
      ...SEASON,
    },
  },
  snowmelt: {
    visibilityM: 1,
    of: {
      flow: [-0.45, 0.35],
      hours: [-0.15, 0.2],
      day: [-0.2, 0.2],
      days: [-0.1, 0.15],
      rinsed: [0.05, 0.1],
      ...SEASON,
    },
  },
  'below a dam': {
    visibilityM: 1.6,
    of: {
      flow: [-0.1, 0.3],
      hours: [-0.1, 0.2],
      day: [-0.1, 0.2],
      days: [-0.1, 0.2],
      rinsed: [0, 0.15],
      winter: [0, 0.25],
      spring: [0, 0.25],
    },
  },
};
/** Peat takes so much off the logarithm of the visibility; how sure its middle is. */
export const PEAT = -0.35;
export const MIDDLE_SPREAD = 0.5;
