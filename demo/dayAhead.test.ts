import { DAY_LENGTHS } from '@/core/plan/dayLength';
import { DAY_MS, HOUR_MS } from '@/core/units';
import { faultsOf, tomorrowOn, warmestBySun } from './dayAhead.testing';
import { WATERS } from './waters';

/** Days of a year on the coast, each planned the evening before (npm run bench -- year: all of them). */
const DAYS = Array.from({ length: 41 }, (_, i) => Date.UTC(2025, 11, 1) + 9 * i * DAY_MS);

describe('a year of days as they are planned', () => {
  it.each(DAY_LENGTHS)(
    '%s: none into the dark, a dam release or a closed hour; more road than water is said',
    (length) => {
      for (const water of WATERS)
        for (const day of DAYS) {
          const ahead = tomorrowOn(water, day, length);
          expect([water.name, new Date(day).toISOString().slice(0, 10), ...faultsOf(ahead, water)]).toHaveLength(2);
        }
    },
  );

  it('cold water is fished in the afternoon on nine days of ten (common practice, no source)', () => {
    const bySun = WATERS.flatMap((w) => DAYS.map((day) => warmestBySun(tomorrowOn(w, day, 'whole day')))).filter(
      (h): h is number => h !== null,
    );
    expect(bySun.length).toBeGreaterThan(20);
    expect(bySun.filter((h) => h >= 13 && h <= 18).length).toBeGreaterThanOrEqual(0.9 * bySun.length);
  });

  it('a whole day is fished for longer than half of one, and water forecast within a degree on four hours of five', () => {
    let [near, of, wholeMs, halfMs] = [0, 0, 0, 0];
    for (const water of WATERS)
      for (const day of DAYS) {
        const whole = tomorrowOn(water, day, 'whole day');
        const fished = (p: typeof whole) =>
          p.plan.legs.filter((l) => l.kind === 'run').reduce((sum, l) => sum + l.toAt - l.fromAt, 0);
        wholeMs += fished(whole);
        halfMs += fished(tomorrowOn(water, day, 'half day'));
        for (let h = 8; whole.tempAt && h <= 17; h += 3) {
          of++;
          if (Math.abs(whole.tempAt(day + h * HOUR_MS) - whole.river(day + h * HOUR_MS).tempC) <= 1) near++;
        }
      }
    expect(wholeMs).toBeGreaterThan(1.05 * halfMs);
    expect(near / of).toBeGreaterThan(0.8);
  });
});
