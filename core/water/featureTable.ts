/** A place as a feature sees it. */
export interface Near {
  /** Downstream of the feature's middle, m. */
  readonly dx: number;
  /** Beyond its side, m; negative within its width. */
  readonly dy: number;
  /** Within its length, or a metre from it. */
  readonly within: boolean;
  readonly widthM: number;
}

/** What of the day changes what a feature is to a fish. */
export interface FeatureDay {
  /** Travellers rest where stations feed. */
  readonly migrant: boolean;
  readonly warm: boolean;
  readonly cold: boolean;
}

/** All that a kind of feature does; a new kind is one row. */
interface FeatureRow {
  /** Length along and width across that one begins with, m. */
  readonly size: readonly [number, number];
  /** What it does to the speed: a factor at `along` m below its middle and `across` half widths beside it. */
  readonly wake?: (along: number, across: number, f: { readonly lengthM: number; readonly widthM: number }) => number;
  /** How well it shelters a fish there, 0 to 1. */
  readonly cover?: (p: Near) => number;
  /** How much the place draws fish that look for it, 0 to 1. */
  readonly place?: (p: Near, day: FeatureDay) => number;
  /** Why a fish would lie there, and where that counts. */
  readonly reason?: { readonly at: (p: Near, day: FeatureDay) => boolean };
  /** Wood beside the rod: no cast past it. */
  readonly hinders?: true;
  /** Left alone: it, so far around it and below it, m; fish that wait by it lie up to `stagedM` away. */
  readonly guard?: { readonly aroundM: number; readonly belowM: number; readonly stagedM: number };
}

const { abs, exp, max } = Math;

/** A wake of about six widths, half as wide again; a little faster past the sides. */
const stoneWake: FeatureRow['wake'] = (along, across, { widthM }) => {
  const size = max(widthM, 0.4);
  if (along <= -size || along >= 6 * size) return 1;
  const fade = along < 0 ? 1 + along / size : 1 - along / (6 * size);
  return 1 - 0.75 * fade * exp(-(across ** 2) / 1.2) + 0.15 * fade * exp(-((abs(across) - 2) ** 2) / 0.5);
};
/** From nothing to all within the first metre below: water does not change at a line. */
const rampIn = (along: number): number => Math.min(1, along);
/** All of it under the thing, none from a fifth beyond its ends. */
const endsOff = (across: number): number => Math.min(1, max(0, (1.2 - abs(across)) / 0.4));

/** Slower all over it, by a share in its middle. */
const slackened =
  (by: number): FeatureRow['wake'] =>
  (along, across, { lengthM }) => {
    const e = (2 * along) / max(0.5, lengthM);
    return 1 - by * exp(-(e * e + across * across));
  };
const behind: FeatureRow['cover'] = ({ dx, dy, widthM }) => (dx > 0 && dx < 5 * max(0.5, widthM) && dy < 0.8 ? 0.8 : 0);
const under: FeatureRow['cover'] = ({ within, dy }) => (within && dy < 1.5 ? 0.9 : 0);

/** Shapes of wakes and reaches are choices of ours after the trade (common practice, no source). */
const ROWS = {
  riffle: {
    size: [10, 12],
    // A broken surface hides, and puts air into warm water.
    cover: ({ within, dy }) => (within && dy < 0 ? 0.4 : 0),
    place: ({ dx, dy, within }, { warm }) => (warm && dy < 1.5 && (within || (dx > 0 && dx < 10)) ? 0.9 : 0),
    reason: { at: ({ dx, within }, { warm }) => warm && (within || (dx > 0 && dx < 10)) },
  },
  'drop-off': {
    size: [2, 12],
    // Soft water under the lip, gone after six metres and towards its ends.
    wake: (along, across) =>
      along > 0 && along < 6 ? 1 - 0.25 * rampIn(along) * (1 - along / 6) * endsOff(across) : 1,
    // Best under its middle, thinner towards its ends.
    cover: ({ dx, dy, widthM }) =>
      dx > 0 && dx < 6 && dy < 1 ? (1 - dx / 12) * (1 - 0.4 * max(0, 1 + (2 * dy) / max(1, widthM)) ** 2) : 0,
    place: ({ dx, dy }, { migrant }) => (migrant && dx >= 0 && dx < 8 && dy <= 1.5 ? 1 : 0),
    reason: { at: ({ dx }) => dx >= 0 && dx < 8 },
  },
  plunge: {
    size: [2, 4],
    // A jet down the middle and slow water beside it, gone after eight metres.
    wake: (along, across) =>
      along > 0 && along < 8
        ? 1 +
          rampIn(along) * (1 - along / 8) * (0.5 * exp(-3 * across ** 2) - 0.5 * exp(-((abs(across) - 1.2) ** 2) / 0.4))
        : 1,
    cover: ({ dx, dy }) => (dx > 0 && dx < 5 && dy < 1.5 ? 0.8 : 0),
    reason: { at: ({ dx }) => dx > 0 && dx < 8 },
  },
  boulder: {
    size: [1.5, 1.5],
    wake: stoneWake,
    cover: behind,
    place: ({ dx, dy }, { migrant }) => (migrant && dx > 0 && dx < 6 && dy <= 1.5 ? 0.8 : 0),
    reason: { at: ({ dx }) => dx > 0 && dx < 6 },
  },
  log: {
    size: [4, 1],
    wake: stoneWake,
    cover: behind,
    reason: { at: ({ dx }) => dx > -1 && dx < 5 },
    hinders: true,
  },
  brush: { size: [8, 2], cover: under, hinders: true },
  'cut bank': {
    size: [12, 1.5],
    cover: under,
    reason: { at: ({ within }) => within },
  },
  eddy: {
    size: [8, 4],
    wake: slackened(0.85),
    reason: { at: ({ within }) => within },
  },
  'foam line': {
    size: [15, 1],
    cover: ({ within, dy }) => (within && dy < 1 ? 0.5 : 0),
    reason: { at: ({ within }) => within },
  },
  'level step': {
    size: [12, 12],
    cover: ({ within, dy }) => (within && dy < 1 ? 0.7 : 0),
    place: ({ within, dy }, { migrant }) => (migrant && within && dy <= 1.5 ? 1 : 0),
    reason: { at: ({ within }) => within },
  },
  bar: {
    size: [10, 4],
    wake: slackened(0.5),
  },
  weed: { size: [6, 3], wake: slackened(0.5) },
  redd: {
    size: [3, 2],
    guard: { aroundM: 2, belowM: 7, stagedM: 20 },
  },
  spring: {
    size: [2, 1],
    // Cooler than a warm river and warmer than a cold one.
    place: ({ dx, dy }, { warm, cold }) => ((warm || cold) && dx > -2 && dx < 6 && dy < 2 ? 1 : 0),
    reason: {
      at: ({ dx }, { warm, cold }) => (warm || cold) && dx > -2 && dx < 6,
    },
  },
} satisfies Record<string, FeatureRow>;
export type FeatureKind = keyof typeof ROWS;
export const FEATURES: Readonly<Record<FeatureKind, FeatureRow>> = ROWS;
