import type { Caught, Visit } from '../logbook';
import { bandOf, byLevel } from './levels';
import { recordsOf } from './records';

let n = 0;
const caught = (species: string, lengthM: number | null, at: number, hook = '4'): Caught => ({
  take: {
    ...{ id: `t${++n}`, at, runId: 'run', xM: null, yM: null, rig: null, kind: 'take', where: null, sign: null },
    ...{ what: 'landed', juvenile: false, fish: { species, lengthM, sex: null, condition: '', origin: null } },
  },
  fly: { name: 'a fly', hook, colour: 'black' },
  levelM: null,
});

describe('one’s largest fish', () => {
  const fish = [
    caught('sea trout', 0.5, 3),
    caught('sea trout', 0.4, 1),
    caught('sea trout', 0.45, 2, '12'),
    caught('sea trout', 0.48, 4),
    caught('char', 0.3, 5, '14'),
    caught('char', null, 6),
  ];

  it('of each kind, as they followed each other in time, the commonest kind first', () => {
    expect(recordsOf(fish).slice(0, 2)).toEqual([
      {
        of: 'sea trout',
        steps: [
          { at: 1, lengthM: 0.4 },
          { at: 2, lengthM: 0.45 },
          { at: 3, lengthM: 0.5 },
        ],
        measured: 4,
      },
      { of: 'char', steps: [{ at: 5, lengthM: 0.3 }], measured: 1 },
    ]);
  });

  it('on small hooks, each fish once, by the smallest hook that it is the largest on', () => {
    expect(recordsOf(fish).slice(2)).toEqual([
      { of: 'on a size 12 or smaller', steps: [{ at: 2, lengthM: 0.45 }], measured: 2 },
      { of: 'on a size 14 or smaller', steps: [{ at: 5, lengthM: 0.3 }], measured: 1 },
    ]);
    const large = ['1/0', '', '112', '12 mm', 'no. 12'].map((hook, i) => caught('char', 0.3, i, hook));
    expect(recordsOf(large).map((r) => r.of)).toEqual(['char']);
    expect(recordsOf([caught('char', 0.3, 1, ' 12 ')]).map((r) => r.of)).toEqual(['char', 'on a size 12 or smaller']);
  });

  it('of the kind caught most often first, whatever came first', () => {
    const rare = caught('grayling', 0.3, 0);
    expect(
      recordsOf([rare, ...fish])
        .map((r) => r.of)
        .slice(0, 3),
    ).toEqual(['sea trout', 'char', 'grayling']);
  });

  it('none where nothing was measured', () => {
    expect(recordsOf([caught('char', null, 1)])).toEqual([]);
    expect(recordsOf([])).toEqual([]);
  });
});

describe('what a run brought by its level', () => {
  const visit = (levelM: number | null, casts: number, takes: number, byHand = 0): Visit => ({
    ...{ runId: 'run', runName: 'A', fromAt: 0, toAt: 1, casts, byHand, takes, landed: takes > 0 ? 1 : 0 },
    ...{ levelM, visibilityM: null, timed: true },
  });

  it.each([
    [-0.5, 'low'],
    [-0.1, 'about normal'],
    [0.099, 'about normal'],
    [0.1, 'raised'],
    [0.3, 'high'],
    [2, 'high'],
    [null, 'not read'],
  ] as const)('%s m is %s', (levelM, band) => {
    expect(bandOf(levelM)).toBe(band);
  });

  it('adds up visits, the lowest level first', () => {
    const levels = byLevel([visit(0.2, 100, 2), visit(-0.2, 50, 0), visit(0.15, 60, 1), visit(null, 10, 1)]);
    expect(levels.map((l) => [l.band, l.visits, l.casts, l.takes, l.landed])).toEqual([
      ['low', 1, 50, 0, 1 - 1],
      ['raised', 2, 160, 3, 2],
      ['not read', 1, 10, 1, 1],
    ]);
    expect(levels[1]!.rate!.low).toBeLessThan(3 / 160);
    expect(levels[1]!.rate!.high).toBeGreaterThan(3 / 160);
  });

  it('what was remembered weighs less, and visits without casts say nothing of the rate', () => {
    const width = (v: Visit) => byLevel([v])[0]!.rate!.high - byLevel([v])[0]!.rate!.low;
    expect(width(visit(0, 1000, 20, 1000))).toBeGreaterThan(1.2 * width(visit(0, 1000, 20)));
    expect(byLevel([visit(0, 0, 3)])[0]).toMatchObject({ takes: 3, rate: null });
    expect(byLevel([visit(0, 0, 3), visit(0, 100, 1)])[0]!.rate).toEqual(byLevel([visit(0, 100, 1)])[0]!.rate);
  });
});
