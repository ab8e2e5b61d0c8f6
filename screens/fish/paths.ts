import type { EventOf, TakePlace } from '@/core/logbook';
import type { SwingResult } from '@/core/swing';
import { flyAt, HZ, rowOf } from '@/core/swing/series';
import type { PlanPoint } from '@/core/water';

export interface Covered {
  readonly castId: string;
  /** From landing until it hangs. */
  readonly path: readonly (readonly [number, number])[];
  /** What of it fished. */
  readonly fished: readonly (readonly [number, number])[];
  readonly result: SwingResult;
}

/** The fly's way in plan between two moments, every half second. */
export function pathOf(r: SwingResult, fromS: number, toS: number): [number, number][] {
  const out: [number, number][] = [];
  for (let i = rowOf(r, fromS); i <= rowOf(r, toS); i += HZ / 2) {
    const { xM, yM } = flyAt(r, i);
    out.push([xM, yM]);
  }
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
): PlanPoint | null {
  const cast = casts.filter((c) => c.at <= take.at).pop();
  const path = covered.find((c) => c.castId === cast?.id)?.path;
  if (!path || path.length === 0) return null;
  const p = path[Math.min(path.length - 1, Math.round((path.length - 1) * SHARE[take.where ?? 'mid-swing']))]!;
  return { xM: p[0], yM: p[1] };
}
