import { useEffect, useState } from 'react';
import { judge, type CastPlan, type Survey } from '@/core/advice';
import type { EventOf, TakePlace } from '@/core/logbook';
import type { SwingResult } from '@/core/swing';
import type { Rig } from '@/core/tackle';
import { simulate } from '@/workers/river';

export interface Covered {
  readonly castId: string;
  readonly path: readonly (readonly [number, number])[];
  /** Ranks of the lies the fly passed at the depth wanted there. */
  readonly shown: readonly number[];
  readonly result: SwingResult;
}

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
    const made: CastPlan = {
      ...plan,
      xM: next.x ?? plan.xM,
      yM: next.y ?? plan.yM,
      outM: next.outM,
      angleDeg: next.angleDeg,
      mendM: next.mendM,
    };
    void simulate({ channel: survey.channel, rig, plan: made, lies: survey.lies })
      .then((result) => ({
        castId: next.id,
        path: pathTo(result, result.dangleS ?? result.rows / 10),
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

function pathTo(r: SwingResult, seconds: number): [number, number][] {
  const rows = Math.min(r.rows, Math.round(seconds * 10));
  const out: [number, number][] = [];
  for (let i = 0; i < rows; i += 5) out.push([r.series[9 * i + 1]!, r.series[9 * i + 2]!]);
  return out;
}

/** Where on the swing a take was, as a share of the way to the dangle. */
const SHARE: Record<TakePlace, number> = {
  landing: 0,
  sinking: 0.08,
  'coming tight': 0.15,
  'mid-swing': 0.45,
  'soft inside': 0.8,
  dangle: 1,
  strip: 1,
  lift: 1,
  'pick-up': 1,
};

/** The place of a take on the path of the cast before it; null while that cast is not simulated. */
export function placeOfTake(
  take: EventOf<'take'>,
  casts: readonly EventOf<'cast'>[],
  covered: readonly Covered[],
): { x: number; y: number } | null {
  const cast = casts.filter((c) => c.at <= take.at).pop();
  const path = covered.find((c) => c.castId === cast?.id)?.path;
  if (!path || path.length === 0) return null;
  const p = path[Math.min(path.length - 1, Math.round((path.length - 1) * SHARE[take.where ?? 'mid-swing']))]!;
  return { x: p[0], y: p[1] };
}
