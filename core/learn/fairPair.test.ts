import { RIG } from '../testing/fixtures';
import type { FlyItem } from '../tackle';
import { fairPair, isPairedBy } from './fairPair';

const fly = (id: string, o: Partial<FlyItem>): FlyItem => ({ ...RIG.fly, id, hook: '6', weight: 'none', ...o });
const KIT = [
  RIG.rod,
  fly('black', { colour: 'black' }),
  fly('white heavy', { colour: 'white', weight: 'eyes' as never, hook: '2' }),
  fly('white', { colour: 'white' }),
  fly('white soft', { colour: 'white', family: 'soft hackle' as never }),
  fly('small black', { colour: 'black', hook: '12' }),
];

describe('two flies for a fair trial', () => {
  it('differ in what is asked, and in as little else as the bag allows', () => {
    expect(fairPair(KIT, 'colour', 'black', 'white')).toMatchObject({
      a: { id: 'black' },
      b: { id: 'white' },
      differs: 0,
    });
    expect(fairPair(KIT, 'size', '2', '1')).toMatchObject({ a: { id: 'small black' }, differs: 0, b: { id: 'black' } });
    expect(fairPair(KIT.slice(0, 3), 'colour', 'white', 'black')).toMatchObject({
      a: { id: 'white heavy' },
      differs: 2,
    });
  });

  it('are none where the bag holds only one of the two, and for what is no fly’s', () => {
    expect(fairPair(KIT, 'colour', 'black', 'olive')).toBeNull();
    expect(fairPair([RIG.rod], 'colour', 'black', 'white')).toBeNull();
    expect((['colour', 'weight', 'tip', 'hour'] as const).map(isPairedBy)).toEqual([true, true, false, false]);
  });
});
