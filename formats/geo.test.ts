import { metresBetween, metresPerDegree } from './geo';

describe('places on the ground', () => {
  // Lengths of a degree on the WGS 84 ellipsoid: 111.132 km of latitude and 78.847 of longitude at 45° (from memory).
  it('a degree is as long as the ellipsoid says', () => {
    const { lat, lon } = metresPerDegree(45);
    expect(lat / 1000).toBeCloseTo(111.132, 2);
    expect(lon / 1000).toBeCloseTo(78.847, 2);
  });

  it('two places are as far apart as the way between them, either way round, over the date line too', () => {
    const at = (latDeg: number, lonDeg: number) => ({ latDeg, lonDeg });
    expect(metresBetween(at(45, 10), at(45.001, 10))).toBeCloseTo(111.13, 1);
    expect(metresBetween(at(45, 10.001), at(45, 10))).toBeCloseTo(78.85, 1);
    expect(metresBetween(at(45, 10), at(45.003, 10.004))).toBeCloseTo(Math.hypot(333.4, 315.4), 0);
    expect(metresBetween(at(0, 179.9995), at(0, -179.9995))).toBeCloseTo(111.3, 1);
  });
});
