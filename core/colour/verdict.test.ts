import { BECAUSE } from '../testing/fixtures';
import { saidRecord } from './forecastRecord';
import fc from 'fast-check';
import { colourRecord } from './record';
import { type ColourAt, betterFrom, judgeColour, neededChance, plainForecast, STEPS_M } from './verdict';

const at = (chances: readonly number[], when = 0): ColourAt => ({
  ...{ at: when, medianM: 1, low80M: 0.5, high80M: 2, because: BECAUSE, chances },
});

describe('go, go with sinking gear, or elsewhere', () => {
  it.each([
    [[0.99, 0.9, 0.6, 0.1], null, 'go'],
    [[0.9, 0.4, 0.1, 0], null, 'go with sinking gear'],
    [[0.3, 0.1, 0, 0], null, 'elsewhere'],
    // What does next door does not for two hours of road: seven in ten is too little there.
    [[0.95, 0.7, 0.3, 0], 10, 'go'],
    [[0.95, 0.7, 0.3, 0], 120, 'go with sinking gear'],
    [[0.7, 0.3, 0, 0], 20, 'go with sinking gear'],
    [[0.7, 0.3, 0, 0], 120, 'elsewhere'],
  ] as const)('%j with %s minutes of road: %s', (chances, driveMin, verdict) => {
    expect(judgeColour(at(chances), driveMin).verdict).toBe(verdict);
  });

  it('says the chance that decides', () => {
    expect(judgeColour(at([1, 0.72, 0.3, 0]), null)).toMatchObject({ chance: 0.72, fishable: 1, plain: 0.72 });
    expect(judgeColour(at([0.99, 0.01, 0, 0]), null)).toMatchObject({ chance: 0.99, plain: 0.01 });
    expect(judgeColour(at([0.4, 0, 0, 0]), 90)).toMatchObject({ chance: 0.4, drive: true });
    expect(judgeColour(at([0.4, 0, 0, 0]), null).drive).toBe(false);
  });

  it('a longer road never makes it better, a clearer water never worse (property)', () => {
    const chance = fc.double({ min: 0, max: 1, noNaN: true });
    const order = ['go', 'go with sinking gear', 'elsewhere'];
    fc.assert(
      fc.property(chance, chance, fc.nat(300), fc.nat(300), (a, b, m, more) => {
        const [p, f] = [Math.min(a, b), Math.max(a, b)];
        const rank = (c: number[], d: number) => order.indexOf(judgeColour(at(c), d).verdict);
        expect(rank([f, p, 0, 0], m + more)).toBeGreaterThanOrEqual(rank([f, p, 0, 0], m));
        expect(rank([f, f, 0, 0], m)).toBeLessThanOrEqual(rank([f, p, 0, 0], m));
        expect(neededChance(m)).toBeGreaterThanOrEqual(0.5);
        expect(neededChance(m)).toBeLessThanOrEqual(0.8);
      }),
      { seed: 15 },
    );
  });

  it('says from when it is better, and stays so', () => {
    const bad = [0.2, 0, 0, 0];
    const fair = [0.9, 0.2, 0, 0];
    const good = [1, 0.9, 0.5, 0];
    const run = (list: number[][]) =>
      betterFrom(
        list.map((c, i) => at(c, i)),
        null,
      );
    expect(run([bad, bad, fair, good])).toEqual([
      { at: 2, verdict: 'go with sinking gear' },
      { at: 3, verdict: 'go' },
    ]);
    expect(run([fair, good, fair, good])).toEqual([{ at: 3, verdict: 'go' }]);
    expect(run([bad, good, good])).toEqual([{ at: 1, verdict: 'go' }]);
    expect(run([good, good])).toEqual([]);
    expect(run([fair, good, bad])).toEqual([]);
    expect(run([])).toEqual([]);
  });

  it('carries the chances of a forecast over as they are', () => {
    const f = plainForecast({ ...at([]), chanceAtLeast: (m: number) => 1 / (1 + m) } as never);
    expect(f.chances).toEqual(STEPS_M.map((m) => 1 / (1 + m)));
    expect(f).not.toHaveProperty('chanceAtLeast');
  });
});

describe('what was said, as it was said', () => {
  const HOUR = 3_600_000;
  const said = (madeAt: number, forAt: number, low80M: number, high80M: number) => ({ madeAt, forAt, low80M, high80M });
  const read = (at: number, visibilityM: number, atLeast = false) => ({ at, visibilityM, atLeast });

  it('is held against the reading nearest to its moment, made after it; others meet nothing', () => {
    const f = [said(0, 24 * HOUR, 0.5, 1), said(0, 80 * HOUR, 0.5, 1)];
    expect(saidRecord(f, [read(26 * HOUR, 0.7), read(23 * HOUR, 3)])).toEqual({ inside: 0, of: 1 });
    expect(saidRecord(f, [read(25 * HOUR, 0.7), read(20 * HOUR, 3)])).toEqual({ inside: 1, of: 1 });
    expect(saidRecord(f, [read(30 * HOUR, 0.7)])).toEqual({ inside: 0, of: 0 });
    expect(saidRecord([said(10 * HOUR, 12 * HOUR, 0.5, 1)], [read(9 * HOUR, 0.7)])).toEqual({ inside: 0, of: 0 });
    expect(saidRecord([], [read(HOUR, 1)])).toEqual({ inside: 0, of: 0 });
  });

  it('a bound holds where the upper end is no lower', () => {
    const f = [said(0, 24 * HOUR, 0.2, 0.8)];
    expect(saidRecord(f, [read(24 * HOUR, 0.8, true)]).inside).toBe(1);
    expect(saidRecord(f, [read(24 * HOUR, 1, true)]).inside).toBe(0);
    expect(saidRecord(f, [read(24 * HOUR, 0.1)]).inside).toBe(0);
  });
});

describe('its own record', () => {
  const HOUR = 3_600_000;
  const river = { kind: 'spate', peaty: false } as const;
  const series = Array.from({ length: 40 * 4 }, (_, i) => ({ at: i * 6 * HOUR, stageM: null, flowM3s: 10 }));
  const run = (readings: Parameters<typeof colourRecord>[2]) => {
    const work = colourRecord(river, series, readings);
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      expect(step.value).toBeLessThan(1);
    }
  };
  const read = (day: number, visibilityM: number, atLeast = false) => ({ at: day * 24 * HOUR, visibilityM, atLeast });

  it('counts what was read against what would have been said the evening before', () => {
    // A steady river, read the same six times, and once quite otherwise.
    const same = [15, 18, 21, 24, 27, 30].map((d) => read(d, 1.5));
    expect(run(same)).toEqual({ inside: 6, of: 6 });
    expect(run([...same, read(33, 0.1)])).toEqual({ inside: 6, of: 7 });
  });

  it('a bound is inside where it may be so clear, and not where it is said to be dirtier', () => {
    const dirty = [15, 18, 21, 24, 27].map((d) => read(d, 0.2));
    expect(run([...dirty, read(30, 0.15, true)])).toMatchObject({ of: 6, inside: run(dirty).inside + 1 });
    expect(run([...dirty, read(30, 3, true)])).toMatchObject({ of: 6, inside: run(dirty).inside });
  });

  it('asks nothing of readings before there was a past, or after the gauge fell silent', () => {
    expect(run([read(2, 1)])).toEqual({ inside: 0, of: 0 });
    expect(run([read(50, 1)])).toEqual({ inside: 0, of: 0 });
    expect(run([])).toEqual({ inside: 0, of: 0 });
  });
});
