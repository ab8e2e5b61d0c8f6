import { swingOnRun } from '../cast/case';
import { flyAt, rowOf } from '../swing/series';
import { day, PLAN, RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import { didOf } from './asSimulated';

describe('what is kept of a cast', () => {
  const channel = buildChannel(RUN, day());
  const lies = [{ xM: 25, yM: 9 }];
  const two = { ...RIG, droppers: [{ fly: RIG.fly, way: 'ring' as const, aboveM: 0.5, armM: 0.15 }] };
  const swing = (rig = RIG) => swingOnRun({ channel, rig, plan: { ...PLAN, xM: 12 }, lies: lies as never });

  it('says of the fishing part from where to where, how deep and how fast, of each fly', () => {
    const r = swing();
    const did = didOf(r, [2, 5]);
    const { fromS, toS, maxCrossSpeedMps, maxDepthM, touches } = r.fishing!;
    const [from, to] = [flyAt(r, rowOf(r, fromS)), flyAt(r, rowOf(r, toS))];
    expect(did).toMatchObject({ v: 1, s: Math.round(toS - fromS), lies: [2, 5], touches });
    const [x0, y0, x1, y1, least, most, mean, fastest] = did.flies[0]!;
    expect([x0, y0, x1, y1]).toEqual([from.xM, from.yM, to.xM, to.yM].map((v) => Math.round(10 * v)));
    expect(most).toBe(Math.round(100 * maxDepthM));
    expect(fastest).toBe(Math.round(100 * maxCrossSpeedMps));
    expect(least).toBeLessThan(most);
    expect(mean).toBeLessThan(fastest);
    expect(didOf(swing(two), []).flies).toHaveLength(2);
  });

  it('takes tens of bytes', () => {
    expect(JSON.stringify(didOf(swing(two), [1, 2])).length).toBeLessThan(150);
  });

  it('says so where nothing fished', () => {
    expect(didOf({ ...swing(), fishing: null }, [1])).toEqual({ v: 1, s: 0, flies: [], lies: [], touches: 0 });
  });
});
