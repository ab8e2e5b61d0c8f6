import type { FeatureKind } from '@/core/water';
import { FEATURE_MARKS } from './featureMarks';

describe('the marks of features', () => {
  const box = { x: 100, y: 80, l: 30, w: 20, sheetWidth: 300 };
  it.each(Object.keys(FEATURE_MARKS) as FeatureKind[])('%s: strokes of numbers, near its place', (kind) => {
    const strokes = FEATURE_MARKS[kind](box);
    expect(strokes.length).toBeGreaterThan(0);
    for (const s of strokes) {
      expect(s.d).toMatch(/^M/);
      expect(s.d).not.toMatch(/NaN|undefined|Infinity/);
      const [x, y] = /^M(-?[\d.]+) (-?[\d.]+)/.exec(s.d)!.slice(1).map(Number) as [number, number];
      expect(Math.abs(x - box.x)).toBeLessThanOrEqual(2 * box.w);
      expect(Math.abs(y - box.y)).toBeLessThanOrEqual(box.l + 10);
    }
  });

  it('a riffle is drawn all over and not beside it, each row half a step beside the one before', () => {
    const d = FEATURE_MARKS.riffle({ ...box, l: 40, w: 50 })[0]!.d;
    const marks = [...d.matchAll(/M(-?\d+) (-?\d+)/g)].map((m) => [Number(m[1]), Number(m[2])] as const);
    const rows = [...new Set(marks.map(([, y]) => y))];
    expect(rows).toEqual([44, 60, 76, 92, 108]);
    const row = (y: number) => marks.filter((m) => m[1] === y).map(([x]) => x);
    expect([row(44), row(60)]).toEqual([
      [54, 70, 86, 102, 118, 134],
      [62, 78, 94, 110, 126, 142],
    ]);
  });

  it('a cut bank hatches towards the land on either side', () => {
    const d = (x: number) => FEATURE_MARKS['cut bank']({ ...box, x })[0]!.d;
    expect(d(50)).toContain('l6 3');
    expect(d(250)).toContain('l-6 3');
  });
});
