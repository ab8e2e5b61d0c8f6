import type { CastPlan } from '@/core/cast';
import type { EventOf } from '@/core/logbook';

import { placeOfTake, type Covered } from '../shared/paths';

const start: CastPlan = { xM: 5, yM: 6, outM: 14, angleDeg: 65, mendM: 0, rod: 'follow' };
const cast = (id: string, at: number, outM: number, x: number): EventOf<'cast'> => ({
  kind: 'cast',
  id,
  at,
  runId: 'r',
  xM: x,
  yM: 1,
  rig: 'k',
  plan: { ...start, xM: x, yM: 1, outM },
});

describe('where a take was', () => {
  const covered = [
    {
      castId: 'a',
      path: [
        [0, 10],
        [5, 8],
        [9, 3],
        [10, 1],
      ],
      result: null,
    },
  ] as unknown as Covered[];
  const take = (where: 'landing' | 'dangle' | null, at = 5): EventOf<'take'> => ({
    kind: 'take',
    id: 't',
    at,
    runId: 'r',
    xM: 0,
    yM: 0,
    rig: 'k',
    where,
    sign: null,
    what: 'pluck',
    juvenile: false,
    fish: null,
  });

  it('lies on the path of the cast before it', () => {
    expect(placeOfTake(take('landing'), [cast('a', 1, 9, 0)], covered)).toEqual({ xM: 0, yM: 10 });
    expect(placeOfTake(take('dangle'), [cast('a', 1, 9, 0)], covered)).toEqual({ xM: 10, yM: 1 });
    expect(placeOfTake(take(null, 0), [cast('a', 1, 9, 0)], covered)).toBeNull();
  });
});
