import { sideOf } from '../cast/side';
import { radians } from '../maths';
import type { Channel, PlanPoint } from '../water';
import { SHARE_OF_SWING, USUAL_PLACE } from './events';
import type { Spot } from './spots';
import { alongWay } from './ways';

/** A place on the arc round the angler, from where the line was laid (a share of 0) to straight downstream (1). */
export function onArc(cast: Spot['cast'], channel: Channel, share: number): PlanPoint {
  const a = radians((1 - share) * cast.angleDeg);
  const side = sideOf(channel, { ...cast, mendM: 0, rod: 'follow' });
  return { xM: cast.xM + cast.outM * Math.cos(a), yM: cast.yM + side * cast.outM * Math.sin(a) };
}

/** About where on a run a take was: on the straight way of the fly, as the engine said of the cast; else on the arc. */
export const placeOf = ({ way, cast, where }: Spot, channel: Channel): PlanPoint =>
  way ? alongWay(way, where) : onArc(cast, channel, SHARE_OF_SWING[where ?? USUAL_PLACE]);
