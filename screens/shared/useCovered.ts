import { useEffect, useMemo, useState } from 'react';
import type { Survey } from '@/core/lies';
import type { EventOf } from '@/core/logbook';
import { lengthS } from '@/core/swing/series';
import type { Rig } from '@/core/tackle';
import { simulate } from '@/workers/river';
import { type Covered, pathOf } from './paths';

/** What a cast did; null when it cannot be simulated and so covers nothing. */
type Outcome = Covered | null;

/**
 * Simulates each cast that was made as it was made, one after the other, and keeps what was simulated.
 *
 * @param rigs what was tied on, by the key that a cast carries
 * @returns what each covered, and how many are not simulated yet
 */
export function useCovered(
  survey: Survey | undefined,
  rigs: ReadonlyMap<string, Rig>,
  casts: readonly EventOf<'cast'>[],
): { readonly covered: Covered[]; readonly pending: number } {
  const [done, setDone] = useState<{ survey: Survey; list: ReadonlyMap<string, Outcome> } | null>(null);
  const list = done && done.survey === survey ? done.list : null;
  const next = survey && casts.find((c) => !list?.has(c.id));
  const rig = (next?.rig && rigs.get(next.rig)) || null;
  useEffect(() => {
    if (!next || !survey) return;
    let current = true;
    const { plan } = next;
    const outcome: Promise<Outcome> = rig
      ? simulate({ channel: survey.channel, rig, plan, lies: survey.lies }).then(
          (result) => ({
            castId: next.id,
            path: pathOf(result, 0, result.fishing?.toS ?? lengthS(result)),
            fished: result.fishing ? pathOf(result, result.fishing.fromS, result.fishing.toS) : [],
            result,
          }),
          () => null,
        )
      : Promise.resolve(null);
    void outcome.then((covered) => {
      if (!current) return;
      setDone((before) => ({
        survey,
        list: new Map([...(before?.survey === survey ? before.list : []), [next.id, covered]]),
      }));
    });
    return () => {
      current = false;
    };
  }, [next, survey, rig]);
  return useMemo(
    () => ({
      covered: casts.flatMap((c) => list?.get(c.id) ?? []),
      pending: casts.filter((c) => !list?.has(c.id)).length,
    }),
    [casts, list],
  );
}
