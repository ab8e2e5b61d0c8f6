import { HOUR_MS } from '../units';
/** An hour of weather at a place, measured or foretold. */
export interface WeatherHour {
  /** ms UTC */
  readonly at: number;
  readonly rainMm: number;
  readonly airTempC: number;
  /** Share of the sky under cloud, 0 to 1. */
  readonly cloud: number;
  readonly windMps: number;
  /** Where it comes from, degrees from north by east. */
  readonly windFromDeg: number;
}

/** Skies as one says them, as a share under cloud (assumed). */
export const CLOUD_OF = { bright: 0.1, broken: 0.5, overcast: 0.95 } as const;
/** Winds as one says them, m/s (middles of Beaufort 0, 3, 5 and 7). */
export const WIND_OF = { calm: 0, light: 4, fresh: 9, strong: 15 } as const;

/** Weather that is entered for a whole day, as hours. @param dayStart first moment of the local day, ms UTC */
export const weatherOfDay = (dayStart: number, of: Omit<WeatherHour, 'at'>): WeatherHour[] =>
  Array.from({ length: 24 }, (_, h) => ({ at: dayStart + h * HOUR_MS, ...of, rainMm: of.rainMm / 24 }));

/** The hour of weather that a moment belongs to: no further off than half an hour; undefined where none is told. */
export const weatherAt = <W extends Pick<WeatherHour, 'at'>>(hours: readonly W[], at: number): W | undefined =>
  hours.find((h) => Math.abs(h.at - at) <= HOUR_MS / 2);
