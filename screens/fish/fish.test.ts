import type { CastPlan } from '@/core/cast';
import { coverFor, progress } from '@/core/cover';
import type { EventOf } from '@/core/logbook';

import { placeOfTake, type Covered } from './paths';

const start: CastPlan = { xM: 5, yM: 6, outM: 14, angleDeg: 65, mendM: 0, rod: 'follow' };
const cover = coverFor({ shortestM: 8, farM: 9, endXM: 12, visibilityM: 1.5, waterTempC: 10 });
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

describe('progress through a run', () => {
  const wade = (x: number) => (x > 6 ? 2 : 4);

  it('begins short at the start, no further out than is safe there', () => {
    const p = progress(cover, start, [], wade);
    expect(p.plan).toMatchObject({ outM: 8, xM: 5, yM: 4 });
  });

  it('goes on from the last cast, and steps to where it is safe to stand', () => {
    const lengthened = progress(cover, start, [cast('a', 1, 8, 5)], wade);
    expect(lengthened.move.kind).toBe('lengthen');
    const stepped = progress(cover, start, [cast('a', 1, 9, 5)], wade);
    expect(stepped.move.kind).toBe('step');
    expect(stepped.plan).toMatchObject({ xM: 6.5, yM: 2, outM: 9 });
  });

  it('ends at the end of the run', () => {
    const p = progress(cover, start, [cast('a', 1, 9, 12)], wade);
    expect(p.move.kind).toBe('done');
    expect(p.left).toBe(0);
  });
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
      shown: [],
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
