import { FOUR_IN_FIVE } from '../maths';
import type { Doubt } from '../swing';
import type { Channel } from '../water';

/** How often the word about the line, clean or dirty, is wrong (assumed). */
const LINE_DOUBT = 0.15;

/** So many swings tell a chance to a twentieth; whatever is said of chances is said by these. */
const TOLD = 20;

/** How rough the readings of a channel are, for an ensemble of so many swings. The spreads told hold four in five. */
export const doubtOf = (c: Channel, members = TOLD): Doubt => ({
  speed: c.speedSpread / FOUR_IN_FIVE,
  depth: c.depthSpread / FOUR_IN_FIVE,
  line: LINE_DOUBT,
  seed: 1,
  members,
});
