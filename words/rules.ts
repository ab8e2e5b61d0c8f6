import type { Bar, Breach, WaterRules } from '@/core/rules';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A day of the year. @example monthDayText('04-01') // '1 Apr' */
export const monthDayText = (md: string): string =>
  `${Number(md.slice(3))} ${MONTHS[Number(md.slice(0, 2)) - 1] ?? '?'}`;

const off = (min: number, side: string, of: string): string => (min === 0 ? of : `${min} min ${side} ${of}`);
/** Hours of fishing. @example hoursText({ beforeSunriseMin: 60, afterSunsetMin: 0 }) // '60 min before sunrise to sunset' */
export const hoursText = (h: NonNullable<WaterRules['hours']>): string =>
  `${off(h.beforeSunriseMin, 'before', 'sunrise')} to ${off(h.afterSunsetMin, 'after', 'sunset')}`;

const MOST_FLIES = { 1: 'one fly is', 2: 'two flies are', 3: 'three flies are' } as const;

/** A rule of the water that is broken. */
export function breachWords(b: Breach): string {
  switch (b.rule) {
    case 'season':
      return `Closed: the season runs from ${monthDayText(b.from)} to ${monthDayText(b.to)}.`;
    case 'hours':
      return `Closed at this hour: fish from ${hoursText(b.hours)}.`;
    case 'closedRuns':
      return 'This reach is closed.';
    case 'maxFlies':
      return `Only ${MOST_FLIES[b.most]} allowed here.`;
    case 'barbless':
      return 'Hooks must be barbless here.';
    case 'noAddedWeight':
      return b.on === 'fly' ? 'Weighted flies are not allowed here.' : 'Shot on the leader is not allowed here.';
    case 'noScent':
      return 'Scented flies are not allowed here.';
  }
}

/** The same where there may be none. */
export const breachOf = (b: Breach | null | undefined): string | null => (b ? breachWords(b) : null);

/** What of a thing the rules do not allow, beside it. @example barWords('barbed') // 'not allowed here: barbed' */
export const barWords = (bar: Bar | null): string | null => bar && `not allowed here: ${bar}`;
