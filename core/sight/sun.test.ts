import { Body, Observer, SearchAltitude, SearchRiseSet } from 'astronomy-engine';
import { sunAt, sunDay } from './sun';

describe('the sun', () => {
  it('rises and sets at 46.5 N 8 E on 2025-06-21 as computed independently (03:35:07, 19:24:35 UTC)', () => {
    const d = sunDay(Date.UTC(2025, 5, 21), 46.5, 8);
    expect(Math.abs(d.sunrise! - Date.UTC(2025, 5, 21, 3, 35, 7))).toBeLessThan(60_000);
    expect(Math.abs(d.sunset! - Date.UTC(2025, 5, 21, 19, 24, 35))).toBeLessThan(60_000);
    const p = sunAt(Date.UTC(2025, 5, 21, 12), 46.5, 8);
    expect(p.altitudeDeg).toBeCloseTo(66.152, 1);
    expect(p.azimuthDeg).toBeCloseTo(197.314, 1);
    // Noon lies half way between rise and set, near enough, and is the highest.
    expect(Math.abs(d.noon - (d.sunrise! + d.sunset!) / 2)).toBeLessThan(120_000);
    expect(d.highestDeg).toBeCloseTo(90 - 46.5 + 23.44, 1);
    expect(d.altitude).toHaveLength(97);
    expect(d.altitude[48]!.at).toBe(Date.UTC(2025, 5, 21, 12));
    expect(d.altitude[48]!.deg).toBeCloseTo(p.altitudeDeg, 9);
    expect(d.altitude.map((a) => a.deg > 0).indexOf(true)).toBe(Math.ceil((3 * 60 + 35) / 15));
  });

  it.each([
    [57.2, -4.1, Date.UTC(2026, 8, 20)],
    [44.9, -123.4, Date.UTC(2026, 1, 3)],
    [-41.3, 172.6, Date.UTC(2026, 11, 1)],
  ])('agrees with a second library within a minute at %f, %f', (lat, lon, utcDay) => {
    const start = utcDay - (lon / 15) * 3_600_000; // local solar midnight, near enough
    const d = sunDay(start, lat, lon);
    const here = new Observer(lat, lon, 0);
    const from = new Date(start);
    const rise = SearchRiseSet(Body.Sun, here, +1, from, 1)!.date.getTime();
    const set = SearchRiseSet(Body.Sun, here, -1, from, 1)!.date.getTime();
    const dawn = SearchAltitude(Body.Sun, here, +1, from, 1, -6)!.date.getTime();
    expect(Math.abs(d.sunrise! - rise)).toBeLessThan(60_000);
    expect(Math.abs(d.sunset! - set)).toBeLessThan(60_000);
    expect(Math.abs(d.firstLight! - dawn)).toBeLessThan(60_000);
    const dusk = SearchAltitude(Body.Sun, here, -1, from, 1, -6)!.date.getTime();
    expect(Math.abs(d.lastLight! - dusk)).toBeLessThan(60_000);
  });

  it('says so where the sun does not set, and refuses places off the globe', () => {
    const d = sunDay(Date.UTC(2026, 5, 21), 75, 20);
    expect(d.allDay).toBe('light');
    expect(d.sunrise).toBeNull();
    expect(sunDay(Date.UTC(2025, 11, 21), 75, 20)).toMatchObject({ allDay: 'dark', sunset: null, lastLight: null });
    expect(() => sunDay(0, 91, 0)).toThrow('latDeg');
    expect(() => sunDay(0, 0, -181)).toThrow('lonDeg');
    expect(sunDay(0, 90, 180).noon).toBeGreaterThan(0);
  });
});
