import { normal, seeded } from '../maths';
import { freshetShare, gaugeAt, gaugeSeries, normalStage, type StationModel, trend } from './hydrograph';

const m: StationModel = {
  id: 's',
  name: 'Test',
  latDeg: 57,
  lonDeg: -4,
  seed: 3,
  baseFlowM3s: 12,
  seasonalShare: 0.3,
  freshetsPerDay: 0.12,
  freshetRise: 1.5,
  recessionH: 30,
  ratingA: 0.25,
  ratingB: 0.45,
  meanTempC: 9,
  yearSwingC: 6,
  daySwingC: 1.5,
};
const HOUR = 3_600_000;

describe('the simulated gauge', () => {
  it('is a pure function of time: any window of the same hours gives the same points', () => {
    const a = gaugeSeries(m, Date.UTC(2026, 8, 1), Date.UTC(2026, 8, 5));
    const b = gaugeSeries(m, Date.UTC(2026, 8, 3), Date.UTC(2026, 8, 4));
    expect(a).toHaveLength(97);
    expect(a.filter((p) => p.at >= b[0]!.at && p.at <= b[b.length - 1]!.at)).toEqual(b);
  });

  it('rises faster than it falls', () => {
    const year = gaugeSeries(m, Date.UTC(2026, 0, 1), Date.UTC(2026, 11, 31));
    let up = 0;
    let down = 0;
    for (let i = 1; i < year.length; i++) {
      const d = year[i]!.stageM - year[i - 1]!.stageM;
      up = Math.max(up, d);
      down = Math.max(down, -d);
    }
    expect(up).toBeGreaterThan(1.5 * down);
    expect(year.every((p) => p.flowM3s > 0 && p.tempC > 0 && p.tempC < 30)).toBe(true);
  });

  it('recedes exponentially after the last freshet', () => {
    const year = gaugeSeries(m, Date.UTC(2026, 0, 1), Date.UTC(2026, 11, 31));
    // Somewhere in the year there are two quiet days on which only recession acts.
    const quiet = year.find((p) => {
      const a = freshetShare(m, p.at);
      const b = freshetShare(m, p.at + 12 * HOUR);
      const c = freshetShare(m, p.at + 24 * HOUR);
      return a > 0.2 && Math.abs(b / a - c / b) < 0.005;
    });
    expect(quiet).toBeDefined();
    const ratio = freshetShare(m, quiet!.at + 12 * HOUR) / freshetShare(m, quiet!.at);
    expect(ratio).toBeCloseTo(Math.exp(-12 / m.recessionH), 1);
  });

  const DAY = 24 * HOUR;
  const dry = { ...m, freshetsPerDay: 0 };
  const mean = (xs: number[]) => xs.reduce((a, b) => a + b) / xs.length;
  const flowOn = (month: number, day: number) => gaugeAt(dry, Date.UTC(2026, month, day)).flowM3s;

  it('carries most between freshets in mid-January and least half a year later, by the share it was given', () => {
    expect(flowOn(0, 16)).toBeCloseTo(12 * 1.3, 1);
    expect(flowOn(6, 17)).toBeCloseTo(12 * 0.7, 1);
    expect(flowOn(3, 17)).toBeCloseTo(12, 0);
    expect(flowOn(2, 1)).toBeGreaterThan(flowOn(3, 1));
  });

  it('brings as much water as shot noise of its numbers does, most of it in late autumn (Campbell’s theorem)', () => {
    const days = Array.from({ length: 40 * 365 }, (_, d) => d * DAY);
    const share = days.map((at) => freshetShare(m, at));
    // Rate times mean size times the area under one freshet, (1 − e^(−h/7))·e^(−h/30), in days.
    const area = (30 - 1 / (1 / 7 + 1 / 30)) / 24;
    const expected = 0.12 * 1.5 * Math.exp(0.6 ** 2 / 2) * area;
    expect(mean(share) / expected).toBeGreaterThan(0.9);
    expect(mean(share) / expected).toBeLessThan(1.1);
    const about = (day: number) => mean(share.filter((_, d) => Math.abs((d % 365.25) - day) < 30));
    expect(about(330) / about(148)).toBeGreaterThan(2);
  });

  it('never jumps, not at midnight either', () => {
    for (let d = 20_000; d < 20_730; d++) {
      const step = freshetShare(m, d * DAY + 60_000) - freshetShare(m, d * DAY - 60_000);
      expect(Math.abs(step)).toBeLessThan(0.03);
    }
    expect(freshetShare(m, Date.UTC(2026, 3, 1))).not.toBe(freshetShare({ ...m, seed: 4 }, Date.UTC(2026, 3, 1)));
  });

  it('is coldest at the end of January and warmest at the end of July, and never freezes', () => {
    const around = (month: number, day: number) =>
      mean(Array.from({ length: 30 * 24 }, (_, h) => gaugeAt(m, Date.UTC(2026, month, day) + h * HOUR).tempC));
    expect(around(0, 16)).toBeCloseTo(3, 0);
    expect(around(6, 17)).toBeCloseTo(15, 0);
    expect(Math.min(around(3, 17), around(9, 16))).toBeGreaterThan(7);
    expect(gaugeAt({ ...m, meanTempC: -5 }, Date.UTC(2026, 0, 30)).tempC).toBe(0.2);
  });

  it.each([0, -75, 150])(
    'is warmest at five in the afternoon by the sun at %s° east, by the swing it was given',
    (lonDeg) => {
      const byHour = Array.from({ length: 24 }, (_, hour) =>
        mean(
          Array.from({ length: 365 }, (_, d) => gaugeAt({ ...m, lonDeg }, d * DAY + (hour - lonDeg / 15) * HOUR).tempC),
        ),
      );
      expect(byHour.indexOf(Math.max(...byHour))).toBe(17);
      expect(byHour.indexOf(Math.min(...byHour))).toBe(5);
      expect(Math.max(...byHour) - Math.min(...byHour)).toBeCloseTo(1.5, 1);
    },
  );

  it('has weather of a degree that lasts for days and differs between stations', () => {
    const steady = { ...m, daySwingC: 0, yearSwingC: 0 };
    const temps = Array.from({ length: 400 }, (_, d) => gaugeAt(steady, d * DAY).tempC - 9);
    const spread = Math.sqrt(mean(temps.map((t) => t * t)));
    expect(spread).toBeGreaterThan(0.4);
    expect(spread).toBeLessThan(0.8);
    const nextDay = mean(temps.slice(1).map((t, i) => t * temps[i]!)) / spread ** 2;
    expect(nextDay).toBeGreaterThan(0.7);
    expect(gaugeAt({ ...steady, seed: 5 }, 10 * DAY).tempC).not.toBeCloseTo(gaugeAt(steady, 10 * DAY).tempC, 2);
  });

  it('tells the trend by three centimetres in six hours', () => {
    const base = gaugeAt(m, Date.UTC(2026, 8, 1));
    const at = (h: number, stageM: number) => ({ ...base, at: base.at + h * HOUR, stageM });
    expect(trend([at(0, 1), at(6, 1.05)])).toBe('rising');
    expect(trend([at(0, 1), at(6, 0.95)])).toBe('falling');
    expect(trend([at(0, 1), at(6, 1.02)])).toBe('steady');
    // What rose earlier than that counts no more; a shorter list counts from its start; an empty one says nothing.
    expect(trend([at(0, 1), at(3, 1.5), at(4, 1.5), at(10, 1.5)])).toBe('steady');
    expect(trend([at(0, 1.5), at(1, 1.4), at(4, 1.45), at(7, 1.5)])).toBe('rising');
    expect(trend([at(0, 1), at(2, 1.05)])).toBe('rising');
    expect(trend([])).toBe('steady');
    expect(normalStage(m)).toBeCloseTo(0.25 * 12 ** 0.45, 9);
    const { stageM, flowM3s } = base;
    expect(stageM).toBeCloseTo(0.25 * flowM3s ** 0.45, 9);
  });

  it('refuses windows backwards or too long', () => {
    expect(() => gaugeSeries(m, 2, 1)).toThrow('to:');
    expect(() => gaugeSeries(m, 0, 500 * 24 * HOUR)).toThrow('400 days');
    expect(gaugeSeries(m, 0, 400 * 24 * HOUR, 24 * HOUR)).toHaveLength(401);
    expect(gaugeSeries(m, HOUR, HOUR)).toHaveLength(1);
  });

  it('has normal deviates of mean 0 and spread 1', () => {
    const rand = seeded(1);
    const xs = Array.from({ length: 20_000 }, () => normal(rand));
    const mean = xs.reduce((a, b) => a + b) / xs.length;
    expect(mean).toBeCloseTo(0, 1);
    expect(Math.sqrt(xs.reduce((a, b) => a + (b - mean) ** 2, 0) / xs.length)).toBeCloseTo(1, 1);
  });
});
