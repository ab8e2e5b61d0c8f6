import { type FishLie, MIGRANTS, type Survey } from '../lies';
import { survey } from '../lies/survey';
import { type FlyColour, type FlyFamily, type FlyItem, level, type Rig, type TipItem, usualFly } from '../tackle';
import { FOOT_M, GRAIN_KG, INCH_M } from '../units';
import { inventedWater, type OwnRun, ownWater, type PracticeWater } from './invented';
import type { Grade } from './played';

/** A run on a day, rebuilt. */
export interface OnWater {
  readonly water: PracticeWater;
  readonly survey: Survey;
}
/** …and a lie of it that one fishes. */
export interface AtLie extends OnWater {
  readonly lie: FishLie;
}

/** What a round is made on: invented water by its seed, or a run of one’s own on a day by its seed. */
export interface Asked {
  readonly seed: number;
  readonly grade: Grade;
  readonly own?: OwnRun | null;
}

/** The water of a round, before anything is looked for in it. */
export const waterFor = ({ seed, grade, own }: Asked): PracticeWater =>
  own ? ownWater(seed, grade, own) : inventedWater(seed, grade);

export function onWater(asked: Asked): OnWater {
  const water = waterFor(asked);
  const { run, reading, quarry, school } = water;
  return { water, survey: survey(run, reading, { quarry, school, most: 8 }) };
}

/** So many of the best lies of a round’s run are tried. */
const TRIED_LIES = 3;

/** The first of the best lies of a round’s run that a question can be made at. */
export function atSomeLie<R>(asked: Asked, make: (at: AtLie) => R | null): R | null {
  const on = onWater(asked);
  for (const lie of on.survey.lies.slice(0, TRIED_LIES)) {
    const round = make({ ...on, lie });
    if (round) return round;
  }
  return null;
}

/** Where a seed’s water has no question in it, another is drawn: the same each time. */
export const another = (asked: Asked, n: number): Asked => ({ ...asked, seed: asked.seed + 7919 * n });

const TIP_RATES = [
  { ips: 0, name: 'floating' },
  { ips: 1.5, name: 'intermediate' },
  { ips: 3, name: 'slow' },
  { ips: 7, name: 'fast' },
] as const;
const tipsOf = (feet: number): TipItem[] =>
  TIP_RATES.map(({ ips, name }) => ({
    ...{ type: 'tip', id: name, name: `${feet} ft ${name}` },
    ...{ lengthM: feet * FOOT_M, sinkRateMps: ips * INCH_M },
  }));

/** A fly of the rounds: as its family usually is. */
export const flyOf = (family: FlyFamily, colour: FlyColour): FlyItem => ({
  ...usualFly(family, colour),
  id: `${colour} ${family}`,
  name: `${colour} ${family}`,
});

/** What is tied on in the rounds: to travelling fish a two-hander with a short head, to trout a single-hander with a long one; an
 * unweighted fly on a short leader, so that the tip decides. */
export function outfitFor({ quarry }: Pick<PracticeWater, 'quarry'>): {
  /** From the lightest on. */
  readonly tips: readonly TipItem[];
  readonly rigWith: (tip: TipItem | null) => Rig;
} {
  const two = MIGRANTS.has(quarry);
  const rig: Rig = {
    rod: {
      ...{ type: 'rod', id: 'rod', name: two ? 'two-hander' : 'single-hander' },
      ...(two
        ? { lengthM: 12.5 * FOOT_M, hands: 2 as const, lineNumber: 7 }
        : { lengthM: 9.5 * FOOT_M, hands: 1 as const, lineNumber: 6 }),
    },
    head: two
      ? {
          ...{ type: 'head', id: 'head', name: 'short head', shape: 'short' },
          ...{ lengthM: 23 * FOOT_M, massKg: 450 * GRAIN_KG, sinkRatesMps: [0] },
        }
      : {
          ...{ type: 'head', id: 'head', name: 'long head', shape: 'long' },
          ...{ lengthM: 30 * FOOT_M, massKg: 190 * GRAIN_KG, sinkRatesMps: [0] },
        },
    tip: null,
    leader: { type: 'leader', id: 'leader', name: '4 ft', pieces: level(4 * FOOT_M, 0.25e-3, 'nylon') },
    fly: two ? flyOf('rabbit strip', 'black') : flyOf('woolly bugger', 'olive'),
    droppers: [],
    lineClean: true,
  };
  return { tips: tipsOf(two ? 10 : 5), rigWith: (tip) => ({ ...rig, tip }) };
}
