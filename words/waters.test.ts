import { waterReason } from './waters';

describe('the freshet of a water', () => {
  it.each([
    [
      0,
      0,
      true,
      'Less than a day since the last freshet, not fished since, as far as you know; new fish may have come up with it.',
    ],
    [1, 1, false, '1 day since the last freshet, fished on 1 day since.'],
    [4, 2, false, '4 days since the last freshet, fished on 2 days since.'],
  ])('%s days ago', (days, fishedDays, newFish, says) => {
    expect(waterReason({ tone: 'neutral', code: 'freshet', days, fishedDays, newFish }, 'metric')).toBe(says);
  });
});
