import Joi from 'joi';
import {
  type ColourForecast,
  type ColourReading,
  type HydroPoint,
  LONGEST_H,
  type Rain,
  type River,
  RIVER_KINDS,
} from '@/core/colour';
import { moment, readCase } from './caseText';
import { HOUR_MS } from '@/core/units';
import { colourBecause } from '@/words/colour';

const num = (min: number, max: number) => Joi.number().min(min).max(max);
const time = Joi.string().isoDate();
const schema = Joi.object({
  river: Joi.object({
    kind: Joi.string()
      .valid(...RIVER_KINDS)
      .required(),
    peaty: Joi.boolean().required(),
  }).required(),
  series: Joi.array()
    .items(
      Joi.object({
        at: time.required(),
        stageM: num(-50, 100).allow(null),
        flowM3s: num(0, 1e6).allow(null),
        tempC: num(-5, 45).allow(null),
        rainMm: num(0, 1000).allow(null),
      }),
    )
    .min(1)
    .max(200_000)
    .required(),
  readings: Joi.array()
    .items(
      Joi.object({
        at: time.required(),
        visibilityM: num(0.01, 30).required(),
        atLeast: Joi.boolean().default(false),
      }),
    )
    .max(10_000)
    .required(),
  rainAhead: Joi.array()
    .items(Joi.object({ at: time.required(), rainMm: num(0, 1000).required() }))
    .max(1000)
    .default([]),
  ask: Joi.array().items(time.required()).min(1).max(1000).required(),
}).required();

/** A question about a river's colour. */
interface ColourCase {
  readonly river: River;
  readonly series: readonly HydroPoint[];
  readonly readings: readonly ColourReading[];
  /** Rain that is foretold, oldest first. */
  readonly rainAhead: readonly Rain[];
  /** ms UTC */
  readonly ask: readonly number[];
}

/**
 * A case as text (JSON, docs/formats.md).
 *
 * @throws RangeError that names the field and what is wrong with it
 */
export function readColourCase(text: string): ColourCase {
  const value = readCase(text, schema);
  const series = value.series.map(
    (p: { at: string; stageM?: number; flowM3s?: number; rainMm?: number | null }, i: number): HydroPoint => {
      const rain = p.rainMm === undefined || p.rainMm === null ? null : { rainMm: p.rainMm };
      const point = {
        at: moment(p.at, `series[${i}].at`),
        stageM: p.stageM ?? null,
        flowM3s: p.flowM3s || null,
        ...rain,
      };
      if (point.stageM === null && point.flowM3s === null)
        throw new RangeError(`series[${i}]: needs stageM or a flowM3s above 0`);
      return point;
    },
  );
  const last = series.reduce((most: number, p: HydroPoint) => Math.max(most, p.at), -Infinity);
  const ask = value.ask.map((at: string, i: number) => moment(at, `ask[${i}]`));
  const late = ask.findIndex((at: number) => at > last + LONGEST_H * HOUR_MS);
  if (late >= 0) throw new RangeError(`ask[${late}]: more than ${LONGEST_H} h past the last value of the series`);
  const readings = value.readings.map((r: { at: string; visibilityM: number; atLeast: boolean }) => ({
    ...r,
    at: moment(r.at, 'readings.at'),
  }));
  const rainAhead = value.rainAhead
    .map((r: { at: string; rainMm: number }): Rain => ({ at: moment(r.at, 'rainAhead.at'), rainMm: r.rainMm }))
    .sort((a: Rain, b: Rain) => a.at - b.at);
  return { river: value.river, series, readings, rainAhead, ask };
}

/** Visibilities whose chance is told, m: mud, dirty, fair, clear. */
const TOLD_M = [0.3, 0.6, 0.9, 1.8] as const;
const round = (v: number) => Math.round(1000 * v) / 1000;

/** Forecasts in the names of docs/formats.md. */
export const colourJson = (forecasts: readonly ColourForecast[]): object => ({
  forecasts: forecasts.map((f) => ({
    at: new Date(f.at).toISOString(),
    medianM: round(f.medianM),
    low80M: round(f.low80M),
    high80M: round(f.high80M),
    chanceAtLeast: Object.fromEntries(TOLD_M.map((m) => [String(m), round(f.chanceAtLeast(m))])),
    because: colourBecause(f.because),
  })),
});
