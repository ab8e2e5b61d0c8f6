import { day, RUN } from '../testing/fixtures';
import { buildChannel } from './channel';
import { isSmallStream, meanWidthM } from './width';

const narrow = {
  ...RUN,
  speed: null,
  features: [],
  sections: RUN.sections.map((s) => ({ ...s, points: s.points.map((p) => ({ ...p, yM: p.yM / 4 })) })),
};

it('tells a small stream from a river by its mean width', () => {
  const river = buildChannel(RUN, day());
  const stream = buildChannel(narrow, day());
  expect(meanWidthM(river)).toBeGreaterThan(23);
  expect(meanWidthM(river)).toBeLessThan(27);
  expect(meanWidthM(stream)).toBeCloseTo(meanWidthM(river) / 4, 1);
  expect(isSmallStream(river)).toBe(false);
  expect(isSmallStream(stream)).toBe(true);
  const edges = (widthM: number) => ({
    edgeNear: Float32Array.of(1, 1),
    edgeFar: Float32Array.of(1 + widthM, 1 + widthM),
  });
  expect([9.9, 10.1].map((w) => isSmallStream(edges(w)))).toEqual([true, false]);
});
