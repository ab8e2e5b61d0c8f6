import Joi from 'joi';
import { weatherHour } from './schemas';
import { time } from './shape';
import type { WeatherReport } from './gauge';

const schema = Joi.object({
  issuedAt: time,
  hours: Joi.array()
    .items(weatherHour.options({ stripUnknown: true }))
    .min(1)
    .max(400)
    .required(),
}).options({ stripUnknown: true });

/** Weather as a service sends it. @throws RangeError that names what is wrong */
export function checkWeather(value: unknown): Pick<WeatherReport, 'issuedAt' | 'hours'> {
  const { value: read, error } = schema.validate(value, { convert: false });
  if (error) throw new RangeError(`the weather service sent what cannot be read (${error.message})`);
  return read as Pick<WeatherReport, 'issuedAt' | 'hours'>;
}
