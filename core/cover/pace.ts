import type { CastPlan } from '../cast';
import type { EventOf } from '../logbook';
import { clamp } from '../maths';
import type { FishingPart, SwingResult } from '../swing';

/** Between the end of one swing's fishing and the next landing, s: a pause on the hang, the lift and the cast; and how fast
 * line is stripped in (common practice, no source). */
const HANG_S = 4;
const CAST_S = 6;
const STRIP_IN_MPS = 1;
/** So much line is lifted or rolled out as it hangs; what is beyond is stripped in first, m (common practice, no source). */
const LIFTED_M = 9;
/** Where no swing has been simulated, s. */
const PACE_S = 45;
const LEAST_PACE_S = 20;
/** Along a run in the water, m/s (assumed: over stones; as one steps down with a swing). */
const WADING_MPS = 0.6;

/** A fly that lies on the bed as soon as it fishes hangs up: to free it costs so much in the mean; less the longer it fished before, and
 * nothing after so long (assumed), s. */
const FREED_S = 25;
const HANGS_WITHIN_S = [5, 15] as const;

/** Seconds that a swing's end on the bed costs. */
function freeingS({ ends, fromS, toS }: FishingPart): number {
  const [soon, late] = HANGS_WITHIN_S;
  return ends === 'bed' ? FREED_S * clamp((late - (toS - fromS)) / (late - soon), 0, 1) : 0;
}

/** Seconds from one landing to the next: what the swing fishes, the hang, stripping in, the cast; freeing the fly where it hangs up.
 * @example castSeconds({ fishing: { toS: 30 } }, 12) // 43 */
export function castSeconds(swing: Pick<SwingResult, 'fishing'> | null, outM: number): number {
  if (!swing?.fishing) return PACE_S;
  const stripsS = Math.max(0, outM - LIFTED_M) / STRIP_IN_MPS;
  return swing.fishing.toS + HANG_S + stripsS + CAST_S + freeingS(swing.fishing);
}

/** Seconds a cast takes on this visit: its own pace once there are more than five; until then what the swing says. */
export function paceS(
  casts: readonly EventOf<'cast'>[],
  swing: Pick<SwingResult, 'fishing'> | null | undefined = null,
): number {
  const last = casts.length - 1;
  if (last < 5) return castSeconds(swing, casts[last]?.plan.outM ?? 0);
  return Math.max(LEAST_PACE_S, (casts[last]!.at - casts[0]!.at) / 1000 / last);
}

/** By the bank, m/s (assumed: a slow walk). */
const WALKING_MPS = 1;

/** A place that one casts from, and in which pass: what can be had from the bank is fished before anyone wades. */
export interface Stood {
  readonly plan: Pick<CastPlan, 'xM'>;
  readonly pass: number;
}

/** The way along the run: each pass in one direction, and back from one to the next by the bank. */
export class Walk {
  private readonly passes = new Map<number, readonly [number, number]>();
  private walkedS = 0;

  /** Seconds that another stand adds. */
  extraS(stand: Stood): number {
    return walkSeconds(new Map(this.passes).set(stand.pass, this.reached(stand))) - this.walkedS;
  }
  /** Seconds of the whole way, this stand on it. */
  to(stand: Stood): number {
    this.passes.set(stand.pass, this.reached(stand));
    return (this.walkedS = walkSeconds(this.passes));
  }
  private reached({ plan: { xM }, pass }: Stood): readonly [number, number] {
    const [least, most] = this.passes.get(pass) ?? [xM, xM];
    return [Math.min(least, xM), Math.max(most, xM)];
  }
}

function walkSeconds(passes: ReadonlyMap<number, readonly [number, number]>): number {
  let [sum, longest] = [0, 0];
  for (const [a, b] of passes.values()) {
    sum += b - a;
    longest = Math.max(longest, b - a);
  }
  return sum / WADING_MPS + (passes.size > 1 ? longest / WALKING_MPS : 0);
}
