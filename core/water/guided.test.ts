import { buildChannel } from './channel';
import { deepestOf, guidedSection, guidedSections, sectionBetween, withDeepestAt } from './guided';

const middle = { widthM: 20, deepestM: 1, deepest: 'middle' } as const;

describe('a guided first reading', () => {
  it('makes a section from three answers', () => {
    const s = guidedSection(0, middle);
    expect(s.points.map((p) => p.yM)).toEqual([0, 5, 10, 15, 20]);
    expect(s.points.map((p) => p.depthM)).toEqual([0, 0.6, 1, 0.6, 0]);
    const far = guidedSection(0, { ...middle, deepest: 'far' });
    expect(far.points[2]).toEqual({ yM: 15, depthM: 1 });
    expect(far.points[1]!.depthM).toBeLessThan(far.points[3]!.depthM); // shelving inside, steep outside
  });

  it('makes a run that can be rebuilt', () => {
    const sections = guidedSections(40, [middle, { ...middle, deepestM: 1.5 }, middle]);
    const run = {
      id: 'r',
      waterId: 'w',
      name: 'r',
      lengthM: 40,
      bank: 'left' as const,
      bearingDeg: 0,
      bed: 'gravel' as const,
      levelM: 0,
      sections,
      features: [],
      speed: null,
      notes: '',
    };
    const c = buildChannel(run, null);
    expect(c.flowM3s).toBeGreaterThan(1);
    expect(c.speedFrom).toBe('typical');
  });

  it('puts a new section halfway, and refuses nonsense', () => {
    const [a, b] = guidedSections(40, [middle, { ...middle, deepestM: 2 }, middle]);
    expect(sectionBetween(a!, b).xM).toBe(10);
    expect(sectionBetween(a!, b).points[2]!.depthM).toBe(1.5);
    expect(sectionBetween(a!, undefined).xM).toBe(5);
    expect(() => guidedSection(0, { ...middle, widthM: 0 })).toThrow('widthM');
    expect(() => guidedSections(0, [middle, middle, middle])).toThrow('lengthM');
  });
});

it('the deep line goes where it is dragged, as deep as before, and past no other point', () => {
  const section = {
    xM: 5,
    points: [
      { yM: 0, depthM: 0 },
      { yM: 4, depthM: 0.5 },
      { yM: 8, depthM: 1.4 },
      { yM: 14, depthM: 0 },
    ],
  };
  expect(deepestOf(section)).toBe(2);
  const at = (yM: number) => withDeepestAt(section, yM).points.map((p) => p.yM);
  expect(at(10.26)).toEqual([0, 4, 10.3, 14]);
  expect(at(1)).toEqual([0, 4, 4.1, 14]);
  expect(at(30)).toEqual([0, 4, 13.9, 14]);
  expect(withDeepestAt(section, 9).points.map((p) => p.depthM)).toEqual([0, 0.5, 1.4, 0]);
  // Deepest at the edge, under a wall: it stays.
  const wall = { ...section, points: section.points.slice(2) };
  expect(withDeepestAt(wall, 10)).toBe(wall);
});
