import { type EventOf, SHARE_OF_SWING, USUAL_PLACE } from '@/core/logbook';
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

/** The place of a take on the path of the cast before it; null while that cast is not simulated. */
export function placeOfTake(
  take: EventOf<'take'>,
  casts: readonly EventOf<'cast'>[],
  covered: readonly Covered[],
): PlanPoint | null {
  const cast = casts.filter((c) => c.at <= take.at).pop();
  const path = covered.find((c) => c.castId === cast?.id)?.path;
  if (!path || path.length === 0) return null;
  const p = path[Math.min(path.length - 1, Math.round((path.length - 1) * SHARE_OF_SWING[take.where ?? USUAL_PLACE]))]!;
  return { xM: p[0], yM: p[1] };
}
