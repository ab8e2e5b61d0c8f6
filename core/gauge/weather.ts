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
