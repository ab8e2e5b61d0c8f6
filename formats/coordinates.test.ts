import fc from 'fast-check';
import { farFromClock, placeOf } from '@/core/sight/place';
import { readPlace } from './coordinates';

describe('a pasted pair of coordinates', () => {
  it.each([
    ['57.1, -5.0', 57.1, -5],
    ['57.1 -5.0', 57.1, -5],
    ['57.1; -5.25', 57.1, -5.25],
    ['57,1 -5,0', 57.1, -5],
    ['57,1; -5,0', 57.1, -5],
    ['57.1N 5.0W', 57.1, -5],
    ['N 57.1 W 5.0', 57.1, -5],
    ['5.0° W, 57.1° N', 57.1, -5],
    ['41° 16.8′ S, 174° 46.2′ E', -41.28, 174.77],
    ['57°6\'0"N 5°0\'0"W', 57.1, -5],
    ['40° 7’ 22.8” n 74° 7’ 22.8” w', 40.123, -74.123],
    ['57.1000, −5.0000', 57.1, -5],
    ['geo:57.1,-5.0', 57.1, -5],
    ['-0.5, 10', -0.5, 10],
    ['-0 30, 10 0', -0.5, 10],
  ])('%s', (text, latDeg, lonDeg) => {
    const place = readPlace(text)!;
    expect(place.latDeg).toBeCloseTo(latDeg, 6);
    expect(place.lonDeg).toBeCloseTo(lonDeg, 6);
  });

  it.each([
    '',
    'abc',
    '57.1',
    '91, 5',
    '57, 181',
    '57 61 0, 5 0 0',
    '57.1N 5.0N',
    '57.1N',
    'at the bridge 57.1 -5',
    '1 2 3 4 5 6 7 8',
  ])('"%s" is none', (text) => expect(readPlace(text)).toBeNull());

  it('gives back any pair as it was written', () => {
    fc.assert(
      fc.property(fc.integer({ min: -9000, max: 9000 }), fc.integer({ min: -18000, max: 18000 }), (a, b) => {
        const place = readPlace(`${a / 100}, ${b / 100}`)!;
        expect([place.latDeg, place.lonDeg]).toEqual([a / 100, b / 100]);
      }),
    );
  });
});

it('a longitude that the clock contradicts by more than three hours is noticed', () => {
  expect(farFromClock(-5, 0)).toBe(false);
  expect(farFromClock(-120, -8)).toBe(false);
  expect(farFromClock(120, -8)).toBe(true); // the sign was left out
  expect(farFromClock(178, -12)).toBe(false); // over the date line
  expect(farFromClock(10, 2)).toBe(false); // summer time
  expect(placeOf({ latDeg: 57, lonDeg: null })).toBeNull();
  expect(placeOf(null)).toBeNull();
  expect(placeOf({ latDeg: 57, lonDeg: -5 })).toEqual({ latDeg: 57, lonDeg: -5 });
});
