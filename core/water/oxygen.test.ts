import { oxygenMgL } from './oxygen';

describe('oxygen in fresh water (Benson & Krause 1984)', () => {
  it.each([
    [0, 14.621],
    [5, 12.771],
    [10, 11.288],
    [15, 10.084],
    [20, 9.092],
    [25, 8.263],
  ])('%s °C holds %s mg/l at sea level', (c, mg) => expect(oxygenMgL(c)).toBeCloseTo(mg, 2));
  it.each([
    [0, 13.151],
    [10, 10.146],
    [20, 8.162],
  ])('%s °C holds %s mg/l at 0.9 atm', (c, mg) => expect(oxygenMgL(c, 0.9)).toBeCloseTo(mg, 2));
  it('refuses what is no water', () => expect(() => oxygenMgL(-1)).toThrow('tempC'));
});
