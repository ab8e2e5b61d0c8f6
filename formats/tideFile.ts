import { MOST_TIDES } from '@/core/plan/tides';
import { HOUR_MS } from '@/core/units';
import { eventsIn } from './calendarIn';

/** High waters as tables name them. */
const HIGH = /\bhigh\b|\bh\.?w\.?\b/i;
/** Two that are nearer belong to one tide. */
const APART_MS = 4 * HOUR_MS;

/**
 * High waters out of a calendar of tides (iCalendar, RFC 5545): the beginning of each event whose title says “high water”, “high tide” or
 * “HW”, ms UTC, the first first. What was before `from` is left out.
 *
 * @param from ms UTC
 * @throws RangeError in words: no calendar, or no high water ahead in it
 */
export function readTides(text: string, from: number): number[] {
  const events = eventsIn(text, 'This is no calendar (iCalendar, .ics). Choose a tide table’s file.');
  const ats: number[] = [];
  for (const event of events) {
    if (event.startDate.isDate || !HIGH.test(event.summary ?? '')) continue;
    const each = event.iterator();
    for (let next = each.next(); next && ats.length < MOST_TIDES; next = each.next()) {
      const at = next.toJSDate().getTime();
      if (at >= from) ats.push(at);
      if (!event.isRecurring()) break;
    }
  }
  const sorted = ats.sort((a, b) => a - b);
  const apart = sorted.filter((at, i) => i === 0 || at - sorted[i - 1]! >= APART_MS);
  if (apart.length === 0)
    throw new RangeError('No high water ahead in this calendar: its titles say “high water”, “high tide” or “HW”.');
  return apart;
}
