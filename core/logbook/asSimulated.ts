import type { CastPlan } from '../cast';
import type { FishLie, LieReason } from '../lies';
import type { Passing } from '../showing/passing';
import type { SwingResult } from '../swing';
import { flyAt, rowOf } from '../swing/series';
import type { EventOf, LogEvent } from './events';
import { alongWay, wayOfFly } from './ways';

/** What one fly of a swing did while it fished, in whole numbers so that it takes few bytes: from where to where (dm down the run
 * and out), how deep at the least and the most (cm), how fast across on the whole and at the most (cm/s). */
type FlyDid = readonly [
  fromX: number,
  fromY: number,
  toX: number,
  toY: number,
  least: number,
  most: number,
  mean: number,
  fastest: number,
];

/** What the engine says of a cast, kept with it so that one can learn from it; it can be worked out anew from plan, rig and
 * reading. */
export interface Did {
  /** By which rules it was worked out. */
  readonly v: 1;
  /** Seconds that it fished; 0: it did not. */
  readonly s: number;
  /** Of each fly, from the point upwards; none where it did not fish. */
  readonly flies: readonly FlyDid[];
  /** Lies that a fly passed as is wanted there, by rank on that day. */
  readonly lies: readonly number[];
  /** What makes the best of them one; not said: none was shown well, or it was not kept. */
  readonly kind?: LieReason;
  /** Contacts of the point fly with the bed. */
  readonly touches: number;
  /** Share of the run’s willing fish that the cast showed its flies to, in ten thousandths; not said: not known. */
  readonly w?: number;
  /** How they passed before the fish; not said: not known. */
  readonly passed?: Passing;
}

/** What a cast showed its flies to, of the run’s willing fish. */
export interface WaterShown {
  /** The share that was shown them, 0 to 1. */
  readonly share: number;
  readonly passed: Passing;
}

/** @param shown the lies that were shown the fly as wanted, best first; @param water null: not known */
export function didOf(
  r: SwingResult,
  shown: readonly Pick<FishLie, 'rank' | 'reasons'>[],
  water: WaterShown | null = null,
): Did {
  const { fishing } = r;
  const told = water && { w: Math.round(1e4 * water.share), passed: water.passed };
  if (!fishing) return { v: 1, s: 0, flies: [], lies: [], touches: 0, ...told };
  const [first, last] = [rowOf(r, fishing.fromS), rowOf(r, fishing.toS)];
  const flies = [r, ...r.others.filter((o) => o.isFly)].map((way): FlyDid => {
    let [least, most, sum, fastest] = [Infinity, 0, 0, 0];
    for (let i = first; i <= last; i++) {
      const { depthM, vyMps } = flyAt(way, i);
      least = Math.min(least, depthM);
      most = Math.max(most, depthM);
      sum += Math.abs(vyMps);
      fastest = Math.max(fastest, Math.abs(vyMps));
    }
    const [from, to] = [flyAt(way, first), flyAt(way, last)];
    const [dm, cm] = [(v: number) => Math.round(10 * v), (v: number) => Math.round(100 * v)];
    return [
      ...([dm(from.xM), dm(from.yM), dm(to.xM), dm(to.yM)] as const),
      ...([cm(least), cm(most), cm(sum / (last - first + 1)), cm(fastest)] as const),
    ];
  });
  const [lies, kind] = [shown.map((l) => l.rank), shown[0]?.reasons[0]];
  return {
    ...{ v: 1, s: Math.round(fishing.toS - fishing.fromS), flies, lies, touches: fishing.touches },
    ...(kind && { kind }),
    ...told,
  };
}

/** What the same cast did before with the same rig in the same water; null: none of it is known. @param events that stand, in order */
export function didAgain(events: readonly LogEvent[], plan: CastPlan): Did | null {
  const since = events.slice(events.findLastIndex((e) => e.kind === 'rig' || e.kind === 'reading') + 1);
  const same = since.findLast(
    (e): e is EventOf<'cast'> => e.kind === 'cast' && !!e.did && JSON.stringify(e.plan) === JSON.stringify(plan),
  );
  return same?.did ?? null;
}

/** About where on a run a take was: on the straight way of the fly that was taken, as the engine said of the cast; null where it said
 * nothing. */
export function takenAt(take: EventOf<'take'>, cast: EventOf<'cast'> | undefined): { xM: number; yM: number } | null {
  const way = wayOfFly(cast?.did, take.place ?? 0);
  return way && alongWay(way, take.where);
}
