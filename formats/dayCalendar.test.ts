import ICAL from 'ical.js';
import type { Leg } from '@/core/plan/day';
import { dayCalendar } from './dayCalendar';

const at = (h: number) => Date.UTC(2026, 8, 10, h);
const legs: Leg[] = [
  { kind: 'drive', fromAt: at(5), toAt: at(6), name: 'Drive' },
  { kind: 'run', fromAt: at(6), toAt: at(8), name: 'Long; “Even”, upper', stop: 0 },
  { kind: 'break', fromAt: at(8), toAt: at(9), name: 'Break', stop: 1 },
];
const day = {
  id: 'w-2026-09-10',
  writtenAt: at(4),
  water: 'The brook',
  names: true,
  legs,
  cautions: ['Rising, soon.'],
  place: { latDeg: 57.1, lonDeg: -5 },
};

describe('a planned day as iCalendar', () => {
  it('is read by ical.js (RFC 5545): each leg at its time, runs with their water, place and cautions', () => {
    const calendar = new ICAL.Component(ICAL.parse(dayCalendar(day)) as string);
    const parts = calendar.getAllSubcomponents('vevent');
    const entries = parts.map((c) => new ICAL.Event(c));
    expect(entries.map((e) => [e.startDate.toJSDate().getTime(), e.endDate.toJSDate().getTime()])).toEqual(
      legs.map((l) => [l.fromAt, l.toAt]),
    );
    expect(entries.map((e) => e.summary)).toEqual(['Drive', 'Fish Long; “Even”, upper', 'Break']);
    expect(entries[1]!.location).toBe('The brook');
    expect(entries.map((e) => e.description)).toEqual([null, 'Rising, soon.', null]);
    expect(dayCalendar({ ...day, cautions: [] })).not.toContain('DESCRIPTION');
    expect(parts[1]!.getFirstPropertyValue('geo')).toEqual([57.1, -5]);
    expect(parts[0]!.getFirstPropertyValue('geo')).toBeNull();
    // The same day, exported again, takes its own place.
    expect(entries.map((e) => e.uid)).toEqual(
      new ICAL.Component(ICAL.parse(dayCalendar({ ...day, cautions: [] })) as string)
        .getAllSubcomponents('vevent')
        .map((c) => new ICAL.Event(c).uid),
    );
    expect(new Set(entries.map((e) => e.uid)).size).toBe(3);
  });

  it('tells no name where names are left out, in a caution neither', () => {
    const cautions = ['Deep at Long; “Even”, upper.', 'The brook rises.'];
    const text = dayCalendar({ ...day, cautions, names: false });
    expect(text).not.toMatch(/Even|brook/);
    expect(text).toContain('Deep at a run.');
    expect(text).toContain('the water rises.');
  });

  it('tells no place that it was not given, and refuses a day without a leg', () => {
    expect(dayCalendar({ ...day, place: null })).not.toContain('GEO');
    expect(() => dayCalendar({ ...day, legs: [] })).toThrow('add a run first');
  });
});
