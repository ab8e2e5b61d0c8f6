import type { Goodness } from '@/core/plan/goodness';
import type { Barred, HoursBecause, LeftOut } from '@/core/plan/hours';
import type { HoursRecord } from '@/core/plan/hoursRecord';
import { clockText, minuteOfDay } from '@/core/plan/spans';
import type { TemperatureRecord } from '@/core/plan/temperature';
import { several } from './counting';
import { hoursText } from './rules';
import { format, type UnitSystem } from './units';

/** How far to trust the water temperatures of a coming day. */
export function temperatureWords(held: TemperatureRecord | null, byAir: boolean, units: UnitSystem): string {
  const from = `Water temperatures follow the last days at the gauge${byAir ? ' and the forecast air' : ''}`;
  if (!held) return `${from}, and may be a degree or two off.`;
  const out =
    held.likelyC === null ? '' : ` Likely out by no more than ${format('warmer', Math.max(0.1, held.likelyC), units)}.`;
  return `${from}. Forecast the evening before, ${held.within} of the last ${several(held.days, 'afternoon')} came within ${format('warmer', 1, units)}.${out}`;
}

/** Why nobody fishes at an hour. */
export function barredWords(b: Barred, units: UnitSystem): string {
  switch (b.code) {
    case 'dam release':
      return 'dam release: out of the water';
    case 'closed':
      return `closed: fish from ${hoursText(b.hours)}`;
    case 'too warm':
      return `too warm to play fish: ${format('temperature', b.tempC, units)}`;
  }
}

const LESS: Readonly<Record<NonNullable<Goodness['less']>, string>> = {
  bright: 'the light is too bright',
  dim: 'the light is dim',
  cold: 'the water is cold',
  warm: 'the water is warm',
  cooling: 'the water cools',
  warming: 'the water warms',
  wind: 'it blows',
  dirty: 'the water is dirty by the forecast',
  high: 'the water is high by the forecast',
  low: 'the water is low',
  rising: 'the water comes up by the forecast',
  tide: 'high water is long past or far off',
};
/** From so much on an hour is good, and fair. */
const [GOOD, FAIR] = [0.75, 0.45];
/** How good an hour is. @example goodWords({ share: 0.6, less: 'cold' }) // 'A fair hour: the water is cold.' */
export function goodWords({ share, less }: Goodness): string {
  if (share === 0) return '';
  const hour = share >= GOOD ? 'A good hour' : share >= FAIR ? 'A fair hour' : 'A poor hour';
  return less ? `${hour}: ${LESS[less]}.` : `${hour}.`;
}

/** What of a school's hours is none of the best. @example leftOutWords({ fromAt, toAt, less: 'dirty' }) // 'Not 07:10 to 08:30: the water is dirty by the forecast.' */
export function leftOutWords({ fromAt, toAt, less }: LeftOut<Goodness['less']>): string {
  const clock = (at: number) => clockText(minuteOfDay(at));
  return `Not ${clock(fromAt)} to ${clock(toAt)}${less ? `: ${LESS[less]}` : ''}.`;
}

/** What a log says of the best hours. @example hoursRecordWords({ inside: { takes: 21, hours: 18 }, outside: { takes: 13, hours: 30 } }) // 'Your log here: 21 takes in 18 hours within such hours, 13 takes in 30 hours outside them. The sky of those days is not known.' */
export function hoursRecordWords({ inside, outside }: HoursRecord): string {
  const of = ({ takes, hours }: HoursRecord['inside']) =>
    `${several(takes, 'take')} in ${several(Math.round(hours), 'hour')}`;
  return `Your log here: ${of(inside)} within such hours, ${of(outside)} outside them. The sky of those days is not known.`;
}

/** High waters of a day, ms UTC. @example tideWords([at]) // 'High water 07:15: new fish come in with it, and pass the lower runs in the hours after.' */
export const tideWords = (ats: readonly number[]): string =>
  `High water ${ats.map((at) => clockText(minuteOfDay(at))).join(' and ')}: new fish come in with it, and pass the lower runs in the hours after.`;

/** Why a school of hours is at work. */
export function hoursBecause(b: HoursBecause, units: UnitSystem): string {
  switch (b.code) {
    case 'chosen':
      return 'as you chose under Schools';
    case 'cold water':
      return `cold water, ${format('temperature', b.warmestC, units)} at most`;
    case 'cooling':
      return `cold water that cools through the day, from ${format('temperature', b.fromC, units)} to ${format('temperature', b.toC, units)}`;
    case 'under cloud':
      return 'the light stays soft under cloud';
    case 'low sun all day':
      return 'the sun stays low, and the light soft, as under cloud';
    case 'bright sky':
      return 'bright sky';
    case 'sky not said':
      return 'for a bright sky; under cloud you would fish all day';
    case 'no place':
      return 'the place of the water is not entered';
  }
}
