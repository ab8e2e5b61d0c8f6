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

  it('tells the trend by three centimetres in six hours', () => {
    const base = gaugeAt(m, Date.UTC(2026, 8, 1));
    const at = (h: number, stageM: number) => ({ ...base, at: base.at + h * HOUR, stageM });
    expect(trend([at(0, 1), at(6, 1.05)])).toBe('rising');
    expect(trend([at(0, 1), at(6, 0.95)])).toBe('falling');
    expect(trend([at(0, 1), at(6, 1.02)])).toBe('steady');
    expect(normalStage(m)).toBeCloseTo(0.25 * 12 ** 0.45, 9);
  });

  it('refuses windows backwards or too long', () => {
    expect(() => gaugeSeries(m, 2, 1)).toThrow('to:');
    expect(() => gaugeSeries(m, 0, 500 * 24 * HOUR)).toThrow('400 days');
  });

  it('has normal deviates of mean 0 and spread 1', () => {
    const rand = seeded(1);
    const xs = Array.from({ length: 20_000 }, () => normal(rand));
    const mean = xs.reduce((a, b) => a + b) / xs.length;
    expect(mean).toBeCloseTo(0, 1);
    expect(Math.sqrt(xs.reduce((a, b) => a + (b - mean) ** 2, 0) / xs.length)).toBeCloseTo(1, 1);
  });
});
