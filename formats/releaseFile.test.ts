import { holdsOn } from '@/core/plan/spans';
import { readSpans, spansText } from '@/core/plan/writtenSpans';
import { readReleases } from './releaseFile';

const FROM = new Date(2026, 5, 1).getTime();
const ics = (...events: string[]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//dam//',
    ...events.flatMap((e) => ['BEGIN:VEVENT', 'UID:1', e, 'END:VEVENT']),
    'END:VCALENDAR',
  ].join('\r\n');
const event = (day: string, from: string, to: string, rule = '') =>
  [`DTSTART:${day}T${from}00`, `DTEND:${day}T${to}00`, ...(rule ? [`RRULE:${rule}`] : [])].join('\r\n');

describe('releases out of a calendar (RFC 5545)', () => {
  it('single ones hold on their date, and no year later', () => {
    const [one] = readReleases(ics(event('20260611', '0700', '1000')), FROM);
    expect(one).toEqual({ fromMin: 420, toMin: 600, dates: { from: '2026-06-11', to: '2026-06-11' } });
    expect(
      [
        [2026, 11],
        [2026, 12],
        [2027, 11],
      ].map(([y, d]) => holdsOn(one!, new Date(y!, 5, d).getTime())),
    ).toEqual([true, false, false]);
    expect(readSpans(spansText([one!]))).toEqual([one]); // as one may write it
  });

  it('what comes again each week holds on its days; over midnight it ends the next day', () => {
    const weekly = readReleases(ics(event('20260601', '1700', '2100', 'FREQ=WEEKLY;BYDAY=FR,MO')), FROM);
    expect(weekly).toEqual([{ fromMin: 1020, toMin: 1260, days: [1, 5] }]);
    expect(readReleases(ics(event('20260601', '0700', '1000', 'FREQ=DAILY')), FROM)).toEqual([
      { fromMin: 420, toMin: 600 },
    ]);
    expect(readReleases(ics(event('20260603', '0700', '1000', 'FREQ=WEEKLY')), FROM)).toEqual([
      { fromMin: 420, toMin: 600, days: [3] },
    ]);
    const night = ics('DTSTART:20260611T220000\r\nDTEND:20260612T020000');
    expect(readReleases(night, FROM)).toMatchObject([{ fromMin: 1320, toMin: 120 }]);
  });

  it('what comes again until a day is told date by date; what is over is left out', () => {
    const some = readReleases(ics(event('20260530', '0700', '1000', 'FREQ=DAILY;COUNT=4')), FROM);
    expect(some.map((s) => s.dates!.from)).toEqual(['2026-06-01', '2026-06-02']);
  });

  it('what is no calendar, or holds no release ahead, is refused with what to do', () => {
    expect(() => readReleases('date;hours', FROM)).toThrow(/no calendar .* Choose the file/);
    expect(() => readReleases('', FROM)).toThrow(RangeError);
    const none = [
      ics(),
      ics('DTSTART;VALUE=DATE:20260611\r\nDTEND;VALUE=DATE:20260612'),
      ics(event('20250611', '0700', '1000')),
    ];
    for (const text of none) expect(() => readReleases(text, FROM)).toThrow(/No release ahead .* beginning and an end/);
  });

  it('takes no more than the store holds', () => {
    const days = Array.from({ length: 500 }, (_, i) => {
      const day = new Date(2026, 6, 1 + i);
      const text = `${day.getFullYear()}${String(day.getMonth() + 1).padStart(2, '0')}${String(day.getDate()).padStart(2, '0')}`;
      return event(text, '0700', '1000');
    });
    expect(readReleases(ics(...days), FROM)).toHaveLength(400);
  });
});
