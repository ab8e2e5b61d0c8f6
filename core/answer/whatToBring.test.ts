import { finished } from '../maths/work';
import { toBring } from './whatToBring';
import type { Method } from './methods';
import type { Fished } from './fished';
import { type Setup, setupOf } from './rigs';
import { plainWays } from './ways';
import type { KitItem } from '../tackle';
import { BAG, even, LIGHT, river, RUN, situation, tied } from './waters.testing';
import { benchOf } from './setupWorth';

const s = situation({ tiedOn: LIGHT });
const b = benchOf(s);
const on = s.tiedOn!;

/** Fished as one begins. */
const fished = (at: typeof s, setup: Setup) => ({ setup, way: plainWays(at, setup)[0] }) as Fished;

describe('what to bring', () => {
  const bring = (run = RUN, tip = '', kit: readonly KitItem[] = BAG) => {
    const at = situation(
      {
        kit,
        water: { quarry: 'steelhead' },
        tiedOn: tied('two-hander 7', 'short head', tip, '9 ft to 3X', 'black rabbit strip'),
      },
      run,
    );
    const bench = benchOf(at);
    const setup = setupOf(at, 'streamer on the swing', at.tiedOn!, 1);
    return finished(toBring(bench, fished(at, setup)));
  };
  const deep = river(even(24, 0, 0.9, 1.6, 2, 1.6, 0), 1.1);

  it('is a tip that puts the fly nearer, in the words of a shop; nothing where the one that is on does', () => {
    const without = (...names: string[]) => BAG.filter((item) => !names.includes(item.id));
    const bare = without('10 ft slow', '10 ft fast', '10 ft heavy');
    expect(['medium', 'fast', 'heavy']).toContain(bring(deep, '', bare)!.kind);
    expect(bring(deep, '', bare)!.lengthM).toBeCloseTo(3.05, 2); // ten feet
    // What is in the bag, or hardly differs from it, nobody brings.
    expect(['fast', 'heavy']).not.toContain(bring(deep)?.kind);
    expect(bring(deep, '', without('10 ft slow', '10 ft heavy'))!.kind).toBe('heavy');
    expect(bring(deep, '10 ft heavy')).toBeNull();
    // A six's line turns over nothing heavier than what is on, too heavy already: none is brought for it.
    const skinny = river(even(16, 0, 0.3, 0.45, 0.5, 0.35, 0), 0.7, { bed: 'boulders' });
    const at = situation(
      { tiedOn: { ...LIGHT, tipId: '10 ft heavy', leaderId: '4 ft of 12 lb', flyId: 'olive sculpin' } },
      skinny,
    );
    const brought = finished(toBring(benchOf(at), fished(at, setupOf(at, 'streamer on the swing', at.tiedOn!, 1))));
    expect(['fast', 'heavy']).not.toContain(brought?.kind);
  });

  it('is nothing for a fly that wakes, or under a float', () => {
    const only = (o: object, method: Method) =>
      finished(toBring(b, fished(s, { ...setupOf(s, method, on, 1), ...o } as Setup)));
    expect(only({}, 'wake fly')).toBeNull();
    expect(only({ rig: { ...on, float: {} } }, 'drift or float')).toBeNull();
  });
});
