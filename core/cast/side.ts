import { type Channel, rowAt } from '../water';
import type { CastPlan } from './plan';

/** To which side a cast goes, +1 towards growing y: away from the nearer bank, unless it is said to go inwards. */
export function sideOf(c: Channel, p: CastPlan): 1 | -1 {
  const i = rowAt(c, p.xM);
  const away = p.yM <= (c.edgeNear[i]! + c.edgeFar[i]!) / 2;
  return away !== (p.inwards ?? false) ? 1 : -1;
}
