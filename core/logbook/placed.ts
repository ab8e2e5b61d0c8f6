import { sideOf } from '../cast/side';
import { radians } from '../maths';
import type { Channel, PlanPoint } from '../water';
import { SHARE_OF_SWING, USUAL_PLACE } from './events';
import type { Spot } from './spots';
import { alongWay } from './ways';

/** About where on a run a take was: on the straight way of the fly, as the engine said of the cast; else round the angler, from where the line
 * was laid to straight downstream. */
export function placeOf({ way, cast, where }: Spot, channel: Channel): PlanPoint {
  if (way) return alongWay(way, where);
  const a = radians((1 - SHARE_OF_SWING[where ?? USUAL_PLACE]) * cast.angleDeg);
  const side = sideOf(channel, { ...cast, mendM: 0, rod: 'follow' });
  return { xM: cast.xM + cast.outM * Math.cos(a), yM: cast.yM + side * cast.outM * Math.sin(a) };
}
