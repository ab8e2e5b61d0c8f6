import type { FishLie } from '../lies';
import { NUMERICS, runSwing, type Numerics } from '../swing';
import type { Rig } from '../tackle';
import type { Channel } from '../water';
import { caseOnRun } from './cast';
import type { CastPlan } from './plan';
import { judge, type Verdict } from './verdict';

/** What is wanted of the fly at a lie. */
export interface Wanted {
  readonly lie: FishLie;
  /** The fly should pass broadside. */
  readonly sideOn: boolean;
}

/** A rig and a cast to try. */
export interface Trial {
  readonly rig: Rig;
  readonly plan: CastPlan;
}

export interface Tried extends Trial {
  readonly verdict: Verdict;
  /** How far it is from what is wanted; 0 is right. */
  readonly miss: number;
}

/** Side-on from here, degrees off the current. */
export const SIDE_ON_DEG = 45;
/** What counts as one unit of being wrong: a hand too high or too deep, 0.1 m/s too fast, 15° not side-on, a metre
 * past the reach. A fly on the bed is worse than one as much too high: it hangs up. */
const UNIT = { depthM: 0.1, speedMps: 0.1, axisDeg: 15, missM: 1 } as const;
const ON_BED = 3;
const NOT_REACHED = 20;

/** How far a pass is from what is wanted, in the units above; 0 is right. */
export function missOf({ pass, fit, byM, lie }: Verdict, sideOn: boolean): number {
  if (fit === 'not reached') return NOT_REACHED + pass.missM / UNIT.missM;
  return (
    (fit === 'on the bed' ? ON_BED : 0) +
    Math.abs(byM) / UNIT.depthM +
    Math.max(0, pass.crossSpeedMps - lie.crossSpeedMps) / UNIT.speedMps +
    (sideOn ? Math.max(0, SIDE_ON_DEG - pass.axisDeg) / UNIT.axisDeg : 0)
  );
}

/** Simulates one trial up to the lie and judges it; null when it cannot be cast. */
export function tryOut(c: Channel, w: Wanted, t: Trial, num: Numerics): Tried | null {
  try {
    const swing = { ...caseOnRun(c, t.rig, t.plan, [w.lie]), keepLineS: 0, stopPastLies: true };
    const [verdict] = judge(runSwing(swing, num), [w.lie]);
    return { ...t, verdict: verdict!, miss: missOf(verdict!, w.sideOn) };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/** Trials by how wrong they are, the better first; equals keep their order. */
export const byMiss = (a: Tried, b: Tried): number => a.miss - b.miss;

/**
 * Ranks trials for a lie: all with a coarse chain, the best again in full.
 *
 * The coarse order agrees with the full one to about 0.97 (docs/swing.md), so the finalists are several times as many
 * as are wanted.
 *
 * @param want how many to return
 * @yields the share done, 0 to 1, after every trial
 * @returns the best, in full, the better first
 */
export function* rank(
  c: Channel,
  w: Wanted,
  trials: readonly Trial[],
  want: number,
): Generator<number, Tried[], undefined> {
  const finalists = Math.min(trials.length, FINALISTS * want);
  const whole = trials.length + FULL_COST * finalists;
  const coarse: Tried[] = [];
  for (let i = 0; i < trials.length; i++) {
    const tried = tryOut(c, w, trials[i]!, NUMERICS.rough);
    if (tried) coarse.push(tried);
    yield (i + 1) / whole;
  }
  coarse.sort(byMiss);
  const full: Tried[] = [];
  for (const [i, t] of coarse.slice(0, finalists).entries()) {
    const tried = tryOut(c, w, t, NUMERICS.full);
    if (tried) full.push(tried);
    yield (trials.length + FULL_COST * (i + 1)) / whole;
  }
  return full.sort(byMiss).slice(0, want);
}

const FINALISTS = 3;
/** A full swing takes about so many times a coarse one. */
const FULL_COST = 2;

/** All combinations of tips, flies, angles and mends with the rest of a trial kept, in a stable order. */
export function combinations(
  base: Trial,
  o: {
    readonly tips: readonly Rig['tip'][];
    readonly flies: readonly Rig['fly'][];
    readonly angles: readonly number[];
    readonly mends: readonly number[];
  },
): Trial[] {
  return o.tips.flatMap((tip) =>
    o.flies.flatMap((fly) =>
      o.angles.flatMap((angleDeg) =>
        o.mends.map((mendM) => ({
          rig: { ...base.rig, tip, fly },
          plan: { ...base.plan, angleDeg, mendM },
        })),
      ),
    ),
  );
}
