import { HOUR_MS } from '../units';
import type { HydroPoint } from './hydrograph';
import type { River } from './kinds';
import { forecastLevel, levelRecord } from './levelAhead';
import { makeRiver } from './rivers.testing';

const SPATE: River = { kind: 'spate', peaty: false };
const DAM: River = { kind: 'below a dam', peaty: false };
const START = Date.UTC(2026, 2, 1);
const hour = (h: number) => START + h * HOUR_MS;
const END = 60 * 24;
const series = (of: (h: number) => Partial<HydroPoint>, hours = END): HydroPoint[] =>
  Array.from({ length: hours }, (_, h) => ({ ...{ at: hour(h), stageM: null, flowM3s: null }, ...of(h) }));
const whole = <T>(work: Generator<number, T, undefined>): T => {
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
  }
};

describe('the level that a gauge will tell', () => {
  it('goes on from what it tells, in its own unit: a level, or the flow where it tells no level', () => {
    const steady = forecastLevel(
      SPATE,
      series(() => ({ stageM: 0.8, flowM3s: 5 })),
      [hour(END + 11)],
    );
    expect(steady.of).toBe('level');
    expect(steady.steps[0]!.median).toBeCloseTo(0.8, 2);
    expect(steady.steps[0]!.high80 - steady.steps[0]!.low80).toBeLessThan(0.05);
    const flow = forecastLevel(
      SPATE,
      series(() => ({ flowM3s: 5 })),
      [hour(END + 11)],
    );
    expect(flow.of).toBe('flow');
    expect(flow.steps[0]!.median).toBeCloseTo(5, 1);
  });

  it('falls after a rise as it fell after those before: an exponential recession (Q = Q0·e^(−t/k)), by hand', () => {
    // A rise every ten days, from 4 to 20 m³/s at once, that is forgotten within 30 h; asked ten hours after the last.
    const flow = (h: number) => 4 + 16 * Math.exp(-(h % 240) / 30);
    const upTo = 5 * 240 + 10;
    const told = series((h) => ({ flowM3s: flow(h) }), upTo + 1);
    const { steps } = forecastLevel(
      SPATE,
      told,
      [12, 24, 48].map((h) => hour(upTo + h)),
    );
    for (const [i, h] of [12, 24, 48].entries()) {
      expect(Math.abs(steps[i]!.median / flow(upTo + h) - 1)).toBeLessThan(0.12);
      expect(steps[i]!.low80).toBeLessThan(flow(upTo + h));
      expect(steps[i]!.high80).toBeGreaterThan(flow(upTo + h));
    }
  });

  it('comes up with the rain in the forecast, and less surely the further off', () => {
    const dry = series(() => ({ stageM: 0.6, flowM3s: 3, rainMm: 0 }));
    const ask = [hour(END + 5), hour(END + 17)];
    const rain = Array.from({ length: 12 }, (_, i) => ({ at: hour(END + i), rainMm: 4 }));
    const [withRain, without] = [forecastLevel(SPATE, dry, ask, rain), forecastLevel(SPATE, dry, ask)];
    expect(withRain.steps[1]!.high80).toBeGreaterThanOrEqual(without.steps[1]!.high80);
    const wet = makeRiver(SPATE, 3, 200);
    const last = wet.series.at(-1)!.at;
    const { steps } = forecastLevel(
      SPATE,
      wet.series,
      [6, 24, 47].map((h) => last + h * HOUR_MS),
    );
    const [soon, , late] = steps.map((s) => s.high80 - s.low80);
    expect(late).toBeGreaterThan(soon!);
  });

  it('below a dam the water comes and goes by the clock', () => {
    const release = (h: number) => (h % 24 >= 7 && h % 24 < 10 ? 1.4 : 0.5);
    const told = series((h) => ({ stageM: release(h), flowM3s: 12 * release(h) ** 2 }));
    // END is a midnight.
    const { steps } = forecastLevel(
      DAM,
      told,
      [5, 8, 12, 33].map((h) => hour(END + h)),
    );
    expect(steps.map((s) => Math.round(10 * s.median) / 10)).toEqual([0.5, 1.4, 0.5, 1.4]);
  });

  it('tells nothing of the past, nothing beyond two days, nothing of an empty series', () => {
    const told = series(() => ({ stageM: 0.8 }));
    expect(forecastLevel(SPATE, told, [hour(3)]).steps).toEqual([]);
    expect(() => forecastLevel(SPATE, told, [hour(END + 49)])).toThrow('more than 48 h past the last value');
    expect(() => forecastLevel(SPATE, [], [hour(3)])).toThrow('neither a flow nor a level');
  });

  it.each<River['kind']>(['spate', 'lowland', 'snowmelt'])(
    'eight times in ten between its ends, and nearer than "as it is now": %s, rivers unlike the forecast’s own model',
    (kind) => {
      let [inside, of, out, same] = [0, 0, 0, 0];
      for (let seed = 1; seed <= 6; seed++) {
        const river = makeRiver({ kind, peaty: false }, seed, 260);
        for (let day = 180; day < 256; day += 5) {
          const known = river.series.slice(0, 24 * day);
          const at = river.series[24 * day + 17]!;
          const [step] = forecastLevel({ kind, peaty: false }, known, [at.at]).steps;
          of++;
          if (at.stageM! >= step!.low80 && at.stageM! <= step!.high80) inside++;
          out += Math.abs(at.stageM! - step!.median);
          same += Math.abs(at.stageM! - known.at(-1)!.stageM!);
        }
      }
      expect(inside / of).toBeGreaterThan(0.7);
      expect(inside / of).toBeLessThan(0.97);
      expect(out).toBeLessThan(same);
    },
  );
});

describe('how forecasts of the level did', () => {
  it('those of a river that goes by the clock were right; of one that nobody can know few were', () => {
    const clock = series((h) => ({ stageM: 0.6 + 0.2 * Math.sin((2 * Math.PI * h) / 24) }));
    const right = whole(levelRecord(DAM, clock, hour(END)));
    expect(right).toMatchObject({ days: 30, inside: 30 });
    expect(right!.likely).toBeLessThan(0.01);
    // Quiet for weeks, then each afternoon anew somewhere else.
    const wild = series((h) => ({ stageM: h < 30 * 24 || h % 24 < 10 ? 0.6 : 0.6 + 0.3 * ((h * 7919) % 7) }));
    const wrong = whole(levelRecord(SPATE, wild, hour(END)));
    expect(wrong!.inside).toBeLessThan(wrong!.days * 0.7);
    expect(wrong!.likely).toBeGreaterThan(0.2);
  });

  it('is told of days that the gauge told, and not of too few', () => {
    expect(
      whole(
        levelRecord(
          SPATE,
          series(() => ({ stageM: 0.6 }), 12 * 24),
          hour(12 * 24),
        ),
      ),
    ).toBeNull();
    const gap = series(() => ({ stageM: 0.6 })).filter((p) => p.at < hour(END - 15 * 24) || p.at > hour(END - 5 * 24));
    expect(whole(levelRecord(SPATE, gap, hour(END)))!.days).toBeLessThan(22);
  });
});
