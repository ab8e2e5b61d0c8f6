import { ENOUGH_FISH, OWN, type Rested, type Season, type SeasonMonth } from '@/core/plan/season';
import { several } from './counting';

export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
const monthName = (month: number): string => MONTHS[((month % 12) + 12) % 12]!;

/** The season in its first line. @example seasonAnswer(season) // 'Sep to Nov' */
export function seasonAnswer({ best, fish }: Season): string {
  if (best)
    return best.months === 1
      ? monthName(best.from)
      : `${monthName(best.from)} to ${monthName(best.from + best.months - 1)}`;
  return fish === 0 ? 'No fish of yours yet' : fish < ENOUGH_FISH ? 'Too few fish to tell' : 'All through the year';
}

/** What the season rests on. */
export function seasonWords({ best, fish, months }: Season): string {
  const days = months.reduce((sum, m) => sum + m.days, 0);
  const from = `${several(days, 'day')} out and ${fish} fish landed here, all years together`;
  if (!best) return `${from}.`;
  return `${best.fish} of your ${fish} fish came then, in ${several(days, 'day')} out over the years. Months you were not out tell nothing.`;
}

const OPEN: Readonly<Record<NonNullable<SeasonMonth['open']>, string>> = {
  all: '',
  part: 'open for part of it',
  none: 'closed',
};

/** A month of all years. @example monthLine(m) // '5 days, 41 takes; 4 sea trout, 2 brown trout' */
export function monthLine({ days, takes, fish, open }: SeasonMonth): string {
  const landed = fish.map(({ species, n }) => `${n} ${species}`).join(', ');
  const own =
    days === 0 ? 'not out' : `${several(days, 'day')}, ${several(takes, 'take')}${landed ? `; ${landed}` : ''}`;
  const closed = open ? OPEN[open] : '';
  return [...(closed ? [closed] : []), ...(days === 0 && open === 'none' ? [] : [own])].join(', ');
}

/** Whether a water was rested, in a line. */
export function restedAnswer({ fished }: Rested): string {
  return fished.length === 0 ? 'Not fished, as far as you know' : `Fished on ${several(fished.length, 'day')}`;
}

/** Since when that is asked. */
export const restedSince = ({ freshetDays }: Rested): string =>
  freshetDays === null
    ? 'In the last two weeks: no freshet is known.'
    : freshetDays === 0
      ? 'Since the freshet of today.'
      : `Since the last freshet, ${several(freshetDays, 'day')} ago.`;

/** Who fished on a day. @example whoFished('Mon 30 Nov', ['you', 'the warden']) // 'Mon 30 Nov: you; the warden, by word of mouth' */
export const whoFished = (day: string, who: readonly string[]): string =>
  `${day}: ${who.map((w) => (w === OWN ? w : `${w}, by word of mouth`)).join('; ')}`;
