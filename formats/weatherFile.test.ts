import { weatherOfDay } from '@/core/gauge/weather';
import { readWeather } from './weatherFile';

const HEAD = 'time,air_c,rain_mm,cloud_pct,wind_mps,wind_from_deg';
const AT = Date.UTC(2026, 10, 30, 9);

describe('a forecast out of a file', () => {
  it('is read from a table, columns in any order, in the units that their headings name', () => {
    expect(readWeather(`${HEAD}\n2026-11-30T09:00Z,4,0.2,80,5,230\n2026-11-30T10:00Z,5,0,20,6,240`).hours).toEqual([
      { at: AT, airTempC: 4, rainMm: 0.2, cloud: 0.8, windMps: 5, windFromDeg: 230 },
      { at: AT + 3_600_000, airTempC: 5, rainMm: 0, cloud: 0.2, windMps: 6, windFromDeg: 240 },
    ]);
    const [hour] = readWeather(
      'wind dir;wind speed (km/h);temperature °F;precipitation in;cloud cover %;Time\n90;36;50;0,1;100;2026-11-30T09:00Z',
    ).hours;
    expect(hour).toMatchObject({ at: AT, windFromDeg: 90, cloud: 1 });
    expect(hour!.windMps).toBeCloseTo(10, 9);
    expect(hour!.airTempC).toBeCloseTo(10, 9);
    expect(hour!.rainMm).toBeCloseTo(2.54, 9);
  });

  it('is read from JSON, by the names of this program or such headings', () => {
    const hours = [{ at: AT, rainMm: 0, airTempC: 3, cloud: 0.4, windMps: 2, windFromDeg: 10 }];
    expect(readWeather(JSON.stringify({ hours })).hours).toEqual(hours);
    expect(readWeather(JSON.stringify(hours)).hours).toEqual(hours);
  });

  it('leaves out and tells of lines that cannot be, orders the rest, and takes each hour once', () => {
    const { hours, said } = readWeather(
      `${HEAD}\n2026-11-30T10:00Z,5,0,20,6,240\n2026-11-30T09:00Z,4,0.2,80,5,230\n2026-11-30T09:00Z,4.5,0.2,80,5,230\nsoon,4,0,80,5,230\n2026-11-30T11:00Z,900,0,80,5,230`,
    );
    expect(hours.map((h) => h.airTempC)).toEqual([4.5, 5]);
    expect(said).toEqual(['2 lines left out: a time or a value there cannot be read']);
  });

  it.each([
    [
      'a table without wind',
      'time,air_c,rain_mm,cloud_pct\n2026-11-30T09:00Z,4,0,50',
      /no column for wind_from_deg, wind_mps\. A forecast needs time/,
    ],
    ['JSON that breaks off', '{"hours":[{"at":1', /JSON is cut off or damaged: from line 1/],
    ['JSON without hours', '{"a":1}', /no list of hours/],
    ['nothing that can be read', `${HEAD}\nx,y,z,1,2,3`, /None of the file’s lines/],
  ])('%s is refused in words', (_, text, says) => {
    expect(() => readWeather(text)).toThrow(says);
  });
});

it('weather entered for a day holds for its hours, its rain spread over them', () => {
  const day = weatherOfDay(AT, { rainMm: 12, airTempC: 6, cloud: 0.5, windMps: 4, windFromDeg: 90 });
  expect(day).toHaveLength(24);
  expect(day.reduce((sum, h) => sum + h.rainMm, 0)).toBeCloseTo(12, 9);
  expect(day[3]).toMatchObject({ at: AT + 3 * 3_600_000, airTempC: 6 });
});
