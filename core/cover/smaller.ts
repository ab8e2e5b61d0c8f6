import { rigNotAllowed, type WaterRules } from '../rules';
import { fliesLeft, type FlyItem, type KitItem, profileOf, type Rig, skates } from '../tackle';

/** Smaller is by so much at the least. */
const SMALLER = 0.85;

/** A smaller fly out of the bag for a fish that came and did not take: allowed with this rig, of the same colour and shape where
 * there is one, the next size down; null where there is none. */
export function smallerFly(kit: readonly KitItem[], rig: Rig, rules: WaterRules | null): FlyItem | null {
  const { fly } = rig;
  const unlike = (f: FlyItem) =>
    (f.colour === fly.colour ? 0 : 2) + (f.family === fly.family ? 0 : profileOf(f) === profileOf(fly) ? 1 : 3);
  const [best] = fliesLeft(kit)
    .filter((f) => skates(f) === skates(fly))
    .filter((f) => f.lengthM <= SMALLER * fly.lengthM && rigNotAllowed(rules, { ...rig, fly: f }) === null)
    .sort((a, b) => unlike(a) - unlike(b) || b.lengthM - a.lengthM);
  return best ?? null;
}
