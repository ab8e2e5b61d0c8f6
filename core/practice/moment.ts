import { caseOnRun } from '../cast/case';
import { type CastPlan, castAt, openingOf } from '../cast';
import { unlessRefused } from '../refusal';
import { NUMERICS, runSwing, type SwingResult } from '../swing';
import type { Rig } from '../tackle';
import { type Asked, type AtLie, atSomeLie, outfitFor } from './onWater';

/** What of a swing one is to see: the fly comes tight; it touches the bed; it is deepest, and rises from then on. */
export const MOMENTS = ['tight', 'touch', 'rise'] as const;
export type Moment = (typeof MOMENTS)[number];

/** A swing plays: when does it come tight, touch, begin to rise? */
export interface MomentRound extends AtLie {
  readonly kind: 'moment';
  readonly moment: Moment;
  readonly rig: Rig;
  readonly plan: CastPlan;
  readonly swing: SwingResult;
  /** Seconds after landing. */
  readonly truthS: number;
}

/** What comes sooner after landing nobody sees, and for what comes later nobody waits, s. */
const [SOONEST_S, LATEST_S] = [2, 40];
/** The line is kept as often as a picture of it is drawn (ui/charts), s. */
const LINE_S = 0.5;

function momentOf(r: SwingResult, moment: Moment): number | null {
  switch (moment) {
    case 'tight':
      return r.fishing?.fromS ?? null;
    case 'touch':
      return r.firstTouchS;
    case 'rise':
      return r.maxDepthS;
  }
}

export const momentRound = (asked: Asked): MomentRound | null =>
  atSomeLie(asked, (at) => {
    const { water, survey, lie } = at;
    const { lies, channel } = survey;
    const { tips, rigWith } = outfitFor(water);
    const rig = rigWith(tips[(asked.seed + lie.rank - 1) % tips.length]!);
    const plan = castAt(lie, channel, rig, lies, openingOf(water.reading, rig, water.school));
    const swing = unlessRefused(() =>
      runSwing({ ...caseOnRun(channel, rig, plan, [lie]), keepLineS: LINE_S, afterDangleS: 2 }, NUMERICS.full),
    );
    if (!swing?.fishing) return null;
    for (let n = 0; n < MOMENTS.length; n++) {
      const moment = MOMENTS[(asked.seed + n) % MOMENTS.length]!;
      const truthS = momentOf(swing, moment);
      if (truthS !== null && truthS >= SOONEST_S && truthS <= LATEST_S)
        return { kind: 'moment', ...at, moment, rig, plan, swing, truthS };
    }
    return null;
  });
