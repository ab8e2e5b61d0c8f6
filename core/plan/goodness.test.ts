import { goodnessOf } from './goodness';
import { type HourOfDay, type Light, lightAt } from './hours';
import { levelCourse } from './levels';
import { HOUR_MS } from '../units';

/** Half hours of a day under a sun of so many degrees, the water of so many. */
const day = (sunDeg: number, tempAt: (h: number) => number | null): HourOfDay[] =>
  Array.from({ length: 48 }, (_, i) => ({
    ...{ at: (i * HOUR_MS) / 2, sunDeg, azimuthDeg: 180, light: lightAt(sunDeg), tempC: tempAt(i / 2), barred: null },
  }));
const at = (
  hours: HourOfDay[],
  school: Parameters<typeof goodnessOf>[1],
  weather: Parameters<typeof goodnessOf>[2] = [],
) => goodnessOf(hours, school, weather)[24]!;
const SUN: Readonly<Record<Light, number>> = { dark: -20, twilight: -3, 'low sun': 5, sun: 20, 'high sun': 50 };

describe('how good an hour is (directions of the trade; common practice, no source)', () => {
  it('by light, as the school at work has it', () => {
    const share = (light: Light, school: Parameters<typeof goodnessOf>[1]) =>
      at(
        day(SUN[light], () => 12),
        school,
      ).share;
    const ends = (Object.keys(SUN) as Light[]).map((l) => share(l, 'ends of the day'));
    expect(ends[0]).toBe(0);
    expect(ends[2]).toBe(1);
    expect(ends[4]).toBeLessThan(ends[3]!);
    expect(ends[3]).toBeLessThan(ends[1]!);
    expect(share('high sun', 'all day under cloud')).toBe(1);
    expect(share('sun', 'warmest hours')).toBeGreaterThan(share('low sun', 'warmest hours'));
    expect(
      at(
        day(50, () => 12),
        'ends of the day',
      ),
    ).toMatchObject({ less: 'bright' });
    // A closed sky softens the sun.
    const cloud = [{ at: 12 * HOUR_MS, cloud: 0.9, windMps: 1 }];
    expect(
      at(
        day(50, () => 12),
        'ends of the day',
        cloud,
      ),
    ).toEqual({ share: 0.9, less: null });
  });

  it('by the water’s temperature: trout feed most between about 11 and 15 °C (after Elliott 1976, from memory)', () => {
    const share = (tempC: number | null) =>
      at(
        day(5, () => tempC),
        'ends of the day',
      );
    const shares = [2, 5, 8, 11, 15, 18, 20].map((t) => share(t).share);
    expect(Math.max(...shares)).toBe(shares[3]);
    expect(shares.slice(0, 4)).toEqual([...shares.slice(0, 4)].sort((a, b) => a - b));
    expect(shares.slice(4)).toEqual([...shares.slice(4)].sort((a, b) => b - a));
    expect([share(3).less, share(19).less, share(12).less, share(null)]).toEqual([
      'cold',
      'warm',
      null,
      { share: 1, less: null },
    ]);
  });

  it('cold water had better warm, warm water cool; wind takes from all', () => {
    const share = (from: number, perH: number) =>
      at(
        day(5, (h) => from + perH * (h - 12)),
        'ends of the day',
      ).share;
    expect(share(6, -0.5)).toBeCloseTo(0.85 * share(6, 0), 9);
    expect(share(6, 0.5)).toBe(share(6, 0));
    expect(share(16, 0.5)).toBeCloseTo(0.85 * share(16, 0), 9);
    expect(share(10, 0.5)).toBe(share(10, -0.5));
    const wind = (windMps: number) =>
      at(
        day(5, () => 12),
        'ends of the day',
        [{ at: 12 * HOUR_MS, cloud: 0, windMps }],
      );
    expect([2, 7, 12].map((w) => wind(w).share)).toEqual([1, 0.85, 0.6]);
    expect(wind(12).less).toBe('wind');
  });

  it('dirty water takes from the hours that it is forecast for, not from those by when it has cleared', () => {
    const hours = day(5, () => 12);
    const seen = (h: number, medianM: number) => ({ at: h * HOUR_MS, medianM });
    const good = goodnessOf(hours, 'ends of the day', [], [seen(8, 0.2), seen(12, 0.45), seen(16, 1.2)]);
    const [morning, noon, afternoon, unknown] = [16, 24, 32, 44].map((half) => good[half]!);
    expect([morning!.less, afternoon!.less, unknown!.less]).toEqual(['dirty', null, null]);
    expect(morning!.share).toBeLessThan(0.5 * noon!.share);
    expect(noon!.share).toBeLessThan(0.7 * afternoon!.share);
    expect(afternoon!.share).toBe(unknown!.share);
  });

  it('flood and bare stones take from the hours, and so does water that comes up; what it does is told', () => {
    const hours = day(5, () => 12);
    const level = (of: (h: number) => number) =>
      Array.from({ length: 25 }, (_, h) => ({ at: h * HOUR_MS, levelM: of(h) }));
    const good = (of: (h: number) => number) =>
      goodnessOf(hours, 'ends of the day', [], [], levelCourse(level(of)))[24]!;
    expect([0, 0.15].map((m) => good(() => m))).toEqual([0, 0.15].map(() => ({ share: 1, less: null })));
    expect([good(() => 0.7).less, good(() => -0.35).less]).toEqual(['high', 'low']);
    expect(good(() => 0.7).share).toBeLessThan(good(() => 0.4).share);
    expect(good((h) => 0.04 * (h - 12))).toEqual({ share: 0.7, less: 'rising' });
    expect(good((h) => -0.04 * (h - 12)).share).toBe(1);
    // Of hours that no level is known of nothing is said.
    const short = goodnessOf(hours, 'ends of the day', [], [], levelCourse(level(() => 0.7).slice(0, 6)));
    expect([short[10]!.less, short[24]!.less]).toEqual(['high', null]);
  });

  it('hours away from high water, where fish come in with it', () => {
    const hours = day(5, () => 12);
    const good = goodnessOf(hours, 'ends of the day', [], [], undefined, [12 * HOUR_MS]);
    expect([14, 24, 30, 36].map((half) => good[half]!.less)).toEqual(['tide', null, null, 'tide']);
    expect(good[36]!.share).toBe(0.85);
  });

  it('none where nobody may fish', () => {
    const barred = day(5, () => 12).map((h) => ({ ...h, barred: { code: 'dam release' as const } }));
    expect(goodnessOf(barred, 'ends of the day', []).every((g) => g.share === 0)).toBe(true);
  });
});
