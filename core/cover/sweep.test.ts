import { ANY_MEANS } from '../cast';
import { swingOnRun } from '../cast/case';
import { type HoldingCell, holdingWater, type LieOptions } from '../lies';
import { seeded } from '../maths';
import type { SwingResult } from '../swing';
import { HZ, WIDTH } from '../swing/series';
import { day, PLAN, RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import { countShown, sharesOf } from './gain';
import { reachOf, shownBy } from './reach';
import { groundOf, sweptBy } from './sweep';

const BAND = { topM: 0.4, bottomM: 0.8, says: '' };
const cell = (xM: number, yM: number): HoldingCell => ({
  ...{ xM, yM, weight: 1, depthM: 1, band: BAND, wetBand: { ...BAND, topM: 0.1 }, crossSpeedMps: 0.5 },
});
/** Even holding water, 40 by 40 m, a cell every half metre. */
const EVEN = groundOf(Array.from({ length: 6400 }, (_, i) => cell(0.25 + (i % 80) / 2, 0.25 + Math.floor(i / 80) / 2)));

/** A fly that goes straight from one place to another, all of it fishing, ten metres in twenty-five seconds. */
function lane(
  from: readonly [number, number],
  to: readonly [number, number],
  depthM = 0.6,
  o: object = {},
): SwingResult {
  const seconds = Math.max(1, Math.round(2.5 * Math.hypot(to[0] - from[0], to[1] - from[1])));
  const rows = seconds * HZ + 1;
  const series = new Float64Array(WIDTH * rows);
  for (let i = 0; i < rows; i++) {
    const f = i / (rows - 1);
    const [x, y] = [from[0] + f * (to[0] - from[0]), from[1] + f * (to[1] - from[1])];
    series.set([i / HZ, x, y, depthM, 0, (to[1] - from[1]) / seconds, 0, 90, 0.1], WIDTH * i);
  }
  return { series, rows, fishing: { fromS: 0, toS: seconds }, others: [], ...o } as unknown as SwingResult;
}
const sunk = (reachM: number) => [{ ride: 'sunk' as const, reachM }];
const onceBy = (lanes: readonly SwingResult[], reachM: number) =>
  sharesOf(
    countShown(
      lanes.map((r) => ({ cells: sweptBy(r, EVEN, sunk(reachM)), seconds: 1 })),
      EVEN.cells.length,
    ),
    EVEN.cells.map((c) => c.weight),
  ).once;

describe('what flies sweep, against closed forms', () => {
  const REACH = 1;
  const across = (xM: number) => lane([xM, 0], [xM, 40]);

  it.each([0.25, 0.5, 1])('parallel lanes of coverage %d show so much: min(1, C) (Koopman 1956)', (c) => {
    const n = Math.round((c * 40) / (2 * REACH));
    const lanes = Array.from({ length: n }, (_, i) => across(((i + 0.5) * 40) / n));
    expect(Math.abs(onceBy(lanes, REACH) - c)).toBeLessThan(0.03);
  });

  it('closer lanes than the reach show no more than everything, most of it twice', () => {
    const lanes = Array.from({ length: 40 }, (_, i) => across(i + 0.5));
    expect(onceBy(lanes, REACH)).toBe(1);
  });

  it.each([
    [0.5, 0.3935],
    [1, 0.6321],
    [2, 0.8647],
  ])('lanes thrown about anyhow, coverage %d: 1 − e^−C = %d (Koopman 1956)', (c, expected) => {
    const rand = seeded(7);
    // Lanes that leave the square on one side come in on the other, so that no edge is favoured.
    // What a lane of eight metres sweeps: a strip with a half disc at either end.
    const n = Math.round((c * 40 ** 2) / (2 * REACH * 8 + Math.PI * REACH ** 2));
    const lanes = Array.from({ length: n }, () => {
      const [x, y] = [40 * rand(), 40 * rand()];
      return y <= 32 ? [lane([x, y], [x, y + 8])] : [lane([x, y], [x, 40]), lane([x, 0], [x, y - 32])];
    });
    const wrapped = lanes.flat().flatMap((r) => {
      const x = r.series[1]!;
      const moved = (by: number) => {
        const series = Float64Array.from(r.series);
        for (let i = 1; i < series.length; i += WIDTH) series[i]! += by;
        return { ...r, series };
      };
      return x < REACH ? [r, moved(40)] : x > 40 - REACH ? [r, moved(-40)] : [r];
    });
    expect(Math.abs(onceBy(wrapped, REACH) - expected)).toBeLessThan(0.035);
  });
});

describe('what counts as shown', () => {
  const one = groundOf([cell(10, 10)]);
  const shows = (r: SwingResult, flies: Parameters<typeof sweptBy>[2] = sunk(0.6)) =>
    sweptBy(r, one, flies).length === 1;
  const past = (depthM: number, o: object = {}) => lane([10, 5], [10, 15], depthM, o);

  it('a fly in the band, within reach, no faster than is wanted', () => {
    expect(shows(past(0.6))).toBe(true);
    expect(shows(past(0.2))).toBe(false);
    expect(shows(past(0.95))).toBe(false);
    expect(shows(lane([10.5, 5], [10.5, 15]))).toBe(true);
    expect(shows(lane([10.8, 5], [10.8, 15]))).toBe(false);
    const fast = past(0.6);
    for (let i = 5; i < fast.series.length; i += WIDTH) fast.series[i] = -0.6;
    expect(shows(fast)).toBe(false);
  });

  it('only while it fishes', () => {
    expect(shows(past(0.6, { fishing: null }))).toBe(false);
    expect(shows(past(0.6, { fishing: { fromS: 20, toS: 25 } }))).toBe(false);
    expect(shows(past(0.6, { fishing: { fromS: 5, toS: 20 } }))).toBe(true);
  });

  it('soft hackles ride higher, and the second fly of a rig counts, too', () => {
    expect(shows(past(0.2), [{ ride: 'wet', reachM: 0.6 }])).toBe(true);
    const two = past(0.2, { others: [{ ...past(0.6), isFly: true }] });
    expect(shows(two)).toBe(false);
    expect(shows(two, [...sunk(0.6), ...sunk(0.6)])).toBe(true);
    expect(shows(past(0.2, { others: [{ ...past(0.6), isFly: false }] }), [...sunk(0.6), ...sunk(0.6)])).toBe(false);
  });
});

describe('how far a fly is shown', () => {
  const at = (o: Parameters<typeof day>[0], quarry: LieOptions['quarry'] = 'brown trout') =>
    reachOf({ reading: day(o), options: { quarry }, sunDeg: 40, depthM: 0.5 }, RIG.fly);

  it('by sight in murk, by will in clear water; travellers come further than brown trout (directions: handbook)', () => {
    expect(at({ visibilityM: 0.15 })).toBeLessThan(0.5 * at({ visibilityM: 3 }));
    expect(at({ visibilityM: 6 })).toBeCloseTo(at({ visibilityM: 3 }), 6);
    expect(at({ visibilityM: 3 }, 'steelhead')).toBeGreaterThan(at({ visibilityM: 3 }));
    expect(at({ visibilityM: 0.01 })).toBe(0.3);
  });

  it('less in the cold and in water that is too warm', () => {
    const clear = (waterTempC: number) => at({ visibilityM: 3, waterTempC });
    expect(clear(3)).toBeLessThan(clear(12));
    expect(clear(21)).toBeLessThan(clear(12));
  });
});

describe('holding water', () => {
  const channel = buildChannel(RUN, day());
  const options: LieOptions = { quarry: 'sea trout', school: 'near the bed', most: 6 };
  const cells = holdingWater(RUN, channel, day(), options);

  it('is wet, has a band in it, and the middles of the lies are in it', () => {
    expect(cells.length).toBeGreaterThan(100);
    for (const c of cells) {
      expect(c.weight).toBeGreaterThan(0);
      expect(c.band.topM).toBeLessThan(c.band.bottomM);
      expect(c.band.bottomM).toBeLessThan(c.depthM);
    }
  });

  it('is none on a redd', () => {
    const redd = { id: 'r', kind: 'redd' as const, xM: 30, yM: 10, lengthM: 8, widthM: 4 };
    const run = { ...RUN, features: [...RUN.features, redd] };
    const left = holdingWater(run, buildChannel(run, day()), day(), options);
    expect(cells.some((c) => Math.abs(c.xM - 30) < 4 && Math.abs(c.yM - 10) < 2)).toBe(true);
    expect(left.some((c) => Math.abs(c.xM - 30) < 4 && Math.abs(c.yM - 10) < 2)).toBe(false);
  });

  it('a real swing sweeps a band across it, and no more than its reach to either side', () => {
    const ground = groundOf(cells);
    const q = { rig: RIG, reading: day(), options, sunDeg: 40, lies: [], means: ANY_MEANS };
    const r = swingOnRun({ channel, rig: RIG, plan: { ...PLAN, xM: 20, outM: 14 }, lies: [] });
    const swept = sweptBy(r, ground, shownBy(q));
    expect(swept.length).toBeGreaterThan(3);
    expect(sweptBy(r, ground, [{ ride: 'sunk', reachM: 0.2 }]).length).toBeLessThan(swept.length);
  });
});
