import { day, PLAN, RIG, RUN } from '../testing/fixtures';
import { farSide } from '../cast';
import { findLies } from '../lies';
import { buildChannel } from '../water';
import { fromHead, nearestToBank } from './begin';

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
    const at = (rank: number, yM: number) => ({ ...lies[0]!, rank, yM });
    expect(nearestToBank([at(1, 9), at(2, 4), at(3, 6)])!.rank).toBe(2);
    expect(nearestToBank([])).toBeNull();
  });
});
