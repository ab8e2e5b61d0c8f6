import type { Wind } from '../water';
import { ANY_MEANS, type Means } from './means';
import { meansInWind, shoulderFor, WIND_BLOWS, windWords } from './wind';

const wind = (from: Wind['from'], force: Wind['force'] = 'fresh'): Wind => ({ from, force });
const right: Means = { ...ANY_MEANS, shoulders: ['right'] };

describe('the shoulder that the wind asks for (common practice, no source)', () => {
  it('is the upstream one in an upstream wind, whichever bank, and the downstream one in a downstream wind', () => {
    // Facing the river from the left bank upstream is to the right.
    expect(shoulderFor(wind('downstream'), 'left')).toBe('right');
    expect(shoulderFor(wind('downstream'), 'right')).toBe('left');
    expect(shoulderFor(wind('upstream'), 'left')).toBe('left');
    expect(shoulderFor(wind('behind'), 'left')).toBeNull();
    expect(shoulderFor(undefined, 'left')).toBeNull();
  });
});

describe('what the wind leaves of a cast', () => {
  it('blown onto the caster, or into the cast, it is shorter, the more the harder it blows; else as long as ever', () => {
    const longest = (from: Wind['from'], force: Wind['force'], means = right) =>
      meansInWind(means, wind(from, force), 'left').longestM;
    expect(longest('upstream', 'fresh')).toBeLessThan(right.longestM);
    expect(longest('upstream', 'strong')).toBeLessThan(longest('upstream', 'fresh'));
    expect(longest('across', 'strong', ANY_MEANS)).toBeLessThan(ANY_MEANS.longestM);
    expect(meansInWind(right, wind('downstream', 'strong'), 'left')).toBe(right); // reversed: off the caster
    expect(meansInWind(right, wind('upstream', 'strong'), 'right')).toBe(right); // and from the other bank
    expect(meansInWind(ANY_MEANS, wind('upstream', 'strong'), 'left')).toBe(ANY_MEANS); // over the other shoulder
    expect(meansInWind(right, undefined, 'left')).toBe(right);
    expect(longest('upstream', 'light')).toBe(right.longestM);
  });

  it('is told with what to do; reversed wind asks for something else', () => {
    const says = (from: Wind['from'], means = ANY_MEANS, force: Wind['force'] = 'fresh') =>
      windWords(wind(from, force), 'left', means);
    expect(says('upstream')).toBe(
      'Wind down the river: cast over your left shoulder, so that it blows line and hook away from you.',
    );
    expect(says('downstream')).toContain('over your right shoulder');
    expect(says('upstream', right)).toMatch(
      /onto you: cast backhand over your left shoulder, short, or fish from the other/,
    );
    expect(says('downstream', right)).not.toContain('backhand');
    expect(says('across')).toContain('short and low into it');
    expect(says('behind')).toContain('hat and glasses');
    expect(says('across', ANY_MEANS, 'light')).toBeNull();
    expect(windWords(null, 'left', ANY_MEANS)).toBeNull();
  });

  it('is named by where it blows to: up or down the river, from or onto one’s bank', () => {
    expect(WIND_BLOWS).toEqual({
      downstream: 'up the river',
      upstream: 'down the river',
      behind: 'from my bank',
      across: 'onto my bank',
    });
  });
});
