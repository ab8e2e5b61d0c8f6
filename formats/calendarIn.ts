import ICAL from 'ical.js';

/** The events of a calendar (iCalendar, RFC 5545, read by ical.js). @throws RangeError saying `otherwise` where it is none */
export function eventsIn(text: string, otherwise: string): ICAL.Event[] {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
    return calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  } catch {
    throw new RangeError(otherwise);
  }
}
