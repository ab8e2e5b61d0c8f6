import { MoonPhase } from 'astronomy-engine';
import { DAY_MS } from '../units';
import { moonOf, MOONS } from './moon';

describe('the moon', () => {
  it('is in the same quarter as by an independent ephemeris, all the year', () => {
    const off = Array.from({ length: 365 }, (_, i) => Date.UTC(2026, 0, 1, 12) + i * DAY_MS).filter((at) => {
      const quarter = MOONS[Math.floor(MoonPhase(new Date(at)) / 90 + 0.5) % 4];
      return moonOf(at) !== quarter;
    });
    // Suncalc is good to about a degree: a day at the edge of a quarter may fall to the next.
    expect(off.length).toBeLessThan(8);
  });

  it('is full in the night of 3 January 2026 and new on 18 January (almanac, from memory)', () => {
    expect(moonOf(Date.UTC(2026, 0, 3, 10))).toBe('full');
    expect(moonOf(Date.UTC(2026, 0, 18, 20))).toBe('new');
  });
});
