import { tryOut } from '../advice/trial';
import type { Trial, Verdict } from '../advice';
import { ANY_MEANS, CAST_ANGLE_DEG, castAt, type CastPlan, mayStand, openingOf } from '../cast';
import { clamp, radians, seeded, shuffled } from '../maths';
import { NUMERICS } from '../swing';
import { type Channel, rowAt } from '../water';
import { type Asked, atSomeLie, type AtLie, outfitFor } from './onWater';
import { type Letter, LETTERS } from './played';

/** One of the things to choose among, tried. */
export interface Option<W> {
  readonly what: W;
  readonly trial: Trial;
  readonly verdict: Verdict;
  /** Nobody should stand there: too deep or fast; or it scares what it is to fish. */
  readonly barred?: 'water' | 'lie';
}

/** A choice at a lie: every option is tried there, and counts by how well it shows the fly. */
export interface TriedRound<K extends string, W> extends AtLie {
  readonly kind: K;
  /** The cast that is told. */
  readonly plan: CastPlan;
  readonly options: readonly Option<W>[];
}

/** Which tip shows the fly best at this lie? By name, the lightest first; the same cast with each. */
export type TipRound = TriedRound<'tip', string>;
/** At which angle does one begin? Each from where it brings the fly to the lie. */
export type AngleRound = TriedRound<'angle', number>;

/** A single thing that is done otherwise. */
export type Change = 'heavier tip' | 'lighter tip' | 'mend' | 'squarer' | 'flatter';
/** The fly does not pass as it should: which one change mends it most? */
export type ChangeRound = TriedRound<'change', Change> & { readonly before: Verdict };

/** A place on the bank or in the water. */
export type StandRound = TriedRound<'stand', Letter>;

/** The best must be worth choosing, and the worst clearly less. */
const [LEAST_BEST, LEAST_APART] = [0.3, 0.15];

/** What an option counts. */
const worthOfOption = ({ verdict, barred }: Option<unknown>): number => (barred ? 0 : verdict.showing);

function telling(options: readonly Option<unknown>[]): boolean {
  const worths = options.map(worthOfOption);
  const best = Math.max(...worths);
  return best >= LEAST_BEST && best - Math.min(...worths) >= LEAST_APART;
}

const trialOf = <W>(c: Channel, { lie }: AtLie, what: W, trial: Trial): Option<W>[] => {
  const tried = tryOut(c, lie, trial, NUMERICS.coarse);
  return tried ? [{ what, trial, verdict: tried.verdict }] : [];
};

/** The outfit of a lie’s water, how one begins there, and the cast. */
function begun({ water, survey: { lies, channel }, lie }: AtLie) {
  const { tips, rigWith } = outfitFor(water);
  const opening = openingOf(water.reading, rigWith(null), water.school);
  return { tips, rigWith, opening, plan: castAt(lie, channel, rigWith(tips[2]!), lies, opening) };
}

export const tipRound = (asked: Asked): TipRound | null =>
  atSomeLie(asked, (at) => {
    const { tips, rigWith, plan } = begun(at);
    const options = tips.flatMap((tip) => trialOf(at.survey.channel, at, tip.name, { rig: rigWith(tip), plan }));
    return options.length === tips.length && telling(options) ? { kind: 'tip', ...at, plan, options } : null;
  });

/** From a flat cast to one straight across. */
const ANGLES_DEG = [30, 50, 70, 90] as const;

export const angleRound = (asked: Asked): AngleRound | null =>
  atSomeLie(asked, (at) => {
    const { channel, lies } = at.survey;
    const { tips, rigWith, opening, plan } = begun(at);
    const rig = rigWith(tips[1 + (asked.seed % 3)]!);
    const options = ANGLES_DEG.flatMap((angleDeg) => {
      const cast = castAt(at.lie, channel, rig, lies, { ...opening, angleDeg });
      // Where it can only be reached squarer, the angle that was asked for is not to be had.
      return Math.abs(cast.angleDeg - angleDeg) < 3 ? trialOf(channel, at, angleDeg, { rig, plan: cast }) : [];
    });
    return options.length >= 3 && telling(options) ? { kind: 'angle', ...at, plan, options } : null;
  });

/** So much one turns a cast, and so much slack a mend lays in. */
const [TURN_DEG, MEND_M] = [20, 2];
/** What needs a change shows the fly no better than this share of what one change makes of it. */
const MENDABLE = 0.6;

export const changeRound = (asked: Asked): ChangeRound | null =>
  atSomeLie(asked, (at) => {
    const { channel } = at.survey;
    const { tips, rigWith, plan } = begun(at);
    const n = 1 + (asked.seed % 2);
    const rig = rigWith(tips[n]!);
    const turned = (by: number) => clamp(plan.angleDeg + by, CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most);
    const before = tryOut(channel, at.lie, { rig, plan }, NUMERICS.coarse)?.verdict;
    if (!before) return null;
    const changed: readonly (readonly [Change, Trial])[] = [
      ['heavier tip', { rig: rigWith(tips[n + 1]!), plan }],
      ['lighter tip', { rig: rigWith(tips[n - 1]!), plan }],
      ['mend', { rig, plan: { ...plan, mendM: plan.mendM + MEND_M } }],
      ['squarer', { rig, plan: { ...plan, angleDeg: turned(TURN_DEG) } }],
      ['flatter', { rig, plan: { ...plan, angleDeg: turned(-TURN_DEG) } }],
    ];
    const options = changed.flatMap(([what, trial]) => trialOf(channel, at, what, trial));
    const best = Math.max(...options.map(worthOfOption));
    return options.length === changed.length && telling(options) && before.showing <= MENDABLE * best
      ? { kind: 'change', ...at, plan, before, options }
      : null;
  });

/** Other places to stand: so far up or down from the good one, m, and out from there as a share of the width. */
const ELSEWHERE = [
  { alongM: 7, out: 0 },
  { alongM: -9, out: 0 },
  { alongM: 0, out: 0.3 },
  { alongM: 2, out: 0.2 },
  { alongM: -4, out: 0.35 },
] as const;

/** The cast from a place that lands so that the fly swings over a lie: at the usual angle, as long as the lie is far. */
function castFrom(at: AtLie, from: CastPlan, xM: number, yM: number): CastPlan {
  const across = Math.abs(at.lie.yM - yM);
  const outM = clamp(across / Math.sin(radians(from.angleDeg)), 6, ANY_MEANS.longestM);
  return { ...from, xM, yM, outM: Math.max(outM, 6) };
}

export const standRound = (asked: Asked): StandRound | null =>
  atSomeLie(asked, (at) => {
    const { channel, lies } = at.survey;
    const { tips, rigWith, plan } = begun(at);
    const rig = rigWith(tips[2]!);
    const rand = seeded(asked.seed + 5);
    const width = channel.edgeFar[rowAt(channel, plan.xM)]! - channel.edgeNear[rowAt(channel, plan.xM)]!;
    const elsewhere = ELSEWHERE.map(({ alongM, out }) =>
      castFrom(at, plan, plan.xM + alongM, plan.yM + out * width),
    ).filter(({ xM, yM }) => xM > 0 && xM < at.water.run.lengthM && yM < channel.edgeFar[rowAt(channel, xM)]!);
    const others = shuffled(elsewhere, rand).slice(0, LETTERS.length - 1);
    // Lettered down the run, so that the letter tells nothing.
    const plans = [plan, ...others].sort((a, b) => a.xM - b.xM || a.yM - b.yM);
    const options = plans.flatMap((cast, i) =>
      trialOf(channel, at, LETTERS[i]!, { rig, plan: cast }).map((o): Option<Letter> => {
        if (mayStand(channel, lies, cast.xM, cast.yM)) return o;
        return { ...o, barred: mayStand(channel, [], cast.xM, cast.yM) ? 'lie' : 'water' };
      }),
    );
    return options.length === LETTERS.length && telling(options) ? { kind: 'stand', ...at, plan, options } : null;
  });
