import { useCallback, useEffect, useMemo } from 'react';
import { type CastPlan, handsOf } from '@/core/cast';
import {
  type Beat,
  beatFor,
  oneByOne,
  type CastChoice,
  type Covering,
  ruleBeat,
  ruleFor,
  signOf,
  usualTime,
  workFor,
} from '@/core/cover';
import type { Schools } from '@/core/answer/schools';
import { waysIn } from '@/core/answer/waysIn'; // not the barrel: this weighs on the first look
import { choiceOf, type Rig } from '@/core/tackle';
import { useSession } from '@/store/hooks';
import type { Session } from '@/store/records';
import type { RunReady } from '../shared/RunGate';
import { useAnswer } from '../shared/useAnswer';
import { useSchools } from '../shared/useSchools';
import { useRelease } from '../shared/useRelease';
import { useCoverRequest, useCovering } from './useCovering';

type Time = NonNullable<Session['time']>;

export interface Plan {
  /** The casts in their order, at least one: of the plan, or of the rule of thumb until there is one. */
  readonly casts: readonly CastPlan[];
  /** +1 where one works down the run. */
  readonly sign: 1 | -1;
  readonly time: Time;
  /** The schools that it and the hands go by. */
  readonly school: Schools;
  readonly setTime: (time: Time) => void;
  /** Null while it is worked out. */
  readonly covering: Covering | null;
  readonly beat: Beat | null;
  readonly rule: Beat | null;
  /** Which of the two is followed, and the other. */
  readonly followed: Beat | null;
  readonly other: Beat | null;
  /** Share of the work that is done; null when nothing is going on. */
  readonly working: number | null;
  readonly error: string | null;
  /** What has changed since it was made: it stays until another is asked for. */
  readonly outdated: 'reading' | 'rig' | 'cast' | null;
  /** A cast that was set by hand since, another way of showing the fly. */
  readonly setByHand: CastPlan | null;
  /** The cast that it was made by; null: by the answer’s. */
  readonly madeBy: CastPlan | null;
  /** Makes another plan, for the water and what is on now. @param by the cast to make it by; not said: as it is set */
  readonly renew: (by?: CastPlan) => void;
}

/** What a plan is made for; as JSON it is the plan's key. */
interface MadeFor {
  readonly runId: string;
  readonly rig: unknown;
  readonly reading: unknown;
  readonly cast: CastPlan | null;
  readonly time: Time;
}
const keyOf = ({ runId, rig, reading, cast, time }: MadeFor): string =>
  JSON.stringify([runId, rig, reading, cast, time]);
/** The same read back; null for a key that cannot be read. */
function madeFor(key: string | undefined): MadeFor | null {
  try {
    const [runId, rig, reading, cast, time] = JSON.parse(key ?? 'null');
    return { runId, rig, reading, cast, time };
  } catch {
    return null;
  }
}
const differ = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b);

const NO_STANDS: readonly CastPlan[] = [];

/**
 * The casts for a run in the time there is: by the answer's stands for what is tied on, or the cast that was set by hand; kept,
 * so that a reload goes on with the same. While one fishes it changes only when it is asked to.
 *
 * @param going one is fishing by it; @param active false rests, as a screen should that is not in sight
 */
export function usePlan(ready: RunReady, rig: Rig, going: boolean, active: boolean): Plan {
  const [session, setSession] = useSession();
  const school = useSchools(ready);
  const time: Time = session?.time ?? usualTime(school.search === 'stay and vary');
  const cast = session?.cast ?? null;
  const { run, today } = ready;
  const now = useMemo<MadeFor>(
    () => ({ runId: run.id, rig: choiceOf(rig), reading: { ...today.reading, id: '', at: 0 }, cast, time }),
    [run.id, rig, today.reading, cast, time],
  );
  const key = useMemo(() => keyOf(now), [now]);
  const stored = session?.beat;
  const made = useMemo(() => madeFor(stored?.key), [stored]);
  const holds = going && made !== null && made.runId === run.id && !differ(made.time, time);
  const kept = stored && (holds || stored.key === key) ? stored : null;
  const setByHand =
    holds && cast && differ(made.cast, cast) && handsOf(cast).way !== handsOf(stored!.casts[0]!).way ? cast : null;
  const outdated = !holds
    ? null
    : today.fresh && differ(made.reading, now.reading)
      ? 'reading'
      : differ(made.rig, now.rig)
        ? 'rig'
        : cast && differ(made.cast, cast)
          ? 'cast'
          : null;
  const { answer, error: unanswered } = useAnswer(ready, 'only this', active && !cast && !kept);
  const answered = answer?.served;
  const stands = useMemo(
    () => kept?.stands ?? (cast ? [cast] : answered ? waysIn(answered) : NO_STANDS),
    [kept, cast, answered],
  );
  const request = useCoverRequest(ready, rig, stands, school.distance === 'far');
  const known = stands.length > 0 || answer !== null || unanswered !== null;
  const { covering, settled, share, error } = useCovering(request, ready.survey.of, active && known);
  // No plan reaches into a dam release.
  const minutes = Math.min(time.minutes, useRelease(ready.water)?.minutesUntil ?? Infinity);
  const beat = useMemo(() => covering && beatFor(covering, minutes, time.patience), [covering, minutes, time.patience]);
  const rule = useMemo(
    () => covering && ruleBeat(covering, minutes, time.patience),
    [covering, minutes, time.patience],
  );
  const casts = useMemo(() => {
    const followed = time.byRule ? rule : beat;
    const planned = kept?.casts ?? (settled && followed ? oneByOne(followed.casts) : []);
    return planned.length > 0 ? planned : ruleFor(request).map((c) => c.plan);
  }, [kept, settled, beat, rule, time.byRule, request]);
  useEffect(() => {
    if (!active || kept || !settled || !beat || beat.casts.length === 0) return;
    setSession({ beat: { key, stands, casts } });
  }, [active, kept, settled, beat, key, stands, casts, setSession]);
  const setTime = useCallback((t: Time) => setSession({ time: t }), [setSession]);
  const renew = useCallback(
    (by?: CastPlan) => setSession({ beat: undefined, ...(by ? { cast: by } : null) }),
    [setSession],
  );
  return {
    ...{ casts, time, school, setTime, covering, beat, rule, error, outdated, setByHand, renew },
    madeBy: made ? made.cast : cast,
    ...(time.byRule ? { followed: rule, other: beat } : { followed: beat, other: rule }),
    sign: signOf(workFor(request)),
    working: settled || error ? null : share,
  };
}

/** The casts of the plan that are still to be made. @param left how many, one by one */
export function castsAhead(beat: Beat | null, left: number): readonly CastChoice[] {
  if (!beat) return [];
  let n = beat.casts.length;
  for (let counted = 0; n > 0 && counted < left; n--) counted += beat.casts[n - 1]!.times ?? 1;
  return beat.casts.slice(n);
}
