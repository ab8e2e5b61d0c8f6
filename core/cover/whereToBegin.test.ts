import { day, PLAN, RIG, RUN } from '../testing/fixtures';
import { farSide } from '../cast';
import { findLies } from '../lies';
import { buildChannel } from '../water';
import { atYourFeet, fromHead } from './whereToBegin';

const channel = buildChannel(RUN, day());
const lies = findLies(RUN, channel, day(), { quarry: 'sea trout', school: 'near the bed', most: 6 });

describe('where one begins', () => {
  it('so far above the uppermost lie that the first full cast reaches it, never above the head', () => {
    const low = lies.map((l) => ({ ...l, xM: l.xM + 60 }));
    const top = Math.min(...low.map((l) => l.xM - l.lengthM / 2));
    const from = fromHead({ ...PLAN, xM: 200 }, low, RIG);
    expect(from.xM).toBe(Math.round(top - farSide(low, PLAN, RIG) - RIG.rod.lengthM));
    expect(fromHead({ ...PLAN, xM: 3 }, low, RIG).xM).toBe(0);
    expect(fromHead(PLAN, lies, RIG)).toMatchObject({ yM: PLAN.yM, outM: PLAN.outM });
  });

  it('with the lie at one’s feet', () => {
    const at = (rank: number, xM: number, yM: number) => ({ ...lies[0]!, rank, xM, yM, lengthM: 4, widthM: 2 });
    const feet = { xM: 10, yM: 1 };
    // The one by the bank further down is nearer to the bank, not to the feet.
    expect(atYourFeet([at(1, 12, 9), at(2, 40, 1), at(3, 11, 6)], feet)).toMatchObject({ lie: { rank: 3 }, awayM: 4 });
    expect(atYourFeet([at(2, 40, 1)], feet)).toBeNull();
    expect(atYourFeet([], feet)).toBeNull();
  });
});
