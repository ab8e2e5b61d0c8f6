import { HOUR_MS } from '../units';
import { comesIn, highWatersOn } from './tides';

const h = (hours: number) => hours * HOUR_MS;
const TIDES = [h(7), h(19.4), h(31.8)];

describe('tides', () => {
  it('a day has its high waters; fish come in from before each until hours after (common practice, no source)', () => {
    expect(highWatersOn(TIDES, 0)).toEqual([h(7), h(19.4)]);
    expect(highWatersOn(TIDES, h(24))).toEqual([h(31.8)]);
    expect([5.5, 6.5, 10.5, 12, 19].map((at) => comesIn(TIDES, h(at)))).toEqual([false, true, true, false, true]);
  });

  it('of days beyond the table nothing is known', () => {
    expect(comesIn(TIDES, h(60))).toBeNull();
    expect(comesIn([], h(7))).toBeNull();
  });
});
