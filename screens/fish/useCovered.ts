import { lengthS } from '@/core/swing/series';
import { useEffect, useState } from 'react';
import { judge } from '@/core/advice';
import { type CastPlan, handsOf, presented } from '@/core/cast';
import type { Survey } from '@/core/lies';
import type { EventOf } from '@/core/logbook';
import type { SwingResult } from '@/core/swing';
import type { Rig } from '@/core/tackle';

import { simulate } from '@/workers/river';
import { pathTo, type Covered } from './paths';

/** Simulates each cast that was made, one after the other, and keeps what was simulated. */
export function useCovered(
  survey: Survey | undefined,
  rig: Rig | null,
  plan: CastPlan | null,
  casts: readonly EventOf<'cast'>[],
): Covered[] {
  const [done, setDone] = useState<{ survey: Survey; list: ReadonlyMap<string, Covered> } | null>(null);
  const list = done && done.survey === survey ? done.list : null;
  const next = survey && rig && plan ? casts.find((c) => !list?.has(c.id)) : undefined;
  useEffect(() => {
    if (!next || !survey || !rig || !plan) return;
    let current = true;
    const way = next.way ?? 'swing';
    const made: CastPlan = {
      ...(handsOf(plan).way === way ? plan : presented(plan, way)),
      xM: next.xM ?? plan.xM,
      yM: next.yM ?? plan.yM,
      outM: next.outM,
      angleDeg: next.angleDeg,
      mendM: next.mendM,
    };
    void simulate({ channel: survey.channel, rig, plan: made, lies: survey.lies })
      .then((result) => ({
        castId: next.id,
        path: pathTo(result, (way === 'swing' ? result.dangleS : null) ?? lengthS(result)),
        shown: judge(result, survey.lies)
          .filter((v) => v.fit === 'right')
          .map((v) => v.lie.rank),
        result,
      }))
      .catch(() => null) // a cast that cannot be simulated covers nothing
      .then((covered) => {
        if (!current) return;
        setDone((before) => {
          const old = before && before.survey === survey ? before.list : new Map<string, Covered>();
          const value = covered ?? { castId: next.id, path: [], shown: [], result: null as unknown as SwingResult };
          return { survey, list: new Map([...old, [next.id, value]]) };
        });
      });
    return () => {
      current = false;
    };
  }, [next, survey, rig, plan]);
  return casts.flatMap((c) => {
    const covered = list?.get(c.id);
    return covered && covered.path.length > 0 ? [covered] : [];
  });
}
