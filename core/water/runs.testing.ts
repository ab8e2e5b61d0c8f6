import type { Feature } from './features';
import type { FeatureKind } from './featureTable';
import type { Run } from './run';
import type { Section } from './sections';

/** Depths at equal distances across a width, from the described bank outwards. */
export const across = (xM: number, widthM: number, ...depths: number[]): Section => ({
  xM,
  points: depths.map((depthM, i) => ({ yM: (i * widthM) / (depths.length - 1), depthM })),
});

/** A reach that is alike from its head to its end, 40 m further down. */
export const even = (widthM: number, ...depths: number[]): Section[] =>
  [0, 20, 40].map((xM) => across(xM, widthM, ...depths));

export const feature = (kind: FeatureKind, xM: number, yM: number, lengthM: number, widthM: number): Feature => ({
  ...{ id: `${kind}${xM}`, kind, xM, yM, lengthM, widthM },
});

/** A run along its sections from the left bank, its surface speed read where the middle section is deepest. */
export function river(sections: Section[], surfaceMps: number, rest: Partial<Run> = {}): Run {
  const middle = sections[Math.floor(sections.length / 2)]!;
  const deepest = middle.points.reduce((a, b) => (b.depthM > a.depthM ? b : a));
  return {
    ...{
      id: 'run',
      waterId: 'water',
      name: 'Constructed',
      lengthM: sections.at(-1)!.xM,
      bank: 'left',
      bearingDeg: 180,
      bed: 'cobble',
    },
    ...{ levelM: 0, sections, features: [], speed: { surfaceMps, xM: middle.xM, yM: deepest.yM }, notes: '' },
    ...rest,
  };
}
