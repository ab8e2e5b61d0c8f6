import type { CastPlan } from '../cast';
import { castEvent } from '../testing/fixtures';
import { castsLeft, coverFor } from './next';
import { castSeconds, paceS, progress } from './progress';

const start: CastPlan = { xM: 5, yM: 6, outM: 14, angleDeg: 65, mendM: 0, rod: 'follow' };
const cover = coverFor({ shortestM: 8, farM: 9, endXM: 12, visibilityM: 1.5, waterTempC: 10 });
const cast = (_id: string, n: number, outM: number, xM: number) => castEvent(n, { ...start, xM, yM: 1, outM });

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

  it('keeps the angle and hands in force, not those of the last cast', () => {
    const p = progress(cover, { ...start, angleDeg: 40 }, [cast('a', 1, 8, 5)], wade);
    expect(p.plan.angleDeg).toBe(40);
    expect(p.left).toBe(castsLeft(cover, p.plan));
  });

  it('tells the first cast with no lengthening, and never goes further out than the plan', () => {
    const p = progress(cover, start, [], () => 50);
    expect(p.move).toMatchObject({ kind: 'lengthen', byM: 0 });
    expect(p.plan.yM).toBe(6);
    expect(p.left).toBe(castsLeft(cover, p.plan));
    expect(progress(cover, start, [], () => 2.34).plan.yM).toBe(2.3);
  });
});

describe('how long a cast takes', () => {
  const swing = { fishing: { toS: 30 } } as Parameters<typeof castSeconds>[0];
  it('follows from what the swing fishes, the hang, the stripping in and the cast', () => {
    // 30 s of swing, 4 s on the hang, half of 12 m at a metre a second, 6 s to cast.
    expect(castSeconds(swing, 12)).toBe(46);
    expect(castSeconds({ fishing: null }, 12)).toBe(45);
    expect(castSeconds(null, 12)).toBe(45);
  });

  it('is this visit’s own once there are six casts, but nobody casts and swings within twenty seconds', () => {
    const every = (minutes: number, n: number) => Array.from({ length: n }, (_, i) => cast('', minutes * i, 12, i));
    expect(paceS(every(1, 5), swing)).toBe(46);
    expect(paceS(every(1, 6), swing)).toBe(60);
    expect(paceS(every(2, 7))).toBe(120);
    expect(paceS(every(0.1, 7))).toBe(20);
    expect(paceS([], swing)).toBe(40);
  });
});
