import { useMemo } from 'react';
import { type FairTrial, gainAhead, gainsOf, type Next, paceS, WALK_MIN } from '@/core/cover';
import { bestRate, changeClock, leaveClock, NEXT_RIGHT, SET_UP } from '@/core/learn/clocks';
import { hintFor } from '@/core/learn/hint';
import { trialSoFar } from '@/core/learn/trials';
import { dayPrior, priorOf } from '@/core/learn/prior'; // not the barrel: the distributions weigh more than this screen
import { isTake, type OnRun } from '@/core/logbook';
import { isWetFly, type Rig } from '@/core/tackle';
import { useOwnLog, useSettings } from '@/store/hooks';
import { castsAhead, type Plan } from './usePlan';
import type { ShownSoFar } from './useShown';
import { hintWords } from '@/words/learn';
import { trialNames, trialWords } from '@/words/trials';

/** A fish that showed itself is worth so much of a take (assumed). */
const SIGN = 0.5;
/** A change of fly takes about so long, s (assumed: cold hands and a knot). */
const CHANGE_S = 120;

/** The one quiet line: a trial that goes on,  the bed, changing, leaving, or what the count says, with its reason. */
export function useQuiet(
  state: OnRun,
  rig: Rig,
  plan: Plan,
  so: ShownSoFar | null,
  next: Next,
  fresh: boolean,
  trial: FairTrial | null,
): string {
  const own = useOwnLog();
  const [{ walkMin = WALK_MIN }] = useSettings();
  const { covering, followed, time } = plan;
  const { patience } = time;
  const { castsSinceTake, castsSinceChange, hungSinceChange: hung, lately, tally } = state.folded;
  const wet = isWetFly(rig.fly);
  const elsewhere = useMemo(
    () => (covering ? bestRate(gainsOf(covering, patience), walkMin) : null),
    [covering, patience, walkMin],
  );
  return useMemo(() => {
    if (trial) return trialWords(trialSoFar(trial.sides, trial.even, priorOf(wet)), trialNames(trial, state.rigs));
    const counted = { castsSinceTake, castsSinceChange, lately, hung, fresh, rig, own };
    // Who has a fish before him, or has hardly begun, is told neither to change nor to leave.
    const busy = next.kind !== 'planned' && next.kind !== 'over';
    if (busy || !covering || !followed || !so || elsewhere === null) return hintWords(hintFor(counted));
    const prior = dayPrior(own, priorOf(wet));
    const tiedOn = state.events.findLastIndex((e) => e.kind === 'rig');
    const since = state.events.slice(tiedOn + 1);
    const n = since.filter((e) => e.kind === 'cast' && so.over.has(e.id)).length;
    const takes = since.filter((e) => e.kind === 'take' && isTake(e) && !e.juvenile).length;
    // The first fly of a visit was chosen for it; what it was changed to is as good as its luck.
    const before = state.events.slice(0, tiedOn).some((e) => e.kind === 'rig') ? NEXT_RIGHT : SET_UP.right;
    const cost = CHANGE_S / paceS(state.casts);
    const ahead = castsAhead(followed, next.left);
    const hint = hintFor({
      ...counted,
      change: { ...changeClock(prior, { n, takes, left: next.left, cost, before }), casts: n, takes },
      leave: {
        ...leaveClock({
          ahead: gainAhead(covering, so.shown, ahead, patience),
          elsewhere,
          here: { takes: tally.takes + SIGN * tally.signs, casts: so.over.size },
          prior,
        }),
        walkMin,
      },
    });
    return hintWords(hint);
  }, [
    castsSinceTake,
    castsSinceChange,
    lately,
    hung,
    fresh,
    rig,
    wet,
    own,
    covering,
    followed,
    so,
    elsewhere,
    state,
    next.kind,
    next.left,
    patience,
    tally,
    walkMin,
    trial,
  ]);
}
