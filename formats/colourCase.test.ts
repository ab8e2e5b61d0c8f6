import { forecastColour } from '@/core/colour';
import { colourJson, readColourCase } from './colourCase';

const hour = (h: number) => new Date(Date.UTC(2026, 3, 1) + h * 3_600_000).toISOString();
const base = {
  river: { kind: 'spate', peaty: false },
  series: Array.from({ length: 200 }, (_, h) => ({
    at: hour(h),
    stageM: 0.4,
    flowM3s: 5 + (h > 150 ? 10 : 0),
    tempC: 8,
  })),
  readings: [{ at: hour(100), visibilityM: 0.9, atLeast: true }],
  ask: [hour(199), hour(240)],
};
const read = (change: object) => readColourCase(JSON.stringify({ ...base, ...change }));

describe('a question about a river’s colour, from a file', () => {
  it('is answered in the names of the format', () => {
    const c = read({});
    const out = JSON.parse(JSON.stringify(colourJson(forecastColour(c.river, c.series, c.readings, c.ask))));
    expect(out.forecasts.map((f: { at: string }) => f.at)).toEqual(base.ask);
    for (const f of out.forecasts) {
      expect(f.low80M).toBeLessThan(f.medianM);
      expect(f.medianM).toBeLessThan(f.high80M);
      expect(Object.keys(f.chanceAtLeast)).toEqual(['0.3', '0.6', '0.9', '1.8']);
      expect(f.chanceAtLeast['0.3']).toBeGreaterThan(f.chanceAtLeast['1.8']);
      expect(f.because).toMatch(/one reading/);
    }
  });

  it('takes rain, fallen and foretold, in any order; the rain to come is told', () => {
    const series = base.series.map((p, i) => ({ ...p, rainMm: i === 0 ? null : 0.1 }));
    const c = read({
      series,
      rainAhead: [
        { at: hour(210), rainMm: 12 },
        { at: hour(205), rainMm: 8 },
      ],
    });
    expect(c.series[0]).not.toHaveProperty('rainMm');
    expect(c.series[1]!.rainMm).toBe(0.1);
    expect(c.rainAhead.map((r) => r.rainMm)).toEqual([8, 12]);
    const [now, later] = forecastColour(c.river, c.series, c.readings, c.ask, c.rainAhead);
    expect(now!.because.rainMm).toBeNull();
    expect(later!.because.rainMm).toBeCloseTo(20, 6);
    const [, dry] = forecastColour(c.river, c.series, c.readings, c.ask, [{ at: Date.parse(hour(205)), rainMm: 0 }]);
    expect(dry!.because.rainMm).toBe(0);
    expect(later!.medianM).toBeLessThan(dry!.medianM);
    expect(() => read({ rainAhead: [{ at: hour(205), rainMm: -1 }] })).toThrow('rainAhead');
  });

  it('takes flow or level alone, and readings that do not say "at least"', () => {
    const series = [
      { at: hour(0), flowM3s: 4 },
      { at: hour(1), stageM: 0.3, flowM3s: null },
    ];
    expect(read({ series, ask: [hour(2)] }).series).toMatchObject([
      { flowM3s: 4, stageM: null },
      { flowM3s: null, stageM: 0.3 },
    ]);
    expect(read({ readings: [{ at: hour(1), visibilityM: 0.5 }] }).readings[0]!.atLeast).toBe(false);
    expect(read({ readings: [] }).readings).toEqual([]);
    expect(read({ ask: [hour(247)] }).ask).toEqual([Date.parse(hour(247))]); // 48 h after the last, to the hour
    // Without a zone it is UTC.
    expect(read({ ask: ['2026-04-02T03:00:00', '2026-04-02T05:00:00+02:00'] }).ask).toEqual([
      Date.UTC(2026, 3, 2, 3),
      Date.UTC(2026, 3, 2, 3),
    ]);
  });

  it.each([
    ['{', 'case: the JSON is cut off or damaged'],
    [{ river: { kind: 'canal', peaty: false } }, 'river.kind must be one of'],
    [{ series: [] }, 'series must contain at least 1'],
    [{ series: [{ at: 'yesterday', flowM3s: 1 }] }, 'series[0].at must be in iso format'],
    [{ series: [{ at: hour(0) }] }, 'series[0]: needs stageM or a flowM3s above 0'],
    [{ series: [{ at: hour(0), flowM3s: -3 }] }, 'series[0].flowM3s must be greater than or equal to 0'],
    [{ readings: [{ at: hour(0), visibilityM: 0 }] }, 'readings[0].visibilityM must be greater than or equal to 0.01'],
    [{ ask: [hour(199), hour(248)] }, 'ask[1]: more than 48 h past the last value'],
    [{ ask: undefined }, 'ask is required'],
  ])('says what is wrong and where: %j', (change, says) => {
    const text = typeof change === 'string' ? change : JSON.stringify({ ...base, ...change });
    expect(() => readColourCase(text)).toThrow(says);
  });
});
