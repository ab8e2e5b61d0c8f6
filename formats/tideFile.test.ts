import { calendarOf } from './calendar';
import { readTides } from './tideFile';

const FROM = Date.UTC(2026, 5, 1);
const at = (day: number, h: number, min = 0) => Date.UTC(2026, 5, day, h, min);
const ics = (...events: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//tides//', ...events, 'END:VCALENDAR'].join('\r\n');
const event = (start: string, title: string, rule = '') =>
  [
    'BEGIN:VEVENT',
    'UID:1',
    `DTSTART:${start}`,
    `SUMMARY:${title}`,
    ...(rule ? [`RRULE:${rule}`] : []),
    'END:VEVENT',
  ].join('\r\n');

describe('high waters out of a calendar of tides (RFC 5545)', () => {
  it('are those that are called so, the first first; low waters and past ones are none', () => {
    const text = ics(
      event('20260602T194400Z', 'High water 2.1 m'),
      event('20260602T071500Z', 'HW 1.9 m'),
      event('20260602T132000Z', 'Low water 0.4 m'),
      event('20260530T060000Z', 'High tide'),
      event('20260603T080200Z', 'high tide'),
    );
    expect(readTides(text, FROM)).toEqual([at(2, 7, 15), at(2, 19, 44), at(3, 8, 2)]);
  });

  it('the same tide told twice is one; what comes again is told each time', () => {
    const twice = ics(event('20260602T071500Z', 'HW spring'), event('20260602T080000Z', 'High water, the quay'));
    expect(readTides(twice, FROM)).toEqual([at(2, 7, 15)]);
    const daily = ics(event('20260602T071500Z', 'High tide', 'FREQ=DAILY;COUNT=3'));
    expect(readTides(daily, FROM)).toEqual([2, 3, 4].map((d) => at(d, 7, 15)));
    expect(readTides(ics(event('20260602T071500Z', 'HW', 'FREQ=DAILY')), FROM)).toHaveLength(1500);
  });

  it('reads what our own calendar writes', () => {
    const entry = { uid: 'a', fromAt: at(4, 9), toAt: at(4, 9, 30), title: 'High water' };
    expect(readTides(calendarOf([entry], FROM), FROM)).toEqual([at(4, 9)]);
  });

  it('what is no calendar, or tells no high water ahead, is refused with what to do', () => {
    expect(() => readTides('date;height', FROM)).toThrow(/no calendar .* Choose a tide table’s file/);
    for (const none of [ics(), ics(event('20260602T071500Z', 'Low water')), ics(event('20250602T071500Z', 'HW'))])
      expect(() => readTides(none, FROM)).toThrow(/No high water ahead .* “HW”/);
    expect(() => readTides(ics(event('20260602T071500Z', 'Show at the mill')), FROM)).toThrow(RangeError);
  });
});
