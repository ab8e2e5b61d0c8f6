import { sumOf } from '../maths';
import { BY_HAND_WEIGHT, castsBy, type Dimension, isEvidence, isOfDay, type PlacedExposure, valueOf } from './evidence';

/** What goes along with a day and with an hour, by which casts are made comparable. */
const ADJUSTED_BY = ['river', 'season', 'water', 'temperature', 'level', 'run', 'hour'] as const satisfies Dimension[];
/** What is part of what is asked: a river is its runs. */
const PART_OF: Partial<Record<Dimension, readonly Dimension[]>> = { river: ['run'], run: ['river'] };

/** Each of them is believed to change nothing, as firmly as so many takes would tell; what is asked by less so, where it has a part (assumed). */
const WORTH = { adjusted: 4, asked: 1 } as const;
/** Before a log shows it: outings differ by seven tenths, and so much is that worth, in squared takes (assumed). */
const LUCK = { bunching: 0.5, weight: 2 };
/** What few outings leave open of how much their luck differs: as if there were so many fewer of them (assumed). */
const FEW = 4;
const LEAST_BUNCHING = 0.05;
/** So many sweeps at the most; before, once no effect moves by more. */
const SWEEPS = 15;
const STILL = 1e-3;

/** Casts under the same circumstances within an outing, and what was to be expected of them if what is asked by made no difference. */
export interface Expected {
  /** What is asked by; undefined where nobody noted it. */
  readonly group: string | undefined;
  readonly outing: number;
  readonly casts: number;
  readonly takes: number;
  /** Takes to be expected on such an outing, whatever its luck. */
  readonly mean: number;
  readonly exposure: PlacedExposure;
}

export interface Luck {
  readonly cells: readonly Expected[];
  /** Takes and expected takes of each outing. */
  readonly outings: readonly { readonly takes: number; readonly mean: number }[];
  /** The luck of outings is a gamma of this shape and mean 1: the smaller, the more do takes come in bunches. */
  readonly shape: number;
  /** The same of takes as they were, beside one rate for all casts: what explains the luck of outings is part of how rates differ. */
  readonly raw: number;
  /** The shape by which groups are compared: 0 where each outing is compared within itself only, whatever its luck. */
  readonly between: number;
  /** How many times as often each group is taken, where that was estimated; means have it in them. */
  readonly effects: ReadonlyMap<string, number>;
}

/** One value of what casts are adjusted by, and the cells on which it stood. */
interface Effect {
  readonly worth: number;
  value: number;
  takes: number;
  readonly on: number[];
}

/** How takes differ from outing to outing, by moments of the negative binomial. */
function shapeOf(outings: readonly { takes: number; mean: number }[]): number {
  const over = sumOf(outings, (o) => (o.takes - o.mean) ** 2 - o.mean);
  const squares = sumOf(outings, (o) => o.mean ** 2);
  const bunching = (over + LUCK.bunching * LUCK.weight) / (squares + LUCK.weight);
  return 1 / (Math.max(LEAST_BUNCHING, bunching) * (1 + FEW / Math.max(1, outings.length)));
}

/**
 * What was to be expected of each cell of an outing if what is asked by made no difference.
 *
 * A Poisson rate for all casts, times an effect for each river, quarter, clarity, temperature, level, run and hour, times the luck of the
 * outing, which is a gamma: a hierarchical generalized linear model (Lee & Nelder 1996), whose mode is found by setting each effect in
 * turn to what was taken over what was expected. Effects are shrunk to one by a gamma worth four takes.
 *
 * @param outings the exposures of each outing by itself
 * @param what 'no difference': what is asked by has no part in it, and what could be the water's is left to the water; 'differences': it has
 * an effect as well
 */
export function luckOf(
  outings: readonly (readonly PlacedExposure[])[],
  by: Dimension,
  what: 'no difference' | 'differences' = 'no difference',
): Luck {
  const adjusted = ADJUSTED_BY.filter((f) => f !== by && !PART_OF[by]?.includes(f));
  const factors: readonly Dimension[] = what === 'differences' ? [...adjusted, by] : adjusted;
  const effects = factors.map((factor) => ({
    factor,
    worth: factor === by ? WORTH.asked : WORTH.adjusted,
    of: new Map<string, Effect>(),
  }));
  const cells: Told[] = [];
  outings.forEach((outing, n) => {
    for (const e of outing) {
      if (!isEvidence(e)) continue;
      const weight = e.how === 'by hand' ? BY_HAND_WEIGHT : 1;
      const [casts, takes] = [weight * castsBy(e, by), weight * e.takes];
      for (const { factor, worth, of } of effects) {
        const value = valueOf(e, factor);
        if (value === undefined) continue;
        const effect = of.get(value) ?? { worth, value: 1, takes: 0, on: [] };
        of.set(value, effect);
        effect.takes += takes;
        effect.on.push(cells.length);
      }
      cells.push({ group: valueOf(e, by), outing: n, casts, takes, exposure: e });
    }
  });
  const { means, sums, shape, raw } = modeOf(
    cells,
    outings.length,
    effects.flatMap(({ of }) => [...of.values()]),
  );
  const asked = effects.find(({ factor }) => factor === by)?.of ?? new Map<string, Effect>();
  return {
    cells: cells.map((c, i) => ({ ...c, mean: means[i]! })),
    outings: sums,
    ...{ shape, raw, between: isOfDay(by) ? shape : 0 },
    effects: new Map([...asked].map(([value, effect]) => [value, effect.value])),
  };
}

type Told = Omit<Expected, 'mean'>;

/** The mode: effects, the luck of outings and how it is spread, each in turn until they stand still. */
function modeOf(cells: readonly Told[], outings: number, effects: readonly Effect[]) {
  const rate =
    sumOf(cells, (c) => c.takes) /
    Math.max(
      1,
      sumOf(cells, (c) => c.casts),
    );
  const means = Float64Array.from(cells, (c) => rate * c.casts);
  const outingOf = Int32Array.from(cells, (c) => c.outing);
  const sums = Array.from({ length: outings }, () => ({ takes: 0, mean: 0 }));
  for (const c of cells) sums[c.outing]!.takes += c.takes;
  const add = () => {
    for (const o of sums) o.mean = 0;
    for (let i = 0; i < means.length; i++) sums[outingOf[i]!]!.mean += means[i]!;
  };
  // An outing without a cast that counts says nothing of luck.
  const spread = () => shapeOf(sums.filter((o) => o.mean > 0));
  add();
  const raw = spread();
  let shape = raw;
  for (let sweep = 0, moved = Infinity; sweep < SWEEPS && moved > STILL; sweep++) {
    moved = 0;
    const lucks = Float64Array.from(sums, (o) => (shape + o.takes) / (shape + o.mean));
    for (const effect of effects) {
      let expected = 0;
      for (const i of effect.on) expected += means[i]! * lucks[outingOf[i]!]!;
      const value = (effect.worth + effect.takes) / (effect.worth + expected / effect.value);
      const ratio = value / effect.value;
      effect.value = value;
      moved = Math.max(moved, Math.abs(ratio - 1));
      for (const i of effect.on) means[i]! *= ratio;
    }
    add();
    shape = spread();
  }
  return { means, sums, shape, raw };
}

/** What one group had and was to have on one outing, given what the whole outing brought. */
export interface Score {
  readonly group: string;
  readonly outing: number;
  readonly casts: number;
  readonly takes: number;
  readonly mean: number;
  readonly expected: number;
  /** Variance of takes that come one by one, what the outing’s luck leaves open included. */
  readonly variance: number;
}

/**
 * Score contributions of the mixed model: an outing on which everything took raises what is expected of each of its flies.
 *
 * What one chooses on the water is compared within outings alone: takes of an outing are shared out by what was expected of each, as if
 * nothing were known of luck. Who ties on white when fish are taking has no better fly for it; of a fly that had an outing to
 * itself nothing is learned. What is of the day is compared between outings, as far as their takes tell their luck.
 */
export function scoresOf({ cells, outings, between }: Luck): Score[] {
  const sums = new Map<string, { group: string; outing: number; casts: number; takes: number; mean: number }>();
  for (const { group, outing, casts, takes, mean } of cells) {
    if (group === undefined) continue;
    const key = `${outing}|${group}`;
    const s = sums.get(key) ?? { group, outing, casts: 0, takes: 0, mean: 0 };
    s.casts += casts;
    s.takes += takes;
    s.mean += mean;
    sums.set(key, s);
  }
  return [...sums.values()]
    .filter((s) => s.mean > 0)
    .map((s) => {
      const { takes, mean } = outings[s.outing]!;
      const expected = (s.mean * (between + takes)) / (between + mean);
      // Within an outing its takes are given; between outings they are not (Fisher information).
      const open = between > 0 ? s.mean : expected;
      return { ...s, expected, variance: open * (1 - s.mean / (between + mean)) };
    });
}

/** Before a log shows it: takes of one fly bunch within an outing so much, and so much is that worth (assumed). */
const WITHIN = { bunching: 0.1, weight: 4 };

/** How much takes bunch within outings: their variance is v + bunching·v² (moments). */
export function bunchingWithin(scores: readonly Score[]): number {
  const over = sumOf(scores, (s) => (s.takes - s.expected) ** 2 - s.variance);
  const squares = sumOf(scores, (s) => s.variance ** 2);
  return Math.max(0, (over + WITHIN.bunching * WITHIN.weight) / (squares + WITHIN.weight));
}

/**
 * Variance of the takes of some groups over that of takes that come one by one. What is better or worse must not be taken for bunches: the
 * others tell how much they bunch.
 */
export function spreadOf(scores: readonly Score[], names: readonly string[]): number {
  const own = scores.filter((s) => names.includes(s.group));
  const others = scores.filter((s) => !names.includes(s.group));
  const bunching = bunchingWithin(others) * (1 + FEW / Math.max(1, own.length));
  const open = sumOf(own, (s) => s.variance);
  return open > 0 ? 1 + (bunching * sumOf(own, (s) => s.variance ** 2)) / open : 1;
}
