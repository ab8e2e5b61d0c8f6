import { handsOf, longestCast, mayStand } from '../cast';
import type { Tried } from '../advice';
import { type Aim, movesFrom, plainAims, planOf } from './aims';
import type { Method } from './methods';
import { setupOf } from './rigs';
import type { Situation } from './situation';
import { across, even, LIGHT, river, situation, tied } from './waters.testing';

const rigOf = (tipId = '') =>
  situation({ tiedOn: tied('single 6', 'floating 6', tipId, '9 ft to 3X', 'black woolly bugger') }).tiedOn!;
const setup = (s: Situation, method: Method, tipId = '') => setupOf(s, method, rigOf(tipId), 1);
const s = situation();
const lie = [...s.lies].sort((a, b) => b.score - a.score)[0]!;
const SWING: Aim = { way: 'swing', angleDeg: 65, mendM: 1, walkM: 0, downM: 0, longerM: 0, count: 1, moves: 0 };

describe('the cast one begins with', () => {
  const school = (o: object) => situation({ settings: { schools: o } });
  const ways = (at: Situation, method: Method) => plainAims(at, setup(at, method)).map((a) => a.way);

  it('is of each of the method’s ways; of a streamer on the swing those of the school, too', () => {
    expect(ways(s, 'strip').length).toBeGreaterThan(0);
    expect(ways(s, 'streamer on the swing')).not.toContain('towed by the bow');
    expect(ways(school({ bow: 'use it' }), 'streamer on the swing')).toContain('towed by the bow');
    expect(ways(school({ mends: 'one and a step' }), 'streamer on the swing')).toContain('timed rise');
    expect(ways(school({ bow: 'use it' }), 'soft hackles on the swing')).not.toContain('towed by the bow');
  });

  it('of a waking fly goes at 60° without a mend; of what is not swung, straight at the lie', () => {
    const [wake] = plainAims(s, setup(s, 'wake fly'));
    expect(wake).toMatchObject({ angleDeg: 60, mendM: 0, walkM: 0 });
    for (const aim of plainAims(s, setup(s, 'upstream')))
      if (aim.way !== 'swing') expect(aim).toMatchObject({ angleDeg: 0, mendM: 0, walkM: 0 });
  });

  it('mends as the school does: never, once, or by the rule; one school steps after it, but not with soft hackles', () => {
    const first = (o: object, method: Method = 'streamer on the swing') => {
      const at = school(o);
      return plainAims(at, setup(at, method)).find((a) => a.way === 'swing')!;
    };
    expect(first({ mends: 'keep it straight' })).toMatchObject({ mendM: 0, walkM: 0 });
    expect(first({ mends: 'one and a step' })).toMatchObject({ mendM: 1, walkM: 1.5 });
    expect(first({ mends: 'one and a step' }, 'soft hackles on the swing').walkM).toBe(0);
    expect([0, 1]).toContain(first({ mends: 'set once' }).mendM);
  });
});

describe('the plan behind an aim', () => {
  const plan = (aim: Partial<Aim> = {}, at: Situation = s, method: Method = 'streamer on the swing') =>
    planOf(at, setup(at, method), at.lies.find((l) => l.rank === lie.rank) ?? lie, { ...SWING, ...aim });
  const plain = plan()!;

  it('stands where that cast comes by the lie, at its angle, with its mend', () => {
    expect(plain).toMatchObject({ angleDeg: 65, mendM: 1 });
    expect(plain.xM).toBeLessThan(lie.xM);
    expect(handsOf(plain)).toMatchObject({ way: 'swing', walkM: 0 });
  });

  it.each<[string, Method, Partial<Situation>, number, number]>([
    ['a swing from 35 to 125°', 'streamer on the swing', {}, 35, 125],
    ['in dirty water to 80°', 'streamer on the swing', { dirty: true }, 35, 80],
    ['soft hackles from 30 to 60°', 'soft hackles on the swing', {}, 30, 60],
  ])('is made within the angles of the trade: %s', (_, method, o, least, most) => {
    const made = (angleDeg: number) => plan({ angleDeg }, { ...s, ...o }, method) !== null;
    expect([least - 0.1, least, most, most + 0.1].map(made)).toEqual([false, true, true, false]);
  });

  it('stands further down, and casts longer or shorter, as it is told; never beyond what one can, nor off the run', () => {
    // Where one stands by the bank, that is: who wades cannot everywhere.
    const from = s.lies.flatMap((l) => {
      const [a, b] = [0, 3].map((downM) => planOf(s, setup(s, 'streamer on the swing'), l, { ...SWING, downM }));
      return a && b ? [b.xM - a.xM] : [];
    });
    expect(from.length).toBeGreaterThan(0);
    for (const by of from) expect(by).toBeCloseTo(3, 2);
    // There, too, nobody stands deeper than one may wade.
    const below = s.lies.flatMap((l) => planOf(s, setup(s, 'streamer on the swing'), l, { ...SWING, downM: 3 }) ?? []);
    for (const p of below) expect(mayStand(s.channel, s.lies, p.xM, p.yM, s.means)).toBe(true);
    expect(plan({ longerM: -2 })!.outM).toBeCloseTo(plain.outM - 2, 2);
    // A six-weight carries less than what is offered unasked.
    const longest = longestCast(s.means, rigOf().rod);
    expect(longest).toBeLessThan(s.means.longestM);
    expect(plan({ longerM: 2 })!.outM).toBeCloseTo(Math.min(longest, plain.outM + 2), 2);
    expect(plan({ longerM: 99 })!.outM).toBeCloseTo(longest, 2);
    const heavier = { ...rigOf(), rod: { ...rigOf().rod, lineNumber: 8 } };
    const s8 = { ...s, tiedOn: heavier };
    expect(
      planOf(s8, setupOf(s8, 'streamer on the swing', heavier, 1), lie, { ...SWING, longerM: 99 })!.outM,
    ).toBeGreaterThan(longest + 3);
  });

  it('walks down where it is told to', () => {
    expect(handsOf(plan({ walkM: 1.5 })!)).toMatchObject({ walkM: 1.5, way: 'swing' });
    expect(plan({ walkM: 0 })).toEqual(plain);
    // Not where it drops off below the stand.
    const hole = river(
      [0, 30, 40, 70].map((x) => across(x, 24, ...(x < 35 ? [0, 0.3, 0.5, 0.8, 1.3, 1.5, 0] : [0, 2, 2, 2, 2, 2, 0]))),
      0.7,
    );
    const above = situation({}, hole);
    const walks = above.lies.flatMap((l) => {
      const [stays, goes] = [0, 15].map((walkM) =>
        planOf(above, setup(above, 'streamer on the swing'), l, { ...SWING, walkM }),
      );
      return stays && stays.yM > 3 && stays.xM < 30 && stays.xM > 20 ? [goes] : [];
    });
    expect(walks.length).toBeGreaterThan(0);
    expect(walks.every((p) => p === null)).toBe(true);
  });

  it('of what is not swung turns from straight at the lie, by as much as it is told', () => {
    const [straight, turned] = [0, 12].map((angleDeg) => {
      const [aim] = plainAims(s, setup(s, 'strip'));
      return planOf(s, setup(s, 'strip'), lie, { ...aim!, angleDeg })!;
    });
    expect(turned!.angleDeg - straight!.angleDeg).toBeCloseTo(12, 6);
  });

  it('of the school that casts short is no longer than 15 m where that will do', () => {
    const wide = river(even(44, 0, 0.4, 0.6, 0.8, 1, 1.2, 1.4, 1.2, 0), 0.7);
    const on = (distance: 'short and sure' | 'far') => {
      const at = situation({ settings: { schools: { distance } }, tiedOn: LIGHT }, wide);
      return at.lies.map(
        (l) => planOf(at, setupOf(at, 'streamer on the swing', at.tiedOn!, 1), l, SWING)?.outM ?? null,
      );
    };
    const [short, far] = [on('short and sure'), on('far')];
    const beyond = (list: readonly (number | null)[]) => list.filter((outM) => outM !== null && outM > 15).length;
    expect([beyond(short), beyond(far)]).toEqual([0, 1]);
    expect(short.map((outM) => outM === null)).toEqual(far.map((outM) => outM === null));
  });

  it('counts a stripped fly down to the middle of its band, so many times as long as it is told, to forty seconds', () => {
    const deep = [...s.lies].sort((a, b) => b.band.bottomM - a.band.bottomM)[0]!;
    const counted = (count: number, tip = '', at = deep) => {
      const of = setup(s, 'strip', tip);
      return handsOf(planOf(s, of, at, { ...plainAims(s, of)[0]!, count })!).countS;
    };
    const middle = (l: typeof deep) => (l.band.topM + l.band.bottomM) / 2;
    // It sinks as a bushy unweighted fly does, 0.1 to 0.2 m/s; a heavy tip of 7 inches a second takes it down at that.
    expect(middle(deep) / counted(1)).toBeGreaterThan(0.1);
    expect(middle(deep) / counted(1)).toBeLessThan(0.2);
    expect(counted(1, '10 ft heavy')).toBe(Math.round(middle(deep) / (7 * 0.0254)));
    expect(counted(1)).toBeGreaterThan(counted(1, '', lie));
    expect(Math.abs(counted(2) - 2 * counted(1))).toBeLessThanOrEqual(1);
    expect([counted(99), counted(0)]).toEqual([40, 0]);
  });
});

describe('what a guide would alter, by how the fly passed (common practice, no source)', () => {
  const band = { topM: 0.6, bottomM: 1 };
  const passed = (v: object, pass: object = {}) =>
    ({
      verdict: {
        fit: 'right',
        tooFast: false,
        wood: null,
        idle: null,
        lie: { band },
        pass: { depthM: 0.8, alongM: 0, acrossM: 0, ...pass },
        ...v,
      },
    }) as unknown as Tried;
  /** What is moved, first things first: "mend +1", "turn −10" … */
  const told = (v: object, pass: object = {}, aim: Partial<Aim> = {}, at: Situation = s) => {
    const from = { ...SWING, ...aim };
    return movesFrom(at, from, passed(v, pass)).map((to) => {
      expect(to.moves).toBe(from.moves + 1);
      const keys = (Object.keys(from) as (keyof Aim)[]).filter((k) => k !== 'moves' && to[k] !== from[k]);
      expect(keys).toHaveLength(1); // one thing at a time
      const [key] = keys as [keyof Aim];
      const by =
        key === 'count' ? `× ${(to.count / from.count).toFixed(1)}` : String(Number(to[key]) - Number(from[key]));
      return `${key} ${by}`;
    });
  };

  it.each<[string, string[], ...Parameters<typeof told>]>([
    ['too shallow: a mend more, squarer, a step', ['mendM 1', 'angleDeg 10', 'walkM 1.5'], { fit: 'too shallow' }],
    [
      'and too fast: walk, mend, steeper',
      ['walkM 1.5', 'mendM 1', 'angleDeg -10'],
      { fit: 'too shallow', tooFast: true },
    ],
    ['too deep: the other way round', ['mendM -1', 'angleDeg -10'], { fit: 'too deep' }],
    ['on the bed', ['mendM -1', 'angleDeg -10'], { fit: 'on the bed' }],
    [
      'on the bed, and too fast',
      ['angleDeg -10', 'walkM 1.5', 'mendM -1', 'angleDeg -10'],
      { fit: 'on the bed', tooFast: true },
    ],
    ['lying on the bed', ['mendM -1', 'angleDeg -10'], { fit: 'not fishing', idle: 'bed' }],
    ['its line on the bed', ['mendM -1', 'angleDeg -10'], { fit: 'not fishing', idle: 'line' }],
    [
      'not fishing yet: longer, from further up, squarer',
      ['longerM 2', 'downM -3', 'angleDeg 10'],
      { fit: 'not fishing', idle: 'landing' },
    ],
    [
      'no longer fishing: from further down, shorter, walking',
      ['downM 3', 'longerM -2', 'walkM 1.5'],
      { fit: 'not fishing', idle: 'over' },
    ],
    ['right, but in the upper half', ['mendM 1', 'angleDeg 10', 'walkM 1.5'], {}, { depthM: 0.79 }],
    ['right, but in the lower half', ['mendM -1', 'angleDeg -10'], {}, { depthM: 0.81 }],
    ['right and too fast', ['angleDeg -10', 'walkM 1.5'], { tooFast: true }],
    [
      'not reached, short of it and above',
      ['downM -2', 'longerM 3', 'angleDeg 10'],
      { fit: 'not reached' },
      { alongM: 2, acrossM: -3 },
    ],
    [
      'not reached, far beyond',
      ['downM 1', 'longerM -4', 'angleDeg -10'],
      { fit: 'not reached' },
      { alongM: -1, acrossM: 7 },
    ],
    [
      'through wood: shorter, steeper, from below',
      ['longerM -2', 'angleDeg -10', 'downM 3'],
      { wood: 'log', fit: 'too deep' },
    ],
    ['with no mend left to take', ['angleDeg -10'], { fit: 'too deep' }, {}, { mendM: 0 }],
    ['with every mend made', ['angleDeg 10', 'walkM 1.5'], { fit: 'too shallow' }, {}, { mendM: 3 }],
    ['walking as far as one does', ['mendM 1', 'angleDeg 10'], { fit: 'too shallow' }, {}, { walkM: 3 }],
    ['stripped too high: count longer', ['count × 1.5', 'angleDeg 10'], { fit: 'too shallow' }, {}, { way: 'strip' }],
    ['on a long count already', ['count × 1.5', 'angleDeg 10'], { fit: 'too shallow' }, {}, { way: 'strip', count: 2 }],
    ['stripped too deep: count less', ['count × 0.6', 'angleDeg -10'], { fit: 'too deep' }, {}, { way: 'strip' }],
  ])('%s', (_, moves, ...how) => expect(told(...how)).toEqual(moves));

  it('mends only as the school does', () => {
    const straight = situation({ settings: { schools: { mends: 'keep it straight' } } });
    expect(told({ fit: 'too shallow' }, {}, { mendM: 0 }, straight)).toEqual(['angleDeg 10', 'walkM 1.5']);
  });
});
