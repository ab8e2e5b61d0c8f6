import type { LevelRecord } from '@/core/colour';
import type { FeedNote, GaugeDoubt, NoFeed } from '@/core/gauge/feed';
import { several } from './counting';
import { format, type UnitSystem } from './units';

const day = (at: number): string => new Date(at).toISOString().slice(0, 10);
const were = (n: number): string => (n === 1 ? 'was' : 'were');

function misdatedWords({ values, from, to, toCome }: Extract<FeedNote, { code: 'misdated' }>): string {
  const dates = day(from) === day(to) ? day(from) : `${day(from)} to ${day(to)}`;
  return `${several(values, 'value')} dated ${toCome ? 'in the future' : 'that cannot be theirs'} (${dates}) ${were(values)} left out`;
}

/** What was wrong with a gauge’s values, and what was done. */
export function feedNote(n: FeedNote): string {
  switch (n.code) {
    case 'misdated':
      return misdatedWords(n);
    case 'impossible':
      return `${several(n.values, 'value')} that no river has ${were(n.values)} left out`;
    case 'older':
      return `only the last ${n.keptDays} days are stored`;
    case 'no date':
      return `${several(n.rows, 'row')} without a valid date ${were(n.rows)} left out (the first is row ${n.firstRow})`;
  }
}

/** Why a gauge’s values are of no use. */
export function noFeedWords(why: NoFeed): string {
  switch (why.code) {
    case 'only misdated':
      return `no value is from the past: ${misdatedWords({ ...why, code: 'misdated' })}`;
    case 'no river':
      return 'no level or flow that a river can have';
    case 'no values':
      return 'no values found';
  }
}

/** What speaks against a gauge’s last days. */
export function gaugeDoubt({ code, hours }: GaugeDoubt): string {
  switch (code) {
    case 'silent':
      return `the gauge’s last value is ${hours < 48 ? `${hours} hours` : `${Math.floor(hours / 24)} days`} old`;
    case 'stuck':
      return `the level has not moved by a millimetre for ${hours} hours: the sensor may be stuck`;
    case 'gaps':
      return `${Math.round(hours)} hours of the last seven days are missing`;
  }
}

/** How forecasts of the level, or of the flow, did lately. */
export function levelRecordWords(
  { days, inside, likely }: LevelRecord,
  what: 'Level' | 'Flow',
  units: UnitSystem,
): string {
  const out =
    likely === null
      ? ''
      : ` Four of five were out by ${what === 'Level' ? format('level', Math.max(0.01, likely), units) : format('flow', likely, units)} or less.`;
  return `${what} forecast, tested without rain to come: ${inside} of the last ${several(days, 'afternoon')} lay within what the evening before called likely.${out}`;
}
