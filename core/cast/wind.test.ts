import type { Wind } from '../water';
import { ANY_MEANS, type Means } from './means';
import { meansInWind, shoulderFor, windAsks } from './wind';

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

  it('asks for the shoulder off which it blows; reversed wind for the other', () => {
    const asks = (from: Wind['from'], means = ANY_MEANS, force: Wind['force'] = 'fresh') =>
      windAsks(wind(from, force), 'left', means);
    expect(asks('upstream')).toEqual({ from: 'upstream', shoulder: 'left', ontoYou: false });
    expect(asks('downstream')).toEqual({ from: 'downstream', shoulder: 'right', ontoYou: false });
    expect(asks('upstream', right)!.ontoYou).toBe(true);
    expect(asks('downstream', right)!.ontoYou).toBe(false);
    expect(asks('across')).toEqual({ from: 'across', shoulder: null, ontoYou: false });
    expect(asks('across', ANY_MEANS, 'light')).toBeNull();
    expect(windAsks(null, 'left', ANY_MEANS)).toBeNull();
  });
});
