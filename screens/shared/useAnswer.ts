import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Ask, AskedOn, Question } from '@/core/answer';
import { useSession, useSettings } from '@/store/hooks';
import { answerRun, firstThoughtOf } from '@/workers/river';
import type { RunReady } from './RunGate';
import { useMeans } from './useMeans';
import { useUsualQuery } from './useRunDay';
import { useKit } from './useKit';
import { MINUTE_MS } from '@/core/units';

/** An answer is kept for so long after the last screen let go of it, ms. */
const KEPT_MS = 10 * MINUTE_MS;

/**
 * What to tie on and how to fish a run, worked out in a worker: a first look at once, the answer in seconds. Nothing of another
 * question stays while this one is worked out. Screens that ask alike share one answer.
 *
 * @param active false rests, as a screen should that is not in sight
 */
export function useAnswer({ run, water, today, survey }: RunReady, ask: Ask, active = true) {
  const [session] = useSession();
  const [settings] = useSettings();
  const { means } = useMeans();
  const { data: kit } = useKit();
  const { sunAt: at, size } = useUsualQuery();
  const [work, setWork] = useState({ on: '', share: 0 });
  const { units, school, flood, schools, goal, ownFish } = settings;
  const tiedOn = session?.rig ?? null;
  const rigged = session?.rigged;
  const question = useMemo<Question | null>(
    () =>
      kit && at !== undefined
        ? {
            ...{ water, run, kit, means, at, ask, seen: [] },
            reading: { ...today.reading, id: '', at: 0 }, // when it was read does not change the answer
            settings: {
              units,
              school,
              ...(flood && { flood }),
              ...(schools && { schools }),
              ...(goal && { goal }),
              ...(ownFish && { ownFish }),
            },
            tiedOn,
            rigged: rigged ?? [],
            ...(size && { size }),
          }
        : null,
    [water, run, kit, means, at, ask, today, units, school, flood, schools, goal, ownFish, tiedOn, rigged, size],
  );
  const asked = useMemo<AskedOn | null>(
    () => question && { question, channel: survey.channel, lies: survey.lies },
    [question, survey],
  );
  // The water that it is worked out on, too: for a moment that of the last reading is still in sight.
  const key = useMemo(() => JSON.stringify([question, survey.of]), [question, survey.of]);
  const query = {
    enabled: active && asked !== null && asked.question.kit.length > 0,
    structuralSharing: false,
    gcTime: KEPT_MS,
    retry: false,
  };
  const working = work.on === key;
  const first = useQuery({
    ...query,
    enabled: query.enabled && working, // an answer that is kept is there before it
    queryKey: ['first thought', key],
    queryFn: () => firstThoughtOf(asked!),
  });
  const answer = useQuery({
    ...query,
    queryKey: ['answer', key],
    queryFn: ({ signal }) => answerRun(asked!, key, { signal, onShare: (share) => setWork({ on: key, share }) }),
  });
  const settled = !answer.isFetching && answer.data != null;
  return {
    answer: answer.data ?? null,
    /** While there is no answer yet. */
    first: answer.data ? null : (first.data ?? null),
    /** The answer is of what is asked now. */
    settled,
    share: working ? work.share : 0,
    error: answer.error?.message ?? null,
  };
}
