import Joi from 'joi';
import type { WeatherHour } from '@/core/gauge';
import { shape, time, within } from './shape';
import type { WeatherReport } from './gauge';

const schema = Joi.object({
  issuedAt: time,
  hours: Joi.array()
    .items(
      shape<WeatherHour>({
        at: time,
        rainMm: within(0, 300),
        airTempC: within(-60, 60),
        cloud: within(0, 1),
        windMps: within(0, 90),
        windFromDeg: within(0, 360),
      }).options({ stripUnknown: true }),
    )
    .min(1)
    .max(400)
    .required(),
}).options({ stripUnknown: true });

/** Weather as a service sends it. @throws RangeError that names what is wrong */
export function checkWeather(value: unknown): Omit<WeatherReport, 'stale'> {
  const { value: read, error } = schema.validate(value, { convert: false });
  if (error) throw new RangeError(`the weather service sent what cannot be read (${error.message})`);
  return read as Omit<WeatherReport, 'stale'>;
}
