/** An entry of a calendar; times in milliseconds since 1970. */
export interface Entry {
  /** What tells it from all others, the same whenever it is written again. */
  readonly uid: string;
  readonly fromAt: number;
  readonly toAt: number;
  readonly title: string;
  readonly description?: string;
  readonly location?: string;
  readonly place?: { readonly latDeg: number; readonly lonDeg: number };
}

const utf8 = new TextEncoder();
const LINE_OCTETS = 75;

/** A line as RFC 5545 folds it (3.1): no more than 75 octets, what goes on begins with a space; no character is cut. */
function folded(line: string): string {
  let out = '';
  let octets = 0;
  for (const character of line) {
    const more = utf8.encode(character).length;
    if (octets + more > LINE_OCTETS) {
      out += '\r\n ';
      octets = 1;
    }
    out += character;
    octets += more;
  }
  return out;
}

// A line break stays one; other control characters have no place in a text (RFC 5545, 3.1).
const CONTROL = /[\u0000-\u0008\u000b-\u001f\u007f]/g;

/** A text value (RFC 5545, 3.3.11). */
const text = (value: string): string =>
  value
    .replace(/\r\n?/g, '\n')
    .replace(CONTROL, '')
    .replace(/[\\;,]/g, '\\$&')
    .replace(/\n/g, '\\n');

/** A moment in UTC, to the second (RFC 5545, 3.3.5). */
const moment = (at: number): string => new Date(at).toISOString().replace(/[-:]|\.\d+/g, '');

/** Entries as iCalendar (RFC 5545). @param writtenAt when, ms @throws RangeError for a time that is none */
export function calendarOf(entries: readonly Entry[], writtenAt: number): string {
  const lines = entries.flatMap((e) => [
    'BEGIN:VEVENT',
    `UID:${text(e.uid)}`,
    `DTSTAMP:${moment(writtenAt)}`,
    `DTSTART:${moment(e.fromAt)}`,
    `DTEND:${moment(e.toAt)}`,
    `SUMMARY:${text(e.title)}`,
    ...(e.description ? [`DESCRIPTION:${text(e.description)}`] : []),
    ...(e.location ? [`LOCATION:${text(e.location)}`] : []),
    ...(e.place ? [`GEO:${e.place.latDeg};${e.place.lonDeg}`] : []),
    'END:VEVENT',
  ]);
  const whole = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Wanderung//EN', 'CALSCALE:GREGORIAN', ...lines];
  return [...whole, 'END:VCALENDAR', ''].map(folded).join('\r\n');
}
