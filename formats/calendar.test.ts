import fc from 'fast-check';
import ICAL from 'ical.js';
import { calendarOf, type Entry } from './calendar';

const entry: Entry = { uid: 'a@wanderung.invalid', fromAt: 0, toAt: 3_600_000, title: 'Fish' };
const WRITTEN = Date.UTC(2026, 8, 10, 12);
const read = (calendar: string) =>
  new ICAL.Component(ICAL.parse(calendar) as string).getAllSubcomponents('vevent').map((c) => new ICAL.Event(c));

describe('a calendar (RFC 5545, read by ical.js)', () => {
  it('gives back whatever text it is given, but for control characters', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 200 }), (title) => {
        const kept = title.replace(/\r\n?/g, '\n').replace(/[\u0000-\u0008\u000b-\u001f\u007f]/g, '');
        expect(read(calendarOf([{ ...entry, title }], WRITTEN))[0]!.summary ?? '').toBe(kept);
      }),
    );
  });

  it('has lines of 75 octets at the most, none with half a character', () => {
    const text = calendarOf(
      [{ ...entry, title: 'Über die Brücke — '.repeat(20), description: '🎣'.repeat(60) }],
      WRITTEN,
    );
    const lines = text.split('\r\n');
    expect(Math.max(...lines.map((l) => Buffer.byteLength(l)))).toBe(75);
    expect(lines.length).toBeGreaterThan(10);
    expect(Buffer.from(text).toString()).toBe(text);
    expect(read(text)[0]!.description).toBe('🎣'.repeat(60));
  });

  it('tells times in UTC, when it was written, and a place as latitude and longitude', () => {
    const at = Date.UTC(2026, 8, 10, 5, 30, 7);
    const [only] = read(calendarOf([{ ...entry, fromAt: at, place: { latDeg: -12.5, lonDeg: 3 } }], WRITTEN));
    expect(only!.startDate.toJSDate().getTime()).toBe(at);
    expect((only!.component.getFirstPropertyValue('dtstamp') as ICAL.Time).toJSDate().getTime()).toBe(WRITTEN);
    expect(only!.component.getFirstPropertyValue('geo')).toEqual([-12.5, 3]);
    expect(() => calendarOf([{ ...entry, toAt: NaN }], WRITTEN)).toThrow(RangeError);
  });
});
