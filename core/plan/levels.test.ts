import { levelsOf } from './levels';

const point = (at: number, stageM: number) => ({ at, stageM, flowM3s: 4, tempC: 8 });
const step = (at: number, median: number) => ({ at, median, low80: median - 0.1, high80: median + 0.1 });

describe('the level of a day', () => {
  it('is what the gauge told, then what is forecast, against normal', () => {
    const ahead = { of: 'level' as const, steps: [step(2, 9), step(4, 1.1)] };
    const levels = levelsOf([point(1, 0.9), point(3, 1), point(5, NaN)], ahead, 0.8);
    expect(levels.map((l) => [l.at, Math.round(10 * l.levelM) / 10])).toEqual([
      [1, 0.1],
      [3, 0.2],
      [4, 0.3],
    ]);
  });

  it('is not known where nobody said what is normal, and of a gauge that tells a flow', () => {
    expect(levelsOf([point(1, 0.9)], null, null)).toEqual([]);
    expect(levelsOf([point(1, NaN)], { of: 'flow', steps: [step(2, 9)] }, 0)).toEqual([]);
  });
});
