import type { Did } from './asSimulated';
import { SHARE_OF_SWING, type TakePlace, USUAL_PLACE } from './events';

/** From where to where a fly went, dm down the run and out. */
export type WayOfFly = readonly [fromX: number, fromY: number, toX: number, toY: number];

/** Way of a fly of a cast, from the point upwards; null where the engine said nothing of it. */
export function wayOfFly(did: Did | undefined, place: number): WayOfFly | null {
  const fly = did?.flies[place] ?? did?.flies[0];
  return fly ? [fly[0], fly[1], fly[2], fly[3]] : null;
}

/** Where on a way a fish took, m. @param where null: not said */
export function alongWay([x0, y0, x1, y1]: WayOfFly, where: TakePlace | null): { xM: number; yM: number } {
  const share = SHARE_OF_SWING[where ?? USUAL_PLACE];
  return { xM: (x0 + share * (x1 - x0)) / 10, yM: (y0 + share * (y1 - y0)) / 10 };
}
