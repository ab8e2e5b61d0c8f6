import type { Section } from './sections';

/** One place of a first reading, as one sees it standing there. */
export interface GuidedPlace {
  readonly widthM: number;
  readonly deepestM: number;
  /** Where it is deepest, from the bank one stands on: in words, or as a share of the width. */
  readonly deepest: 'near' | 'middle' | 'far' | number;
}

const SHARE = { near: 0.25, middle: 0.5, far: 0.75 } as const;

/**
 * A usable section from three answers: the bed falls from each bank to the deepest place, flatter near the bank that
 * is farther from it (a cut bank is steep, an inside shelves). Five points, to be refined later.
 *
 * @throws RangeError for widths or depths that are not above 0
 * @example guidedSection(0, { widthM: 20, deepestM: 1, deepest: 'middle' }).points.map((p) => p.depthM) // [0, .6, 1, .6, 0]
 */
export function guidedSection(xM: number, p: GuidedPlace): Section {
  if (!(p.widthM > 0)) throw new RangeError('widthM: must be above 0');
  if (!(p.deepestM > 0)) throw new RangeError('deepestM: must be above 0');
  const share = typeof p.deepest === 'number' ? p.deepest : SHARE[p.deepest];
  const half = (span: number) => (span > 0.5 ? 0.45 : span < 0.5 ? 0.75 : 0.6);
  const at = (part: number, depthM: number) => ({
    yM: Math.round(part * p.widthM * 100) / 100,
    depthM: Math.round(depthM * 100) / 100,
  });
  return {
    xM,
    points: [
      at(0, 0),
      at(share / 2, half(share) * p.deepestM),
      at(share, p.deepestM),
      at((1 + share) / 2, half(1 - share) * p.deepestM),
      at(1, 0),
    ],
  };
}

/** Sections at head, middle and tail of a run of that length. */
export function guidedSections(lengthM: number, places: readonly [GuidedPlace, GuidedPlace, GuidedPlace]): Section[] {
  if (!(lengthM > 0)) throw new RangeError('lengthM: must be above 0');
  return places.map((p, i) => guidedSection((lengthM * i) / 2, p));
}

/** A section halfway between two others, or a copy a little further down when there is only one. */
export function sectionBetween(a: Section, b: Section | undefined): Section {
  if (!b) return { ...a, xM: a.xM + 5 };
  const xM = Math.round(((a.xM + b.xM) / 2) * 10) / 10;
  if (a.points.length !== b.points.length) return { ...a, xM };
  return {
    xM,
    points: a.points.map((p, i) => ({
      yM: Math.round(50 * (p.yM + b.points[i]!.yM)) / 100,
      depthM: Math.round(50 * (p.depthM + b.points[i]!.depthM)) / 100,
    })),
  };
}

/** Which point of a section is its deepest. */
export const deepestOf = ({ points }: Section): number =>
  points.reduce((best, p, i) => (p.depthM > points[best]!.depthM ? i : best), 0);

/** Points of a section stand no nearer to each other than this, m. */
const APART_M = 0.1;

/**
 * A section with its deepest point moved across, as deep as it was, between its neighbours; an edge of the water stays.
 *
 * @param yM out from the described bank, m
 */
export function withDeepestAt(section: Section, yM: number): Section {
  const at = deepestOf(section);
  const [before, after] = [section.points[at - 1], section.points[at + 1]];
  if (!before || !after) return section;
  const to = Math.min(after.yM - APART_M, Math.max(before.yM + APART_M, yM));
  return { ...section, points: section.points.map((p, i) => (i === at ? { ...p, yM: Math.round(10 * to) / 10 } : p)) };
}
