import type { PlacedExposure } from '../learn/evidence';
import { normal, seeded } from '../maths';
import { FLY_FAMILY_NAMES } from '../tackle';

/** A made-up angler and made-up rivers. */
export interface Seasons {
  readonly outings: number;
  /** Takes a cast of an ordinary fly on an ordinary day. */
  readonly rate: number;
  /** Shape of the gamma by which luck differs from outing to outing, and from one stretch of casts to the next: the smaller, the more. */
  readonly luck: number;
  readonly stretch: number;
  /** How many flies are fished on an outing, and how much more often the one than the next. */
  readonly flies: number;
  readonly skew: number;
  /** White is so many times as good. */
  readonly white?: number;
  /** White, tan and pink are fished in clear water mostly, where takes are four times as common. */
  readonly confounded?: boolean;
}

/** Kinds of season in which nothing makes a difference: by rate, luck and habit. */
export const NULL_KINDS = {
  plain: { rate: 0.01, luck: 3, stretch: Infinity, flies: 3, skew: 0.85 },
  bunched: { rate: 0.01, luck: 1, stretch: Infinity, flies: 3, skew: 0.85 },
  'very bunched': { rate: 0.01, luck: 0.5, stretch: 2, flies: 3, skew: 0.85 },
  'rare takes': { rate: 0.004, luck: 1, stretch: 3, flies: 3, skew: 0.85 },
  'one fly mostly': { rate: 0.02, luck: 1, stretch: 3, flies: 4, skew: 0.5 },
  'two a day': { rate: 0.02, luck: 1, stretch: 3, flies: 2, skew: 0.75 },
  'one a day': { rate: 0.02, luck: 1, stretch: 3, flies: 1, skew: 0.75 },
  'soft hackles': { rate: 0.08, luck: 1, stretch: 2, flies: 3, skew: 0.85 },
  'soft hackles, very bunched': { rate: 0.08, luck: 0.5, stretch: 0.7, flies: 3, skew: 0.85 },
  'many flies': { rate: 0.03, luck: 1, stretch: 2, flies: 6, skew: 1 },
} as const satisfies Record<string, Omit<Seasons, 'outings'>>;

/** A gamma of this shape and mean 1 (Marsaglia & Tsang 2000); for a shape below 1 their boost by a power of a uniform number. */
export function gamma(rand: () => number, shape: number): number {
  if (shape === Infinity) return 1;
  if (shape < 1) return (gamma(rand, shape + 1) * (shape + 1) * rand() ** (1 / shape)) / shape;
  const d = shape - 1 / 3;
  for (;;) {
    const x = normal(rand);
    const v = (1 + x / Math.sqrt(9 * d)) ** 3;
    if (v > 0 && Math.log(rand()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return (d * v) / shape;
  }
}

/** A Poisson number, by adding up its chances. */
function poisson(rand: () => number, mean: number): number {
  const u = rand();
  let [k, chance] = [0, Math.exp(-mean)];
  for (let sum = chance; u > sum && k < 500; sum += chance) chance *= mean / ++k;
  return k;
}

const one = <T>(rand: () => number, of: readonly T[]): T => of[Math.floor(of.length * rand())]!;
const COLOURS = ['black', 'olive', 'white', 'tan', 'red', 'orange', 'purple', 'pink', 'brown', 'yellow', 'blue'];
const WATERS = ['dirty', 'stained', 'green', 'clear'] as const;

/** The outings of one such season. */
export function seasonOf(rand: () => number, s: Seasons): PlacedExposure[][] {
  const weights = COLOURS.map((_, i) => s.skew ** i);
  const usual = () => {
    let u = rand() * weights.reduce((a, b) => a + b);
    return COLOURS[weights.findIndex((w) => (u -= w) <= 0)]!;
  };
  const more = seeded(s.outings);
  return Array.from({ length: s.outings }, () => {
    const water = one(rand, WATERS);
    const river = one(rand, ['a', 'b', 'c']);
    const day = {
      ...{ water, season: one(rand, ['Mar–May', 'Jun–Aug', 'Sep–Nov']) },
      ...{ temperature: one(rand, ['1', '2', '3', '4']), level: one(rand, ['0', '1', '2', '3']) },
      sky: one(rand, ['bright', 'broken', 'overcast']),
      ...{ trend: one(more, ['falling', 'steady', 'rising']), freshet: one(more, ['0', '1', '2', '3']) },
    };
    const good = s.confounded ? (water === 'clear' ? 2.4 : 0.6) : 1;
    const luck = good * gamma(rand, s.luck);
    const casts = Math.round((100 * (0.5 + rand())) / s.flies);
    return Array.from({ length: s.flies }, (_, k): PlacedExposure => {
      const habit = s.confounded && rand() < 0.8;
      const colour = habit ? one(rand, water === 'clear' ? ['white', 'tan', 'pink'] : ['black', 'olive']) : usual();
      const mean = casts * s.rate * luck * gamma(rand, s.stretch) * (colour === 'white' ? (s.white ?? 1) : 1);
      const n = COLOURS.indexOf(colour);
      const shown = {
        ...{ ...day, colour, family: FLY_FAMILY_NAMES[n % 4]!, size: String(n % 3) },
        ...{ tip: one(rand, ['none', '1', '2', '3']), way: one(rand, ['swing', 'swing', 'strip']) },
        ...{ run: `${river}${k % 2}`, hour: String(1 + (k % 4)), lie: one(rand, ['over a lie', 'over none']) },
        ...{ depth: one(rand, ['0', '1', '2']), speed: one(rand, ['0', '1', '2']) },
        ...{ kind: one(more, ['seam', 'boulder', 'shade']), cadence: one(more, ['0', '1', '2']) },
      };
      return { shown, casts, takes: poisson(rand, mean), place: river };
    });
  });
}
