import { swingOnRun } from '../cast/case';
import { flyAt, rowOf } from '../swing/series';
import { day, PLAN, RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import type { LieReason } from '../lies';
import { didAgain, didOf, type WaterShown } from './asSimulated';
import type { LogEvent } from './events';

describe('what is kept of a cast', () => {
  const channel = buildChannel(RUN, day());
  const lies = [{ xM: 25, yM: 9 }];
  const two = { ...RIG, droppers: [{ fly: RIG.fly, way: 'ring' as const, aboveM: 0.5, armM: 0.15 }] };
  const lie = (rank: number, reason: LieReason) => ({ rank, reasons: [reason] });
  const water: WaterShown = {
    share: 0.0123,
    passed: {
      ...{ of: 'steelhead', up: [1200, 4000, 3800, 700, 90, 20], aside: [6400, 2100, 700, 50] },
      ...{ across: [2100, 3900, 2800, 300], headOn: [7100, 1300, 800] },
    },
  };
  const swing = (rig = RIG) => swingOnRun({ channel, rig, plan: { ...PLAN, xM: 12 }, lies: lies as never });

  it('says of the fishing part from where to where, how deep and how fast, of each fly', () => {
    const r = swing();
    const did = didOf(r, [lie(2, 'seam'), lie(5, 'boulder')]);
    const { fromS, toS, maxCrossSpeedMps, maxDepthM, touches } = r.fishing!;
    const [from, to] = [flyAt(r, rowOf(r, fromS)), flyAt(r, rowOf(r, toS))];
    expect(did).toMatchObject({ v: 1, s: Math.round(toS - fromS), lies: [2, 5], kind: 'seam', touches });
    const [x0, y0, x1, y1, least, most, mean, fastest] = did.flies[0]!;
    expect([x0, y0, x1, y1]).toEqual([from.xM, from.yM, to.xM, to.yM].map((v) => Math.round(10 * v)));
    expect(most).toBe(Math.round(100 * maxDepthM));
    expect(fastest).toBe(Math.round(100 * maxCrossSpeedMps));
    expect(least).toBeLessThan(most);
    expect(mean).toBeLessThan(fastest);
    expect(didOf(swing(two), []).flies).toHaveLength(2);
  });

  it('takes no more than some hundred bytes', () => {
    expect(
      JSON.stringify(didOf(swing(two), [lie(1, 'slow and deep in the cold'), lie(2, 'seam')], water)).length,
    ).toBeLessThan(350);
  });

  it('says how much water was shown, and how high above the fish', () => {
    expect(didOf(swing(), [], water)).toMatchObject({ w: 123, passed: water.passed });
    expect(didOf(swing(), [])).not.toHaveProperty('rise');
    expect(didOf(swing(), [])).not.toHaveProperty('kind');
  });

  it('says so where nothing fished', () => {
    expect(didOf({ ...swing(), fishing: null }, [lie(1, 'seam')])).toEqual({
      v: 1,
      s: 0,
      flies: [],
      lies: [],
      touches: 0,
    });
  });

  it('is the same for the same cast again, until the rig or the water is another', () => {
    const did = didOf(swing(), [lie(1, 'seam')]);
    const cast = (xM: number, more: object = {}) => ({ kind: 'cast', plan: { ...PLAN, xM }, ...more });
    const again = (...events: object[]) => didAgain(events as LogEvent[], { ...PLAN, xM: 3 });
    expect(again(cast(3, { did }), { kind: 'take' }, cast(3))).toBe(did);
    expect(again(cast(4, { did }), cast(3))).toBeNull();
    for (const kind of ['rig', 'reading']) expect(again(cast(3, { did }), { kind }, cast(3))).toBeNull();
  });
});
