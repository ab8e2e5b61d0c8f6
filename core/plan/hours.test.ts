import { sunDay } from '../sight';
import type { DayLength } from './dayLength';
import { bestOf, dayHours, hoursFor, type HoursAsk, leftOut, lightAt, LIGHTS } from './hours';
import { temperatureCourse } from './temperature';
import { HOUR_MS } from '../units';

const LAT = 57;
const ask = (month: number, o: Partial<HoursAsk> = {}): HoursAsk => {
  const dayStart = Date.UTC(2026, month - 1, 15);
  return {
    ...{ dayStart, at: { sun: sunDay(dayStart, LAT, 0), latDeg: LAT, lonDeg: 0 }, tempAt: () => 12, sky: 'bright' },
    ...{ rules: { closesAtC: null } },
    ...o,
  };
};
const at = (a: HoursAsk, h: number) => a.dayStart + h * HOUR_MS;
const hoursOf = (a: HoursAsk) =>
  dayHours(a).windows.map((w) => [(w.fromAt - a.dayStart) / HOUR_MS, (w.toAt - a.dayStart) / HOUR_MS]);

describe('the best hours', () => {
  const [fromAt, toAt] = [6 * HOUR_MS, 12 * HOUR_MS];
  const good = (share: (h: number) => number) =>
    Array.from({ length: 48 }, (_, i) => ({ at: (i * HOUR_MS) / 2, share: share(i / 2) }));
  const best = (share: (h: number) => number) =>
    bestOf([{ fromAt, toAt }], good(share)).map((w) => [w.fromAt / HOUR_MS, w.toAt / HOUR_MS]);

  it('are those of the school, less what is poor at their ends; what is poor between good hours stays', () => {
    expect(best(() => 0.3)).toEqual([[6, 12]]);
    expect(best((h) => (h < 8 ? 0.2 : 0.9))).toEqual([[8, 12]]);
    expect(best((h) => (h >= 10.5 ? 0.2 : 0.9))).toEqual([[6, 10.5]]);
    expect(best((h) => (h === 9 ? 0.1 : 0.9))).toEqual([[6, 12]]);
    expect(best((h) => (h === 9 ? 0.9 : 0.1))).toEqual([[6, 12]]); // half an hour is no window
  });

  it('what was cut off says what it lacks most', () => {
    const at = (h: number) => h * HOUR_MS;
    const why = (h: number) => (h < 7 ? 'wind' : h < 9 ? 'dirty' : null);
    const said = good(() => 1).map((g) => ({ at: g.at, less: why(g.at / HOUR_MS) }));
    const cut = (from: number, to: number) =>
      leftOut([{ fromAt, toAt }], [{ fromAt: at(from), toAt: at(to) }], said).map((c) => [
        ...[c.fromAt / HOUR_MS, c.toAt / HOUR_MS, c.less],
      ]);
    expect(cut(6, 12)).toEqual([]);
    expect(cut(9, 12)).toEqual([[6, 9, 'dirty']]);
    expect(cut(7, 11.5)).toEqual([
      [6, 7, 'wind'],
      [11.5, 12, null],
    ]);
  });
});

describe('the schools of hours (handbook of the trade; common practice, no source)', () => {
  it('warm or bright: the ends of the day, from first light and to last light', () => {
    const a = ask(7);
    const { school, because, windows } = dayHours(a);
    expect([school, because]).toEqual(['ends of the day', { code: 'bright sky' }]);
    expect(windows).toHaveLength(2);
    expect(Math.abs(windows[0]!.fromAt - a.at!.sun.firstLight!)).toBeLessThan(HOUR_MS);
    expect(windows[0]!.toAt).toBe(a.at!.sun.sunrise! + 2.5 * HOUR_MS);
    expect(windows[1]!.fromAt).toBe(a.at!.sun.sunset! - 2.5 * HOUR_MS);
  });

  it('cold: the warmest hours, about the warmest of all', () => {
    const warmestAt = ask(2).dayStart + 15 * HOUR_MS;
    const a = ask(2, { tempAt: (t) => 5 - Math.abs(t - warmestAt) / (10 * HOUR_MS) });
    expect(dayHours(a)).toMatchObject({ school: 'warmest hours', because: { code: 'cold water', warmestC: 5 } });
    expect(hoursOf(a)).toEqual([[13, 17]]);
  });

  it('cold and warmest at dusk, as a large river is: the afternoon’s hours all the same', () => {
    const a = ask(2, { tempAt: (t) => 5 + (t - ask(2).dayStart) / (100 * HOUR_MS) });
    const [[from, to]] = hoursOf(a) as [[number, number]];
    expect(from).toBeGreaterThan(12.9);
    expect(to).toBeLessThan(17.7);
    expect(to - from).toBeGreaterThan(3.4);
  });

  it('in December one is home before dark: the warmest hours end half an hour before', () => {
    const warmestAt = ask(12).dayStart + 15 * HOUR_MS;
    const a = ask(12, { tempAt: (t) => 5 - Math.abs(t - warmestAt) / (10 * HOUR_MS) });
    const [w] = dayHours(a).windows;
    expect(w!.toAt).toBe(a.at!.sun.lastLight! - HOUR_MS / 2);
    expect(w!.toAt - w!.fromAt).toBe(4 * HOUR_MS);
  });

  it('cooling from a mild night on: the morning’s hours, the first of light, not the night', () => {
    const a = ask(2, { tempAt: (t) => 6 - (t - ask(2).dayStart) / (12 * HOUR_MS) });
    const { windows, because } = dayHours(a);
    expect(windows).toEqual([{ fromAt: a.at!.sun.firstLight, toAt: a.at!.sun.firstLight! + 4 * HOUR_MS }]);
    expect(because).toEqual({ code: 'cooling', fromC: expect.closeTo(5.4, 1), toC: expect.closeTo(4.9, 0) });
  });

  it('cooling by less than fish or forecast notice: the afternoon all the same', () => {
    const a = ask(2, { tempAt: (t) => 6 - (t - ask(2).dayStart) / (24 * HOUR_MS) });
    const { windows, because } = dayHours(a);
    const middle = (windows[0]!.fromAt + windows[0]!.toAt) / 2;
    expect((middle - a.at!.sun.noon) / HOUR_MS).toBeCloseTo(1, 0);
    expect(because.code).toBe('cold water');
  });

  it('a whole day begins before the warmest hours and lasts until sunset; half a day holds the best', () => {
    const warmestAt = ask(2).dayStart + 14 * HOUR_MS;
    const a = ask(2, { tempAt: (t) => 5 - Math.abs(t - warmestAt) / (10 * HOUR_MS) });
    const day = dayHours(a);
    const span = (length: DayLength) =>
      hoursFor(day, length).map((w) => [(w.fromAt - a.dayStart) / HOUR_MS, (w.toAt - a.dayStart) / HOUR_MS]);
    expect(span('best hours')).toEqual([[12, 16]]);
    expect(span('whole day')).toEqual([[10, (a.at!.sun.sunset! - a.dayStart) / HOUR_MS]]);
    const [[from, to]] = span('half day') as [[number, number]];
    expect(to - from).toBe(5);
    expect(from).toBeLessThan(12.1);
    expect(to).toBeGreaterThanOrEqual(16);
    // Ends of the day: the evening of two ends that lie far apart.
    const july = dayHours(ask(7));
    const spans = (of: typeof july.windows) => of.map((w) => (w.toAt - w.fromAt) / HOUR_MS);
    expect(spans(hoursFor(july, 'whole day'))).toEqual(spans(july.windows).map((h) => h + 2)); // two hours more at each
    const [evening, ...rest] = hoursFor(july, 'half day');
    expect(rest).toEqual([]);
    expect(evening!.toAt).toBe(july.windows[1]!.toAt);
    expect(hoursFor({ windows: [], long: [] }, 'half day')).toEqual([]);
    // Where each half hour is told: the five hours that hold most of it.
    const good = day.hours.map((h) => ({ at: h.at, share: h.at >= a.dayStart + 10 * HOUR_MS ? 0.2 : 0 }));
    const early = good.map((g) => (g.at < a.dayStart + 12 * HOUR_MS ? { ...g, share: 5 * g.share } : g));
    expect(hoursFor(day, 'half day', early)[0]!.fromAt).toBe(a.dayStart + 10 * HOUR_MS);
    expect(hoursFor(day, 'half day', good)[0]!.toAt).toBe(day.long[0]!.toAt);
    // An evening: the last four hours of those that one would be out.
    const last = hoursFor(july, 'evening');
    expect(last).toHaveLength(1);
    expect(last[0]!.toAt).toBe(july.long.at(-1)!.toAt);
    expect(last[0]!.toAt - last[0]!.fromAt).toBeLessThanOrEqual(4 * HOUR_MS);
  });

  it('under cloud: all day from sunrise to sunset; where the sky is not said, that is said', () => {
    const a = ask(5, { sky: 'cloud' });
    expect(dayHours(a).school).toBe('all day under cloud');
    expect(dayHours(a).windows).toEqual([{ fromAt: a.at!.sun.sunrise, toAt: a.at!.sun.sunset }]);
    expect(dayHours(ask(5, { sky: null })).because.code).toBe('sky not said');
  });

  it('a sun that stays low leaves the light soft all day, unless the water is warm', () => {
    const winter = ask(11, { tempAt: () => 9 });
    expect(winter.at!.sun.highestDeg).toBeLessThan(25);
    expect(dayHours(winter)).toMatchObject({ school: 'all day under cloud' });
    expect(dayHours(winter).because.code).toBe('low sun all day');
    expect(dayHours(ask(11, { tempAt: () => 16 })).school).toBe('ends of the day');
    expect(dayHours(ask(5, { tempAt: () => 9 })).school).toBe('ends of the day');
  });

  it('water of which no warmth is known is taken for neither cold nor warm', () => {
    expect(dayHours(ask(7, { tempAt: null })).school).toBe('ends of the day');
    expect(dayHours(ask(7, { tempAt: null })).hours.every((h) => h.tempC === null && h.barred === null)).toBe(true);
    expect(dayHours(ask(11, { tempAt: null })).because.code).toBe('low sun all day');
  });

  it('what the angler chose comes before what is usual', () => {
    const a = ask(2, { tempAt: () => 4, chosen: 'all day under cloud' });
    expect(dayHours(a)).toMatchObject({ school: 'all day under cloud', because: { code: 'chosen' } });
  });

  it('a short day in winter is one', () => {
    const short = { tempAt: null, chosen: 'ends of the day' } as const;
    expect(hoursOf(ask(12, short)).length).toBe(2);
    const north = { latDeg: 65, lonDeg: 0, sun: sunDay(Date.UTC(2026, 11, 15), 65, 0) };
    const far = { ...ask(12, short), at: north };
    expect(dayHours(far).windows).toHaveLength(1);
  });
});

describe('hours that are barred', () => {
  it('are those of a dam release and the hour after', () => {
    const a = ask(11, { sky: 'cloud' });
    const outOfWater = [{ fromAt: at(a, 10), toAt: at(a, 13) }];
    for (const w of dayHours({ ...a, outOfWater }).windows)
      expect(w.toAt <= outOfWater[0]!.fromAt || w.fromAt >= outOfWater[0]!.toAt).toBe(true);
    expect(dayHours(a).windows.some((w) => w.fromAt < at(a, 11) && w.toAt > at(a, 12))).toBe(true);
    const barred = dayHours({ ...a, outOfWater }).hours.filter((h) => h.barred?.code === 'dam release');
    expect(barred.map((h) => (h.at - a.dayStart) / HOUR_MS)).toEqual([10, 10.5, 11, 11.5, 12, 12.5]);
  });

  it('by the water’s own hours', () => {
    const a = ask(7, { rules: { closesAtC: null, hours: { beforeSunriseMin: 0, afterSunsetMin: 0 } } });
    const { windows, hours } = dayHours(a);
    expect(windows[0]!.fromAt).toBeGreaterThanOrEqual(a.at!.sun.sunrise!);
    expect(windows.at(-1)!.toAt).toBeLessThanOrEqual(a.at!.sun.sunset! + HOUR_MS / 2);
    expect(hours.find((h) => h.at === at(a, 2))!.barred).toMatchObject({ code: 'closed' });
  });

  it('where the water is too warm: 20 °C, or less by its rule', () => {
    const warm = (t: number, a: HoursAsk) => (t >= at(a, 11) && t < at(a, 20.5) ? 20.5 : 17);
    const base = ask(7, { sky: 'cloud' });
    const a = { ...base, tempAt: (t: number) => warm(t, base) };
    const { windows, hours } = dayHours(a);
    expect(windows).toHaveLength(1);
    expect(windows[0]!.toAt).toBe(at(a, 11));
    expect(hours.find((h) => h.at === at(a, 12))!.barred).toEqual({ code: 'too warm', tempC: 20.5 });
    expect(dayHours({ ...a, rules: { closesAtC: 16 } }).windows).toEqual([]);
  });
});

describe('light by the sun', () => {
  it.each([
    [-10, 'dark'],
    [-3, 'twilight'],
    [5, 'low sun'],
    [20, 'sun'],
    [50, 'high sun'],
  ] as const)('%s° is %s', (deg, light) => {
    expect(lightAt(deg)).toBe(light);
  });

  it('follows the day, at all hours', () => {
    const lights = dayHours(ask(6)).hours.map((h) => LIGHTS.indexOf(h.light));
    expect(lights).toHaveLength(48);
    expect(LIGHTS[lights[24]!]).toBe('high sun');
    const ascending = [...lights.slice(0, 25)].sort((a, b) => a - b);
    expect(lights.slice(0, 25)).toEqual(ascending);
    expect(lights.slice(25)).toEqual([...lights.slice(25)].sort((a, b) => b - a));
    expect(new Set(lights).size).toBeGreaterThanOrEqual(4);
  });
});

describe('water temperature through a day', () => {
  const points = (days: number, of: (h: number) => number) =>
    Array.from({ length: days * 24 }, (_, i) => ({ at: i * HOUR_MS, stageM: 1, flowM3s: 1, tempC: of(i) }));
  const daily = (h: number) => 10 + 2 * Math.sin((2 * Math.PI * (h - 11)) / 24);

  it('goes on as it went on the last days, from the last value', () => {
    const course = temperatureCourse(points(5, daily))!;
    for (const h of [130, 137, 141.5]) expect(course(h * HOUR_MS)).toBeCloseTo(daily(h), 1);
    const warmed = temperatureCourse(points(5, (h) => daily(h) + (h === 119 ? 3 : 0)))!;
    expect(warmed(130 * HOUR_MS) - course(130 * HOUR_MS)).toBeCloseTo(2.5, 1);
  });

  it('tells what was measured until now, and goes on from there without a step, cooling from day to day or not', () => {
    const cooling = (h: number) => daily(h) - h / 24;
    for (const now of [100, 106, 112, 119]) {
      const course = temperatureCourse(points(5, cooling).slice(0, now + 1))!;
      expect(course((now - 9.5) * HOUR_MS)).toBeCloseTo((cooling(now - 9) + cooling(now - 10)) / 2, 9);
      for (const h of [1, 6, 12])
        expect(course((now + h) * HOUR_MS) - cooling(now)).toBeCloseTo(daily(now + h) - daily(now), 1);
    }
  });

  it('follows half of what the air that is foretold changes from day to day, and nothing on the first', () => {
    const now = Date.UTC(2026, 3, 10);
    const points = Array.from({ length: 72 }, (_, i) => ({
      at: now - (71 - i) * HOUR_MS,
      stageM: 1,
      flowM3s: 5,
      tempC: 8,
    }));
    const air = (by: number) =>
      Array.from({ length: 72 }, (_, h) => ({ at: now + h * HOUR_MS, airTempC: 10 + (h > 24 ? by : 0) }));
    const course = (by: number) => temperatureCourse(points, air(by))!;
    expect(course(6)(now + 12 * HOUR_MS)).toBeCloseTo(8, 9);
    expect(course(6)(now + 50 * HOUR_MS)).toBeCloseTo(11, 9);
    expect(course(-6)(now + 50 * HOUR_MS)).toBeCloseTo(5, 9);
    // Half way through the change, half of it.
    expect(course(6)(now + 36 * HOUR_MS)).toBeCloseTo(9.6, 0);
    // Past the forecast it stays, and water does not freeze.
    expect(course(6)(now + 90 * HOUR_MS)).toBeCloseTo(11, 9);
    expect(course(-40)(now + 50 * HOUR_MS)).toBe(0);
    expect(temperatureCourse(points)!(now + 50 * HOUR_MS)).toBeCloseTo(8, 9);
    // Weather that is told from days ago on: what it has changed by now is in the water already.
    const mild = air(6).map((h) => ({ ...h, at: h.at - 48 * HOUR_MS }));
    expect(temperatureCourse(points, mild)!(now + 2 * HOUR_MS)).toBeCloseTo(8, 0);
  });

  it('says nothing where the gauge tells no temperature', () => {
    expect(temperatureCourse([])).toBeNull();
    expect(temperatureCourse(points(2, () => NaN))).toBeNull();
  });
});
