import type ICAL from 'ical.js';
import { isoDate, minuteOfDay, type Span } from '@/core/plan/spans';
import { DAY_MS } from '@/core/units';
import { eventsIn } from './calendarIn';

/** Days of the week as a calendar names them, Sunday first (RFC 5545, 3.3.10). */
const DAYS = ['SU', 'MO', 'TU', 'WE', 'TH', 'FR', 'SA'];
/** So many are taken of one file: half a year of two a day. */
const MOST = 400;

/** Hours that come again each day or each week, without an end: as such; null for others. */
function everyWeek(event: ICAL.Event): Pick<Span, 'days'> | null {
  const rule = event.component.getFirstPropertyValue('rrule') as ICAL.Recur | null;
  if (!rule || rule.until || rule.count || (rule.interval ?? 1) > 1) return null;
  if (rule.freq === 'DAILY') return {};
  const days = rule.freq === 'WEEKLY' ? (rule.getComponent('BYDAY') as string[]).map((d) => DAYS.indexOf(d)) : [];
  const on = days.length > 0 ? days : [event.startDate.toJSDate().getDay()];
  if (rule.freq !== 'WEEKLY' || on.includes(-1)) return null;
  return on.length < 7 ? { days: on.sort((a, b) => a - b) } : {};
}

/**
 * Dam releases out of a calendar (iCalendar, RFC 5545, read by ical.js): each event with a beginning and an end of its own, by the clock of
 * this device; what comes again each week as hours of its days, others by their dates. What lasts a whole day or longer, and what was
 * over before `from`, is left out.
 *
 * @param from ms UTC
 * @throws RangeError in words: no calendar, or nothing in it that could be a release
 */
export function readReleases(text: string, from: number): Span[] {
  const events = eventsIn(
    text,
    'This is no calendar (iCalendar, .ics). Choose the file that the dam’s operator gives out.',
  );
  const spans: Span[] = [];
  for (const event of events) {
    if (event.startDate.isDate || !event.endDate) continue;
    const lastsMs = event.endDate.toJSDate().getTime() - event.startDate.toJSDate().getTime();
    if (lastsMs <= 0 || lastsMs >= DAY_MS) continue;
    const hoursOf = (start: Date): Span => ({
      fromMin: Math.round(minuteOfDay(start.getTime())),
      toMin: Math.round(minuteOfDay(start.getTime() + lastsMs)),
    });
    const weekly = everyWeek(event);
    if (weekly) {
      spans.push({ ...hoursOf(event.startDate.toJSDate()), ...weekly });
      continue;
    }
    const each = event.iterator();
    for (let next = each.next(); next && spans.length < MOST; next = each.next()) {
      const start = next.toJSDate();
      if (start.getTime() + lastsMs < from) continue;
      const date = isoDate(start);
      spans.push({ ...hoursOf(start), dates: { from: date, to: date } });
      if (!event.isRecurring()) break;
    }
  }
  if (spans.length === 0)
    throw new RangeError('No release ahead in this calendar: each needs a beginning and an end on its day.');
  return spans.slice(0, MOST);
}
