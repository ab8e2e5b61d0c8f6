import fc from 'fast-check';
import { inHundred, inTen, ofTen } from './counting';
import { CUBIC_FOOT_M3, GRAIN_KG } from '@/core/units';
import { format, formatLevel, fromShown, type Quantity, toShown, type UnitSystem } from './units';

describe('units', () => {
  it('uses the international definitions', () => {
    expect(CUBIC_FOOT_M3).toBeCloseTo(0.028316846592, 12); // derived from the foot of 1959
    expect(7000 * GRAIN_KG).toBeCloseTo(0.45359237, 12); // 7000 grains are a pound
    expect(toShown('temperature', 20, 'imperial')).toBe(68); // the usual stop-fishing mark, both scales
    expect(toShown('sinkRate', 0.1778, 'imperial')).toBeCloseTo(7, 9);
  });

  it('goes there and back for every quantity', () => {
    const quantities: Quantity[] = [
      'length',
      'line',
      'depth',
      'small',
      'speed',
      'temperature',
      'flow',
      'sinkRate',
      'level',
    ];
    const systems: UnitSystem[] = ['metric', 'imperial'];
    fc.assert(
      fc.property(
        fc.constantFrom(...quantities),
        fc.constantFrom(...systems),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (q, s, x) => {
          expect(fromShown(q, toShown(q, x, s), s)).toBeCloseTo(x, 6);
        },
      ),
    );
  });

  it('writes numbers an angler reads', () => {
    expect(format('depth', 0.8, 'metric')).toBe('0.80 m');
    expect(format('depth', 0.8, 'imperial')).toBe('2.6 ft');
    expect(formatLevel(0.12, 'metric')).toBe('+12 cm');
    expect(formatLevel(-0.12, 'metric')).toBe('−12 cm');
    expect(formatLevel(-0.001, 'metric')).toBe('0 cm');
  });

  it('never tells a chance as certain', () => {
    expect([0, 0.04, 0.05, 0.68, 0.94, 0.95, 1].map(ofTen)).toEqual([
      ...['less than 1 of 10', 'less than 1 of 10', '1 of 10', '7 of 10', '9 of 10'],
      ...['more than 9 of 10', 'more than 9 of 10'],
    ]);
    expect([0, 0.68, 1].map(inTen)).toEqual(['less than 1 in 10', '7 in 10', 'more than 9 in 10']);
    expect([0, 0.004, 0.5, 0.997, 1].map(inHundred)).toEqual([1, 1, 50, 99, 99]);
  });
});
