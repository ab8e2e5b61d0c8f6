import { flumeCase } from '../practice/curve';
import { cornerTimes, nextCorner, rodTipAt, swayTip } from './rod';
import { together, valueAt } from './schedule';

const PATH = [
  [0, 0, 0, -1],
  [2, 4, 1, -1],
  [3, 4, 3, 0],
] as const;

describe('schedules of hands and rod', () => {
  it('are straight between their rows, held before and after; a jump is made at its time', () => {
    const s = [
      [1, 2],
      [3, 4],
      [3, 0],
      [5, 1],
    ] as const;
    expect([0, 1, 2, 3, 4, 9].map((t) => valueAt(s, t))).toEqual([2, 2, 3, 4, 0.5, 1]);
    expect([valueAt(undefined, 3), valueAt([], 3)]).toEqual([0, 0]);
  });

  it('at once are their sum, at every time of either; one alone stays as it is', () => {
    const pulls = [
      [0, 0],
      [4, -2],
    ] as const;
    const shaken = [
      [1, 0],
      [2, 1],
    ] as const;
    expect(together(pulls, shaken)).toEqual([
      [0, 0],
      [1, -0.5],
      [2, 0],
      [4, -1],
    ]);
    expect(together(pulls, [])).toEqual(pulls);
    expect(together([], shaken)).toEqual(shaken);
    expect(together([], [])).toEqual([]);
  });

  it('have their corners in order, each once, those of walk, hands, mends and sway with them', () => {
    const c = {
      ...flumeCase({}),
      rod: {
        follow: {
          ...{ x0: 0, y0: 0, r: 3, z: -1, leadDeg: 0, rateDegS: 30 },
          walk: [
            [0, 0],
            [2, 1],
          ],
          heights: [[7, -1]],
        },
      },
      lineOut: [
        [4, 0],
        [5, -1],
      ],
      mends: [{ t: 2, slackM: 1, direction: -1 }],
      sway: [[3, 0, 0, 0]],
    } as const;
    expect(cornerTimes(c)).toEqual([2, 3, 4, 5, 7]);
    expect(cornerTimes({ ...c, rod: { path: PATH } })).toEqual([2, 3, 4, 5]);
    expect([0, 2, 4.5, 7].map((t) => nextCorner([2, 3, 4, 5, 7], t))).toEqual([2, 3, 5, Infinity]);
  });
});

describe('the tip of the rod', () => {
  it('goes along its path, straight from point to point, and stays at its end', () => {
    const at = (t: number) => rodTipAt({ path: PATH }, t, 0);
    expect([0, 1, 2, 2.5, 9].map(at)).toEqual([
      [0, 0, -1],
      [2, 0.5, -1],
      [4, 1, -1],
      [4, 2, -0.5],
      [4, 3, 0],
    ]);
  });

  it('or stands round the angler at its bearing, walking on, raised and lowered', () => {
    const follow = { x0: 10, y0: 2, r: 3, z: -1, leadDeg: 0, rateDegS: 30 };
    const tip = (t: number, more: object = {}) => rodTipAt({ follow: { ...follow, ...more } }, t, Math.PI / 6);
    expect(tip(5)[0]).toBeCloseTo(10 + 3 * Math.cos(Math.PI / 6), 9);
    expect(tip(5)[1]).toBeCloseTo(3.5, 9);
    expect(tip(5)[2]).toBe(-1);
    const walk = [
      [0, 0],
      [4, 2],
    ];
    expect(tip(2, { walk })[0] - tip(2)[0]).toBeCloseTo(1, 9);
    expect(tip(2, { walk })[1]).toBeCloseTo(3.5, 9);
    expect(tip(2, { heights: walk })[2]).toBe(1);
  });

  it('is moved from there by a mend', () => {
    const tip = Float64Array.of(1, 2, -1);
    swayTip(
      [
        [0, 0, 0, 0],
        [1, 0.5, -1, -2],
      ],
      0.5,
      tip,
    );
    expect([...tip]).toEqual([1.25, 1.5, -2]);
  });
});
