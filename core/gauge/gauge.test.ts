import { freshets, gaugeDoubts, type GaugePoint, type GaugeSeries, joinSeries, trend, withoutStuck } from './index';
import { usual } from './usual';
import { HOUR_MS } from '../units';

const T0 = Date.UTC(2026, 8, 1);
const point = (h: number, stageM: number, flowM3s = NaN, tempC = NaN): GaugePoint => ({
  ...{ at: T0 + h * HOUR_MS, stageM, flowM3s, tempC },
});
const hourly = (hours: number, level: (h: number) => number) =>
  Array.from({ length: hours }, (_, h) => point(h, level(h)));

describe('the trend', () => {
  it('is told by three centimetres in six hours', () => {
    expect(trend([point(0, 1), point(6, 1.05)])).toBe('rising');
    expect(trend([point(0, 1), point(6, 0.95)])).toBe('falling');
    expect(trend([point(0, 1), point(6, 1.02)])).toBe('steady');
    // What rose earlier than that counts no more; a shorter list counts from its start; an empty one says nothing.
    expect(trend([point(0, 1), point(3, 1.5), point(4, 1.5), point(10, 1.5)])).toBe('steady');
    expect(trend([point(0, 1.5), point(1, 1.4), point(4, 1.45), point(7, 1.5)])).toBe('rising');
    expect(trend([point(0, 1), point(2, 1.05)])).toBe('rising');
    expect(trend([])).toBe('steady');
  });

  it('a fifth more flow in a day is rising, though six hours bring little; what rose and stands is steady', () => {
    const slow = Array.from({ length: 25 }, (_, h) => point(h, 1 + 0.0018 * h, 10 * (1 + 0.2 * (h / 24))));
    expect(trend(slow)).toBe('rising');
    expect(
      trend([...slow].map((p, i) => ({ ...p, stageM: 1.05 - 0.0018 * i, flowM3s: 12 / (1 + 0.2 * (i / 24)) }))),
    ).toBe('falling');
    expect(trend([...slow, ...Array.from({ length: 8 }, (_, i) => point(25 + i, 1.043, 12))])).toBe('steady');
  });

  it('goes as it turned, where it turned within two hours: a release that has passed is falling', () => {
    expect(trend([point(0, 1), point(3, 1.4), point(4, 1.4), point(6, 1.2)])).toBe('falling');
    expect(trend([point(0, 1.3), point(4, 1), point(6, 1.1)])).toBe('rising');
    // A wobble of a centimetre turns nothing.
    expect(trend([point(0, 1), point(4, 1.2), point(6, 1.19)])).toBe('rising');
  });

  it('goes by the flow where there is no level, and leaves out hours without one', () => {
    expect(trend([point(0, NaN, 10), point(6, NaN, 11)])).toBe('rising');
    expect(trend([point(0, NaN, 10), point(6, NaN, 9)])).toBe('falling');
    expect(trend([point(0, NaN, 10), point(6, NaN, 10.5)])).toBe('steady');
    expect(trend([point(0, 1), point(6, 1.05), point(7, NaN)])).toBe('rising');
    // A flow of nothing is none.
    expect(trend([point(0, NaN, 0), point(6, NaN, 10)])).toBe('steady');
  });
});

describe('a feed', () => {
  const stage = (values: readonly (readonly [number, number])[]): GaugeSeries => ({
    property: 'stage',
    unit: 'm',
    points: values.map(([h, value]) => ({ at: T0 + h * HOUR_MS, value })),
  });

  it('joins its series by time, sorted, each moment once, the last word counting', () => {
    const { points, said } = joinSeries([
      stage([
        [2, 0.7],
        [0, 0.5],
        [2, 0.8],
      ]),
      { property: 'discharge', unit: 'm3/s', points: [{ at: T0 + HOUR_MS, value: 12 }] },
    ]);
    expect(points).toEqual([point(0, 0.5), point(1, NaN, 12), point(2, 0.8)]);
    expect(said).toEqual([]);
  });

  it('leaves out what no river has, and says so', () => {
    const { points, said } = joinSeries([
      stage([
        [0, 0.5],
        [1, -999],
        [2, 5000],
      ]),
    ]);
    expect(points).toEqual([point(0, 0.5)]);
    expect(said).toEqual([{ code: 'impossible', values: 2 }]);
    expect(() => joinSeries([stage([[0, -999]])])).toThrow('no river');
    expect(() => joinSeries([])).toThrow('no values');
    const flow = (value: number): GaugeSeries => ({ property: 'discharge', unit: 'm3/s', points: [{ at: T0, value }] });
    expect(() => joinSeries([flow(0)])).toThrow('no river');
    expect(joinSeries([flow(3)]).points).toEqual([point(0, NaN, 3)]);
    expect(() => joinSeries([{ property: 'temperature', unit: 'Cel', points: [{ at: T0, value: 9 }] }])).toThrow(
      'no river',
    );
  });

  it('leaves out what is dated in the future or before there were such values, and says so: the rest stays', () => {
    const now = T0 + 48 * HOUR_MS;
    const hours = Array.from({ length: 48 }, (_, h) => [h, 0.7] as const);
    const wrong = (at: number) => ({ ...stage([]), points: [{ at, value: 3.2 }] });
    const { points, said } = joinSeries([stage(hours), wrong(Date.UTC(2062, 2, 1))], now);
    expect(points).toHaveLength(48);
    expect(said).toEqual([
      { code: 'misdated', values: 1, from: Date.UTC(2062, 2, 1), to: Date.UTC(2062, 2, 1), toCome: true },
    ]);
    const both = joinSeries([stage(hours), wrong(Date.UTC(2062, 2, 1)), wrong(Date.UTC(1026, 2, 1))], now);
    expect(both.said).toMatchObject([{ code: 'misdated', values: 2, toCome: false }]);
    expect(usual(both.points, 'stageM')).toBe(0.7);
    // A clock that is a time zone ahead is none.
    expect(joinSeries([stage(hours)], T0 + 24 * HOUR_MS).said).toEqual([]);
    expect(() => joinSeries([wrong(Date.UTC(2062, 2, 1))], now)).toThrow('only misdated');
  });

  it('keeps a month by the hour and a year by six hours; means are means and rain is summed', () => {
    const days = 500;
    const quarters = Array.from({ length: days * 96 }, (_, i) => [i / 4, 1 + (i % 4) * 0.1] as const);
    const rain: GaugeSeries = {
      ...{ property: 'rainfall', unit: 'mm' },
      points: quarters.map(([h]) => ({ at: T0 + h * HOUR_MS, value: 0.25 })),
    };
    const { points, said } = joinSeries([stage(quarters), rain]);
    expect(points.length).toBeLessThan(30 * 24 + 371 * 4 + 3);
    expect(points.length).toBeGreaterThan(30 * 24 + 369 * 4);
    expect(said).toEqual([{ code: 'older', keptDays: 400 }]);
    const fine = points[points.length - 10]!;
    expect(fine.stageM).toBeCloseTo((1.1 + 1.2 + 1.3 + 1) / 4, 9);
    expect(fine.rainMm).toBeCloseTo(1, 9);
    expect(points[10]!.rainMm).toBeCloseTo(6, 9);
    // Of what is known in an hour; where no rain is told, none is.
    const half = joinSeries([
      stage([
        [0, 1],
        [0.25, 1.2],
      ]),
      {
        property: 'discharge',
        unit: 'm3/s',
        points: [
          { at: T0 + 0.25 * HOUR_MS, value: 8 },
          { at: T0 + 0.5 * HOUR_MS, value: 10 },
        ],
      },
    ]);
    expect(half.points.at(-1)).toEqual({ at: T0 + HOUR_MS, stageM: 1.2, flowM3s: 9, tempC: NaN });
    expect(points.every((p, i) => i === 0 || p.at > points[i - 1]!.at)).toBe(true);
  });

  it('is doubted when it is silent, stuck or full of holes; not when a large river stands still', () => {
    const lively = hourly(200, (h) => 1 + 0.001 * (h % 7));
    const now = T0 + 199 * HOUR_MS;
    expect(gaugeDoubts(lively, now)).toEqual([]);
    expect(gaugeDoubts(lively, now + 30 * HOUR_MS)[0]).toEqual({ code: 'silent', hours: 30 });
    expect(gaugeDoubts(lively, now + 80 * HOUR_MS)[0]).toEqual({ code: 'silent', hours: 80 });
    const stuck = lively.map((p, h) => (h > 170 ? { ...p, stageM: 1.234 } : p));
    expect(gaugeDoubts(stuck, now)[0]).toEqual({ code: 'stuck', hours: 29 });
    // What it says while it is stuck is not of the river.
    expect(withoutStuck(stuck).at(-1)!.at).toBe(T0 + 170 * HOUR_MS);
    expect(withoutStuck(lively)).toBe(lively);
    expect(gaugeDoubts(stuck.slice(0, 185), T0 + 184 * HOUR_MS)).toEqual([]);
    // Told in centimetres a level stays the same for days.
    expect(
      gaugeDoubts(
        hourly(200, (h) => (h < 20 ? 1.01 : 1)),
        now,
      ),
    ).toEqual([]);
    const holed = lively.filter((_, h) => h < 120 || h > 150);
    expect(gaugeDoubts(holed, now)).toEqual([{ code: 'gaps', hours: 32 }]);
    expect(gaugeDoubts([], now)).toEqual([]);
  });
});

describe('freshets', () => {
  /** A rise of 50 cm in eight hours from an hour on, falling again. */
  const risen = (h: number, from: number) =>
    h < from ? 0 : h < from + 8 ? (0.5 * (h - from)) / 8 : 0.5 * Math.exp(-(h - from - 8) / 20);

  it('are peaks a hand’s width over what was before, each once', () => {
    const found = freshets(hourly(300, (h) => 1 + risen(h, 40) + risen(h, 200)));
    expect(found.map((f) => (f.peakAt - T0) / HOUR_MS)).toEqual([48, 208]);
    expect(found[0]!.riseM).toBeCloseTo(0.5, 9);
    expect(found[1]!.riseM).toBeCloseTo(0.5, 2);
  });

  it('are none of noise, of a slow rise over weeks, or of a rise that is still small', () => {
    expect(freshets(hourly(300, (h) => 1 + 0.05 * Math.sin(h / 4)))).toEqual([]);
    expect(freshets(hourly(600, (h) => 1 + h * 0.001))).toEqual([]);
    expect(freshets(hourly(42, (h) => 1 + risen(h, 40)))).toEqual([]);
  });

  it('are seen while they still rise, and two peaks of one day are one, the higher', () => {
    expect(freshets(hourly(47, (h) => 1 + risen(h, 40)))).toHaveLength(1);
    const two = freshets(hourly(100, (h) => 1 + 0.8 * risen(h, 30) + risen(h, 44)));
    expect(two).toHaveLength(1);
    expect((two[0]!.peakAt - T0) / HOUR_MS).toBe(52);
  });

  it('are told by the flow where there is no level', () => {
    const flow = Array.from({ length: 100 }, (_, h) => point(h, NaN, 10 * Math.exp(2 * risen(h, 30))));
    const [f] = freshets(flow);
    expect(f!.times).toBeCloseTo(Math.E, 6);
    expect(f!.riseM).toBeNull();
    expect(usual(flow, 'flowM3s')).toBeGreaterThanOrEqual(10);
    expect(usual(flow, 'stageM')).toBeNull();
  });
});
