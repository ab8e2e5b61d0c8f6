import { RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import type { CastPlan, Hands, Way } from './plan';
import { ANY_MEANS } from './means';
import { motionOf } from './motion';
import { handsOf, presented, PRESENTATIONS } from './presentation';
import { wadeTo } from './footing';

/** What rod, hands and feet do, second by second, worked out by hand from the settings of a way. */
const stand: CastPlan = { xM: 10, yM: 2, outM: 12, angleDeg: 65, mendM: 0, rod: 'follow' };
const FRAME = { reachM: 3, side: 1, currentMps: 0.5 } as const;
const motion = (plan: CastPlan) => motionOf(plan, FRAME);
const pathOf = ({ rod }: ReturnType<typeof motion>) => ('path' in rod ? rod.path : []);
const followOf = ({ rod }: ReturnType<typeof motion>) => ('follow' in rod ? rod.follow : null);
const shown = (way: Way, change: Partial<CastPlan> = {}, hands: Partial<Hands> = {}) => {
  const plan = { ...presented(stand, way), ...change };
  return motion({ ...plan, hands: { ...handsOf(plan), ...hands } });
};

describe('the line hand', () => {
  it('strips pull by pull with a rest after each, until four metres are out', () => {
    const { lineOut, tEndS } = shown('strip', { outM: 5 }, { countS: 3, pullM: 0.5, pullMps: 0.5, restS: 1 });
    expect(lineOut).toEqual([
      [3, 0],
      [4, -0.5],
      [5, -0.5],
      [6, -1],
    ]);
    expect(tEndS).toBe(8); // two seconds after the last pull
  });

  it('feeds no faster than a metre a second, and may strip what it has fed', () => {
    const { lineOut } = shown('dead drift', {}, { countS: 2, feedM: 4 });
    expect(lineOut).toEqual([
      [0, 0],
      [4, 4],
    ]);
    expect(shown('dead drift', {}, { countS: 10, feedM: 4 }).lineOut).toEqual([
      [0, 0],
      [10, 4],
    ]);
    const both = shown('strip', { outM: 4 }, { countS: 1, feedM: 1, pullM: 1, pullMps: 1, restS: 0 }).lineOut!;
    expect(both.at(-1)).toEqual([2, 0]);
  });

  it('varies: a long pull, two short ones and a pause; or gives back what it pulled', () => {
    const hands = { countS: 2, pullM: 0.4, pullMps: 0.4, restS: 1, rhythm: 'varied' } as const;
    const { lineOut } = shown('strip', { outM: 5.2 }, hands);
    const expected = [2, 0, 3.5, -0.6, 4.5, -0.6, 5, -0.8, 5.5, -0.8, 6, -1];
    expect(lineOut!.flat()).toHaveLength(expected.length);
    lineOut!.flat().forEach((v, i) => expect(v).toBeCloseTo(expected[i]!, 9));
    // The pause after the second short pull is twice the rest.
    const more = shown('strip', { outM: 5.8 }, hands).lineOut!;
    expect(more[6]![0] - more[5]![0]).toBeCloseTo(2, 9);
    const pulses = shown('swing and strip', {}, { countS: 2, pullM: 0.2, pullMps: 0.4, restS: 1 });
    expect(pulses.lineOut!.slice(0, 4)).toEqual([
      [2, 0],
      [2.5, -0.2],
      [3, 0],
      [4, 0],
    ]);
    expect(pulses.lineOut!.at(-1)![1]).toBe(0);
    expect(pulses).toMatchObject({ tEndS: 180, afterDangleS: 8 }); // it ends as a swing does
  });

  it('of a tight drift takes in what the rod, leading at the pace of the current, would leave slack', () => {
    // 12 m from the angler at 120°: 6 m up, 10.39 m across; at half a metre a second square of one after 12 s.
    const { lineOut, tEndS } = shown('tight drift', { outM: 9, angleDeg: 120 });
    const at = (s: number) => lineOut!.find(([t]) => t === s)![1];
    expect(at(0)).toBeCloseTo(0, 9);
    expect(at(12)).toBeCloseTo(12 * Math.sin(Math.PI / 3) - 12, 9);
    expect(at(24)).toBeCloseTo(0, 9); // as far down as it was up
    expect(Math.max(...lineOut!.map(([, m]) => m))).toBe(0); // none is paid out
    expect(tEndS).toBe(26);
  });

  it('twitches a tight drift with the rod’s tip, not with the line', () => {
    const { sway } = shown('tight drift', {}, { countS: 1, pullM: 0.2, pullMps: 0.4, restS: 2 });
    expect(sway!.slice(0, 4)).toEqual([
      [0, 0, 0, 0],
      [3, 0, 0, 0],
      [3.5, 0, 0, -0.2],
      [4, 0, 0, 0],
    ]);
    expect(shown('tight drift', {}, { pullM: 0 }).sway).toEqual([[0, 0, 0, 0]]);
  });

  it('a plain swing neither pulls nor feeds, and is over eight seconds after the dangle', () => {
    expect(motion(stand)).toMatchObject({ lineOut: [], tEndS: 180, afterDangleS: 8 });
    expect(shown('strip').afterDangleS).toBe(180); // it is stripped on
  });

  it.each<[Way, number | undefined]>([
    ['swing', undefined],
    ['strip', undefined],
    ['towed by the bow', undefined],
    ['dead drift', 2],
    ['tight drift', PRESENTATIONS['tight drift'].hands.countS],
    ['swing and strip', undefined],
    ['dip and draw', PRESENTATIONS['dip and draw'].hands.countS],
    ['upstream strip', PRESENTATIONS['upstream strip'].hands.countS],
  ])('%s: what is never held against the current fishes from %s s', (way, s) => expect(shown(way).fishesFromS).toBe(s));
});

describe('a mend', () => {
  it('is slack and a bow to the side it was mended to, laid as the line lands', () => {
    expect(motion({ ...stand, mendM: 2 }).cast).toMatchObject({ slackM: 2, bow: -1, angleDeg: 65 });
    expect(motion({ ...stand, mendM: -1.5 }).cast).toMatchObject({ slackM: 1.5, bow: 1 });
    expect(motion({ ...stand, mendM: 2 })).not.toHaveProperty('sway');
  });

  it('later is a movement of the rod, and lays no slack; none is no movement', () => {
    const late = motion({ ...stand, mendM: 2, mendAtS: 3 });
    expect(late.cast.slackM).toBe(0);
    expect(late.sway!.length).toBeGreaterThan(2);
    expect(late.sway!.some(([t]) => t > 3)).toBe(true);
    expect(motion({ ...stand, mendM: 0, mendAtS: 3 })).not.toHaveProperty('sway');
  });
});

describe('the rod', () => {
  it('follows from where one stands; leading it stays 25° ahead; walked with it moves down', () => {
    expect(motion(stand).rod).toEqual({
      follow: { x0: 10, y0: 2, r: 3, z: -0.6, leadDeg: 0, rateDegS: 30 },
    });
    expect(motion({ ...stand, rod: 'lead' }).rod).toMatchObject({ follow: { leadDeg: 25 } });
    const walked = { ...stand, hands: { ...handsOf(stand), walkM: 3 } };
    // A step and a half at once at 0.6 m/s, then three quarters of a metre every two and a half seconds.
    const rows = followOf(motion(walked))!.walk!;
    const by = [
      [0, 0],
      [2.5, 1.5],
      [3.75, 1.5],
      [5, 2.25],
      [6.25, 2.25],
      [7.5, 3],
    ];
    expect(rows.map(([t, m]) => [+t.toFixed(6), +m.toFixed(6)])).toEqual(by);
  });

  it('held still it stays where it is, no squarer than 60°, on the side that is cast to', () => {
    const at = (plan: CastPlan, side: 1 | -1 = 1) => pathOf(motionOf({ ...plan, rod: 'still' }, { ...FRAME, side }));
    const square = at({ ...stand, angleDeg: 90 });
    expect(square).toHaveLength(1);
    expect(square[0]![1]).toBeCloseTo(10 + 3 * Math.cos(Math.PI / 3), 9);
    expect(square[0]![2]).toBeCloseTo(2 + 3 * Math.sin(Math.PI / 3), 9);
    expect(square[0]![3]).toBe(-0.6);
    expect(at({ ...stand, angleDeg: 90 }, -1)[0]![2]).toBeCloseTo(2 - 3 * Math.sin(Math.PI / 3), 9);
    expect(at({ ...stand, angleDeg: 30 })[0]![1]).toBeCloseTo(10 + 3 * Math.cos(Math.PI / 6), 9);
    expect(at({ ...stand, tipUnder: true })[0]![3]).toBe(0.3);
    expect(at({ ...stand, tipUnder: true, tipUnderM: 1.2 })[0]![3]).toBe(1.2);
    // Walked with, it goes down the river with the angler and keeps its bearing.
    const walked = at({ ...stand, hands: { ...handsOf(stand), walkM: 1.5 } });
    expect(walked.at(-1)![1]! - walked[0]![1]!).toBeCloseTo(1.5, 9);
    expect(walked.at(-1)![0]).toBeCloseTo(2.5, 9);
  });

  it('held high it reaches three quarters of itself over the water; lowered, that comes down from 4 to 12 s', () => {
    expect(motion({ ...stand, tip: 'high' }).rod).toMatchObject({ follow: { heights: [[0, -2.25]] } });
    const heights = [
      [0, -2.25],
      [4, -2.25],
      [12, -0.6],
    ];
    expect(motion({ ...stand, tip: 'lowered' }).rod).toMatchObject({ follow: { heights } });
    const still = pathOf(motion({ ...stand, tip: 'lowered', rod: 'still' }));
    expect(still.map(([t, , , z]) => [t, z])).toEqual(heights.map(([t, z]) => [t, expect.closeTo(z!, 9)]));
  });

  it('swept over the hang: to 10° beyond straight down, back, and over again, a metre let out on the way back', () => {
    const { hangWork } = shown('sweep the hang');
    expect(hangWork!.rod.map(([t]) => t)).toEqual([8, 16, 24]);
    const bearings = hangWork!.rod.map(([, x, y]) => Math.round((Math.atan2(y - 2, x - 10) * 180) / Math.PI));
    expect(bearings).toEqual([-10, 45, -10]);
    expect(hangWork!.lineOut).toEqual([
      [8, 0],
      [12, 1],
      [16, 1],
      [24, 0],
    ]);
    expect(shown('sweep the hang', {}, { feedM: 0 }).hangWork!.lineOut).toEqual([]);
    expect(shown('sweep the hang').lineOut).toEqual([]); // not before it hangs
    expect([hangWork!.bearingDeg, shown('lift at the end').hangWork!.bearingDeg]).toEqual([8, 15]);
    expect(motion(stand).hangWork).toBeUndefined();
  });

  it('lifted at the end it stands nearly upright within four seconds', () => {
    const [lift] = shown('lift at the end').hangWork!.rod;
    expect(lift![0]).toBe(4);
    expect(lift![3]).toBeCloseTo(-2.7, 9);
    expect(Math.hypot(lift![1] - 10, lift![2] - 2)).toBeCloseTo(1.5, 9);
  });
});

describe('how far out one may stand', () => {
  const level = { ...buildChannel(RUN, null) };
  /** Even water over the whole grid, so deep at y. */
  const made = (depthAt: (y: number) => number, u = 0.3) => ({
    ...level,
    u: level.u.map(() => u),
    h: level.h.map((_, k) => depthAt(level.y0 + (k % level.ny) * level.dy)),
    edgeNear: level.edgeNear.map(() => 0),
    edgeFar: level.edgeFar.map(() => 20),
  });
  const lie = { xM: 30, yM: 8, lengthM: 4, widthM: 2 } as never;

  it('to where it gets too deep, or carries one off, half a metre kept', () => {
    const deep = made((y) => 0.2 * y); // as deep as one may wade some metres out
    const limit = wadeTo(deep, [], 30, { ...ANY_MEANS, wadeM: 0.8 });
    expect(limit).toBeGreaterThan(3);
    expect(limit).toBeLessThanOrEqual(3.5 + 1e-6);
    expect(wadeTo(deep, [], 30, { ...ANY_MEANS, wadeM: 0.4 })).toBeLessThan(limit - 1.4);
    expect(
      wadeTo(
        made((y) => 0.2 * y, 3),
        [],
        30,
        { ...ANY_MEANS, wadeM: 0.8 },
      ),
    ).toBeLessThan(limit);
    // In a flat to where the other bank begins.
    expect(
      Math.abs(
        wadeTo(
          made(() => 0.2),
          [],
          30,
        ) - 19.5,
      ),
    ).toBeLessThanOrEqual(level.dy);
  });

  it('not into a lie, nor within two metres of it; above and below it further', () => {
    const flat = made(() => 0.2);
    const before = wadeTo(flat, [lie], 30);
    expect(before).toBeLessThanOrEqual(8 - 1 - 2 - 0.5 + 1e-6);
    expect(before).toBeGreaterThan(8 - 1 - 2 - 0.5 - level.dy - 1e-6);
    expect(wadeTo(flat, [lie], 30 - 3.9)).toBe(before);
    expect(wadeTo(flat, [lie], 30 - 4.1)).toBe(wadeTo(flat, [], 25));
  });
});
