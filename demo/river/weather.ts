import { normal, seeded } from '@/core/maths';
import type { WeatherHour } from '@/core/gauge/weather';
import { DAY_MS, HOUR_MS } from '@/core/units';

/** What the sky of a place does over the years. */
export interface Climate {
  readonly seed: number;
  /** Air: mean of the year, half of its swing over the year and over a clear day, °C. */
  readonly meanC: number;
  readonly yearC: number;
  readonly dayC: number;
  /** Fronts a day on average and their median rain, mm. */
  readonly frontsPerDay: number;
  readonly frontMm: number;
  readonly windMps: number;
}

const YEAR_D = 365.25;

/** Day of the year, 0 at its start, of a time. */
export const yearDay = (at: number): number => (((at / DAY_MS) % YEAR_D) + YEAR_D) % YEAR_D;
/** A wave over the year: 1 on its day, −1 half a year later. */
export const yearWave = (at: number, topDay: number): number =>
  Math.cos((2 * Math.PI * (yearDay(at) - topDay)) / YEAR_D);
/** Hour of the day by the sun, 0 to 24. */
export const sunHour = (at: number, lonDeg: number): number => (((at / HOUR_MS + lonDeg / 15) % 24) + 24) % 24;

/** Smooth chance of mean 0 and spread about 0.7 that wanders with a period: the same for the same time, always. */
export function wander(seed: number, periodH: number): (at: number) => number {
  let [k, from, to] = [NaN, 0, 0];
  const value = (i: number) => normal(seeded(seed * 104_729 + i));
  return (at) => {
    const t = at / (periodH * HOUR_MS);
    const i = Math.floor(t);
    if (i !== k) [k, from, to] = [i, i === k + 1 ? to : value(i), value(i + 1)];
    const s = t - i;
    return from + (to - from) * s * s * (3 - 2 * s);
  };
}

interface Front {
  readonly startAt: number;
  readonly hours: number;
  readonly rainMm: number;
  readonly windMps: number;
}
/** The longest front, h. */
const LONGEST_H = 26;

function frontOf(c: Climate, day: number): Front | null {
  const rand = seeded(c.seed * 7919 + day);
  const season = 1 + 0.4 * yearWave(day * DAY_MS, 330);
  if (rand() > c.frontsPerDay * season) return null;
  return {
    startAt: day * DAY_MS + rand() * DAY_MS,
    hours: 6 + (LONGEST_H - 6) * rand() ** 1.5,
    rainMm: c.frontMm * Math.exp(0.75 * normal(rand)),
    windMps: 4 + 7 * rand(),
  };
}

/** The fronts that bear on a day. */
const frontsAbout = (c: Climate, day: number): Front[] =>
  [day - 2, day - 1, day, day + 1].flatMap((d) => frontOf(c, d) ?? []);

/** The weather of a place as a function of time. @example weatherOf(climate)(Date.UTC(2026, 3, 1), -5).rainMm */
export function weatherOf(c: Climate): (at: number, lonDeg: number) => WeatherHour {
  const cloudy = wander(c.seed + 1, 31);
  const warm = wander(c.seed + 2, 60);
  const windy = wander(c.seed + 3, 20);
  const veers = wander(c.seed + 4, 40);
  let [day, fronts] = [NaN, [] as Front[]];
  return (at, lonDeg) => {
    const today = Math.floor(at / DAY_MS);
    if (today !== day) [day, fronts] = [today, frontsAbout(c, today)];
    let [rainMm, cover, gale, veer] = [0, 0, 0, 0];
    for (const f of fronts) {
      const x = (at - f.startAt) / (f.hours * HOUR_MS);
      if (x > 0 && x < 1) rainMm += ((Math.PI / 2) * Math.sin(Math.PI * x) * f.rainMm) / f.hours;
      const near = Math.exp(-(((x - 0.5) / 0.9) ** 2));
      cover = Math.max(cover, near);
      gale = Math.max(gale, near * f.windMps);
      veer += near * Math.tanh(2 * (x - 0.5));
    }
    const cloud = Math.min(1, Math.max(0, 0.4 + 0.45 * cloudy(at) + 0.8 * cover));
    const hour = sunHour(at, lonDeg);
    const airTempC =
      c.meanC +
      c.yearC * yearWave(at, 205) +
      c.dayC * (1 - 0.75 * cloud) * Math.cos((2 * Math.PI * (hour - 15)) / 24) +
      2.2 * warm(at) -
      1.5 * cover;
    const breeze = 0.4 * Math.cos((2 * Math.PI * (hour - 15)) / 24);
    return {
      at,
      rainMm,
      airTempC,
      cloud,
      windMps: Math.max(0.2, c.windMps * (1 + breeze + 0.4 * windy(at)) + gale),
      // Ahead of a front from the south, behind it from the north-west.
      windFromDeg: (((245 + 60 * veer + 55 * veers(at)) % 360) + 360) % 360,
    };
  };
}

/**
 * What a weather service says ahead: the weather that comes, at the wrong hour and by the wrong amount, the more so the further off.
 *
 * @param issuedAt ms UTC, the hour it was made
 * @returns so many hours from then on
 */
export function foretold(c: Climate, lonDeg: number, issuedAt: number, hours: number): WeatherHour[] {
  const weather = weatherOf(c);
  const rand = seeded(c.seed * 31 + Math.floor(issuedAt / HOUR_MS));
  const [shift, amount, warmth, wind, turn] = [0, 1, 2, 3, 4].map(() => normal(rand)) as [
    number,
    number,
    number,
    number,
    number,
  ];
  return Array.from({ length: hours + 1 }, (_, lead) => {
    const at = issuedAt + lead * HOUR_MS;
    const off = Math.sqrt(lead / 24);
    const true_ = weather(at + shift * 0.09 * lead * HOUR_MS, lonDeg);
    return {
      at,
      rainMm: true_.rainMm * Math.exp(0.3 * off * amount),
      airTempC: true_.airTempC + 0.9 * off * warmth,
      cloud: true_.cloud,
      windMps: true_.windMps * Math.exp(0.15 * off * wind),
      windFromDeg: (true_.windFromDeg + 14 * off * turn + 360) % 360,
    };
  });
}
