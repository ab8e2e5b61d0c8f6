import { type ColourForecast, type ColourReading, forecastColour, type HydroPoint, type River } from '@/core/colour';
import { normal, seeded } from '@/core/maths';
import { stationNamed } from '../stations';
import { sent } from './gauge';
import { DAY_MS, HOUR_MS } from '@/core/units';
import { foretold } from './weather';

const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;

/** Asked on some days of two years what comes a day and two later, with a dozen readings and a year of the gauge. */
function asked(id: string, kind: River['kind'], withRain: boolean, days: readonly number[]) {
  const { gauge, river, station } = stationNamed(id)!;
  return days.flatMap((day) => {
    const now = Date.UTC(2025, 9, 1, 6) + day * DAY_MS;
    const from = now - 300 * DAY_MS;
    const series = sent(gauge, from, now, 6 * HOUR_MS)
      .filter((p) => Number.isFinite(p.stageM))
      .map(({ at, stageM, flowM3s, rainMm }): HydroPoint => ({ at, stageM, flowM3s, rainMm }));
    const rand = seeded(day);
    const readings: ColourReading[] = Array.from({ length: 12 }, (_, i) => {
      const at = now - (3 + i * 22) * DAY_MS - Math.floor(8 * rand()) * HOUR_MS;
      return { at, visibilityM: river(at).visibilityM * Math.exp(0.12 * normal(rand)), atLeast: false };
    });
    const rain = withRain ? foretold(station.climate, station.lonDeg, now, 48).slice(1) : [];
    const ask = [now + 24 * HOUR_MS, now + 48 * HOUR_MS];
    return forecastColour({ kind, peaty: false }, series, readings, ask, rain).map((f) => ({
      f,
      truthM: river(f.at).visibilityM,
      comesMm: rain.reduce((sum, r) => sum + r.rainMm, 0),
    }));
  });
}
type Asked = ReturnType<typeof asked>;
const error = (list: Asked) => Math.sqrt(mean(list.map(({ f, truthM }) => Math.log(f.medianM / truthM) ** 2)));
const width = (f: ColourForecast) => Math.log(f.high80M / f.low80M);
const inside = (list: Asked) => mean(list.map(({ f, truthM }) => (f.low80M <= truthM && truthM <= f.high80M ? 1 : 0)));

describe('colour that is foretold, against the hidden truth of the simulated rivers', () => {
  const days = Array.from({ length: 30 }, (_, i) => i * 12);
  const plain = asked('sorrelvane-ford', 'spate', false, days);
  const rainy = asked('sorrelvane-ford', 'spate', true, days);

  it('is nearer to it where rain is foretold than where it is not looked at', () => {
    expect(error(rainy)).toBeLessThan(0.8 * error(plain));
  });

  it('holds the truth in about four of five, with the rain and without', () => {
    for (const list of [plain, rainy]) {
      expect(inside(list)).toBeGreaterThan(0.68);
      expect(inside(list)).toBeLessThan(0.95);
    }
  });

  it('goes down when much rain is foretold, and is surer when none is', () => {
    const [wet, dry] = [(mm: number) => mm > 12, (mm: number) => mm < 1];
    const ratio = (of: (mm: number) => boolean) =>
      mean(rainy.flatMap((r, i) => (of(r.comesMm) ? [Math.log(r.f.medianM / plain[i]!.f.medianM)] : [])));
    expect(ratio(wet)).toBeLessThan(-0.1);
    expect(ratio(dry)).toBeGreaterThan(0);
    const narrower = mean(rainy.flatMap((r, i) => (dry(r.comesMm) ? [width(r.f) / width(plain[i]!.f)] : [])));
    expect(narrower).toBeLessThan(1);
    expect(rainy.some((r) => (r.f.because.rainMm ?? 0) > 0)).toBe(true);
  });

  it('leaves a river below a dam alone: rain there says little', () => {
    const some = days.slice(0, 20);
    const [without, withRain] = [false, true].map((rain) => asked('ondrelle-dam', 'below a dam', rain, some));
    expect(error(withRain!)).toBeLessThan(1.15 * error(without!));
    expect(inside(withRain!)).toBeGreaterThan(0.68);
  });
});
